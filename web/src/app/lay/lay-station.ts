import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, input, linkedSignal, signal, untracked } from '@angular/core';
import {
  bounds,
  formatRun,
  isSawn,
  nothingOn,
  placed,
  type Job,
  type LayAnswer,
  type Placement,
  type Point,
  type PlannedLay,
  pieceOf,
  isOfPiece,
  isBiasItem,
  isTurned,
  formatLengthUnit,
} from '@yardland/core';
import { JobStore } from '../job/job-store';
import type * as Places from './lay-places';
import { Choice } from '../shared/controls/choice';
import type { Scene } from '../shared/table/scene';
import { Table } from '../shared/table/table';
import { Tickbox } from '../shared/controls/tickbox';
import { Button, NotFetched, StationFrame, Tray, Words } from '../shared/ui/ui';
import { bandsOf, movedOver, wholeLay } from './lay-drawing';
import { layScene } from './lay-scene';
import { layFacts } from './lay-facts';
import { layWords } from './lay-words';
import { LayCloth } from './lay-cloth';
import { LayLot } from './lay-lot';
import { LayProposal } from './lay-proposal';
import { LayRemnants } from './lay-remnants';
import { PlanSolver } from '../job/solving/plan-solver';
import { Icon } from '../shared/icon';
import { saveFile } from '../shared/reading/save-file';
import { MoveCost, type MoveAsked } from './move-cost';
import { ProgressTape } from '../shared/ui/progress-tape';

type Pin = NonNullable<Job['pins']>[number];

/** A lay that is longer by less is as long, mm. */
const COSTS_MM = 5;

/** Nearer than this a piece touches what is beside it, mm. */
const TOUCHES_MM = 0.05;

/** The lay on each material: drawn to scale, what to buy, how much is used, how near it is to the least possible. */
@Component({
  selector: 'yl-lay-station',
  imports: [NotFetched, ProgressTape, LayCloth, LayLot, LayProposal, LayRemnants, Tray, Words, Button, Icon, Tickbox, Table, Choice],
  templateUrl: './lay-station.html',
  hostDirectives: [StationFrame],
  providers: [MoveCost],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class LayStation {
  protected readonly store = inject(JobStore);
  protected readonly solver = inject(PlanSolver);
  protected readonly picked = signal<string | null>(null);
  /** The lay that the address asks for, by its key. */
  readonly on = input<string>();
  readonly #chosen = linkedSignal(() => this.on() ?? 'cloth');
  /** A piece that the ticket asks for, by the address: shown close by until another is picked. */
  readonly piece = input<string>();
  readonly #cost = inject(MoveCost);
  protected readonly endings = ['dxf', 'svg', 'plt'];

  protected readonly lays = computed(() => this.store.plan()?.lays.filter((lay) => !nothingOn(lay)) ?? []);
  protected readonly current = computed<PlannedLay | null>(() => this.lays().find((lay) => lay.key === this.#chosen()) ?? this.lays()[0] ?? null);
  protected readonly tabs = computed(() => this.lays().map((lay) => ({ value: lay.key, name: layWords(lay, this.store.shop(), this.store.inWords()) })));
  protected readonly progress = computed(() => this.solver.progress()[this.current()?.hash ?? ''] ?? null);
  /** The checked answer, or the best so far while it is being worked out. */
  readonly #fresh = computed(() => this.current()?.answer ?? this.progress()?.best ?? null);
  /** What is drawn: until there is something new, the lay as it was, so that a piece that is moved by keys stays under the hand. */
  readonly #shown = linkedSignal<{ readonly key: string; readonly answer: LayAnswer | null }, LayAnswer | null>({
    source: () => ({ key: this.current()?.key ?? '', answer: this.#fresh() }),
    computation: ({ key, answer }, before) => answer ?? (before?.source.key === key ? before.value : null),
  });

  protected readonly facts = computed(() => {
    const [lay, answer, plan] = [this.current(), this.#fresh(), this.store.plan()];
    return lay && answer && plan ? layFacts(lay, answer, plan, (id) => this.#pieceWords(id)) : null;
  });

  /** The material whose lot or batch is noted: foam, or a cloth of the stockroom. */
  protected readonly lotOf = computed(() => {
    const subject = this.current()?.subject;
    if (subject?.kind === 'foam') return { material: subject.grade, of: 'foam' as const };
    return subject?.kind === 'cloth' && subject.use.material ? { material: subject.use.material, of: 'cloth' as const } : null;
  });

  protected readonly scene = computed<Scene>(() => {
    const lay = this.current();
    const answer = this.#shown();
    const asked = this.#askedPiece();
    const fit = `lay ${lay?.key ?? ''} ${answer ? 'laid' : ''} ${asked ?? ''}`;
    if (!lay || !answer) return { title: 'Lay', fit, items: [] };
    const { units, step } = this.store.inWords();
    return layScene(lay, answer, {
      fit,
      title: `Lay on ${layWords(lay, this.store.shop(), this.store.inWords())}`,
      units,
      step,
      picked: this.#pickedPiece(),
      near: asked,
      pinned: (piece) => this.#pinOf(piece) !== null,
      label: (item) => this.#shortWords(item),
      words: (item) => this.#pieceWords(item),
    });
  });

  /** The first copy of the piece that the ticket asks for, as `item copy`, and the lay that it is on; null when none is asked for, or it is not laid yet. */
  readonly #asked = computed(() => {
    const of = { cushion: this.store.cushionIndex(), piece: this.piece() ?? '' };
    const lay = this.piece() === undefined ? undefined : this.lays().find(({ answer }) => answer?.placements.some(({ item }) => isOfPiece(item, of)));
    const placement = lay?.answer?.placements.find(({ item }) => isOfPiece(item, of));
    return lay && placement ? { lay: lay.key, piece: `${placement.item} ${placement.copy}` } : null;
  });
  readonly #askedPiece = computed(() => (this.picked() === `${this.#asked()?.piece ?? ''} 0` ? (this.#asked()?.piece ?? null) : null));

  constructor() {
    // Told apart by its words: a lay that gets better is the same question.
    const question = computed(() => JSON.stringify(this.#asked()));
    effect(() => {
      const asked = JSON.parse(question()) as { lay: string; piece: string } | null;
      if (asked === null) return;
      untracked(() => {
        this.#chosen.set(asked.lay);
        this.picked.set(`${asked.piece} 0`);
      });
    });
    effect(() =>
      this.store.shownPiece.set(
        this.picked()
          ?.replace(/^\d+\//, '')
          .replace(/( \d+)+$/, '') ?? null,
      ),
    );
    effect(() => {
      if (this.picked() !== null) void untracked(() => this.#placesThere());
    });
    inject(DestroyRef).onDestroy(() => this.store.shownPiece.set(null));
  }

  protected choose(key: string): void {
    this.picked.set(null);
    this.#chosen.set(key);
  }

  protected pick(key: string): void {
    this.said.set('');
    this.picked.update((picked) => (picked === key ? null : key));
  }

  protected pickedWords(): string {
    return this.picked() === null ? '' : this.#pieceWords((this.picked() ?? '').replace(/( \d+)+$/, ''));
  }

  /** How the cloth of this lay is used was changed: the lay on show stays the one on this cloth, under its new name; another lay was taken: nothing of it is in hand. */
  protected laidOtherwise(key: string | null): void {
    if (key === null) this.picked.set(null);
    else this.#chosen.set(key);
  }

  protected searchOn(): void {
    const hash = this.current()?.hash;
    if (hash) this.solver.searchOn(hash);
  }

  protected stop(): void {
    const hash = this.current()?.hash;
    if (hash) this.solver.stop(hash);
  }

  protected setThorough(thorough: boolean): void {
    this.store.edit('How long lays are looked for', ({ lays: _before, ...job }) => (thorough ? { ...job, lays: 'thorough' as const } : job));
  }

  protected setEdgeToEdge(on: boolean): void {
    this.store.edit('How foam is sawn', ({ foamCuts: _before, ...job }) => (on ? { ...job, foamCuts: 'edge-to-edge' as const } : job));
  }

  /** The piece that is picked, by its item and copy: what is picked on the drawing may be a part of it. */
  readonly #pickedPiece = computed(() => this.picked()?.replace(/ \d+$/, '') ?? null);
  protected readonly pins = computed(() => (this.store.job()?.pins ?? []).filter(({ lay }) => lay === this.current()?.key));
  protected readonly pickedPin = computed(() => this.#pinOf(this.#pickedPiece() ?? ''));
  readonly #pickedPlacement = computed(() => this.#shown()?.placements.find(({ item, copy }) => `${item} ${copy}` === this.#pickedPiece()) ?? null);
  /** The turns that the picked piece may have. */
  protected readonly pickedTurns = computed(() => this.current()?.request.items.find(({ id }) => id === this.#pickedPlacement()?.item)?.turns ?? []);
  protected readonly said = signal('');

  #pinOf(piece: string): Pin | null {
    return this.pins().find(({ item, copy }) => `${item} ${copy}` === piece) ?? null;
  }

  /** What knows where pieces may lie; null until a piece was picked. */
  readonly #places = signal<typeof Places | null>(null);

  async #placesThere(): Promise<typeof Places | null> {
    try {
      const places = await import('./lay-places');
      this.#places.set(places);
      return places;
    } catch {
      this.said.set('Pieces cannot be moved by hand now: what it takes could not be fetched, the server does not answer.');
      return null;
    }
  }

  /** The room round the picked piece, to the cut edges of its neighbours and the material's own. */
  protected readonly pickedRoom = computed(() => {
    const [lay, answer, placement, places] = [this.current(), this.#shown(), this.#pickedPlacement(), this.#places()];
    if (!lay || !answer || !placement || !places) return '';
    const { units, step } = this.store.inWords();
    const { back, onward, below, above } = places.roomAround(lay.request, answer, placement);
    const far = (mm: number | null): string => (mm === null ? 'nothing' : mm < TOUCHES_MM ? 'touching' : formatLengthUnit(mm, units, step));
    return `Room round it: ${far(back)} towards the beginning, ${far(onward)} onward, ${far(below)} below, ${far(above)} above.`;
  });

  /** What the place costs that the picked piece is carried over. */
  protected readonly costWords = computed(() => {
    const mm = this.#cost.atMostMm();
    if (mm === null) return '';
    return mm < COSTS_MM ? 'Put here, the lay is no longer than now.' : `Put here, the lay is at most ${formatRun(mm, this.store.inWords().units)} longer.`;
  });

  /** While the picked piece is dragged: what it would cost to put it here; null when it is dropped. */
  protected carrying(move: { readonly to: Point } | null): void {
    this.#cost.carry(move && (() => this.#askedOver(move.to)));
  }

  #askedOver(to: Point): MoveAsked | null {
    const [lay, answer, places] = [this.current(), this.#shown(), this.#places()];
    const wanted = lay && answer && !isSawn(lay.request.material) ? this.#over(lay, answer, to) : null;
    const held = wanted && lay && places ? places.nearestPlace(lay.request, lay.request.pins, wanted, answer?.patternAtMm ?? null) : null;
    return held && lay && answer ? { request: lay.request, held, nowMm: answer.lengthMm } : null;
  }

  /** The picked piece as it would lie with its knob over a place of the table. */
  #over(lay: PlannedLay, answer: LayAnswer, to: Point): Placement | null {
    const [placement, knob] = [this.#pickedPlacement(), this.scene().items.find((item) => item.kind === 'knob')];
    return placement && knob?.kind === 'knob' ? movedOver(bandsOf(lay.request.material, answer), placement, knob.at, to) : null;
  }

  /** The picked piece carried over the table: it goes to the nearest legal place, and the rest is laid round it. */
  protected carried({ to }: { readonly key: string; readonly to: Point }): void {
    const [lay, answer] = [this.current(), this.#shown()];
    const wanted = lay && answer ? this.#over(lay, answer, to) : null;
    this.#cost.carry(null);
    if (wanted) void this.#pin(wanted);
  }

  protected pinHere(): void {
    const placement = this.#pickedPlacement();
    if (placement) void this.#pin(placement);
  }

  /** The next turn that it may have, about its middle. */
  protected turnPicked(): void {
    const [lay, placement, turns] = [this.current(), this.#pickedPlacement(), this.pickedTurns()];
    const polygon = lay?.request.items.find(({ id }) => id === placement?.item)?.polygon;
    if (!lay || !placement || !polygon) return;
    const turn = turns[(turns.indexOf(placement.turn) + 1) % turns.length] ?? placement.turn;
    const middle = (as: number): Point => {
      const box = bounds(placed(polygon, { turn: as, x: 0, y: 0 }));
      return { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 };
    };
    const [before, after] = [middle(placement.turn), middle(turn)];
    void this.#pin({ ...placement, turn, x: placement.x + before.x - after.x, y: placement.y + before.y - after.y });
  }

  protected letGo(): void {
    const pin = this.pickedPin();
    if (pin) this.#setPins('Piece let go', (pins) => pins.filter((one) => one.lay !== pin.lay || one.item !== pin.item || one.copy !== pin.copy));
  }

  protected letAllGo(): void {
    const key = this.current()?.key;
    this.#setPins('All pieces let go', (pins) => pins.filter(({ lay }) => lay !== key));
  }

  async #pin(wanted: Placement): Promise<void> {
    const lay = this.current();
    if (!lay) return;
    if (isSawn(lay.request.material)) {
      this.said.set('Where a saw goes from edge to edge, pieces are not moved by hand.');
      return;
    }
    const places = await this.#placesThere();
    if (!places) return;
    const place = places.nearestPlace(lay.request, lay.request.pins, wanted, this.#shown()?.patternAtMm ?? null);
    this.said.set(place ? '' : 'There is no room for it there: pinned pieces or the edge are in the way.');
    if (!place) return;
    this.#setPins('Piece put', (pins) => [
      ...pins.filter((one) => one.lay !== lay.key || one.item !== place.item || one.copy !== place.copy),
      { ...place, lay: lay.key },
    ]);
  }

  #setPins(label: string, change: (pins: readonly Pin[]) => Pin[]): void {
    this.store.edit(label, ({ pins: before = [], ...job }) => {
      const pins = change(before);
      return pins.length ? { ...job, pins } : job;
    });
  }

  /** The whole lay as a file, full size, pieces in the order in which they are cut. */
  protected async save(ending: string): Promise<void> {
    const [lay, answer] = [this.current(), this.#fresh()];
    if (!lay || !answer) return;
    const { LAY_FORMATS } = await import('@yardland/core/format/whole-lay');
    const drawing = wholeLay(lay, answer, (placement) => `${this.#pieceWords(placement.item)}, copy ${placement.copy + 1}`);
    const text = LAY_FORMATS.find((format) => format.ending === ending)?.write(drawing);
    if (text) saveFile(text, `${this.store.job()?.name ?? 'lay'} ${drawing.title}`, ending);
  }

  #pieceWords(id: string): string {
    if (isBiasItem(id)) return 'bias strips for the welt';
    const found = pieceOf(id, this.store.plan()?.cushions ?? []);
    return found ? `${found.cushion.source.name}: ${found.piece.label}${isTurned(id) ? ', turned over' : ''}` : id;
  }

  #shortWords(id: string): string {
    if (isBiasItem(id)) return 'bias';
    const found = pieceOf(id, this.store.plan()?.cushions ?? []);
    if (!found) return id;
    const { index, piece } = found;
    return `${index + 1} ${piece.role === 'foam' ? 'core' : piece.role.replace('wrap-', '')}`;
  }
}
