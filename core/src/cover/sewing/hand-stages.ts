import { stageLine, type Stage, type StageLine } from '../../piece/stage';

/** Layers of the same cloth are drawn this share of the allowance apart. */
const LAYER = 0.2;

/** The two edges of an opening across, each turned in by `seamMm`; `gapMm` between their folds. */
function turnedIn(seamMm: number, gapMm: number, reachMm: number): StageLine[] {
  const g = seamMm * LAYER;
  return ([-1, 1] as const).map((way) => {
    const fold = (way * gapMm) / 2;
    return stageLine('cloth', [way * reachMm, 0], [fold, 0], [fold, -g], [fold + way * seamMm, -g]);
  });
}

/** Two folds flat, one above the other, `apartMm` between them and `longMm` long. */
const folds = (longMm: number, apartMm: number): StageLine[] => [stageLine('cloth', [0, apartMm], [longMm, apartMm]), stageLine('cloth', [0, 0], [longMm, 0])];

/**
 * A ladder stitch: both edges turned in by the allowance; the thread straight across from fold to fold, then along inside a fold for one stitch; drawn up.
 * `stitchMm`: of one stitch.
 */
export function ladderStages(seamMm: number, stitchMm: number): readonly Stage[] {
  const rungs = 5;
  const apart = stitchMm * 0.8;
  const long = stitchMm * (rungs + 1);
  const thread = Array.from({ length: rungs + 1 }, (_, i): [number, number][] => {
    const x = stitchMm * (i + 0.5);
    const [here, there] = i % 2 ? [apart, 0] : [0, apart];
    return [
      [x, here],
      [x, there],
    ];
  }).flat();
  return [
    { words: 'both edges turned in by exactly the allowance', lines: turnedIn(seamMm, seamMm * 0.6, seamMm * 2) },
    { words: 'straight across, then along inside the fold, one side at a time', lines: [...folds(long, apart), stageLine('thread', ...thread)] },
    { words: 'drawn up every few stitches: the folds meet, no thread is seen', lines: turnedIn(seamMm, seamMm * 0.06, seamMm * 2) },
  ];
}

/** A slip stitch: the needle runs inside one fold for a stitch, then takes a few threads of the other. `stitchMm`: of one stitch. */
export function slipStages(seamMm: number, stitchMm: number): readonly Stage[] {
  const stitches = 4;
  const apart = stitchMm * 0.6;
  const thread = Array.from({ length: stitches }, (_, i): [number, number][] => {
    const x = stitchMm * (i + 0.5);
    return [
      [x, apart],
      [x + stitchMm * 0.7, apart],
      [x + stitchMm * 0.75, 0],
      [x + stitchMm * 0.95, 0],
    ];
  }).flat();
  return [
    { words: 'both edges turned in by exactly the allowance', lines: turnedIn(seamMm, seamMm * 0.6, seamMm * 2) },
    {
      words: 'along inside one fold, then a little of the other',
      lines: [...folds(stitchMm * (stitches + 1), apart), stageLine('thread', ...thread)],
    },
  ];
}

/** Twine through a cushion `thickMm` high and back beside where it went in, held by a slipped knot, drawn down by `depthMm` on both faces. */
export function slippedKnotStages(thickMm: number, depthMm: number): readonly Stage[] {
  const beside = thickMm * 0.12;
  const reach = thickMm * 0.9;
  const tail = thickMm * 0.55;
  const face = (y: number, down: number): StageLine => stageLine('cloth', [-reach, y], [-reach * 0.4, y], [0, y + down], [reach * 0.4, y], [reach, y]);
  const flat = [face(thickMm, 0), face(0, 0)];
  const drawn = [face(thickMm, -depthMm), face(0, depthMm)];
  const through = (top: number, foot: number): StageLine[] => [
    stageLine('thread', [-beside / 2, top], [-beside / 2, foot], [beside / 2, foot], [beside / 2, top]),
  ];
  const loop = (x: number, y: number, r: number): [number, number][] =>
    Array.from({ length: 13 }, (_, i) => [x + r * Math.sin((i * Math.PI) / 6), y + r * (1 - Math.cos((i * Math.PI) / 6))]);
  const knotTop = thickMm - depthMm;
  return [
    {
      words: 'twine through both faces and back beside it, both ends on top',
      lines: [...flat, ...through(thickMm + tail, 0)],
    },
    {
      words: 'slipped knot: one end wound two times round the other',
      lines: [
        ...flat,
        stageLine('thread', [-beside / 2, thickMm + tail], [-beside / 2, 0], [beside / 2, 0], [beside / 2, thickMm]),
        stageLine('thread', [beside / 2, thickMm], ...loop(-beside / 2, thickMm, beside * 0.9), ...loop(-beside / 2, thickMm + beside * 0.9, beside * 0.9), [
          reach * 0.5,
          thickMm + tail * 0.5,
        ]),
      ],
    },
    {
      words: 'drawn down to depth, two plain knots on it, ends sunk with the needle',
      lines: [
        ...drawn,
        ...through(knotTop, depthMm),
        stageLine('thread', ...loop(0, knotTop, beside * 0.5)),
        stageLine('thread', [beside / 2, knotTop], [beside * 2.5, knotTop - thickMm * 0.35]),
      ],
    },
  ];
}
