import { randomInt, Rng } from '../deck/rng';
import { BusyHeap, BusyMove, heapsAfter } from './busyRow';

/** Single-card moves that are made up on the way, and where the wanted cards have come to lie. */

/** The heaps after some moves: how many cards each has by then, and how deep the wanted ones lie. */
export const heapsNow = (heaps: readonly BusyHeap[], moves: readonly BusyMove[]): readonly BusyHeap[] =>
  heapsAfter(heaps, moves).map((lying) => ({
    cards: lying.length,
    wanted: lying.flatMap(({ wanted }, index) => (wanted ? [index + 1] : [])),
  }));

/** Whether a move can be made there: from a heap that has a card, onto another. */
export const canMove = (heaps: readonly BusyHeap[], { from, to }: BusyMove): boolean =>
  from !== to && from >= 1 && to >= 1 && to <= heaps.length && (heaps.at(from - 1)?.cards ?? 0) > 0;

/** The moves up to the first that cannot be made: what was kept may be of other heaps. */
export const movesThatGo = (heaps: readonly BusyHeap[], moves: readonly BusyMove[]): readonly BusyMove[] => {
  const sizes = heaps.map(({ cards }) => cards);
  const end = moves.findIndex((move) => {
    if (
      !canMove(
        sizes.map((cards) => ({ cards, wanted: [] })),
        move,
      )
    )
      return true;
    sizes[move.from - 1]--;
    sizes[move.to - 1]++;
    return false;
  });
  return end < 0 ? moves : moves.slice(0, end);
};

/** How much likelier a move is that takes a wanted card, or lays one onto or off a heap that has one. */
const [TAKES_WANTED, TOUCHES] = [4, 2] as const;

/**
 * Moves by chance, none of which takes back the one before; those that change how deep a wanted card lies come more often.
 *
 * @param count how many; fewer only where no move is left.
 */
export const strayMoves = (heaps: readonly BusyHeap[], count: number, rng: Rng): readonly BusyMove[] => {
  const moves: BusyMove[] = [];
  let now = heaps;
  while (moves.length < count) {
    const before = moves.at(-1);
    const can = heaps
      .flatMap((_, from) => heaps.map((__, to): BusyMove => ({ from: from + 1, to: to + 1 })))
      .filter((move) => canMove(now, move) && !(before?.from === move.to && before.to === move.from));
    const drawn = can.flatMap((move) => Array<BusyMove>(weightOf(now, move)).fill(move));
    if (drawn.length === 0) return moves;
    const move = drawn[randomInt(rng, drawn.length)];
    moves.push(move);
    now = heapsNow(now, [move]);
  }
  return moves;
};

const weightOf = (heaps: readonly BusyHeap[], { from, to }: BusyMove): number => {
  const { wanted } = heaps[from - 1];
  if (wanted.includes(1)) return TAKES_WANTED;
  return wanted.length + heaps[to - 1].wanted.length > 0 ? TOUCHES : 1;
};

/** Where the wanted cards lie, in words: `heap 1 at 3, heap 2 at 1 and 5`; `none` where none is wanted. */
export const sayDepths = (heaps: readonly BusyHeap[]): string =>
  heaps
    .flatMap(({ wanted }, index) =>
      wanted.length === 0
        ? []
        : [`heap ${index + 1} at ${wanted.join(wanted.length === 2 ? ' and ' : ', ')}`],
    )
    .join('; ') || 'none';

/** How many moves a row of the drill has: at first, at least and at most. */
export const TRACKED = { first: 6, least: 3, most: 40 } as const;

/**
 * How long the next row of the drill is: one longer after each that came out right, six shorter after a miss. So about
 * six of seven come out right, however good one is.
 */
export const nextLength = (length: number, right: boolean): number =>
  Math.max(TRACKED.least, Math.min(TRACKED.most, length + (right ? 1 : -6)));
