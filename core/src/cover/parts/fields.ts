import type { Field } from '../contract';

/** The choices of a cover whose edges may be welted. */
interface Edged {
  readonly edge?: 'plain' | 'welt' | undefined;
  readonly cordMm?: number | undefined;
}

/** Plain or welted, and the cord where it is welted. */
export const edgeFields = (label: string): readonly Field<Edged>[] => [
  {
    key: 'edge',
    label,
    kind: 'choice',
    usual: 'plain',
    options: [
      { value: 'plain', name: 'plain' },
      { value: 'welt', name: 'welt' },
    ],
  },
  { key: 'cordMm', label: 'Cord', kind: 'length', minMm: 1, maxMm: 25, usual: 'cordMm', shown: ({ edge }) => edge === 'welt' },
];
