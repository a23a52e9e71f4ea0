import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { lengthParts, partsText, type Pair, type UnitSystem } from '@yardland/core';

/** A length as it is printed: large figures, the fraction stacked, the unit only where asked for. */
@Component({
  selector: 'yl-length',
  template: `<span class="sr-only">{{ spoken() }}</span
    ><span class="length" aria-hidden="true">
      @if (parts().negative) {
        −
      }
      {{ showWhole() ? parts().whole : '' }}
      @if (parts().numerator) {
        <span class="fraction"
          ><span>{{ parts().numerator }}</span
          ><span>{{ parts().denominator }}</span></span
        >
      }
      @if (unit()) {
        <span class="unit">{{ parts().unit }}</span>
      }
    </span>`,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Length {
  readonly mm = input.required<number>();
  readonly units = input.required<UnitSystem>();
  readonly step = input.required<Pair>();
  readonly unit = input(false);
  protected readonly parts = computed(() => lengthParts(this.mm(), this.units(), this.step()));
  protected readonly showWhole = computed(() => this.parts().whole !== '0' || !this.parts().numerator);
  protected readonly spoken = computed(() => `${partsText(this.parts())} ${this.parts().unit === 'in' ? 'inches' : 'millimetres'}`);
}
