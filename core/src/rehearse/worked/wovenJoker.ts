import { placeWoven } from '../../moves/weave';
import { LEARNT } from './cards';
import type { Worked } from './worked';

/** The order from which so many out weaves lead to another. */
const before = (order: readonly string[], weaves: number): readonly string[] =>
  weaves === 0
    ? order
    : before(
        order.map((_, index) => order[placeWoven(index + 1, 52, 'out') - 1]),
        weaves - 1,
      );

export const WOVEN_JOKER: Worked = {
  procedure: {
    name: 'Two weaves, and a joker for the missing card',
    needs: 'A pack set so that two out weaves bring it into your order, and a joker.',
    'set-up': 'Your order, with two out weaves taken back.',
    reset: 'Put their card in the joker’s place, and take two out weaves back.',
    note: 'Holds for each of the 52 cards. The pack looks mixed until the second weave.',
    packets: { pack: before(LEARNT, 2), joker: ['X1'] },
    orders: { home: LEARNT },
    steps: [
      {
        do: 'choose',
        name: 'taken',
        from: 1,
        to: 52,
        says: 'Take any card, and leave the joker in its place.',
      },
      { do: 'see', what: { 'card at': 'taken', of: 'pack' }, name: 'their card', by: 'helper' },
      { do: 'take', place: 'taken', from: 'pack', onto: 'pocket', by: 'helper' },
      { do: 'insert', packet: 'joker', into: 'pack', place: 'taken', by: 'helper' },
      { do: 'weave', packet: 'pack', kind: 'out' },
      { do: 'weave', packet: 'pack', kind: 'out' },
      { do: 'see', what: { 'place of': { card: 'X1' }, in: 'pack' }, name: 'joker lies' },
      { do: 'work out', name: 'named', what: { 'card with stack number': 'joker lies', in: 'home' } },
      {
        do: 'claim',
        that: { equal: ['named', 'their card'] },
        words: 'The joker lies where their card belongs.',
      },
    ],
  },
  proof: { held: 52, outs: 0, failed: 0 },
  restore: [
    { do: 'take', place: 'joker lies', from: 'pack', onto: 'joker' },
    { do: 'insert', packet: 'pocket', into: 'pack', place: 'joker lies' },
    { do: 'unweave', packet: 'pack', kind: 'out' },
    { do: 'unweave', packet: 'pack', kind: 'out' },
  ],
};
