import { Bank } from '../../arrange/bank';
import { Card } from '../../deck/card';
import { showCard } from '../../deck/notation';
import { Order, placeOf } from '../../deck/order';
import { Rng } from '../../deck/rng';
import { riffleDistance } from '../../moves/riffleDistance';
import { Reckoned, reckoned, unreckoned } from '../reckoning';

/** The next card of a bank in front of a key card, going up from it; undefined where there is none. */
export const bankCardBefore = (now: Order, bank: readonly Card[], key: Card): Card | undefined => {
  const place = placeOf(now, key);
  if (place === undefined) return undefined;
  for (let index = place - 2; index >= 0; index--) if (bank.includes(now[index])) return now[index];
  return undefined;
};

/** A share found by trying: how often it was so, and between what it lies 19 times in 20 (Wilson's interval). */
export interface Estimate {
  readonly share: number;
  readonly low: number;
  readonly high: number;
  readonly tries: number;
}

/** Wilson's interval for a share, at 95 % (E. B. Wilson, 1927). */
export const estimate = (hits: number, tries: number): Estimate => {
  if (tries === 0) return { share: 0, low: 0, high: 1, tries };
  const z = 1.959964;
  const share = hits / tries;
  const middle = (share + (z * z) / (2 * tries)) / (1 + (z * z) / tries);
  const half =
    (z / (1 + (z * z) / tries)) * Math.sqrt((share * (1 - share)) / tries + (z * z) / (4 * tries * tries));
  return { share, low: Math.max(0, middle - half), high: Math.min(1, middle + half), tries };
};

/** One riffle (Gilbert–Shannon–Reeds) from one array into another, by a cut and a bit for each card. */
const riffleInto = (after: Uint8Array, before: Uint8Array, rng: Rng): void => {
  const size = before.length;
  let upper = 0;
  for (let index = 0; index < size; index++) if (rng() < 0.5) upper++;
  let [left, right] = [0, upper];
  for (let index = 0; index < size; index++) {
    const [inLeft, inRight] = [upper - left, size - right];
    after[index] = rng() * (inLeft + inRight) < inLeft ? before[left++] : before[right++];
  }
};

/** How often the next bank card in front of the key is still the one it was, after so many riffles. */
export interface KeyCardCounter {
  /** Tries so many packs more. */
  run(packs: number): void;
  /** After one riffle, two, three, …, in that order. */
  read(): Estimate[];
}

/**
 * Riffles packs and looks whether the next bank card in front of the key is still the same.
 *
 * @param riffles up to how many.
 * @returns undefined where there is no such card to begin with.
 */
export const keyCardCounter = (
  now: Order,
  bank: readonly Card[],
  key: Card,
  riffles: number,
  rng: Rng,
): KeyCardCounter | undefined => {
  const first = bankCardBefore(now, bank, key);
  if (first === undefined) return undefined;
  const inBank = new Uint8Array(128);
  for (const card of bank) inBank[card] = 1;
  const home = Uint8Array.from(now);
  let [pack, other] = [home.slice(), home.slice()];
  const hits = new Float64Array(riffles);
  let tries = 0;
  const still = (): boolean => {
    let last = -1;
    for (const card of pack) {
      if (card === key) return last === first;
      if (inBank[card] === 1) last = card;
    }
    return false;
  };
  return {
    run: (packs) => {
      for (let count = 0; count < packs; count++) {
        pack.set(home);
        for (let riffle = 0; riffle < riffles; riffle++) {
          riffleInto(other, pack, rng);
          [pack, other] = [other, pack];
          if (still()) hits[riffle]++;
        }
        tries++;
      }
    },
    read: () => Array.from(hits, (count) => estimate(count, tries)),
  };
};

const percent = (share: number): string => (share * 100).toFixed(1);

/**
 * A key card under riffles: the next bank card in front of it leads to the selection.
 *
 * @param estimates how often that is so after one riffle, two, …; as far as it has been tried.
 */
export const reckonKeyCard = (
  now: Order,
  bank: Bank,
  key: Card,
  riffles: number,
  estimates: readonly Estimate[],
): Reckoned => {
  const place = placeOf(now, key);
  if (place === undefined)
    return unreckoned(`${showCard(key)} is not in this pack.`, 'Name another key card.');
  const card = bankCardBefore(now, bank.cards, key);
  if (card === undefined)
    return unreckoned(
      `No bank card lies in front of ${showCard(key)}.`,
      'Name a key card that lies in the bank or behind it.',
    );
  const sure = estimates.at(riffles - 1);
  return reckoned({
    answer: `The next bank card in front of ${showCard(key)} is ${showCard(card)}`,
    notes: sure
      ? [
          `After ${riffles} ${riffles === 1 ? 'riffle' : 'riffles'} that is still so ${percent(sure.share)} times in 100 ` +
            `(${percent(sure.low)} to ${percent(sure.high)}, ${sure.tries.toLocaleString('en')} packs).`,
        ]
      : ['Riffling packs …'],
    known: [
      { words: 'Key', card: key },
      { words: 'In front of it', card },
      ...estimates.map(({ share, low, high }, index) => ({
        words: `After ${index + 1} ${index === 0 ? 'riffle' : 'riffles'}`,
        value: `${percent(share)} % (${percent(low)}–${percent(high)})`,
      })),
      { words: 'Distance from shuffled', value: riffleDistance(now.length, riffles).toFixed(3) },
    ],
    marks: [
      ...bank.cards.flatMap((each) => {
        const at = placeOf(now, each);
        return at === undefined ? [] : [{ place: at, mark: 'bank' as const }];
      }),
      { place, mark: 'seen' },
      { place: placeOf(now, card) ?? 1, mark: 'wanted' },
    ],
  });
};
