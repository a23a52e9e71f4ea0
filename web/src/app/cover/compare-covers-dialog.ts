import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { answersIn, contextOf, compareCovers, formatLengthUnit, formatNumber, formatRun, sayLine, type CoverOffer } from '@yardland/core';
import { roundWords } from '@yardland/core/solid';
import type { JobStore } from '../job/job-store';
import { ClosedPicture } from '../round-thread/closed-picture';
import { SideBySide } from '../round/side-by-side';
import { Tickbox } from '../shared/controls/tickbox';
import { takenByKey } from '../shared/taken-by-key';
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
/** So many stand side by side at most: of more, the one ticked first goes. */
const MOST_BESIDE = 4;
/** The key of each row, in their order. */
const KEYS = '123456789abcdefgh';

/** The cushion through every construction side by side; one is taken with its key, or by its button. */
@Component({
  selector: 'yl-compare-covers-dialog',
  imports: [ClosedPicture, DialogFrame, Button, DialogFoot, Tickbox, SideBySide],
  template: `
    <div ylDialog="widest">
      <h2 id="covers-title">Compare covers</h2>
      <p>
        For one cushion: {{ name() }}. Cloth is the pieces’ own area, before it is laid; seams count every row. Others take this one’s edge and seam where they
        have them. Press its number or letter to take a cover.
      </p>
      @if (beside().length > 0) {
        @defer (on immediate) {
          <yl-side-by-side [shown]="beside()" />
        } @error {
          <p class="text-note text-ink-soft">The pictures could not be fetched.</p>
        }
      }
      <div class="compared">
        <table>
          <thead>
            <tr>
              <th scope="col" colspan="2">Cover</th>
              @for (heading of headings; track heading; let i = $index) {
                <th scope="col" [class.figure]="i < figures">{{ heading }}</th>
              }
              <th scope="col"><span class="sr-only">Take it</span></th>
            </tr>
          </thead>
          <tbody>
            @for (row of rows(); track row.offer.kind) {
              <tr [class.here]="row.here">
                <td class="w-28 p-1!">
                  @if (row.offer.facts; as facts) {
                    <yl-closed-picture class="h-18 w-27" [one]="facts.planned" [name]="row.offer.name + ', made up'" />
                  }
                </td>
                <th scope="row" class="min-w-36">
                  <b>{{ row.key }}</b> {{ row.offer.name }}<small>{{ row.offer.detail }}</small>
                  @if (row.offer.facts) {
                    <yl-tickbox class="text-small" [checked]="ticked().includes(row.offer.kind)" (checkedChange)="tick(row.offer.kind, $event)"
                      >in the round</yl-tickbox
                    >
                  }
                </th>
                @if (row.refused) {
                  <td [attr.colspan]="headings.length" class="text-ink-soft">{{ row.refused }}</td>
                } @else {
                  @for (cell of row.cells; track $index; let i = $index) {
                    <td [class]="i < figures ? 'figure' : 'min-w-22'">
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
  styleUrl: '../shared/compare-table.css',
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

  /** The covers that are shown in the round, in the order in which they were ticked. */
  protected readonly ticked = signal<readonly string[]>([]);
  protected readonly beside = computed(() => {
    const [job, shop] = [this.#store.job(), this.#store.shop()];
    const { units, step } = this.#store.inWords();
    const offers = new Map(this.rows().map(({ offer }) => [offer.kind, offer]));
    if (!job || !shop) return [];
    return this.ticked().flatMap((kind) => {
      const offer = offers.get(kind);
      const one = offer?.facts?.planned;
      return offer && one
        ? [{ name: offer.name, says: roundWords(one, (mm) => formatLengthUnit(mm, units, step)), subject: { one, job, shop, laid: null } }]
        : [];
    });
  });

  protected tick(kind: string, on: boolean): void {
    this.ticked.update((kinds) => [...kinds.filter((one) => one !== kind), ...(on ? [kind] : [])].slice(-MOST_BESIDE));
  }

  protected pressed(event: KeyboardEvent): void {
    takenByKey(
      event,
      (key) => this.rows().find((row) => row.key !== '' && row.key === key && !row.refused),
      ({ offer }) => this.close(offer),
    );
  }

  protected close(offer: CoverOffer | null): void {
    this.#dialog.close(offer?.construction ?? null);
  }
}
