import type { SkinStrap } from '../form/skin';
import type { Planned } from '../plan/cushion/cushion-plan';
import { crownsOf } from './solid';

const EDGES = { soft: '', seam: 'plain seams', welt: 'welt', ridge: 'top-stitched ridge', roll: 'stitched roll' } as const;

/** Ties and handles, in words. */
function strapWords(straps: readonly SkinStrap[]): string[] {
  const count = (wanted: SkinStrap['kind']): number => straps.filter(({ kind }) => kind === wanted).length;
  const [handles, pairs] = [count('handle'), count('tie') / 2];
  return [
    ...(pairs ? [pairs === 1 ? 'a pair of ties' : `${pairs} pairs of ties`] : []),
    ...(handles ? [handles === 1 ? 'a handle' : `${handles} handles`] : []),
  ];
}

/** What is seen of the closed cushion, in words: `crowned 21 mm on both faces, welt round both edges, zip at the back`. `size` prints a length. */
export function roundWords(one: Planned, size: (mm: number) => string): string {
  const { lines, profile, cover } = one;
  const { overMm, underMm } = crownsOf(one);
  const faces = underMm > 0.5 ? 'on both faces' : 'on top';
  const crown = profile.kind === 'knife' ? `${size(overMm + underMm)} full in its middle` : overMm < 0.5 ? 'flat faces' : `crowned ${size(overMm)} ${faces}`;
  const edge = EDGES[lines.top];
  const round =
    profile.kind === 'body'
      ? 'round both ends'
      : profile.kind === 'knife'
        ? 'round its edge'
        : lines.top === lines.bottom
          ? 'round both edges'
          : 'round the top';
  const closing = cover.closings[0]?.kind;
  const closed = {
    zip: cover.skin?.zip || profile.kind === 'knife' ? 'zip at the back' : 'with a zip',
    hand: 'closed by hand',
    'hook-and-loop': 'hook and loop at the back',
    envelope: 'envelope at the back',
    staples: 'stapled underneath',
  };
  const strapped = strapWords(cover.skin?.straps ?? []);
  return [
    crown,
    ...(edge ? [`${edge} ${round}`] : []),
    ...(lines.softFront ? ['no seam over the front'] : []),
    ...(closing ? [closed[closing]] : []),
    ...strapped,
  ].join(', ');
}
