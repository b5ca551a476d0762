import { Condition, Step } from '../../procedure/procedure';
import type { Worked } from './worked';

const COLUMNS = ['first', 'second', 'third', 'fourth'];
const RANKS = ['6', '9', 'J', 'Q'];
/** Comes third from the top of what is left, with its fellows behind it. */
const LATER = '3';

const leader = (column: string): string => `leader ${column}`;
const fellows = (column: string): string => `below ${column}`;
const three = (rank: string): readonly string[] => [...'HSD'].map((suit) => rank + suit);

const exchange = (one: string, other: string, by: 'helper' | 'performer'): readonly Step[] => [
  { do: 'put', packet: one, where: 'on', other: 'aside', by },
  { do: 'put', packet: other, where: 'on', other: one, by },
  { do: 'put', packet: 'aside', where: 'on', other, by },
];

const neighbours = (name: string, says: string): Step => ({
  ...{ do: 'choose one', name, told: true, says },
  of: COLUMNS.slice(1).map((column, index) => ({
    words: `The ${COLUMNS[index]} and the ${column} leader change places.`,
    steps: [
      ...exchange(leader(COLUMNS[index]), leader(column), 'helper'),
      ...exchange(fellows(COLUMNS[index]), fellows(column), 'performer').map((step): Step => ({
        ...step,
        note: 'Unseen, while they look at the leaders.',
      })),
    ],
  })),
});

const sameRank: readonly Condition[] = COLUMNS.flatMap((column) =>
  [1, 2, 3].map((place) => ({
    equal: [
      { 'rank of': { 'card at': place, of: fellows(column) } },
      { 'rank of': { 'top of': leader(column) } },
    ],
  })),
);

export const OTHERS_FOLLOW: Worked = {
  procedure: {
    ...{ format: 'enumeron procedure', version: 2, name: 'The others follow their leaders' },
    needs: 'Any pack: four ranks in columns, their clubs on top; a fifth rank ready in the rest.',
    'set-up': `Two cards, the ${LATER}♣, the other three of its rank, and the rest.`,
    reset: 'Bring the ranks together again, each with its club on top.',
    note: 'Holds for every exchange and every cut of six or more.',
    packets: {
      ...Object.fromEntries(
        COLUMNS.flatMap((column, index) => [
          [leader(column), [`${RANKS[index]}C`]],
          [fellows(column), three(RANKS[index])],
        ]),
      ),
      rest: ['-', '-', `${LATER}C`, ...three(LATER), { indifferent: 30 }],
    },
    steps: [
      {
        ...{ do: 'choose', name: 'cut', from: 6, to: 30, likely: { around: 17, within: 5 } },
        says: 'Cut off a packet from what is left.',
      },
      { do: 'lift', count: 'cut', from: 'rest', onto: 'upper', by: 'helper' },
      {
        ...{ do: 'put', packet: 'rest', where: 'on', other: 'lower' },
        note: 'You lay the lower part across the upper one.',
      },
      neighbours('changed', 'Let two neighbours change places.'),
      neighbours('changed again', 'Once more.'),
      {
        ...{ do: 'deal', count: 3, from: 'upper', onto: 'shown' },
        note: 'The lower part off, and cards are dealt until a club shows: the third, from the old top.',
      },
      { do: 'see', what: { 'suit of': { 'top of': 'shown' } }, name: 'suit shown', by: 'all' },
      { do: 'claim', that: { equal: ['suit shown', 0] }, words: 'A club shows.' },
      { do: 'lift', count: 1, from: 'shown', onto: 'new leader' },
      { do: 'lift', count: 3, from: 'upper', onto: 'new fellows' },
      {
        ...{ do: 'choose one', name: 'changed at last', told: true, says: 'Exchange it for any leader.' },
        of: COLUMNS.map((column) => ({
          words: `It takes the place of the ${column} leader.`,
          steps: [
            ...exchange('new leader', leader(column), 'helper'),
            ...exchange('new fellows', fellows(column), 'performer'),
          ],
        })),
      },
      { do: 'claim', that: { all: sameRank }, words: 'Every column holds one rank: they have followed.' },
    ],
  },
  proof: { held: 25 * 3 * 3 * 4, outs: 0, failed: 0 },
};
