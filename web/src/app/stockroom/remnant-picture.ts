import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { remnantMaterial, type Point, type Remnant } from '@yardland/core';

const path = (points: readonly Point[], heightMm: number): string => points.map(({ x, y }, i) => `${i ? 'L' : 'M'}${x} ${heightMm - y}`).join('') + 'Z';

/** A remnant or hide to scale: its outline, hatched where it is soft, dark where it has a flaw. */
@Component({
  selector: 'yl-remnant-picture',
  template: `
    <svg class="mb-3 block h-44 w-full" [attr.viewBox]="box()" role="img" [attr.aria-label]="words()">
      <defs>
        <pattern id="soft-hatch" patternUnits="userSpaceOnUse" [attr.width]="hatch()" [attr.height]="hatch()" patternTransform="rotate(45)">
          <line y1="0" [attr.y2]="hatch()" class="stroke-ink-soft [vector-effect:non-scaling-stroke]" stroke-width="1.5" />
        </pattern>
      </defs>
      <path [attr.d]="outline()" class="fill-linen stroke-madder [vector-effect:non-scaling-stroke]" stroke-width="2" />
      @for (d of soft(); track $index) {
        <path [attr.d]="d" fill="url(#soft-hatch)" class="stroke-ink-soft [vector-effect:non-scaling-stroke]" stroke-dasharray="4 3" />
      }
      @for (d of flaws(); track $index) {
        <path [attr.d]="d" class="fill-ink stroke-ink [vector-effect:non-scaling-stroke]" />
      }
      @if (cross(); as d) {
        <path [attr.d]="d" class="fill-none stroke-chalk [vector-effect:non-scaling-stroke]" stroke-width="2" />
      }
    </svg>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class RemnantPicture {
  readonly remnant = input.required<Remnant>();
  readonly #material = computed(() => remnantMaterial(this.remnant()));
  protected readonly box = computed(() => {
    const { lengthMm, widthMm } = this.remnant();
    const room = Math.max(lengthMm, widthMm) * 0.02;
    return `${-room} ${-room} ${lengthMm + 2 * room} ${widthMm + 2 * room}`;
  });
  protected readonly hatch = computed(() => Math.max(this.remnant().lengthMm, this.remnant().widthMm) / 40);
  protected readonly outline = computed(() => this.#path(this.#material().outline));
  protected readonly flaws = computed(() => this.#material().flaws.map((ring) => this.#path(ring)));
  protected readonly soft = computed(() => (this.#material().soft ?? []).map((ring) => this.#path(ring)));
  /** Where a motif was found. */
  protected readonly cross = computed(() => {
    const { motif, widthMm } = this.remnant();
    const arm = this.hatch();
    return motif && `M${motif.alongMm - arm} ${widthMm - motif.acrossMm}h${2 * arm}m${-arm} ${-arm}v${2 * arm}`;
  });
  protected readonly words = computed(
    () => `The remnant as it lies: ${this.flaws().length} flaws, ${this.soft().length} soft parts${this.remnant().motif ? ', a motif found' : ''}`,
  );

  #path(points: readonly Point[]): string {
    return path(points, this.remnant().widthMm);
  }
}
