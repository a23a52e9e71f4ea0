import type { Sentences } from '../kernel/sentences';

/** What is said of files, pictures and what is printed. */
export const FILES_SENTENCES = {
  'file-too-large': (n) => [`The file is longer than ${n('limit')} characters.`, 'A job file is far smaller: check that it is the right one.'],
  'file-unreadable': (n) => [`The file “${n('file')}” cannot be read.`, 'Check its name and place.'],
  'file-unwritable': (n) => [`The file “${n('file')}” cannot be written.`, 'Check its folder.'],
  'problems-left-out': (n) => [`There are ${n('count')} more problems of this kind.`, 'Correct these first.'],
  'file-missing': () => ['No file is named.', 'Name one, or - for standard input.'],
  'file-not-json': () => ['The file is not JSON text.', 'Choose a job file that was exported from here, or one written to its description.'],
  'file-kind-unknown': (n) => [`Outlines are not read from “${n('file')}”.`, `Take one of ${n('kinds')}.`],
  'file-not-of-its-kind': (n) => [
    `The file is not ${n('kind')} as it should be${n('detail') ? `: ${n('detail')}` : ''}.`,
    'Export it again, or take another format.',
  ],
  'file-line-unreadable': (n) => [
    `Line ${n('line')} of the ${n('kind')} file cannot be read right: ${n('detail')}.`,
    'Export it again, or take another format.',
  ],
  'entities-not-read': (n) => [`Of the drawing ${n('kinds')} was not read.`, 'Turn it into lines and arcs if it belongs to the outline.'],
  'file-takes-too-long': (n) => [
    `“${n('file')}” was not read within ${n('seconds')} seconds.`,
    'An outline of a seat takes a moment: look in the program that drew it for thousands of copies, or curves without end.',
  ],
  'file-without-outline': () => ['The file holds no closed outline.', 'Close it in the program that drew it, and export it again.'],
  'outline-too-fine': (n) => [`The outline has more than ${n('most')} parts.`, 'Simplify it before it is exported.'],
  'more-outlines': (n) => [`${n('others')} more lines were in the file; the largest closed one was taken.`, ''],
  'units-not-said': () => ['The file does not say its units; millimetres were taken.', 'Say mm or inch if its size is wrong.'],
  'picture-corners-on-a-line': () => ['Three of the four corners lie on one line.', 'Put each on its own corner of the sheet.'],
  'picture-line-open': () => [
    'The line on the sheet is not closed, or too faint.',
    'Go over it with a darker marker, or look for a gap, and take the picture again.',
  ],
  'picture-without-line': () => ['No line was found on the sheet.', 'Draw it dark, and keep its whole length on the sheet.'],
  'picture-without-sheet': () => ['No sheet stands out in the picture.', 'Lay it on something darker, or put the four corners on it by hand.'],
  stopped: () => ['Stopped by hand.', ''],
  'print-too-many-pages': (n) => [`Full size this takes ${n('pages')} pages, and at most ${n('most')} are printed.`, 'Take larger paper, or a roll.'],
  'print-too-many-labels': (n) => [`That is ${n('labels')} labels; ${n('most')} are printed at a time.`, 'Print the labels of one cushion after another.'],
} satisfies Sentences;

declare module '../kernel/issue' {
  interface IssueCodes extends Record<keyof typeof FILES_SENTENCES, true> {}
}
