import { Card } from '../../deck/card';
import { showCard } from '../../deck/notation';
import { Order, placeOf } from '../../deck/order';
import { offsetOf } from '../../deck/offset';
import { sayShare } from '../../odds/sayShare';
import { Reckoned, reckoned, unreckoned } from '../reckoning';

/** A card that may have been moved, and how likely it is the one. */
export interface Suspect {
  readonly card: Card;
  /** From 0 to 1; all suspects together have 1. */
  readonly chance: number;
}

/** Card numbers are below this. */
const CARDS = 128;

/** The logarithm of C(2^k + N − r, N), which an order with r rising sequences has in common with 2^(kN). */
const logWays = (piles: number, size: number, rising: number): number => {
  if (rising > piles) return Number.NEGATIVE_INFINITY;
  let log = 0;
  for (let index = 1; index <= size; index++) log += Math.log((piles - rising + index) / index);
  return log;
};

/**
 * How often the pack falls back as one goes round the home order, if a card is taken from both: the pairs of
 * neighbours of the home order whose second lies before the first. A cut of either does not change it, since the
 * card that goes round the end of the pack loses one fall and wins another.
 *
 * @param places for each card of the home order, in turn, its index in the pack. @param all the falls with the card.
 * @param index the card's in the home order.
 */
const fallsWithout = (places: Uint8Array, all: number, index: number): number => {
  const size = places.length;
  const before = places[index === 0 ? size - 1 : index - 1];
  const after = places[index === size - 1 ? 0 : index + 1];
  const at = places[index];
  return all - (at < before ? 1 : 0) - (after < at ? 1 : 0) + (after < before ? 1 : 0);
};

/** Whether the last card of the home order lies behind the first, if a card is taken from both. */
const fallsAtEnd = (places: Uint8Array, index: number): boolean => {
  const last = places.length - 1;
  return places[index === 0 ? 1 : 0] < places[index === last ? last - 1 : last];
};

/**
 * A pack in home order was riffled, perhaps cut before and after, and then one card was moved to another place:
 * how likely is each card the one? Without that card the rest has been riffled only, and by the
 * Gilbert–Shannon–Reeds model an order of n cards with r rising sequences comes with the chance
 * C(2^k + n − r, n) / 2^(kn) after k riffles (Bayer and Diaconis, 1992); each card is as likely beforehand.
 *
 * @param now the pack as it lies: the cards of `home`. @param riffles 0 to 3. @param cut whether it was cut.
 * @returns the likeliest first; nothing when the cards differ from the home order's, or no card alone explains it.
 */
export const movedCards = (home: Order, now: Order, riffles: number, cut: boolean): Suspect[] => {
  if (home.length !== now.length || home.some((card) => !now.includes(card))) return [];
  const [piles, size] = [2 ** riffles, home.length - 1];
  const ways = Array.from({ length: piles + 1 }, (_, rising) =>
    Math.exp(logWays(piles, size, rising) - logWays(piles, size, 1)),
  );
  const way = (rising: number): number => (rising < 1 || rising > piles ? 0 : ways[rising]);
  const indices = new Uint8Array(CARDS);
  now.forEach((card, index) => (indices[card] = index));
  const places = Uint8Array.from(home, (card) => indices[card]);
  let all = 0;
  for (let index = 0; index <= size; index++)
    if (places[index === size ? 0 : index + 1] < places[index]) all++;
  const weights = home.map((card, index) => {
    const falls = fallsWithout(places, all, index);
    // Each beginning of the home order leaves one pair of neighbours out: a fall, or none. Every cut of the pack
    // is alike.
    const weight = cut
      ? falls * way(falls) + (size - falls) * way(falls + 1)
      : way(1 + falls - (fallsAtEnd(places, index) ? 1 : 0));
    return { card, weight };
  });
  const total = weights.reduce((sum, { weight }) => sum + weight, 0);
  if (total === 0) return [];
  return weights
    .map(({ card, weight }) => ({ card, chance: weight / total }))
    .filter(({ chance }) => chance > 0)
    .sort((a, b) => b.chance - a.chance);
};

const percent = (chance: number): string => sayShare(chance, chance < 0.1 ? 1 : 0);

/** The order holds all the way round: it was cut at most, or its end card went to the other end. */
const reckonNothingMoved = (home: Order, told: Order, offset: number): Reckoned => {
  const size = home.length;
  const ended = offset === 1 ? home[0] : offset === size - 1 ? home[size - 1] : undefined;
  return reckoned({
    answer:
      offset === 0
        ? 'No card was moved: the pack is in order'
        : `No card was moved: the pack is cut at ${offset}`,
    notes: [
      offset === 0
        ? 'A card that was put back where it came from leaves no trace.'
        : `${showCard(told[size - 1])} is at the face: cut ${showCard(home[size - 1])} there to have the order from its top.`,
      ...(ended === undefined
        ? []
        : [
            `Or ${showCard(ended)} alone went ${offset === 1 ? 'from the top to the face' : 'from the face to the top'}: it looks the same.`,
          ]),
    ],
    known: [{ words: 'Cut at', value: offset }],
  });
};

/** The likeliest moved cards of a pack that was entered card by card. */
export const reckonMovedCard = (home: Order, told: Order, riffles: number, cut: boolean): Reckoned => {
  const missing = home.filter((card) => !told.includes(card));
  if (missing.length > 0)
    return unreckoned(
      `${told.length} of ${home.length} cards are told.`,
      missing.length <= 4
        ? `Still to come: ${missing.map(showCard).join(' ')}.`
        : 'Turn the cards over from the top and enter each.',
    );
  const offset = offsetOf(home, told);
  if (offset !== undefined) return reckonNothingMoved(home, told, offset);
  const suspects = movedCards(home, told, riffles, cut);
  if (suspects.length === 0)
    return unreckoned(
      `No single moved card explains this order after ${riffles} ${riffles === 1 ? 'riffle' : 'riffles'}.`,
      cut ? 'Allow one riffle more.' : 'Allow a cut, or one riffle more.',
    );
  const [first] = suspects;
  return reckoned({
    answer: `${showCard(first.card)} was moved, ${percent(first.chance)} likely`,
    notes: [
      suspects.length === 1
        ? 'No other card explains it.'
        : `Then ${suspects
            .slice(1, 4)
            .map(({ card, chance }) => `${showCard(card)} ${percent(chance)}`)
            .join(', ')}.`,
    ],
    known: suspects.slice(0, 8).map(({ card, chance }) => ({
      words: `${showCard(card)} at ${placeOf(told, card) ?? 0}`,
      value: percent(chance),
    })),
  });
};
