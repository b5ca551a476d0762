import { mateOf } from '../../deck/card';
import { formatCard, parseCard } from '../../deck/notation';
import { Condition, Step } from '../../procedure/procedure';
import { LEARNT } from './cards';
import type { Worked } from './worked';

/** Cards none of which is another's mate, and their mates in the same order. */
const mate = (text: string): string => formatCard(mateOf(parseCard(text) ?? 0));
export const UPPER = LEARNT.filter((text, index) => !LEARNT.slice(0, index).includes(mate(text)));
export const LOWER = UPPER.map(mate);

const mates: Condition = {
  all: [
    { 'at most': ['at', { 'size of': 'upper' }] },
    { 'at most': ['at', { 'size of': 'lower' }] },
    { equal: [{ 'mate of': { 'card at': 'at', of: 'upper' } }, { 'card at': 'at', of: 'lower' }] },
  ],
};

/** They turn up a card of each half at a time, down to the first two that are not mates. */
const compare: readonly Step[] = [
  { do: 'work out', name: 'at', what: 1, by: 'helper' },
  {
    do: 'repeat',
    while: mates,
    by: 'helper',
    says: 'Turn up a card of each at a time, and stop at two that are not mates.',
    steps: [{ do: 'work out', name: 'at', what: { sum: ['at', 1] }, by: 'helper' }],
  },
  { do: 'see', what: 'at', name: 'stopped at' },
];

const named = (half: string): readonly Step[] => [
  { do: 'see', what: { 'card at': 'stopped at', of: half }, name: 'opposite' },
  { do: 'work out', name: 'named', what: { 'mate of': 'opposite' } },
];

const texts = {
  needs: 'The two halves of a pack, each the mates of the other in the same order.',
  'set-up': 'The halves side by side, face down.',
};

export const MIRRORED_HALVES: Worked = {
  procedure: {
    ...{ name: 'Mirrored halves, one card taken', ...texts },
    reset: 'None: the card goes back into its place.',
    note: 'Holds for every card of either half; the half that is short has lost it.',
    packets: { upper: UPPER, lower: LOWER },
    steps: [
      {
        do: 'choose one',
        name: 'half',
        told: true,
        of: ['upper', 'lower'].map((half) => ({
          words: `They take a card of the ${half} half.`,
          steps: [
            { do: 'choose', name: 'taken', from: 1, to: 26 },
            { do: 'take', place: 'taken', from: half, onto: 'hand', by: 'helper' },
          ],
        })),
      },
      ...compare,
      {
        do: 'if',
        that: { less: [{ 'size of': 'upper' }, { 'size of': 'lower' }] },
        then: [...named('lower'), { do: 'insert', packet: 'hand', into: 'upper', place: 'stopped at' }],
        otherwise: [...named('upper'), { do: 'insert', packet: 'hand', into: 'lower', place: 'stopped at' }],
      },
      {
        do: 'claim',
        that: {
          any: ['upper', 'lower'].map((half) => ({
            equal: [{ 'card at': 'stopped at', of: half }, 'named'],
          })),
        },
        words: 'You name it, and it lies in its place again.',
      },
      { do: 'work out', name: 'at', what: 1, by: 'helper' },
      {
        do: 'repeat',
        while: mates,
        by: 'helper',
        steps: [{ do: 'work out', name: 'at', what: { sum: ['at', 1] }, by: 'helper' }],
      },
      { do: 'claim', that: { equal: ['at', 27] }, words: 'Both halves are mates all through.' },
    ],
  },
  proof: { held: 52, outs: 0, failed: 0 },
  restore: [],
};

/** A card of each half is gone: which of the two comes first is told by what follows the gap. */
export const MIRRORED_TWO: Worked = {
  procedure: {
    ...{ name: 'Mirrored halves, a card of each', ...texts },
    reset:
      'The halves are mates all through again; where they took neighbours, two pairs have changed places.',
    note: 'Holds for every two cards but mates: the gaps are opposite, so nothing gives them away: an out.',
    packets: { upper: UPPER, lower: LOWER },
    steps: [
      { do: 'choose', name: 'of the upper', from: 1, to: 26 },
      { do: 'take', place: 'of the upper', from: 'upper', onto: 'one hand', by: 'helper' },
      { do: 'choose', name: 'of the lower', from: 1, to: 26 },
      { do: 'take', place: 'of the lower', from: 'lower', onto: 'other hand', by: 'helper' },
      ...compare,
      {
        do: 'if',
        that: { less: [25, 'stopped at'] },
        then: [{ do: 'out', words: 'They hold two mates: say so, and have both shown.' }],
      },
      { do: 'see', what: { 'card at': 'stopped at', of: 'upper' }, name: 'upper card' },
      { do: 'see', what: { 'card at': 'stopped at', of: 'lower' }, name: 'lower card' },
      // Where the lower half lacks one, its next card is the mate of the upper half’s next.
      {
        do: 'see',
        what: { 'place of': { 'mate of': 'lower card' }, in: 'upper' },
        name: 'mate lies',
      },
      {
        do: 'if',
        that: { less: ['stopped at', 'mate lies'] },
        then: [
          { do: 'work out', name: 'named', what: { 'mate of': 'upper card' } },
          {
            do: 'claim',
            that: { equal: ['named', { 'top of': 'other hand' }] },
            words: 'You name the lower card.',
          },
          { do: 'insert', packet: 'other hand', into: 'lower', place: 'stopped at' },
        ],
        otherwise: [
          { do: 'work out', name: 'named', what: { 'mate of': 'lower card' } },
          {
            do: 'claim',
            that: { equal: ['named', { 'top of': 'one hand' }] },
            words: 'You name the upper card.',
          },
          { do: 'insert', packet: 'one hand', into: 'upper', place: 'stopped at' },
        ],
      },
      ...compare,
      {
        do: 'if',
        that: { less: [{ 'size of': 'upper' }, { 'size of': 'lower' }] },
        then: [
          ...named('lower'),
          { do: 'claim', that: { equal: ['named', { 'top of': 'one hand' }] }, words: 'You name the other.' },
          { do: 'insert', packet: 'one hand', into: 'upper', place: 'stopped at' },
        ],
        otherwise: [
          ...named('upper'),
          {
            do: 'claim',
            that: { equal: ['named', { 'top of': 'other hand' }] },
            words: 'You name the other.',
          },
          { do: 'insert', packet: 'other hand', into: 'lower', place: 'stopped at' },
        ],
      },
      ...compare,
      { do: 'claim', that: { equal: ['stopped at', 27] }, words: 'Both halves are mates all through.' },
    ],
  },
  proof: { held: 26 * 25, outs: 26, failed: 0 },
};
