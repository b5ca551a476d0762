import { Condition } from '../../procedure/procedure';
import type { Worked } from './worked';

const RANKS = [...'A23456789TJQK'];
/** Thirteen groups of four of a kind, from the aces on. */
const GROUPS = RANKS.flatMap((rank) => [...'CHSD'].map((suit) => rank + suit));

export const SHORT_GROUP: Worked = {
  procedure: {
    name: 'Groups about the middle, and three to the top',
    needs: 'A pack in groups of four of a kind.',
    'set-up': 'The groups from ace to king.',
    reset: 'Cut the aces to the top again, with their card among its kind.',
    note: 'Holds where they lift 17 to 36, about the middle; the card that you glimpse names theirs.',
    packets: { pack: GROUPS },
    orders: { groups: GROUPS },
    steps: [
      {
        ...{ do: 'choose', name: 'lifted', from: 17, to: 36, likely: { around: 26, within: 4 } },
        says: 'Lift about half, and take the card that you have cut to.',
      },
      { do: 'lift', count: 'lifted', from: 'pack', onto: 'hand', by: 'helper' },
      { do: 'see', what: { 'top of': 'pack' }, name: 'their card', by: 'helper' },
      { do: 'lift', count: 1, from: 'pack', onto: 'pocket', by: 'helper' },
      { do: 'see', what: { 'face of': 'hand' }, name: 'glimpsed' },
      { do: 'put', packet: 'hand', where: 'on', other: 'pack', by: 'helper' },
      { do: 'work out', name: 'theirs', what: { 'stack number of': 'glimpsed', in: 'groups' } },
      {
        do: 'work out',
        name: 'named',
        what: { 'card with stack number': { sum: ['theirs', 1] }, in: 'groups' },
      },
      { do: 'claim', that: { equal: ['named', 'their card'] }, words: 'You know their card.' },
      // Its group lacks one now, and everything above it is whole.
      { do: 'work out', name: 'above', what: { product: [4, { difference: [{ 'rank of': 'named' }, 1] }] } },
      { do: 'cut', packet: 'pack', count: 'above' },
      {
        do: 'claim',
        that: {
          all: [1, 2, 3].map((place): Condition => ({
            equal: [{ 'rank of': { 'card at': place, of: 'pack' } }, { 'rank of': 'their card' }],
          })),
        },
        words: 'The other three of its kind lie on top.',
      },
    ],
  },
  proof: { held: 20, outs: 0, failed: 0 },
  restore: [
    { do: 'cut', packet: 'pack', count: { difference: [51, 'above'] } },
    { do: 'insert', packet: 'pocket', into: 'pack', place: { sum: ['theirs', 1] } },
  ],
};
