import { formatCard } from '../src/deck/notation';
import { randomInt, Rng, shuffled } from '../src/deck/rng';
import { HANDS, Wish, WishName } from '../src/wish/wish';
import { RELATIONS } from '../src/wish/look';
import { topProcedure } from './topProcedure';

const pick = <Item>(rng: Rng, items: readonly Item[]): Item => items[randomInt(rng, items.length)];
const from = (rng: Rng, low: number, high: number): number => low + randomInt(rng, high - low + 1);
const often = (rng: Rng, share: number): boolean => rng() < share;

/** Cards of a pack with jokers, second copies and indifferent cards among them. */
export const randomPack = (rng: Rng, size: number): string[] => {
  const few = shuffled(
    ['A', '2', '3', '4', '7', 'T', 'Q', 'K'].flatMap((rank) =>
      ['C', 'D', 'H', 'S'].map((suit) => rank + suit),
    ),
    rng,
  );
  const pack = few.slice(0, size);
  if (often(rng, 0.3)) pack[0] = 'X1';
  if (often(rng, 0.2)) pack[1] = 'X2';
  if (often(rng, 0.3)) pack[2] = '-';
  if (often(rng, 0.1)) pack[1] = '-';
  if (often(rng, 0.4) && pack[3].length === 2) pack[pack.length - 1] = `${pack[3]}*`;
  return [...new Set(pack.filter((card) => card !== '-')), ...pack.filter((card) => card === '-')];
};

/** 52 cards as they are written. */
export const FULL = Array.from({ length: 52 }, (_, card) => formatCard(card));

interface From {
  readonly rng: Rng;
  readonly pack: readonly string[];
  /** How deep wishes may still stand in others. */
  readonly depth: number;
}

const place = ({ rng, pack }: From): number => from(rng, 1, pack.length + Number(often(rng, 0.05)));
const card = ({ rng, pack }: From): string => (often(rng, 0.05) ? '9D' : pick(rng, pack));
const cards = (all: From, most: number): string[] =>
  shuffled(all.pack, all.rng).slice(0, from(all.rng, 1, most));
const round = ({ rng }: From): object => (often(rng, 0.5) ? { round: true } : {});
const places = ({ rng, pack }: From, most: number): number[] =>
  shuffled(
    pack.map((_, index) => index + 1),
    rng,
  ).slice(0, from(rng, 1, Math.min(most, pack.length)));
const span = (all: From): object => {
  const ends = [place(all), place(all)].sort((a, b) => a - b);
  return {
    ...(often(all.rng, 0.3) && { from: ends[0] }),
    ...(often(all.rng, 0.3) && { to: ends[1] }),
  };
};
const roundOrSpan = (all: From): object => (often(all.rng, 0.4) ? { round: true } : span(all));
const trait = (all: From): 'rank' | 'suit' | 'colour' => pick(all.rng, ['rank', 'suit', 'colour'] as const);
const cardClass = (all: From): object =>
  pick(all.rng, [
    { suits: ['H'] },
    { suits: ['C', 'S'] },
    { colour: 'red' },
    { ranks: [1, 12] },
    { ranks: [2, 3, 4], colour: 'black' },
    { cards: cards(all, 3) },
    {},
  ]);

/** A wish of each kind by chance, for a pack. */
const MAKE: Readonly<Record<WishName, (all: From) => object>> = {
  'cards at': (all) => {
    const at = places(all, 3);
    return { cards: at.map(() => card(all)), places: at };
  },
  'cards among': (all) => {
    const least = from(all.rng, 0, 2);
    return {
      of: cardClass(all),
      places: often(all.rng, 0.5) ? places(all, 4) : span(all),
      ...(often(all.rng, 0.5) && { least }),
      ...(often(all.rng, 0.5) && { most: least + from(all.rng, 0, 1) }),
    };
  },
  'side by side': (all) => ({
    cards: cards(all, 3),
    ...(often(all.rng, 0.4) && { inOrder: true }),
    ...round(all),
  }),
  before: (all) => ({
    card: card(all),
    other: card(all),
    ...(often(all.rng, 0.4)
      ? { exactly: from(all.rng, -3, 3) }
      : {
          ...(often(all.rng, 0.5) && { least: from(all.rng, -3, 3) }),
          ...(often(all.rng, 0.5) && { most: from(all.rng, 1, 5) }),
        }),
    ...round(all),
  }),
  spaced: (all) => ({ of: cardClass(all), least: from(all.rng, 1, 4), ...round(all) }),
  'mates apart': (all) => ({ distance: from(all.rng, 1, all.pack.length), ...round(all) }),
  mirrored: (all) => ({ ...(often(all.rng, 0.8) && { relation: pick(all.rng, RELATIONS) }), ...span(all) }),
  neighbours: (all) => ({
    relation: pick(all.rng, RELATIONS),
    ...(often(all.rng, 0.4) && { distance: from(all.rng, 1, all.pack.length) }),
    ...roundOrSpan(all),
  }),
  runs: (all) => ({ of: trait(all), most: from(all.rng, 1, 3), ...roundOrSpan(all) }),
  'colours alternate': roundOrSpan,
  'suits rotate': (all) => ({
    ...(often(all.rng, 0.5) && { suits: shuffled(['C', 'D', 'H', 'S'], all.rng) }),
    ...(often(all.rng, 0.7) ? { from: from(all.rng, 1, 2), to: from(all.rng, 3, 5) } : roundOrSpan(all)),
  }),
  'ranks step': (all) => ({ step: from(all.rng, 1, 12), from: from(all.rng, 1, 3), to: from(all.rng, 2, 4) }),
  'ranks add up': (all) => ({
    places: often(all.rng, 0.8) ? places(all, 3) : { from: 1, to: 2 },
    makes: often(all.rng, 0.3) ? 'cut' : from(all.rng, 0, 25),
    ...(often(all.rng, 0.3) && { more: from(all.rng, -3, 12) }),
    ...(often(all.rng, 0.5) && { by: pick(all.rng, ['ranks', 'digits']) }),
  }),
  'card made of two': (all) => ({
    rankFrom: place(all),
    suitFrom: place(all),
    ...(often(all.rng, 0.6) ? { at: place(all) } : { is: card(all) }),
  }),
  blocks: (all) => ({ by: trait(all), ...round(all) }),
  packets: (all) =>
    often(all.rng, 0.2)
      ? { size: 2, by: 'mates', all: 'alike' }
      : { size: from(all.rng, 2, 4), by: trait(all), all: pick(all.rng, ['alike', 'different']) },
  hand: (all) => {
    const players = from(all.rng, 1, 3);
    return {
      players,
      cards: from(all.rng, 1, Math.max(1, Math.floor(all.pack.length / players))),
      player: from(all.rng, 1, players),
      is: pick(all.rng, HANDS),
    };
  },
  spells: (all) =>
    often(all.rng, 0.5)
      ? {
          cards: cards(all, 2),
          from: 'itself',
          target: card(all),
          ...(often(all.rng, 0.4) && { ends: pick(all.rng, ['on', 'behind']) }),
          ...(often(all.rng, 0.3) && { of: false }),
        }
      : { cards: cards(all, 2), letters: { [all.pack[0]]: from(all.rng, 1, 5), [all.pack[1]]: 3, '-': 2 } },
  balanced: (all) => ({
    by: pick(all.rng, ['ranks', 'colours', 'suits']),
    ...(often(all.rng, 0.5) && { parts: from(all.rng, 1, 3) }),
    ...(often(all.rng, 0.7) && { within: from(all.rng, 0, 4) }),
  }),
  tells: (all) => ({
    next: from(all.rng, 1, all.pack.length),
    by: pick(all.rng, ['rank', 'suit', 'colour', 'card']),
  }),
  'looks shuffled': (all) => ({ most: pick(all.rng, [40, 60, 80, 95]) }),
  'by rule': (all) => ({ rule: pick(all.rng, ['rotating', 'rank row', 'mirrored halves', 'palindrome']) }),
  near: (all) => ({
    order: shuffled(all.pack, all.rng).map((each) => (often(all.rng, 0.3) ? null : each)),
    most: from(all.rng, 0, all.pack.length),
  }),
  procedure: (all) => ({ ...topProcedure(all.pack, randomInt(all.rng, 3)) }),
  'at cuts': (all) => ({
    cuts: pick(all.rng, ['every', { from: 1, to: 2 }, [0, from(all.rng, 1, 70)]]),
    wish: randomWish(all.rng, all.pack, all.depth - 1),
  }),
  after: (all) => ({
    moves: Array.from({ length: from(all.rng, 1, 2) }, () =>
      pick(all.rng, [
        { kind: 'weave', weave: 'out' },
        { kind: 'weave', weave: 'in' },
        { kind: 'cut', count: 2 },
        { kind: 'deal', count: 3 },
        { kind: 'unweave packet', weave: 'in', count: 2 },
        { kind: 'deal heaps', heaps: 2, gather: [2, 1] },
        { kind: 'swap cards', one: 1, other: 3 },
        { kind: 'reverse packet', from: 2, to: 4 },
      ]),
    ),
    wish: randomWish(all.rng, all.pack, all.depth - 1),
  }),
  'some of': (all) => {
    const wishes = Array.from({ length: from(all.rng, 1, 3) }, () =>
      randomWish(all.rng, all.pack, all.depth - 1),
    );
    return { wishes, least: from(all.rng, 1, wishes.length) };
  },
};

export const KINDS = Object.keys(MAKE) as readonly WishName[];
const FLAT = KINDS.filter((kind) => !['at cuts', 'after', 'some of', 'procedure'].includes(kind));

/** A wish of a kind by chance; without a kind, of any that asks for no proof. */
export const randomWish = (rng: Rng, pack: readonly string[], depth = 1, kind?: WishName): Wish => {
  const which = kind ?? pick<WishName>(rng, depth > 0 ? [...FLAT, 'at cuts', 'after', 'some of'] : FLAT);
  return { kind: which, ...MAKE[which]({ rng, pack, depth }) } as Wish;
};
