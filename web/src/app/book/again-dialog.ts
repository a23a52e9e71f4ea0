import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { canMatch, formatLengthUnit } from '@yardland/core';
import { catchError, combineLatest, forkJoin, map, of, startWith, switchMap } from 'rxjs';
import { JobsApi } from '../job/saving/jobs-api';
import { Choice } from '../shared/controls/choice';
import { problemOf } from '../shared/saving/problem';
import { ShopService } from '../shared/saving/shop.service';
import { Button, DialogFoot, DialogFrame, Words } from '../shared/ui/ui';
import { dayWords, today } from '../shared/words/days';
import { lookedAtAgain } from './checks-work';
import { MATCH_WORDS, sinceWords } from './since-words';

/** Sizes are told to this. */
const STEP = { mm: 1, inch: 1 / 16 };

/** What makes things worse stands first. */
const ORDER = { other: 0, near: 1, none: 2 } as const;

/** Makes a cushion of a delivered job once more: what it was sewn to and measured, what has changed since, and whether one more can match. */
@Component({
  selector: 'yl-again-dialog',
  imports: [DialogFrame, DialogFoot, Button, Words, Choice],
  template: `
    <div ylDialog="wide">
      <h2 id="again-title">Make it again</h2>
      @if (read(); as read) {
        <yl-choice label="Which cushion" [options]="cushions()" [value]="'' + index()" (picked)="index.set(+$event)" />
        @if (facts(); as facts) {
          <table
            class="w-full max-w-150 [&_td]:py-0.5 [&_td]:text-right [&_th]:text-left [&_th]:font-normal [&_thead_th]:text-label [&_thead_th]:text-ink-soft"
          >
            <thead>
              <tr>
                <td></td>
                <th scope="col" class="text-right!">wide</th>
                <th scope="col" class="text-right!">deep</th>
                <th scope="col" class="text-right!">high at the edge</th>
              </tr>
            </thead>
            <tbody>
              @for (row of facts.sizes; track row.name) {
                <tr>
                  <th scope="row">{{ row.name }}</th>
                  @for (size of row.sizes; track $index) {
                    <td>{{ size }}</td>
                  }
                </tr>
              }
            </tbody>
          </table>
          <p class="rounded-lg border-l-4 bg-calico px-3 py-2 font-semibold" [class]="facts.bar" data-part="match">{{ facts.match }}</p>
          <ul class="grid list-disc gap-1 pl-5 text-row" aria-label="What has changed since">
            @for (line of facts.since; track line) {
              <li>{{ line }}</li>
            }
          </ul>
        } @else if (asking()) {
          <p ylWords role="status">Looking at what has changed since …</p>
        } @else {
          <p ylWords="bad">This cushion cannot be made any more as it stands: open its job to see why.</p>
        }
      } @else {
        <p ylWords role="status">{{ failure() ?? 'Fetching the job …' }}</p>
      }
      @if (read() && failure(); as why) {
        <p ylWords="bad" role="alert">{{ why }}</p>
      }
      <div ylDialogFoot>
        <button type="button" ylButton (click)="close()">Leave it</button>
        <button type="button" ylButton="strong" [disabled]="!facts() || sending()" (click)="make()">Make a job of it</button>
      </div>
    </div>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class AgainDialog {
  readonly #id = inject<string>(DIALOG_DATA);
  readonly #dialog = inject<DialogRef<{ readonly id: string }>>(DialogRef);
  readonly #api = inject(JobsApi);
  protected readonly index = signal(0);
  protected readonly failure = signal<string | null>(null);
  protected readonly sending = signal(false);
  protected readonly read = toSignal(
    forkJoin([this.#api.read(this.#id), inject(ShopService).shop$]).pipe(
      map(([{ job }, { document }]) => ({ job, document })),
      catchError((error: unknown) => {
        this.failure.set(problemOf(error).message);
        return of(null);
      }),
    ),
  );
  protected readonly cushions = computed(
    () => this.read()?.job.cushions.map(({ name, quantity }, i) => ({ value: String(i), name: quantity > 1 ? `${name}, ${quantity} of it` : name })) ?? [],
  );

  /** What the thread says of the cushion that is chosen; undefined while it is asked. */
  readonly #again = toSignal(
    combineLatest([toObservable(this.read), toObservable(this.index)]).pipe(
      switchMap(([read, index]) =>
        read ? lookedAtAgain({ again: { job: read.job, index, id: this.#id, on: today() }, shop: read.document }).pipe(startWith(undefined)) : of(undefined),
      ),
    ),
  );
  protected readonly asking = computed(() => this.#again() === undefined);

  protected readonly facts = computed(() => {
    const [job, again] = [this.read()?.job, this.#again()];
    if (!job || !again) return null;
    const since = [...again.since].sort((a, b) => ORDER[a.worst] - ORDER[b.worst]);
    const match = canMatch(since);
    const { measured } = again.made.repeats ?? {};
    const told = (mm: number | undefined): string => (mm === undefined ? '—' : formatLengthUnit(mm, job.units, STEP));
    const { sewn } = again;
    return {
      sizes: [
        { name: job.delivered ? `as sewn, ${dayWords(job.delivered.on)}` : 'as sewn', sizes: [sewn.widthMm, sewn.depthMm, sewn.heightMm].map(told) },
        ...(measured ? [{ name: 'as measured', sizes: [measured.widthMm, measured.depthMm, measured.heightMm].map(told) }] : []),
      ],
      match: MATCH_WORDS[match],
      bar: { yes: 'border-l-ok', nearly: 'border-l-warn', no: 'border-l-error' }[match],
      since: since.map((one) => sinceWords(one, job.units)),
    };
  });

  protected make(): void {
    const job = this.#again()?.made;
    if (!job) return;
    this.sending.set(true);
    this.#api.create(job).subscribe({
      next: ({ id }) => this.#dialog.close({ id }),
      error: (error: unknown) => {
        this.sending.set(false);
        this.failure.set(`The job is not made. ${problemOf(error).message}`);
      },
    });
  }

  protected close(): void {
    this.#dialog.close();
  }
}
