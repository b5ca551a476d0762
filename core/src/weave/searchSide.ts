import { mod } from '../deck/mod';
import { inverseOf } from './rowSteps';

/** Not reached. */
export const FAR = 0x7fff_ffff;

/** The numbers of groups by their keys; −1 where one was not reached. */
export class Numbers {
  /** One more than the number: zero is what memory begins with, so that none of it is touched before it is needed. */
  private readonly numbers: Int32Array;

  /** @param keys how many there may be. */
  constructor(keys: number) {
    this.numbers = new Int32Array(keys);
  }

  get(key: number): number {
    return this.numbers[key] - 1;
  }

  set(key: number, number: number): void {
    this.numbers[key] = number + 1;
  }
}

/** What is known from one end: the price of every state that was reached, by group and turn. */
export interface Side extends SizeTables {
  readonly numbers: Numbers;
  readonly keys: number[];
  /** The number that each group has at the other end; −1 where it was not reached from there. */
  readonly twins: number[];
  /** The least price of each group, and the turn that has it. */
  readonly least: number[];
  readonly leastTurn: number[];
  /** Prices by group number · size + turn. */
  prices: Int32Array;
  /** What is to be gone on from, by its price: a state, or −1 − a group whose every turn is reached by a cut. */
  readonly waiting: Map<number, number[]>;
  /** The prices that wait, the smallest last. */
  readonly due: number[];
}

/** Every turn, in steps: 0, 2, 4 … 1, 3, 5 … for a step of two. */
const turnsBy = (size: number, step: number): Uint8Array =>
  Uint8Array.from(
    Array.from({ length: step }, (_, first) =>
      Array.from({ length: size }, (_turn, turn) => turn).filter((turn) => turn % step === first),
    ).flat(),
  );

/** Of so many turns it is marked where another group begins; behind them each is looked up. */
export const MARKED = 64;

const changesOf = (moved: Uint8Array, order: Uint8Array): Int32Array => {
  const size = moved.length;
  const changes = new Int32Array(2 * size);
  /** How far a card is taken, beside the first, when it lies so far behind it. */
  const gap = (turn: number, distance: number): number =>
    mod(moved[(turn + distance) % size] - moved[turn], size);
  for (let distance = 0; distance < size; distance++)
    for (let at = 1; at < Math.min(size, MARKED); at++)
      if (gap(order[at], distance) !== gap(order[at - 1], distance))
        changes[2 * distance + (at >> 5)] |= 1 << (at & 31);
  return changes;
};

/** What a search of packs of one size looks up: the same for every search. */
export interface SizeTables {
  /** By kind of weave: where an index goes, seen from this end. */
  readonly moves: readonly Uint8Array[];
  /** The turns in the order in which they are gone through: neighbours in it mostly lead to one group. */
  readonly order: Uint8Array;
  /**
   * By kind of weave: for a card at each distance from the first, 64 bits in two integers, set where it is taken otherwise
   * than the first one as that comes to a position of the order, so that another group is led to than before.
   */
  readonly changes: readonly Int32Array[];
}

/** @param step how the turns are gone through: one by one where packets are parted, two by two where they are joined. */
const tablesOf = (moves: readonly Uint8Array[], step: number): SizeTables => {
  const order = turnsBy(moves[0].length, step);
  return { moves, order, changes: moves.map((moved) => changesOf(moved, order)) };
};

/** The tables of both ends: weaves, and weaves taken back. */
export const endTables = (weaves: readonly Uint8Array[]): readonly [forth: SizeTables, back: SizeTables] => [
  tablesOf(weaves, 1),
  tablesOf(weaves.map(inverseOf), 2),
];

export const newSide = (tables: SizeTables, keys: number): Side => ({
  ...tables,
  ...{ numbers: new Numbers(keys), keys: [], twins: [], least: [], leastTurn: [] },
  ...{ prices: new Int32Array(0), waiting: new Map<number, number[]>(), due: [] },
});

export const wait = ({ waiting, due }: Side, price: number, what: number): void => {
  const there = waiting.get(price);
  if (there) {
    there.push(what);
    return;
  }
  waiting.set(price, [what]);
  let index = due.length;
  while (index > 0 && due[index - 1] < price) index--;
  due.splice(index, 0, price);
};

/** How many things wait at the price that is next. */
export const load = ({ waiting, due }: Side): number => waiting.get(due[due.length - 1])?.length ?? 0;

/** The key of the group of some indices: how far the others lie from the first, as digits of a number. */
export const keyOf = (indices: readonly number[], size: number): number => {
  let key = 0;
  for (let card = 1; card < indices.length; card++) key = key * size + mod(indices[card] - indices[0], size);
  return key;
};

/** Takes a key apart: the distances of the other cards from the first, at their indices from 1. */
export const layOut = (key: number, size: number, gaps: Uint8Array): void => {
  let rest = key;
  for (let card = gaps.length - 1; card > 0; card--) {
    const next = (rest / size) | 0;
    gaps[card] = rest - next * size;
    rest = next;
  }
};

/** The key after a weave of cards that are laid out, the first of them at an index. */
export const wovenKey = (moved: Uint8Array, turn: number, gaps: Uint8Array): number => {
  const { length: size } = moved;
  const first = moved[turn];
  let key = 0;
  for (let card = 1; card < gaps.length; card++) {
    const index = turn + gaps[card];
    const gap = moved[index < size ? index : index - size] - first;
    key = key * size + (gap < 0 ? gap + size : gap);
  }
  return key;
};
