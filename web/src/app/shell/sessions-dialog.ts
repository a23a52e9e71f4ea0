import { DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import type { MakeToken, SessionList, TokenList } from '@yardland/core';
import { Choice } from '../shared/controls/choice';
import { TextField } from '../shared/controls/text-field';
import { problemOf } from '../shared/saving/problem';
import { Button, DialogFoot, DialogFrame, FieldRow, Words } from '../shared/ui/ui';
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
  imports: [Button, Choice, DialogFoot, DialogFrame, FieldRow, TextField, Words],
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
      <p><a class="underline" href="/trust" target="_blank" rel="noopener">How a tablet or a phone is brought in</a></p>
      <section class="grid gap-1" aria-labelledby="tokens-title">
        <h3 id="tokens-title" class="text-lead">Programs of the shop</h3>
        <p ylWords>A program comes in by a token of its own (docs/api.md), and is out once that is ended.</p>
        <ul class="grid gap-1">
          @for (one of tokens(); track one.id) {
            <li class="flex items-center justify-between gap-3 border-t border-line py-1">
              <span>
                {{ one.name }}, {{ one.may === 'write' ? 'reads and writes' : 'reads' }}
                <small class="block text-label text-ink-soft"
                  >{{ one.seenAt ? 'used last ' + when(one.seenAt) : 'not used yet' }}, since {{ when(one.createdAt) }}</small
                >
              </span>
              <button type="button" ylButton [attr.aria-label]="'End the token of ' + one.name" (click)="endToken(one.id)">End it</button>
            </li>
          }
        </ul>
        @if (made(); as token) {
          <p role="status">
            Its token, told this once:<br /><code class="break-all select-all" data-part="token">{{ token }}</code>
          </p>
        }
        <div ylFieldRow>
          <yl-text class="field" label="Let a program in, called" [maxLength]="60" [value]="name()" (valueChange)="name.set($event)" />
          <yl-choice label="It may" [options]="mayOptions" [value]="may()" (picked)="setMay($event)" />
          <button type="button" ylButton (click)="makeToken()">Make a token</button>
        </div>
      </section>
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
  protected readonly tokens = signal<TokenList['tokens']>([]);
  protected readonly made = signal('');
  protected readonly name = signal('');
  protected readonly may = signal<MakeToken['may']>('read');
  protected readonly mayOptions = [
    { value: 'read', name: 'read' },
    { value: 'write', name: 'read and write' },
  ];
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

  protected setMay(value: string): void {
    this.may.set(value === 'write' ? 'write' : 'read');
  }

  protected makeToken(): void {
    if (!this.name().trim()) {
      this.problem.set('Say what the program is called.');
      return;
    }
    this.problem.set('');
    this.#api.makeToken({ name: this.name().trim(), may: this.may() }).subscribe({
      next: ({ token }) => {
        this.made.set(token);
        this.name.set('');
        this.#read();
      },
      error: (error: unknown) => this.problem.set(problemOf(error).message),
    });
  }

  protected endToken(id: string): void {
    this.#api.endToken(id).subscribe({ next: () => this.#read(), error: (error: unknown) => this.problem.set(problemOf(error).message) });
  }

  protected out(): void {
    this.#api.signOut().subscribe({ next: () => location.assign('/sign-in'), error: (error: unknown) => this.problem.set(problemOf(error).message) });
  }

  protected close(): void {
    this.#dialog.close(null);
  }

  #read(): void {
    this.#api.tokens().subscribe({ next: ({ tokens }) => this.tokens.set(tokens), error: (error: unknown) => this.problem.set(problemOf(error).message) });
    this.#api.list().subscribe({ next: ({ sessions }) => this.sessions.set(sessions), error: (error: unknown) => this.problem.set(problemOf(error).message) });
  }
}
