import { Job } from '../job/job';
import { lay } from './rowSteps';
import type { RowProgress } from './turnedSearch';

/** A row after which each card lies beside its mate: its steps, and from which index on the pairs begin. */
export interface MatesWay {
  readonly steps: readonly number[];
  readonly last: number;
}

/** Tries every row from the start: packs in which mates lie side by side are too many to begin from. */
export class MatesSearch {
  looked = 0;
  private readonly chosen: number[] = [];
  private readonly size: number;

  /**
   * @param sources of each step. @param free whether the pack may be cut at the end.
   * @param mates by the index of each card before the row, its mate's.
   */
  constructor(
    private readonly sources: readonly Uint8Array[],
    private readonly free: boolean,
    private readonly mates: Uint8Array,
  ) {
    this.size = mates.length;
  }

  *run(longest: number): Job<RowProgress, MatesWay | undefined> {
    const start = Uint8Array.from(this.mates, (_, index) => index);
    const there = this.paired(start);
    if (there >= 0) return { steps: [], last: there };
    for (let moves = 1; moves <= longest; moves++) {
      yield { moves, part: 0 };
      const last = yield* this.down(start, 0, moves);
      if (last >= 0) return { steps: this.chosen.slice(0, moves), last };
    }
    return undefined;
  }

  /** The rows that go on from a pack: from which index on the pairs begin after the first that has them, or −1. */
  private *down(pack: Uint8Array, level: number, moves: number): Job<RowProgress, number> {
    if (level === moves - 1) return this.lastStep(pack, level);
    const after = new Uint8Array(this.size);
    for (let step = 0; step < this.sources.length; step++) {
      lay(after, pack, this.sources[step]);
      this.chosen[level] = step;
      const last = yield* this.down(after, level + 1, moves);
      if (last >= 0) return last;
      if (level === 0) yield { moves, part: step / this.sources.length };
    }
    return -1;
  }

  private lastStep(pack: Uint8Array, level: number): number {
    const { mates, size } = this;
    const after = new Uint8Array(size);
    for (let step = 0; step < this.sources.length; step++) {
      const source = this.sources[step];
      this.looked++;
      const mate = mates[pack[source[0]]];
      if (mate !== pack[source[1]] && mate !== pack[source[size - 1]]) continue;
      lay(after, pack, source);
      const last = this.paired(after);
      if (last < 0) continue;
      this.chosen[level] = step;
      return last;
    }
    return -1;
  }

  /** From which index on each card lies beside its mate, two by two; −1 where they do not. */
  private paired(pack: Uint8Array): number {
    for (const first of this.free ? [0, 1] : [0]) {
      let index = first;
      while (
        index < this.size + first &&
        this.mates[pack[index % this.size]] === pack[(index + 1) % this.size]
      )
        index += 2;
      if (index >= this.size + first) return first;
    }
    return -1;
  }
}
