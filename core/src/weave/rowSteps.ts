import { mod } from '../deck/mod';
import { Order } from '../deck/order';
import { applyMove, Move } from '../moves/move';

/** Which moves a row may have beside cuts. */
export interface RowKinds {
  readonly weaves: boolean;
  readonly unweaves: boolean;
  /** Reversals of the whole pack and of its top 13, 26 or 39 cards. */
  readonly reversals: boolean;
}

/** The moves beside cuts. */
const movesOf = ({ weaves, unweaves, reversals }: RowKinds, size: number): readonly Move[] => [
  ...(weaves ? (['out', 'in'] as const).map((weave): Move => ({ kind: 'weave', weave })) : []),
  ...(unweaves ? (['out', 'in'] as const).map((weave): Move => ({ kind: 'unweave', weave })) : []),
  ...(reversals
    ? [size, 13, 26, 39]
        .filter((count, index) => index === 0 || count < size)
        .map((count): Move => ({ kind: 'reverse packet', from: 1, to: count }))
    : []),
];

/** A move as a search does it: `after[index] = before[source[index]]`. */
export interface RowStep {
  readonly move: Move;
  readonly source: Uint8Array;
  /** Packs up to a cut: at which index the first card must lie before the move, after a cut. */
  readonly at: number;
}

const sourceOf = (move: Move, size: number): Uint8Array =>
  Uint8Array.from(
    applyMove(
      Array.from({ length: size }, (_, index) => index),
      move,
    ),
  );

/** Steps that do the same are one: the first of them stays. */
const distinct = (steps: readonly RowStep[]): readonly RowStep[] => {
  const known = new Map<string, RowStep>();
  for (const step of steps) {
    const key = step.source.join();
    if (!known.has(key)) known.set(key, step);
  }
  return [...known.values()];
};

/** The steps of packs as they lie: each move, and each cut where cuts are counted. */
export const plainSteps = (kinds: RowKinds, size: number, cuts: boolean): readonly RowStep[] => {
  const moves = [...movesOf(kinds, size)];
  if (cuts) for (let count = 1; count < size; count++) moves.push({ kind: 'cut', count });
  return distinct(moves.map((move) => ({ move, source: sourceOf(move, size), at: 0 })));
};

/**
 * The steps of packs that are taken up to a cut, as they are laid out from one card on: each move behind each cut, the
 * pack after it laid out from the same card on. A cut is where the first card lies just before the move.
 */
export const turnedSteps = (kinds: RowKinds, size: number): readonly RowStep[] =>
  distinct(
    movesOf(kinds, size).flatMap((move) => {
      const source = sourceOf(move, size);
      return Array.from({ length: size }, (_, at): RowStep => {
        const first = source.indexOf(at);
        return {
          ...{ move, at },
          source: Uint8Array.from(source, (_from, index) => mod(source[(first + index) % size] - at, size)),
        };
      });
    }),
  );

export const lay = (after: Uint8Array, before: Uint8Array, source: Uint8Array): void => {
  for (let index = 0; index < after.length; index++) after[index] = before[source[index]];
};

/** Where each index comes from, by where each goes; and the other way round. */
export const inverseOf = (source: Uint8Array): Uint8Array => {
  const inverse = new Uint8Array(source.length);
  source.forEach((from, index) => (inverse[from] = index));
  return inverse;
};

/** The steps taken back. */
export const inverseSources = (steps: readonly RowStep[]): readonly Uint8Array[] =>
  steps.map(({ source }) => inverseOf(source));

/** One step of a way that was found, and how far the pack is laid out anew before it. */
export interface WayStep {
  readonly step: RowStep;
  /** The pack is laid out from this index on before the step. */
  readonly turn: number;
}

const rotated = (order: Order, turn: number): Order => [...order.slice(turn), ...order.slice(0, turn)];

/**
 * The moves of a way of turned steps, with the cuts that bring the pack to where each of them wants it.
 *
 * @param last the pack is laid out from this index on at the end: that card comes on top; undefined leaves it turned.
 */
export const turnedMoves = (from: Order, way: readonly WayStep[], last?: number): readonly Move[] => {
  const moves: Move[] = [];
  let [now, laid] = [from, from];
  const cutTo = (top: number): void => {
    const count = now.indexOf(top);
    if (count <= 0) return;
    moves.push({ kind: 'cut', count });
    now = applyMove(now, { kind: 'cut', count });
  };
  for (const { step, turn } of way) {
    const before = rotated(laid, turn);
    cutTo(before[mod(-step.at, before.length)]);
    moves.push(step.move);
    now = applyMove(now, step.move);
    laid = Array.from(step.source, (index) => before[index]);
  }
  if (last !== undefined) cutTo(laid[last % Math.max(1, laid.length)]);
  return moves;
};
