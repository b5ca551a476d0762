import { Procedure, Step } from '../../procedure/procedure';
import type { Worked } from './worked';

const LOST = 'QH';
const MATE = 'QD';

/** Yours goes in at so much less what you have counted. */
const placed = (sum: number): Step => ({
  ...{ do: 'insert', packet: 'mate', into: 'pack', place: { difference: [sum, 'counted'] } },
});

const likePair = (name: string, place: readonly Step[], note: string): Procedure => ({
  name,
  needs: `A pack of 52; the ${LOST} and the ${MATE} lie by themselves.`,
  'set-up': `They hold the ${LOST}; you hold the ${MATE}.`,
  reset: `Take the ${LOST} and the ${MATE} out.`,
  note,
  packets: { pack: [{ indifferent: 50 }], theirs: [LOST], mate: [MATE] },
  steps: [
    { do: 'choose', name: 'depth', from: 1, to: 51, says: 'Push your queen in wherever you like.' },
    { do: 'insert', packet: 'theirs', into: 'pack', place: 'depth', by: 'helper' },
    // You count in silence how many cards fall before it goes in.
    { do: 'see', what: { 'place of': { card: LOST }, in: 'pack' }, name: 'counted' },
    ...place,
    {
      do: 'claim',
      that: {
        equal: [
          {
            sum: [
              { 'place of': { card: LOST }, in: 'pack' },
              { 'place of': { card: MATE }, in: 'pack' },
            ],
          },
          53,
        ],
      },
      words: 'Dealt from top and face at once, the queens turn up together.',
    },
  ],
});

export const LIKE_PAIR_UNMINDED: Worked = {
  procedure: likePair(
    'A matching pair, the position ignored',
    [placed(53)],
    'Meant to fail: where your queen goes in above theirs, it pushes theirs one deeper.',
  ),
  proof: { held: 26, outs: 0, failed: 25 },
  fails: { when: 'depth is 27 or more', mended: 'A matching pair, one lost and one placed' },
};

export const LIKE_PAIR: Worked = {
  procedure: likePair(
    'A matching pair, one lost and one placed',
    [{ do: 'if', that: { 'at most': ['counted', 26] }, then: [placed(53)], otherwise: [placed(52)] }],
    'Holds wherever their queen goes in; count one less where it lies beyond the middle.',
  ),
  proof: { held: 51, outs: 0, failed: 0 },
  restore: [
    {
      do: 'take',
      place: { 'place of': { card: LOST }, in: 'pack' },
      from: 'pack',
      onto: 'theirs',
      by: 'helper',
    },
    {
      do: 'take',
      place: { 'place of': { card: MATE }, in: 'pack' },
      from: 'pack',
      onto: 'mate',
      by: 'helper',
    },
  ],
};
