import { Order } from '../../deck/order';
import { Move } from '../../moves/move';
import { boundOf } from './bound';
import { breaksOf, Row, Step } from './breaks';
import { ofFew, ofMany } from './search';

/** The way back to an order. */
export interface Restoring {
  readonly moves: readonly Move[];
  /** Fewer moves than these never do; of up to three moves more may be proved. */
  readonly bound: number;
  /** Whether it is proved that no fewer moves do. */
  readonly shortest: boolean;
}

export interface RestoreOptions {
  /** Whether any rotation of home will do. */
  readonly rotated?: boolean;
}

/** A way of so many moves is the shortest: every way of fewer is tried. */
const FEW = 3;

/** The pack by its places in home rotated by a turn. */
const rowOf = (now: Order, home: Order, turn: number): Row => {
  const size = home.length;
  const placeOf = new Map(home.map((card, index) => [card, ((index - turn + size) % size) + 1]));
  const places = now.map((card) => placeOf.get(card));
  if (placeOf.size !== size || now.length !== size || new Set(places).size !== size)
    throw new RangeError('The pack and the order must have the same cards, each once.');
  return Int16Array.from([0, ...places.map((place) => place ?? 0), size + 1]);
};

/** A packet lifted and put behind another card; of one card it is not said that it is reversed. */
const packetMove = (from: number, to: number, after: number, reversed: boolean): Move => ({
  kind: 'move packet',
  ...{ from, to, after, reversed: reversed && from < to },
});

/** A step between gaps as a move of the pack; of two packets that change sides the smaller one is lifted. */
const moveOf = ({ kind, i, j, k }: Step, size: number): Move => {
  switch (kind) {
    case 'swap':
      return { kind: 'swap cards', one: i, other: k };
    case 'reversal':
      return { kind: 'reverse packet', from: i + 1, to: k };
    case 'upper reversed':
      return packetMove(i + 1, j, k, true);
    case 'lower reversed':
      return packetMove(j + 1, k, i, true);
    case 'blocks':
      if (i === 0 && k === size) return { kind: 'cut', count: j };
      return j - i <= k - j ? packetMove(i + 1, j, k, false) : packetMove(j + 1, k, i, false);
  }
};

/** The fewest steps found from any of the rows: of up to three moves any row is tried, of more the one nearest home. */
const stepsFrom = (rows: readonly Row[], bound: number): readonly Step[] => {
  for (let count = 0; count <= FEW; count++)
    for (const row of rows) {
      const steps = ofFew(row, count);
      if (steps) return steps;
    }
  return ofMany(rows[0], bound);
};

/**
 * The fewest moves found that bring a pack home: cuts, packets moved, reversed or both, two cards exchanged
 * (docs/code/performing.md, 6). A way of up to three moves is the shortest.
 *
 * @param now the pack, all face down, top first. @param home the same cards in order.
 * @throws RangeError where those are not the same cards, each once.
 */
export const restoring = (now: Order, home: Order, { rotated = false }: RestoreOptions = {}): Restoring => {
  const size = home.length;
  const rows = Array.from({ length: rotated ? Math.max(1, size) : 1 }, (_, turn) => rowOf(now, home, turn))
    .map((row) => ({ row, breaks: breaksOf(row).length }))
    .sort((a, b) => a.breaks - b.breaks)
    .map(({ row }) => row);
  const bound = Math.min(...rows.map(boundOf));
  const moves = stepsFrom(rows, bound).map((step) => moveOf(step, size));
  return { moves, bound, shortest: moves.length <= Math.max(FEW, bound) };
};

/** The moves of `restoring` alone. */
export const restore = (now: Order, home: Order, options?: RestoreOptions): readonly Move[] =>
  restoring(now, home, options).moves;
