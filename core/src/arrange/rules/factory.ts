import { countOf } from '../../deck/countOf';
import { Suit } from '../../deck/card';
import { FLAG, listOf } from '../../deck/shape';
import { FOUR_SUITS, OrderRule, refuse, SUITS_FIELD, suitsIn, suitsProblem } from './orderRule';

/** Suit by suit as a new pack comes, each suit up (ace to king) or down. */
export interface Factory {
  readonly kind: 'factory';
  readonly suits: readonly Suit[];
  readonly up: readonly boolean[];
}

export const FACTORY: OrderRule<Factory> = {
  name: 'Suit by suit',
  says: 'Each suit from ace to king (+) or from king to ace (−), as a new pack may come.',
  shape: { suits: FOUR_SUITS, up: listOf(FLAG, 4, 4) },
  fields: [SUITS_FIELD, { name: 'signs', label: 'Each suit up (+) or down (−)', start: '+ + − −' }],
  read: ({ suits, signs }) => ({
    ok: true,
    rule: {
      kind: 'factory',
      suits: suitsIn(suits),
      up: [...signs.replace(/\s/g, '')].map((sign) => sign === '+'),
    },
  }),
  order: ({ suits, up }) => {
    const problem = suitsProblem(suits);
    if (problem) return problem;
    if (up.length !== 4)
      return refuse(
        `${countOf(up.length, 'sign')} ${up.length === 1 ? 'is' : 'are'} there.`,
        'Write one for each of the four suits.',
      );
    const order = suits.flatMap((suit, index) => {
      const run = Array.from({ length: 13 }, (_, rank) => suit * 13 + rank);
      return up[index] ? run : run.reverse();
    });
    return { ok: true, order };
  },
  describe: ({ kind }) => kind,
};
