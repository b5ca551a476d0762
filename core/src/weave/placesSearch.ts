import { mod } from '../deck/mod';
import { Job } from '../job/job';
import { Move } from '../moves/move';
import { WeaveKind } from '../moves/weave';
import { FAR, load, newSide, Side, wait } from './searchSide';
import { wovenIndices } from './wovenIndices';

const KINDS: readonly WeaveKind[] = ['in', 'out'];

/**
 * Prices as whole numbers: what the moves cost, then how many are weaves, then how many are cuts. Rows have fewer than
 * 64 weaves and 16 cuts.
 */
const [UNIT, WEAVES, CUTS] = [1024, 16, 1];

/** A row found so far: what it costs, and the states where its halves end, which a cut joins where they differ. */
interface Meeting {
  readonly price: number;
  readonly group: number;
  readonly forth: number;
  readonly back: number;
}

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
  /** How many states were gone on from. */
  looked = 0;
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
    const moves = KINDS.map((kind) => Uint8Array.from(wovenIndices(size, kind)));
    const inverses = moves.map((moved) => {
      const inverse = new Uint8Array(size);
      moved.forEach((after, before) => (inverse[after] = before));
      return inverse;
    });
    this.forth = newSide(moves, keys);
    this.back = newSide(inverses, keys);
    this.cut = cutPrice === undefined ? Infinity : cutPrice * UNIT + CUTS;
  }

  /**
   * The cheapest row from a state to one of several, each the indices of the cards from 0; undefined where there is none.
   * It yields after each price how many states it has looked at.
   */
  *run(start: readonly number[], goals: readonly (readonly number[])[]): Job<number, Move[] | undefined> {
    const { forth, back } = this;
    this.reach(forth, this.groupOf(forth, this.keyOf(start)), start[0], 0);
    for (const goal of goals) this.reach(back, this.groupOf(back, this.keyOf(goal)), goal[0], 0);
    while (forth.due.length > 0 && back.due.length > 0) {
      const next = forth.due[forth.due.length - 1] + back.due[back.due.length - 1];
      if (this.best && this.best.price <= next) break;
      this.step(load(forth) <= load(back) ? forth : back);
      yield this.looked;
    }
    return this.best && this.rowOf(this.best);
  }

  private keyOf(indices: readonly number[]): number {
    let key = 0;
    for (let card = 1; card < this.cards; card++)
      key = key * this.size + mod(indices[card] - indices[0], this.size);
    return key;
  }

  /** Goes on from everything that waits at the smallest price. */
  private step(side: Side): void {
    const price = side.due.pop() ?? 0;
    const there = side.waiting.get(price) ?? [];
    side.waiting.delete(price);
    this.looked += there.length;
    for (const what of there) {
      if (what < 0) this.open(side, -1 - what, price);
      else if (side.prices[what] === price) this.weaveFrom(side, what, price);
    }
  }

  /** A cut: every turn of the group is reached. */
  private open(side: Side, group: number, price: number): void {
    for (let turn = 0; turn < this.size; turn++) this.reach(side, group, turn, price);
  }

  private weaveFrom(side: Side, state: number, price: number): void {
    const { size } = this;
    const [group, turn] = [Math.floor(state / size), state % size];
    const key = side.keys[group];
    for (let kind = 0; kind < side.moves.length; kind++) {
      const moved = side.moves[kind];
      const first = moved[turn];
      let next = 0;
      let rest = key;
      let scale = 1;
      // The key's digits from the last card on.
      for (let card = this.cards - 1; card > 0; card--) {
        const index = turn + (rest % size);
        rest = Math.floor(rest / size);
        const gap = moved[index < size ? index : index - size] - first;
        next += (gap < 0 ? gap + size : gap) * scale;
        scale *= size;
      }
      const lately = side.lately[kind];
      if (lately.key !== next) {
        lately.key = next;
        lately.group = this.groupOf(side, next);
      }
      this.reach(side, lately.group, first, price + UNIT + WEAVES);
    }
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
    if (meeting.price < (this.best?.price ?? Infinity)) this.best = meeting;
  }

  /** The row of a meeting, traced back from it to both ends by the prices alone. */
  private rowOf({ group, forth, back }: Meeting): Move[] {
    const key = this.forth.keys[group];
    const first = this.trace(this.forth, key, forth, this.back.moves);
    const last = this.trace(this.back, key, back, this.forth.moves);
    const moves = [
      ...first.reverse().map(({ kind, from, to }) => this.moveOf(kind, from, to)),
      this.moveOf('cut', forth, back),
      ...last.map(({ kind, from, to }) => this.moveOf(kind, to, from)),
    ];
    return joinCuts(moves, this.size);
  }

  private moveOf(kind: WeaveKind | 'cut', from: number, to: number): Move {
    return kind === 'cut'
      ? { kind: 'cut', count: mod(from - to, this.size) }
      : { kind: 'weave', weave: kind };
  }

  /** The steps from a state back to the end that its prices are counted from. @param undo the weaves taken back. */
  private trace(side: Side, key: number, turn: number, undo: readonly Uint8Array[]): Traced[] {
    const steps: Traced[] = [];
    let [at, state] = [key, turn];
    for (;;) {
      const group = side.numbers.get(at);
      const price = side.prices[group * this.size + state];
      if (price === 0) return steps;
      const woven = this.wovenFrom(side, at, state, price, undo);
      if (woven) {
        steps.push({ kind: woven.kind, from: woven.turn, to: state });
        [at, state] = [woven.key, woven.turn];
      } else {
        const from = side.leastTurn[group];
        steps.push({ kind: 'cut', from, to: state });
        state = from;
      }
    }
  }

  /** The state one weave before, where the price says that there is one. */
  private wovenFrom(
    side: Side,
    key: number,
    turn: number,
    price: number,
    undo: readonly Uint8Array[],
  ): { readonly kind: WeaveKind; readonly key: number; readonly turn: number } | undefined {
    const indices = this.indicesOf(key, turn);
    for (const [number, kind] of KINDS.entries()) {
      const before = indices.map((index) => undo[number][index]);
      const group = side.numbers.get(this.keyOf(before));
      if (group < 0) continue;
      if (side.prices[group * this.size + before[0]] === price - UNIT - WEAVES)
        return { kind, key: this.keyOf(before), turn: before[0] };
    }
    return undefined;
  }

  private indicesOf(key: number, turn: number): readonly number[] {
    const gaps: number[] = [];
    for (let card = 1, rest = key; card < this.cards; card++, rest = Math.floor(rest / this.size))
      gaps.unshift(rest % this.size);
    return [turn, ...gaps.map((gap) => (turn + gap) % this.size)];
  }
}

/** One step of a row, between turns of the first card as its side counts them. */
interface Traced {
  readonly kind: WeaveKind | 'cut';
  readonly from: number;
  readonly to: number;
}

/** Cuts that follow each other are one, and none where they come to nothing. */
const joinCuts = (moves: readonly Move[], size: number): Move[] => {
  const joined: Move[] = [];
  for (const move of moves) {
    const last = joined.at(-1);
    const before = last?.kind === 'cut' ? last.count : 0;
    if (move.kind !== 'cut') {
      joined.push(move);
      continue;
    }
    if (last?.kind === 'cut') joined.pop();
    const count = mod(before + move.count, size);
    if (count > 0) joined.push({ kind: 'cut', count });
  }
  return joined;
};
