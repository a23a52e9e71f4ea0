import { LiveAnnouncer } from '@angular/cdk/a11y';
import { afterRenderEffect, ChangeDetectionStrategy, Component, computed, ElementRef, inject, signal } from '@angular/core';
import { takeUntilDestroyed, toObservable } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import { Icon } from '../shared/icon';
import {
  clothUse,
  clothWords,
  decidingWords,
  feelWords,
  FIT_WORDS,
  formatLengthUnit,
  lookWords,
  outlookOf,
  shareOfBand,
  formatNumber,
  formatRun,
  problemsOf,
  say,
  schoolWords,
  salvagedWords,
  sewnApart,
  splitWords,
  stationOf,
  whyLine,
  type BuyLine,
  type Figure,
  type Piece,
  amountWords,
  notionsOf,
} from '@yardland/core';
import { debounceTime, distinctUntilChanged, skip } from 'rxjs';
import { Term } from '../shared/words/term';
import { Length } from '../shared/words/length';
import { Button, FigureButton } from '../shared/ui/ui';
import { Why } from '../shared/why';
import { AdviceStore } from './solving/advice-store';
import { adviceWords } from './solving/advice-words';
import { needleAt } from './fit-bar';
import { ClosedPicture } from '../round-thread/closed-picture';
import { JobStore } from './job-store';
import { TakeAway } from './take-away';

/** What changed is read out when nothing has changed for this long. */
const READ_OUT_MS = 1000;

interface SizeRow {
  readonly key: string;
  readonly name: string;
  readonly figures: readonly (Figure | null)[];
}

/** The paper ticket that is always true: the four sizes, pieces, fit, problems, what to buy. Any number opens its why. */
@Component({
  selector: 'yl-ticket',
  imports: [ClosedPicture, FigureButton, Button, Length, TakeAway, Term, Why, RouterLink, Icon],
  templateUrl: './ticket.html',
  host: {
    class:
      'py-3.5 pr-4.5 pl-3.5 border-l border-l-line flex flex-col min-h-0 [filter:drop-shadow(0_3px_5px_var(--color-shade-soft))] [&_h2]:my-0 [&_h2]:text-figure [&_h3]:mt-4 [&_h3]:mb-1 [&_h3]:text-row max-tablet:p-2.5',
    role: 'complementary',
    'aria-label': 'Ticket',
  },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Ticket {
  protected readonly store = inject(JobStore);
  protected readonly advice = inject(AdviceStore);
  /** Which number's why is open. */
  protected readonly open = signal<string | null>(null);

  protected readonly rows = computed<readonly SizeRow[]>(() => {
    const sizes = this.store.cushionPlan()?.sizes;
    if (!sizes) return [];
    return [
      { key: 'seat', name: 'Seat', figures: [sizes.seat.width, sizes.seat.depth, null] },
      { key: 'finished', name: 'Finished', figures: [sizes.finished.width, sizes.finished.depth, sizes.finished.height] },
      ...(sewnApart(sizes)
        ? [{ key: 'sewn', name: 'Sewn', figures: [sizes.sewn.width, sizes.sewn.depth, sizes.sewn.height.value > 0 ? sizes.sewn.height : null] }]
        : []),
      { key: 'core', name: 'Core', figures: [sizes.core.width, sizes.core.depth, sizes.core.height] },
      ...(sizes.slope ? [{ key: 'thin', name: 'Thin edge', figures: [null, null, sizes.slope.finished] }] : []),
      { key: 'cut', name: 'Cut, plate', figures: [sizes.cut.width, sizes.cut.depth, null] },
    ];
  });
  protected readonly school = computed(() => {
    const [one, shop] = [this.store.cushionPlan(), this.store.shop()];
    return one && shop ? schoolWords(one, shop, this.store.inWords()) : '';
  });
  /** The cushion as it is drawn made up; null where it cannot be made. */
  protected readonly pictured = computed(() => {
    const one = this.store.cushionPlan();
    return one?.state === 'planned' ? one : null;
  });
  protected readonly pieces = computed(() => this.store.cushionPlan()?.pieces ?? []);

  protected readonly sub = computed(() => {
    const [plan, cushion] = [this.store.plan(), this.store.cushion()];
    if (!plan || !cushion) return '';
    const names = cushion.core.layers.map((layer) => plan.shop.stock(layer.grade)?.name ?? layer.grade);
    const grade = names.filter((name, i) => name !== names[i - 1]).join(' over ');
    const { name, detail } = this.store.cushionPlan()?.construction ?? { name: '', detail: '' };
    const made = [name, detail].filter(Boolean).join(', ');
    return [
      cushion.quantity > 1 ? `${cushion.quantity} alike` : 'one',
      splitWords(cushion),
      made,
      grade,
      clothUse('main', plan.job, cushion, plan.shop).material === undefined ? '' : clothWords('main', plan.job, cushion, plan.shop),
    ]
      .filter(Boolean)
      .join(' · ');
  });

  protected readonly problems = computed(() => {
    const [one, plan, inWords] = [this.store.cushionPlan(), this.store.plan(), this.store.inWords()];
    if (!one || !plan) return [];
    return problemsOf(plan, this.store.cushionIndex())
      .filter((problem) => problem.severity !== 'note')
      .map((problem) => ({ ...say(problem, inWords), severity: problem.severity, station: stationOf(problem.path) }));
  });

  /** How it will look, feel and close, and the one change that would help most. */
  protected readonly outlook = computed(() => {
    const [one, shop, inWords] = [this.store.cushionPlan(), this.store.shop(), this.store.inWords()];
    if (one?.state !== 'planned' || !shop) return null;
    const { look, feel, close } = outlookOf(one, shop, inWords.units);
    if (!look && !feel) return null;
    const size = (mm: number): string => formatLengthUnit(mm, inWords.units, inWords.step);
    return {
      at: one.fit
        ? needleAt(
            one.fit.verdict,
            shareOfBand(one.fit, (key) => shop.assume(key, inWords.units)),
          )
        : null,
      look: look && lookWords(look, size),
      feel: feel && feelWords(feel, size),
      close: close && `${FIT_WORDS[close.verdict]}, about ${decidingWords(close.deciding, this.store.units())}${close.rough ? ', a rough guide' : ''}`,
    };
  });
  protected readonly best = computed(() => {
    const [advice] = this.advice.advice();
    return advice ? { advice, words: adviceWords(advice, this.store.inWords()) } : null;
  });

  /** The cushion in one sentence, as a screen reader tells it after a change. */
  readonly #told = computed(() => {
    const [one, { units, step }] = [this.store.cushionPlan(), this.store.inWords()];
    if (!one?.sizes) return '';
    const { width, depth, height } = one.sizes.finished;
    const size = [width, depth, height].map(({ value }) => formatLengthUnit(value, units, step)).join(' by ');
    const wrong = this.problems()[0]?.what ?? '';
    return [`${one.source.name}, finished ${size}`, this.outlook()?.close, wrong].filter(Boolean).join('. ');
  });

  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    // The row of a piece that is picked on the lay comes into sight.
    afterRenderEffect(() => {
      const piece = this.store.shownPiece();
      if (piece !== null) host.querySelector(`[data-piece="${CSS.escape(piece)}"]`)?.scrollIntoView({ block: 'nearest' });
    });
    const announcer = inject(LiveAnnouncer);
    toObservable(this.#told)
      .pipe(debounceTime(READ_OUT_MS), distinctUntilChanged(), skip(1), takeUntilDestroyed())
      .subscribe((words) => void announcer.announce(words));
  }

  /** What is measured off for one cushion besides its pieces. */
  protected readonly notions = computed(() => {
    const one = this.store.cushionPlan();
    const loose = one?.cornerFilling;
    const { units } = this.store.inWords();
    const bought = (one ? notionsOf(one) : []).filter(({ ware }) => ware !== 'slider');
    return [
      ...bought.map(({ name, sold, amount }) => ({
        key: name,
        name,
        figure: amount,
        run: amountWords(sold, amount.value, units),
      })),
      ...(loose ? [{ key: 'loose', name: 'loose wadding', figure: loose, run: `${formatNumber(Math.ceil(loose.value))} g` }] : []),
    ];
  });

  /** Salvaged zips that go into this cushion. */
  protected readonly salvaged = computed(() => salvagedWords(this.store.plan()?.salvaged ?? [], this.store.cushionIndex(), this.store.inWords()));

  /** What foam or filling it is of; for all else a few words more. */
  protected remark({ material, remark }: Piece): string {
    const id = material.kind === 'foam' ? material.grade : material.kind === 'filling' ? material.filling : null;
    return id === null ? remark : (this.store.shop()?.stock(id)?.name ?? id);
  }

  protected toggle(key: string): void {
    this.open.update((open) => (open === key ? null : key));
  }

  protected amount(line: BuyLine): string {
    if (!line.amount) return '';
    if (line.ownMm !== undefined) {
      const [there, needed] = [line.ownMm, line.amount.value].map((mm) => formatRun(mm, this.store.units()));
      return line.ownMm < line.amount.value ? `${there} is there, ${needed} needed` : `their own, ${needed} of ${there}`;
    }
    if (line.ware === 'filling') return `${formatNumber(line.amount.value)} made to size`;
    return amountWords(line.sold, line.amount.value, this.store.units());
  }

  /** What to buy as lines of text. */
  protected readonly toBuy = computed(() =>
    (this.store.plan()?.buy ?? []).map((line) => {
      const { units, step } = this.store.inWords();
      const thick = line.thicknessMm ? `, ${formatLengthUnit(line.thicknessMm, units, step)}` : '';
      return `${line.name}${thick}: ${this.amount(line) || 'being worked out'}${line.unplaced ? `, without ${line.without.join(', ')}` : ''}`;
    }),
  );

  protected why(figure: Figure): string {
    return whyLine(figure, this.store.units());
  }
}
