import { colourOf, rankOf, suitOf } from '../../deck/card';
import { parseCard } from '../../deck/notation';
import { LEARNT } from './cards';
import type { Worked } from './worked';

/** How many neighbours, round the order, have their suit or their rank in common: the card made of them is one of them. */
const ALIKE = LEARNT.filter((text, index) => {
  const [one, other] = [text, LEARNT[(index + 1) % LEARNT.length]].map((each) => parseCard(each) ?? 0);
  return (
    (suitOf(one) === suitOf(other) && colourOf(one) === colourOf(other)) || rankOf(one) === rankOf(other)
  );
}).length;

const MADE = {
  'first first': { 'rank from': 'first card', 'suit from': 'second card' },
  'second first': { 'rank from': 'second card', 'suit from': 'first card' },
} as const;

export const MADE_OF_TWO: Worked = {
  procedure: {
    name: 'A card made of two',
    needs: 'A pack in the order that you know, wherever it is cut.',
    'set-up': 'None.',
    reset: 'Cut your cut back, and put both cards on top again, the second first.',
    note: 'Holds wherever they cut and whichever card gives the rank. Two of a suit or of a rank make one of themselves: an out.',
    packets: { pack: LEARNT },
    orders: { home: LEARNT },
    steps: [
      { do: 'choose', name: 'cut', from: 1, to: 52, says: 'Cut, and complete the cut.' },
      { do: 'cut', packet: 'pack', count: 'cut', by: 'helper' },
      { do: 'see', what: { 'top of': 'pack' }, name: 'first card', by: 'all' },
      { do: 'deal', count: 1, from: 'pack', onto: 'left', by: 'helper' },
      { do: 'see', what: { 'top of': 'pack' }, name: 'second card', by: 'all' },
      { do: 'deal', count: 1, from: 'pack', onto: 'right', by: 'helper' },
      { do: 'work out', name: 'made', what: MADE['first first'] },
      {
        do: 'choose one',
        name: 'way',
        told: true,
        says: 'Take the rank of the one and the suit of the other.',
        of: [
          { words: 'The rank of the first card.', steps: [] },
          {
            words: 'The rank of the second card.',
            steps: [{ do: 'work out', name: 'made', what: MADE['second first'] }],
          },
        ],
      },
      {
        do: 'if',
        that: { any: [{ equal: ['made', 'first card'] }, { equal: ['made', 'second card'] }] },
        then: [{ do: 'out', words: 'It lies there already: turn it to them.' }],
      },
      {
        do: 'work out',
        name: 'place',
        what: {
          around: [
            {
              difference: [
                { 'stack number of': 'made', in: 'home' },
                { 'stack number of': 'second card', in: 'home' },
              ],
            },
            52,
          ],
        },
      },
      { do: 'cut', packet: 'pack', count: { difference: ['place', 1] } },
      {
        do: 'claim',
        that: { equal: [{ 'top of': 'pack' }, 'made'] },
        words: 'The card that they made lies on top.',
      },
    ],
  },
  proof: { held: 2 * (52 - ALIKE), outs: 2 * ALIKE, failed: 0 },
  restore: [
    { do: 'cut', packet: 'pack', count: { difference: [51, 'place'] } },
    { do: 'put', packet: 'right', where: 'on', other: 'pack' },
    { do: 'put', packet: 'left', where: 'on', other: 'pack' },
    // Where the order begins can be seen.
    { do: 'cut', packet: 'pack', count: { difference: [52, 'cut'] }, by: 'helper' },
  ],
};
