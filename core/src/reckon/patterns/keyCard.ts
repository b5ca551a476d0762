import { countOf } from '../../deck/countOf';
import { Bank } from '../../deck/bank';
import { Card } from '../../deck/card';
import { showCard } from '../../deck/notation';
import { Order, placeOf } from '../../deck/order';
import { Rng, seededRng } from '../../deck/rng';
import { JobRule } from '../../job/job';
import { riffleDistance } from '../../odds/riffleDistance';
import { countOfCards } from '../../moves/wording';
import { KnownFact, Reckoned, reckoned, unreckoned } from '../reckoning';
import { bankInPack } from './bankInPack';
import { cutChances, drawFrom } from '../../odds/cutChances';
import { Estimate, estimate } from '../../odds/interval';
import { sayInterval, sayShare, sayTimesIn100 } from '../../odds/sayShare';
import { Values } from '../../form/field';
import { cardField, num, numberField, setupField } from '../../form/fields';
import { bankOf, ofBank, Pattern } from './pattern';

/** On which side of the key their card lies: towards the face of the pack, or towards its top. */
export type Side = 'below' | 'above';

/** The next card of a bank on one side of a key card; undefined where there is none, or no key. */
export const nextBankCard = (now: Order, bank: readonly Card[], key: Card, side: Side): Card | undefined => {
  const place = placeOf(now, key);
  if (place === undefined) return undefined;
  const beside = side === 'below' ? now.slice(place) : now.slice(0, place - 1).reverse();
  return beside.find((card) => bank.includes(card));
};

/** How a helper stops who deals cards singly: after about so many, within so many. */
export interface DealtStop {
  readonly about: number;
  readonly within: number;
}

/**
 * The pack after cards were dealt singly, the card then on top was looked at, and the dealt cards were dropped on it: the
 * card dealt first lies right on it.
 */
const dealtBack = (home: Uint8Array, count: number, into: Uint8Array): void => {
  for (let index = 0; index < count; index++) into[index] = home[count - 1 - index];
  for (let index = count; index < home.length; index++) into[index] = home[index];
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

/** How often the next bank card beside the key is their card, after so many riffles. */
export interface KeyCardCounter {
  /** Tries so many packs more. */
  run(packs: number): void;
  /** After one riffle, two, three, …, in that order. */
  read(): Estimate[];
  hits(): KeyCardHits;
}

/** Of so many tries, how often it was their card after one riffle, two, …. */
export interface KeyCardHits {
  readonly tries: number;
  readonly hits: readonly number[];
}

export interface KeyCardTry {
  readonly now: Order;
  readonly bank: readonly Card[];
  readonly key: Card;
  readonly side: Side;
  readonly riffles: number;
  /** Set where cards are still to be dealt: their card is the one on top then. Else it is the next to the key now. */
  readonly deal?: DealtStop;
}

/**
 * Deals where that is told, riffles packs, and looks whether the next bank card beside the key is theirs.
 *
 * @returns undefined where no bank card lies on that side of the key to begin with.
 */
export const keyCardCounter = (
  { now, bank, key, side, riffles, deal }: KeyCardTry,
  rng: Rng,
): KeyCardCounter | undefined => {
  const first = nextBankCard(now, bank, key, side);
  if (first === undefined) return undefined;
  const inBank = new Uint8Array(128);
  for (const card of bank) inBank[card] = 1;
  const home = Uint8Array.from(now);
  const bits = new Uint32Array(Math.ceil(home.length / 32));
  const stops = deal && cutChances(home.length, deal.within, deal.about);
  let [pack, other] = [home.slice(), home.slice()];
  const hits = new Float64Array(riffles);
  let tries = 0;
  /** Lays the pack out before the riffles; gives their card. */
  const begin = (): Card => {
    if (!stops) {
      pack.set(home);
      return first;
    }
    const count = drawFrom(stops, rng());
    dealtBack(home, count, pack);
    return home[count];
  };
  const leadsTo = (theirs: Card): boolean => {
    const [from, step] = side === 'below' ? [home.length - 1, -1] : [0, 1];
    let last = -1;
    for (let index = from; index >= 0 && index < home.length; index += step) {
      const card = pack[index];
      if (card === key) return last === theirs;
      if (inBank[card] === 1) last = card;
    }
    return false;
  };
  return {
    run: (packs) => {
      for (let count = 0; count < packs; count++) {
        const theirs = begin();
        for (let riffle = 0; riffle < riffles; riffle++) {
          riffleInto(other, pack, bits, rng);
          [pack, other] = [other, pack];
          if (leadsTo(theirs)) hits[riffle]++;
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
  KeyCardTry & { readonly packs: number; readonly seed: number },
  KeyCardHits,
  KeyCardHits | undefined
> = {
  *start({ packs, seed, ...tried }) {
    const counter = keyCardCounter(tried, seededRng(seed));
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

/**
 * How likely a cut falls outside a bank that lies together, for each number of cards in front of it.
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

/** How likely the card on which a helper stops, who deals singly, is none of the bank: the one on top then. */
export const dealtOutside = (now: Order, bank: readonly Card[], { about, within }: DealtStop): number =>
  cutChances(now.length, within, about).reduce(
    (sum, chance, count) => sum + (bank.includes(now[count]) ? 0 : chance),
    0,
  );

/** Whether the deal that brings their card below the key is still to come: the key lies on top. */
const isToBeDealt = (now: Order, key: Card, side: Side): boolean => side === 'below' && now[0] === key;

/** What a cut may do that misses the bank: as the bank lies now, and where it would lie best. */
const cutFacts = (now: Order, bank: Bank, spread: number): { known: KnownFact[]; notes: string[] } => {
  const lies = bankInPack(now, bank);
  if (!lies || lies.wraps) return { known: [], notes: [] };
  const outside = stopsOutside(now.length, lies.cards.length, spread);
  const front = lies.from - 1;
  const best = outside.indexOf(Math.min(...outside));
  return {
    known: [
      { words: 'Cards above the bank', value: front },
      { words: 'A cut misses the bank', value: sayShare(outside[front]) },
    ],
    notes: [
      `A cut about the middle, within ${spread}, misses the bank ${sayTimesIn100(outside[front])}` +
        (outside[front] - outside[best] < 0.0005
          ? '.'
          : `; with ${countOfCards(best)} above it ${sayTimesIn100(outside[best])}.`),
    ],
  };
};

/** What a stop may do that misses the bank, while cards are dealt singly. */
const dealFacts = (now: Order, bank: Bank, stop: DealtStop): { known: KnownFact[]; notes: string[] } => {
  const outside = dealtOutside(now, bank.cards, stop);
  return {
    known: [{ words: 'A stop misses the bank', value: sayShare(outside) }],
    notes: [
      `Dealt singly and stopped at about ${stop.about}, within ${stop.within}, a stop misses the bank ${sayTimesIn100(outside)}.`,
    ],
  };
};

/** How a key card is used: on which side theirs lies, and how they come to it. */
export interface KeyCardUse {
  readonly side: Side;
  /** How widely cuts spread about the middle of the pack: a standard deviation in cards. */
  readonly spread: number;
  readonly deal: DealtStop;
}

/** As it is usually done: the key, dealt first, lies right on their card. */
const usualUse = (size: number): KeyCardUse => ({
  side: 'below',
  spread: size / 8,
  deal: { about: 9, within: 3 },
});

/** What is tried to know how sure a key card is. */
export const keyCardTry = (
  now: Order,
  bank: Bank,
  key: Card,
  { side, deal }: KeyCardUse,
): Omit<KeyCardTry, 'riffles'> => ({
  ...{ now, bank: bank.cards, key, side },
  ...(isToBeDealt(now, key, side) && { deal }),
});

/**
 * A key card under riffles: the next bank card beside it is theirs. Where the key lies on top of the pack, they are still
 * to deal cards singly onto the table, to look at the next one and to drop the dealt cards on it: no card is named then.
 *
 * @param estimates how often that is so after one riffle, two, …; as far as it has been tried.
 */
export const reckonKeyCard = (
  now: Order,
  bank: Bank,
  key: Card,
  riffles: number,
  estimates: readonly Estimate[],
  use: KeyCardUse = usualUse(now.length),
): Reckoned => {
  const { side } = use;
  const place = placeOf(now, key);
  if (place === undefined)
    return unreckoned(`${showCard(key)} is not in this pack.`, 'Name another key card.');
  const card = nextBankCard(now, bank.cards, key, side);
  if (card === undefined)
    return unreckoned(
      `No bank card lies ${side} ${showCard(key)}.`,
      side === 'below'
        ? 'Name a key card that lies in the bank or above it.'
        : 'Name a key card that lies in the bank or below it.',
    );
  const sure = estimates.at(riffles - 1);
  const toDeal = isToBeDealt(now, key, side);
  const missed = toDeal ? dealFacts(now, bank, use.deal) : cutFacts(now, bank, use.spread);
  const next = `the next bank card ${side} ${showCard(key)}`;
  return reckoned({
    answer: toDeal
      ? `Theirs will be ${next}, towards the face`
      : `T${next.slice(1)}, towards the ${side === 'below' ? 'face' : 'top'}, is ${showCard(card)}`,
    notes: [
      ...(toDeal ? ['They deal singly, stop, look at the next card, and drop the dealt cards on it.'] : []),
      sure
        ? `After ${riffles} ${riffles === 1 ? 'riffle' : 'riffles'} it is theirs ${sayTimesIn100(sure.share)} ` +
          `(${sayInterval(sure.low, sure.high)}, ${countOf(sure.tries, 'pack')}).`
        : 'Riffling packs …',
      ...missed.notes,
    ],
    known: [
      { words: 'Key', card: key },
      ...(toDeal ? [] : [{ words: side === 'below' ? 'Below it' : 'Above it', card }]),
      ...estimates.map(({ share, low, high }, index) => ({
        words: `After ${index + 1} ${index === 0 ? 'riffle' : 'riffles'}`,
        value: `${sayShare(share)} (${sayInterval(low, high)})`,
      })),
      ...missed.known,
      { words: 'Distance from shuffled', value: riffleDistance(now.length, riffles).toFixed(3) },
    ],
    marks: [
      ...bank.cards.flatMap((each) => {
        const at = placeOf(now, each);
        return at === undefined ? [] : [{ place: at, mark: 'bank' as const }];
      }),
      { place, mark: 'seen' },
      ...(toDeal ? [] : [{ place: placeOf(now, card) ?? 1, mark: 'wanted' as const }]),
    ],
  });
};

const SIDES: readonly Side[] = ['below', 'above'];

/** How a key card is used, as it was told. */
export const keyCardUse = (values: Values): KeyCardUse => ({
  side: SIDES[num(values, 'side')],
  spread: num(values, 'spread'),
  deal: { about: num(values, 'about'), within: num(values, 'within') },
});

/** How it is asked. */
export const KEY_CARD_PATTERN: Pattern = {
  path: 'key-card',
  lead: 'The next bank card beside the key is theirs. How sure is that?',
  fields: [
    cardField('key', 'The key card', 'Which is the key card?'),
    numberField('riffles', 'Riffles', 'How many riffles?', { start: 1, most: 5 }),
    setupField('side', 'Theirs lies', 0, { kind: 'choice', options: ['below the key', 'above the key'] }),
    setupField('about', 'They deal and stop at about', 9),
    setupField('within', 'Within', 3, { least: 1 }),
    setupField('spread', 'Or cut about the middle, within', 6, { least: 1 }),
  ],
  example: (pack) => ({ key: ofBank(pack) }),
  needsBank: true,
  reckon: (values, pack) =>
    reckonKeyCard(
      ...([pack.now, bankOf(pack), num(values, 'key'), num(values, 'riffles')] as const),
      ...([pack.estimates, keyCardUse(values)] as const),
    ),
};
