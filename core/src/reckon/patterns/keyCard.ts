import { Bank } from '../../deck/bank';
import { Card } from '../../deck/card';
import { showCard } from '../../deck/notation';
import { Order, placeOf } from '../../deck/order';
import { Rng, seededRng } from '../../deck/rng';
import { JobRule } from '../../job/job';
import { riffleDistance } from '../../odds/riffleDistance';
import { cards } from '../../moves/wording';
import { KnownFact, Reckoned, reckoned, unreckoned } from '../reckoning';
import { bankInPack } from './bankInPack';
import { cutChances } from '../../odds/cutChances';
import { Estimate, estimate } from '../../odds/interval';
import { cardField, num, numberField, setupField } from '../../form/fields';
import { bankOf, ofBank, Pattern } from './pattern';

/** The next card of a bank in front of a key card, going up from it; undefined where there is none. */
export const bankCardBefore = (now: Order, bank: readonly Card[], key: Card): Card | undefined => {
  const place = placeOf(now, key);
  if (place === undefined) return undefined;
  for (let index = place - 2; index >= 0; index--) if (bank.includes(now[index])) return now[index];
  return undefined;
};

/**
 * One riffle (Gilbert–Shannon–Reeds) from one array into another: each place draws a bit that says from which packet
 * its card comes, and the upper packet has as many cards as there are such bits. 32 bits are drawn at once.
 */
const riffleInto = (after: Uint8Array, before: Uint8Array, bits: Uint32Array, rng: Rng): void => {
  const size = before.length;
  let upper = 0;
  for (let word = 0; word < bits.length; word++) {
    const left = size - 32 * word;
    let drawn = (rng() * 0x1_0000_0000) >>> 0;
    if (left < 32) drawn &= (2 ** left - 1) >>> 0;
    bits[word] = drawn;
    upper += ones(drawn);
  }
  let [top, bottom] = [0, upper];
  for (let index = 0; index < size; index++) {
    // Without a branch, which would be guessed wrongly every other time.
    const fromTop = (bits[index >> 5] >>> (index & 31)) & 1;
    after[index] = before[bottom ^ ((top ^ bottom) & -fromTop)];
    top += fromTop;
    bottom += 1 - fromTop;
  }
};

/** How many bits of a 32-bit number are set. */
const ones = (bits: number): number => {
  let sum = bits - ((bits >>> 1) & 0x55555555);
  sum = (sum & 0x33333333) + ((sum >>> 2) & 0x33333333);
  return Math.imul((sum + (sum >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24;
};

/** How often the next bank card in front of the key is still the one it was, after so many riffles. */
export interface KeyCardCounter {
  /** Tries so many packs more. */
  run(packs: number): void;
  /** After one riffle, two, three, …, in that order. */
  read(): Estimate[];
  hits(): KeyCardHits;
}

/** Of so many tries, how often the card was still the one it was after one riffle, two, …. */
export interface KeyCardHits {
  readonly tries: number;
  readonly hits: readonly number[];
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
  const bits = new Uint32Array(Math.ceil(home.length / 32));
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
          riffleInto(other, pack, bits, rng);
          [pack, other] = [other, pack];
          if (still()) hits[riffle]++;
        }
        tries++;
      }
    },
    read: () => estimatesOf({ hits: [...hits], tries }),
    hits: () => ({ hits: [...hits], tries }),
  };
};

/** The share of each, and how sure it is. */
export const estimatesOf = ({ hits, tries }: KeyCardHits): Estimate[] =>
  hits.map((count) => estimate(count, tries));

/** How many parts the tries are done in, how many packs between two steps, and how far the parts' seeds lie apart. */
const [PARTS, SLICE, APART] = [4, 2000, 7919];

const joinHits = <Value extends KeyCardHits | undefined>(values: readonly Value[]): Value => {
  const told = values.flatMap((value) => value ?? []) as readonly KeyCardHits[];
  const sum = told
    .slice(1)
    .reduce<KeyCardHits | undefined>(
      (all, { hits, tries }) =>
        all && { tries: all.tries + tries, hits: all.hits.map((count, index) => count + hits[index]) },
      told.at(0),
    );
  return sum as Value;
};

/** Tries a key card on so many packs, each part from a seed of its own; yields what has been found so far. */
export const KEY_CARD: JobRule<
  {
    readonly now: Order;
    readonly bank: readonly Card[];
    readonly key: Card;
    readonly riffles: number;
    readonly packs: number;
    readonly seed: number;
  },
  KeyCardHits,
  KeyCardHits | undefined
> = {
  *start({ now, bank, key, riffles, packs, seed }) {
    const counter = keyCardCounter(now, bank, key, riffles, seededRng(seed));
    for (let done = 0; counter && done < packs; done += SLICE) {
      counter.run(Math.min(SLICE, packs - done));
      yield counter.hits();
    }
    return counter?.hits();
  },
  parts: {
    split: (args) =>
      Array.from({ length: PARTS }, (_, part) => ({
        ...args,
        packs: Math.floor((args.packs + part) / PARTS),
        seed: args.seed + part * APART,
      })),
    join: joinHits,
  },
};

const percent = (share: number): string => (share * 100).toFixed(1);

/**
 * How likely a stop falls outside a bank that lies together, for each number of cards in front of it.
 *
 * @param size cards in the pack. @param length cards in the bank. @param spread of the stops about the middle, in cards.
 * @returns by cards in front, from 0 to N − length.
 */
export const stopsOutside = (size: number, length: number, spread: number): number[] => {
  const chances = cutChances(size, spread);
  return Array.from({ length: Math.max(0, size - length + 1) }, (_, front) => {
    // The card stopped at is the last of those that were passed: at places front + 1 to front + length it is the bank's.
    const inside = chances.slice(front + 1, front + length + 1).reduce((sum, chance) => sum + chance, 0);
    return Math.max(0, 1 - inside);
  });
};

/** What a stop may do that misses the bank: as the bank lies now, and where it would lie best. */
const outsideFacts = (now: Order, bank: Bank, spread: number): { known: KnownFact[]; notes: string[] } => {
  const lies = bankInPack(now, bank);
  if (!lies || lies.wraps) return { known: [], notes: [] };
  const outside = stopsOutside(now.length, lies.cards.length, spread);
  const front = lies.from - 1;
  const best = outside.indexOf(Math.min(...outside));
  return {
    known: [
      { words: 'In front of the bank', value: front },
      { words: 'Stop outside the bank', value: `${percent(outside[front])} %` },
    ],
    notes: [
      `Stops spread by ${spread} about the middle miss the bank ${percent(outside[front])} times in 100` +
        (outside[front] - outside[best] < 0.0005
          ? '.'
          : `; with ${cards(best)} in front of it ${percent(outside[best])} times.`),
    ],
  };
};

/**
 * A key card under riffles: the next bank card in front of it leads to the selection.
 *
 * @param estimates how often that is so after one riffle, two, …; as far as it has been tried.
 * @param spread how widely stops spread about the middle of the pack: a standard deviation in cards.
 */
export const reckonKeyCard = (
  now: Order,
  bank: Bank,
  key: Card,
  riffles: number,
  estimates: readonly Estimate[],
  spread = now.length / 8,
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
  const outside = outsideFacts(now, bank, spread);
  return reckoned({
    answer: `The next bank card in front of ${showCard(key)} is ${showCard(card)}`,
    notes: (sure
      ? [
          `After ${riffles} ${riffles === 1 ? 'riffle' : 'riffles'} that is still so ${percent(sure.share)} times in 100 ` +
            `(${percent(sure.low)} to ${percent(sure.high)}, ${sure.tries.toLocaleString('en')} packs).`,
        ]
      : ['Riffling packs …']
    ).concat(outside.notes),
    known: [
      { words: 'Key', card: key },
      { words: 'In front of it', card },
      ...estimates.map(({ share, low, high }, index) => ({
        words: `After ${index + 1} ${index === 0 ? 'riffle' : 'riffles'}`,
        value: `${percent(share)} % (${percent(low)}–${percent(high)})`,
      })),
      ...outside.known,
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

/** How it is asked. */
export const KEY_CARD_PATTERN: Pattern = {
  path: 'key-card',
  lead: 'The next bank card in front of the key leads to the selection. How sure is that?',
  fields: [
    cardField('key', 'The key card', 'Which is the key card?'),
    numberField('riffles', 'Riffles', 'How many riffles?', { start: 1, most: 5 }),
    setupField('spread', 'Stops spread about the middle by', 6),
  ],
  example: (pack) => ({ key: ofBank(pack) }),
  needsBank: true,
  reckon: (values, pack) =>
    reckonKeyCard(
      pack.now,
      bankOf(pack),
      num(values, 'key'),
      num(values, 'riffles'),
      pack.estimates,
      num(values, 'spread'),
    ),
};
