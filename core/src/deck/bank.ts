import { Card, LARGEST_PACK } from './card';
import { Order } from './order';
import { Outcome } from './problem';
import { cardList, eachOnce, FLAG, listOf, optional, Part, readBy, shape, ShapeOf, whole } from './shape';

/** Cards in a known arrangement between indifferent ones. It keeps its rule: where it lies and what is in it. */
export interface Bank {
  readonly cards: readonly Card[];
  /** The places of the bank's cards, from 1, in the order of `cards`. */
  readonly places: readonly number[];
  /** Whether neighbours of the same rank are a group whose cards may lie in any order. */
  readonly loose?: boolean;
}

/** Where a bank lies: behind so many cards, at the face, around the middle, or one card at every k-th place. */
export type BankPosition =
  | { readonly kind: 'behind'; readonly count: number }
  | { readonly kind: 'at the face' }
  | { readonly kind: 'around the middle' }
  | { readonly kind: 'every'; readonly step: number; readonly first: number };

/**
 * The bank laid into a pack.
 *
 * @param size cards in the whole pack.
 * @returns where its cards lie, or why there is no room.
 */
export const layBank = (
  cards: readonly Card[],
  position: BankPosition,
  size: number,
): Outcome<{ bank: Bank }> => {
  const placeAt = (index: number): number =>
    position.kind === 'behind'
      ? position.count + index + 1
      : position.kind === 'at the face'
        ? size - cards.length + index + 1
        : position.kind === 'around the middle'
          ? Math.floor((size - cards.length) / 2) + index + 1
          : position.first + index * position.step;
  const places = cards.map((_, index) => placeAt(index));
  const doubled = cards.some((card, index) => cards.indexOf(card) !== index);
  const last = places.length === 0 ? 0 : places[places.length - 1];
  if (position.kind === 'every' && !(Number.isInteger(position.step) && position.step >= 1))
    return refuse(
      `One card every ${position.step} is not possible.`,
      'Lay a card at every second place, or every third …',
    );
  if (cards.length === 0) return refuse('The bank is empty.', 'Name its cards, top first.');
  if (doubled) return refuse('A card is in the bank twice.', 'Name each card once.');
  if (places[0] < 1 || last > size)
    return refuse(
      `The bank would reach from ${places[0]} to ${last} in ${size} cards.`,
      'Begin higher or take fewer cards.',
    );
  return { ok: true, bank: { cards, places } };
};

const refuse = (what: string, remedy: string): Outcome<{ bank: Bank }> => ({
  ok: false,
  problems: [{ what, remedy }],
});

/** A pack with the bank's cards at their places and free slots elsewhere: indifferent cards. */
export const freeSlots = ({ cards, places }: Bank, size: number): (Card | undefined)[] => {
  const slots = new Array<Card | undefined>(size).fill(undefined);
  places.forEach((place, index) => (slots[place - 1] = cards[index]));
  return slots;
};

export const fillSlots = (slots: readonly (Card | undefined)[], pack: Order): Order => {
  const named = new Set(slots);
  const rest = pack.filter((card) => !named.has(card))[Symbol.iterator]();
  return slots.flatMap((card) => card ?? rest.next().value ?? []);
};

/**
 * A bank behind `count` cards on which the next two ranks give the number cut, for every cut from `count` to
 * `count + length − 2`: r(c + 1) + r(c + 2) = c makes every other rank go up by one, from any first rank.
 * The two rows of ranks take two suits each, so that no card comes twice.
 *
 * @param firstRank 1 to 13.
 * @returns the bank's cards, or undefined when a rank would fall outside ace to king.
 */
export const countingRun = (count: number, length: number, firstRank: number): Card[] | undefined => {
  const ranks = Array.from({ length }, (_, index) =>
    index % 2 === 0 ? firstRank + index / 2 : count - firstRank + (index - 1) / 2,
  );
  if (ranks.some((rank) => rank < 1 || rank > 13)) return undefined;
  return ranks.map((rank, index) => [2, 3, 1, 0][index % 4] * 13 + rank - 1);
};

const PLACES: Part = (value, fields) => {
  const count = Array.isArray(fields['cards']) ? fields['cards'].length : 0;
  return eachOnce(listOf(whole(1, LARGEST_PACK), count, count))(value, fields);
};

const SHAPE: ShapeOf<Bank> = { cards: cardList(1), places: PLACES, loose: optional(FLAG) };

/** A bank that is stored or stands in a file. */
export const BANK: Part = shape(SHAPE);

export const parseBank = (value: unknown): Outcome<{ readonly bank: Bank }> => readBy('bank', BANK, value);
