import { lookNamed } from '../cardClass';
import { caseAt } from '../cases';
import { lies } from '../find/sites';
import { WishKind, wrong } from '../kind';
import { CARDS, PLACE_LIST } from '../slots';

/** Each card lies at its place. */
export const CARDS_AT: WishKind<'cards at'> = {
  begins: 'cards lie at',
  says: ({ cards }) => cards.map((_, index) => `{cards.${index}} at {places.${index}}`).join(', '),
  fields: { cards: CARDS, places: PLACE_LIST },
  begin: { kind: 'cards at', cards: ['AS'], places: [1] },
  whyNot: ({ cards, places }) =>
    cards.length === places.length
      ? undefined
      : wrong(`There are ${cards.length} cards and ${places.length} places.`, 'Name a place for each card.'),
  cases: (laid, { cards, places }) =>
    cards.map((card, index) => caseAt(laid, [places[index] - 1], ([look]) => look === lookNamed(card))),
  terms: ({ cards, places }, site) =>
    cards.map((card, index) => lies(site, places[index] - 1, (look) => look === lookNamed(card))),
};
