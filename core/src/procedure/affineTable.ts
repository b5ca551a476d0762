import type { MixedTable } from './mixedTable';
import { ROOM } from './packets';
import { belowTop, lengthOf, MARKED, reversed, startOf, stepOf, topOf, UPSIDE } from './run';

/** More runs than this a packet does not get here. */
const MOST_RUNS = ROOM - 2;

/*
 * How a run changes from one world to the next is packed as the run itself is: by how much its start moves (15 bits, with
 * its sign), and above that by how much its length grows. As start and length are fields of one sum, the run of the k-th
 * world is the first one's plus k times this.
 */
const startGrowth = (growth: number): number => (growth << 17) >> 17;
const lengthGrowth = (growth: number): number => (growth - startGrowth(growth)) >> 15;
const growthOf = (start: number, length: number): number => start + (length << 15);

/** A number that grows evenly from one world to the next. */
export interface Even {
  readonly base: number;
  readonly growth: number;
}

/**
 * The packets of many worlds at once, which differ in one chosen number: how many cards are lifted, where a run begins and
 * how long it is grow evenly with that. Moves are done once for all of them, as long as all take the same way.
 */
export class AffineTable {
  readonly runs: Int32Array;
  readonly growths: Int32Array;
  readonly counts: Int32Array;
  readonly sizes: Int32Array;
  readonly sizeGrowths: Int32Array;

  /** @param packets how many there are; one more is kept, for what is laid aside. */
  constructor(private readonly packets: number) {
    this.runs = new Int32Array((packets + 1) * ROOM);
    this.growths = new Int32Array((packets + 1) * ROOM);
    this.counts = new Int32Array(packets + 1);
    this.sizes = new Int32Array(packets + 1);
    this.sizeGrowths = new Int32Array(packets + 1);
  }

  /** Begins with the packets of one world, in which nothing grows yet. */
  read(table: MixedTable): void {
    for (let packet = 0; packet < this.packets; packet++) {
      const [from, count] = [packet * ROOM, table.counts[packet]];
      for (let run = from; run < from + count; run++) {
        this.runs[run] = table.runs[run];
        this.growths[run] = 0;
      }
      this.counts[packet] = count;
      this.sizes[packet] = table.sizes[packet];
      this.sizeGrowths[packet] = 0;
    }
  }

  /** Begins with what another holds, from one of its worlds on. @param world its index from 0. */
  copy(other: AffineTable, world: number): void {
    for (let packet = 0; packet < this.packets; packet++) {
      const [from, count] = [packet * ROOM, other.counts[packet]];
      for (let run = from; run < from + count; run++) {
        this.runs[run] = other.runs[run] + world * other.growths[run];
        this.growths[run] = other.growths[run];
      }
      this.counts[packet] = count;
      this.sizes[packet] = other.sizes[packet] + world * other.sizeGrowths[packet];
      this.sizeGrowths[packet] = other.sizeGrowths[packet];
    }
  }

  /** Makes a table what one of the worlds has. @param world its index from 0. */
  write(table: MixedTable, world: number): void {
    for (let packet = 0; packet < this.packets; packet++) {
      const [from, count] = [packet * ROOM, this.counts[packet]];
      for (let run = from; run < from + count; run++)
        table.runs[run] = this.runs[run] + world * this.growths[run];
      table.counts[packet] = count;
      table.sizes[packet] = this.sizes[packet] + world * this.sizeGrowths[packet];
    }
  }

  /** Whether there is room for what may come of one move. */
  get hasRoom(): boolean {
    for (let packet = 0; packet < this.packets; packet++)
      if (this.counts[packet] > MOST_RUNS / 2) return false;
    return true;
  }

  /**
   * The top cards of a packet, as they are, onto another.
   *
   * @param count 1 to the size in each of so many worlds.
   * @returns how many worlds, from the first on, take the same way: where they are fewer than all, nothing is done.
   */
  lift(from: number, { base, growth }: Even, onto: number, dealt: boolean, worlds: number): number {
    const { runs, growths, counts } = this;
    const bottom = from * ROOM;
    let index = bottom + counts[from] - 1;
    let [left, leftGrowth] = [base, growth];
    // Whole runs, from the top down.
    for (; index >= bottom; index--) {
      const [length, lengthGrows] = [lengthOf(runs[index]), lengthGrowth(growths[index])];
      const alike = alikeFrom(left - length, leftGrowth - lengthGrows, worlds);
      if (alike < worlds) return alike;
      if (left < length) break;
      left -= length;
      leftGrowth -= lengthGrows;
      if (left === 0) {
        index--;
        break;
      }
    }
    this.carry(from, index, { base: left, growth: leftGrowth }, onto, dealt);
    this.sizes[from] -= base;
    this.sizeGrowths[from] -= growth;
    this.sizes[onto] += base;
    this.sizeGrowths[onto] += growth;
    return worlds;
  }

  /** The runs above an index go, and of that run as many cards as are left. */
  private carry(from: number, index: number, { base, growth }: Even, onto: number, dealt: boolean): void {
    const { runs, growths, counts } = this;
    const [bottom, above] = [from * ROOM, from * ROOM + counts[from]];
    let end = onto * ROOM + counts[onto];
    const hasPart = index >= bottom && base > 0;
    const part = hasPart ? runs[index] : 0;
    const partGrowth = hasPart ? growths[index] : 0;
    const topGrowth = growthOf(startGrowth(partGrowth), growth);
    if (hasPart) {
      runs[index] = belowTop(part, base);
      growths[index] = partGrowth + growthOf(growth * stepOf(part), -growth);
      if (!dealt) {
        runs[end] = topOf(part, base);
        growths[end++] = topGrowth;
      }
    }
    if (dealt) for (let run = above - 1; run > index; run--) this.layReversed(end++, runs[run], growths[run]);
    else
      for (let run = index + 1; run < above; run++) {
        runs[end] = runs[run];
        growths[end++] = growths[run];
      }
    if (hasPart && dealt) this.layReversed(end++, topOf(part, base), topGrowth);
    counts[from] = index + 1 - bottom;
    counts[onto] = end - onto * ROOM;
  }

  private layReversed(at: number, run: number, growth: number): void {
    this.runs[at] = reversed(run);
    this.growths[at] = growth + lengthGrowth(growth) * stepOf(run);
  }

  turn(packet: number): void {
    const { runs, growths } = this;
    let low = packet * ROOM;
    let high = low + this.counts[packet] - 1;
    for (; low <= high; low++, high--) {
      const [run, growth] = [runs[high], growths[high]];
      this.layReversed(high, runs[low] ^ UPSIDE, growths[low]);
      if (low < high) this.layReversed(low, run ^ UPSIDE, growth);
    }
  }

  putOn(packet: number, other: number): void {
    this.take(packet, other, other * ROOM + this.counts[other]);
  }

  putUnder(packet: number, other: number): void {
    const { runs, growths, counts } = this;
    const [base, added] = [other * ROOM, counts[packet]];
    for (let run = base + counts[other] - 1; run >= base; run--) {
      runs[run + added] = runs[run];
      growths[run + added] = growths[run];
    }
    this.take(packet, other, base);
  }

  /** All runs of a packet go to where there is room for them in another. */
  private take(packet: number, other: number, to: number): void {
    const { runs, growths, counts, sizes, sizeGrowths } = this;
    for (let run = 0; run < counts[packet]; run++) {
      runs[to + run] = runs[packet * ROOM + run];
      growths[to + run] = growths[packet * ROOM + run];
    }
    counts[other] += counts[packet];
    sizes[other] += sizes[packet];
    sizeGrowths[other] += sizeGrowths[packet];
    counts[packet] = 0;
    sizes[packet] = 0;
    sizeGrowths[packet] = 0;
  }

  /** The top cards go to the bottom: as `lift`. */
  cut(packet: number, count: Even, worlds: number): number {
    const alike = this.lift(packet, count, this.packets, false, worlds);
    if (alike === worlds) this.putUnder(this.packets, packet);
    return alike;
  }

  /** Where the top card of a packet that has one lies in the row. */
  topAt(packet: number): Even {
    const at = packet * ROOM + this.counts[packet] - 1;
    return { base: startOf(this.runs[at]), growth: startGrowth(this.growths[at]) };
  }

  /** Where the face card of a packet that has one lies in the row. */
  faceAt(packet: number): Even {
    const at = packet * ROOM;
    const [run, growth] = [this.runs[at], this.growths[at]];
    return {
      base: startOf(run) + (lengthOf(run) - 1) * stepOf(run),
      growth: startGrowth(growth) + lengthGrowth(growth) * stepOf(run),
    };
  }

  /** Where the card at a place (1 to size) lies in the row in one of the worlds. */
  cardAt(packet: number, place: number, world: number): number {
    const { runs, growths } = this;
    let index = packet * ROOM + this.counts[packet] - 1;
    let above = place - 1;
    for (;;) {
      const run = runs[index] + world * growths[index];
      const length = lengthOf(run);
      if (above < length) return startOf(run) + above * stepOf(run);
      above -= length;
      index--;
    }
  }

  /** Where the cards at places that grow evenly (1 to size) lie in the row; undefined where that grows unevenly. */
  evenlyAt(packet: number, { base, growth }: Even, worlds: number): Even | undefined {
    const { runs, growths } = this;
    let [above, aboveGrowth] = [base - 1, growth];
    for (let index = packet * ROOM + this.counts[packet] - 1; ; index--) {
      const [run, grows] = [runs[index], growths[index]];
      const [beyond, beyondGrowth] = [above - lengthOf(run), aboveGrowth - lengthGrowth(grows)];
      // Twice that and one: never 0.
      if (alikeFrom(2 * beyond + 1, 2 * beyondGrowth, worlds) < worlds) return undefined;
      if (beyond < 0)
        return {
          base: startOf(run) + above * stepOf(run),
          growth: startGrowth(grows) + aboveGrowth * stepOf(run),
        };
      above = beyond;
      aboveGrowth = beyondGrowth;
    }
  }

  /** How many cards of a packet lie face up; undefined where the row must be looked at for that. */
  faceUpIn(packet: number): Even | undefined {
    let [base, growth] = [0, 0];
    for (let index = packet * ROOM; index < packet * ROOM + this.counts[packet]; index++) {
      const run = this.runs[index];
      if ((run & MARKED) !== 0) return undefined;
      if (run >= 0) continue;
      base += lengthOf(run);
      growth += lengthGrowth(this.growths[index]);
    }
    return { base, growth };
  }
}

/** In how many worlds from the first on an even number has the sign that it has there. */
export const alikeFrom = (base: number, growth: number, worlds: number): number => {
  if (growth === 0) return worlds;
  const sign = Math.sign(base);
  const last = base + (worlds - 1) * growth;
  if (Math.sign(last) === sign && sign !== 0) return worlds;
  if (sign === 0) return 1;
  // It moves towards 0: until it is there or beyond.
  return Math.min(worlds, Math.ceil(-base / growth));
};
