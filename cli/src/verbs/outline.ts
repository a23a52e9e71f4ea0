import fs from 'node:fs';
import path from 'node:path';
import { grow, isClosed, issue, measured, shipped, withoutEars, type Issue, type Join, type Outline } from '@yardland/core';
import { type FileUnits, formatOf, type ReadOutline, readOutlineFile, readOutlineValue } from '@yardland/core/format';
import { MOST_PAGES, pagesFor, templatePdf } from '@yardland/paper';
import { inWords, readText } from '../read';
import { refusal, type Outcome, type Verb } from '../verb';

const wrong = (path: string, message: string): Outcome => refusal([{ code: 'option-wrong', path, message }]);

function fromShape(text: string): ReadOutline {
  try {
    return readOutlineValue(JSON.parse(text) as unknown);
  } catch {
    return { ok: false, problems: [issue('error', 'file-not-json', '--shape')] };
  }
}

function fromFile(file: string, units: FileUnits | null): ReadOutline {
  const text = readText(file);
  // Standard input has no ending: it is JSON.
  return text.ok ? readOutlineFile(file === '-' ? 'input.json' : file, text.value, units) : text;
}

function report(outline: Outline, problems: readonly Issue[]): string {
  const { perimeterMm, areaMm2, widthMm, depthMm, smallestRadiusMm, asymmetryMm } = measured(outline);
  const answer = {
    perimeterMm,
    areaMm2,
    widthMm,
    depthMm,
    smallestRadiusMm: Number.isFinite(smallestRadiusMm) ? smallestRadiusMm : null,
    asymmetryMm,
    closed: isClosed(outline, 1e-3),
    problems: inWords(problems).map((one, i) => ({ ...one, severity: problems[i]?.severity ?? 'note' })),
  };
  return `${JSON.stringify(answer, null, 2)}\n`;
}

/** Writes a file beside the answer; a folder that cannot be written is a problem, not an exception. */
async function write(outline: Outline, file: string): Promise<Issue | null> {
  const name = path.basename(file).replace(/\.[^.]+$/, '');
  const format = formatOf(file);
  try {
    const pages = /\.pdf$/i.test(file) ? pagesFor(outline, 'a4') : 1;
    if (pages > MOST_PAGES) return issue('error', 'print-too-many-pages', '--out', { pages, most: MOST_PAGES });
    if (/\.pdf$/i.test(file)) fs.writeFileSync(file, await templatePdf({ outline }, { name, units: 'metric', paper: 'a4' }));
    else if (format?.write) fs.writeFileSync(file, format.write(outline, name));
    else return issue('error', 'file-kind-unknown', '--out', { file, kinds: '.dxf, .svg, .pdf, .plt, .csv, .json' });
    return null;
  } catch {
    return issue('error', 'file-unwritable', '--out', { file });
  }
}

/** Measures an outline from a file or a shape, grown where asked, and writes it in another format. */
export const outlineVerb: Verb = {
  name: 'outline',
  usage: 'outline FILE [--shape JSON] [--grow MM] [--join round|mitre] [--trim-ears MM] [--units mm|inch] [--out FILE.dxf|.svg|.pdf|.plt|.csv|.json]',
  does: 'measures an outline (.dxf, .svg, .csv, .json) or a shape, grows it by a true offset, and writes it in another format',
  options: ['shape', 'grow', 'join', 'trim-ears', 'units', 'out'],
  async run([file], options) {
    const { shape, units, out } = options;
    const join = (options['join'] ?? 'mitre') as Join;
    const mm = options['grow'] === undefined ? 0 : Number(options['grow']);
    if (join !== 'round' && join !== 'mitre') return wrong('--join', 'Join round or mitre.');
    if (units !== undefined && units !== 'mm' && units !== 'inch') return wrong('--units', 'Units are mm or inch.');
    if (!Number.isFinite(mm) || Math.abs(mm) > 1000 || options['grow'] === '') return wrong('--grow', 'Grow by a number of millimetres, from −1000 to 1000.');
    const ears = options['trim-ears'] === undefined ? 0 : Number(options['trim-ears']);
    if (!(ears >= 0 && ears <= 100) || options['trim-ears'] === '') return wrong('--trim-ears', 'Trim the corners by a number of millimetres, from 0 to 100.');
    if (file === undefined && shape === undefined)
      return refusal([{ code: 'file-missing', path: '', message: 'Name a file, - for JSON on standard input, or give --shape.' }]);

    const read = shape !== undefined ? fromShape(shape) : fromFile(file ?? '', units ?? null);
    if (!read.ok) return refusal(inWords(read.problems));
    const grown = grow(read.outline, mm, join);
    if (!grown.ok) return refusal(inWords([issue('error', grown.code, '--grow')]));
    const made = withoutEars(grown.outline, ears, shipped('earRunOut'));
    const problems = [...read.notes, ...(grown.exact ? [] : [issue('warning', 'offset-trimmed', '--grow')])];
    if (out !== undefined) {
      const trouble = await write(made, out);
      if (trouble) return refusal(inWords([trouble]));
    }
    return { code: 0, out: report(made, problems) };
  },
};
