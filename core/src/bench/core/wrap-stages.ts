import { stageLine, type Stage } from '../../piece/stage';

/** A corner of a wrap that is folded like a parcel, `highMm` hanging down on both sides: the core's corner is the origin, the core above and to the left. */
export function mitredStages(highMm: number): readonly Stage[] {
  const h = highMm;
  const reach = -2.4 * h;
  const core = stageLine('foam', [reach, 0], [0, 0], [0, 2.4 * h], [reach, 2.4 * h]);
  const whips = Array.from({ length: 6 }, (_, i) => {
    const y = -h + (h * (i + 0.5)) / 6;
    return stageLine('thread', [-h * 0.06, y - h * 0.03], [h * 0.06, y + h * 0.03]);
  });
  return [
    {
      words: 'seen from above: two 45° triangles cut out of the corner, their legs as long as the core is high',
      lines: [core, stageLine('wadding', [reach, -h], [h, -h], [h, 2.4 * h]), stageLine('fold', [0, 0], [h, -h]), stageLine('cut', [0, -h], [0, 0], [h, 0])],
    },
    {
      words: 'flaps down: they meet on the core’s upright edge',
      lines: [core, stageLine('wadding', [reach, -h], [0, -h], [0, 0]), stageLine('wadding', [0, 0], [h, 0], [h, 2.4 * h])],
    },
    {
      words: 'seen from the corner: edges whipped together, no ridge',
      lines: [
        stageLine('wadding', [reach * 0.7, 0], [-reach * 0.7, 0]),
        stageLine('wadding', [reach * 0.7, -h], [-reach * 0.7, -h]),
        stageLine('fold', [0, 0], [0, -h]),
        ...whips,
      ],
    },
  ];
}
