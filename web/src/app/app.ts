import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { SamplesStore } from './gauges/samples-store';
import { WaitingEdits } from './job/waiting-edits';
import { MessagesList } from './shell/messages-list';
import { Settings } from './shell/settings';

@Component({
  selector: 'yl-app',
  imports: [RouterOutlet, MessagesList],
  template: `<router-outlet /><yl-messages />`,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class App {
  constructor() {
    inject(Settings).apply();
    inject(WaitingEdits).start();
    inject(SamplesStore).resume();
  }
}
