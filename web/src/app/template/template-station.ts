import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import {
  HEIGHT_WORDS,
  mirrored,
  moveHandle,
  movePoint,
  movePointMirrored,
  centreLine,
  markNear,
  outlineOf,
  outlineToJson,
  roundToStep,
  shapeOf,
  type Cushion,
  type Outline,
  type Point,
  formatLengthUnit,
} from '@yardland/core';
import { JobStore } from '../job/job-store';
import { capital } from '../shared/words/capital';
import { Switch } from '../shared/controls/choice';
import { GIVEN_OPTIONS } from '../shared/words/given-words';
import { NumberField } from '../shared/controls/number-field';
import { QuantityField } from '../shared/controls/quantity-field';
import { templateOrigin } from '../shared/table/cushion-scene';
import type { Scene } from '../shared/table/scene';
import { Table, type Edit, type Move } from '../shared/table/table';
import { TextField } from '../shared/controls/text-field';
import { NotFetched, StationFrame, Tray } from '../shared/ui/ui';
import { EvenTray } from './even-tray';
import { FilesTray } from './files-tray';
import { MarksTray } from './marks-tray';
import { measureWord, withMeasure } from './measures';
import { PointsTray } from './points-tray';
import { ShapeTray } from './shape-tray';
import { SplitTray } from './split-tray';
import { evenScene, marksScene, measuresScene, pointsScene } from './template-scene';

const PARTS = [
  { value: 'measures', name: 'Measures' },
  { value: 'points', name: 'Points' },
  { value: 'even', name: 'Even out' },
  { value: 'marks', name: 'Marks' },
  { value: 'split', name: 'Split' },
  { value: 'files', name: 'Files and print' },
] as const;
type Part = (typeof PARTS)[number]['value'];

/** The outline: by its measures, by its points, evened out; typed, dragged, and shown with the other sizes over it. */
@Component({
  selector: 'yl-template-station',
  imports: [NotFetched, Tray, Table, QuantityField, NumberField, TextField, Switch, ShapeTray, PointsTray, EvenTray, FilesTray, MarksTray, SplitTray],
  templateUrl: './template-station.html',
  hostDirectives: [StationFrame],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class TemplateStation {
  protected readonly store = inject(JobStore);
  protected readonly given = GIVEN_OPTIONS;
  protected readonly parts = PARTS;
  protected readonly heightWords = computed(() => capital(HEIGHT_WORDS[this.store.cushion()?.given ?? 'finished']));
  protected readonly part = signal<Part>('measures');
  protected readonly mirror = signal(false);
  protected readonly snap = signal(true);
  /** The side in hand, by its place round the outline. */
  protected readonly picked = linkedSignal({ source: this.store.cushionIndex, computation: () => 0 });
  /** Where the outline lay when a drag began: the table's frame must not follow what is dragged. */
  #origin: Point | null = null;

  protected readonly scene = computed<Scene>(() => {
    const one = this.store.cushionPlan();
    const fit = `template ${this.store.cushionIndex()} ${this.part()}`;
    if (!one?.outlines) return { title: 'Template', fit, items: [] };
    const { units, step } = this.store.inWords();
    const words = (mm: number): string => formatLengthUnit(mm, units, step);
    if (this.part() === 'points') return pointsScene(one, fit, this.picked(), words);
    if (this.part() === 'marks') return marksScene(one, fit, this.picked(), words);
    if (this.part() === 'even') {
      const given = one.outlines[one.source.given];
      return evenScene(one, fit, mirrored(given, centreLine(given)), words);
    }
    return measuresScene(one, fit);
  });

  protected edited({ key, mm }: Edit): void {
    if (key.startsWith('stations.')) return;
    this.store.editCushion(measureWord(this.store.cushion(), key), (cushion) => withMeasure(cushion, key, mm));
  }

  protected dragging(edit: Edit | null): void {
    this.store.previewCushion(edit && ((cushion) => withMeasure(cushion, edit.key, edit.mm)));
  }

  protected hold(key: string): void {
    const index = Number(key.split('-')[1]);
    if (Number.isInteger(index)) this.picked.set(index);
  }

  protected moving(move: Move | null): void {
    if (!move) {
      this.#origin = null;
      this.store.previewCushion(null);
      return;
    }
    if (move.key.startsWith('mark-')) {
      this.store.previewCushion((cushion) => this.#withMark(cushion, move));
      return;
    }
    this.#origin ??= this.#originNow();
    const change = this.#moved(move);
    this.store.previewCushion((cushion) => drawn(cushion, change));
  }

  protected moved(move: Move): void {
    if (move.key.startsWith('mark-')) {
      this.store.editCushion('Mark moved', (cushion) => this.#withMark(cushion, move));
      return;
    }
    this.#origin ??= this.#originNow();
    this.draw('Point moved', this.#moved(move));
    this.#origin = null;
  }

  /** Changes the outline by hand; what was measured becomes what was drawn. A change that would cross itself is shown as a problem, and undo takes it back. */
  protected draw(label: string, change: (outline: Outline) => Outline): void {
    this.store.editCushion(label, (cushion) => drawn(cushion, change));
  }

  #withMark(cushion: Cushion, { key, to }: Move): Cushion {
    const sewn = this.store.cushionPlan()?.outlines?.sewn;
    const index = Number(key.replace('mark-', ''));
    return sewn ? { ...cushion, marks: (cushion.marks ?? []).map((mark, i) => (i === index ? markNear(sewn, mark, to) : mark)) } : cushion;
  }

  #originNow(): Point {
    const one = this.store.cushionPlan();
    return one ? templateOrigin(one) : { x: 0, y: 0 };
  }

  #moved({ key, to }: Move): (outline: Outline) => Outline {
    const [what = '', number = ''] = key.split('-');
    const index = Number(number);
    const origin = this.#origin ?? { x: 0, y: 0 };
    const snapped = (mm: number): number => (this.snap() ? roundToStep(mm, this.store.units(), this.store.step()) : mm);
    const at = { x: snapped(to.x - origin.x), y: snapped(to.y - origin.y) };
    return (outline) => {
      if (what === 'point') return this.mirror() ? movePointMirrored(outline, index, at) : movePoint(outline, index, at);
      return what === 'c1' || what === 'c2' || what === 'middle' ? moveHandle(outline, index, what, at) : outline;
    };
  }

  protected height(mm: number | null): void {
    if (mm !== null) this.store.editCushion('Height', (cushion) => ({ ...cushion, heightMm: mm }));
  }

  protected setGiven(value: string): void {
    const given = GIVEN_OPTIONS.find((option) => option.value === value)?.value;
    if (given) this.store.editCushion('What was measured', (cushion) => ({ ...cushion, given }));
  }

  protected rename(name: string): void {
    if (name) this.store.editCushion('Name', (cushion) => ({ ...cushion, name: name.slice(0, 120) }));
  }

  protected remark(text: string): void {
    this.store.editCushion('Remark', ({ note: _before, ...cushion }) => (text ? { ...cushion, note: text.slice(0, 2000) } : cushion));
  }

  protected count(quantity: number): void {
    this.store.editCushion('How many', (cushion) => ({ ...cushion, quantity }));
  }
}

/** The cushion with its outline drawn otherwise; nothing where its template cannot be read. */
function drawn(cushion: Cushion, change: (outline: Outline) => Outline): Cushion {
  if (shapeOf(cushion.template).check(cushion.template).length) return cushion;
  const outline = change(outlineOf(cushion.template).outline);
  return outline.segments.length ? { ...cushion, template: { shape: 'free', outline: outlineToJson(outline) } } : cushion;
}
