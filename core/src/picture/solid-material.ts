import type { Piece } from '../piece/piece';

/** What a piece is of, as a solid and its files name it: `cloth/main`, `foam/wren-28`. */
export function materialName(piece: Pick<Piece, 'material'> | undefined): string {
  const material = piece?.material;
  switch (material?.kind) {
    case 'cloth':
      return `cloth/${material.slot}`;
    case 'foam':
      return `foam/${material.grade}`;
    case 'filling':
      return `filling/${material.filling}`;
    case 'wadding':
    case 'old-core':
    case 'thin-foam':
      return material.kind;
    case undefined:
      return 'cloth/main';
  }
}
