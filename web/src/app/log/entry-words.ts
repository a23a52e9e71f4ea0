import { COMPLAINTS, LOG_KINDS, type ComplaintSort, type LogKind } from '@yardland/core';
import type { Option } from '../shared/controls/choice';

/** Kinds of entries as they are told. */
export const KIND_WORDS: Readonly<Record<LogKind, string>> = {
  made: 'made',
  measured: 'measured',
  changed: 'changed',
  bought: 'bought',
  remark: 'remark',
  complaint: 'complaint',
};
export const KIND_OPTIONS: readonly Option<LogKind>[] = LOG_KINDS.map((value) => ({ value, name: KIND_WORDS[value] }));

const COMPLAINT_WORDS: Readonly<Record<ComplaintSort, string>> = {
  'too-soft': 'too soft, or sat through',
  'too-hard': 'too hard',
  wrinkles: 'wrinkles, or a loose cover',
  'lost-height': 'has lost height',
  'does-not-fit': 'does not fit its place',
  'seam-or-zip': 'a seam, a welt or the zip',
  pattern: 'the pattern does not meet',
  'smell-or-damp': 'smells, or stays damp',
  other: 'something else',
};
export const complaintWords = (sort: ComplaintSort): string => COMPLAINT_WORDS[sort];
export const COMPLAINT_OPTIONS: readonly Option<ComplaintSort>[] = COMPLAINTS.map((value) => ({ value, name: COMPLAINT_WORDS[value] }));
