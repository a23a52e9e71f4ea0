import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  choose,
  chooseRequestOf,
  formatLengthUnit,
  formatMoney,
  formatNumber,
  newCost,
  oldestPrice,
  priceCaution,
  type Choice as Chosen,
  type Excluded,
  type Ranked,
} from '@yardland/core';
import type { JobStore } from '../job/job-store';
import { Tickbox } from '../shared/controls/tickbox';
import { today } from '../shared/words/days';
import { Button, DialogFoot, DialogFrame, Label } from '../shared/ui/ui';

export interface ChooseData {
  readonly store: JobStore;
  /** Stacks laid beside the one in hand, by their names; at most three. */
  readonly rivals: readonly Ranked[];
}

export interface ChooseResult {
  readonly take: Ranked | null;
  /** Remnants that it is cut from, to be set aside. */
  readonly remnants: readonly string[];
  readonly rivals: readonly Ranked[];
}

const VERDICT_WORDS: Record<Ranked['verdicts'][number], string> = {
  'bottoms-out': 'bottoms out',
  'near-bottom': 'near its bottom',
  'board-like': 'sits like a board',
  'hard-to-rise': 'hard to get up from',
};
/** What a person may insist on; everything else ranks. */
const MUSTS: readonly { readonly key: string; readonly name: string; readonly holds: (one: Ranked, wanted: Ranked['feel'] | null) => boolean }[] = [
  { key: 'clean', name: 'nothing speaks against it', holds: (one) => one.verdicts.length === 0 },
  { key: 'feel', name: 'feels as wanted', holds: (one, wanted) => one.feel === wanted },
  { key: 'single', name: 'one layer, no glue', holds: (one) => one.layers.length === 1 },
  { key: 'foam', name: 'foam only', holds: (one) => one.layers.every((layer) => layer.hardness25N !== null) },
];
const MOST_RIVALS = 3;
const SHOWN = 12;
const SHOWN_THERE = 4;

export const stackKey = (one: Ranked): string => one.layers.map((layer) => `${layer.grade} ${layer.thicknessMm}`).join(' / ');

/** The ranked list: each stack with its reasons, to take or to lay beside the one in hand; and what fell out, with why. */
@Component({
  selector: 'yl-choose-dialog',
  imports: [DialogFrame, Label, Tickbox, Button, DialogFoot],
  template: `
    <div ylDialog="wide">
      <h2 id="choose-title">Choose for me</h2>
      <p>{{ asked() }}</p>
      <fieldset class="ticks flex flex-wrap gap-y-0 gap-x-3.5">
        <legend ylLabel>What must hold</legend>
        @for (must of musts; track must.key) {
          <yl-tickbox [checked]="held().includes(must.key)" (checkedChange)="hold(must.key)">{{ must.name }}</yl-tickbox>
        }
      </fieldset>
      @if (there().length) {
        <section aria-labelledby="there-title">
          <h3 id="there-title">From what is there</h3>
          <ul class="grid gap-1.5">
            @for (one of there(); track one.words) {
              <li class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3 border-b border-dotted border-b-line-strong py-2">
                <div>
                  <strong>{{ one.words }}</strong>
                  <p class="text-note text-ink-soft">{{ one.says }}.</p>
                  <p class="text-note text-ink-soft">{{ one.because }}</p>
                </div>
                <button type="button" ylButton [attr.aria-label]="'Take ' + one.words" (click)="close(one.stack, one.remnants)">Take</button>
              </li>
            }
          </ul>
          @if (bestNew()) {
            <p class="text-note text-ink-soft">{{ bestNew() }}</p>
          }
        </section>
      }
      <ol
        class="gap-1.5 grid [&_p]:text-note [&_p]:text-ink-soft [&_li]:py-2 [&_li]:border-b [&_li]:border-dotted [&_li]:border-b-line-strong [&_li]:grid [&_li]:grid-cols-[2.75rem_minmax(0,1fr)_auto] [&_li]:items-center [&_li]:gap-y-1 [&_li]:gap-x-3 max-phone:[&_li]:grid-cols-[2.25rem_minmax(0,1fr)]"
        data-part="ranking"
      >
        @for (one of shown(); track key(one)) {
          <li>
            <b class="font-bold text-grand font-head text-right">{{ one.score.toFixed(0) }}</b>
            <div>
              <strong>{{ words(one) }}</strong>
              <p>{{ one.because }}</p>
              @if (one.verdicts.length) {
                <p class="font-semibold text-error!">{{ verdicts(one) }}</p>
              }
            </div>
            <div class="gap-3 flex max-phone:col-[2]">
              <button type="button" ylButton [attr.aria-label]="'Take ' + words(one)" (click)="close(one)">Take</button>
              <yl-tickbox [checked]="isRival(one)" [disabled]="!isRival(one) && rivals().length >= 3" (checkedChange)="toggle(one)"
                >compare<span class="sr-only"> {{ words(one) }}</span></yl-tickbox
              >
            </div>
          </li>
        } @empty {
          <li><p>Nothing in the catalogue holds for this seat. What fell out, and why, stands below.</p></li>
        }
      </ol>
      <details>
        <summary>{{ choice().excluded.length }} fillings fell out</summary>
        <ul class="pl-4.5 mb-1 flex-[1_1_100%] [columns:2_260px] text-note list-disc">
          @for (one of choice().excluded; track one.grade) {
            <li>
              <b>{{ name(one.grade) }}</b> {{ one.reason }}.
              @if (saves(one); as save) {
                <span>What would save it: {{ save }}.</span>
              }
            </li>
          }
        </ul>
      </details>
      <div ylDialogFoot><button type="button" ylButton="strong" (click)="close(null)">Done</button></div>
    </div>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ChooseDialog {
  readonly #data = inject<ChooseData>(DIALOG_DATA);
  readonly #dialog = inject<DialogRef<ChooseResult>>(DialogRef);
  readonly #store = this.#data.store;
  protected readonly rivals = signal(this.#data.rivals);
  protected readonly musts = MUSTS;
  protected readonly held = signal<readonly string[]>([]);
  protected readonly key = stackKey;

  readonly #request = computed(() => {
    const [one, shop] = [this.#store.cushionPlan(), this.#store.shop()];
    return one && shop ? chooseRequestOf(one, shop, this.#store.units()) : null;
  });
  protected readonly choice = computed<Chosen>(() => {
    const [request, shop] = [this.#request(), this.#store.shop()];
    return request && shop ? choose(request, shop.document, (key) => shop.assume(key, this.#store.units())) : { ranked: [], there: [], excluded: [] };
  });
  protected readonly shown = computed(() =>
    this.choice()
      .ranked.filter((one) => MUSTS.every((must) => !this.held().includes(must.key) || must.holds(one, this.#wanted())))
      .slice(0, SHOWN),
  );

  /** Stacks of remnants, a few of the best: what they cost and why they rank so. */
  protected readonly there = computed(() =>
    this.choice()
      .there.filter((one) => MUSTS.every((must) => !this.held().includes(must.key) || must.holds(one, this.#wanted())))
      .slice(0, SHOWN_THERE)
      .map((stack) => ({
        stack,
        words: this.words(stack),
        remnants: stack.remnants.flat(),
        says: [
          `${stack.boughtShare === 0 ? 'Nothing is bought' : `${formatNumber(stack.boughtShare * 100)} % of its height is bought`}: about ${formatMoney(stack.cost.value)} each with glue and work`,
          ...(stack.verdicts.length ? [this.verdicts(stack)] : []),
        ].join('; '),
        because: `Score ${stack.score.toFixed(0)}. ${stack.because}`,
      })),
  );

  /** The best new stack beside them, at its dated price. */
  protected readonly bestNew = computed(() => {
    const [request, shop, best] = [this.#request(), this.#store.shop(), this.choice().ranked[0]];
    const cost = request && shop && best ? newCost(best, request, shop.document, (key) => shop.assume(key, this.#store.units())) : null;
    if (!cost || !best || !shop) return '';
    const caution = priceCaution(oldestPrice(best.layers.map(({ grade }) => shop.stock(grade)?.pricedOn)), today());
    return `The best new one, ${this.words(best)}: about ${formatMoney(cost.value)} each${caution ? ` (${caution})` : ''}, score ${best.score.toFixed(0)}.`;
  });

  readonly #wanted = computed(() => this.#request()?.feel ?? null);

  protected hold(key: string): void {
    this.held.update((held) => (held.includes(key) ? held.filter((one) => one !== key) : [...held, key]));
  }

  protected readonly asked = computed(() => {
    const request = this.#request();
    if (!request) return '';
    const { units, step } = this.#store.inWords();
    const many = request.sitters.length === 1 ? 'one sitter' : `${request.sitters.length} sitters`;
    return `A ${request.feel} ${request.part} of ${formatLengthUnit(request.heightMm, units, step)} for ${many}, ${request.place}s, on ${request.support.replace('-', ' ')}. Scores are of 100; they rank and do not measure.`;
  });

  protected name(grade: string): string {
    return this.#store.shop()?.stock(grade)?.name ?? grade;
  }

  /** What would let a filling in, in the job's units. */
  protected saves({ save, higherMm }: Excluded): string | null {
    const { units, step } = this.#store.inWords();
    if (higherMm === undefined || save === null) return save;
    return `${save}, ${formatLengthUnit(higherMm, units, step)} higher or more`;
  }

  protected words(one: Ranked): string {
    const { units, step } = this.#store.inWords();
    return one.layers.map((layer) => `${formatLengthUnit(layer.thicknessMm, units, step)} ${this.name(layer.grade)}`).join(' over ');
  }

  protected verdicts(one: Ranked): string {
    return one.verdicts.map((verdict) => VERDICT_WORDS[verdict]).join(', ');
  }

  protected isRival(one: Ranked): boolean {
    return this.rivals().some((rival) => stackKey(rival) === stackKey(one));
  }

  protected toggle(one: Ranked): void {
    this.rivals.update((rivals) => (this.isRival(one) ? rivals.filter((rival) => stackKey(rival) !== stackKey(one)) : [...rivals, one].slice(0, MOST_RIVALS)));
  }

  protected close(take: Ranked | null, remnants: readonly string[] = []): void {
    this.#dialog.close({ take, remnants, rivals: this.rivals() });
  }
}
