import { grow } from '../../../geometry/offset';
import { area, edgeSpans, flatten, outlineBounds, perimeter, type Outline } from '../../../geometry/outline';
import type { Point } from '../../../geometry/point';
import { line } from '../../../geometry/segment';
import { spread } from '../../../geometry/transform';
import { given, law, measuredOn, plus, sum, type Figure } from '../../../kernel/figure';
import { operation, type Operation } from '../../../piece/operation';
import type { Mark, Piece } from '../../../piece/piece';
import type { SeamDraft } from '../../../piece/seam';
import type { OwnAssumption } from '../../../shop/assumptions';
import { minutesFor } from '../../../shop/minutes';
import type { CoverRequest, Notion } from '../../contract';
import { allRound, clothPiece, stripEdge } from '../../sewing/cloth-piece';
import type { Channelled, Mix } from './choices';
import { CHANNELLED_CONSTANTS } from './constants';

const DENSITY: Record<Mix, { readonly density: OwnAssumption; readonly words: string }> = {
  feather: { density: CHANNELLED_CONSTANTS.fillFeather, words: 'Feather' },
  'feather-down': { density: CHANNELLED_CONSTANTS.fillFeatherDown, words: 'Feather and down' },
  down: { density: CHANNELLED_CONSTANTS.fillDown, words: 'Down' },
  fibre: { density: CHANNELLED_CONSTANTS.fillFibre, words: 'Fibre' },
};

export interface CaseAsk {
  readonly choices: Channelled;
  readonly request: CoverRequest;
  /** The case's plan, and its size. */
  readonly plan: Outline;
  readonly width: Figure;
  readonly depth: Figure;
  readonly loft: Figure;
  /** Cases alike in one cushion. */
  readonly count: number;
  /** Before the ids of its pieces, seams and steps; empty for the only one. */
  readonly prefix: string;
}

export interface Case {
  readonly pieces: readonly Piece[];
  readonly seams: readonly SeamDraft[];
  readonly operations: readonly Operation[];
  readonly notions: readonly Notion[];
  readonly channels: number;
  /** Left open at the back until the channels are filled. */
  readonly opening: Figure;
}

/** How many channels a case so wide is divided into, each near to the width asked for. */
export const channelsIn = (widthMm: number, channelMm: number): number => Math.max(1, Math.round(widthMm / channelMm));

/** Where a line straight through an outline from front to back, at x, enters and leaves it. */
function chordAt(plan: Outline, x: number): readonly [Point, Point] {
  const polygon = flatten(plan, 0.02);
  const ys = polygon.flatMap((a, i) => {
    const b = polygon[(i + 1) % polygon.length] as Point;
    return a.x > x !== b.x > x ? [a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x)] : [];
  });
  return [
    { x, y: Math.min(...ys) },
    { x, y: Math.max(...ys) },
  ];
}

/** A case of downproof ticking: two panels with walls between them, its channels running from front to back, each filled by weight. */
export function featherCase({ choices, request, plan, width, depth, loft, count, prefix }: CaseAsk): Case {
  const { sizes, assume } = request;
  const { seam } = sizes;
  const wanted = choices.channelMm ?? assume(CHANNELLED_CONSTANTS.channelMm);
  const channels = channelsIn(width.value, wanted);
  const many = given('channels', channels, 'counted', 'count');
  const round = given('for the roundness of a channel', assume(CHANNELLED_CONSTANTS.channelRoundMm), 'shop');
  const more = round.value * channels;
  // The panels are wider than the plan by what the channels' roundness takes up.
  const sewn = spread(plan, 'x', more);
  const grown = grow(sewn, seam.value);
  const outline = grown.ok ? grown.outline : sewn;
  const box = outlineBounds(sewn);
  const walls = Array.from({ length: channels - 1 }, (_, i) => {
    const x = box.minX + ((box.maxX - box.minX) * (i + 1)) / channels;
    const [from, to] = chordAt(sewn, x);
    return { from, to, lengthMm: to.y - from.y };
  });
  const [front, back] = (['front', 'back'] as const).map((edge) => edgeSpans(sewn).filter((span) => span.edge === edge));
  const marks = walls.flatMap(({ from, to }): Mark[] => [
    { kind: 'quarter', at: from, outward: { x: 0, y: -1 } },
    { kind: 'quarter', at: to, outward: { x: 0, y: 1 } },
  ]);
  const id = (name: string): string => `${prefix}${name}`;
  const panel = clothPiece('ticking', {
    id: id('channel-panel'),
    role: 'channel',
    label: 'channelled panel',
    remark: `${channels} channels`,
    face: 'hidden',
    countPerCushion: 2 * count,
    facing: 'each-way',
    width: sum('panel, cut', width, plus(round, channels), plus(seam, 2)),
    height: sum('panel, cut', depth, plus(seam, 2)),
    outline,
    sewn,
    marks,
    placements: walls.map(({ from, to }) => ({ segments: [line('right', from, to), line('left', to, from)] })),
  });
  const high = sum('wall, cut', loft, plus(seam, 2));
  // Walls as long as each other are one piece to cut.
  const lengths = [...new Set(walls.map(({ lengthMm }) => Math.round(lengthMm * 10) / 10))];
  const wallPieces = lengths.map((lengthMm, i) => {
    const asDeep = Math.abs(lengthMm - depth.value) < 0.1;
    const long = asDeep ? depth : measuredOn('channel, long', lengthMm, 'along the wall, of {0}', [depth]);
    return clothPiece('ticking', {
      id: id(lengths.length > 1 ? `wall-${i + 1}` : 'wall'),
      role: 'wall',
      label: lengths.length > 1 ? `wall ${i + 1} of ${lengths.length}` : 'wall',
      remark: 'between two channels',
      part: { index: i + 1, of: lengths.length },
      face: 'hidden',
      countPerCushion: count * walls.filter((wall) => Math.round(wall.lengthMm * 10) / 10 === lengthMm).length,
      width: long,
      height: high,
      ...stripOf(long.value, high.value, seam.value),
    });
  });
  const pieceFor = (lengthMm: number): Piece => wallPieces[lengths.indexOf(Math.round(lengthMm * 10) / 10)] as Piece;
  const seams = walls.flatMap(({ from, to, lengthMm }, i): SeamDraft[] =>
    (['lower', 'upper'] as const).map((edge) => ({
      id: id(`wall-${i + 1}-${edge}`),
      words: `wall ${i + 1} to the ${edge} panel`,
      count,
      first: [stripEdge(pieceFor(lengthMm), edge)],
      second: [{ piece: panel.id, from, to, placement: i }],
    })),
  );
  const caseRound: SeamDraft = { id: id('case-round'), words: 'panel to panel, all round', count, first: [allRound(panel)], second: [allRound(panel)] };
  const backMm = (back ?? []).reduce((mm, { start, end }) => mm + end - start, 0) || (front ?? []).reduce((mm, { start, end }) => mm + end - start, 0);
  const opening = measuredOn('opening', backMm, 'along the back of the case');
  const fill = fillOf(choices, request, { plan, loft, channels: many, cases: count });
  return {
    channels,
    pieces: [panel, ...wallPieces],
    seams: [...seams, caseRound],
    opening,
    notions: [{ ware: 'fill', name: fill.words, sold: 'weight', amount: fill.all }],
    operations: caseOperations({ id, request, panel, walls: wallPieces, wallSeams: seams, caseRound, channels, count, eachG: fill.each.value }),
  };
}

/** The cases of a cushion, alike: the plan and loft of one, its channels, and how many there are. */
interface Cases {
  readonly plan: Outline;
  readonly loft: Figure;
  readonly channels: Figure;
  readonly cases: number;
}

/** What goes into each channel, and into all cases of a cushion: volume by the density of the mix, grams. */
function fillOf(choices: Channelled, { assume }: CoverRequest, { plan, loft, channels, cases }: Cases) {
  const mix = DENSITY[choices.mix ?? 'feather'];
  const density = assume(mix.density);
  const litres = measuredOn('the case', area(plan) * loft.value * 1e-6, 'its plan, {0}, by {1}', [given('', area(plan), 'measured', 'mm²'), loft], 'l');
  // Grams a litre are kilograms a cubic metre.
  const each = law('fill of a channel', '{0} ÷ {1} × {2}', [litres, channels, given('kg/m³', density, 'shop', 'count')], 'g');
  const all = law('fill', `${cases === 1 ? '' : `${cases} × `}{0} × {1}`, [channels, each], 'g');
  return { words: `${mix.words}, loose`, each, all };
}

interface CaseWork {
  readonly id: (name: string) => string;
  readonly request: CoverRequest;
  readonly panel: Piece;
  readonly walls: readonly Piece[];
  readonly wallSeams: readonly SeamDraft[];
  readonly caseRound: SeamDraft;
  readonly channels: number;
  readonly count: number;
  readonly eachG: number;
}

/** Walls into the panels, the panels together, the channels filled and closed. */
function caseOperations({ id, request: { assume }, panel, walls, wallSeams, caseRound, channels, count, eachG }: CaseWork): Operation[] {
  const many = channels - 1;
  const wallRun = walls.reduce((mm, wall) => mm + 2 * wall.countPerCushion * wall.width.value, 0);
  const round = panel.sewn ? perimeter(panel.sewn) : 0;
  return [
    ...(many
      ? [
          operation({
            id: `sew/${id('walls')}`,
            phase: 'sew',
            text: `Sew the ${many === 1 ? 'wall' : `${many} walls`} to the one panel along the marked lines, then to the other, one after the other from a side.`,
            cautions: ['Downproof ticking: small stitches, and wax or soap on the seams from inside.'],
            pieces: [panel.id, ...walls.map((wall) => wall.id)],
            seams: wallSeams.map((one) => one.id),
            minutes: minutesFor('sew', wallRun, 2 * many, assume),
            needs: 'machine',
            after: ['cut/notch'],
          }),
        ]
      : []),
    operation({
      id: `sew/${id('case')}`,
      phase: 'sew',
      text: 'Close the panels together at the front and both sides, twice; the back stays open.',
      pieces: [panel.id],
      seams: [caseRound.id],
      minutes: minutesFor('sew', 2 * round * count, 4, assume),
      needs: 'machine',
      after: [`sew/${id('walls')}`],
    }),
    operation({
      id: `fill/${id('channels')}`,
      phase: 'fill',
      text: `Fill each of the ${channels} channels with ${Math.ceil(eachG)} g, weighed; clip it shut as it is full, then close the whole back with two rows.`,
      cautions: ['Work in still air, with a mask. Weigh every channel: an uneven case is felt.'],
      tools: ['scales'],
      pieces: [panel.id],
      minutes: minutesFor('fill', 0, 3 * channels * count, assume),
      needs: 'bench',
      after: [`sew/${id('case')}`],
    }),
  ];
}

/** The outline and the seam line of a wall: an allowance above and below, none at its ends. */
function stripOf(widthMm: number, heightMm: number, seamMm: number): Pick<Piece, 'outline' | 'sewn'> {
  const box = (y0: number, y1: number): Outline => ({
    segments: [
      line('front', { x: 0, y: y0 }, { x: widthMm, y: y0 }),
      line('right', { x: widthMm, y: y0 }, { x: widthMm, y: y1 }),
      line('back', { x: widthMm, y: y1 }, { x: 0, y: y1 }),
      line('left', { x: 0, y: y1 }, { x: 0, y: y0 }),
    ],
  });
  return { outline: box(0, heightMm), sewn: box(seamMm, heightMm - seamMm) };
}
