import { someOf } from '../find/terms/someOf';
import { WishKind, wrong } from '../kind';
import { maybe, number } from '../slots';
import { INNER } from './atCuts';

/** At least so many of some wishes hold. */
export const SOME_OF: WishKind<'some of'> = {
  begins: 'one of several',
  says: ({ least = 1 }) => `At least {least} of these ${least === 1 ? 'holds' : 'hold'}: {wishes}`,
  fields: { wishes: INNER, least: maybe(number(1, 99)) },
  begin: {
    kind: 'some of',
    wishes: [
      { kind: 'cards at', cards: ['AS'], places: [1] },
      { kind: 'cards at', cards: ['AS'], places: [52] },
    ],
  },
  whyNot: ({ wishes, least = 1 }) =>
    least > wishes.length
      ? wrong(
          `There are ${wishes.length} wishes, and at least ${least} should hold.`,
          'Ask for fewer, or add wishes.',
        )
      : undefined,
  cases: (laid, { wishes, least = 1 }, { judge, cut }) => {
    const each = wishes.map((wish) => judge(laid, wish, cut).filter(({ ok }) => !ok));
    const held = each.filter((bad) => bad.length === 0).length;
    const worst = each.find((bad) => bad.length > 0)?.at(0);
    return [
      {
        ok: held >= least,
        says: `${held} of ${wishes.length} hold`,
        places: held >= least ? [] : (worst?.places ?? []),
      },
    ];
  },
  terms: ({ wishes, least = 1 }, site, inside) => [
    someOf(
      wishes.map((wish) => inside(wish, site)),
      least,
    ),
  ],
};
