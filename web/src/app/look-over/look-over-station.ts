import { Dialog } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { FINDINGS, judge, PLACES, say, SUPPORTS, USES, type Cushion, type Finding, type Verdict } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Choice } from '../shared/choice';
import { SittersDialog, sittersWords } from '../filling/sitters-dialog';
import { QuantityField } from '../shared/quantity-field';
import { boxArea } from '../shared/table/cushion-scene';
import type { Scene, SceneItem } from '../shared/table/scene';
import { Table, type Edit } from '../shared/table/table';

type Seat = NonNullable<Cushion['seat']>;
type Old = NonNullable<Seat['old']>;

const WORDS: Record<string, string> = {
  board: 'bare board',
  'folding-bed': 'folding-bed platform',
  webbing: 'webbing',
  springs: 'springs',
  daily: 'daily',
  regular: 'regularly',
  occasional: 'now and then',
  indoor: 'indoors',
  outdoor: 'outdoors',
  damp: 'damp',
};
const FINDING_WORDS: Record<Finding, string> = {
  mould: 'mould',
  crumbling: 'crumbles',
  'no-return': 'does not come back',
  'joints-open': 'joints open',
  discoloured: 'discoloured',
  smell: 'smells',
};
const VERDICT_WORDS: Record<Verdict, string> = {
  keep: 'Keep the old core',
  refresh: 'Refresh the old core',
  patch: 'Patch the old core',
  replace: 'Replace the old core',
};

const options = (values: readonly string[]) => values.map((value) => ({ value, name: WORDS[value] ?? value }));

/** A seat drawn without a deck height stands this high, mm. */
const USUAL_DECK_MM = 350;

/** What the seat is, who uses it how, and what the old core is still good for. */
@Component({
  selector: 'yl-look-over-station',
  imports: [Table, Choice, QuantityField],
  templateUrl: './look-over-station.html',
  host: { class: 'station' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class LookOverStation {
  protected readonly store = inject(JobStore);
  protected readonly supports = options(SUPPORTS);
  protected readonly uses = options(USES);
  protected readonly places = options(PLACES);
  protected readonly findings = FINDINGS.map((value) => ({ value, name: FINDING_WORDS[value] }));
  protected readonly seat = computed<Seat>(() => this.store.cushion()?.seat ?? {});
  protected readonly old = computed<Old>(() => this.seat().old ?? { findings: [] });

  protected readonly verdict = computed(() => {
    const old = this.seat().old;
    if (!old || (!old.findings.length && (old.edgeMm === undefined || old.middleMm === undefined))) return null;
    const { verdict, reasons } = judge(old);
    return { verdict, title: VERDICT_WORDS[verdict], reasons: reasons.map((reason) => say(reason, this.store.inWords())) };
  });

  protected readonly scene = computed<Scene>(() => {
    const one = this.store.cushionPlan();
    const fit = `look-over ${this.store.cushionIndex()}`;
    if (!one?.sizes) return { title: 'Look over', fit, items: [] };
    const seat = this.seat();
    const depth = one.sizes.seat.depth.value;
    const deck = seat.deckHeightMm ?? USUAL_DECK_MM;
    const height = one.sizes.finished.height.value;
    const board = 24;
    const items: SceneItem[] = [
      boxArea('floor', -depth * 0.12, -18, depth * 1.24, 18, 'board'),
      boxArea('leg-front', depth * 0.06, 0, 34, deck - board, 'material'),
      boxArea('leg-back', depth * 0.94 - 34, 0, 34, deck - board, 'material'),
      ...supportItems(seat.support, depth, deck, board),
      boxArea('new', 0, deck, depth, height, 'finished'),
      {
        kind: 'dim',
        key: 'deck',
        name: 'deck height',
        side: 'left',
        away: 40,
        from: { x: 0, y: deck },
        to: { x: 0, y: 0 },
        mm: deck,
        edit: { minMm: 0, maxMm: 3000 },
      },
      {
        kind: 'dim',
        key: 'seat-height',
        name: 'seat height, nobody on it',
        side: 'right',
        away: 56,
        from: { x: depth, y: deck + height },
        to: { x: depth, y: 0 },
        mm: deck + height,
      },
      {
        kind: 'dim',
        key: 'depth',
        name: 'seat depth',
        side: 'above',
        away: 26,
        from: { x: 0, y: deck + height },
        to: { x: depth, y: deck + height },
        mm: depth,
      },
      { kind: 'note', key: 'front', at: { x: 0, y: deck + height / 2 }, dx: -12, dy: 4, anchor: 'end', text: 'front', look: 'small' },
    ];
    const { edgeMm, middleMm } = this.old();
    if (edgeMm !== undefined && middleMm !== undefined) items.push({ kind: 'area', key: 'old', shape: sag(depth, deck, edgeMm, middleMm), look: 'core' });
    return {
      title: `The seat of ${one.source.name} from the side, the new cushion in outline over the old core`,
      fit,
      room: { left: 120, right: 120, top: 84, bottom: 24 },
      items,
    };
  });

  readonly #dialog = inject(Dialog);
  protected readonly who = computed(() => sittersWords(this.seat().sitters ?? []));

  protected askSitters(): void {
    this.#dialog.open(SittersDialog, { data: this.store, ariaLabelledBy: 'sitters-title' });
  }

  protected setSeat(label: string, change: Partial<Record<keyof Seat, unknown>>): void {
    this.store.editCushion(label, (cushion) => ({ ...cushion, seat: tidy({ ...cushion.seat, ...change }) as Seat }));
  }

  protected setOld(label: string, change: Partial<Record<keyof Old, unknown>>): void {
    this.setSeat(label, { old: tidy({ ...this.old(), ...change }) });
  }

  protected toggle(finding: Finding): void {
    const found = this.old().findings;
    this.setOld('Findings', { findings: found.includes(finding) ? found.filter((one) => one !== finding) : [...found, finding] });
  }

  protected edited({ key, mm }: Edit): void {
    if (key === 'deck') this.setSeat('Deck height', { deckHeightMm: mm });
  }
}

/** Leaves out what is not set, so that a document holds only what was said. */
function tidy<T extends object>(value: T): Partial<T> {
  return Object.fromEntries(Object.entries(value).filter(([, inner]) => inner !== undefined && inner !== null && inner !== '')) as Partial<T>;
}

function supportItems(support: Seat['support'], depth: number, deck: number, board: number): SceneItem[] {
  const words: SceneItem = {
    kind: 'note',
    key: 'support',
    at: { x: depth / 2, y: deck - board },
    dy: 20,
    anchor: 'middle',
    text: support ? (WORDS[support] ?? support) : 'what is underneath?',
    look: 'small',
  };
  if (support === 'webbing' || support === 'springs') {
    const waves = Array.from({ length: 61 }, (_, i) => ({
      x: (depth * i) / 60,
      y: deck - board / 2 + (support === 'springs' ? 0.42 : 0.18) * board * Math.sin(i * 1.05),
    }));
    return [{ kind: 'area', key: 'support-line', shape: waves, open: true, look: 'cover' }, words];
  }
  return [boxArea('board', 0, deck - board, depth, board, 'board'), words];
}

/** The old core from the side: its edges as thick as they are, its top sagging to the middle. */
function sag(depth: number, deck: number, edge: number, middle: number) {
  const top = Array.from({ length: 31 }, (_, i) => {
    const share = (2 * i) / 30 - 1;
    return { x: (depth * i) / 30, y: deck + middle + (edge - middle) * share * share };
  });
  return [{ x: 0, y: deck }, ...top, { x: depth, y: deck }];
}
