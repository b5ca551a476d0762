import { Move } from '../moves/move';
import { WeaveKind } from '../moves/weave';
import type { End } from './levelSearch';
import { indicesOf, KINDS, moveOf } from './placesRows';
import { keyOf } from './searchSide';

/** Where the cards lie: the key of a group, and the index of the first card. */
interface State {
  readonly key: number;
  readonly turn: number;
}

/** Where a row passes from what is known from its start to what is known from its end: at one state, or by a move. */
export interface Middle {
  readonly forth: State;
  readonly move?: WeaveKind | 'cut';
  readonly back: State;
}

interface Ends {
  readonly forth: End;
  readonly back: End;
  readonly size: number;
  readonly cards: number;
}

/** One step of a row, between turns of the first card as its end counts them. */
interface Traced {
  readonly kind: WeaveKind | 'cut';
  /** Nearer to the end from which it is counted. */
  readonly from: State;
  readonly to: State;
}

/** Traces the shortest rows of a search by levels that has ended. */
export class LevelRows {
  /** By state of each end: the fewest weaves of a shortest row between them. */
  private readonly weaves = new Map<End, Map<number, number>>();

  constructor(private readonly ends: Ends) {
    for (const end of [ends.forth, ends.back]) this.weaves.set(end, new Map());
  }

  /** The rows with the fewest weaves through some middles. @param most so many at most. */
  through(middles: readonly Middle[], most: number): readonly (readonly Move[])[] {
    const weighed = middles.map((middle) => ({ middle, weaves: this.weavesOf(middle) }));
    const fewest = weighed.reduce((least, { weaves }) => Math.min(least, weaves), Infinity);
    const rows: (readonly Move[])[] = [];
    for (const { middle, weaves } of weighed)
      if (weaves === fewest)
        for (const row of this.rowsOf(middle)) {
          rows.push(row);
          if (rows.length >= most) return rows;
        }
    return rows;
  }

  private weavesOf({ forth, move, back }: Middle): number {
    const { ends } = this;
    const between = move === undefined || move === 'cut' ? 0 : 1;
    return this.fewest(ends.forth, forth) + between + this.fewest(ends.back, back);
  }

  /** How many moves a state is from an end, where that is known; infinitely many where it is not. */
  private lengthTo({ groups }: End, { key, turn }: State): number {
    const at = groups.find(key);
    if (at < 0) return Infinity;
    const word = turn < 32 ? groups.lowAt(at) : groups.highAt(at);
    return groups.levelAt(at) + (((word >>> (turn & 31)) & 1) === 1 ? 0 : 1);
  }

  /** The fewest weaves of a shortest row between an end and a state. */
  private fewest(end: End, state: State): number {
    const known = this.weaves.get(end);
    const id = state.key * 64 + state.turn;
    const there = known?.get(id);
    if (there !== undefined) return there;
    const steps = this.stepsTo(end, state);
    const fewest =
      this.lengthTo(end, state) === 0
        ? 0
        : steps.reduce(
            (least, { kind, from }) => Math.min(least, this.fewest(end, from) + (kind === 'cut' ? 0 : 1)),
            Infinity,
          );
    known?.set(id, fewest);
    return fewest;
  }

  /** The last steps of the shortest rows from an end to a state. */
  private stepsTo(end: End, state: State): readonly Traced[] {
    const { size, cards, forth, back } = this.ends;
    const length = this.lengthTo(end, state);
    const { key, turn } = state;
    const cuts = Array.from({ length: size }, (_, other): State => ({ key, turn: other })).filter(
      (other) => other.turn !== turn && this.lengthTo(end, other) === length - 1,
    );
    const indices = indicesOf(key, turn, size, cards);
    // The other end's weaves take this end's back.
    const woven = (end === forth ? back : forth).tables.moves.map((moved, kind): Traced => {
      const before = indices.map((index) => moved[index]);
      return { kind: KINDS[kind], from: { key: keyOf(before, size), turn: before[0] }, to: state };
    });
    return [
      ...woven.filter(({ from }) => this.lengthTo(end, from) === length - 1),
      ...cuts.map((from): Traced => ({ kind: 'cut', from, to: state })),
    ];
  }

  /** The shortest rows with the fewest weaves from an end to a state, their last step first. */
  private *traces(end: End, state: State): Generator<readonly Traced[]> {
    if (this.lengthTo(end, state) === 0) {
      yield [];
      return;
    }
    const fewest = this.fewest(end, state);
    for (const step of this.stepsTo(end, state)) {
      if (this.fewest(end, step.from) + (step.kind === 'cut' ? 0 : 1) !== fewest) continue;
      for (const rest of this.traces(end, step.from)) yield [step, ...rest];
    }
  }

  private *rowsOf({ forth, move, back }: Middle): Generator<readonly Move[]> {
    const { ends } = this;
    const between = move === undefined ? [] : [moveOf(move, forth.turn, back.turn, ends.size)];
    for (const first of this.traces(ends.forth, forth))
      for (const last of this.traces(ends.back, back))
        yield [
          ...[...first].reverse().map(({ kind, from, to }) => moveOf(kind, from.turn, to.turn, ends.size)),
          ...between,
          ...last.map(({ kind, from, to }) => moveOf(kind, to.turn, from.turn, ends.size)),
        ];
  }
}
