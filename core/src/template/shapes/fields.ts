import * as z from 'zod';
import { issue, type Issue } from '../../kernel/issue';

/** A length that a shape cannot do without. */
export const length = z.number().positive().max(20_000);
/** A length that may be nothing. */
export const lengthOrNone = z.number().nonnegative().max(20_000);

/** A measure that must stay under another one. */
export function mustBeUnder(mm: number, mostMm: number, key: string, what: string, under: string): Issue[] {
  return mm < mostMm ? [] : [issue('error', 'measure-too-large', key, { what, mm, under, mostMm })];
}

/** A measure that may reach another one but not pass it. */
export function mayReach(mm: number, mostMm: number, key: string, what: string, under: string): Issue[] {
  return mm <= mostMm + 1e-9 ? [] : [issue('error', 'measure-too-large', key, { what, mm, under, mostMm })];
}
