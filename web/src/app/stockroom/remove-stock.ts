import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { Icon } from '../shared/icon';
import { Button, Tool } from '../shared/ui/ui';

/** The way out of the stockroom, and back for what is put away. */
@Component({
  selector: 'yl-remove-stock',
  imports: [Button, Icon, Tool],
  template: `
    @if (of().putAway) {
      <button type="button" ylButton (click)="back.emit()">Bring back</button>
    } @else {
      <button type="button" ylTool="quiet" [attr.aria-label]="'Remove ' + of().name" (click)="removed.emit()">
        <svg ylIcon="trash-2" size="20"></svg>
      </button>
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class RemoveStock {
  readonly of = input.required<{ readonly name: string; readonly putAway?: boolean | undefined }>();
  readonly removed = output();
  readonly back = output();
}
