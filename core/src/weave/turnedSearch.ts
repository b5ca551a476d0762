import { Job } from '../job/job';
import { PackTable } from './packTable';
import { inverseSources, lay, RowStep } from './rowSteps';

const { imul } = Math;

export interface RowProgress {
  /** How many moves the rows have that are looked through now. */
  readonly moves: number;
  /** How much of those has been looked through, from 0 to 1. */
  readonly part: number;
}

/** So many levels are kept, as packs: forwards, and back from the goal. */
const KEPT = 2;

/** So many cards, spread over the pack, tell it from most others: in the last level only these are looked at. */
const NEAR_CARDS = 4;

/** Packs three moves from the goal are told by seven cards, and noted as two bits of one of so many words. */
const FAR_CARDS = 7;
const FAR_WORDS = 2 ** 24;
/** Those behind the first card: steps that leave them as they are ask for the same word again, which is near then. */
const FIRST_CARDS = Array.from({ length: FAR_CARDS }, (_, index) => index + 1);

/** The packs that are one step from each of those at an end of the table. */
const growLevel = (table: PackTable, from: number, to: number, sources: readonly Uint8Array[]): void => {
  const after = new Uint8Array(table.size);
  for (let number = from; number < to; number++)
    for (let step = 0; step < sources.length; step++) {
      const before = table.at(number);
      const source = sources[step];
      lay(after, before, source);
      table.add(after, number, step);
    }
};

/** A set of whole numbers below a power of two, a bit each. */
class Bits {
  private readonly words: Int32Array;
  constructor(bits: number) {
    this.words = new Int32Array(Math.max(1, 2 ** bits / 32));
  }
  add(number: number): void {
    this.words[number >>> 5] |= 1 << (number & 31);
  }
  has(number: number): boolean {
    return (this.words[number >>> 5] & (1 << (number & 31))) !== 0;
  }
}

/** Which indices are looked at: spread over the pack, since neighbours stay together in most of them. */
const spread = (size: number, length: number): readonly number[] =>
  Array.from({ length }, (_, each) => 1 + Math.floor((each * (size - 1)) / length));

/** The sources of a few indices of every step, side by side: all that the last level looks at. */
const looksOf = (sources: readonly Uint8Array[], indices: readonly number[]): Uint8Array =>
  Uint8Array.from(sources.flatMap((source) => indices.map((index) => source[index])));

/**
 * The shortest row between two packs of different cards, up to a cut: from both ends at once. Packs are laid out from
 * the same card on. Two levels are kept at either end. Of a fifth move's packs only four cards are looked at, against a
 * set of bits of the kept level at the other end, and a pack is laid out on a hit; a sixth looks at seven cards, against
 * two bits for each of all packs three moves from the goal.
 */
export class TurnedSearch {
  private readonly sources: readonly Uint8Array[];
  private readonly inverses: readonly Uint8Array[];
  private readonly forth: PackTable;
  private readonly back: PackTable;
  /** Where each level of the tables begins, and the last one ends. */
  private readonly forthEnds = [0, 1];
  private readonly backEnds = [0, 1];
  private readonly scratch: Uint8Array;
  private near = new Bits(5);
  private readonly looks: Uint8Array;
  /** How many packs were looked at. */
  looked = 0;

  /**
   * @param steps as `turnedSteps` gives them. @param start the pack that is begun with, as indices of the goal's cards,
   * from the goal's first card on.
   */
  constructor(
    private readonly size: number,
    steps: readonly RowStep[],
    start: Uint8Array,
  ) {
    this.sources = steps.map(({ source }) => source);
    this.inverses = inverseSources(steps);
    this.forth = new PackTable(size);
    this.back = new PackTable(size);
    this.scratch = new Uint8Array(size);
    this.forth.add(start, -1, -1);
    this.back.add(
      Uint8Array.from(start, (_, index) => index),
      -1,
      -1,
    );
    this.looks = looksOf(this.sources, spread(size, NEAR_CARDS));
  }

  /** @returns the numbers of the steps of a shortest row; undefined where none has `longest` moves or fewer, 6 at most. */
  *run(longest: number): Job<RowProgress, readonly number[] | undefined> {
    if (this.back.find(this.forth.at(0)) === 0) return [];
    for (let moves = 1; moves <= longest; moves++) {
      yield { moves, part: 0 };
      const found =
        moves <= KEPT
          ? this.fromStart(moves)
          : moves <= 2 * KEPT
            ? this.kept(moves)
            : moves === 2 * KEPT + 1
              ? yield* this.beyond(moves)
              : yield* this.farBeyond(moves);
      if (found) return found;
    }
    return undefined;
  }

  /** One or two moves: the level back from the goal that has the start. */
  private fromStart(level: number): readonly number[] | undefined {
    this.growBack(level);
    const met = this.back.find(this.forth.at(0));
    return met < 0 ? undefined : this.back.trace(met);
  }

  /** Three or four: a level of the start that has a pack of the last level at the goal. */
  private kept(moves: number): readonly number[] | undefined {
    const level = moves - KEPT;
    growLevel(this.forth, this.forthEnds[level - 1], this.forthEnds[level], this.sources);
    this.forthEnds.push(this.forth.count);
    for (let number = this.forthEnds[level]; number < this.forth.count; number++) {
      this.looked++;
      const met = this.back.find(this.forth.at(number));
      if (met >= 0) return [...this.forth.trace(number).reverse(), ...this.back.trace(met)];
    }
    return undefined;
  }

  /** Five: one step more from the start, of which only a few cards are looked at. */
  private *beyond(moves: number): Job<RowProgress, readonly number[] | undefined> {
    this.markNear();
    const [first, last] = [this.forthEnds[KEPT], this.forth.count];
    for (let number = first; number < last; number++) {
      const met = this.oneBefore(this.forth.at(number));
      if (met) return [...this.forth.trace(number).reverse(), met.step, ...this.back.trace(met.number)];
      this.looked += this.sources.length;
      if (number % 1024 === 0) yield { moves, part: (number - first) / (last - first) };
    }
    return undefined;
  }

  /** A step that takes a pack to one of the last level at the goal. */
  private oneBefore(pack: Uint8Array): { readonly step: number; readonly number: number } | undefined {
    const { looks, near, size } = this;
    for (let step = 0, at = 0; at < looks.length; step++, at += NEAR_CARDS) {
      const key =
        ((pack[looks[at]] * size + pack[looks[at + 1]]) * size + pack[looks[at + 2]]) * size +
        pack[looks[at + 3]];
      if (!near.has(key)) continue;
      const number = this.back.find(this.after(pack, step));
      if (number >= 0) return { step, number };
    }
    return undefined;
  }

  /** Six: two steps more, against all packs three moves from the goal. */
  private *farBeyond(moves: number): Job<RowProgress, readonly number[] | undefined> {
    const far = new FarPacks();
    const backLooks = looksOf(this.inverses, FIRST_CARDS);
    const all = 2 * this.back.count;
    for (let number = this.backEnds[KEPT]; number < this.back.count; number++) {
      const pack = this.back.at(number);
      for (let at = 0; at < backLooks.length; at += FAR_CARDS) far.add(pack, backLooks, at);
      if (number % 512 === 0) yield { moves, part: number / all };
    }
    const looks = looksOf(this.sources, FIRST_CARDS);
    const next = new Uint8Array(this.size);
    const [first, last] = [this.forthEnds[KEPT], this.forth.count];
    for (let number = first; number < last; number++) {
      const pack = this.forth.at(number);
      for (let step = 0, at = 0; at < looks.length; step++, at += FAR_CARDS) {
        if (!far.mayHave(pack, looks, at)) continue;
        next.set(this.after(pack, step));
        const met = this.oneBefore(next);
        if (met)
          return [...this.forth.trace(number).reverse(), step, met.step, ...this.back.trace(met.number)];
      }
      this.looked += this.sources.length;
      if (number % 512 === 0) yield { moves, part: 0.5 + (number - first) / (last - first) / 2 };
    }
    return undefined;
  }

  private growBack(level: number): void {
    growLevel(this.back, this.backEnds[level - 1], this.backEnds[level], this.inverses);
    this.backEnds.push(this.back.count);
  }

  private markNear(): void {
    const { size, back } = this;
    const [a, b, c, d] = spread(size, NEAR_CARDS);
    this.near = new Bits(Math.ceil(Math.log2(size ** NEAR_CARDS)));
    for (let number = this.backEnds[KEPT]; number < back.count; number++) {
      const pack = back.at(number);
      this.near.add(((pack[a] * size + pack[b]) * size + pack[c]) * size + pack[d]);
    }
  }

  private after(pack: Uint8Array, step: number): Uint8Array {
    lay(this.scratch, pack, this.sources[step]);
    return this.scratch;
  }
}

/**
 * Packs as they are after a step, told by a few cards: two bits each of one word, so that asking costs one look into
 * memory. Some others seem to be there, too, and are looked at once more.
 */
class FarPacks {
  private readonly words = new Int32Array(FAR_WORDS);
  private word = 0;
  private bits = 0;

  add(pack: Uint8Array, looks: Uint8Array, at: number): void {
    this.look(pack, looks, at);
    this.words[this.word] |= this.bits;
  }

  mayHave(pack: Uint8Array, looks: Uint8Array, at: number): boolean {
    this.look(pack, looks, at);
    return (this.words[this.word] & this.bits) === this.bits;
  }

  private look(pack: Uint8Array, looks: Uint8Array, at: number): void {
    const low =
      pack[looks[at]] |
      (pack[looks[at + 1]] << 6) |
      (pack[looks[at + 2]] << 12) |
      (pack[looks[at + 3]] << 18) |
      (pack[looks[at + 4]] << 24);
    const high = pack[looks[at + 5]] | (pack[looks[at + 6]] << 6);
    const hash = imul(low ^ imul(high, 0x85ebca6b), 0x9e3779b1);
    this.word = (hash ^ (hash >>> 13)) & (FAR_WORDS - 1);
    const more = imul(hash, 0xc2b2ae35) ^ high;
    this.bits = (1 << (more >>> 27)) | (1 << ((more >>> 22) & 31));
  }
}
