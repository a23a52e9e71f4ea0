import { Unreadable } from '../unreadable';

/** Millimetres of the absolute units; a pixel is a 96th of an inch. */
export const UNIT_MM: Readonly<Record<string, number>> = { mm: 1, cm: 10, in: 25.4, pt: 25.4 / 72, pc: 25.4 / 6, q: 0.25, px: 25.4 / 96 };
const PIXEL_MM = 25.4 / 96;

/** The room that percentages are taken of, in user units. */
export interface Room {
  readonly width: number;
  readonly height: number;
}

export type Along = 'x' | 'y' | 'both';

const whole = ({ width, height }: Room, along: Along): number => (along === 'x' ? width : along === 'y' ? height : Math.hypot(width, height) / Math.SQRT2);

const LENGTH = /^\s*([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)\s*(mm|cm|in|pt|pc|px|q|%)?\s*$/i;

/** A number with its unit mark (lower case; none for a plain user unit), or null where the text is none. */
export function lengthParts(text: string): { readonly value: number; readonly unit: string } | null {
  const match = LENGTH.exec(text);
  return match ? { value: Number(match[1]), unit: (match[2] ?? '').toLowerCase() } : null;
}

/** A length of an attribute in user units. Throws `Unreadable` for anything that is not a length this reader knows, such as `2em`. */
export function userUnits(text: string | undefined, along: Along, room: Room, line: number, otherwise = 0): number {
  if (text === undefined || text.trim() === '' || text.trim() === 'auto') return otherwise;
  const parts = lengthParts(text);
  if (!parts) throw new Unreadable(line, `“${text.slice(0, 40)}” is no length that can be read`);
  if (parts.unit === '%') return (parts.value / 100) * whole(room, along);
  return parts.unit === '' ? parts.value : (parts.value * (UNIT_MM[parts.unit] ?? NaN)) / PIXEL_MM;
}
