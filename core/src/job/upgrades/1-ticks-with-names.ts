import type { RawJob } from './raw-job';

/**
 * Format 1 named a step by its place in the list (`cut-3`), or by its seam; format 2 names it by what it does to which piece. Places that the document itself tells are
 * renamed; a tick whose step cannot be told from the document keeps its old name, and is shown as one whose step is no longer in the list.
 */
export function ticksWithNames(job: RawJob): RawJob {
  const { cushions } = job;
  return Array.isArray(cushions) ? { ...job, cushions: cushions.map(renamed) } : job;
}

const BY_SEAM: Readonly<Record<string, string>> = {
  'sew-plaque-slit': 'sew/plaque',
  'sew-boxing-joins': 'sew/boxing-joins',
  'sew-panel-corners': 'sew/panel-corners',
  'sew-welt-top': 'sew/welt-on',
  'sew-plaque-ends': 'sew/plaque-ends',
  'sew-band-to-top': 'sew/band-to-top',
  'sew-band-to-bottom': 'sew/band-to-bottom',
  'cut-1': 'cut/cover',
  'cut-2': 'cut/notch',
  'fill-1': 'fill/insert',
  'fill-2': 'fill/dress',
};

/** A core longer than this may have been glued up from parts, each with a step of its own: then places say nothing. */
const PARTS_FROM_MM = 900;

type Loose = Readonly<Record<string, unknown>>;
const loose = (value: unknown): Loose => (typeof value === 'object' && value !== null ? (value as Loose) : {});

function renamed(cushion: unknown): unknown {
  const { bench, ...rest } = loose(cushion);
  const done = loose(loose(bench)['done']);
  if (bench === undefined) return cushion;
  const names = { ...BY_SEAM, ...byPlace(rest) };
  return { ...rest, bench: { done: Object.fromEntries(Object.entries(done).map(([id, count]) => [names[id] ?? id, { count }])) } };
}

/** Places after the cover's two steps, for a new core of one piece a layer: each layer, then the wadding; then the core put together. */
function byPlace(cushion: Loose): Record<string, string> {
  const core = loose(cushion['core']);
  const layers = Array.isArray(core['layers']) ? core['layers'].map(loose) : [];
  const measures = Object.values(loose(cushion['template'])).filter((mm): mm is number => typeof mm === 'number');
  if (core['kept'] === true || measures.some((mm) => mm > PARTS_FROM_MM) || cushion['crown'] !== undefined || loose(cushion['template'])['shape'] === 'wedge')
    return {};
  const cut = layers.map((_, i): readonly [string, string] => [`cut-${i + 3}`, `cut/foam-${i + 1}`]);
  const prepare = [
    ...(layers.length > 1 ? ['prepare/glue-layers'] : []),
    ...(layers[0]?.['overFront'] === true ? ['prepare/over-front'] : []),
    ...layers.flatMap((layer, i) => (layer['bevelMm'] === undefined ? [] : [`prepare/bevel-${i + 1}`])),
    'prepare/wrap',
  ];
  return Object.fromEntries([
    ...cut,
    [`cut-${layers.length + 3}`, 'cut/wadding'],
    ...prepare.map((name, i): readonly [string, string] => [`prepare-${i + 1}`, name]),
  ]);
}
