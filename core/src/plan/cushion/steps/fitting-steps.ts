import { given, type Figure } from '../../../kernel/figure';
import { operation, type Operation } from '../../../piece/operation';
import type { Constants } from '../../../shop/assumptions';
import { minutesFor } from '../../../shop/minutes';
import type { FollowedTestFit } from './step-sizes';

/** The steps with the packing of both ends after the core is in, before anything closes or dresses the cushion; as they are where nothing is packed. */
export function withPackedEnds(steps: readonly Operation[], endFilling: Figure | null, assume: Constants): Operation[] {
  if (!endFilling || !steps.some(({ id }) => id === 'fill/insert')) return [...steps];
  const packing = operation({
    id: 'fill/pack-ends',
    phase: 'fill',
    text: 'Pack {0} of loose wadding into each end, evenly from corner to corner, until the end stands as full as the middle.',
    figures: [endFilling],
    cautions: ['Tease it out first: lumps are felt through the cloth.'],
    tools: ['scales'],
    minutes: minutesFor('fill', 0, 2, assume),
    needs: 'bench',
    after: ['fill/insert'],
  });
  return steps.flatMap((step) =>
    step.id === 'fill/insert' ? [step, packing] : [step.after.includes('fill/insert') ? { ...step, after: [...step.after, packing.id] } : step],
  );
}

/** The steps with the wrapped core tried before any cloth of the cover is cut; as they are where it is not. */
export function triedFirst(steps: readonly Operation[], fit: FollowedTestFit | null, assume: Constants): Operation[] {
  if (!fit) return [...steps];
  const { planned, widthMm, depthMm, heightMm } = fit;
  const measured = [widthMm, depthMm, heightMm].map((mm, i) => (mm === undefined ? null : given(['wide', 'deep', 'high'][i] as string, mm, 'entered')));
  const known = measured.every((figure) => figure !== null);
  const core = steps.filter(({ phase, id }) => phase === 'prepare' && !id.startsWith('prepare/cover'));
  const trying = operation({
    id: 'prepare/test-fit',
    phase: 'prepare',
    text: `Before any cloth is cut, measure the wrapped core over its wrap, lightly squeezed: {0} × {1} and {2} high were planned.${
      known
        ? ` It measured {3} × {4} and {5} high: plates and boxing ${fit.cover === 'follows' ? 'follow it' : 'stay as planned'}.`
        : ' Enter what you find at Build, under the wrap.'
    }`,
    figures: [planned.width, planned.depth, planned.height, ...(known ? measured.flatMap((figure) => figure ?? []) : [])],
    cautions: ['A light squeeze, the same on every side: the tape lies on the wadding and does not sink in.'],
    minutes: minutesFor('prepare', 0, 0, assume),
    needs: 'bench',
    after: core.map(({ id }) => id),
  });
  return [...steps.map((step) => (step.id === 'cut/cover' ? { ...step, after: [...step.after, trying.id] } : step)), trying];
}
