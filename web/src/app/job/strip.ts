import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { bounds, clothWords, flatten } from '@yardland/core';
import { JobStore } from './job-store';

const BOX = { width: 48, height: 34 };

/** The job's cushions as small outlines, all to one scale, with their counts. */
@Component({
  selector: 'ul[yl-strip]',
  template: `
    @for (cushion of cushions(); track $index; let i = $index) {
      <li>
        <button
          type="button"
          class="group relative grid h-13.5 w-16.5 cursor-pointer place-items-center rounded-md border-0 bg-transparent text-ink hover:bg-calico-deep aria-pressed:bg-linen aria-pressed:shadow-[inset_0_0_0_2px_var(--color-ink)]"
          [attr.aria-pressed]="i === store.cushionIndex()"
          [attr.aria-label]="cushion.name + ', ' + cushion.quantity + cushion.cloth"
          [title]="cushion.name + cushion.cloth"
          (click)="choose.emit(i)"
        >
          <svg width="48" height="34" viewBox="0 0 48 34" aria-hidden="true">
            <path class="fill-linen stroke-ink stroke-[1.6] group-aria-pressed:fill-straw" [attr.d]="cushion.path" />
          </svg>
          <b class="absolute right-1 bottom-px rounded-[3px] bg-linen px-0.5 text-tiny" aria-hidden="true">×{{ cushion.quantity }}</b>
          @if (cushion.letter) {
            <i class="absolute top-px right-1 rounded-[3px] bg-linen px-0.5 text-tiny font-bold text-chalk not-italic" aria-hidden="true">{{
              cushion.letter
            }}</i>
          }
        </button>
      </li>
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Strip {
  protected readonly store = inject(JobStore);
  readonly choose = output<number>();

  /** Where the cushions are of several cloths, a letter for each and its name; nothing where they are all of one. */
  readonly #cloths = computed(() => {
    const [job, shop] = [this.store.job(), this.store.shop()];
    const names = job && shop ? job.cushions.map((cushion) => clothWords('main', job, cushion, shop)) : [];
    const distinct = [...new Set(names)];
    return distinct.length < 2 ? [] : names.map((name) => ({ letter: String.fromCharCode(65 + distinct.indexOf(name)), cloth: `, in ${name}` }));
  });

  protected readonly cushions = computed(() => {
    const cushions = this.store.job()?.cushions ?? [];
    const plans = this.store.plan()?.cushions ?? [];
    const outlines = cushions.map((_, i) => (plans[i]?.seat ? flatten(plans[i].seat, 2) : []));
    const boxes = outlines.map((points) => (points.length ? bounds(points) : { minX: 0, minY: 0, maxX: 1, maxY: 1 }));
    const scale = Math.min(...boxes.map((box) => Math.min((BOX.width - 4) / (box.maxX - box.minX), (BOX.height - 4) / (box.maxY - box.minY))));
    const cloths = this.#cloths();
    return cushions.map(({ name, quantity }, i) => {
      const [points = [], box] = [outlines[i], boxes[i]];
      const middle = box ? { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 } : { x: 0, y: 0 };
      const path = points
        .map((p) => `${(BOX.width / 2 + (p.x - middle.x) * scale).toFixed(1)} ${(BOX.height / 2 - (p.y - middle.y) * scale).toFixed(1)}`)
        .join('L');
      return { name, quantity, path: path ? `M${path}Z` : '', ...(cloths[i] ?? { letter: '', cloth: '' }) };
    });
  });
}
