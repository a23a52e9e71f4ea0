import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  type ElementRef,
  inject,
  input,
  linkedSignal,
  signal,
  viewChild,
} from '@angular/core';
import { takeUntilDestroyed, toObservable } from '@angular/core/rxjs-interop';
import type { Job, Plan, Planned, Shop } from '@yardland/core';
import { gltfText, looksOf, rgbOf, type NamedSitting, type Solid, type SolidLook } from '@yardland/core/solid';
import { debounceTime, switchMap, catchError, of } from 'rxjs';
import { ClosedPicture } from '../round-thread/closed-picture';
import { Messages } from '../shared/messages';
import { ClothPhotos } from './cloth-photos';
import { clothPicture, photographedCloth, type ClothPicture } from './cloth-picture';
import { RoundLook, type Takeable } from './round-look';
import { apartOf, clothPlaceOf, pictureUvs } from './round-parts';
import type { RoundScene } from './round-scene';
import { RoundWork } from '../round-thread/round-work';

/** A cushion to be shown, in the plan it is of. */
export interface RoundSubject {
  readonly one: Planned;
  readonly job: Job;
  readonly shop: Shop;
  /** The plan and the cushion's place in it, where its cloth has been laid; null for a cushion tried out. */
  readonly laid: { readonly plan: Plan; readonly index: number } | null;
}

/** Typed sizes are waited for so long before the mesh is made anew, ms. */
const STILL_MS = 120;
/** A press of an arrow turns by so much, and a drag by so much a point, degrees. */
const KEY_DEG = 10;
const DRAG_DEG = 0.4;
/** The picture is drawn finely when it has not been turned for this long, ms. */
const SETTLED_MS = 220;

let nextId = 1;

/** A cushion in the round, in its cloth, turned by dragging, with the arrows, or by the look that it shares. Where the browser has no WebGL its line drawing is shown. */
@Component({
  selector: 'yl-round-view',
  imports: [ClosedPicture],
  template: `
    @if (drawn()) {
      <yl-closed-picture class="h-full w-full" [one]="subject().one" [view]="seenFrom()" [name]="name() + ', drawn'" />
    } @else {
      <canvas
        #canvas
        class="block h-full w-full cursor-grab touch-none active:cursor-grabbing focus-visible:outline-2 focus-visible:outline-chalk"
        tabindex="0"
        role="img"
        [attr.aria-label]="name()"
        [attr.aria-describedby]="saysId"
        aria-keyshortcuts="ArrowLeft ArrowRight ArrowUp ArrowDown + -"
        [attr.data-frames]="frames()"
        [attr.data-parts]="parts()"
        (pointerdown)="grab($event)"
        (pointermove)="drag($event)"
        (pointerup)="release($event)"
        (pointercancel)="release($event)"
        (wheel)="wheel($event)"
        (keydown)="key($event)"
      ></canvas>
    }
    <p [id]="saysId" class="sr-only">{{ says() }}</p>
  `,
  host: { class: 'block min-h-0 min-w-0' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class RoundView implements Takeable {
  protected readonly look = inject(RoundLook);
  readonly #work = inject(RoundWork);
  readonly #messages = inject(Messages);
  readonly subject = input.required<RoundSubject>();
  readonly name = input.required<string>();
  /** What is seen of it, in words. */
  readonly says = input('');
  readonly sittings = input<readonly NamedSitting[]>([]);
  private readonly canvas = viewChild<ElementRef<HTMLCanvasElement>>('canvas');

  protected readonly saysId = `round-says-${nextId++}`;

  /** Line drawing instead: no WebGL, or it was lost. */
  protected readonly drawn = signal(false);
  protected readonly seenFrom = computed(() => ({ turnDeg: this.look.turnDeg(), aboveDeg: this.look.aboveDeg() }));
  protected readonly frames = signal(0);
  protected readonly parts = computed(() => this.#solid()?.parts.length ?? 0);
  readonly #scene = signal<RoundScene | null>(null);
  readonly #solid = signal<Solid | null>(null);
  readonly #of = linkedSignal(() => this.subject().one);
  #grabbed: { readonly x: number; readonly y: number } | null = null;
  #settling: ReturnType<typeof setTimeout> | null = null;
  readonly #photos = inject(ClothPhotos);
  #pictures = new Map<string, ClothPicture>();

  constructor() {
    const destroyed = inject(DestroyRef);
    toObservable(this.#of)
      .pipe(
        debounceTime(STILL_MS),
        switchMap((one) => this.#work.solid(one).pipe(catchError(() => of(null)))),
        takeUntilDestroyed(),
      )
      .subscribe((solid) => this.#solid.set(solid));
    afterNextRender(() => void this.#begin(destroyed));
    effect(() => {
      const [scene, solid, subject] = [this.#scene(), this.#solid(), this.subject()];
      const sitter = this.look.sitter();
      if (scene && solid) this.#show(scene, solid, subject, sitter === null ? null : (this.sittings()[sitter] ?? null));
    });
    effect(() => {
      const scene = this.#scene();
      const looked = this.#looked();
      if (!scene || !this.#solid()) return;
      scene.look(looked, true);
      this.frames.set(scene.counted.frames);
      if (this.#settling) clearTimeout(this.#settling);
      this.#settling = setTimeout(() => {
        scene.look(looked);
        this.frames.set(scene.counted.frames);
      }, SETTLED_MS);
    });
    this.look.shownBy.set(this);
    destroyed.onDestroy(() => {
      if (this.look.shownBy() === this) this.look.shownBy.set(null);
      if (this.#settling) clearTimeout(this.#settling);
      this.#scene()?.dispose();
    });
  }

  /** The cushion as a glTF file, in its cloths. */
  gltf(): string | null {
    const solid = this.#solid();
    if (!solid) return null;
    const { one, job, shop } = this.subject();
    const looks = looksOf(one, job, shop);
    return gltfText(solid, one.source.name, (material) => {
      const look = looks(material);
      const { name, tint } = look;
      const picture = look.pattern || look.picture ? this.#pictureOf(material, look) : null;
      const { canvas, acrossMm, alongMm } = picture ?? {};
      return {
        name,
        colour: rgbOf(tint),
        ...(canvas && acrossMm && alongMm ? { picture: { dataUri: canvas.toDataURL('image/png'), acrossMm, alongMm } } : {}),
      };
    });
  }

  /** What is seen now, as a PNG. */
  png(): Promise<Blob | null> {
    const canvas = this.canvas()?.nativeElement;
    return canvas ? new Promise((resolve) => canvas.toBlob(resolve, 'image/png')) : Promise.resolve(null);
  }

  protected grab(event: PointerEvent): void {
    this.#grabbed = { x: event.clientX, y: event.clientY };
    (event.target as HTMLElement).setPointerCapture(event.pointerId);
  }

  protected drag(event: PointerEvent): void {
    if (!this.#grabbed) return;
    this.look.turn((this.#grabbed.x - event.clientX) * DRAG_DEG, (event.clientY - this.#grabbed.y) * DRAG_DEG);
    this.#grabbed = { x: event.clientX, y: event.clientY };
  }

  protected release(event: PointerEvent): void {
    this.#grabbed = null;
    const canvas = event.target as HTMLElement;
    // A pointer that was taken away has let go by itself.
    if (canvas.hasPointerCapture(event.pointerId)) canvas.releasePointerCapture(event.pointerId);
  }

  protected wheel(event: WheelEvent): void {
    event.preventDefault();
    this.look.near(event.deltaY < 0 ? 1.08 : 1 / 1.08);
  }

  protected key(event: KeyboardEvent): void {
    const turns: Record<string, readonly [number, number]> = {
      ArrowLeft: [KEY_DEG, 0],
      ArrowRight: [-KEY_DEG, 0],
      ArrowUp: [0, KEY_DEG],
      ArrowDown: [0, -KEY_DEG],
    };
    const turn = turns[event.key];
    if (turn) this.look.turn(...turn);
    else if (event.key === '+' || event.key === '-') this.look.near(event.key === '+' ? 1.15 : 1 / 1.15);
    else return;
    event.preventDefault();
    event.stopPropagation();
  }

  readonly #looked = computed(() => {
    const way = this.look.cutWay();
    return {
      turnDeg: this.look.turnDeg(),
      aboveDeg: this.look.aboveDeg(),
      nearness: this.look.nearness(),
      chalk: this.look.chalk(),
      cut: way === 'none' ? null : { axis: way === 'across' ? ('y' as const) : ('x' as const), share: this.look.cutAt() },
      together: this.look.together(),
    };
  });

  async #begin(destroyed: DestroyRef): Promise<void> {
    const canvas = this.canvas()?.nativeElement;
    if (!canvas) return;
    try {
      const { RoundScene: Made } = await import('./round-scene');
      const scene = new Made(canvas);
      const watch = new ResizeObserver(() => scene.resize(canvas.clientWidth, canvas.clientHeight));
      watch.observe(canvas);
      destroyed.onDestroy(() => watch.disconnect());
      canvas.addEventListener('webglcontextlost', () => this.#withoutGl('The picture in the round was lost: the line drawing is shown.'));
      scene.resize(canvas.clientWidth, canvas.clientHeight);
      this.#scene.set(scene);
    } catch {
      this.#withoutGl('This browser does not draw in the round (no WebGL): the line drawing is shown.');
    }
  }

  #withoutGl(words: string): void {
    this.#scene.set(null);
    this.drawn.set(true);
    if (this.look.withoutGlSaid()) return;
    this.look.withoutGlSaid.set(true);
    this.#messages.tell('round', words);
  }

  #show(scene: RoundScene, solid: Solid, { one, job, shop, laid }: RoundSubject, sitting: NamedSitting | null): void {
    const looks = looksOf(one, job, shop);
    const pictures = (material: string): ClothPicture | null => (material.startsWith('cloth/') ? this.#pictureOf(material, looks(material)) : null);
    scene.show({
      solid,
      apart: apartOf(solid, one.operations),
      looks,
      sitting,
      pictures,
      uvs: (part) => {
        const picture = pictures(part.material);
        return picture ? pictureUvs(part.uvs, laid ? clothPlaceOf(part, laid.plan, laid.index) : null, picture, looks(part.material).pattern) : null;
      },
    });
    this.frames.set(scene.counted.frames);
  }

  #pictureOf(material: string, { name, tint, pattern, picture }: SolidLook): ClothPicture {
    const image = picture ? this.#photos.of(picture.id, name) : null;
    const key = `${material} ${tint} ${JSON.stringify(pattern)} ${image && picture ? JSON.stringify(picture) : ''}`;
    const found = this.#pictures.get(key);
    if (found) return found;
    const made = image && picture ? photographedCloth(image, picture, pattern) : clothPicture(tint, pattern);
    this.#pictures.set(key, made);
    return made;
  }
}
