import { computed, Directive, input } from '@angular/core';
import type { Look } from './scene';

/** Colours of the theme that drawings take (`styles.css`). */
type Colour =
  | 'calico-deep'
  | 'linen'
  | 'ink'
  | 'ink-soft'
  | 'line'
  | 'line-strong'
  | 'chalk'
  | 'madder'
  | 'straw'
  | 'straw-line'
  | 'straw-alt'
  | 'sage'
  | 'sage-line'
  | 'cloth';

const colour = (name: Colour): string => `var(--color-${name})`;
/** So much of a colour, the rest of another. */
const mixed = (name: Colour, percent: number, rest: Colour): string => `color-mix(in srgb, ${colour(name)} ${percent}%, ${colour(rest)})`;

/** A repeating pattern that fills areas: dots and lines over a ground, pixels. */
export interface Hatch {
  readonly id: string;
  readonly width: number;
  readonly height: number;
  /** Turned by so many degrees. */
  readonly turn?: number;
  readonly ground?: string;
  readonly path?: string;
  readonly stroke?: string;
  readonly strokeWidth?: number;
  readonly opacity?: number;
  /** Centre and radius of each. */
  readonly dots?: readonly (readonly [x: number, y: number, r: number])[];
}

/** Cushions of a job are told apart on a lay by hatch as well as by colour. */
const CUSHION_HATCHES: readonly Hatch[] = [
  { ground: mixed('chalk', 16, 'linen'), path: 'M0 12 12 0' },
  { ground: mixed('straw', 60, 'linen'), path: 'M6 0V12' },
  { ground: mixed('sage', 60, 'linen'), path: 'M0 6H12' },
  { ground: mixed('madder', 13, 'linen'), path: 'M3 6h6M6 3v6' },
  { ground: mixed('ink', 14, 'linen'), path: 'M0 0 12 12' },
].map((one, i) => ({ id: `cushion-${i + 1}`, width: 12, height: 12, stroke: colour('ink-soft'), strokeWidth: 1.1, opacity: 0.34, ...one }));

export const HATCHES: readonly Hatch[] = [
  {
    id: 'dots-foam',
    width: 14,
    height: 14,
    ground: colour('straw'),
    stroke: colour('straw-line'),
    dots: [
      [3, 4, 1.1],
      [10, 9, 1.4],
      [6, 12.4, 0.8],
    ],
  },
  {
    id: 'dots-foam-alt',
    width: 10,
    height: 10,
    ground: colour('straw-alt'),
    stroke: colour('straw-line'),
    dots: [
      [2, 3, 1.3],
      [7, 7, 1.5],
    ],
  },
  { id: 'coils-spring', width: 26, height: 20, ground: colour('linen'), path: 'M4 0 22 5 4 10 22 15 4 20', stroke: colour('ink-soft'), strokeWidth: 1.3 },
  {
    id: 'barbs-feather',
    width: 16,
    height: 14,
    ground: mixed('sage', 40, 'linen'),
    path: 'M2 12Q6 7 13 3M6 8 3 7M8 6.500V3M10 5l3 2',
    stroke: colour('ink-soft'),
    strokeWidth: 1.3,
  },
  { id: 'knots-felt', width: 8, height: 6, ground: mixed('line-strong', 45, 'linen'), path: 'M0 2h4M4 5h4', stroke: colour('ink-soft'), strokeWidth: 1.3 },
  { id: 'waves-wrap', width: 10, height: 8, ground: colour('sage'), path: 'M0 5q2.5-4 5 0t5 0', stroke: colour('sage-line') },
  { id: 'lines-board', width: 9, height: 9, turn: 35, path: 'M0 0v9', stroke: colour('line-strong'), strokeWidth: 1.6 },
  { id: 'lines-soft', width: 7, height: 7, turn: -45, path: 'M0 0v7', stroke: colour('ink-soft'), strokeWidth: 1.2 },
  { id: 'lines-bias', width: 9, height: 9, turn: 45, ground: colour('linen'), path: 'M0 0v9', stroke: colour('line-strong') },
  ...CUSHION_HATCHES,
];

/** How a line or an area is drawn; pixels. Without a fill it is a line only. */
export interface Ink {
  readonly fill?: string;
  readonly fillOpacity?: number;
  readonly stroke?: string;
  readonly width?: number;
  readonly opacity?: number;
  readonly dash?: string;
  readonly roundEnds?: true;
}

const hatch = (id: string): string => `url(#${id})`;
const piece = (fill: string): Ink => ({ fill, stroke: colour('madder'), width: 1.6 });

/** What is cut is madder, what is sewn chalk; foam, wadding and the rest of a filling have their hatch. */
export const INKS: Readonly<Record<Look, Ink>> = {
  cut: { fill: colour('linen'), stroke: colour('madder'), width: 2.2 },
  sew: { stroke: colour('chalk'), width: 2, dash: '9 5' },
  seat: { stroke: colour('ink-soft'), width: 1.6, dash: '2 4' },
  finished: { stroke: colour('chalk'), width: 2.4 },
  core: { fill: hatch('dots-foam'), fillOpacity: 0.55, stroke: colour('straw-line'), width: 1.6 },
  foam: { fill: hatch('dots-foam'), stroke: colour('straw-line'), width: 1.4 },
  'foam-alt': { fill: hatch('dots-foam-alt'), stroke: colour('straw-line'), width: 1.4 },
  spring: { fill: hatch('coils-spring'), stroke: colour('ink-soft'), width: 1.4 },
  feather: { fill: hatch('barbs-feather'), stroke: colour('sage-line'), width: 1.4 },
  felt: { fill: hatch('knots-felt'), stroke: colour('ink-soft'), width: 1.2 },
  wrap: { fill: hatch('waves-wrap'), stroke: colour('sage-line'), width: 1.2 },
  cover: { stroke: colour('cloth'), width: 3.2 },
  piece: piece(colour('linen')),
  'cushion-0': piece(colour('linen')),
  'cushion-1': piece(hatch('cushion-1')),
  'cushion-2': piece(hatch('cushion-2')),
  'cushion-3': piece(hatch('cushion-3')),
  'cushion-4': piece(hatch('cushion-4')),
  'cushion-5': piece(hatch('cushion-5')),
  bias: piece(hatch('lines-bias')),
  motif: { stroke: colour('chalk'), width: 1.2 },
  sewing: { stroke: colour('chalk'), width: 3.4, dash: '11 5' },
  'sewing-hand': { stroke: colour('chalk'), width: 3, dash: '4 7' },
  'sewing-edge': { stroke: colour('straw-line'), width: 11, opacity: 0.55 },
  material: { fill: colour('calico-deep'), stroke: colour('line-strong'), width: 1.4 },
  selvedge: { fill: hatch('lines-board') },
  'soft-part': { fill: hatch('lines-soft'), stroke: colour('ink-soft'), dash: '4 3' },
  taken: { fill: colour('line'), stroke: colour('line-strong') },
  saw: { stroke: colour('ink'), width: 1.6, dash: '7 4' },
  flaw: { fill: colour('ink'), stroke: colour('ink') },
  board: { fill: hatch('lines-board'), stroke: colour('ink'), width: 1.4 },
  fold: { stroke: colour('ink-soft'), width: 1.2, dash: '10 3 2 3' },
  twine: { stroke: colour('chalk'), width: 2 },
  cord: { stroke: colour('madder'), width: 6, roundEnds: true },
  crown: { stroke: colour('sage-line'), width: 1.4 },
  chalked: { fill: colour('chalk') },
  bound: { stroke: colour('chalk'), width: 1.6, dash: '4 4' },
};

const IN_HAND = { stroke: colour('ink'), width: 3.4 } as const;

/** Words on a drawing, by how they are written. */
export const NOTE_LOOKS = {
  plain: 'pointer-events-none fill-ink text-[13.5px]',
  head: 'pointer-events-none fill-ink [font:700_17px_var(--font-head)]',
  small: 'pointer-events-none fill-ink-soft text-[13px]',
  onpiece: 'pointer-events-none fill-ink text-[12.5px] font-semibold',
} as const;

const HELD = 'group-hover:stroke-chalk group-hover:stroke-3 group-[.picked]:stroke-chalk group-[.picked]:stroke-3';
/** Grips of knobs, inside a group that is hovered or picked. */
export const KNOB_LOOKS = {
  layer: `fill-none stroke-ink stroke-[2.6] [stroke-linecap:round] ${HELD}`,
  corner: `fill-linen stroke-ink stroke-2 ${HELD}`,
  smooth: `fill-linen stroke-ink stroke-2 ${HELD}`,
  control: `fill-ink stroke-ink stroke-2 ${HELD}`,
  mark: `fill-chalk stroke-linen stroke-2 ${HELD}`,
} as const;

/** Draws a path with the ink of its look. As attributes, so that the style sheet can still tell what is picked or reached. */
@Directive({
  selector: '[ylInk]',
  host: {
    '[attr.data-look]': 'ylInk()',
    '[attr.fill]': 'ink().fill ?? "none"',
    '[attr.fill-opacity]': 'ink().fillOpacity',
    '[attr.stroke]': 'picked() ? IN_HAND.stroke : ink().stroke',
    '[attr.stroke-width]': 'picked() ? IN_HAND.width : ink().width',
    '[attr.stroke-opacity]': 'ink().opacity',
    '[attr.stroke-dasharray]': 'ink().dash',
    '[attr.stroke-linecap]': 'ink().roundEnds && "round"',
  },
})
export class Inked {
  readonly ylInk = input.required<Look>();
  /** It is the one in hand. */
  readonly picked = input(false);
  protected readonly IN_HAND = IN_HAND;
  protected readonly ink = computed(() => INKS[this.ylInk()]);
}
