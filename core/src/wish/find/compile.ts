import { Laid } from '../look';
import { Wish } from '../wish';
import { kindOfWish } from '../wishes';
import { Faces } from './faces';
import { Site, Term } from './term';

const inside = (wish: Wish, site: Site): readonly Term[] => kindOfWish(wish).terms(wish, site, inside);

/** What a wish demands of the places of a pack. */
export const compile = (wish: Wish, faces: Faces, cards: Laid): readonly Term[] =>
  onceEach(inside(wish, { faces, cards, view: cards.map((_, index) => index), cut: 0 }));

/** Terms that come twice are one. */
export const onceEach = (terms: readonly Term[]): readonly Term[] => [
  ...new Map(terms.map((term) => [term.key, term])).values(),
];
