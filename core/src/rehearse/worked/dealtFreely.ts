import { Step } from '../../procedure/procedure';
import { LEARNT } from './cards';
import type { Worked } from './worked';

const HEAPS = ['left', 'right'];
const CARDS = 14;

const onto = (heap: string, index: number): { readonly words: string; readonly steps: readonly Step[] } => ({
  words: `Onto the ${heap} heap.`,
  steps: [
    { do: 'deal', count: 'block', from: 'packet', onto: heap, by: 'helper' },
    { do: 'work out', name: 'last', what: index + 1, by: 'helper' },
  ],
});

/** The card glimpsed is on top of the heap of which a name holds the number. */
const topOf = (name: string, words: string): Step => ({
  do: 'claim',
  that: {
    any: HEAPS.map((heap, index) => ({
      all: [
        { equal: [name, index + 1] },
        { less: [0, { 'size of': heap }] },
        { equal: [{ 'top of': heap }, 'glimpsed'] },
      ],
    })),
  },
  words,
});

/** In how many ways so many cards fall in blocks of up to three, each onto one of two heaps. */
const ways = (cards: number): number =>
  cards === 0 ? 1 : [1, 2, 3].reduce((sum, block) => sum + (block <= cards ? 2 * ways(cards - block) : 0), 0);

export const DEALT_FREELY: Worked = {
  procedure: {
    name: 'Dealt as they please, and a second pack',
    needs: 'Two packs: some cards of one, which may be mixed, and the other in the order that you know.',
    'set-up': 'Glimpse the face card of the mixed packet before they deal.',
    reset: 'Put the card back to its stack number in the second pack.',
    note: 'Holds however they deal and whichever heap they point at.',
    packets: { packet: [{ indifferent: CARDS - 1 }, LEARNT[30]], second: LEARNT },
    orders: { home: LEARNT },
    steps: [
      { do: 'see', what: { 'face of': 'packet' }, name: 'glimpsed' },
      { do: 'work out', name: 'last', what: 0, by: 'helper' },
      {
        do: 'repeat',
        while: { less: [0, { 'size of': 'packet' }] },
        by: 'helper',
        says: 'Deal a few cards onto either heap, as often as you like, until there are none.',
        steps: [
          { do: 'choose', name: 'block', from: 1, to: { least: [3, { 'size of': 'packet' }] } },
          { do: 'choose one', name: 'heap', of: HEAPS.map(onto) },
        ],
      },
      { do: 'see', what: 'last', name: 'ended on' },
      {
        do: 'choose one',
        name: 'pointed at',
        told: true,
        of: HEAPS.map((heap) => ({ words: `They point at the ${heap} heap.`, steps: [] })),
      },
      {
        do: 'if',
        that: { equal: ['pointed at', 'ended on'] },
        then: [topOf('pointed at', 'They keep the heap, and its top card is the one glimpsed.')],
        otherwise: [topOf('ended on', 'The heap goes away; the top card of the other is the one glimpsed.')],
      },
      {
        do: 'claim',
        that: {
          equal: [{ 'card at': { 'stack number of': 'glimpsed', in: 'home' }, of: 'second' }, 'glimpsed'],
        },
        words: 'Its stack number counts down to it in the second pack.',
      },
    ],
  },
  proof: { held: 2 * ways(CARDS), outs: 0, failed: 0 },
};
