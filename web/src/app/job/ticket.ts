import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { LucideCircleHelp, LucideOctagonX, LucidePrinter, LucideTriangleAlert } from '@lucide/angular';
import {
  clothFacts,
  FIT_WORDS,
  formatNumber,
  formatRun,
  pieceLabel,
  pieceRemark,
  say,
  schoolWords,
  sewnApart,
  stationOf,
  whyLine,
  type BuyLine,
  type Figure,
  type Piece,
} from '@yardland/core';
import { Length } from '../shared/length';
import { Why } from '../shared/why';
import { needleAt } from './fit-bar';
import { JobStore } from './job-store';

interface SizeRow {
  readonly key: string;
  readonly name: string;
  readonly figures: readonly (Figure | null)[];
}

/** The paper ticket that is always true: the four sizes, pieces, fit, problems, what to buy. Any number opens its why. */
@Component({
  selector: 'yl-ticket',
  imports: [Length, Why, RouterLink, LucidePrinter, LucideTriangleAlert, LucideOctagonX, LucideCircleHelp],
  templateUrl: './ticket.html',
  host: { class: 'ticket', role: 'complementary', 'aria-label': 'Ticket' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Ticket {
  protected readonly store = inject(JobStore);
  /** Which number's why is open. */
  protected readonly open = signal<string | null>(null);

  protected readonly rows = computed<readonly SizeRow[]>(() => {
    const sizes = this.store.cushionPlan()?.sizes;
    if (!sizes) return [];
    return [
      { key: 'seat', name: 'Seat', figures: [sizes.seat.width, sizes.seat.depth, null] },
      { key: 'finished', name: 'Finished', figures: [sizes.finished.width, sizes.finished.depth, sizes.finished.height] },
      ...(sewnApart(sizes) ? [{ key: 'sewn', name: 'Sewn', figures: [sizes.sewn.width, sizes.sewn.depth, sizes.sewn.height] }] : []),
      { key: 'core', name: 'Core', figures: [sizes.core.width, sizes.core.depth, sizes.core.height] },
      ...(sizes.slope ? [{ key: 'thin', name: 'Thin edge', figures: [null, null, sizes.slope.finished] }] : []),
      { key: 'cut', name: 'Cut, plate', figures: [sizes.cut.width, sizes.cut.depth, null] },
    ];
  });
  protected readonly school = computed(() => {
    const [one, shop] = [this.store.cushionPlan(), this.store.shop()];
    return one && shop ? schoolWords(one, shop, this.store.inWords()) : '';
  });
  protected readonly pieces = computed(() => this.store.cushionPlan()?.pieces ?? []);
  protected readonly label = pieceLabel;

  protected readonly sub = computed(() => {
    const [plan, cushion] = [this.store.plan(), this.store.cushion()];
    if (!plan || !cushion) return '';
    const grade = cushion.core.layers.map((layer) => plan.shop.stock(layer.grade)?.name ?? layer.grade).join(' over ');
    return [cushion.quantity > 1 ? `${cushion.quantity} alike` : 'one', grade, clothFacts(plan.job, plan.shop).name].filter(Boolean).join(' · ');
  });

  protected readonly problems = computed(() => {
    const [one, plan, inWords] = [this.store.cushionPlan(), this.store.plan(), this.store.inWords()];
    // What concerns the whole job and this cushion: a split lot of its foam, a mark that stands twice.
    const own = new Set(one?.source.core.layers.map((layer) => `lots.${layer.grade}`));
    const shared = (plan?.problems ?? []).filter(({ path }) => own.has(path) || path.startsWith(`cushions.${this.store.cushionIndex()}.seat`));
    return [...(one?.problems ?? []), ...shared]
      .filter((problem) => problem.severity !== 'note')
      .map((problem) => ({ ...say(problem, inWords), severity: problem.severity, station: stationOf(problem.path) }));
  });

  protected readonly fit = computed(() => {
    const fit = this.store.cushionPlan()?.fit;
    if (!fit) return null;
    const [low, high] = [fit.tensionAcrossNPerM, fit.tensionAlongNPerM].sort((a, b) => a - b) as [number, number];
    const decides = fit.verdict === 'loose' ? low : high;
    return { at: needleAt(decides), words: FIT_WORDS[fit.verdict], tension: formatNumber(decides), crown: fit.crownMm };
  });

  /** What is measured off for one cushion besides its pieces. */
  protected readonly notions = computed(() => {
    const { cover, cornerFilling: loose } = this.store.cushionPlan() ?? {};
    const notions = cover?.notions;
    if (!notions) return [];
    return [
      { key: 'zip', name: 'zip tape', figure: notions.zip },
      ...(notions.cord ? [{ key: 'cord', name: 'welt cord', figure: notions.cord }] : []),
      { key: 'thread', name: 'thread', figure: notions.thread },
    ]
      .map((row) => ({ ...row, run: formatRun(row.figure.value, this.store.units()) }))
      .concat(loose ? [{ key: 'loose', name: 'loose wadding', figure: loose, run: `${formatNumber(Math.ceil(loose.value))} g` }] : []);
  });

  protected remark(piece: Piece): string {
    const grade = piece.grade === null ? '' : (this.store.shop()?.stock(piece.grade)?.name ?? piece.grade);
    return grade || pieceRemark(piece);
  }

  protected toggle(key: string): void {
    this.open.update((open) => (open === key ? null : key));
  }

  protected amount(line: BuyLine): string {
    if (!line.amount) return '';
    if (line.sold === 'run') return formatRun(line.amount.value, this.store.units());
    if (line.ware === 'filling') return `${formatNumber(line.amount.value)} made to size`;
    return `${formatNumber(line.amount.value)}${line.sold === 'sheets' ? (line.amount.value === 1 ? ' sheet' : ' sheets') : ''}`;
  }

  protected why(figure: Figure): string {
    return whyLine(figure, this.store.units());
  }
}
