import { IDENTITY, within, type Affine } from '../../geometry/affine';
import { Unreadable } from '../unreadable';
import { UNIT_MM } from './lengths';

const CALL = /([a-z]+)\s*\(([^()]*)\)/gi;
const NUMBER = /^([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)([a-z%]*)$/i;
const ANGLES: Readonly<Record<string, number>> = { '': 1, deg: 1, rad: 180 / Math.PI, grad: 0.9, turn: 360 };

const radians = (degrees: number): number => (degrees * Math.PI) / 180;

function turn(degrees: number, x = 0, y = 0): Affine {
  const [c, s] = [Math.cos(radians(degrees)), Math.sin(radians(degrees))];
  return [c, s, -s, c, x - c * x + s * y, y - s * x - c * y];
}

/** One function of a transform; `n` are its numbers: lengths in user units, angles in degrees. */
const FUNCTIONS: Readonly<Record<string, (n: readonly number[]) => Affine | null>> = {
  matrix: (n) => (n.length === 6 ? (n as unknown as Affine) : null),
  translate: ([x, y = 0]) => (x === undefined ? null : [1, 0, 0, 1, x, y]),
  translatex: ([x]) => (x === undefined ? null : [1, 0, 0, 1, x, 0]),
  translatey: ([y]) => (y === undefined ? null : [1, 0, 0, 1, 0, y]),
  scale: ([x, y = x]) => (x === undefined || y === undefined ? null : [x, 0, 0, y, 0, 0]),
  scalex: ([x]) => (x === undefined ? null : [x, 0, 0, 1, 0, 0]),
  scaley: ([y]) => (y === undefined ? null : [1, 0, 0, y, 0, 0]),
  rotate: ([a, x, y]) => (a === undefined ? null : turn(a, x, y)),
  skewx: ([a]) => (a === undefined ? null : [1, 0, Math.tan(radians(a)), 1, 0, 0]),
  skewy: ([a]) => (a === undefined ? null : [1, Math.tan(radians(a)), 0, 1, 0, 0]),
};

/** The map of a transform, from an attribute or a style declaration. Throws `Unreadable` where a part of it cannot be followed. */
export function transformOf(text: string, line: number): Affine {
  const cannot = (): never => {
    throw new Unreadable(line, `the transform “${text.slice(0, 60)}”`);
  };
  if (text.trim() === '' || text.trim() === 'none') return IDENTITY;
  if (text.replace(CALL, '').replace(/[\s,]/g, '') !== '') cannot();
  let map: Affine = IDENTITY;
  for (const [, name = '', inner = ''] of text.matchAll(CALL)) {
    const lower = name.toLowerCase();
    const numbers = inner
      .split(/[\s,]+/)
      .filter(Boolean)
      .map((word, i) => {
        const [, value = '', unit = ''] = NUMBER.exec(word) ?? [];
        const angle = lower.startsWith('skew') || (lower === 'rotate' && i === 0);
        const factor = angle ? ANGLES[unit.toLowerCase()] : unit === '' ? 1 : (UNIT_MM[unit.toLowerCase()] ?? NaN) / (UNIT_MM['px'] ?? 1);
        return value === '' ? NaN : Number(value) * (factor ?? NaN);
      });
    const own = numbers.every(Number.isFinite) ? (FUNCTIONS[lower]?.(numbers) ?? null) : null;
    map = within(map, own ?? cannot());
  }
  return map;
}
