import fs from 'node:fs';
import { DRAWING, GLOSSARY, type GlossaryWord } from '@yardland/core/glossary';
import svgpath from 'svgpath';
import { glossaryFiles, inDocs } from './glossary';

const words = Object.entries<GlossaryWord>(GLOSSARY);

describe('the glossary', () => {
  it('stands in the docs as it is, with a drawing for each word', async () => {
    const files = await glossaryFiles();
    expect(Object.keys(files).length).toBe(words.length + 1);
    for (const [file, text] of Object.entries(files))
      expect(fs.readFileSync(inDocs(file), 'utf8'))
        .withContext(`${file}: npm run glossary`)
        .toBe(text);
    expect(fs.readdirSync(inDocs('glossary')).sort()).toEqual(
      Object.keys(files)
        .filter((file) => file.endsWith('.svg'))
        .map((file) => file.replace('glossary/', ''))
        .sort(),
    );
  });

  it('tells no word twice, in sentences of a size to be read where they stand, drawn inside its field', () => {
    expect(new Set(words.map(([, { word }]) => word)).size).toBe(words.length);
    for (const [name, { text, drawing }] of words) {
      expect(text.length).withContext(name).toBeLessThan(240);
      expect(text)
        .withContext(name)
        .toMatch(/^[A-Z].*\.$/);
      expect(drawing.length).withContext(name).toBeGreaterThan(0);
      for (const { d } of drawing)
        svgpath(d)
          .abs()
          .unarc()
          .unshort()
          .iterate((segment, _index, x, y) => {
            expect(segment[0]).withContext(`${name}: ${d}`).not.toBe('e');
            expect(x >= 0 && x <= DRAWING.width && y >= 0 && y <= DRAWING.height)
              .withContext(`${name}: ${d} at ${x}, ${y}`)
              .toBeTrue();
          });
    }
  });
});
