import { Procedure, Step } from '../../procedure/procedure';
import type { Worked } from './worked';

const HEAPS = ['first', 'second', 'third', 'fourth'];

/** Three cards go from the top of a heap to its bottom, then one onto each of the others. */
const helpedOut = (heap: string): readonly Step[] => [
  { do: 'cut', packet: heap, count: 3, by: 'helper' },
  ...HEAPS.filter((each) => each !== heap).map((onto): Step => ({
    ...{ do: 'deal', count: 1, from: heap, onto, by: 'helper' },
  })),
];

const fourHeaps = (name: string, least: number, note: string): Procedure => ({
  name,
  needs: 'A pack with its four aces on top.',
  'set-up': 'The aces on top, in any order. The heap with the aces is the fourth.',
  reset: 'Put the four aces on top again.',
  note,
  packets: { pack: ['AC', 'AH', 'AS', 'AD', { indifferent: 48 }] },
  steps: [
    { do: 'choose', name: 'with the aces', from: 4, to: 20, likely: { around: 13, within: 3 } },
    { do: 'lift', count: 'with the aces', from: 'pack', onto: 'fourth', by: 'helper' },
    { do: 'choose', name: 'third heap', from: least, to: 14, likely: { around: 13, within: 3 } },
    { do: 'lift', count: 'third heap', from: 'pack', onto: 'third', by: 'helper' },
    { do: 'choose', name: 'second heap', from: least, to: 14, likely: { around: 13, within: 3 } },
    { do: 'lift', count: 'second heap', from: 'pack', onto: 'second', by: 'helper' },
    { do: 'put', packet: 'pack', where: 'on', other: 'first', by: 'helper' },
    ...HEAPS.flatMap(helpedOut),
    {
      do: 'claim',
      that: { all: HEAPS.map((heap) => ({ equal: [{ 'rank of': { 'top of': heap } }, 1] })) },
      words: 'An ace lies on top of every heap.',
    },
  ],
});

export const FOUR_HEAPS: Worked = {
  procedure: fourHeaps(
    'Four heaps and their aces, any size',
    1,
    'Meant to fail: a second heap of one card has two when its turn comes, and three are wanted.',
  ),
  proof: { held: 17 * 14 * 13, outs: 0, failed: 17 * 14 },
  fails: { when: 'second heap is 1', mended: 'Four heaps and their aces' },
};

export const FOUR_HEAPS_ASKED: Worked = {
  procedure: fourHeaps(
    'Four heaps and their aces',
    2,
    'Holds for 4 to 20 cards with the aces and 2 to 14 in each of the next two heaps.',
  ),
  proof: { held: 17 * 13 * 13, outs: 0, failed: 0 },
};
