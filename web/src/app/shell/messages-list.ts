import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { Messages, type Message } from '../shared/messages';
import { Banner, Button } from '../shared/ui/ui';

/** What the application has to say, at the foot of the screen: polite where it only tells, an alert where something went wrong. */
@Component({
  selector: 'yl-messages',
  imports: [Banner, Button],
  template: `
    @for (message of messages.all(); track message.id) {
      <div [ylBanner]="message.bad ? 'bad' : ''" [attr.role]="message.bad ? 'alert' : 'status'">
        <span class="flex-1">{{ message.text }}</span>
        @if (message.action; as action) {
          <button type="button" ylButton (click)="act(message)">{{ action.word }}</button>
        }
        @if (!message.action || message.bad) {
          <button type="button" ylButton (click)="messages.drop(message.id)">All right</button>
        }
      </div>
    }
  `,
  host: { class: 'fixed right-6 bottom-6 left-47 z-1100 grid gap-2 empty:hidden max-phone:right-3 max-phone:left-3' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class MessagesList {
  protected readonly messages = inject(Messages);

  protected act({ id, action }: Message): void {
    this.messages.drop(id);
    action?.act();
  }
}
