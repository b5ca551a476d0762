import { Card } from '../../deck/card';
import { showCard } from '../../deck/notation';
import { Order, placeOf } from '../../deck/order';
import { offsetOf } from '../offset';
import { Reckoned, reckoned, unreckoned } from '../reckoning';

/** A card that may have been moved, and how likely it is the one. */
export interface Suspect {
  readonly card: Card;
  /** From 0 to 1; all suspects together have 1. */
  readonly chance: number;
}

/** The logarithm of C(2^k + N − r, N), which an order with r rising sequences has in common with 2^(kN). */
const logWays = (piles: number, size: number, rising: number): number => {
  if (rising > piles) return Number.NEGATIVE_INFINITY;
  let log = 0;
  for (let index = 1; index <= size; index++) log += Math.log((piles - rising + index) / index);
  return log;
};

/**
 * For each number of rising sequences, in how many of the ways to begin the home order and to cut the pack the
 * cards stand so: `counts[r]`.
 *
 * @param places for each card of the home order, in turn, its index in the pack.
 */
const risingCounts = (places: readonly number[], cut: boolean): number[] => {
  const size = places.length;
  const counts = new Array<number>(size + 2).fill(0);
  for (let rotation = 0; rotation < (cut ? size : 1); rotation++) {
    const at = (index: number): number => (places[index % size] - rotation + size) % size;
    let falls = 0;
    for (let index = 0; index < size; index++) if (at(index + 1) < at(index)) falls++;
    // The home order may have been cut before, too: each beginning leaves one pair of neighbours out.
    for (let begin = 0; begin < (cut ? size : 1); begin++)
      counts[1 + falls - (at(begin) < at(begin + size - 1) ? 1 : 0)]++;
  }
  return counts;
};

/** Where each remaining card of the home order, in turn, stands among the remaining cards of the pack. */
const placesWithout = (home: Order, now: Order, card: Card): number[] => {
  const gone = now.indexOf(card);
  const places = new Map(now.map((each, index) => [each, index > gone ? index - 1 : index]));
  return home.filter((each) => each !== card).map((each) => places.get(each) ?? 0);
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
  const ways = Array.from({ length: piles + 1 }, (_, rising) => logWays(piles, size, rising));
  const most = logWays(piles, size, 1);
  const weights = home.map((card) => {
    const counts = risingCounts(placesWithout(home, now, card), cut);
    let weight = 0;
    for (let rising = 1; rising <= piles; rising++) weight += counts[rising] * Math.exp(ways[rising] - most);
    return { card, weight };
  });
  const total = weights.reduce((sum, { weight }) => sum + weight, 0);
  if (total === 0) return [];
  return weights
    .map(({ card, weight }) => ({ card, chance: weight / total }))
    .filter(({ chance }) => chance > 0)
    .sort((a, b) => b.chance - a.chance);
};

const percent = (chance: number): string => `${(chance * 100).toFixed(chance < 0.1 ? 1 : 0)} %`;

/** The order holds all the way round: it was cut at most, or its end card went to the other end. */
const reckonNothingMoved = (home: Order, told: Order, offset: number): Reckoned => {
  const size = home.length;
  const ended = offset === 1 ? home[0] : offset === size - 1 ? home[size - 1] : undefined;
  return reckoned({
    answer:
      offset === 0
        ? 'No card was moved: the pack is in order'
        : `No card was moved: the pack is turned by ${offset}`,
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
    known: [{ words: 'Turned by', value: offset }],
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
