import { parseLength, type LogKind, type LogQuery, type UnitSystem } from '@yardland/core';

/** What is filled in to look for entries; empty is not asked for. */
export interface Asked {
  readonly words: string;
  readonly kind: LogKind | '';
  readonly customer: string;
  readonly cloth: string;
  readonly filling: string;
  readonly school: string;
  readonly construction: string;
  /** Across × deep, or × high too, as it is written. */
  readonly size: string;
  readonly year: string;
}

export const NOTHING_ASKED: Asked = { words: '', kind: '', customer: '', cloth: '', filling: '', school: '', construction: '', size: '', year: '' };

/** A size as it is written, `600 x 550` or `24 x 22 x 4`: two or three lengths; null where it is none. */
export function sizeOf(text: string, units: UnitSystem): Pick<LogQuery, 'widthMm' | 'depthMm' | 'heightMm'> | null {
  const read = text
    .trim()
    .split(/\s*[x×*]\s*/i)
    .map((part) => parseLength(part, units));
  const lengths = read.flatMap((one) => (one.ok && one.mm > 0 ? [one.mm] : []));
  if (lengths.length !== read.length || lengths.length > 3) return null;
  const [widthMm, depthMm, heightMm] = lengths;
  return { widthMm, depthMm, heightMm };
}

/** The question to the server; a size that cannot be read is not asked for. */
export function queryOf({ size, year, kind, ...asked }: Asked, units: UnitSystem, job?: string): LogQuery {
  const filled = Object.fromEntries(Object.entries(asked).filter(([, value]) => value.trim() !== ''));
  return {
    ...filled,
    ...(kind ? { kind } : {}),
    ...(size.trim() ? sizeOf(size, units) : {}),
    ...(year ? { year: Number(year) } : {}),
    ...(job ? { job } : {}),
  };
}
