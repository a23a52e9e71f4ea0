import type { SolidPart } from '@yardland/core/solid';
import { apartOf, pictureUvs } from './round-parts';

const part = (id: string, kind: SolidPart['kind'], at: readonly [number, number, number]): SolidPart => ({
  id,
  piece: id.split(':')[0] ?? id,
  kind,
  material: 'cloth/main',
  positions: Float64Array.from([...at, ...at, ...at]),
  triangles: Uint32Array.from([0, 1, 2]),
  uvs: Float64Array.from([0, 0, 0, 0, 0, 0]),
});

describe('a cushion taken apart', () => {
  const parts = [
    part('plate:top', 'cover', [0, 0, 80]),
    part('plate:bottom', 'cover', [0, 0, 0]),
    part('boxing-1:band', 'cover', [0, -200, 40]),
    part('plaque:band', 'cover', [0, 200, 40]),
    part('layer-1', 'core', [0, 0, 40]),
  ];
  const work = [
    { phase: 'cut', pieces: ['plate'] },
    { phase: 'sew', pieces: ['plaque'] },
    { phase: 'sew', pieces: ['boxing-1', 'plaque'] },
    { phase: 'sew', pieces: ['plate', 'boxing-1'] },
  ];

  it('comes away up, down, to its sides, and its filling out at the back; and together in the order of work, filled last', () => {
    const [top, bottom, front, back, core] = apartOf({ parts }, work);
    expect([top!.z > 0, bottom!.z < 0, front!.y < 0, back!.y > 0, core!.y > back!.y]).toEqual([true, true, true, true, true]);
    expect([back, front, top, bottom, core].map((one) => one!.turn)).toEqual([0, 1, 2, 2, 3]);
  });

  it('on a board the cover comes away from the filling, which is there first', () => {
    const [top, , , , core] = apartOf({ parts: [...parts.slice(0, 4), part('layer-1', 'core', [0, 0, 40]), part('board:bottom', 'board', [0, 0, 0])] }, work);
    expect([core!.x, core!.y, core!.z, core!.turn]).toEqual([0, 0, 0, 0]);
    expect(top!.turn).toBeGreaterThan(0);
  });
});

describe('a cloth’s picture on a piece', () => {
  const pattern = { acrossMm: 200, alongMm: 320, motifMm: 50 };
  const picture = { acrossMm: 200, alongMm: 320 };

  it('has a motif where the lay has put one, and one repeat further the same again', () => {
    // The piece lies with its origin 250 across and 480 along; the first motif of a row 50 from the edge, of the roll at 160: both are motifs.
    const place = { across: [-1, 0, 250], along: [0, 1, 480], motifAtMm: 160, motifAcrossMm: null } as const;
    const [u, v, u2, v2] = pictureUvs([0, 0, 200, 320], place, picture, pattern);
    // In the middle of the picture, a whole number of pictures away.
    expect([u! - 0.5, v! - 0.5].map((one) => Math.abs(one - Math.round(one)))).toEqual([0, 0]);
    expect([u2! - u!, v2! - v!]).toEqual([1, 1]);
  });

  it('follows the motif that was found on a remnant, and not the one of the roll', () => {
    const place = { across: [-1, 0, 250], along: [0, 1, 480], motifAtMm: 160, motifAcrossMm: 90 } as const;
    const [u, v] = pictureUvs([0, 0, 160, 0], place, picture, pattern).slice(2);
    // 160 of the piece lies 90 across: there is a motif.
    expect([u! - 0.5, v! - 0.5].map((one) => Math.abs(one - Math.round(one)))).toEqual([0, 0]);
  });

  it('lies as it is drawn where nothing has been laid', () => {
    expect([...pictureUvs([0, 0, 100, 80], null, picture, null)]).toEqual([0.5, 0.5, 1, 0.75]);
  });
});
