import { mod } from '../deck/mod';
import { Move } from '../moves/move';
import { WeaveKind } from '../moves/weave';
import { keyOf, Side } from './searchSide';

/** The weaves, in the order in which the sides have them. */
export const KINDS: readonly WeaveKind[] = ['in', 'out'];

/**
 * Prices as whole numbers: what the moves cost, then how many are weaves, then how many are cuts. Rows have fewer than
 * 64 weaves and 16 cuts.
 */
export const [UNIT, WEAVES, CUTS] = [1024, 16, 1];

/** A row found so far: what it costs, and the states where its halves end, which a cut joins where they differ. */
export interface Meeting {
  readonly price: number;
  /** The group's number at the start's end. */
  readonly group: number;
  readonly forth: number;
  readonly back: number;
}

/** A search that has ended: what is known from either end. */
export interface Ends {
  readonly forth: Side;
  readonly back: Side;
  readonly size: number;
  readonly cards: number;
  /** What a cut costs; infinitely much where none is allowed. */
  readonly cut: number;
}

/** One step of a row, between turns of the first card as its side counts them. */
interface Traced {
  readonly kind: WeaveKind | 'cut';
  readonly from: number;
  readonly to: number;
}

/** A step between two turns of the first card as a move. */
export const moveOf = (kind: WeaveKind | 'cut', from: number, to: number, size: number): Move =>
  kind === 'cut' ? { kind: 'cut', count: mod(from - to, size) } : { kind: 'weave', weave: kind };

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

/** Where the cards of a group lie at a turn, as indices. */
export const indicesOf = (key: number, turn: number, size: number, cards: number): readonly number[] => {
  const gaps: number[] = [];
  for (let card = 1, rest = key; card < cards; card++, rest = Math.floor(rest / size))
    gaps.unshift(rest % size);
  return [turn, ...gaps.map((gap) => (turn + gap) % size)];
};

/** The steps from a state back to the end that a side's prices are counted from, in every way that is as cheap. */
function* traces(side: Side, key: number, turn: number, ends: Ends): Generator<readonly Traced[]> {
  const { size, cut } = ends;
  const group = side.numbers.get(key);
  const price = side.prices[group * size + turn];
  if (price === 0) {
    yield [];
    return;
  }
  // The other side's weaves take this side's back.
  const undo = (side === ends.forth ? ends.back : ends.forth).moves;
  const indices = indicesOf(key, turn, size, ends.cards);
  for (const [number, kind] of KINDS.entries()) {
    const before = indices.map((index) => undo[number][index]);
    const from = keyOf(before, size);
    const known = side.numbers.get(from);
    if (known < 0 || side.prices[known * size + before[0]] !== price - UNIT - WEAVES) continue;
    for (const rest of traces(side, from, before[0], ends))
      yield [{ kind, from: before[0], to: turn }, ...rest];
  }
  const least = side.leastTurn[group];
  if (price !== side.least[group] + cut || least === turn) return;
  for (const rest of traces(side, key, least, ends)) yield [{ kind: 'cut', from: least, to: turn }, ...rest];
}

/** The rows through a meeting, traced back from it to both ends by the prices alone. */
function* through({ group, forth, back }: Meeting, ends: Ends): Generator<readonly Move[]> {
  const { size } = ends;
  const key = ends.forth.keys[group];
  for (const first of traces(ends.forth, key, forth, ends))
    for (const last of traces(ends.back, key, back, ends))
      yield joinCuts(
        [
          ...[...first].reverse().map(({ kind, from, to }) => moveOf(kind, from, to, size)),
          moveOf('cut', forth, back, size),
          ...last.map(({ kind, from, to }) => moveOf(kind, to, from, size)),
        ],
        size,
      );
}

/** Rows through meetings, each once. @param most so many at most. */
export const rowsThrough = (
  meetings: readonly Meeting[],
  ends: Ends,
  most: number,
): readonly (readonly Move[])[] => {
  const rows = new Map<string, readonly Move[]>();
  for (const meeting of meetings)
    for (const row of through(meeting, ends)) {
      rows.set(JSON.stringify(row), row);
      if (rows.size >= most) return [...rows.values()];
    }
  return [...rows.values()];
};
