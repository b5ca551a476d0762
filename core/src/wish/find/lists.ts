import { Laid, lookOf } from '../look';
import { WishList } from '../wish';
import { lookNamed } from '../cardClass';
import { laidOf } from '../checkWish';
import { cardsOn } from './cardsOn';
import { compile, onceEach } from './compile';
import { Faces, facesOf } from './faces';
import { bit } from './bits';
import { Term } from './term';
import { count } from './terms/count';

/** A wish list made ready for the search. */
export interface Compiled {
  readonly cards: Laid;
  readonly faces: Faces;
  /** By wish: its terms. */
  readonly terms: readonly (readonly Term[])[];
  /** By place: the face at the start, -1 where any will do; undefined without a start. */
  readonly start: Int16Array | undefined;
  /** By place: the face in the order in which the pack is written. */
  readonly written: Int16Array;
  /** The cards of a laying. */
  cardsOf(at: ArrayLike<number>): Laid;
}

export const compileList = (list: WishList): Compiled => {
  const cards = laidOf(list.pack);
  const faces = facesOf(cards);
  const start =
    list.start && Int16Array.from(list.start, (card) => (card === null ? -1 : faces.byLook[lookNamed(card)]));
  return {
    cards,
    faces,
    terms: list.wishes.map((wish) => compile(wish, faces, cards)),
    start,
    written: Int16Array.from(cards, (card) => faces.byLook[lookOf(card)]),
    cardsOf: cardsOn(faces, cards),
  };
};

/** The terms of some wishes of a list. */
export const termsOf = ({ terms }: Compiled, wishes: Iterable<number>): readonly Term[] =>
  onceEach([...wishes].flatMap((index) => terms[index]));

/** At most so many places look different from the start. */
export const nearStart = ({ start }: Compiled, most: number): Term => {
  const told = [...(start ?? [])].flatMap((face, place) => (face < 0 ? [] : [[place, bit(face)] as const]));
  return count(told, told.length - most, told.length);
};

/** How many places look different from the start. */
export const changesIn = ({ start }: Compiled, at: ArrayLike<number>): number =>
  start ? start.reduce((sum, face, place) => sum + Number(face >= 0 && at[place] !== face), 0) : 0;
