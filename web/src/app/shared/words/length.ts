import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { lengthParts, partsText, type Pair, type UnitSystem } from '@yardland/core';
import { measuresHere } from '../controls/measures';

/** A length as it is printed: large figures, the fraction stacked, the unit only where asked for. */
@Component({
  selector: 'yl-length',
  template: `<span class="sr-only">{{ spoken() }}</span
    ><span class="inline-flex items-baseline whitespace-nowrap" aria-hidden="true">
      @if (parts().negative) {
        −
      }
      {{ showWhole() ? parts().whole : '' }}
      @if (parts().numerator) {
        <span
          class="ml-[0.14em] inline-flex flex-col text-[0.62em] leading-[1.04] text-center self-center [&_span:first-child]:border-b-[1.3px] [&_span:first-child]:border-b-current"
          ><span>{{ parts().numerator }}</span
          ><span>{{ parts().denominator }}</span></span
        >
      }
      @if (unit()) {
        <span class="ml-[0.25em] text-[0.72em] font-normal">{{ parts().unit }}</span>
      }
    </span>`,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Length {
  readonly mm = input.required<number>();
  /** The page's where they are not told. */
  readonly units = input<UnitSystem>();
  readonly step = input<Pair>();
  protected readonly here = measuresHere(this);
  readonly unit = input(false);
  protected readonly parts = computed(() => lengthParts(this.mm(), this.here.units(), this.here.step()));
  protected readonly showWhole = computed(() => this.parts().whole !== '0' || !this.parts().numerator);
  protected readonly spoken = computed(() => `${partsText(this.parts())} ${this.parts().unit === 'in' ? 'inches' : 'millimetres'}`);
}
