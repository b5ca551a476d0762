import { lookNamed } from '../cardClass';
import { lookIn, showAt } from '../cases';
import { lies, onPlaces } from '../find/sites';
import { composed } from '../find/terms/composed';
import { never } from '../find/terms/single';
import { WishKind, wrong } from '../kind';
import { rankAt, showLook, suitAt } from '../look';
import { CARD_SLOT, maybe, PLACE } from '../slots';

/** The card with the rank of one card and the suit of another lies at a place, or is a certain one. */
export const CARD_MADE_OF_TWO: WishKind<'card made of two'> = {
  begins: 'a card made of two',
  says: () => 'The rank at {rankFrom} with the suit at {suitFrom} make[ the card at {at}][ {is}]',
  fields: { rankFrom: PLACE, suitFrom: PLACE, at: maybe(PLACE), is: maybe(CARD_SLOT) },
  begin: { kind: 'card made of two', rankFrom: 1, suitFrom: 2, at: 14 },
  whyNot: ({ at, is }) =>
    (at === undefined) === (is === undefined)
      ? wrong('Which card is made is not clear.', 'Say the place at which it lies, or which card it is.')
      : undefined,
  cases: (laid, { rankFrom, suitFrom, at, is }) => {
    const [ranked, suited] = [lookIn(laid, rankFrom - 1), lookIn(laid, suitFrom - 1)];
    const wanted = at === undefined ? lookNamed(is ?? '') : lookIn(laid, at - 1);
    const [rank, suit] = [
      ranked === undefined ? 0 : rankAt(ranked),
      suited === undefined ? -1 : suitAt(suited),
    ];
    const made = rank > 0 && suit >= 0 ? suit * 13 + rank - 1 : undefined;
    return [
      {
        ok: made !== undefined && made === wanted,
        says: `${showAt(laid, [rankFrom - 1, suitFrom - 1])} make ${made === undefined ? 'no card' : showLook(made)}`,
        places: [rankFrom, suitFrom, ...(at === undefined ? [] : [at])],
      },
    ];
  },
  terms: ({ rankFrom, suitFrom, at, is }, site) => {
    if (at !== undefined)
      return [
        onPlaces(site, [rankFrom - 1, suitFrom - 1, at - 1], ([a, b, c]) => composed(site.faces, a, b, c)),
      ];
    const card = lookNamed(is ?? '');
    if (card < 0 || rankAt(card) === 0) return [never('No two cards make that one.')];
    return [
      lies(site, rankFrom - 1, (look) => rankAt(look) === rankAt(card)),
      lies(site, suitFrom - 1, (look) => suitAt(look) === suitAt(card)),
    ];
  },
};
