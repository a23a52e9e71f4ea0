import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { formatLength, lookedOver, oldCoreCosts, say, type RefreshItem } from '@yardland/core';
import { Tickbox } from '../shared/controls/tickbox';
import { Words } from '../shared/ui/ui';
import { CostsList } from './costs-list';
import { REFRESH_WORDS, VERDICT_WORDS } from './look-over-words';
import { SeatEditor } from './seat-editor';

/** The verdict on the old core: its reasons, what would bring it back, and what that costs against a new one. */
@Component({
  selector: 'yl-old-core-verdict',
  imports: [CostsList, Words, Tickbox],
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
  protected readonly looked = computed(() => {
    const one = this.edit.store.cushionPlan();
    return one ? lookedOver(one) : null;
  });
  protected readonly title = computed(() => VERDICT_WORDS[this.looked()?.judged.verdict ?? 'keep']);
  protected readonly reasons = computed(() => (this.looked()?.judged.reasons ?? []).map((reason) => say(reason, this.edit.store.inWords())));
  protected readonly refresh = computed(() => (this.looked()?.refresh ?? []).map((item) => this.#itemWords(item)));
  protected readonly costs = computed(() => {
    const [one, shop] = [this.edit.store.cushionPlan(), this.edit.store.shop()];
    const costs = one && shop ? oldCoreCosts(one, shop, this.edit.store.units()) : null;
    if (!costs) return null;
    const { refresh, replace, pricedOn } = costs;
    return { rows: [...(refresh ? [{ name: 'to refresh', figure: refresh }] : []), { name: 'to replace', figure: replace }], pricedOn };
  });
  protected readonly kept = computed(() => this.edit.store.cushion()?.core.kept === true);

  protected keep(): void {
    this.edit.store.editCushion(this.kept() ? 'New core' : 'Old core goes back in', (cushion) => {
      const { kept, ...core } = cushion.core;
      return { ...cushion, core: kept ? core : { ...core, kept: true } };
    });
  }

  #itemWords(item: RefreshItem): string {
    if (item.kind !== 'pad') return REFRESH_WORDS[item.kind];
    const { units, step } = this.edit.store.inWords();
    const sizes = item.pads.map((pad) => `${formatLength(pad.widthMm, units, step)} × ${formatLength(pad.depthMm, units, step)}`);
    return `${REFRESH_WORDS.pad} of ${item.pads.length === 1 ? 'one layer' : `${item.pads.length} layers`}, ${sizes.join(' and ')}, rounded as drawn`;
  }
}
