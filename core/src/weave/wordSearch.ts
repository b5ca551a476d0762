import { Job } from '../job/job';
import { PackTable } from './packTable';
import { inverseSources, lay, RowStep, WayStep } from './rowSteps';
import type { RowProgress } from './turnedSearch';

/** A way between two words. */
export interface WordWay {
  readonly steps: readonly WayStep[];
  /** From which index on the word is laid out at the end to be the goal. */
  readonly last: number;
}

/** What a search ends with. */
export interface WordsFound {
  readonly way: WordWay | undefined;
  /** No row of so many moves, or of fewer than the way has, leads there. */
  readonly proved: number;
}

/** So many words are kept at either end; what is beyond is only looked at. */
const MOST_KEPT = 150_000;

/** The index from which on a word is least, of all its turns (Booth). */
const leastTurn = (word: Uint8Array): number => {
  const size = word.length;
  let [a, b, same] = [0, 1, 0];
  while (a < size && b < size && same < size) {
    const difference = word[(a + same) % size] - word[(b + same) % size];
    if (difference === 0) {
      same++;
      continue;
    }
    if (difference > 0) a += same + 1;
    else b += same + 1;
    if (a === b) b++;
    same = 0;
  }
  return Math.min(a, b);
};

/** How often a label stands before the same one, two and three places on: the same for every turn of a word. */
const likeness = (word: Uint8Array): number => {
  const size = word.length;
  let [one, two, three] = [0, 0, 0];
  for (let index = 0; index < size; index++) {
    const label = word[index];
    const next = index + 1 < size ? index + 1 : 0;
    if (word[next] === label) one++;
    if (word[(index + 2) % size] === label) two++;
    if (word[(index + 3) % size] === label) three++;
  }
  return (one * 128 + two) * 128 + three;
};

const turned = (word: Uint8Array, turn: number): Uint8Array => {
  const after = new Uint8Array(word.length);
  after.set(word.subarray(turn));
  after.set(word.subarray(0, turn), word.length - turn);
  return after;
};

const same = (a: Uint8Array, b: Uint8Array): boolean => a.every((label, index) => label === b[index]);

/**
 * The shortest row between words, whose labels may be alike: from both ends at once, level by level. Where cuts are
 * free a word stands for all its turns.
 */
export class WordSearch {
  private readonly sources: readonly Uint8Array[];
  private readonly inverses: readonly Uint8Array[];
  private readonly forth: PackTable;
  private readonly back: PackTable;
  /** Where the last level of each end begins, and how many moves both ends have come together. */
  private forthFrom = 0;
  private backFrom = 0;
  private depth = 0;
  looked = 0;

  /** @param free whether a word stands for all its turns. @param goals every word that is wanted. */
  constructor(
    private readonly steps: readonly RowStep[],
    private readonly free: boolean,
    private readonly start: Uint8Array,
    private readonly goals: readonly Uint8Array[],
  ) {
    this.sources = steps.map(({ source }) => source);
    this.inverses = inverseSources(steps);
    this.forth = new PackTable(start.length);
    this.back = new PackTable(start.length);
    this.forth.add(this.layOut(start), -1, -1);
    for (const goal of goals) this.back.add(this.layOut(goal), -1, -1);
  }

  /** @param longest rows of up to so many moves are looked for. */
  *run(longest: number): Job<RowProgress, WordsFound> {
    const there = this.back.find(this.forth.at(0));
    if (there >= 0) return { way: this.wayThrough(0, [], there), proved: 0 };
    for (let moves = 1; moves <= longest; moves++) {
      yield { moves, part: 0 };
      const way = yield* this.level(moves);
      if (way === 'too far') return { way: undefined, proved: moves - 1 };
      if (way) return { way, proved: moves };
    }
    return { way: undefined, proved: longest };
  }

  /** The rows of so many moves: one end grows by a level, or what lies one step beyond is looked at. */
  private *level(moves: number): Job<RowProgress, WordWay | undefined | 'too far'> {
    const [forth, back] = [this.forth.count - this.forthFrom, this.back.count - this.backFrom];
    if (Math.min(forth, back) * this.steps.length <= MOST_KEPT) {
      this.depth = moves;
      return back <= forth ? this.growBack() : this.growForth();
    }
    if (this.depth + 1 < moves) return 'too far';
    return yield* this.lookBeyond(moves);
  }

  private growBack(): WordWay | undefined {
    const from = this.backFrom;
    this.backFrom = this.back.count;
    this.grow(this.back, from, this.inverses);
    return this.meet();
  }

  private growForth(): WordWay | undefined {
    const from = this.forthFrom;
    this.forthFrom = this.forth.count;
    this.grow(this.forth, from, this.sources);
    return this.meet();
  }

  private grow(table: PackTable, from: number, sources: readonly Uint8Array[]): void {
    const to = table.count;
    const after = new Uint8Array(this.start.length);
    for (let number = from; number < to; number++)
      for (let step = 0; step < sources.length; step++) {
        lay(after, table.at(number), sources[step]);
        table.add(this.layOut(after), number, step);
        this.looked++;
      }
  }

  private meet(): WordWay | undefined {
    for (let number = this.forthFrom; number < this.forth.count; number++) {
      const met = this.back.find(this.forth.at(number));
      if (met >= 0) return this.wayThrough(number, [], met);
    }
    return undefined;
  }

  private *lookBeyond(moves: number): Job<RowProgress, WordWay | undefined> {
    const looks = new Set<number>();
    for (let number = 0; number < this.back.count; number++) looks.add(likeness(this.back.at(number)));
    const [from, to] = [this.forthFrom, this.forth.count];
    const after = new Uint8Array(this.start.length);
    for (let number = from; number < to; number++) {
      const before = this.forth.at(number);
      for (let step = 0; step < this.sources.length; step++) {
        lay(after, before, this.sources[step]);
        this.looked++;
        if (!looks.has(likeness(after))) continue;
        const met = this.back.find(this.layOut(after));
        if (met >= 0) return this.wayThrough(number, [step], met);
      }
      if (number % 64 === 0) yield { moves, part: (number - from) / (to - from) };
    }
    return undefined;
  }

  /** A word as it is kept: where cuts are free, laid out from where it is least. */
  private layOut(word: Uint8Array): Uint8Array {
    return this.free ? turned(word, leastTurn(word)) : word;
  }

  /** The way from the start to a word that was reached from it, on by some steps, and from a word to its goal. */
  private wayThrough(forth: number, between: readonly number[], back: number): WordWay {
    const first = [...this.forth.trace(forth).reverse(), ...between];
    const way: WayStep[] = [];
    let now = this.start;
    const go = (number: number, turn: number): void => {
      way.push({ step: this.steps[number], turn });
      const after = new Uint8Array(now.length);
      lay(after, turned(now, turn), this.sources[number]);
      now = after;
    };
    for (const number of first) go(number, this.free ? leastTurn(now) : 0);
    let at = back;
    for (; this.back.from[at] >= 0; at = this.back.from[at]) {
      const [number, next] = [this.back.by[at], this.back.at(this.back.from[at])];
      go(number, this.turnTo(now, number, next));
    }
    const last = Array.from(now, (_, turn) => turn).find((turn) =>
      this.goals.some((goal) => same(turned(now, turn), goal)),
    );
    return { steps: way, last: last ?? 0 };
  }

  private turnTo(word: Uint8Array, step: number, next: Uint8Array): number {
    if (!this.free) return 0;
    const after = new Uint8Array(word.length);
    for (let turn = 0; turn < word.length; turn++) {
      lay(after, turned(word, turn), this.sources[step]);
      if (same(this.layOut(after), next)) return turn;
    }
    return 0;
  }
}
