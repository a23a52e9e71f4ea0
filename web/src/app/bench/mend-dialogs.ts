import type { Dialogs } from '../shared/dialogs';
import type { LookData, LookResult } from './look-dialog';
import type { RecutData } from './recut-dialog';

/** A piece found to be wrong: which, and what is opened for it. */
export async function openRecut(dialogs: Dialogs, data: RecutData): Promise<void> {
  await dialogs.open(async () => (await import('./recut-dialog')).RecutDialog, { data, labelledBy: 'recut-title' });
}

/** A look that is answered with no: the run is sewn again, or a piece is wrong. */
export async function openLook(dialogs: Dialogs, data: LookData): Promise<void> {
  const result = await dialogs.open<LookResult, LookData>(async () => (await import('./look-dialog')).LookDialog, { data, labelledBy: 'look-title' });
  if (result === 'piece') await openRecut(dialogs, { store: data.store, work: data.work, piece: data.step.pieces[0] ?? null });
}
