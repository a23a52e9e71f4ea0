import { photographedCloth, type ClothPicture } from './cloth-picture';

/** A picture of which each quarter has its own colour: red and green above, blue and white below. */
function quarters(): HTMLCanvasElement {
  const canvas = document.createElement('canvas');
  canvas.width = canvas.height = 64;
  const pen = canvas.getContext('2d')!;
  (['#ff0000', '#00ff00', '#0000ff', '#ffffff'] as const).forEach((colour, i) => {
    pen.fillStyle = colour;
    pen.fillRect(32 * (i % 2), 32 * Math.floor(i / 2), 32, 32);
  });
  return canvas;
}

const NAMES: Readonly<Record<string, string>> = { '255,0,0': 'red', '0,255,0': 'green', '0,0,255': 'blue', '255,255,255': 'white' };
/** The colours in the middle of each eighth of a picture across, in the row at a share of its height. */
function row({ canvas }: ClothPicture, share: number, parts: number): string[] {
  const pen = canvas.getContext('2d')!;
  return Array.from({ length: parts }, (_, i) => {
    const { data } = pen.getImageData(Math.round(((i + 0.5) / parts) * canvas.width), Math.round(share * canvas.height), 1, 1);
    return NAMES[[...data.slice(0, 3)].join(',')] ?? [...data].join(',');
  });
}
const taken = { id: '00000000-0000-4000-8000-000000000000', acrossMm: 100, alongMm: 100 };

describe('a cloth that was photographed', () => {
  it('lies with every other copy mirrored where it has no pattern, so that copies meet', () => {
    const made = photographedCloth(quarters(), taken, null);
    expect([made.acrossMm, made.alongMm]).toEqual([200, 200]);
    expect(row(made, 0.125, 4)).toEqual(['red', 'green', 'green', 'red']);
    expect(row(made, 0.375, 4)).toEqual(['blue', 'white', 'white', 'blue']);
    expect(row(made, 0.625, 4)).toEqual(['blue', 'white', 'white', 'blue']);
    expect(row(made, 0.875, 4)).toEqual(['red', 'green', 'green', 'red']);
  });

  it('is one repeat, as large as the pattern says', () => {
    const made = photographedCloth(quarters(), taken, { acrossMm: 140, alongMm: 210 });
    expect([made.acrossMm, made.alongMm]).toEqual([140, 210]);
    expect([row(made, 0.25, 2), row(made, 0.75, 2)]).toEqual([
      ['red', 'green'],
      ['blue', 'white'],
    ]);
  });

  it('stands half a repeat further along in every other row of a half drop', () => {
    const made = photographedCloth(quarters(), taken, { acrossMm: 100, alongMm: 100, halfDrop: true });
    expect([made.acrossMm, made.alongMm]).toEqual([200, 100]);
    expect(row(made, 0.25, 4)).toEqual(['red', 'green', 'blue', 'white']);
    expect(row(made, 0.75, 4)).toEqual(['blue', 'white', 'red', 'green']);
  });
});
