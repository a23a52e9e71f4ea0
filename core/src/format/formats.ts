import { issue } from '../kernel/issue';
import { csv } from './csv';
import { dxf } from './dxf/dxf';
import { hpgl } from './hpgl';
import { json } from './json';
import { OUTLINE_TEXT_LIMIT, type FileUnits, type OutlineFormat, type ReadOutline } from './outline-file';
import { svg } from './svg/svg';

/** The closed list of outline formats. */
export const OUTLINE_FORMATS: readonly OutlineFormat[] = [dxf, svg, csv, hpgl, json];

const endingOf = (fileName: string): string => (/\.([a-z0-9]+)$/i.exec(fileName)?.[1] ?? '').toLowerCase();

/** The format of a file by its ending; undefined for one that is not known. */
export function formatOf(fileName: string): OutlineFormat | undefined {
  return OUTLINE_FORMATS.find((format) => format.ending === endingOf(fileName));
}

/** What reads a file: `readOutlineFile`. */
export type ReadOutlineFile = typeof readOutlineFile;

/** Reads an outline from the text of a file, by the ending of its name. Never throws. `units`: what figures mean where the file does not say. */
export function readOutlineFile(fileName: string, text: string, units: FileUnits | null): ReadOutline {
  const format = formatOf(fileName);
  if (!format?.read)
    return {
      ok: false,
      problems: [
        issue('error', 'file-kind-unknown', '', {
          file: fileName,
          kinds: OUTLINE_FORMATS.filter((one) => one.read)
            .map((one) => `.${one.ending}`)
            .join(', '),
        }),
      ],
    };
  if (text.length > OUTLINE_TEXT_LIMIT) return { ok: false, problems: [issue('error', 'file-too-large', '', { limit: OUTLINE_TEXT_LIMIT })] };
  try {
    return format.read(text, units);
  } catch {
    return { ok: false, problems: [issue('error', 'file-not-of-its-kind', '', { kind: format.name, detail: 'it could not be followed' })] };
  }
}
