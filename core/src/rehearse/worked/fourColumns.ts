import { Expression, Step } from '../../procedure/procedure';
import type { Worked } from './worked';

const COLUMNS = ['first', 'second', 'third', 'fourth'];
const SUITS = ['C', 'H', 'S', 'D'];

const changePlaces = (one: string, other: string): readonly Step[] => [
  { do: 'put', packet: one, where: 'on', other: 'aside', by: 'helper' },
  { do: 'put', packet: other, where: 'on', other: one, by: 'helper' },
  { do: 'put', packet: 'aside', where: 'on', other, by: 'helper' },
];

const neighbours = (name: string): Step => ({
  do: 'choose one',
  name,
  says: 'Let two neighbours change places.',
  of: COLUMNS.slice(1).map((column, index) => ({
    words: `The ${COLUMNS[index]} and the ${column} change places.`,
    steps: changePlaces(COLUMNS[index], column),
  })),
});

const rankAt = (place: number, of: string): Expression => ({ 'rank of': { 'card at': place, of } });

export const FOUR_COLUMNS: Worked = {
  procedure: {
    name: 'Four columns follow their leaders',
    needs: 'King, queen, jack and ten of each suit.',
    'set-up': 'A column for each suit, its king on top, then queen, jack and ten.',
    reset: 'Lay the suits out again, each from its king down.',
    note: 'Holds whichever neighbours change places and wherever they cut. The face card tells which column is last.',
    packets: Object.fromEntries(
      COLUMNS.map((column, index) => [column, ['K', 'Q', 'J', 'T'].map((rank) => rank + SUITS[index])]),
    ),
    steps: [
      neighbours('changed'),
      neighbours('changed again'),
      neighbours('changed at last'),
      ...COLUMNS.map((column): Step => ({
        do: 'put',
        packet: column,
        where: 'under',
        other: 'packet',
        by: 'helper',
      })),
      { do: 'choose', name: 'cut', from: 0, to: 15, says: 'Cut, if you like, and complete the cut.' },
      { do: 'cut', packet: 'packet', count: 'cut', by: 'helper' },
      { do: 'see', what: { 'rank of': { 'face of': 'packet' } }, name: 'face rank' },
      { do: 'deal round', from: 'packet', onto: COLUMNS, by: 'helper' },
      {
        do: 'claim',
        that: {
          all: COLUMNS.flatMap((column) =>
            [2, 3, 4].map((place) => ({ equal: [rankAt(place, column), rankAt(1, column)] })),
          ),
        },
        words: 'Every column holds one rank: they have followed their leaders.',
      },
      {
        do: 'claim',
        that: { equal: [rankAt(1, 'fourth'), 'face rank'] },
        words: 'The last column is of the face card’s rank.',
      },
      { do: 'claim known', what: rankAt(1, 'first'), words: 'You know what the first column holds.' },
    ],
  },
  proof: { held: 3 ** 3 * 16, outs: 0, failed: 0 },
};
