import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import type { StoredEntry } from '@yardland/core';
import { LOOK_BACK_SIDES } from '@yardland/core/book';
import { catchError, forkJoin, map, of, switchMap } from 'rxjs';
import { JobsApi } from '../job/saving/jobs-api';
import { problemOf } from '../shared/saving/problem';
import { ShopService } from '../shared/saving/shop.service';
import { Button, DialogFoot, DialogFrame, Words } from '../shared/ui/ui';
import { complaintWords } from '../log/entry-words';
import { lookedBack } from './checks-work';
import { evidenceWords, NOTHING_FOUND, SIDE_WORDS } from './evidence-words';

/** Looks back over a cushion that somebody complained of: promised, measured, changed, not done, side by side, with what can explain it first. */
@Component({
  selector: 'yl-look-back-dialog',
  imports: [RouterLink, DialogFrame, DialogFoot, Button, Words],
  template: `
    <div ylDialog="widest">
      <h2 id="look-back-title">Looking back: {{ title }}</h2>
      <p>
        <b>{{ complaint }}:</b> {{ entry.text }}
      </p>
      @if (sides(); as sides) {
        <p ylWords role="status">{{ says() }}</p>
        <div class="grid grid-cols-[repeat(auto-fit,minmax(15.625rem,1fr))] gap-4">
          @for (side of sides; track side.side) {
            <section [attr.aria-label]="side.name">
              <h3 class="mb-1.5 text-lead">{{ side.name }}</h3>
              <ul class="grid gap-1.5">
                @for (line of side.lines; track line.words) {
                  <li class="rounded-lg border-l-4 bg-calico px-3 py-1.5 text-note" [class]="line.explains ? 'border-l-error' : 'border-l-line-strong'">
                    @if (line.explains) {
                      <b class="block text-caption text-error">may explain it</b>
                    }
                    {{ line.words }}
                  </li>
                } @empty {
                  <li class="text-note text-ink-soft">{{ side.nothing }}</li>
                }
              </ul>
            </section>
          }
        </div>
      } @else {
        <p ylWords role="status">{{ failure() ?? 'Looking back …' }}</p>
      }
      <div ylDialogFoot>
        @if (link; as to) {
          <a ylButton [routerLink]="to" (click)="close()">Open the cushion</a>
        }
        <button type="button" ylButton="strong" (click)="close()">Done</button>
      </div>
    </div>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class LookBackDialog {
  protected readonly entry = inject<StoredEntry>(DIALOG_DATA);
  readonly #dialog = inject(DialogRef);
  protected readonly failure = signal<string | null>(null);
  readonly #about = this.entry.about.on === 'cushion' ? this.entry.about : null;
  protected readonly title = [this.#about?.name, this.entry.of?.name].filter(Boolean).join(', ');
  protected readonly complaint = complaintWords(this.entry.complaint ?? 'other');
  protected readonly link = this.#about && ['/jobs', this.#about.job, this.#about.index + 1, 'bench'];

  readonly #found = toSignal(
    forkJoin([inject(JobsApi).read(this.#about?.job ?? ''), inject(ShopService).shop$]).pipe(
      switchMap(([{ job }, { document }]) =>
        lookedBack({ job, index: this.#about?.index ?? 0, complaint: this.entry.complaint ?? 'other', shop: document }).pipe(
          map((evidence) => evidence && { inWords: { units: job.units, step: document.step }, evidence }),
        ),
      ),
      catchError((error: unknown) => {
        this.failure.set(problemOf(error).message);
        return of(null);
      }),
    ),
  );

  protected readonly sides = computed(() => {
    const found = this.#found();
    if (!found) return null;
    return LOOK_BACK_SIDES.map((side) => ({
      side,
      name: SIDE_WORDS[side],
      nothing: NOTHING_FOUND[side],
      lines: found.evidence.filter((one) => one.side === side).map((one) => ({ explains: one.explains, words: evidenceWords(one, found.inWords) })),
    }));
  });

  protected readonly says = computed(() => {
    const count = this.#found()?.evidence.filter(({ explains }) => explains).length ?? 0;
    if (count === 0) return 'Nothing that is known of this cushion explains it: look at the place it stands in, and at how it is used.';
    return `${count === 1 ? 'One thing' : `${count} things`} that may explain it, first in each column.`;
  });

  protected close(): void {
    this.#dialog.close();
  }
}
