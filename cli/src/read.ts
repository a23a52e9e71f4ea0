import fs from 'node:fs';
import { fileURLToPath } from 'node:url';
import {
  issue,
  JOB_TEXT_LIMIT,
  openShop,
  readJobText,
  readWith,
  sayLine,
  calibratedShopSchema,
  type Issue,
  type Job,
  type Read,
  type SayIn,
  type Shop,
} from '@yardland/core';

const DEMO_SHOP = fileURLToPath(new URL('../../demo/shop.json', import.meta.url));

/** Text of a file, or of standard input for `-`; problems instead of exceptions. */
export function readText(file: string): Read<string> {
  try {
    const source = file === '-' ? 0 : file;
    if (source !== 0 && fs.statSync(source).size > JOB_TEXT_LIMIT)
      return { ok: false, problems: [issue('error', 'file-too-large', '', { limit: JOB_TEXT_LIMIT })] };
    return { ok: true, value: fs.readFileSync(source, 'utf8') };
  } catch {
    return { ok: false, problems: [issue('error', 'file-unreadable', '', { file })] };
  }
}

/** The JSON of a file that was named, or of standard input for `-`. */
export function readJson(file: string | undefined): Read<unknown> {
  if (file === undefined) return { ok: false, problems: [issue('error', 'file-missing', '')] };
  const text = readText(file);
  if (!text.ok) return text;
  try {
    return { ok: true, value: JSON.parse(text.value) as unknown };
  } catch {
    return { ok: false, problems: [issue('error', 'file-not-json', '')] };
  }
}

/** The job of a file that was named, or of standard input for `-`. */
export function readJobFile(file: string | undefined): Read<Job> {
  if (file === undefined) return { ok: false, problems: [issue('error', 'file-missing', '')] };
  const text = readText(file);
  return text.ok ? readJobText(text.value) : text;
}

/** The shop from a file, or the demo shop. */
export function readShop(file: string | undefined): Read<Shop> {
  const text = readText(file ?? DEMO_SHOP);
  if (!text.ok) return text;
  try {
    const read = readWith(calibratedShopSchema, JSON.parse(text.value));
    return read.ok ? { ok: true, value: openShop(read.value) } : read;
  } catch {
    return { ok: false, problems: [issue('error', 'file-not-json', '')] };
  }
}

const PLAIN: SayIn = { units: 'metric', step: { mm: 1, inch: 1 / 8 } };

/** Problems as they are printed on standard error. */
export function inWords(problems: readonly Issue[]): { code: string; path: string; message: string }[] {
  return problems.map((problem) => ({ code: problem.code, path: problem.path, message: sayLine(problem, PLAIN) }));
}
