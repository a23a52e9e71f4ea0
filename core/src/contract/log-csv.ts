import Papa from 'papaparse';
import type { LogAbout } from '../record/log/entry';
import type { StoredEntry } from './log';

const HEAD = ['day', 'kind', 'about', 'job', 'customer', 'cushion_or_supplier', 'material', 'who', 'text', 'complaint', 'outcome', 'pictures'] as const;

const subjectOf = (about: LogAbout): string => (about.on === 'cushion' ? about.name : about.on === 'supplier' ? about.supplier : '');

/** Entries of the log as CSV (RFC 4180), a row for each. `nameOf`: what a material is called, by its id. */
export function logCsv(entries: readonly StoredEntry[], nameOf: (material: string) => string): string {
  const rows = entries.map(({ day, kind, about, of, who, text, complaint, outcome, material, pictures }): (string | number)[] => [
    day,
    kind,
    about.on,
    of?.name ?? '',
    of?.customer ?? '',
    subjectOf(about),
    material === null ? '' : nameOf(material),
    who,
    text,
    complaint ?? '',
    outcome ?? '',
    pictures.length,
  ]);
  return `${Papa.unparse({ fields: [...HEAD], data: rows }, { newline: '\r\n', escapeFormulae: true })}\r\n`;
}
