import { Expression, Step } from '../../procedure/procedure';
import type { Worked } from './worked';

const group = (rank: string): readonly string[] => [...'CHSD'].map((suit) => rank + suit);
const [KINGS, QUEENS, TENS] = ['K', 'Q', 'T'].map(group);

const seeHowMany = (these: string, name: string): Step => ({
  ...{ do: 'see', what: { 'how many of': these, in: 'pack' }, name },
});
const ofItsRank = (suit: string): Expression => ({
  'rank from': 'theirs',
  'suit from': { card: `A${suit}` },
});
const namesOf = (one: string, other: string): readonly Step[] => [
  { do: 'work out', name: 'of the other colour', what: ofItsRank(one) },
  { do: 'work out', name: 'second of that colour', what: ofItsRank(other) },
];
const load = (card: string): Step => ({ do: 'take', card, from: 'pack', onto: 'at hand' });
const shown = (place: number): Expression => ({ 'card at': place, of: 'pack' });

export const SHORT_GROUP: Worked = {
  procedure: {
    ...{ format: 'enumeron procedure', version: 2, name: 'Groups about the middle, and three to the top' },
    needs: 'Any pack: four kings, four queens and four tens together in the middle.',
    'set-up': 'Twenty indifferent cards, kings, queens, tens, and twenty more.',
    reset: 'Bring the groups together again in the middle.',
    note: 'Holds where they cut 20 to 31; else no group is short, and you give the card back before anybody has looked.',
    packets: { pack: [{ indifferent: 20 }, ...KINGS, ...QUEENS, ...TENS, { indifferent: 20 }] },
    orders: { kings: KINGS, queens: QUEENS, tens: TENS, groups: [...KINGS, ...QUEENS, ...TENS] },
    steps: [
      {
        ...{ do: 'choose', name: 'cut', from: 1, to: 51, likely: { around: 26, within: 3 } },
        note: 'You are turned away.',
        says: 'Cut about half, and complete the cut.',
      },
      { do: 'cut', packet: 'pack', count: 'cut', by: 'helper' },
      {
        ...{ do: 'lift', count: 1, from: 'pack', onto: 'till drawer', by: 'helper' },
        says: 'Put the top card into the till, and do not look yet.',
      },
      { do: 'mix', packet: 'pack', by: 'helper', says: 'Mix the rest as long as you like.' },
      seeHowMany('kings', 'kings there'),
      seeHowMany('queens', 'queens there'),
      {
        ...seeHowMany('tens', 'tens there'),
        note: 'One look through; what is at hand of the group with three you bring near the top.',
      },
      {
        do: 'if',
        that: { equal: [{ sum: ['kings there', 'queens there', 'tens there'] }, 12] },
        then: [
          {
            ...{
              do: 'out',
              words: 'No group is short: take the card back, it was to see that they mix well.',
            },
            steps: [{ do: 'put', packet: 'till drawer', where: 'on', other: 'pack' }],
          },
        ],
      },
      {
        do: 'see',
        what: { 'top of': 'till drawer' },
        name: 'their card',
        by: 'helper',
        says: 'Look at it now.',
      },
      {
        do: 'see',
        what: { 'first of': 'groups', 'not in': 'pack' },
        name: 'theirs',
        note: 'The second look.',
      },
      {
        do: 'if',
        that: { equal: [{ 'colour of': 'theirs' }, 0] },
        then: namesOf('H', 'D'),
        otherwise: namesOf('C', 'S'),
      },
      { do: 'work out', name: 'mate', what: { 'mate of': 'theirs' } },
      load('mate'),
      load('second of that colour'),
      load('of the other colour'),
      { do: 'put', packet: 'at hand', where: 'on', other: 'pack' },
      { do: 'claim', that: { equal: ['theirs', 'their card'] }, words: 'You know their card.' },
      {
        do: 'claim',
        that: {
          all: [
            { not: { equal: [{ 'colour of': shown(1) }, { 'colour of': 'their card' }] } },
            { equal: [{ 'rank of': shown(2) }, { 'rank of': 'their card' }] },
            { equal: [shown(3), { 'mate of': 'their card' }] },
          ],
        },
        words: 'Three are dealt: they tell its colour, its value and its suit.',
      },
    ],
  },
  proof: { held: 12, outs: 39, failed: 0 },
};
