/** The stations in working order, as they stand on the tape. */
export const STATIONS = [
  { id: 'look-over', name: 'Look over' },
  { id: 'filling', name: 'Filling' },
  { id: 'template', name: 'Template' },
  { id: 'build', name: 'Build' },
  { id: 'cover', name: 'Cover' },
  { id: 'lay', name: 'Lay' },
  { id: 'bench', name: 'Bench' },
  { id: 'check', name: 'Check' },
] as const;
export type StationId = (typeof STATIONS)[number]['id'];

/** Beginnings of the problem paths that belong to a station. */
const PATHS: Partial<Record<StationId, readonly string[]>> = {
  'look-over': ['seat'],
  filling: ['core', 'lots'],
  template: ['template', 'heightMm', 'marks'],
  build: ['school', 'wrapLoftMm'],
  cover: ['construction', 'cloth'],
};

/** The station where a problem of a cushion is mended. */
export function stationOf(path: string): StationId {
  const local = path.replace(/^cushions\.\d+\./, '');
  const found = STATIONS.find(({ id }) => PATHS[id]?.some((start) => local.startsWith(start)));
  return found?.id ?? 'build';
}
