import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { formatNumber, formatRun, pieceLabel, placed, type LaySubject, type PlannedLay, type Point } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Choice, Switch } from '../shared/choice';
import { QuantityField } from '../shared/quantity-field';
import { boxArea } from '../shared/table/cushion-scene';
import type { Scene, SceneItem } from '../shared/table/scene';
import { Table } from '../shared/table/table';
import { LaySolver } from './lay-solver';

const LYING = [
  { value: 'up', name: 'up the roll' },
  { value: 'railroad', name: 'railroaded' },
];
/** Between sheets drawn side by side, mm. */
const SHEET_GAP = 220;

/** The roll runs to the right: across the material is up on the table, along it is to the right. */
const turned = (p: Point): Point => ({ x: p.y, y: -p.x });

/** The lay on each material: drawn to scale, what to buy, how much is used, how near it is to the least possible. */
@Component({
  selector: 'yl-lay-station',
  imports: [Table, Choice, Switch, QuantityField],
  templateUrl: './lay-station.html',
  host: { class: 'station' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class LayStation {
  protected readonly store = inject(JobStore);
  protected readonly solver = inject(LaySolver);
  protected readonly lying = LYING;
  protected readonly picked = signal<string | null>(null);
  readonly #chosen = signal('cloth');

  protected readonly lays = computed(() => this.store.plan()?.lays ?? []);
  protected readonly current = computed<PlannedLay | null>(() => this.lays().find((lay) => lay.key === this.#chosen()) ?? this.lays()[0] ?? null);
  protected readonly tabs = computed(() => this.lays().map((lay) => ({ value: lay.key, name: this.#subjectWords(lay.subject) })));
  protected readonly progress = computed(() => this.solver.progress()[this.current()?.hash ?? ''] ?? null);
  /** The checked answer, or the best so far while it is being worked out. */
  readonly #shown = computed(() => this.current()?.answer ?? this.progress()?.best ?? null);

  protected readonly facts = computed(() => {
    const [lay, answer, { units }] = [this.current(), this.#shown(), this.store.inWords()];
    if (!lay || !answer) return null;
    const line = this.store.plan()?.buy.find((one) => one.layKey === lay.key);
    const sheets = lay.request.material.kind === 'sheet';
    const buy = line?.amount ? (sheets ? formatNumber(line.amount.value) : formatRun(line.amount.value, units)) : '…';
    return {
      buy: sheets ? `${buy} ${buy === '1' ? 'sheet' : 'sheets'}` : buy,
      laid: sheets ? `${answer.sheets} used` : `${formatRun(answer.lengthMm, units)} laid`,
      use: `${formatNumber(answer.use * 100)} %`,
      bound: sheets ? `${formatNumber(answer.bound)} at the least` : `${formatRun(answer.bound, units)} at the least`,
      over: sheets ? '' : `${formatNumber((answer.lengthMm / Math.max(1, answer.bound) - 1) * 100, 1)} % over`,
      unplaced: answer.unplaced.map((id) => this.#pieceWords(id)).join(', '),
      stopped: answer.stopped,
    };
  });

  protected readonly cloths = computed(() => (this.store.shop()?.document.cloths ?? []).map(({ id, name }) => ({ value: id, name })));

  protected readonly scene = computed<Scene>(() => {
    const lay = this.current();
    const answer = this.#shown();
    const fit = `lay ${lay?.key ?? ''} ${answer ? 'laid' : ''}`;
    if (!lay || !answer) return { title: 'Lay', fit, items: [] };
    const { material, items } = lay.request;
    const polygons = new Map(items.map((item) => [item.id, item.polygon]));
    const length = material.kind === 'sheet' ? material.lengthMm : answer.lengthMm;
    const drawn: SceneItem[] = [];
    const sheets = Math.max(1, answer.sheets);
    for (let sheet = 0; sheet < sheets; sheet++) {
      const x = sheet * (length + SHEET_GAP);
      drawn.push(boxArea(`material-${sheet}`, x, -material.widthMm, length, material.widthMm, 'material'));
      if (material.kind === 'sheet') drawn.push({ kind: 'note', key: `sheet-${sheet}`, at: { x, y: 0 }, dy: -8, text: `sheet ${sheet + 1}`, look: 'small' });
      else {
        const edge = material.widthMm * 0.012;
        drawn.push(boxArea('selvedge-near', x, -material.widthMm - edge, length, edge, 'selvedge'), boxArea('selvedge-far', x, 0, length, edge, 'selvedge'));
        drawn.push({ kind: 'area', key: 'bound', shape: [{ x: answer.bound, y: edge * 2 }, { x: answer.bound, y: -material.widthMm - edge * 2 }], open: true, look: 'bound' });
      }
    }
    for (const placement of answer.placements) {
      const polygon = polygons.get(placement.item);
      if (!polygon) continue;
      const points = placed(polygon, placement.turn, placement.x, placement.y).map((p) => {
        const q = turned(p);
        return { x: q.x + placement.sheet * (length + SHEET_GAP), y: q.y };
      });
      const key = `${placement.item} ${placement.copy}`;
      const words = this.#pieceWords(placement.item);
      const look = placement.item.startsWith('bias') ? 'bias' : lay.subject.kind === 'foam' ? 'foam' : lay.subject.kind === 'wadding' ? 'wrap' : 'piece';
      drawn.push({ kind: 'area', key, shape: points, look, pick: `${words}, copy ${placement.copy + 1}` });
      const [xs, ys] = [points.map((p) => p.x), points.map((p) => p.y)];
      const size = { x: Math.max(...xs) - Math.min(...xs), y: Math.max(...ys) - Math.min(...ys) };
      if (Math.min(size.x, size.y) > material.widthMm * 0.1 && size.x > length * 0.05)
        drawn.push({ kind: 'note', key: `${key} words`, at: { x: (Math.min(...xs) + Math.max(...xs)) / 2, y: (Math.min(...ys) + Math.max(...ys)) / 2 }, dy: 4, text: this.#shortWords(placement.item), anchor: 'middle', look: 'onpiece' });
    }
    drawn.push({ kind: 'dim', key: 'width', name: 'usable width', side: 'left', away: 26, from: { x: 0, y: 0 }, to: { x: 0, y: -material.widthMm }, mm: material.widthMm });
    drawn.push({ kind: 'dim', key: 'length', name: 'length', side: 'below', away: 34, from: { x: 0, y: -material.widthMm }, to: { x: length, y: -material.widthMm }, mm: length });
    return { title: `Lay on ${this.#subjectWords(lay.subject)}`, fit, room: { left: 90, right: 40, top: 70, bottom: 66 }, items: drawn };
  });

  protected choose(key: string): void {
    this.picked.set(null);
    this.#chosen.set(key);
  }

  protected pick(key: string): void {
    this.picked.update((picked) => (picked === key ? null : key));
  }

  protected pickedWords(): string {
    return this.picked() === null ? '' : this.#pieceWords((this.picked() ?? '').replace(/ \d+$/, ''));
  }

  protected stop(): void {
    const hash = this.current()?.hash;
    if (hash) this.solver.stop(hash);
  }

  protected setCloth(id: string): void {
    const width = this.store.shop()?.cloth(id)?.widthMm;
    this.store.edit('Cloth', (job) => ({ ...job, cloth: { ...job.cloth, material: id, widthMm: width ?? job.cloth.widthMm } }));
  }

  protected setWidth(mm: number | null): void {
    if (mm !== null) this.store.edit('Cloth width', (job) => ({ ...job, cloth: { ...job.cloth, widthMm: mm } }));
  }

  protected setLying(value: string): void {
    this.store.edit('How the cloth lies', (job) => ({ ...job, cloth: { ...job.cloth, railroaded: value === 'railroad' } }));
  }

  #subjectWords(subject: LaySubject): string {
    const shop = this.store.shop();
    const { units, step } = this.store.inWords();
    if (subject.kind === 'cloth') return 'cloth';
    if (subject.kind === 'wadding') return shop?.document.waddings.find((one) => one.id === subject.material)?.name.toLowerCase() ?? 'wadding';
    return `${shop?.grade(subject.grade)?.name ?? subject.grade}, ${formatNumber(units === 'inch' ? subject.thicknessMm / 25.4 : subject.thicknessMm, units === 'inch' && step ? 2 : 0)} ${units === 'inch' ? 'in' : 'mm'}`;
  }

  #pieceWords(id: string): string {
    if (id.startsWith('bias')) return 'bias strips for the welt';
    const [index = '0', pieceId = ''] = id.split('/');
    const one = this.store.plan()?.cushions[Number(index)];
    const piece = one?.pieces.find((each) => each.id === pieceId);
    return `${one?.source.name ?? ''}: ${piece ? pieceLabel(piece) : pieceId}`;
  }

  #shortWords(id: string): string {
    if (id.startsWith('bias')) return 'bias';
    const [index = '0', pieceId = ''] = id.split('/');
    const piece = this.store.plan()?.cushions[Number(index)]?.pieces.find((each) => each.id === pieceId);
    return `${Number(index) + 1} ${piece?.role === 'foam' ? 'core' : (piece?.role.replace('wrap-', '') ?? '')}`;
  }
}
