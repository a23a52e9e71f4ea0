import type { LongCoreAnswer, LongCoreAsk, UsedPiece } from '../../../filling/long-core';
import type { Sizes } from '../../../piece/sizes';
import { outlineBounds, polygonOutline, rectangleOutline, type Outline } from '../../../geometry/outline';
import { moved } from '../../../geometry/transform';
import { given, measuredOn, type Figure } from '../../../kernel/figure';
import { hashText } from '../../../kernel/hash';
import { issue, type Issue } from '../../../kernel/issue';
import { PLAIN_PIECE, type Piece } from '../../../piece/piece';
import type { LookedOver } from './look-over';
import type { Cushion } from '../../../job/document';

/** One long core out of old ones that was asked for: its request, and the answer once there is one. */
export interface PlannedLongCore {
  readonly hash: string;
  readonly request: LongCoreAsk;
  readonly answer: LongCoreAnswer | null;
}

/** The question for one long core that a cushion stands for; null where no old cores were put in. */
export function longCoreFor({ seat }: Cushion, { core }: Sizes, answerOf: (hash: string) => LongCoreAnswer | null): PlannedLongCore | null {
  const pieces = seat?.oldCores ?? [];
  if (!pieces.length) return null;
  const request: LongCoreAsk = {
    format: 'yardland/long-core-ask@1',
    lengthMm: core.width.value,
    depthMm: core.depth.value,
    heightMm: core.height.value,
    places: seat?.places ?? 1,
    pieces,
  };
  const hash = hashText(JSON.stringify(request));
  return { hash, request, answer: answerOf(hash) };
}

/** What an old core or its strip is called in the cut list. */
export function usedName(used: UsedPiece, { pieces }: LongCoreAsk): string {
  const name = pieces[used.piece]?.name ?? '';
  return used.strip ? `strip ripped off ${name}` : used.turned ? `${name}, turned` : name;
}

/** The old cores as they are cut for the long one, from its left end; nothing of them is bought. */
export function longCorePieces({ request, answer }: PlannedLongCore, core: Sizes['core']): Piece[] {
  if (answer?.kind !== 'plan') return [];
  const { used } = answer.plan;
  return used.map((one, i): Piece => {
    const mm = one.toMm - one.fromMm;
    const piece = request.pieces[one.piece];
    const long = one.turned ? piece?.depthMm : piece?.lengthMm;
    const width: Figure = one.cutShorter
      ? measuredOn('long core, part', mm, `between its joins, part ${i + 1} of ${used.length}, cut from {0}`, [given(piece?.name ?? '', long ?? mm, 'entered')])
      : given(usedName(one, request), mm, 'entered');
    return {
      ...PLAIN_PIECE,
      id: `old-core-${i + 1}`,
      role: 'foam',
      part: { index: i + 1, of: used.length },
      label: usedName(one, request),
      remark: one.turned ? 'turned a quarter, its depth along the long core: cut as it lay, the strip that is ripped off it would not exist' : '',
      material: { kind: 'old-core', thicknessMm: request.heightMm, ...(one.strip ? { strip: true as const } : {}) },
      width,
      height: core.depth,
      outline: rectangleOutline(mm, core.depth.value),
    };
  });
}

/** A wadding pad over the whole core on both faces, so that no join is felt. */
export function joinPad({ answer }: PlannedLongCore, core: Sizes['core'], outline: Outline, loftMm: number): Piece[] {
  if (answer?.kind !== 'plan' || !answer.plan.joins.length) return [];
  return [
    {
      ...PLAIN_PIECE,
      id: 'join-pad',
      role: 'hollow-pad',
      part: { index: 1, of: 1 },
      label: 'pad over the joins',
      material: { kind: 'wadding', loftMm },
      countPerCushion: 2,
      width: core.width,
      height: core.depth,
      outline,
    },
  ];
}

/** The wadding that fills the hollow of an old core that goes back in, the largest first. */
export function hollowPads(looked: LookedOver | null, core: Sizes['core'], loftMm: number): Piece[] {
  const pads = looked?.refresh.flatMap((item) => (item.kind === 'pad' ? item.pads : [])) ?? [];
  return pads.map((pad, i): Piece => {
    const side = (whole: Figure, mm: number): Figure => measuredOn('hollow pad', mm, `across the hollow in {0}, pad ${i + 1} of ${pads.length}`, [whole]);
    const traced = polygonOutline(pad.outline.map(({ x, y }) => [x, y, y < 0 ? 'front' : 'back'] as const));
    const { minX, minY } = outlineBounds(traced);
    return {
      ...PLAIN_PIECE,
      id: `hollow-pad-${i + 1}`,
      role: 'hollow-pad',
      part: { index: i + 1, of: pads.length },
      label: pads.length > 1 ? `hollow pad ${i + 1} of ${pads.length}` : 'hollow pad',
      material: { kind: 'wadding', loftMm },
      width: side(core.width, pad.widthMm),
      height: side(core.depth, pad.depthMm),
      outline: moved(traced, -minX, -minY),
    };
  });
}

/** What is wrong with a long core: it cannot be made of these, or joins lie where somebody sits. */
export function longCoreProblems({ answer }: PlannedLongCore): Issue[] {
  if (answer?.kind === 'too-short') return [issue('error', 'old-cores-too-short', 'seat.oldCores', { missingMm: answer.missingMm })];
  if (answer?.kind === 'none') return [issue('error', 'old-cores-do-not-join', 'seat.oldCores')];
  return answer && !answer.plan.joinsClear ? [issue('warning', 'old-core-join-sat-on', 'seat.oldCores')] : [];
}
