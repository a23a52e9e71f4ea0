// The glossary of the trade's words with their drawings, as a page of the docs: npm run glossary
import fs from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { DRAWING, GLOSSARY, type GlossaryWord, type Ink } from '@yardland/core/glossary';
import { format, resolveConfig } from 'prettier';

const docs = path.join(fileURLToPath(new URL('..', import.meta.url)), 'docs');

/** How each ink is drawn on a light page. */
const LOOKS: Readonly<Record<Ink, string>> = {
  foam: 'fill="#efd68e" stroke="#b98d2b"',
  cloth: 'fill="#f1ebdd" stroke="#26303d"',
  'on-edge': 'fill="none" stroke="#26303d"',
  marked: 'fill="#c9dcee" stroke="#2a659b"',
  seam: 'fill="none" stroke="#a92f26" stroke-dasharray="4 3"',
  wadding: 'fill="#f1ebdd" stroke="#5d656e"',
  measure: 'fill="none" stroke="#2a659b"',
  hint: 'fill="none" stroke="#5d656e" stroke-dasharray="2 3"',
};

function drawingFile({ word, drawing }: GlossaryWord): string {
  const paths = drawing.map(({ ink, d }) => `  <path d="${d}" ${LOOKS[ink]} stroke-width="1.5" stroke-linecap="round" stroke-linejoin="round"/>`);
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${DRAWING.width} ${DRAWING.height}" width="${2 * DRAWING.width}" height="${2 * DRAWING.height}">
  <title>${word}</title>
  <rect width="${DRAWING.width}" height="${DRAWING.height}" fill="#fdfbf4"/>
${paths.join('\n')}
</svg>
`;
}

/** Every file of the glossary below docs, by its path: the page, and a drawing a word. */
export async function glossaryFiles(): Promise<Record<string, string>> {
  const words = Object.entries<GlossaryWord>(GLOSSARY).sort(([, a], [, b]) => a.word.localeCompare(b.word, 'en'));
  const page = path.join(docs, 'glossary.md');
  const text = `# Words of the trade

Made by \`npm run glossary\` from \`core/src/glossary/words.ts\`. On the screens these words are quietly underlined where they stand: a press on one, or F1 in its field, explains it.

${words.map(([name, { word, text }]) => `## ${word}\n\n${text}\n\n![${word}](glossary/${name}.svg)`).join('\n\n')}
`;
  return {
    'glossary.md': await format(text, { ...(await resolveConfig(page)), filepath: page }),
    ...Object.fromEntries(words.map(([name, entry]) => [`glossary/${name}.svg`, drawingFile(entry)])),
  };
}

export const inDocs = (file: string): string => path.join(docs, file);

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  fs.mkdirSync(inDocs('glossary'), { recursive: true });
  for (const [file, text] of Object.entries(await glossaryFiles())) fs.writeFileSync(inDocs(file), text);
}
