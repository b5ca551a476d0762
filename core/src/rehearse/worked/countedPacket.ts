import { run } from './cards';
import type { Worked } from './worked';

export const COUNTED_PACKET: Worked = {
  procedure: {
    name: 'A packet counted in silence',
    needs: 'Thirteen hearts in order in the middle of a pack.',
    'set-up': 'So many indifferent cards, the hearts from ace to king, and the rest.',
    reset: 'Put the packet back on top.',
    note: 'Holds where they lift 21 to 33 cards. Wider: a longer bank, or ask for about half.',
    givens: { before: 20, bank: 13 },
    packets: {
      pack: [
        { indifferent: 'before' },
        { first: 'bank', of: run('H') },
        { indifferent: { difference: [52, { sum: ['before', 'bank'] }] } },
      ],
    },
    orders: { hearts: run('H') },
    steps: [
      {
        ...{ do: 'choose', name: 'lifted', from: 8, to: 44, likely: { around: 26, within: 5 } },
        says: 'Lift about half, and remember the card that you have cut to.',
      },
      { do: 'lift', count: 'lifted', from: 'pack', onto: 'hand', by: 'helper' },
      { do: 'see', what: { 'face of': 'hand' }, name: 'their card', by: 'helper' },
      // They count under the table, or you hear the cards fall.
      { do: 'see', what: { 'size of': 'hand' }, name: 'counted' },
      { do: 'work out', name: 'in the bank', what: { difference: ['counted', 'before'] } },
      {
        do: 'if',
        that: { any: [{ less: ['in the bank', 1] }, { less: ['bank', 'in the bank'] }] },
        then: [{ do: 'out', words: 'Have them lift again: it was for practice.' }],
      },
      {
        do: 'work out',
        name: 'named',
        what: { 'card with stack number': 'in the bank', in: 'hearts' },
      },
      { do: 'claim', that: { equal: ['named', 'their card'] }, words: 'It is their card.' },
    ],
  },
  proof: { held: 13, outs: 24, failed: 0 },
  restore: [{ do: 'put', packet: 'hand', where: 'on', other: 'pack' }],
};
