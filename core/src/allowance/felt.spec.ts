import { given } from '../kernel/figure';
import { shipped } from '../shop/assumptions';
import { demoShop } from '../testing/samples';
import { feltPieces } from './felt';

describe('felt round a spring unit of 600 × 500 × 120', () => {
  const core = { width: given('core', 600, 'entered'), depth: given('core', 500, 'entered'), height: given('core', 150, 'entered') };

  it('goes round both ways, the second over the first', () => {
    // By hand, felt 10: 2 × (600 + 120) + 25 = 1465 by 500 deep; then 2 × (500 + 120) + 4 × 10 + 25 = 1305 by 600 wide.
    const pieces = feltPieces(
      [
        { grade: 'wren-28', thicknessMm: 30 },
        { grade: 'plover-springs', thicknessMm: 120 },
      ],
      core,
      demoShop(),
      shipped,
      null,
    );
    expect(pieces.map(({ id, width, height, material }) => [id, width.value, height.value, material])).toEqual([
      ['felt-2-first', 1465, 500, { kind: 'filling', filling: 'mole-felt', thicknessMm: 10 }],
      ['felt-2-second', 1305, 600, { kind: 'filling', filling: 'mole-felt', thicknessMm: 10 }],
    ]);
  });

  it('is none without springs', () => {
    expect(feltPieces([{ grade: 'wren-28', thicknessMm: 150 }], core, demoShop(), shipped, null)).toEqual([]);
  });
});
