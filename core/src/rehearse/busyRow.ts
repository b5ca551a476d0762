import { countOf } from '../deck/countOf';
import { Outcome } from '../deck/problem';
import { oneStep } from '../job/job';
import { Condition, Procedure, Step as ProcedureStep } from '../procedure/procedure';
import { Rng, seededRng, shuffled } from '../deck/rng';

/** A heap as it lies: how many cards, and how deep those that are wanted lie, 1 on top. */
export interface BusyHeap {
  readonly cards: number;
  readonly wanted: readonly number[];
}

/** The top card of one heap goes onto another; heaps are counted from 1. */
export interface BusyMove {
  readonly from: number;
  readonly to: number;
}

export interface BusyWish {
  /** 3 to 6 heaps; no more cards are wanted than there are heaps. */
  readonly heaps: readonly BusyHeap[];
  readonly moves: number;
  readonly seed: number;
}

/** A row of moves that ends with every wanted card on top of a heap. */
export interface BusyRow {
  readonly moves: readonly BusyMove[];
  /** How many moves the plainest row has that is known. */
  readonly plain: number;
}

export const [FEWEST_HEAPS, MOST_HEAPS, MOST_MOVES] = [3, 6, 120] as const;

/** By heap: its cards from the lowest to the top one; true is one that is wanted. */
type Lying = readonly (readonly boolean[])[];
/** A move by heaps from 0. */
type Step = readonly [from: number, to: number];

const lay = (heaps: readonly BusyHeap[]): Lying =>
  heaps.map(({ cards, wanted }) =>
    Array.from({ length: cards }, (_, index) => wanted.includes(cards - index)),
  );

const move = (lying: Lying, [from, to]: Step): Lying => {
  const card = lying[from][lying[from].length - 1];
  return lying.map((heap, index) =>
    index === from ? heap.slice(0, -1) : index === to ? [...heap, card] : heap,
  );
};

const isOnTop = (heap: readonly boolean[]): boolean => heap.length > 0 && heap[heap.length - 1];
const hasWanted = (heap: readonly boolean[]): boolean => heap.includes(true);
/** Whether nothing lies on the lowest wanted card of a heap. */
const isClear = (heap: readonly boolean[]): boolean => heap.indexOf(true) >= heap.length - 1;

/** Whether nothing but wanted cards lies on the lowest wanted card of a heap. */
const isBare = (heap: readonly boolean[]): boolean => {
  const lowest = heap.indexOf(true);
  return lowest < 0 || heap.slice(lowest).every(Boolean);
};

/** Whether each wanted card is on top. */
const isDone = (lying: Lying): boolean => lying.every((heap) => !hasWanted(heap) || isClear(heap));

const isUndone = (before: Step | undefined, [from, to]: Step): boolean =>
  before?.[0] === to && before[1] === from;

/**
 * A plain way to bring the wanted cards up: one heap is freed of them, everything that lies on them goes there, and
 * those that lie together are dealt out at the end. What would take back the move before it goes by way of another heap.
 *
 * @param order in which heaps are seen to. @param before the move that comes before the row.
 */
const plainRow = (start: Lying, order: readonly number[], before: Step | undefined): readonly Step[] => {
  const steps: Step[] = [];
  let lying = start;
  const go = (from: number, to: number): void => {
    const by = isUndone(steps.at(-1) ?? before, [from, to])
      ? order.find((heap) => heap !== from && heap !== to)
      : undefined;
    for (const step of by === undefined ? [[from, to] as const] : [[from, by] as const, [by, to] as const]) {
      steps.push(step);
      lying = move(lying, step);
    }
  };
  if (isDone(lying)) return steps;
  let free = order.find((heap) => !hasWanted(lying[heap]));
  if (free === undefined) {
    // Each heap has one: the first that lies nearest the top makes way.
    const depth = (heap: number): number => lying[heap].length - lying[heap].lastIndexOf(true);
    free = order.reduce((best, heap) => (depth(heap) < depth(best) ? heap : best));
    const other = order.find((heap) => heap !== free) ?? 0;
    while (hasWanted(lying[free])) go(free, other);
  }
  for (const heap of order)
    while (!isBare(lying[heap])) {
      const aside = order.find((each) => each !== heap && each !== free && isBare(lying[each]));
      const side = aside ?? order.find((each) => each !== heap && each !== free) ?? free;
      go(heap, isOnTop(lying[heap]) ? side : free);
    }
  for (const heap of order)
    while (lying[heap].filter(Boolean).length > 1) {
      const room = order.find((each) => each !== heap && !isOnTop(lying[each]));
      if (room === undefined) break;
      go(heap, room);
    }
  return steps;
};

/** How long the shortest plain row is, over a few orders of the heaps. */
const plainLength = (
  lying: Lying,
  orders: readonly (readonly number[])[],
  before: Step | undefined,
): number => Math.min(...orders.map((order) => plainRow(lying, order, before).length));

/** The orders in which heaps are seen to where nothing is drawn. */
const fixedOrders = (heaps: number): readonly (readonly number[])[] => {
  const numbers = Array.from({ length: heaps }, (_, heap) => heap);
  return numbers.slice(0, 4).map((by) => [...numbers.slice(by), ...numbers.slice(0, by)]);
};

/**
 * How many moves the plainest row has that is known to bring the wanted cards up; undefined where there is none: no card
 * is wanted, or more than there are heaps.
 */
export const fewestKnown = (heaps: readonly BusyHeap[]): number | undefined => {
  const wanted = heaps.reduce((sum, heap) => sum + heap.wanted.length, 0);
  if (wanted === 0 || wanted > heaps.length) return undefined;
  return plainLength(lay(heaps), fixedOrders(heaps.length), undefined);
};

/** So many plain rows are looked at for one row before another is begun, and so many are begun. */
const [MOST_LOOKS, MOST_TRIES] = [4000, 12];
/** How likely a move is beside others: one that uses up what is to spare too early, the same card once more, the same move once more. */
const [HASTY, SAME_CARD, AGAIN] = [0.05, 0.25, 0.4];

/** One row of a length, drawn by chance; undefined where it came to no end. */
const drawRow = (
  start: Lying,
  length: number,
  orders: readonly (readonly number[])[],
  rng: Rng,
): readonly Step[] | undefined => {
  const all = start.flatMap((_, from) =>
    start.flatMap((__, to): Step[] => (from === to ? [] : [[from, to]])),
  );
  const spare = length - plainLength(start, orders, undefined);
  let looks = 0;
  const goOn = (lying: Lying, done: readonly Step[]): readonly Step[] | undefined => {
    const left = length - done.length;
    if (left === 0) return isDone(lying) && usesAll(done, start.length) ? done : undefined;
    const before = done.at(-1);
    const weighed = all.flatMap((step) => {
      if (lying[step[0]].length === 0 || isUndone(before, step)) return [];
      looks++;
      const after = move(lying, step);
      const plain = plainLength(after, orders, step);
      if (plain > left - 1) return [];
      // What is to spare goes little by little, so that the row wanders to its end.
      const rest = left - 1 - plain;
      const due = (spare * (left - 1)) / length;
      const weight =
        (rest < due - 1 ? HASTY : 1) *
        (before?.[1] === step[0] ? SAME_CARD : 1) *
        (before?.[0] === step[0] && before[1] === step[1] ? AGAIN : 1);
      return [{ step, after, key: rng() ** (1 / weight) }];
    });
    weighed.sort((a, b) => b.key - a.key);
    for (const { step, after } of weighed) {
      const row = goOn(after, [...done, step]);
      if (row) return row;
      if (looks > MOST_LOOKS) return undefined;
    }
    return undefined;
  };
  return goOn(start, []);
};

const usesAll = (row: readonly Step[], heaps: number): boolean => new Set(row.flat()).size === heaps;

const refuse = (what: string, remedy: string): Outcome<{ readonly row: BusyRow }> => ({
  ok: false,
  problems: [{ what, remedy }],
});

const problemOf = ({ heaps, moves }: BusyWish): Outcome<{ readonly row: BusyRow }> | undefined => {
  if (heaps.length < FEWEST_HEAPS || heaps.length > MOST_HEAPS)
    return refuse(
      `${countOf(heaps.length, 'heap')} ${heaps.length === 1 ? 'is' : 'are'} not enough or too many.`,
      `Take ${FEWEST_HEAPS} to ${MOST_HEAPS}.`,
    );
  const deep = heaps.findIndex(({ cards, wanted }) =>
    wanted.some((depth, index) => depth < 1 || depth > cards || wanted.indexOf(depth) !== index),
  );
  if (deep >= 0)
    return refuse(`Heap ${deep + 1} has ${heaps[deep].cards} cards.`, 'Let its wanted card lie in it.');
  const wanted = heaps.reduce((sum, heap) => sum + heap.wanted.length, 0);
  if (wanted === 0) return refuse('No card is wanted.', 'Say how deep a wanted card lies in its heap.');
  if (wanted > heaps.length)
    return refuse('More cards are wanted than there are heaps.', 'Take more heaps, or fewer cards.');
  return moves > MOST_MOVES
    ? refuse(`${moves} moves are too many to watch.`, `Take ${MOST_MOVES} at most.`)
    : undefined;
};

/**
 * A row of single-card moves that ends with every wanted card on top of a heap, and looks as if it wandered: no move
 * takes back the one before it, and every heap has its part.
 *
 * @returns a row of exactly as many moves as are wished, or what is in the way.
 */
export const busyRow = (wish: BusyWish): Outcome<{ readonly row: BusyRow }> => {
  const problem = problemOf(wish);
  if (problem) return problem;
  const { heaps, moves, seed } = wish;
  const rng = seededRng(seed);
  const start = lay(heaps);
  const numbers = heaps.map((_, heap) => heap);
  const fixed = fixedOrders(heaps.length);
  const plain = plainLength(start, fixed, undefined);
  if (moves < plain)
    return refuse(
      `The shortest row that is known takes ${plain} moves.`,
      `Ask for ${plain} or more; some more let it wander.`,
    );
  for (let tried = 0; tried < MOST_TRIES; tried++) {
    const orders = [...fixed, shuffled(numbers, rng)];
    const row = drawRow(start, moves, orders, rng);
    if (row)
      return { ok: true, row: { plain, moves: row.map(([from, to]) => ({ from: from + 1, to: to + 1 })) } };
  }
  return refuse(
    `No row of exactly ${countOf(moves, 'move')} was found.`,
    `Ask for ${moves + 1} or a few more.`,
  );
};

/** What lies on the table after so many moves of a row: by heap from its top card down, each by where it lay first. */
export const heapsAfter = (
  heaps: readonly BusyHeap[],
  moves: readonly BusyMove[],
): readonly (readonly { readonly heap: number; readonly depth: number; readonly wanted: boolean }[])[] => {
  const lying = heaps.map(({ cards, wanted }, heap) =>
    Array.from({ length: cards }, (_, index) => ({
      ...{ heap: heap + 1, depth: index + 1, wanted: wanted.includes(index + 1) },
    })),
  );
  for (const { from, to } of moves) {
    const card = lying[from - 1].shift();
    if (card) lying[to - 1].unshift(card);
  }
  return lying;
};

export const endsOnTop = (heaps: readonly BusyHeap[], moves: readonly BusyMove[]): boolean =>
  heapsAfter(heaps, moves).every((heap) => heap.slice(1).every(({ wanted }) => !wanted));

/** A busy row drawn beside the page: long ones take their time. */
export const BUSY_ROW = oneStep(busyRow);

const heapName = (heap: number): string => `heap ${heap}`;

/** Whether a card lies on top of one of the heaps; one that has none left has no top. */
const onSomeTop = (heaps: number, card: string): Condition => ({
  any: Array.from({ length: heaps }, (_, index) => ({
    all: [
      { less: [0, { 'size of': heapName(index + 1) }] },
      { equal: [{ 'top of': heapName(index + 1) }, { card }] },
    ],
  })),
});

/**
 * A busy row as a procedure, which Rehearse proves.
 *
 * @param cards what is wanted, as they are written, heap by heap from the top down.
 */
export const busyProcedure = (
  name: string,
  heaps: readonly BusyHeap[],
  moves: readonly BusyMove[],
  cards: readonly string[],
): Procedure => {
  const left = [...cards];
  const laid = heaps.map(({ cards: count, wanted }, index) => [
    heapName(index + 1),
    Array.from({ length: count }, (_, depth) => (wanted.includes(depth + 1) ? (left.shift() ?? '-') : '-')),
  ]);
  const steps = moves.map(({ from, to }): ProcedureStep => ({
    ...{ do: 'lift', count: 1, from: heapName(from), onto: heapName(to) },
  }));
  const claims = cards
    .slice(0, cards.length - left.length)
    .map((card): ProcedureStep => ({ do: 'claim', that: onSomeTop(heaps.length, card) }));
  return {
    name,
    needs: `${heaps.length} heaps.`,
    'set-up': heaps
      .map(
        ({ cards: count, wanted }, index) =>
          `Heap ${index + 1}: ${countOf(count, 'card')}${wanted.length > 0 ? `, wanted at ${wanted.join(' and ')}` : ''}.`,
      )
      .join(' '),
    packets: Object.fromEntries(laid) as Procedure['packets'],
    steps: [...steps, ...claims],
  };
};
