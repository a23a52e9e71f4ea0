import type { Dialogs } from '../shared/dialogs';
import type { LookData, LookResult } from './look-dialog';

/** Asks what is to be done where a look is answered with no; `piece` where a piece is wrong. */
export async function openLook(dialogs: Dialogs, data: LookData): Promise<LookResult> {
  return (await dialogs.open<LookResult, LookData>(async () => (await import('./look-dialog')).LookDialog, { data, labelledBy: 'look-title' })) ?? null;
}
