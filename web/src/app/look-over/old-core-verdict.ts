import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import {
  filled,
  oldCoreAsRemnant,
  lookedOver,
  oldCoreCosts,
  refreshSteps,
  say,
  timed,
  type RefreshItem,
  minutesInWords,
  formatLengthUnit,
  formatSize,
} from '@yardland/core';
import { Tickbox } from '../shared/controls/tickbox';
import { newId } from '../shared/saving/new-id';
import { ShopEditor } from '../shared/saving/shop-editor';
import { Button, Words } from '../shared/ui/ui';
import { CostsList } from './costs-list';
import { REFRESH_WORDS, VERDICT_WORDS } from './look-over-words';
import { SeatEditor } from './seat-editor';

/** Hours and minutes from the beginning: `1:05`. */
const clockWords = (minutes: number): string => `${Math.floor(minutes / 60)}:${String(Math.round(minutes % 60)).padStart(2, '0')}`;

/** What a step is about: its words up to the first stop. */
const firstWords = (text: string): string => text.split(/[.:;]/, 1)[0] ?? text;

/** The verdict on the old core: its reasons, what would bring it back, and what that costs against a new one. */
@Component({
  selector: 'yl-old-core-verdict',
  imports: [Button, CostsList, Words, Tickbox],
  templateUrl: './old-core-verdict.html',
  host: {
    class:
      '[&_h2]:mt-0 [&_h2]:mb-1.5 [&_h2]:text-panel [&_h3]:mt-2.5 [&_h3]:mb-0.5 [&_h3]:text-row [&_ul]:pl-4.5 [&_ul]:my-0 [&_ul]:text-note [&_ul]:list-disc',
    role: 'region',
    'aria-label': 'Verdict on the old core',
  },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class OldCoreVerdict {
  protected readonly edit = inject(SeatEditor);
  readonly #shop = inject(ShopEditor);
  protected readonly looked = computed(() => {
    const one = this.edit.store.cushionPlan();
    return one ? lookedOver(one) : null;
  });
  protected readonly title = computed(() => VERDICT_WORDS[this.looked()?.judged.verdict ?? 'keep']);
  protected readonly reasons = computed(() => (this.looked()?.judged.reasons ?? []).map((reason) => say(reason, this.edit.store.inWords())));
  protected readonly refresh = computed(() => (this.looked()?.refresh ?? []).map((item) => this.#itemWords(item)));
  /** How it goes by the clock, hands busy while glue sets and the cover dries; null while the old core is not to go back in. */
  protected readonly course = computed(() => {
    const [one, inWords] = [this.edit.store.cushionPlan(), this.edit.store.inWords()];
    const steps = one && this.kept() ? refreshSteps(one.operations) : [];
    if (!one || !steps.length) return null;
    const { quantity } = one.source;
    const { steps: course, handMinutes, readyAt } = timed(steps, quantity);
    return {
      each: quantity === 1 ? 'one' : `all ${quantity}`,
      rows: course.map(({ step, from, ready }) => ({
        id: step.id,
        from: clockWords(from),
        words: firstWords(filled(step.text, step.figures, inWords.units, inWords.step)),
        wait: step.waitMinutes ? ` · waits ${minutesInWords(step.waitMinutes)}, ready at ${clockWords(ready)}` : '',
      })),
      total: `${minutesInWords(handMinutes)} of work; the last of it is ready ${minutesInWords(readyAt)} after the beginning.`,
    };
  });
  protected readonly costs = computed(() => {
    const [one, shop] = [this.edit.store.cushionPlan(), this.edit.store.shop()];
    const costs = one && shop ? oldCoreCosts(one, shop, this.edit.store.units()) : null;
    if (!costs) return null;
    const { refresh, replace, pricedOn } = costs;
    return { rows: [...(refresh ? [{ name: 'to refresh', figure: refresh }] : []), { name: 'to replace', figure: replace }], pricedOn };
  });
  protected readonly kept = computed(() => this.edit.store.cushion()?.core.kept === true);

  /** The old core as a remnant of the stockroom, and whether it lies there already; null where it is no good for that, or was not measured. */
  protected readonly asRemnant = computed(() => {
    const [one, shop, job, { units, step }] = [this.edit.store.cushionPlan(), this.edit.store.shop(), this.edit.store.job(), this.edit.store.inWords()];
    const found = one && shop && job ? oldCoreAsRemnant(one, job.name, shop) : 'not-measured';
    if (typeof found === 'string' || !shop) return null;
    const size = formatSize([found.widthMm, found.lengthMm], units, step);
    return {
      found,
      there: shop.document.remnants.some((kept) => kept.note === found.note && 'grade' in kept && kept.thicknessMm === found.thicknessMm),
      words: `${shop.stock(found.grade)?.name ?? found.grade}, ${formatLengthUnit(found.thicknessMm, units, step)} thick, ${size}`,
    };
  });

  /** One for each of the cushions alike. */
  protected intoStock(): void {
    const [remnant, quantity] = [this.asRemnant()?.found, this.edit.store.cushion()?.quantity ?? 1];
    if (!remnant) return;
    this.#shop.change((document) => {
      const taken = new Set(document.remnants.map(({ id }) => id));
      const more = Array.from({ length: quantity }, () => {
        const id = newId(`${remnant.grade} old core`, taken);
        taken.add(id);
        return { id, ...remnant };
      });
      return { ...document, remnants: [...document.remnants, ...more] };
    });
  }

  protected keep(): void {
    this.edit.store.editCushion(this.kept() ? 'New core' : 'Old core goes back in', (cushion) => {
      const { kept, ...core } = cushion.core;
      return { ...cushion, core: kept ? core : { ...core, kept: true } };
    });
  }

  #itemWords(item: RefreshItem): string {
    if (item.kind !== 'pad') return REFRESH_WORDS[item.kind];
    const { units, step } = this.edit.store.inWords();
    const sizes = item.pads.map((pad) => formatSize([pad.widthMm, pad.depthMm], units, step));
    return `${REFRESH_WORDS.pad} of ${item.pads.length === 1 ? 'one layer' : `${item.pads.length} layers`}, ${sizes.join(' and ')}, rounded as drawn`;
  }
}
