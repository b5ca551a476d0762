import { Expression, Step } from '../../procedure/procedure';
import { LOWER, UPPER } from './mirroredHalves';
import type { Worked } from './worked';

const texts = {
  ...{ format: 'enumeron procedure', version: 2 },
  needs: 'A pack of which one half holds no two mates, and the other their mates in the same order.',
  'set-up': 'The halves on each other, cut as you like.',
};
const PACK = { pack: [...UPPER, ...LOWER] };

const cut: readonly Step[] = [
  { do: 'choose', name: 'cut', from: 0, to: 51, says: 'Cut as often as you like.' },
  { do: 'cut', packet: 'pack', count: 'cut', by: 'helper' },
];

/** The pack is parted at the gap by feel, and both its ends are glimpsed. */
const part = (place: Expression): readonly Step[] => [
  {
    ...{ do: 'cut', packet: 'pack', count: { difference: [place, 1] }, felt: true },
    note: 'You part it at the gap, and the lower part goes on top.',
  },
  {
    do: 'see',
    what: { 'face of': 'pack' },
    name: 'at the face',
    note: 'Colour and rank: keep both in mind.',
  },
  { do: 'see', what: { 'top of': 'pack' }, name: 'on top' },
];

const next = (card: Expression): Expression => ({ 'next after': card, in: 'pack', towards: 'face' });

export const TWIN_HALVES: Worked = {
  procedure: {
    ...{ ...texts, name: 'Twin halves, one card' },
    reset: 'At once: their card goes on top or under the pack.',
    note: 'Holds for every cut and every card. Look through from the top for the mates of both that you glimpsed.',
    packets: PACK,
    steps: [
      ...cut,
      { do: 'choose', name: 'pointed at', from: 1, to: 52, says: 'Point at any card of the spread.' },
      { do: 'see', what: { 'card at': 'pointed at', of: 'pack' }, name: 'their card', by: 'helper' },
      { do: 'take', place: 'pointed at', from: 'pack', onto: 'hand', by: 'helper' },
      ...part('pointed at'),
      {
        ...{ do: 'see', what: next({ 'mate of': 'at the face' }), name: 'between' },
        note: 'The mate of the face card, one card, the mate of the top card.',
      },
      { do: 'work out', name: 'named', what: { 'mate of': 'between' } },
      {
        do: 'claim',
        that: { equal: ['named', 'their card'] },
        words: 'The mate of the card between is theirs.',
      },
      {
        do: 'claim',
        that: { equal: [next('between'), { 'mate of': 'on top' }] },
        words: 'Below it lies the mate of the top card.',
      },
    ],
  },
  proof: { held: 52 * 52, outs: 0, failed: 0 },
  restore: [
    { do: 'put', packet: 'hand', where: 'on', other: 'pack' },
    {
      do: 'cut',
      packet: 'pack',
      count: { remainder: [{ difference: [53, { sum: ['cut', 'pointed at'] }] }, 52] },
      by: 'helper',
    },
  ],
};

export const TWIN_HALVES_TWO: Worked = {
  procedure: {
    ...{ ...texts, name: 'Twin halves, two cards together' },
    reset: 'At once: the two go under the pack, the upper one first.',
    note: 'Holds for every cut and every two cards that lie together. Of the two between, the first is the mate of the upper one.',
    packets: PACK,
    steps: [
      ...cut,
      {
        ...{ do: 'choose', name: 'upper place', from: 1, to: 51 },
        says: 'Point at any two cards that lie together.',
      },
      { do: 'see', what: { 'card at': 'upper place', of: 'pack' }, name: 'upper card', by: 'helper' },
      { do: 'take', place: 'upper place', from: 'pack', onto: 'hand', by: 'helper' },
      { do: 'see', what: { 'card at': 'upper place', of: 'pack' }, name: 'lower card', by: 'helper' },
      { do: 'take', place: 'upper place', from: 'pack', onto: 'other hand', by: 'helper' },
      ...part('upper place'),
      { do: 'see', what: next({ 'mate of': 'at the face' }), name: 'first between' },
      { do: 'see', what: next('first between'), name: 'second between' },
      { do: 'work out', name: 'upper named', what: { 'mate of': 'first between' } },
      { do: 'work out', name: 'lower named', what: { 'mate of': 'second between' } },
      {
        do: 'claim',
        that: {
          all: [{ equal: ['upper named', 'upper card'] }, { equal: ['lower named', 'lower card'] }],
        },
        words: 'You name both.',
      },
    ],
  },
  proof: { held: 52 * 51, outs: 0, failed: 0 },
};
