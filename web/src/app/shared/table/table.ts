import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  ElementRef,
  inject,
  Injector,
  input,
  output,
  signal,
  untracked,
  viewChild,
  viewChildren,
} from '@angular/core';
import { FocusKeyManager } from '@angular/cdk/a11y';
import { Icon } from '../icon';
import { pairMm, roundToStep, type Pair, type Point, type UnitSystem, formatLengthUnit } from '@yardland/core';
import { Length } from '../words/length';
import { QuantityField } from '../controls/quantity-field';
import { Tool } from '../ui/ui';
import { drawScene, fittedView, zoomed, type Size, type View } from './draw';
import { HATCHES, Inked, KNOB_LOOKS, NOTE_LOOKS } from './inks';
import { Pickable } from './pickable';
import { sceneBounds, type Handle, type Knob, type Scene } from './scene';
import { MEASURES, measuresHere } from '../controls/measures';

export interface Edit {
  readonly key: string;
  readonly mm: number;
}

export interface Move {
  readonly key: string;
  readonly to: Point;
}

/** Measures and words of a drawing that are read out with it, at most. */
const MOST_TOLD = 40;

const KEY_PAN_PX = 40;
const KEY_ZOOM = 1.2;
/** A pointer that went less than this has not moved, pixels. */
const STILL_PX = 3;
/** One wheel notch. */
const WHEEL_ZOOM = 1.0015;

/**
 * The table on which every station lays its thing to scale: pan by dragging, zoom by wheel or two fingers, pick pieces, type sizes onto the
 * drawing, drag grips; all of it by keyboard too.
 */
@Component({
  selector: 'yl-table',
  imports: [Inked, Pickable, Tool, Length, QuantityField, Icon],
  templateUrl: './table.html',
  styleUrl: './table.css',
  // Sizes typed and told on the drawing are in its own measures.
  viewProviders: [{ provide: MEASURES, useFactory: () => inject(Table).here }],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Table {
  readonly scene = input.required<Scene>();
  /** The page's where they are not told. */
  readonly units = input<UnitSystem>();
  readonly step = input<Pair>();
  readonly here = measuresHere(this);
  readonly picked = input<string | null>(null);
  readonly pick = output<string>();
  /** A size typed onto the drawing. */
  readonly edit = output<Edit>();
  /** A grip on its way, and where it was let go; null when the drag was given up. */
  readonly dragging = output<Edit | null>();
  readonly dragged = output<Edit>();
  /** A knob on its way, and where it was let go; null when the drag was given up. */
  readonly moving = output<Move | null>();
  readonly moved = output<Move>();
  /** A knob was taken hold of or reached by keyboard. */
  readonly held = output<string>();

  protected readonly hatches = HATCHES;
  protected readonly noteLooks = NOTE_LOOKS;
  protected readonly knobLooks = KNOB_LOOKS;
  protected readonly paper = viewChild.required<ElementRef<SVGSVGElement>>('paper');
  private readonly fields = viewChildren(QuantityField);
  /** How large the browser's letters are against the usual 16 pixels: the whole drawing is as much larger, and so has less room. */
  protected readonly letters = parseFloat(getComputedStyle(document.documentElement).fontSize) / 16;
  readonly #size = signal<Size>({ width: 800, height: 560 });
  /** The view chosen by hand; null: fitted. */
  readonly #own = signal<View | null>(null);
  protected readonly typing = signal<string | null>(null);
  protected readonly panning = signal(false);
  readonly #pointers = new Map<number, Point>();
  #drag: { readonly handle: Handle; readonly start: Point; readonly scale: number; mm: number } | null = null;
  #carry: { readonly knob: Knob; readonly start: Point; readonly scale: number; to: Point | null } | null = null;
  readonly #injector = inject(Injector);
  private readonly pickables = viewChildren(Pickable);
  readonly #rover = new FocusKeyManager(this.pickables, this.#injector).withHorizontalOrientation('ltr').withVerticalOrientation().withHomeAndEnd();
  /** The knob that arrow keys moved last. */
  readonly #pushed = signal<string | null>(null);
  /** Where it lies now, for whoever has it read out. */
  protected readonly pushedTo = computed(() => {
    const key = this.#pushed();
    const knob = this.scene().items.find((item) => item.kind === 'knob' && item.key === key);
    return knob?.kind === 'knob' && knob.place ? `${knob.name}: ${knob.place}` : '';
  });
  readonly #reached = signal<string | null>(null);
  /** The piece that Tab stops at: the one reached last, else the picked one, else the first. */
  protected readonly stop = computed(() => {
    const keys = this.drawing().areas.flatMap(({ item }) => (item.pick ? [item.key] : []));
    return [this.#reached(), this.picked()].find((key) => key !== null && keys.includes(key)) ?? keys[0] ?? null;
  });

  readonly #view = computed<View>(() => this.#own() ?? fittedView(sceneBounds(this.scene()), this.#size(), this.scene().room));
  protected readonly drawing = computed(() => drawScene(this.scene(), this.#view()));

  /** With the usual letters the drawing is in the page's own pixels. */
  protected readonly box = computed(() => (this.letters === 1 ? null : `0 0 ${this.#size().width} ${this.#size().height}`));

  /** What the drawing says, for whoever has it read out: its measures, and the words beside its parts. */
  protected readonly told = computed(() => {
    const told = this.scene().items.flatMap((item) => {
      if (item.kind === 'dim') return [`${item.name} ${this.say(item.mm)}`];
      if (item.kind === 'leader') return [item.text];
      return item.kind === 'note' && item.look !== 'onpiece' ? [item.text] : [];
    });
    return [...new Set(told)].slice(0, MOST_TOLD).join('; ');
  });

  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    const watcher = new ResizeObserver(([entry]) => {
      if (entry) this.#size.set({ width: entry.contentRect.width / this.letters, height: entry.contentRect.height / this.letters });
    });
    watcher.observe(host);
    inject(DestroyRef).onDestroy(() => watcher.disconnect());
    const fitKey = computed(() => this.scene().fit);
    effect(() => {
      fitKey();
      untracked(() => {
        const { around, room } = this.scene();
        this.#own.set(around ? fittedView(around, this.#size(), room) : null);
        this.typing.set(null);
      });
    });
  }

  /** Takes hold of a knob where it is drawn next: what was moved may have another key at its new place. */
  holdKnob(key: string): void {
    this.#pushed.set(key);
    const found = (): number => this.drawing().knobs.findIndex(({ item }) => item.key === key);
    afterNextRender(() => this.paper().nativeElement.querySelectorAll<SVGGElement>('.knob')[found()]?.focus(), { injector: this.#injector });
  }

  fit(): void {
    this.#own.set(null);
  }

  protected zoomBy(factor: number, about?: Point): void {
    const { width, height } = this.#size();
    this.#own.set(zoomed(this.#view(), factor, about ?? { x: width / 2, y: height / 2 }));
  }

  protected round(mm: number): number {
    return Math.round(mm);
  }

  protected say(mm: number): string {
    return formatLengthUnit(mm, this.here.units(), this.here.step());
  }

  protected startTyping(key: string): void {
    this.typing.set(key);
    afterNextRender(() => this.fields()[0]?.focus(), { injector: this.#injector });
  }

  protected stopTyping(): void {
    this.typing.set(null);
  }

  protected typed(key: string, mm: number | null): void {
    if (mm !== null) this.edit.emit({ key, mm });
  }

  protected key(event: KeyboardEvent): void {
    if (event.target !== this.paper().nativeElement || event.ctrlKey || event.metaKey || event.altKey) return;
    const pans: Record<string, Point> = {
      ArrowLeft: { x: KEY_PAN_PX, y: 0 },
      ArrowRight: { x: -KEY_PAN_PX, y: 0 },
      ArrowUp: { x: 0, y: KEY_PAN_PX },
      ArrowDown: { x: 0, y: -KEY_PAN_PX },
    };
    const by = pans[event.key];
    if (by) this.#panBy(by);
    else if (event.key === '+' || event.key === '=') this.zoomBy(KEY_ZOOM);
    else if (event.key === '-') this.zoomBy(1 / KEY_ZOOM);
    else if (event.key === '0') this.fit();
    else return;
    event.preventDefault();
  }

  /** A piece got the focus, by whatever means. */
  protected reached(key: string): void {
    this.#reached.set(key);
    this.#rover.updateActiveItem(this.pickables().findIndex((one) => one.key() === key));
  }

  protected rove(event: KeyboardEvent): void {
    this.#rover.onKeydown(event);
  }

  protected wheel(event: WheelEvent): void {
    event.preventDefault();
    this.zoomBy(WHEEL_ZOOM ** -event.deltaY, this.#local(event));
  }

  protected startPan(event: PointerEvent): void {
    this.#pointers.set(event.pointerId, this.#local(event));
    if (event.button !== 0 || this.#drag || this.#carry) return;
    this.panning.set(true);
  }

  protected startDrag(event: PointerEvent, handle: Handle): void {
    event.stopPropagation();
    this.paper().nativeElement.setPointerCapture(event.pointerId);
    this.#drag = { handle, start: this.#local(event), scale: this.#view().scale, mm: handle.mm };
    // The drawing keeps its place and scale under the hand.
    this.#own.set(this.#view());
  }

  protected startCarry(event: PointerEvent, knob: Knob): void {
    event.stopPropagation();
    if (event.button !== 0) return;
    this.held.emit(knob.key);
    this.paper().nativeElement.setPointerCapture(event.pointerId);
    this.#carry = { knob, start: this.#local(event), scale: this.#view().scale, to: null };
    this.#own.set(this.#view());
  }

  protected move(event: PointerEvent): void {
    const here = this.#local(event);
    if (this.#carry) {
      this.#carryTo(here);
      return;
    }
    if (this.#drag) {
      this.#dragTo(here);
      return;
    }
    const before = this.#pointers.get(event.pointerId);
    if (!before) return;
    const others = [...this.#pointers].filter(([id]) => id !== event.pointerId).map(([, p]) => p);
    this.#pointers.set(event.pointerId, here);
    const [other] = others;
    if (other) {
      const spread = (p: Point): number => Math.max(1, Math.hypot(p.x - other.x, p.y - other.y));
      this.zoomBy(spread(here) / spread(before), other);
    } else this.#panBy({ x: here.x - before.x, y: here.y - before.y });
  }

  protected end(event: PointerEvent): void {
    this.#pointers.delete(event.pointerId);
    this.panning.set(false);
    const carry = this.#carry;
    if (carry) {
      this.#carry = null;
      if (event.type === 'pointercancel' || !carry.to) this.moving.emit(null);
      else this.moved.emit({ key: carry.knob.key, to: carry.to });
      return;
    }
    const drag = this.#drag;
    if (!drag) return;
    this.#drag = null;
    this.#own.set(null);
    if (event.type === 'pointercancel' || drag.mm === drag.handle.mm) this.dragging.emit(null);
    else this.dragged.emit({ key: drag.handle.key, mm: drag.mm });
  }

  protected nudge(event: KeyboardEvent, handle: Handle): void {
    const sign = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key];
    if (!sign) return;
    event.preventDefault();
    event.stopPropagation();
    const stepMm = pairMm(this.here.step(), this.here.units());
    this.dragged.emit({ key: handle.key, mm: this.#snapped(handle, handle.mm + sign * stepMm) });
  }

  /** Arrow keys move a knob; with Shift ten times as far. */
  protected push(event: KeyboardEvent, knob: Knob): void {
    const by = { ArrowUp: [0, 1], ArrowRight: [1, 0], ArrowDown: [0, -1], ArrowLeft: [-1, 0] }[event.key];
    if (!by) return;
    event.preventDefault();
    event.stopPropagation();
    const mm = (knob.stepMm ?? pairMm(this.here.step(), this.here.units())) * (event.shiftKey ? 10 : 1);
    this.#pushed.set(knob.key);
    this.moved.emit({ key: knob.key, to: { x: knob.at.x + (by[0] ?? 0) * mm, y: knob.at.y + (by[1] ?? 0) * mm } });
  }

  #carryTo(here: Point): void {
    const carry = this.#carry;
    if (!carry) return;
    const [dx, dy] = [here.x - carry.start.x, carry.start.y - here.y];
    // A click with a trembling hand is not a move.
    if (!carry.to && Math.hypot(dx, dy) < STILL_PX) return;
    carry.to = { x: carry.knob.at.x + dx / carry.scale, y: carry.knob.at.y + dy / carry.scale };
    this.moving.emit({ key: carry.knob.key, to: carry.to });
  }

  #dragTo(here: Point): void {
    const drag = this.#drag;
    if (!drag) return;
    const px = drag.handle.axis === 'x' ? here.x - drag.start.x : drag.start.y - here.y;
    const mm = this.#snapped(drag.handle, drag.handle.mm + (px / drag.scale) * drag.handle.perMm);
    if (mm === drag.mm) return;
    drag.mm = mm;
    this.dragging.emit({ key: drag.handle.key, mm });
  }

  #snapped(handle: Handle, mm: number): number {
    return Math.min(handle.maxMm, Math.max(handle.minMm, roundToStep(mm, this.here.units(), this.here.step())));
  }

  #panBy(by: Point): void {
    const view = this.#view();
    this.#own.set({ ...view, x: view.x + by.x, y: view.y + by.y });
  }

  #local(event: MouseEvent): Point {
    const box = this.paper().nativeElement.getBoundingClientRect();
    return { x: (event.clientX - box.left) / this.letters, y: (event.clientY - box.top) / this.letters };
  }
}
