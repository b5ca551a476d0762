import { Step } from '../../procedure/procedure';
import { LEARNT } from './cards';
import type { Worked } from './worked';

const HEAPS = ['left', 'right'];
/** About half: so many cards fall from anywhere behind the first. */
const [LEAST, MOST] = [23, 25];

const onto = (heap: string, index: number): { readonly words: string; readonly steps: readonly Step[] } => ({
  words: `Onto the ${heap} heap.`,
  steps: [
    { do: 'deal', count: 'block', from: 'table', onto: heap, by: 'helper' },
    { do: 'work out', name: 'last', what: index + 1, by: 'helper' },
  ],
});

/** What becomes of the heaps: theirs is on the pack, the other is away. */
const keep = (heap: string, away: string): readonly Step[] => [
  { do: 'put', packet: heap, where: 'on', other: 'pack', by: 'helper' },
  { do: 'put', packet: away, where: 'on', other: 'box', by: 'helper' },
];

/** In how many ways so many cards fall in blocks of any size, each onto one of two heaps. */
const ways = (cards: number): number => (cards === 0 ? 1 : 2 * 3 ** (cards - 1));
/** The last card alone falls onto one of two; they grab one of two packs and of two heaps. */
const CASES =
  2 *
  Array.from({ length: MOST - LEAST + 1 }, (_, index) => 2 * 2 * ways(LEAST + index)).reduce((a, b) => a + b);

export const OTHER_PACK: Worked = {
  procedure: {
    ...{ format: 'enumeron procedure', version: 2, name: 'A number of the other pack' },
    needs: 'Two packs, one of them in your order.',
    'set-up': 'The ordered pack and a loose one.',
    reset: 'Put their card back to its place in the ordered pack.',
    note: 'Holds for every card of the loose pack, however they deal and whichever they grab.',
    packets: { pack: LEARNT, ordered: LEARNT },
    orders: { home: LEARNT },
    steps: [
      {
        ...{ do: 'choose one', name: 'grabbed', told: true, says: 'Take a pack.' },
        of: [
          { words: 'They grab the ordered one: it is theirs to keep.', steps: [] },
          { words: 'They grab the loose one: that is to be mixed; the ordered one they keep.', steps: [] },
        ],
      },
      { do: 'mix', packet: 'pack', by: 'helper', says: 'Mix it, and spread it on the table.' },
      {
        ...{ do: 'see', what: { 'top of': 'pack' }, name: 'glimpsed' },
        note: 'You write its stack number on a slip, and fold it.',
      },
      { do: 'deal', count: 1, from: 'pack', onto: 'table', by: 'helper', says: 'Deal one card, like this.' },
      { do: 'mix', packet: 'pack', by: 'helper', note: 'From anywhere: it is as if they mixed again.' },
      {
        ...{ do: 'choose', name: 'more', from: LEAST, to: MOST },
        says: 'Then in clumps, from anywhere, about half. The rest goes aside.',
      },
      { do: 'deal', count: 'more', from: 'pack', onto: 'table', by: 'helper' },
      { do: 'work out', name: 'last', what: 0, by: 'helper' },
      {
        do: 'repeat',
        while: { less: [1, { 'size of': 'table' }] },
        by: 'helper',
        says: 'Pick those up, and deal blocks of any size on two heaps, the last card alone.',
        steps: [
          { do: 'choose', name: 'block', from: 1, to: { difference: [{ 'size of': 'table' }, 1] } },
          { do: 'choose one', name: 'heap', of: HEAPS.map(onto) },
        ],
      },
      { do: 'work out', name: 'block', what: 1, by: 'helper' },
      { do: 'choose one', name: 'last heap', of: HEAPS.map(onto) },
      {
        do: 'see',
        what: 'last',
        name: 'it fell on',
        note: 'The last card tops this heap: it is the one you saw.',
      },
      {
        ...{ do: 'choose one', name: 'taken', told: true, says: 'Take a heap.' },
        of: HEAPS.map((heap) => ({ words: `They take the ${heap} heap.`, steps: [] })),
      },
      {
        ...{ do: 'if', that: { equal: ['it fell on', 1] }, by: 'helper' },
        note: 'That one: it goes on the rest. The other: it goes away, and the heap left is used.',
        then: keep('left', 'right'),
        otherwise: keep('right', 'left'),
      },
      { do: 'see', what: { 'top of': 'pack' }, name: 'their card', by: 'helper' },
      { do: 'claim', that: { equal: ['glimpsed', 'their card'] }, words: 'Their card is the one you saw.' },
      {
        do: 'work out',
        name: 'number',
        what: { 'stack number of': 'glimpsed', in: 'home' },
        note: 'It is on the slip.',
      },
      { do: 'claim known', what: 'their card' },
      { do: 'deal', count: 'number', from: 'ordered', onto: 'counted', by: 'helper' },
      {
        do: 'claim',
        that: { equal: [{ 'top of': 'counted' }, 'their card'] },
        words: 'Counted off in the other pack, the slip’s number ends on it.',
      },
    ],
  },
  proof: { held: CASES, outs: 0, failed: 0 },
};
