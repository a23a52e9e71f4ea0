import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

/** How far long work has come: a length of tape that is drawn out along its marks. */
@Component({
  selector: 'yl-progress',
  template: `<span class="drawn" [style.width.%]="percent()"></span>`,
  styles: `
    :host {
      display: block;
      min-width: 140px;
      height: 14px;
      border: 1.5px solid var(--color-line-strong);
      border-radius: 4px;
      overflow: hidden;
      background: repeating-linear-gradient(90deg, var(--color-line-strong) 0 1px, transparent 1px 12px) 0 100% / 100% 5px no-repeat var(--color-linen);
    }
    .drawn {
      display: block;
      height: 100%;
      background: var(--color-chalk);
      transition: width 150ms ease-out;
    }
    @media (prefers-reduced-motion: reduce) {
      .drawn {
        transition: none;
      }
    }
  `,
  host: {
    role: 'progressbar',
    'aria-valuemin': '0',
    'aria-valuemax': '100',
    '[attr.aria-valuenow]': 'percent()',
    '[attr.aria-label]': 'label()',
  },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ProgressTape {
  /** What is being done, for those who do not see it. */
  readonly label = input.required<string>();
  readonly done = input.required<number>();
  readonly of = input.required<number>();
  protected readonly percent = computed(() => (this.of() > 0 ? Math.round(Math.min(1, Math.max(0, this.done() / this.of())) * 100) : 0));
}
