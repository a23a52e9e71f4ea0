import { DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import type { SessionList } from '@yardland/core';
import { problemOf } from '../shared/saving/problem';
import { Button, DialogFoot, DialogFrame, Words } from '../shared/ui/ui';
import { SessionsApi } from './sessions-api';

/** What kind of device a browser says it is on. */
function agentWords(agent: string): string {
  if (/iPad|Tablet/.test(agent)) return 'a tablet';
  if (/Mobile|Android/.test(agent)) return 'a phone';
  return /Windows|Macintosh|Linux|CrOS/.test(agent) ? 'a computer' : 'another program';
}

/** Who is signed in; each can be ended, this one too. */
@Component({
  selector: 'yl-sessions-dialog',
  imports: [Button, DialogFoot, DialogFrame, Words],
  template: `
    <div ylDialog>
      <h2 id="sessions-title">Who is signed in</h2>
      @if (problem(); as text) {
        <p ylWords="bad" role="alert">{{ text }}</p>
      }
      <ul class="grid gap-1">
        @for (one of sessions(); track one.id) {
          <li class="flex items-center justify-between gap-3 border-t border-line py-1">
            <span>
              {{ words(one.agent) }}{{ one.here ? ', this one' : '' }}
              <small class="block text-label text-ink-soft">used last {{ when(one.seenAt) }}, since {{ when(one.createdAt) }}</small>
            </span>
            @if (!one.here) {
              <button type="button" ylButton (click)="end(one.id)">End it</button>
            }
          </li>
        }
      </ul>
      <div ylDialogFoot>
        <button type="button" ylButton (click)="out()">Sign out here</button>
        <button type="button" ylButton="strong" (click)="close()">Close</button>
      </div>
    </div>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SessionsDialog {
  readonly #api = inject(SessionsApi);
  readonly #dialog = inject<DialogRef<null>>(DialogRef);
  protected readonly sessions = signal<SessionList['sessions']>([]);
  protected readonly problem = signal<string | null>(null);
  protected readonly words = agentWords;
  readonly #time = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

  constructor() {
    this.#read();
  }

  protected when(time: string): string {
    return this.#time.format(new Date(time));
  }

  protected end(id: string): void {
    this.#api.end(id).subscribe({ next: () => this.#read(), error: (error: unknown) => this.problem.set(problemOf(error).message) });
  }

  protected out(): void {
    this.#api.signOut().subscribe({ next: () => location.assign('/sign-in'), error: (error: unknown) => this.problem.set(problemOf(error).message) });
  }

  protected close(): void {
    this.#dialog.close(null);
  }

  #read(): void {
    this.#api.list().subscribe({ next: ({ sessions }) => this.sessions.set(sessions), error: (error: unknown) => this.problem.set(problemOf(error).message) });
  }
}
