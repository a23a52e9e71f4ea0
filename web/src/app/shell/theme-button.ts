import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { Icon } from '../shared/icon';
import { Tool } from '../shared/ui/ui';
import { Settings } from './settings';

/** Goes through the themes: as the system has it, light, dark. */
@Component({
  selector: 'yl-theme-button',
  imports: [Tool, Icon],
  template: `<button
    type="button"
    ylTool="quiet"
    [attr.aria-label]="'Theme: ' + settings.theme()"
    [title]="'Theme: ' + settings.theme()"
    (click)="settings.nextTheme()"
  >
    <svg ylIcon="sun-moon" size="20"></svg>
  </button>`,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ThemeButton {
  protected readonly settings = inject(Settings);
}
