import { Condition, Step } from '../../procedure/procedure';
import { run } from './cards';
import type { Worked } from './worked';

/** Clearly thin or thick, as one sees it across a table. */
const THIN = 14;
const THICK = 40;
const isOff: Condition = {
  any: [{ less: [{ 'size of': 'hand' }, THIN] }, { less: [THICK, { 'size of': 'hand' }] }],
};

const lifted = (name: string, says: string): readonly Step[] => [
  { do: 'choose', name, from: 1, to: 51, likely: { around: 26, within: 5 }, says },
  { do: 'lift', count: name, from: 'pack', onto: 'hand', by: 'helper' },
];

/** Of those that they lift in the first place, so many are clearly off, and are asked again. */
const OFF = THIN - 1 + 51 - THICK;

export const COUNTED_PACKET: Worked = {
  procedure: {
    ...{ format: 'enumeron procedure', version: 2, name: 'A packet counted in silence' },
    needs: 'The thirteen spades in order in the middle of a pack.',
    'set-up': 'Eighteen indifferent cards, the spades from ace to king, and the rest.',
    reset: 'Bring the spades back into order, eighteen cards above them.',
    note: 'Holds where they lift 19 to 31; the count itself is the out. Wider: a longer bank, or ask for about half.',
    givens: { before: 18, bank: 13 },
    packets: {
      pack: [
        { indifferent: 'before' },
        { first: 'bank', of: run('S') },
        { indifferent: { difference: [52, { sum: ['before', 'bank'] }] } },
      ],
    },
    orders: { spades: run('S') },
    steps: [
      ...lifted('lifted', 'Lift about half.'),
      { do: 'see', what: { whether: isOff }, name: 'clearly off' },
      {
        do: 'if',
        that: { equal: ['clearly off', 1] },
        then: [
          {
            ...{ do: 'put', packet: 'hand', where: 'on', other: 'pack', by: 'helper' },
            says: 'More towards the middle, so that nobody can say I saw it.',
          },
          ...lifted('lifted again', 'Once more, about half.'),
        ],
      },
      {
        ...{ do: 'see', what: { 'face of': 'hand' }, name: 'their card', by: 'helper' },
        says: 'Remember the card that you have cut to.',
      },
      { do: 'put', packet: 'pack', where: 'on', other: 'box' },
      { do: 'mix', packet: 'hand', by: 'helper', says: 'And mix what you have.' },
      {
        ...{ do: 'see', what: { 'size of': 'hand' }, name: 'counted' },
        note: 'You show them in fives and count: 5, 10, 15 …, and the odd cards.',
        says: 'Is it among these? Do not tell me where.',
      },
      { do: 'work out', name: 'rank', what: { difference: ['counted', 'before'] } },
      {
        do: 'if',
        that: { any: [{ less: ['rank', 1] }, { less: ['bank', 'rank'] }] },
        then: [
          {
            ...{ do: 'out', words: 'The count itself: you tell how many they took.' },
            steps: [
              { do: 'put', packet: 'box', where: 'on', other: 'pack' },
              { do: 'put', packet: 'hand', where: 'on', other: 'pack' },
            ],
          },
        ],
      },
      {
        ...{ do: 'see', what: { 'how many of': 'spades', in: 'hand' }, name: 'spades there' },
        note: 'A check while you show them: so many spades have gone by.',
      },
      { do: 'claim', that: { equal: ['spades there', 'rank'] }, words: 'So many spades are in the packet.' },
      { do: 'work out', name: 'named', what: { 'card with stack number': 'rank', in: 'spades' } },
      { do: 'claim', that: { equal: ['named', 'their card'] }, words: 'It is their card.' },
    ],
  },
  proof: { held: 13 + OFF * 13, outs: 51 - OFF - 13 + OFF * 38, failed: 0 },
};
