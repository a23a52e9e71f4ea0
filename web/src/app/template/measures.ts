import { shapeOf, type Cushion, type Template } from '@yardland/core';
import { capital } from '../shared/words/capital';

/** What changing a measure is called, for undo: `Width`, `Corner radius`. */
export function measureWord(cushion: Cushion | null, key: string): string {
  const word = cushion ? (shapeOf(cushion.template).measures.find((one) => one.key === key)?.word ?? 'measure') : 'measure';
  const named = { wide: 'width', deep: 'depth' }[word] ?? word;
  return capital(named);
}

/** The cushion with one measure of its template set; null, or nothing for one that may be left out, leaves it out. */
export function withMeasure(cushion: Cushion, key: string, value: number | null): Cushion {
  const optional = shapeOf(cushion.template).measures.find((one) => one.key === key)?.optional ?? false;
  if (value !== null && !(optional && value === 0)) return { ...cushion, template: { ...cushion.template, [key]: value } as Template };
  const { [key]: _none, ...template } = cushion.template as unknown as Record<string, unknown>;
  return { ...cushion, template: template as unknown as Template };
}
