/** How a line of a drawing is meant: foam, cloth, cloth seen on edge, the part that the word is about, a seam, wadding, a measure, or what is only hinted at. */
export type Ink = 'foam' | 'cloth' | 'on-edge' | 'marked' | 'seam' | 'wadding' | 'measure' | 'hint';

/** One line or area of a drawing, as an SVG path in a field of `DRAWING`. */
export interface Stroke {
  readonly ink: Ink;
  readonly d: string;
}

/** The field of every drawing, in units of its paths. */
export const DRAWING = { width: 160, height: 80 } as const;

/** A word of the trade as a newcomer would have it told. */
export interface GlossaryWord {
  readonly word: string;
  readonly text: string;
  readonly drawing: readonly Stroke[];
}

const box = (x: number, y: number, w: number, h: number): string => `M${x} ${y}h${w}v${h}h${-w}z`;
/** A measure between two ends on one level, with a short bar at each. */
const across = (from: number, to: number, y: number): Stroke => ({ ink: 'measure', d: `M${from} ${y - 4}v8M${to} ${y - 4}v8M${from} ${y}H${to}` });
const down = (x: number, from: number, to: number): Stroke => ({ ink: 'measure', d: `M${x - 4} ${from}h8M${x - 4} ${to}h8M${x} ${from}V${to}` });

/** A boxed cushion from the side: two plates and the boxing between them. */
const SIDE: Stroke = { ink: 'cloth', d: 'M20 24C50 18 110 18 140 24V56C110 62 50 62 20 56Z' };

/** Words of the trade that stand on the screens, by a name of their own. */
export const GLOSSARY = {
  seat: {
    word: 'Seat',
    text: 'The space the cushion goes into, as it was measured: between arms, from the back to the front line. It may stay a little larger than the cushion.',
    drawing: [{ ink: 'hint', d: 'M20 12v56h120v-56' }, { ink: 'cloth', d: box(28, 22, 104, 40) }, across(20, 140, 74)],
  },
  finished: {
    word: 'Finished size',
    text: 'What the cushion measures when it is made, from seam to seam. Everything else is worked out from it.',
    drawing: [SIDE, { ink: 'seam', d: 'M20 24V56M140 24V56' }, across(20, 140, 72)],
  },
  core: {
    word: 'Core',
    text: 'The foam as it is cut, without wadding. Depending on the school it is as large as the finished size, or larger and squeezed in.',
    drawing: [{ ink: 'foam', d: box(30, 24, 100, 32) }, { ink: 'hint', d: box(22, 17, 116, 46) }, across(30, 130, 72)],
  },
  cut: {
    word: 'Cut size',
    text: 'The size to which the cloth is cut: the sewn size and the seam allowance on every edge that has a seam.',
    drawing: [{ ink: 'cloth', d: box(22, 10, 116, 54) }, { ink: 'seam', d: box(30, 18, 100, 38) }, across(22, 138, 74)],
  },
  allowance: {
    word: 'Seam allowance',
    text: 'The cloth between the cut edge and the seam. It is inside the cushion afterwards, and never part of a finished size.',
    drawing: [{ ink: 'cloth', d: 'M20 12h120v56h-120z' }, { ink: 'seam', d: 'M20 46h120' }, down(150, 46, 68)],
  },
  school: {
    word: 'Allowance school',
    text: 'A way of getting from the finished size to foam and cover: how much larger the foam is, whether the wadding counts, how much is squeezed. Shops differ in it; one of yours can be copied and changed.',
    drawing: [
      { ink: 'hint', d: box(14, 22, 56, 36) },
      { ink: 'foam', d: box(20, 27, 44, 26) },
      { ink: 'foam', d: box(92, 18, 60, 44) },
      { ink: 'hint', d: box(97, 23, 50, 34) },
    ],
  },
  crown: {
    word: 'Crown',
    text: 'How far the middle of a face stands above its edge. It comes from a pad in the middle, from overfilling, or from a plate that is cut domed.',
    drawing: [{ ink: 'foam', d: 'M20 58V40C50 14 110 14 140 40V58Z' }, { ink: 'hint', d: 'M20 40H140' }, down(80, 20, 40)],
  },
  wrap: {
    word: 'Wrap',
    text: 'Polyester wadding round the core. It fills the corners, softens the edges and holds the cover taut.',
    drawing: [
      {
        ink: 'wadding',
        d: 'M20 20q5 -7 10 0t10 0t10 0t10 0t10 0t10 0t10 0t10 0t10 0t10 0t10 0t10 0V60q-5 7 -10 0t-10 0t-10 0t-10 0t-10 0t-10 0t-10 0t-10 0t-10 0t-10 0t-10 0t-10 0Z',
      },
      { ink: 'foam', d: box(30, 28, 100, 24) },
    ],
  },
  loft: {
    word: 'Loft',
    text: 'How thick wadding is when nothing presses on it. Under a light load it is about half of that.',
    drawing: [
      { ink: 'wadding', d: 'M14 58V26q6 -8 12 0t12 0t12 0t12 0V58Z' },
      { ink: 'wadding', d: 'M92 58V42q6 -4 12 0t12 0t12 0t12 0V58Z' },
      { ink: 'measure', d: 'M116 12v22m-5 -6l5 6l5 -6' },
      down(74, 24, 58),
    ],
  },
  boxing: {
    word: 'Boxing',
    text: 'The band of cloth round the side, between the two plates.',
    drawing: [
      { ink: 'cloth', d: 'M20 34L60 14H140L104 34Z' },
      { ink: 'marked', d: 'M20 34H104V64H20Z' },
      { ink: 'marked', d: 'M104 34L140 14V42L104 64Z' },
      { ink: 'seam', d: 'M20 34H104L140 14' },
    ],
  },
  plate: {
    word: 'Plate',
    text: 'The piece of cloth over the top of a cushion, or under it.',
    drawing: [
      { ink: 'marked', d: 'M20 34L60 14H140L104 34Z' },
      { ink: 'cloth', d: 'M20 34H104V64H20Z' },
      { ink: 'cloth', d: 'M104 34L140 14V42L104 64Z' },
      { ink: 'seam', d: 'M20 34L60 14H140L104 34Z' },
    ],
  },
  plaque: {
    word: 'Zip plaque',
    text: 'The part of the boxing that holds the zip: two strips with the teeth between them, made up first and trimmed to the boxing’s own width.',
    drawing: [
      { ink: 'cloth', d: box(14, 18, 132, 44) },
      { ink: 'seam', d: 'M14 40H146' },
      { ink: 'measure', d: 'M26 34v12M38 34v12M50 34v12M62 34v12M74 34v12M86 34v12M98 34v12M110 34v12M122 34v12M134 34v12' },
    ],
  },
  welt: {
    word: 'Welt',
    text: 'A cord covered with a strip of cloth, sewn into the seam along an edge. The strip stands out behind the cord as the flange.',
    drawing: [
      { ink: 'cloth', d: 'M62 40a18 18 0 1 0 -18 18H140V50H62' },
      { ink: 'foam', d: 'M44 28a12 12 0 1 0 0.1 0Z' },
      { ink: 'seam', d: 'M66 44V64' },
    ],
  },
  flange: {
    word: 'Flange',
    text: 'What stands out behind the cord of a welt and is sewn into the seam. Where it is wider than the seam allowance, the seam runs further in and the cushion becomes a little smaller.',
    drawing: [{ ink: 'cloth', d: 'M62 30a18 18 0 1 0 -18 18H140V40H62' }, { ink: 'foam', d: 'M44 18a12 12 0 1 0 0.1 0Z' }, across(62, 140, 62)],
  },
  edge: {
    word: 'Edge',
    text: 'How the seam round a plate looks: plain; with a welt in it; or as a ridge, where the seam is turned to the boxing and stitched again 5 mm beside it.',
    drawing: [
      { ink: 'on-edge', d: 'M8 62V30H48' },
      { ink: 'on-edge', d: 'M60 62V34a6 6 0 1 1 6 -4H100' },
      { ink: 'on-edge', d: 'M112 62V34q0 -10 6 -10t6 8H152' },
      { ink: 'seam', d: 'M8 30h1M66 30h1M118 32h6' },
    ],
  },
  roll: {
    word: 'Rolled edge',
    text: 'The edge of a mattress, stitched by hand so that a firm roll stands round both faces. Its stitches are numbered, so that corners fall on one.',
    drawing: [
      { ink: 'cloth', d: 'M26 24a8 8 0 1 0 -8 10H142a8 8 0 1 0 -8 -10Q80 14 26 24Z' },
      { ink: 'cloth', d: 'M18 34V60H142V34' },
      { ink: 'seam', d: 'M34 34v6M52 34v6M70 34v6M88 34v6M106 34v6M124 34v6' },
    ],
  },
  deck: {
    word: 'Deck',
    text: 'What the cushion lies on: a board, webbing, springs. Its height decides how high one sits.',
    drawing: [{ ink: 'foam', d: box(30, 14, 100, 24) }, { ink: 'seam', d: 'M20 42H140' }, { ink: 'hint', d: 'M28 42V70M132 42V70' }, down(148, 42, 70)],
  },
  bias: {
    word: 'Bias',
    text: 'At 45° to the threads of the cloth. A strip cut so stretches a little and goes round corners without puckering.',
    drawing: [
      { ink: 'cloth', d: box(20, 10, 120, 60) },
      { ink: 'hint', d: 'M20 25H140M20 40H140M20 55H140M50 10V70M80 10V70M110 10V70' },
      { ink: 'seam', d: 'M40 70L100 10M58 70L118 10' },
    ],
  },
  nap: {
    word: 'Nap',
    text: 'The way the pile of a cloth lies. Stroked against it, or turned round, the same cloth looks darker: all pieces of a cushion lie one way.',
    drawing: [
      { ink: 'cloth', d: 'M14 60H146' },
      { ink: 'seam', d: 'M20 60l10 -14M34 60l10 -14M48 60l10 -14M62 60l10 -14M76 60l10 -14M90 60l10 -14M104 60l10 -14M118 60l10 -14' },
      { ink: 'measure', d: 'M50 24H110m-8 -5l8 5l-8 5' },
    ],
  },
  railroaded: {
    word: 'Up the roll or across it',
    text: 'Up the roll: the front of a piece points along the roll. Across the roll: the piece is turned a quarter, so that a long one needs no join, where the cloth’s pattern and nap allow it.',
    drawing: [
      { ink: 'hint', d: 'M8 10H152M8 70H152' },
      { ink: 'cloth', d: box(20, 16, 34, 48) },
      { ink: 'cloth', d: box(76, 22, 66, 36) },
      { ink: 'measure', d: 'M30 40h14m-5 -4l5 4l-5 4' },
      { ink: 'measure', d: 'M109 32v16m-4 -5l4 5l4 -5' },
    ],
  },
  repeat: {
    word: 'Repeat',
    text: 'The distance after which a pattern begins again, along the roll and across it. Pieces that are matched can lie only where their motif falls.',
    drawing: [
      { ink: 'hint', d: 'M8 10H152M8 70H152' },
      { ink: 'marked', d: 'M30 28l10 12l-10 12l-10 -12ZM80 28l10 12l-10 12l-10 -12ZM130 28l10 12l-10 12l-10 -12Z' },
      across(30, 80, 64),
    ],
  },
  selvedge: {
    word: 'Selvedge',
    text: 'The woven edge of a roll of cloth. What can be cut lies between the two selvedges.',
    drawing: [{ ink: 'cloth', d: box(8, 12, 144, 56) }, { ink: 'seam', d: 'M8 18H152M8 62H152' }, down(80, 18, 62)],
  },
  notch: {
    word: 'Notch',
    text: 'A small cut into the seam allowance that must meet another one: at corners, centres, zip ends and ties.',
    drawing: [
      { ink: 'cloth', d: 'M20 12H140V60H86L80 50L74 60H20Z' },
      { ink: 'seam', d: 'M20 48H140' },
    ],
  },
  density: {
    word: 'Density',
    text: 'How much a cubic metre of foam weighs. It tells how long the foam lasts, not how it feels.',
    drawing: [
      { ink: 'foam', d: box(20, 20, 44, 44) },
      { ink: 'foam', d: box(96, 20, 44, 44) },
      { ink: 'hint', d: 'M30 30h1M50 34h1M38 50h1M54 54h1' },
      { ink: 'seam', d: 'M102 28h1M112 28h1M122 28h1M132 28h1M107 38h1M117 38h1M127 38h1M102 48h1M112 48h1M122 48h1M132 48h1M107 58h1M117 58h1M127 58h1' },
    ],
  },
  hardness: {
    word: 'Hardness',
    text: 'The force that presses a plate a quarter, or 40 %, into the foam. It tells how the foam feels, not how long it lasts.',
    drawing: [
      { ink: 'foam', d: 'M14 66V30H52C56 30 56 44 62 44H98C104 44 104 30 108 30H146V66Z' },
      { ink: 'seam', d: 'M60 40H100' },
      { ink: 'measure', d: 'M80 8V34m-5 -7l5 7l5 -7' },
    ],
  },
  support: {
    word: 'Support factor',
    text: 'How much harder foam becomes when it is pressed deep: the force at 65 % over the force at 25 %. More of it keeps a sitter off the board.',
    drawing: [
      { ink: 'hint', d: 'M24 10V66H146' },
      { ink: 'seam', d: 'M24 66C60 52 96 52 136 12' },
      { ink: 'measure', d: 'M54 56V66M106 40V66' },
    ],
  },
  bottoming: {
    word: 'Bottoming out',
    text: 'How far the layer that gives most is pressed together. Beyond about two thirds the sitter feels what is underneath: it bottoms out.',
    drawing: [
      { ink: 'foam', d: 'M14 62V26H44C58 26 52 54 80 54C108 54 102 26 116 26H146V62Z' },
      { ink: 'seam', d: 'M8 66H152' },
      { ink: 'measure', d: 'M80 10V46m-5 -7l5 7l5 -7' },
    ],
  },
  pocket: {
    word: 'Pocket',
    text: 'Where the boxing is folded back over an end of the zip, so that neither the slider nor the end of the teeth is seen.',
    drawing: [{ ink: 'cloth', d: box(14, 22, 132, 36) }, { ink: 'seam', d: 'M14 40H104' }, { ink: 'marked', d: 'M104 18H146V62H104Z' }, across(104, 146, 72)],
  },
  tuft: {
    word: 'Tuft',
    text: 'A twine drawn through the cushion from face to face and held by a button or a stitch. It keeps filling and cover in their place.',
    drawing: [
      { ink: 'cloth', d: 'M14 26C40 16 60 18 80 32C100 18 120 16 146 26V54C120 64 100 62 80 48C60 62 40 64 14 54Z' },
      { ink: 'seam', d: 'M80 32V48' },
      { ink: 'measure', d: 'M72 31h16M72 49h16' },
    ],
  },
  ease: {
    word: 'Boxing ease',
    text: 'A little more cloth on one edge of a seam than on the other, worked in evenly with the fingers. It gives a softer look, or room for a rolled edge.',
    drawing: [
      { ink: 'cloth', d: 'M20 48H140V70H20Z' },
      { ink: 'seam', d: 'M20 40q7.5 -12 15 0t15 0t15 0t15 0t15 0t15 0t15 0t15 0' },
    ],
  },
  trim: {
    word: 'Trim-off',
    text: 'What strips and zips are cut longer by, so that they can be trimmed at their join. It is bought, and never part of a finished size.',
    drawing: [{ ink: 'cloth', d: box(14, 28, 132, 24) }, { ink: 'seam', d: 'M112 20V60' }, across(112, 146, 68)],
  },
} as const satisfies Readonly<Record<string, GlossaryWord>>;

/** The name of a word in the glossary. */
export type GlossaryName = keyof typeof GLOSSARY;
