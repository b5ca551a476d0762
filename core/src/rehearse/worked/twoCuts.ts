import { Step } from '../../procedure/procedure';
import { LEARNT } from './cards';
import type { Worked } from './worked';

const cutAndTurn = (count: string, seen: string): readonly Step[] => [
  { do: 'lift', count, from: 'pack', onto: 'hand', by: 'helper' },
  { do: 'turn', packet: 'hand', by: 'helper' },
  { do: 'see', what: { 'top of': 'hand' }, name: seen },
  { do: 'put', packet: 'hand', where: 'on', other: 'pack', by: 'helper' },
];

/** Which card of the packet stands for which number: the top one for 6. */
const [FROM, TO] = [6, 27];
const NUMBERED = [...LEARNT.slice(0, TO - FROM + 1)];

export const TWO_CUTS: Worked = {
  procedure: {
    name: 'Two cuts and a packet of numbers',
    needs: 'A pack in the order that you know, and twenty-two cards that stand for the numbers 6 to 27.',
    'set-up': 'The pack from its top, wherever it is cut. The twenty-two cards in their order, 6 on top.',
    reset:
      'Turn what lies face up over as one packet and put it below the first card seen. Put the number back.',
    note: 'Holds where the second cut is 6 to 27 cards deeper than the first; nearer or deeper is an out.',
    packets: { pack: LEARNT, numbers: NUMBERED },
    orders: { home: LEARNT, numbers: NUMBERED },
    steps: [
      {
        ...{ do: 'choose', name: 'first cut', from: 1, to: 50, likely: { around: 12, within: 4 } },
        says: { lay: 'Cut off a small packet and turn it over.', performers: 'A small packet, turned over.' },
        'too many': { lay: 'Rather fewer: I need some left for the second cut.' },
      },
      ...cutAndTurn('first cut', 'first seen'),
      {
        ...{ do: 'choose', name: 'second cut', from: { sum: ['first cut', 1] }, to: 51 },
        ...{ likely: { around: 27, within: 6 }, says: 'Now cut deeper, and turn that over too.' },
      },
      ...cutAndTurn('second cut', 'second seen'),
      {
        do: 'work out',
        name: 'difference',
        // Counted round: the order may end between the two.
        what: {
          around: [
            {
              difference: [
                { 'stack number of': 'second seen', in: 'home' },
                { 'stack number of': 'first seen', in: 'home' },
              ],
            },
            52,
          ],
        },
      },
      {
        do: 'if',
        that: { any: [{ less: ['difference', FROM] }, { less: [TO, 'difference'] }] },
        then: [{ do: 'out', words: 'Show the card alone.' }],
      },
      { do: 'take', place: { difference: ['difference', FROM - 1] }, from: 'numbers', onto: 'shown' },
      {
        do: 'claim',
        that: {
          equal: [
            { sum: [{ 'stack number of': { 'top of': 'shown' }, in: 'numbers' }, FROM - 1] },
            { 'face up in': 'pack' },
          ],
        },
        words: 'The number taken is how many cards lie face up.',
      },
      {
        do: 'claim',
        that: {
          equal: [
            { 'stack number of': { 'card at': { sum: ['difference', 1] }, of: 'pack' }, in: 'home' },
            {
              around: [
                { difference: [{ sum: [{ 'stack number of': 'first seen', in: 'home' }, 1] }, 'first cut'] },
                52,
              ],
            },
          ],
        },
        words: 'The first card that lies face down was the top card.',
      },
    ],
  },
  proof: { held: 759, outs: 516, failed: 0 },
  restore: [
    { do: 'lift', count: { 'face up in': 'pack' }, from: 'pack', onto: 'hand', by: 'helper' },
    { do: 'turn', packet: 'hand' },
    {
      do: 'lift',
      count: { 'place of': 'first seen', in: 'pack' },
      from: 'pack',
      onto: 'table',
      by: 'helper',
    },
    { do: 'put', packet: 'hand', where: 'on', other: 'pack' },
    { do: 'put', packet: 'table', where: 'on', other: 'pack' },
    { do: 'insert', packet: 'shown', into: 'numbers', place: { difference: ['difference', FROM - 1] } },
  ],
};
