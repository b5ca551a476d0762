import { Job } from '../job/job';
import { Move } from '../moves/move';
import { CUTS, KINDS, Meeting, rowsThrough, UNIT, WEAVES } from './placesRows';
import {
  endTables,
  FAR,
  keyOf,
  layOut,
  load,
  MARKED,
  newSide,
  Side,
  SizeTables,
  wait,
  wovenKey,
} from './searchSide';
import { wovenIndices } from './wovenIndices';

/** So many meetings that are as cheap are kept. */
const MOST_MEETINGS = 200;

const known = new Map<number, readonly [SizeTables, SizeTables]>();

const tablesFor = (size: number): readonly [forth: SizeTables, back: SizeTables] => {
  const tables = known.get(size) ?? endTables(KINDS.map((kind) => Uint8Array.from(wovenIndices(size, kind))));
  known.set(size, tables);
  return tables;
};

/**
 * The cheapest row from a state to one of several, by a search from both ends. A state is the indices of the cards;
 * states that are turns of each other are one group, its key the distances of the other cards from the first, and the
 * turn the index of the first. A cut leads to every other turn of the group: it is not followed turn by turn, but once
 * for each group, from its cheapest turn.
 */
export class PlacesSearch {
  private readonly forth: Side;
  private readonly back: Side;
  private best: Meeting | undefined;
  /** The meetings that are as cheap as the best. */
  private meetings: Meeting[] = [];
  /** The key that is taken apart, and which turns of a group are reached by a cut. */
  private readonly gaps: Uint8Array;
  private readonly fresh: Uint8Array;
  /** How many states were gone on from. */
  looked = 0;
  /**
   * What the cheapest move costs. A row that was not met goes through a state that one end has reached and not gone on
   * from, and from there by a move to one that the other end has not gone on from: it is as dear as what waits at both
   * ends and this move together.
   */
  private readonly leastStep: number;
  /** What a cut costs; infinitely much where none is allowed. */
  private readonly cut: number;

  /**
   * @param size cards in the pack. @param cards how many are followed.
   * @param cutPrice what a cut costs, where a weave costs one; undefined where none is allowed.
   */
  constructor(
    private readonly size: number,
    private readonly cards: number,
    cutPrice: number | undefined,
  ) {
    const keys = size ** (cards - 1);
    const [forth, back] = tablesFor(size);
    this.forth = newSide(forth, keys);
    this.back = newSide(back, keys);
    this.gaps = new Uint8Array(cards);
    this.fresh = new Uint8Array(size);
    this.cut = cutPrice === undefined ? Infinity : cutPrice * UNIT + CUTS;
    this.leastStep = Math.min(UNIT + WEAVES, this.cut);
  }

  /**
   * The cheapest rows from a state to one of several, each the indices of the cards from 0: as many of those that are as
   * cheap as are asked for, as far as the search has met them; none where there is no row. It yields after each price how
   * many states it has looked at.
   */
  *run(
    start: readonly number[],
    goals: readonly (readonly number[])[],
    most: number,
  ): Job<number, readonly (readonly Move[])[]> {
    const { forth, back } = this;
    this.reach(forth, this.groupOf(forth, keyOf(start, this.size)), start[0], 0);
    for (const goal of goals) this.reach(back, this.groupOf(back, keyOf(goal, this.size)), goal[0], 0);
    while (forth.due.length > 0 && back.due.length > 0) {
      const next = forth.due[forth.due.length - 1] + back.due[back.due.length - 1];
      if (this.best && this.best.price <= next + this.leastStep) break;
      this.step(load(forth) <= load(back) ? forth : back);
      yield this.looked;
    }
    return rowsThrough(
      this.meetings,
      { forth, back, size: this.size, cards: this.cards, cut: this.cut },
      most,
    );
  }

  /** Goes on from everything that waits at the smallest price. */
  private step(side: Side): void {
    const price = side.due.pop() ?? 0;
    const there = side.waiting.get(price) ?? [];
    side.waiting.delete(price);
    this.looked += there.length;
    const other = this.otherOf(side);
    const least = price + (other.due[other.due.length - 1] ?? 0) + this.leastStep;
    for (const what of there) {
      // What is still to come on both ends is as dear together.
      if (this.best && this.best.price <= least) return;
      if (what < 0) this.weaveAll(side, -1 - what, price);
      else if (side.prices[what] === price) this.weaveFrom(side, what, price);
    }
  }

  /**
   * A cut: every turn of the group is reached, and gone on from at once. As the pack turns, a weave leads to the same
   * group until one of the cards crosses an edge, so that this is looked up only there.
   */
  private weaveAll(side: Side, group: number, price: number): void {
    const { size, cards } = this;
    const base = group * size;
    const turns = side.order;
    const fresh = this.fresh;
    for (let turn = 0; turn < size; turn++) {
      const isFresh = side.prices[base + turn] > price;
      fresh[turn] = isFresh ? 1 : 0;
      if (isFresh) side.prices[base + turn] = price;
    }
    layOut(side.keys[group], this.size, this.gaps);
    const then = price + UNIT + WEAVES;
    for (let kind = 0; kind < side.moves.length; kind++) {
      const moved = side.moves[kind];
      const changes = side.changes[kind];
      let [low, high] = [0, 0];
      for (let card = 1; card < cards; card++) {
        low |= changes[2 * this.gaps[card]];
        high |= changes[2 * this.gaps[card] + 1];
      }
      let [next, reaches] = [-1, false];
      for (let at = 0; at < size; at++) {
        const turn = turns[at];
        if (at >= MARKED || ((at < 32 ? low >>> at : high >>> (at - 32)) & 1) === 1) next = -1;
        if (fresh[turn] === 0) continue;
        if (next < 0) {
          next = this.groupOf(side, wovenKey(moved, turn, this.gaps));
          reaches = then <= side.least[next] + this.cut;
        }
        if (reaches) this.reach(side, next, moved[turn], then);
      }
    }
  }

  private weaveFrom(side: Side, state: number, price: number): void {
    const { size } = this;
    const group = (state / size) | 0;
    const turn = state - group * size;
    layOut(side.keys[group], this.size, this.gaps);
    for (const moved of side.moves)
      this.reach(
        side,
        this.groupOf(side, wovenKey(moved, turn, this.gaps)),
        moved[turn],
        price + UNIT + WEAVES,
      );
  }

  /** A state is reached at a price: it waits to be gone on from, and may join the two ends. */
  private reach(side: Side, group: number, turn: number, price: number): void {
    const state = group * this.size + turn;
    // A cut from the group's cheapest turn is cheaper, or will be as soon as its price is next.
    if (side.prices[state] <= price || price > side.least[group] + this.cut) return;
    side.prices[state] = price;
    wait(side, price, state);
    if (price < side.least[group]) {
      side.least[group] = price;
      side.leastTurn[group] = turn;
      if (this.cut < Infinity) wait(side, price + this.cut, -1 - group);
    }
    if (side.twins[group] >= 0) this.meet(side, group, turn, price);
  }

  private groupOf(side: Side, key: number): number {
    const known = side.numbers.get(key);
    if (known >= 0) return known;
    const group = side.keys.length;
    const other = this.otherOf(side);
    const twin = other.numbers.get(key);
    if (twin >= 0) other.twins[twin] = group;
    side.twins.push(twin);
    side.numbers.set(key, group);
    side.keys.push(key);
    side.least.push(FAR);
    side.leastTurn.push(0);
    const needed = (group + 1) * this.size;
    if (needed > side.prices.length) {
      const longer = new Int32Array(Math.max(needed, 2 * side.prices.length, 64 * this.size)).fill(FAR);
      longer.set(side.prices);
      side.prices = longer;
    }
    return group;
  }

  private otherOf(side: Side): Side {
    return side === this.forth ? this.back : this.forth;
  }

  /** The state's group was reached from the other end too: a row goes through both, with a cut between or without. */
  private meet(side: Side, group: number, turn: number, price: number): void {
    const other = this.otherOf(side);
    const met = side.twins[group];
    const there = other.prices[met * this.size + turn];
    const forthGroup = side === this.forth ? group : met;
    if (there !== FAR) this.offer({ price: price + there, group: forthGroup, forth: turn, back: turn });
    const across = other.leastTurn[met];
    const [forth, back] = side === this.forth ? [turn, across] : [across, turn];
    this.offer({ price: price + other.least[met] + this.cut, group: forthGroup, forth, back });
  }

  private offer(meeting: Meeting): void {
    const best = this.best?.price ?? Infinity;
    if (meeting.price === Infinity || meeting.price > best) return;
    if (meeting.price < best) [this.best, this.meetings] = [meeting, []];
    if (this.meetings.length < MOST_MEETINGS) this.meetings.push(meeting);
  }
}
