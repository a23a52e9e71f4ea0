import { madeCloth, madeClothAt, MADE_REPEAT } from './made-cloth';
import { evenlyLit, meanTint, straightenedPicture, type ColourPicture } from './straightened-picture';

/** A picture of grey dots, from the top left. */
const grey = (rows: readonly (readonly number[])[]): ColourPicture => ({
  width: rows[0]!.length,
  height: rows.length,
  rgba: Uint8ClampedArray.from(rows.flat().flatMap((value) => [value, value, value, 255])),
});
const colourAt = ({ width, rgba }: ColourPicture, x: number, y: number): number[] => [...rgba.slice(4 * (y * width + x), 4 * (y * width + x) + 3)];

/** A field of one value with its upper right quarter another. */
const quarter = grey(Array.from({ length: 40 }, (_, row) => Array.from({ length: 40 }, (_, column) => (row < 20 && column >= 20 ? 200 : 80))));

describe('a picture straightened', () => {
  it('stays as it is between its own corners', () => {
    const same = straightenedPicture(
      quarter,
      [
        { x: 0, y: 40 },
        { x: 40, y: 40 },
        { x: 40, y: 0 },
        { x: 0, y: 0 },
      ],
      { width: 40, height: 40 },
    )!;
    expect([colourAt(same, 30, 10)[0], colourAt(same, 10, 10)[0], colourAt(same, 10, 30)[0], colourAt(same, 30, 30)[0]]).toEqual([200, 80, 80, 80]);
  });

  it('is turned as its corners are', () => {
    // What is the lower right of the picture becomes the lower left: a quarter turn to the right.
    const turned = straightenedPicture(
      quarter,
      [
        { x: 40, y: 40 },
        { x: 40, y: 0 },
        { x: 0, y: 0 },
        { x: 0, y: 40 },
      ],
      { width: 40, height: 40 },
    )!;
    expect([colourAt(turned, 30, 30)[0], colourAt(turned, 30, 10)[0], colourAt(turned, 10, 10)[0], colourAt(turned, 10, 30)[0]]).toEqual([200, 80, 80, 80]);
  });

  it('is nothing where three corners lie on a line', () => {
    expect(
      straightenedPicture(
        quarter,
        [
          { x: 0, y: 0 },
          { x: 10, y: 10 },
          { x: 20, y: 20 },
          { x: 0, y: 40 },
        ],
        { width: 8, height: 8 },
      ),
    ).toBeNull();
  });

  it('shows one repeat of a cloth seen at a slant, motif in the middle, and evenly lit', () => {
    const { picture, corners } = madeCloth();
    const [width, height] = [320, 400];
    const seen = straightenedPicture(picture, corners, { width, height })!;
    const even = evenlyLit(seen);
    /** Brightness of the ground by the four corners of the frame. */
    const corner = (of: ColourPicture): number[] =>
      [
        [6, 8],
        [width - 7, 8],
        [width - 7, height - 9],
        [6, height - 9],
      ].map(([x, y]) => colourAt(of, x!, y!)[1]!);
    const spread = (of: ColourPicture): number => Math.max(...corner(of)) / Math.min(...corner(of));
    expect(spread(seen)).toBeGreaterThan(1.2);
    expect(spread(even)).toBeLessThan(1.07);
    // Against the cloth itself, whose colours in the middle are dimmed by the light that falls there: ring, its hole, bud, band, ground.
    const dim = colourAt(even, 160, 200)[0]! / madeClothAt(80, 100)[0]!;
    for (const [across, along] of [
      [80, 132],
      [48, 100],
      [80, 100],
      [128, 160],
      [14, 40],
      [150, 30],
    ] as const) {
      const found = colourAt(even, Math.round((across / MADE_REPEAT.acrossMm) * width), Math.round((1 - along / MADE_REPEAT.alongMm) * height));
      madeClothAt(across, along).forEach((value, k) =>
        expect(Math.abs(found[k]! - value * dim))
          .withContext(`${across} × ${along}, ${k}`)
          .toBeLessThan(12),
      );
    }
  });
});

describe('light over a repeat', () => {
  it('is taken out without touching a pattern that is darker on one side', () => {
    // A stripe: the left part dark, the right one bright, both borders alike, as those of a repeat are.
    const stripe = grey(Array.from({ length: 30 }, () => Array.from({ length: 100 }, (_, x) => (x > 10 && x < 50 ? 60 : 180))));
    expect([...evenlyLit(stripe).rgba]).toEqual([...stripe.rgba]);
  });
});

describe('the mean colour', () => {
  it('is that of all dots', () => {
    expect(meanTint({ width: 2, height: 1, rgba: Uint8ClampedArray.from([255, 0, 16, 255, 1, 0, 16, 255]) })).toBe('#800110');
  });
});
