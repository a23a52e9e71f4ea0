import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { catchError, map, of } from 'rxjs';
import { Dialogs } from '../shared/dialogs';
import { Icon } from '../shared/icon';
import { Tool } from '../shared/ui/ui';
import { SessionsApi } from './sessions-api';

/** Opens the list of who is signed in; only where the shop asks for a pass-phrase. */
@Component({
  selector: 'yl-sessions-button',
  imports: [Icon, Tool],
  template: `
    @if (asked()) {
      <button type="button" ylTool="quiet" aria-label="Who is signed in" title="Who is signed in" (click)="open()"><svg ylIcon="users" size="20"></svg></button>
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SessionsButton {
  readonly #dialogs = inject(Dialogs);
  protected readonly asked = toSignal(
    inject(SessionsApi)
      .list()
      .pipe(
        map(({ asked }) => asked),
        catchError(() => of(false)),
      ),
    { initialValue: false },
  );

  protected async open(): Promise<void> {
    await this.#dialogs.open(async () => (await import('./sessions-dialog')).SessionsDialog, { data: null, labelledBy: 'sessions-title' });
  }
}
