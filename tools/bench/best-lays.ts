import fs from 'node:fs';
import path from 'node:path';
import type { LayAnswer } from '@yardland/core';

/** The best lay ever found of a set, by long searches; `seeds`: how many searches that took. */
export interface BestLay {
  /** Of the set it is of: another set has another. */
  readonly hash: string;
  readonly seeds: number;
  readonly answer: LayAnswer;
}
export type BestLays = Readonly<Record<string, BestLay>>;

const fileOf = (root: string): string => path.join(root, 'tools/bench/best-lays.json');

/** The best lays known of the bench's sets, by name; empty where none were looked for. */
export function readBestLays(root: string): BestLays {
  const file = fileOf(root);
  return fs.existsSync(file) ? (JSON.parse(fs.readFileSync(file, 'utf8')) as BestLays) : {};
}

export function writeBestLays(root: string, lays: BestLays): void {
  fs.writeFileSync(fileOf(root), `${JSON.stringify(lays)}\n`);
}
