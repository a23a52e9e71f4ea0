import { createRequire } from 'node:module';
import anyAscii from 'any-ascii';
import { create, type Font } from 'fontkit';
import fs from 'node:fs';
import { unpackedFont } from './woff';

const require = createRequire(import.meta.url);

/** The faces of the paper: the text, the same in bold, and headings. */
export type Face = 'text' | 'bold' | 'head';

/** The files of each face, the first that has a letter is taken: our own faces, then one that holds Greek, Cyrillic and signs. */
const FILES: Record<Face, readonly string[]> = {
  text: [
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff',
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff',
    'dejavu-fonts-ttf/ttf/DejaVuSans.ttf',
  ],
  bold: [
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff',
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal.woff',
    'dejavu-fonts-ttf/ttf/DejaVuSans-Bold.ttf',
  ],
  head: [
    '@fontsource/besley/files/besley-latin-700-normal.woff',
    '@fontsource/besley/files/besley-latin-ext-700-normal.woff',
    'dejavu-fonts-ttf/ttf/DejaVuSerif-Bold.ttf',
  ],
};

export interface FaceFile {
  /** The name it is registered under. */
  readonly name: string;
  /** The font, unpacked. */
  readonly data: Buffer;
  readonly has: (codePoint: number) => boolean;
}

const opened = new Map<string, FaceFile>();

function faceFile(file: string): FaceFile {
  const known = opened.get(file);
  if (known) return known;
  const data = unpackedFont(fs.readFileSync(require.resolve(file)));
  const font = create(data) as Font;
  const made: FaceFile = { name: file, data, has: (codePoint) => font.hasGlyphForCodePoint(codePoint) };
  opened.set(file, made);
  return made;
}

/** The files of a face, in the order in which they are asked for a letter. */
export const filesOf = (face: Face): readonly FaceFile[] => FILES[face].map(faceFile);

export interface Run {
  readonly text: string;
  readonly font: string;
}

/** Marks that steer the direction or the joining of letters; they show nothing. */
const INVISIBLE = /\p{Default_Ignorable_Code_Point}/gu;
const plain = (text: string): string =>
  text
    .normalize('NFC')
    .replace(/\u202f/g, '\u00a0')
    .replace(/[\t\r\n]+/g, ' ')
    .replace(INVISIBLE, '');

/**
 * Text as runs of one font each. A letter that none of the fonts has is written in plain Latin letters, as near as they come, and one that has no name in them is left as a
 * question mark: never an empty box.
 */
export function runsOf(text: string, face: Face): Run[] {
  const files = filesOf(face);
  const runs: { text: string; font: string }[] = [];
  const add = (letters: string, font: string): void => {
    const last = runs.at(-1);
    if (last?.font === font) last.text += letters;
    else runs.push({ text: letters, font });
  };
  const fontFor = (letter: string): string | undefined => files.find(({ has }) => has(letter.codePointAt(0) ?? 0))?.name;
  for (const letter of plain(text)) {
    const font = fontFor(letter);
    if (font) {
      add(letter, font);
      continue;
    }
    const latin = anyAscii(letter) || '?';
    for (const one of latin) add(one, fontFor(one) ?? files[0]?.name ?? '');
  }
  return runs;
}
