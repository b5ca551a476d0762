import { Step } from '../../procedure/procedure';
import { run } from './cards';
import type { Worked } from './worked';

/** They cut, and the number that the face card stands for is looked at: 0 where it is none of the bank. */
const cutAndLook: readonly Step[] = [
  {
    ...{ do: 'choose', name: 'cut', from: 1, to: 51, likely: { around: 26, within: 8 } },
    says: 'Cut, and complete the cut.',
  },
  { do: 'cut', packet: 'pack', count: 'cut', by: 'helper' },
  { do: 'see', what: { 'face of': 'pack' }, name: 'face' },
  { do: 'work out', name: 'counts', what: { 'stack number of': 'face', in: 'bank' } },
];

export const COUNT_DOWN: Worked = {
  procedure: {
    name: 'A bank at the face that counts down',
    needs: 'Thirteen hearts in order in a pack.',
    'set-up': 'The hearts at the face, king first, the ace last of all. Their card goes on top.',
    reset: 'Cut the ace of hearts to the face.',
    note: 'Holds as soon as a heart shows at the face. Four cuts near the middle show one about seven times in ten.',
    packets: { pack: ['7S', { indifferent: 38 }, ...[...run('H')].reverse()] },
    orders: { bank: run('H') },
    steps: [
      { do: 'see', what: { 'top of': 'pack' }, name: 'their card', by: 'helper' },
      ...cutAndLook,
      {
        do: 'repeat',
        times: 3,
        steps: [{ do: 'if', that: { equal: ['counts', 0] }, then: cutAndLook }],
      },
      {
        do: 'if',
        that: { equal: ['counts', 0] },
        then: [{ do: 'out', words: 'Look through the faces: their card follows the ace of hearts.' }],
      },
      {
        do: 'claim',
        that: { equal: [{ 'card at': 'counts', of: 'pack' }, 'their card'] },
        words: 'Their card lies as deep as the face card says.',
      },
    ],
  },
  restore: [{ do: 'cut', packet: 'pack', count: { 'place of': { card: 'AH' }, in: 'pack' }, by: 'helper' }],
  proof: { held: 12 + 39 * 13 * (1 + 38 + 38 ** 2), outs: 39 * 38 ** 3, failed: 0 },
};
