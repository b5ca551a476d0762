import { Card, colourOf, mateOf, suitOf } from '../deck/card';
import { offsetOf } from '../deck/offset';
import { Order, sameOrder } from '../deck/order';
import { finish, Job, JobRule } from '../job/job';
import { applyMove, Move } from '../moves/move';
import { plainSteps, RowKinds, RowStep, turnedMoves, turnedSteps, WayStep } from './rowSteps';
import { arrangements } from './arrangements';
import { MatesSearch } from './matesSearch';
import { RowProgress, TurnedSearch } from './turnedSearch';
import { WordSearch } from './wordSearch';

/** What a row is to end in. */
export type RowGoal =
  /** An order, or any turn of it. */
  | { readonly kind: 'order'; readonly to: Order; readonly turned?: true }
  | { readonly kind: 'colours' }
  | { readonly kind: 'suits' }
  | { readonly kind: 'mates' }
  /** These cards lie together, in whatever order. */
  | { readonly kind: 'together'; readonly cards: readonly Card[] };

/** From which order to what, and which moves a row may have. */
export interface RowWish {
  readonly from: Order;
  readonly goal: RowGoal;
  readonly kinds: RowKinds;
  /** Whether cuts are not counted, are counted as moves, or are not allowed. */
  readonly cuts: 'free' | 'counted' | 'none';
  /** The most moves that a row may have. */
  readonly longest: number;
}

export interface RowFound {
  /** A shortest row, or undefined where there is none with so few moves. */
  readonly row: readonly Move[] | undefined;
  /** Without a row: none of up to so many moves leads there. With one: as many moves as it has, not counting free cuts. */
  readonly proved: number;
  /** How many packs were looked at. */
  readonly looked: number;
}

/** The most moves of a row between two orders, where cuts are free. */
export const LONGEST_ROW_SEARCHED = 6;
/** The most after which mates are looked at: all rows are tried. */
export const LONGEST_MATES = 3;
/** The most where cards are alike, or cuts are counted or not allowed; what is too many is said. */
const LONGEST_WORD_SEARCHED = 30;

/** Every kind of move that a row may have. */
export const ALL_KINDS: RowKinds = { weaves: true, unweaves: true, reversals: true };

/** With so few steps more levels can be kept than the larger search keeps. */
const MOST_WORD_STEPS = 120;

/** Packs of fewer cards are searched as words: the larger search looks at more cards than they have. */
const LEAST_TURNED = 12;

/** The cards of a pack by what they have in common; which of them are to lie together. */
const groupOf = (goal: RowGoal): ((card: Card) => string) => {
  switch (goal.kind) {
    case 'colours':
      return (card) => colourOf(card) ?? 'joker';
    case 'suits':
      return (card) => (suitOf(card) ?? 'joker').toString();
    case 'together':
      return (card) => goal.cards.includes(card).toString();
    case 'mates':
      return (card) => Math.min(card, mateOf(card)).toString();
    case 'order':
      return (card) => card.toString();
  }
};

/** Every word in which one label lies together, anywhere in the pack. */
const blockWords = (start: Uint8Array, label: number): readonly Uint8Array[] => {
  const count = start.filter((each) => each === label).length;
  const other = start.find((each) => each !== label) ?? label;
  return Array.from({ length: start.length - count + 1 }, (_, first) =>
    start.map((_label, index) => (index >= first && index < first + count ? label : other)),
  );
};

/** A pack as labels, and every word in which like labels lie together. */
const wordsOf = (
  from: Order,
  goal: RowGoal,
): { readonly start: Uint8Array; readonly goals: readonly Uint8Array[] } => {
  const group = groupOf(goal);
  const names = [...new Set(from.map(group))];
  const start = Uint8Array.from(from, (card) => names.indexOf(group(card)));
  if (goal.kind === 'order') {
    const word = goal.to.map((card) => names.indexOf(group(card)));
    const turns = goal.turned ? word : word.slice(0, 1);
    return {
      start,
      goals: turns.map((_, turn) => Uint8Array.from([...word.slice(turn), ...word.slice(0, turn)])),
    };
  }
  if (goal.kind === 'together') return { start, goals: blockWords(start, names.indexOf('true')) };
  const blocks = names.map((_, label) => [...start].filter((each) => each === label));
  return { start, goals: arrangements(blocks).map((row) => Uint8Array.from(row.flat())) };
};

const rowOf = ({ from, goal, cuts }: RowWish, way: readonly WayStep[], last: number): readonly Move[] =>
  cuts === 'free'
    ? turnedMoves(from, way, goal.kind === 'order' && goal.turned ? undefined : last)
    : way.map(({ step }) => step.move);

/** Whether a pack is as it is wanted; every row is done before it is given. */
export const isGoal = (order: Order, goal: RowGoal): boolean => {
  if (goal.kind === 'order')
    return goal.turned ? offsetOf(goal.to, order) !== undefined : sameOrder(order, goal.to);
  const group = groupOf(goal);
  const groups = order.map(group);
  if (goal.kind === 'mates')
    return groups.every((each, index) => index % 2 === 1 || each === groups.at(index + 1));
  const runs = groups.filter((each, index) => index === 0 || each !== groups[index - 1]);
  return goal.kind === 'together'
    ? runs.filter((each) => each === 'true').length <= 1
    : runs.length === new Set(groups).size;
};

const sameCards = (a: Order, b: Order): boolean =>
  a.length === b.length && a.every((card) => b.includes(card));

/** Searches for the row of `findRow`, and yields how far it is. */
export function* searchRow(wish: RowWish): Job<RowProgress, RowFound> {
  const found = yield* search(wish);
  if (!found.row || isGoal(found.row.reduce(applyMove, wish.from), wish.goal)) return found;
  throw new Error('a row does not lead where it should');
}

function* search(wish: RowWish): Job<RowProgress, RowFound> {
  const { from, goal, kinds, cuts } = wish;
  const size = from.length;
  if (goal.kind === 'order' && !sameCards(from, goal.to)) return { row: undefined, proved: 0, looked: 0 };
  if (goal.kind === 'mates') return yield* matesTogether(wish);
  const free = cuts === 'free';
  const steps = free ? turnedSteps(kinds, size) : plainSteps(kinds, size, cuts === 'counted');
  if (goal.kind === 'order' && free && size >= LEAST_TURNED && steps.length > MOST_WORD_STEPS)
    return yield* turnedRow(wish, goal, steps);
  const { start, goals } = wordsOf(from, goal);
  const words = new WordSearch(steps, free, start, goals);
  const { way, proved } = yield* words.run(Math.min(wish.longest, LONGEST_WORD_SEARCHED));
  return { row: way && rowOf(wish, way.steps, way.last), proved, looked: words.looked };
}

/** Each card beside its mate, where each has one. */
function* matesTogether(wish: RowWish): Job<RowProgress, RowFound> {
  const { from, kinds, cuts, longest } = wish;
  const free = cuts === 'free';
  const most = Math.min(longest, LONGEST_MATES);
  if (from.some((card) => !from.includes(mateOf(card)))) return { row: undefined, proved: most, looked: 0 };
  const steps = free ? turnedSteps(kinds, from.length) : plainSteps(kinds, from.length, cuts === 'counted');
  const mates = new MatesSearch(
    steps.map(({ source }) => source),
    free,
    Uint8Array.from(from, (card) => from.indexOf(mateOf(card))),
  );
  const found = yield* mates.run(most);
  const way = found?.steps.map((step): WayStep => ({ step: steps[step], turn: 0 }));
  const row = way && rowOf(wish, way, found?.last ?? 0);
  return { row, proved: way ? way.length : most, looked: mates.looked };
}

/** Between two orders, cuts free: packs are laid out from the goal's first card on. */
function* turnedRow(
  wish: RowWish,
  { to, turned: anyTurn }: Extract<RowGoal, { kind: 'order' }>,
  steps: readonly RowStep[],
): Job<RowProgress, RowFound> {
  const { from } = wish;
  const size = from.length;
  const first = from.indexOf(to[0]);
  const start = Uint8Array.from(from, (_, index) => to.indexOf(from[(first + index) % size]));
  const turned = new TurnedSearch(size, steps, start);
  const longest = Math.min(wish.longest, LONGEST_ROW_SEARCHED);
  const numbers = yield* turned.run(longest);
  if (!numbers) return { row: undefined, proved: longest, looked: turned.looked };
  const way = numbers.map((number, index): WayStep => ({
    step: steps[number],
    turn: index === 0 ? first : 0,
  }));
  const row = turnedMoves(from, way, anyTurn ? undefined : way.length === 0 ? first : 0);
  return { row, proved: numbers.length, looked: turned.looked };
}

/**
 * A row with the fewest moves from an order to a goal, as far as `longest` moves.
 *
 * @returns a row that was done and leads there; or none, and up to how many moves it is proved that there is none.
 */
export const findRow = (wish: RowWish): RowFound => finish(searchRow(wish));

/**
 * The row with the fewest weaves, reverse weaves and reversals (of 13, 26, 39 or all cards) that brings one order to
 * another, with a cut wherever it helps; undefined where there is none with so few, or the cards are others.
 */
export const findRoute = (from: Order, to: Order, longest = 5): readonly Move[] | undefined =>
  findRow({ from, goal: { kind: 'order', to }, kinds: ALL_KINDS, cuts: 'free', longest }).row;

export const ROW: JobRule<RowWish, RowProgress, RowFound> = { start: searchRow };
