import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { answersIn, contextOf, compareCovers, formatNumber, formatRun, sayLine, type CoverOffer } from '@yardland/core';
import type { JobStore } from '../job/job-store';
import { ClosedCushion } from '../shared/closed-cushion';
import { Button, DialogFoot, DialogFrame } from '../shared/ui/ui';

interface Row {
  readonly key: string;
  readonly offer: CoverOffer;
  readonly here: boolean;
  readonly refused: string;
  /** What is said of it under each heading, in their order. */
  readonly cells: readonly string[];
  /** A few words more under the last of them. */
  readonly hard: string;
}

const HEADINGS = ['Pieces', 'Cloth, flat', 'Machine', 'Top stitch', 'By hand', 'Work', 'Zip', 'Edge, and what is hard'] as const;
/** Headings whose figures stand at the right. */
const FIGURES = 6;
/** The key of each row, in their order. */
const KEYS = '123456789abcdefgh';

/** The cushion through every construction side by side; one is taken with its key, or by its button. */
@Component({
  selector: 'yl-compare-covers-dialog',
  imports: [ClosedCushion, DialogFrame, Button, DialogFoot],
  template: `
    <div ylDialog="widest">
      <h2 id="covers-title">Compare covers</h2>
      <p>
        For one cushion: {{ name() }}. Cloth is the pieces’ own area, before it is laid; seams count every row. Others take this one’s edge and seam where they
        have them. Press its number or letter to take a cover.
      </p>
      <div
        class="max-h-[62dvh] overflow-auto [&_table]:w-full [&_table]:border-collapse [&_table]:text-small [&_td]:border-t [&_td]:border-t-line [&_td]:px-1.5 [&_td]:py-2 [&_td]:text-left [&_td]:align-top [&_th]:border-t [&_th]:border-t-line [&_th]:px-1.5 [&_th]:py-2 [&_th]:text-left [&_th]:align-top [&_thead_th]:sticky [&_thead_th]:top-0 [&_thead_th]:z-1 [&_thead_th]:border-t-0 [&_thead_th]:bg-linen [&_thead_th]:text-label [&_thead_th]:text-ink-soft [&_small]:block [&_small]:text-fine [&_small]:font-normal [&_small]:text-ink-soft"
      >
        <table>
          <thead>
            <tr>
              <th scope="col" colspan="2">Cover</th>
              @for (heading of headings; track heading; let i = $index) {
                <th scope="col" [class.text-right!]="i < figures">{{ heading }}</th>
              }
              <th scope="col"><span class="sr-only">Take it</span></th>
            </tr>
          </thead>
          <tbody>
            @for (row of rows(); track row.offer.kind) {
              <tr class="[&.here>*]:bg-calico-deep" [class.here]="row.here">
                <td class="w-28 p-1!">
                  @if (row.offer.facts; as facts) {
                    <yl-closed-cushion class="h-18 w-27" [small]="true" [form]="facts.form" [name]="row.offer.name + ', closed'" />
                  }
                </td>
                <th scope="row" class="min-w-36">
                  <b>{{ row.key }}</b> {{ row.offer.name }}<small>{{ row.offer.detail }}</small>
                </th>
                @if (row.refused) {
                  <td [attr.colspan]="headings.length" class="text-ink-soft">{{ row.refused }}</td>
                } @else {
                  @for (cell of row.cells; track $index; let i = $index) {
                    <td [class]="i < figures ? 'whitespace-nowrap tabular-nums text-right!' : 'min-w-22'">
                      {{ cell }}
                      @if ($last) {
                        <small>{{ row.hard }}</small>
                      }
                    </td>
                  }
                }
                <td>
                  @if (row.here) {
                    <span>in hand</span>
                  } @else if (!row.refused) {
                    <button type="button" ylButton [attr.aria-label]="'Take ' + row.offer.name" (click)="close(row.offer)">Take</button>
                  }
                </td>
              </tr>
            }
          </tbody>
        </table>
      </div>
      <div ylDialogFoot><button type="button" ylButton="strong" (click)="close(null)">Done</button></div>
    </div>
  `,
  host: { '(keydown)': 'pressed($event)' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CompareCoversDialog {
  readonly #store = inject<JobStore>(DIALOG_DATA);
  readonly #dialog = inject<DialogRef<CoverOffer['construction'] | null>>(DialogRef);
  protected readonly headings = HEADINGS;
  protected readonly figures = FIGURES;
  protected readonly name = computed(() => this.#store.cushion()?.name ?? '');

  protected readonly rows = computed<readonly Row[]>(() => {
    const [cushion, job, shop] = [this.#store.cushion(), this.#store.job(), this.#store.shop()];
    if (!cushion || !job || !shop) return [];
    const { units } = job;
    const inWords = this.#store.inWords();
    return compareCovers(cushion, contextOf(job, shop, answersIn({}))).map((offer, i): Row => {
      const { facts } = offer;
      const run = (mm: number): string => (mm > 0 ? formatRun(mm, units) : '—');
      return {
        key: KEYS[i] ?? '',
        offer,
        here: offer.kind === cushion.construction.kind,
        refused: offer.problems.map((problem) => sayLine(problem, inWords)).join(' '),
        cells: facts
          ? [
              formatNumber(facts.pieces),
              units === 'inch' ? `${formatNumber(facts.clothMm2 / 914.4 ** 2, 2)} yd²` : `${formatNumber(facts.clothMm2 / 1e6, 2)} m²`,
              run(facts.machineMm),
              run(facts.topStitchMm),
              run(facts.handMm),
              `${formatNumber(facts.minutes / 60, 1)} h`,
              `${facts.traits.zip || 'none'}; ${facts.traits.washable ? 'washable' : 'does not come off'}`,
              facts.traits.edge,
            ]
          : [],
        hard: facts?.traits.hard ?? '',
      };
    });
  });

  protected pressed(event: KeyboardEvent): void {
    const row = this.rows().find(({ key }) => key !== '' && key === event.key);
    if (row && !row.refused && !event.ctrlKey && !event.metaKey && !event.altKey) this.close(row.offer);
  }

  protected close(offer: CoverOffer | null): void {
    this.#dialog.close(offer?.construction ?? null);
  }
}
