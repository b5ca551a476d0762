import { mod } from '../deck/mod';
import { Move, placeAfterMove } from '../moves/move';
import { WeaveKind } from '../moves/weave';

/** A card at a place, from 1, and the place where it is wanted. */
export interface Wanted {
  readonly from: number;
  readonly to: number;
}

/** Which cards are wanted where, and what may be done. */
export interface PlacesWish {
  /** Cards in the pack. */
  readonly size: number;
  /** One to five cards. */
  readonly wanted: readonly Wanted[];
  /** Whether the pack may be cut. */
  readonly cuts: boolean;
  /** Whether it is all the same which of the cards comes to which of the places. */
  readonly anyOrder?: boolean;
  /** What a cut costs, where a weave costs one; 1 unless told. */
  readonly cutPrice?: 0 | 1 | 2;
}

/** The most cards that are planned for at once. */
export const MOST_WANTED = 5;

const KINDS: readonly WeaveKind[] = ['in', 'out'];

/**
 * Prices as whole numbers: what the moves cost, then how many are weaves, then how many are cuts. Rows have fewer than
 * 64 weaves and 16 cuts.
 */
const [UNIT, WEAVES, CUTS] = [1024, 16, 1];

/** Not reached. */
const FAR = 0x7fff_ffff;

/** A row found so far: what it costs, and the states where its halves end, which a cut joins where they differ. */
interface Meeting {
  readonly price: number;
  readonly klass: number;
  readonly forth: number;
  readonly back: number;
}

/** The numbers of classes by their keys; −1 where one was not reached. */
interface Numbers {
  get(key: number): number;
  set(key: number, number: number): void;
}

/** Keys below this are looked up in an array, which is faster and takes so many integers. */
const ARRAY_KEYS = 1 << 19;

const newNumbers = (keys: number): Numbers => {
  if (keys > ARRAY_KEYS) {
    const map = new Map<number, number>();
    return { get: (key) => map.get(key) ?? -1, set: (key, number) => map.set(key, number) };
  }
  const numbers = new Int32Array(keys).fill(-1);
  return {
    get: (key) => numbers[key],
    set: (key, number) => {
      numbers[key] = number;
    },
  };
};

/** What is known from one end: the price of every state that was reached, by class and turn. */
interface Side {
  /** By kind of weave: where an index goes, seen from this end. */
  readonly moves: readonly Uint8Array[];
  readonly numbers: Numbers;
  readonly keys: number[];
  /** The number that each class has at the other end; −1 where it was not reached from there. */
  readonly twins: number[];
  /** By kind of weave, the class that it led to last: the turns of a class mostly lead to one. */
  readonly lately: { key: number; klass: number }[];
  /** The least price of each class, and the turn that has it. */
  readonly least: number[];
  readonly leastTurn: number[];
  /** Prices by class number · size + turn. */
  prices: Int32Array;
  /** What is to be gone on from, by its price: a state, or −1 − a class whose every turn is reached by a cut. */
  readonly waiting: Map<number, number[]>;
  /** The prices that wait, the smallest last. */
  readonly order: number[];
}

const newSide = (moves: readonly Uint8Array[], keys: number): Side => ({
  ...{ moves, numbers: newNumbers(keys), keys: [], twins: [], least: [], leastTurn: [] },
  lately: moves.map(() => ({ key: -1, klass: -1 })),
  ...{ prices: new Int32Array(0), waiting: new Map<number, number[]>(), order: [] },
});

const wait = ({ waiting, order }: Side, price: number, what: number): void => {
  const there = waiting.get(price);
  if (there) {
    there.push(what);
    return;
  }
  waiting.set(price, [what]);
  let index = order.length;
  while (index > 0 && order[index - 1] < price) index--;
  order.splice(index, 0, price);
};

/** How many things wait at the price that is next. */
const load = ({ waiting, order }: Side): number => waiting.get(order[order.length - 1])?.length ?? 0;

/**
 * The cheapest row from one set of states to another, by bidirectional search. A state is the indices of the cards;
 * states that are turns of each other are one class, its key the distances of the other cards from the first, and the
 * turn the index of the first. A cut leads to every other turn of the class: it is not followed turn by turn, but once
 * for each class, from its cheapest turn.
 */
class Search {
  private readonly forth: Side;
  private readonly back: Side;
  private best: Meeting | undefined;

  constructor(
    private readonly size: number,
    private readonly cards: number,
    /** What a cut costs; infinitely much where none is allowed. */
    private readonly cut: number,
    moves: readonly Uint8Array[],
    inverses: readonly Uint8Array[],
  ) {
    const keys = size ** (cards - 1);
    this.forth = newSide(moves, keys);
    this.back = newSide(inverses, keys);
  }

  /** The cheapest row from a state to one of several. */
  run(start: readonly number[], goals: readonly (readonly number[])[]): Move[] | undefined {
    const { forth, back } = this;
    this.reach(forth, this.classOf(forth, this.keyOf(start)), start[0], 0);
    for (const goal of goals) this.reach(back, this.classOf(back, this.keyOf(goal)), goal[0], 0);
    while (forth.order.length > 0 && back.order.length > 0) {
      const next = forth.order[forth.order.length - 1] + back.order[back.order.length - 1];
      if (this.best && this.best.price <= next) break;
      this.step(load(forth) <= load(back) ? forth : back);
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
    const price = side.order.pop() ?? 0;
    const there = side.waiting.get(price) ?? [];
    side.waiting.delete(price);
    for (const what of there) {
      if (what < 0) this.open(side, -1 - what, price);
      else if (side.prices[what] === price) this.weaveFrom(side, what, price);
    }
  }

  /** A cut: every turn of the class is reached. */
  private open(side: Side, klass: number, price: number): void {
    for (let turn = 0; turn < this.size; turn++) this.reach(side, klass, turn, price);
  }

  private weaveFrom(side: Side, state: number, price: number): void {
    const { size } = this;
    const [klass, turn] = [Math.floor(state / size), state % size];
    const key = side.keys[klass];
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
        lately.klass = this.classOf(side, next);
      }
      this.reach(side, lately.klass, first, price + UNIT + WEAVES);
    }
  }

  /** A state is reached at a price: it waits to be gone on from, and may join the two ends. */
  private reach(side: Side, klass: number, turn: number, price: number): void {
    const state = klass * this.size + turn;
    // A cut from the class's cheapest turn is cheaper, or will be as soon as its price is next.
    if (side.prices[state] <= price || price > side.least[klass] + this.cut) return;
    side.prices[state] = price;
    wait(side, price, state);
    if (price < side.least[klass]) {
      side.least[klass] = price;
      side.leastTurn[klass] = turn;
      if (this.cut < Infinity) wait(side, price + this.cut, -1 - klass);
    }
    if (side.twins[klass] >= 0) this.meet(side, klass, turn, price);
  }

  private classOf(side: Side, key: number): number {
    const known = side.numbers.get(key);
    if (known >= 0) return known;
    const klass = side.keys.length;
    const other = this.otherOf(side);
    const twin = other.numbers.get(key);
    if (twin >= 0) other.twins[twin] = klass;
    side.twins.push(twin);
    side.numbers.set(key, klass);
    side.keys.push(key);
    side.least.push(FAR);
    side.leastTurn.push(0);
    const needed = (klass + 1) * this.size;
    if (needed > side.prices.length) {
      const longer = new Int32Array(Math.max(needed, 2 * side.prices.length, 64 * this.size)).fill(FAR);
      longer.set(side.prices);
      side.prices = longer;
    }
    return klass;
  }

  private otherOf(side: Side): Side {
    return side === this.forth ? this.back : this.forth;
  }

  /** The state's class was reached from the other end too: a row goes through both, with a cut between or without. */
  private meet(side: Side, klass: number, turn: number, price: number): void {
    const other = this.otherOf(side);
    const met = side.twins[klass];
    const there = other.prices[met * this.size + turn];
    const forthClass = side === this.forth ? klass : met;
    if (there !== FAR) this.offer({ price: price + there, klass: forthClass, forth: turn, back: turn });
    const across = other.leastTurn[met];
    const [forth, back] = side === this.forth ? [turn, across] : [across, turn];
    this.offer({ price: price + other.least[met] + this.cut, klass: forthClass, forth, back });
  }

  private offer(meeting: Meeting): void {
    if (meeting.price < (this.best?.price ?? Infinity)) this.best = meeting;
  }

  /** The row of a meeting, traced back from it to both ends by the prices alone. */
  private rowOf({ klass, forth, back }: Meeting): Move[] {
    const key = this.forth.keys[klass];
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
      const klass = side.numbers.get(at);
      const price = side.prices[klass * this.size + state];
      if (price === 0) return steps;
      const woven = this.wovenFrom(side, at, state, price, undo);
      if (woven) {
        steps.push({ kind: woven.kind, from: woven.turn, to: state });
        [at, state] = [woven.key, woven.turn];
      } else {
        const from = side.leastTurn[klass];
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
      const klass = side.numbers.get(this.keyOf(before));
      if (klass < 0) continue;
      if (side.prices[klass * this.size + before[0]] === price - UNIT - WEAVES)
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

/** All orders of a few things. */
const arrangements = <Item>(items: readonly Item[]): Item[][] =>
  items.length === 0
    ? [[]]
    : items.flatMap((item, index) =>
        arrangements([...items.slice(0, index), ...items.slice(index + 1)]).map((rest) => [item, ...rest]),
      );

/** Weaves of an even pack keep mirror pairs: two cards as far from the top as from the face stay so. */
const keepsMirrors = (size: number, from: readonly number[], to: readonly number[]): boolean =>
  size % 2 === 1 ||
  from.every((a, one) =>
    from.every((b, other) => (a + b === size - 1) === (to[one] + to[other] === size - 1)),
  );

const arePlaces = (places: readonly number[], size: number): boolean =>
  new Set(places).size === places.length &&
  places.every((place) => Number.isInteger(place) && place >= 1 && place <= size);

/**
 * The cheapest row of in and out weaves, and of cuts where they are allowed, that brings several cards to several
 * places. Of rows as cheap one with the fewest weaves, and of those one with the fewest cuts.
 *
 * @returns undefined where there is no row: where weaves alone cannot do it, or what is wanted is not one to five
 * different cards at places of the pack.
 */
export const planPlaces = ({
  size,
  wanted,
  cuts,
  anyOrder,
  cutPrice = 1,
}: PlacesWish): Move[] | undefined => {
  const [from, to] = [wanted.map((each) => each.from), wanted.map((each) => each.to)];
  if (wanted.length === 0 || wanted.length > MOST_WANTED) return undefined;
  if (!arePlaces(from, size) || !arePlaces(to, size)) return undefined;
  const start = from.map((place) => place - 1);
  const goals = (anyOrder ? arrangements(to) : [to])
    .map((places) => places.map((place) => place - 1))
    .filter((goal) => cuts || keepsMirrors(size, start, goal));
  const moves = KINDS.map((weave) =>
    Uint8Array.from({ length: size }, (_, index) => {
      return (placeAfterMove({ kind: 'weave', weave }, index + 1, size) ?? 1) - 1;
    }),
  );
  const inverses = moves.map((moved) => {
    const inverse = new Uint8Array(size);
    moved.forEach((after, before) => (inverse[after] = before));
    return inverse;
  });
  const cut = cuts ? cutPrice * UNIT + CUTS : Infinity;
  return new Search(size, wanted.length, cut, moves, inverses).run(start, goals);
};
