import { Card } from '../deck/card';
import { mod } from '../deck/mod';
import { Order } from '../deck/order';
import { Program } from '../procedure/program';
import { stateOf } from './packState';
import { BankThere, LyingCard, Out, PackState } from './state';
import { EndedWorld } from './worlds';

/** What a world is described by: an order, or a bank, and the packet that was the pack at first. */
export interface Described {
  readonly pack: string;
  readonly home?: Order;
  readonly bank?: BankThere;
}

/** The packets of a program: the pack, those that are empty at the start by name, and the others by name. */
interface Names {
  readonly pack: number;
  readonly empty: readonly number[];
  readonly others: readonly number[];
  readonly names: readonly string[];
  /** How many cards the pack began with. */
  readonly size: number;
}

export const namesOf = ({ packets, start }: Program, pack: string): Names => {
  const byName = packets.map((_, index) => index).sort((a, b) => (packets[a] < packets[b] ? -1 : 1));
  const at = packets.indexOf(pack);
  return {
    ...{ pack: at, names: packets, size: start[at]?.length ?? 0 },
    empty: byName.filter((index) => start[index].length === 0 && index !== at),
    others: byName.filter((index) => start[index].length > 0 && index !== at),
  };
};

const at = (world: EndedWorld, packet: number): readonly LyingCard[] => world.packets[packet] ?? [];

/** Of a home order, which cards of a packet are of it, each once. */
const ownIn = (cards: readonly LyingCard[], own: ReadonlySet<Card>): readonly LyingCard[] => {
  const left = new Set(own);
  return cards.filter(({ card }) => left.delete(card));
};

/** The cards that are not in the pack, by the first packet that has them, top first; what nobody has is gone. */
const placesOf = (
  world: EndedWorld,
  { names, empty, others, pack }: Names,
  end: number,
  missing: readonly Card[],
): readonly { readonly where: string; readonly cards: readonly LyingCard[] }[] => {
  const left = new Set(missing);
  const found = [...empty, ...[...others, pack].sort((a, b) => (names[a] < names[b] ? -1 : 1))]
    .filter((packet) => packet !== end)
    .map((packet) => ({
      where: names[packet],
      cards: at(world, packet).filter(({ card }) => left.delete(card)),
    }));
  const gone = missing.filter((card) => left.has(card)).map((card) => ({ card, faceUp: false }));
  return [...found, { where: 'gone', cards: gone }]
    .filter(({ cards }) => cards.length > 0)
    .sort((a, b) => (a.where < b.where ? -1 : 1));
};

/** Cards at one place that show one side and are neighbours of home without what is out elsewhere, as one packet. */
const asPacket = (
  cards: readonly LyingCard[],
  home: Order,
  inPack: ReadonlySet<Card>,
): Pick<Out, 'packet' | 'reversed' | 'faceUp' | 'behind'> | undefined => {
  const [{ faceUp }] = cards;
  if (cards.some((each) => each.faceUp !== faceUp)) return undefined;
  const aside = new Set(cards.map(({ card }) => card));
  const ring = home.filter((card) => inPack.has(card) || aside.has(card));
  const row = cards.map(({ card }) => ring.indexOf(card));
  const goes = (step: number): boolean =>
    row.every(
      (index, place) => place === 0 || mod(index - row[place - 1], ring.length) === mod(step, ring.length),
    );
  const isForwards = goes(1);
  if (!isForwards && !goes(-1)) return undefined;
  const first = isForwards ? row[0] : row[row.length - 1];
  let before = first;
  do before = mod(before - 1, ring.length);
  while (!inPack.has(ring[before]) && before !== first);
  return {
    packet: true,
    reversed: cards.length === 1 ? faceUp : !isForwards,
    faceUp,
    behind: home.indexOf(ring[before]) + 1,
  };
};

const stateAt = (world: EndedWorld, names: Names, home: Order, end: number): PackState => {
  const own = ownIn(at(world, end), new Set(home));
  const inPack = new Set(own.map(({ card }) => card));
  const missing = home.filter((card) => !inPack.has(card));
  const out = placesOf(world, names, end, missing).map(({ where, cards }): Out => ({
    where,
    ...{ count: cards.length, most: cards.length, cards: cards.map(({ card }) => card) },
    ...(where === 'gone' || own.length === 0 ? {} : asPacket(cards, home, inPack)),
  }));
  const extra = at(world, end).length - own.length;
  if (world.packets[end] === undefined) return { lies: 'lost', faceUp: false, out: [], extra: 0 };
  return stateOf(own, home, world.start, out, extra);
};

/** The packet empty at the start with the most of what counts, by name among equals; the pack where none has any. */
const largest = ({ empty, pack }: Names, count: (packet: number) => number): number =>
  empty.reduce((best, packet) => (count(packet) > (best === pack ? 0 : count(best)) ? packet : best), pack);

const withHome = (world: EndedWorld, names: Names, home: Order): PackState => {
  const first = stateAt(world, names, home, names.pack);
  if (first.lies === 'home') return first;
  const own = new Set(home);
  const count = (packet: number): number => ownIn(at(world, packet), own).length;
  if (2 * count(names.pack) >= home.length) return first;
  const end = largest(names, count);
  return end === names.pack ? first : stateAt(world, names, home, end);
};

const ENDS = ['top', 'face'] as const;

/** Whether the cards lie face down at an end, in their sequence or in any. */
const liesAt = (
  cards: readonly LyingCard[],
  bank: readonly Card[],
  end: 'top' | 'face',
  loose: boolean,
): boolean => {
  const there = end === 'top' ? cards.slice(0, bank.length) : cards.slice(cards.length - bank.length);
  return (
    bank.length > 0 &&
    there.length === bank.length &&
    there.every(({ card, faceUp }, index) => !faceUp && (loose ? bank.includes(card) : card === bank[index]))
  );
};

const withBank = (world: EndedWorld, names: Names, { cards, at: own }: BankThere): PackState => {
  const count = (packet: number): number => at(world, packet).length;
  const end = 2 * count(names.pack) >= names.size ? names.pack : largest(names, count);
  const there = at(world, end);
  const inPack = new Set(there.map(({ card }) => card));
  const missing = cards.filter((card) => !inPack.has(card));
  const out = placesOf(world, names, end, missing).map(({ where, cards: some }): Out => ({
    where,
    ...{ count: some.length, most: some.length, cards: some.map(({ card }) => card) },
  }));
  const left = cards.filter((card) => inPack.has(card));
  const ends = [own, ...ENDS.filter((each) => each !== own)];
  for (const loose of [false, true])
    for (const each of ends)
      if (liesAt(there, left, each, loose))
        return { lies: 'bank', bank: { cards, at: each, loose }, out, extra: 0 };
  return { lies: 'lost', faceUp: there.some(({ faceUp }) => faceUp), out, extra: 0 };
};

/** How the pack lies at the end of a world (docs/code/performing.md, 2). */
export const describeWorld = (world: EndedWorld, names: Names, { home, bank }: Described): PackState =>
  bank ? withBank(world, names, bank) : withHome(world, names, home ?? []);
