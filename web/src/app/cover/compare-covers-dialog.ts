import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { answersIn, contextOf, compareCovers, formatLengthUnit, formatNumber, formatRun, sayLine, type CoverOffer } from '@yardland/core';
import { roundWords } from '@yardland/core/solid';
import type { JobStore } from '../job/job-store';
import { ClosedPicture } from '../round-thread/closed-picture';
import { SideBySide } from '../round/side-by-side';
import { Tickbox } from '../shared/controls/tickbox';
import { ComparedCells, type ComparedColumn, type ComparedRow, ComparedUnderName, Comparison } from '../shared/comparison';

interface Row extends ComparedRow<CoverOffer['construction']> {
  readonly offer: CoverOffer;
  readonly refused: string;
  /** What is said of it under each heading, in their order. */
  readonly cells: readonly string[];
  /** A few words more under the last of them. */
  readonly hard: string;
}

const COLUMNS: readonly ComparedColumn[] = [
  { words: 'Made up' },
  ...['Pieces', 'Cloth, flat', 'Machine', 'Top stitch', 'By hand', 'Work'].map((words) => ({ words, figure: true })),
  { words: 'Zip' },
  { words: 'Edge, and what is hard' },
];
/** So many stand side by side at most: of more, the one ticked first goes. */
const MOST_BESIDE = 4;
/** The key of each row, in their order. */
const KEYS = '123456789abcdefgh';

/** The cushion through every construction side by side; one is taken with its key, or by its button. */
@Component({
  selector: 'yl-compare-covers-dialog',
  imports: [ClosedPicture, Comparison, ComparedCells, ComparedUnderName, Tickbox, SideBySide],
  template: `
    <yl-comparison title="Compare covers" [idea]="idea()" what="Cover" [columns]="columns" [rows]="rows()" (closed)="close($event)">
      @if (beside().length > 0) {
        @defer (on immediate) {
          <yl-side-by-side [shown]="beside()" />
        } @error {
          <p class="text-note text-ink-soft">The pictures could not be fetched.</p>
        }
      }
      <ng-template [ylUnderName]="rows()" let-row>
        <small>{{ row.offer.detail }}</small>
        @if (row.offer.facts) {
          <yl-tickbox class="text-small" [checked]="ticked().includes(row.offer.kind)" (checkedChange)="tick(row.offer.kind, $event)">in the round</yl-tickbox>
        }
      </ng-template>
      <ng-template [ylCells]="rows()" let-row>
        @if (row.refused) {
          <td [attr.colspan]="columns.length" class="text-ink-soft">{{ row.refused }}</td>
        } @else {
          <td class="w-28 p-1!">
            @if (row.offer.facts; as facts) {
              <yl-closed-picture class="h-18 w-27" [one]="facts.planned" [name]="row.name + ', made up'" />
            }
          </td>
          @for (cell of row.cells; track $index; let i = $index) {
            <td [class]="columns[i + 1]?.figure ? 'figure' : 'min-w-22'">
              {{ cell }}
              @if ($last) {
                <small>{{ row.hard }}</small>
              }
            </td>
          }
        }
      </ng-template>
    </yl-comparison>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CompareCoversDialog {
  readonly #store = inject<JobStore>(DIALOG_DATA);
  readonly #dialog = inject<DialogRef<CoverOffer['construction'] | null>>(DialogRef);
  protected readonly columns = COLUMNS;
  protected readonly idea = computed(
    () =>
      `For one cushion: ${this.#store.cushion()?.name ?? ''}. Cloth is the pieces’ own area, before it is laid; seams count every row. Others take this one’s edge and seam where they have them. Press its number or letter to take a cover.`,
  );

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
        name: offer.name,
        offer,
        here: offer.kind === cushion.construction.kind,
        takes: offer.problems.length > 0 ? null : offer.construction,
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

  protected close(construction: CoverOffer['construction'] | null): void {
    this.#dialog.close(construction);
  }
}
