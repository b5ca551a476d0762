import { Card } from '../deck/card';

/** All indifferent cards are this one: they are alike. Every other card's number is below it. */
export const INDIFFERENT: Card = 127;
/** Set on a card in the row that lies face up when its run does not. */
export const FACE_UP = 128;

/** How many runs a packet has room for; with more than half of them it is written anew as one. */
export const ROOM = 64;
const MANY_RUNS = 31;

/** The most cards on a table: what a run's length can hold. */
export const MOST_CARDS = 255;

/*
 * A run is one 32-bit integer: the row's index of its top card (15 bits), how many cards it has (8), the step in the
 * row from one card to the one below it (7, with its sign), whether some of its cards are marked in the row as face up,
 * and whether it lies face up.
 */
const ROW = 1 << 15;
/** How long the row is at first: most procedures lay few cards anew, and are run often. */
const FIRST_ROW = 1 << 11;
const LENGTH_AT = 15;
const STEP_AT = 23;
const MARKED = 1 << 30;
const UPSIDE = 1 << 31;
const MOST_STEP = 63;

const startOf = (run: number): number => run & (ROW - 1);
const lengthOf = (run: number): number => (run >>> LENGTH_AT) & 255;
const stepOf = (run: number): number => (run << 2) >> 25;
const runOf = (start: number, length: number, step: number, flags: number): number =>
  start | (length << LENGTH_AT) | ((step & 127) << STEP_AT) | flags;
const flagsOf = (run: number): number => run & (MARKED | UPSIDE);

/** So many of a run's top cards. */
const topOf = (run: number, count: number): number => (run & ~(255 << LENGTH_AT)) | (count << LENGTH_AT);
/** What lies below so many of a run's top cards. The start is in the lowest bits, so that it is moved by adding. */
const belowTop = (run: number, count: number): number =>
  (run + count * stepOf(run) - (count << LENGTH_AT)) | 0;
/** A run from its face to its top, each card showing the side that it showed. */
const reversed = (run: number): number => {
  const step = stepOf(run);
  return ((run & ~(127 << STEP_AT)) + (lengthOf(run) - 1) * step) | ((-step & 127) << STEP_AT);
};

/** Where cards are written before they are laid anew: nothing stays in it between two moves. */
const WRITTEN = new Uint8Array(MOST_CARDS);

/** Thrown where so much is kept for choices that were not tried yet that the row has no room. */
export class TableFull extends Error {}

/**
 * The packets on a table. A packet is a list of runs over a row of cards, its face first, so that its top is the
 * list's end and most of what people do moves a few integers and no card.
 */
export class Table {
  /** By packet times ROOM: its runs. */
  readonly runs: Int32Array;
  /** By packet: how many runs and how many cards it has. */
  readonly counts: Int32Array;
  readonly sizes: Int32Array;
  row = new Uint8Array(FIRST_ROW);
  /** Where the row is free from. */
  free = 0;
  /** Below this the row is kept, since choices that are not tried yet need it. */
  kept = 0;
  private readonly written = WRITTEN;

  /** @param start the packets in the order of their indices, top card first, face down. */
  constructor(start: readonly (readonly Card[])[]) {
    this.runs = new Int32Array(start.length * ROOM);
    this.counts = new Int32Array(start.length);
    this.sizes = new Int32Array(start.length);
    start.forEach((cards, packet) => {
      this.written.set(cards);
      this.lay(packet, cards.length);
    });
  }

  /** The packet becomes the first cards in `written`, which may be marked as face up. */
  private lay(packet: number, size: number): void {
    this.counts[packet] = 0;
    this.sizes[packet] = 0;
    this.layOn(packet, 0, size);
  }

  /** Cards of `written` from an index on, the top one first, go onto a packet. */
  private layOn(packet: number, from: number, count: number): void {
    if (count === 0) return;
    if (this.free + count > this.row.length) this.makeRoom(count);
    const { row, written } = this;
    let up = 0;
    for (let at = 0; at < count; at++) up += written[from + at] >> 7;
    const whole = up === count;
    for (let at = 0; at < count; at++)
      row[this.free + at] = whole ? written[from + at] & 127 : written[from + at];
    this.push(packet, runOf(this.free, count, 1, whole ? UPSIDE : up > 0 ? MARKED : 0));
    this.sizes[packet] += count;
    this.free += count;
  }

  /** Makes the row longer, or writes all packets anew behind what is kept. */
  private makeRoom(count: number): void {
    if (this.row.length < ROW) {
      const longer = new Uint8Array(Math.min(ROW, 4 * this.row.length));
      longer.set(this.row);
      this.row = longer;
      return;
    }
    const { written } = this;
    const pending = written.slice();
    const packets = Array.from(this.sizes, (size, packet) => {
      this.write(packet, written, 0);
      return written.slice(0, size);
    });
    const needed = packets.reduce((sum, { length }) => sum + length, count);
    if (this.kept + needed > ROW) throw new TableFull();
    this.free = this.kept;
    packets.forEach((cards, packet) => {
      written.set(cards);
      this.lay(packet, cards.length);
    });
    written.set(pending);
  }

  private push(packet: number, run: number): void {
    this.runs[packet * ROOM + this.counts[packet]++] = run;
  }

  /** Writes a packet's cards, top first, those that lie face up marked; gives how many. */
  write(packet: number, into: Uint8Array | Uint16Array, from: number): number {
    const { runs, row } = this;
    let at = from;
    for (let index = packet * ROOM + this.counts[packet] - 1; index >= packet * ROOM; index--) {
      const run = runs[index];
      const step = stepOf(run);
      const up = run < 0 ? FACE_UP : 0;
      for (let card = startOf(run), left = lengthOf(run); left > 0; left--, card += step)
        into[at++] = row[card] ^ up;
    }
    return at - from;
  }

  /** Adds one for each card of a packet, at its index from 0 times `width` plus its number. */
  count(packet: number, counts: Uint32Array, width: number): void {
    const { runs, row } = this;
    let at = 0;
    for (let index = packet * ROOM + this.counts[packet] - 1; index >= packet * ROOM; index--) {
      const run = runs[index];
      const step = stepOf(run);
      for (let card = startOf(run), left = lengthOf(run); left > 0; left--, card += step, at += width)
        counts[at + (row[card] & 127)]++;
    }
  }

  /** Makes one run of a packet that has many, so that there is room for more. */
  private tidy(packet: number): void {
    if (this.counts[packet] <= MANY_RUNS) return;
    this.rewrite(packet);
  }

  private rewrite(packet: number): void {
    const size = this.write(packet, this.written, 0);
    this.lay(packet, size);
  }

  /** Cuts a run so that the card at a place (1 to size) is the top of one; gives that run's index. */
  private split(packet: number, place: number): number {
    const { runs } = this;
    let index = packet * ROOM + this.counts[packet] - 1;
    let above = place - 1;
    while (above >= lengthOf(runs[index])) above -= lengthOf(runs[index--]);
    if (above === 0) return index;
    const run = runs[index];
    openAt(runs, index, packet * ROOM + this.counts[packet]++);
    runs[index + 1] = topOf(run, above);
    runs[index] = belowTop(run, above);
    return index;
  }

  /** The top `count` cards (0 to size), as they are, onto another packet; turned end for end with `dealt`. */
  lift(from: number, count: number, onto: number, dealt: boolean): void {
    if (count === 0) return;
    const { runs, counts, sizes } = this;
    if (counts[from] + counts[onto] > MANY_RUNS) {
      this.tidy(onto);
      this.tidy(from);
    }
    const base = from * ROOM;
    const above = base + counts[from];
    let end = onto * ROOM + counts[onto];
    const top = runs[above - 1];
    if (count < lengthOf(top)) {
      // A part of one run, as it mostly is.
      runs[end] = dealt ? reversed(topOf(top, count)) : topOf(top, count);
      runs[above - 1] = belowTop(top, count);
      counts[onto]++;
      sizes[from] -= count;
      sizes[onto] += count;
      return;
    }
    const rest = count - lengthOf(top);
    if (counts[from] > 1 && rest > 0 && rest < lengthOf(runs[above - 2])) {
      // One run and a part of the next, as it mostly is where something was turned over on top.
      const next = runs[above - 2];
      runs[end] = dealt ? reversed(top) : topOf(next, rest);
      runs[end + 1] = dealt ? reversed(topOf(next, rest)) : top;
      runs[above - 2] = belowTop(next, rest);
      counts[from]--;
      counts[onto] += 2;
      sizes[from] -= count;
      sizes[onto] += count;
      return;
    }
    // From the top down: how many runs go, and the last of them perhaps in part.
    let index = count === sizes[from] ? base : above;
    let left = index === base ? 0 : count;
    while (left > 0) {
      const length = lengthOf(runs[--index]);
      if (length > left) break;
      left -= length;
    }
    if (left > 0) {
      const part = topOf(runs[index], left);
      runs[index] = belowTop(runs[index], left);
      index++;
      if (!dealt) runs[end++] = part;
      end = this.copyRuns(index, above, end, dealt);
      if (dealt) runs[end++] = reversed(part);
    } else end = this.copyRuns(index, above, end, dealt);
    counts[from] = index - base;
    counts[onto] = end - onto * ROOM;
    sizes[from] -= count;
    sizes[onto] += count;
  }

  /** The top `count` cards (0 to size) go onto another packet, which is then turned over. */
  liftOver(from: number, count: number, onto: number): void {
    const { runs, counts, sizes } = this;
    const above = from * ROOM + counts[from] - 1;
    const top = runs[above];
    const rest = count - lengthOf(top);
    if (sizes[onto] === 0 && count > 0) {
      const end = onto * ROOM;
      if (rest < 0) {
        runs[end] = reversed(topOf(top, count)) ^ UPSIDE;
        runs[above] = belowTop(top, count);
        counts[onto] = 1;
        sizes[from] -= count;
        sizes[onto] = count;
        return;
      }
      if (rest > 0 && counts[from] > 1 && rest < lengthOf(runs[above - 1])) {
        const next = runs[above - 1];
        runs[end] = reversed(top) ^ UPSIDE;
        runs[end + 1] = reversed(topOf(next, rest)) ^ UPSIDE;
        runs[above - 1] = belowTop(next, rest);
        counts[from]--;
        counts[onto] = 2;
        sizes[from] -= count;
        sizes[onto] = count;
        return;
      }
    }
    this.lift(from, count, onto, false);
    this.turn(onto);
  }

  /** Copies runs to where they go on top, from the last to the first where they are dealt; gives where they end. */
  private copyRuns(from: number, to: number, end: number, dealt: boolean): number {
    const { runs } = this;
    let at = end;
    if (dealt) for (let run = to - 1; run >= from; run--) runs[at++] = reversed(runs[run]);
    else for (let run = from; run < to; run++) runs[at++] = runs[run];
    return at;
  }

  /** A whole packet goes on another. */
  putOn(packet: number, other: number): void {
    const { runs, counts, sizes } = this;
    if (counts[packet] + counts[other] > MANY_RUNS) {
      this.tidy(packet);
      this.tidy(other);
    }
    const [from, end, added] = [packet * ROOM, other * ROOM + counts[other], counts[packet]];
    for (let run = 0; run < added; run++) runs[end + run] = runs[from + run];
    counts[other] += added;
    sizes[other] += sizes[packet];
    counts[packet] = 0;
    sizes[packet] = 0;
  }

  /** A whole packet goes under another. */
  putUnder(packet: number, other: number): void {
    if (this.sizes[packet] === 0) return;
    this.tidy(packet);
    this.tidy(other);
    const { runs, counts, sizes } = this;
    const base = other * ROOM;
    const added = counts[packet];
    for (let run = counts[other] - 1; run >= 0; run--) runs[base + added + run] = runs[base + run];
    for (let run = 0; run < added; run++) runs[base + run] = runs[packet * ROOM + run];
    counts[other] += added;
    sizes[other] += sizes[packet];
    counts[packet] = 0;
    sizes[packet] = 0;
  }

  /** The top `count` cards (0 to size), as they are, go to the bottom. */
  cut(packet: number, count: number): void {
    if (count === 0 || count === this.sizes[packet]) return;
    this.tidy(packet);
    const at = this.split(packet, count + 1) + 1;
    const { runs } = this;
    const base = packet * ROOM;
    const end = packet * ROOM + this.counts[packet];
    reverseRuns(runs, base, at);
    reverseRuns(runs, at, end);
    reverseRuns(runs, base, end);
  }

  /** Turns a packet over: its order is reversed and every card shows its other side. */
  turn(packet: number): void {
    const { runs } = this;
    let low = packet * ROOM;
    let high = packet * ROOM + this.counts[packet] - 1;
    for (; low < high; low++, high--) {
      const run = reversed(runs[low]) ^ UPSIDE;
      runs[low] = reversed(runs[high]) ^ UPSIDE;
      runs[high] = run;
    }
    if (low === high) runs[low] = reversed(runs[low]) ^ UPSIDE;
  }

  /** Turns the card at a place (1 to size) over where it lies. */
  turnCard(packet: number, place: number): void {
    const index = this.alone(packet, place);
    this.runs[index] ^= UPSIDE;
  }

  /** Makes a run of its own of the card at a place; gives its index. */
  private alone(packet: number, place: number): number {
    this.tidy(packet);
    if (place < this.sizes[packet]) this.split(packet, place + 1);
    return this.split(packet, place);
  }

  /** The card at a place (1 to size) goes onto another packet. */
  take(from: number, place: number, onto: number): void {
    this.tidy(onto);
    const index = this.alone(from, place);
    const { runs, counts, sizes } = this;
    this.push(onto, runs[index]);
    closeAt(runs, index, from * ROOM + counts[from]--);
    sizes[from]--;
    sizes[onto]++;
  }

  /** The top card of a packet (it has one) goes into another, to lie at a place there (1 to size + 1). */
  insert(packet: number, into: number, place: number): void {
    if (place === 1) {
      this.lift(packet, 1, into, false);
      return;
    }
    this.tidy(into);
    this.alone(packet, 1);
    const { runs, counts, sizes } = this;
    const at = place > sizes[into] ? into * ROOM : this.split(into, place) + 1;
    openAt(runs, at, into * ROOM + counts[into]++);
    runs[at] = runs[packet * ROOM + --counts[packet]];
    sizes[packet]--;
    sizes[into]++;
  }

  /** The top `count` cards (0 to size), one to each of the packets in turn. */
  dealRound(from: number, count: number, onto: readonly number[]): void {
    const heaps = onto.length;
    this.tidy(from);
    for (const packet of onto) this.tidy(packet);
    const { runs, counts, sizes } = this;
    let index = from * ROOM + counts[from] - 1;
    if (this.widestStep(from) * heaps > MOST_STEP) {
      this.rewrite(from);
      index = from * ROOM;
    }
    if (heaps > MOST_STEP) {
      for (let card = 0; card < count; card++) this.lift(from, 1, onto[card % heaps], false);
      return;
    }
    for (let left = count, next = 0; left > 0; index--) {
      const run = runs[index];
      const length = Math.min(lengthOf(run), left);
      const step = stepOf(run);
      for (let heap = 0; heap < heaps && heap < length; heap++) {
        const packet = onto[(next + heap) % heaps];
        const dealt = Math.floor((length - 1 - heap) / heaps) + 1;
        // The last dealt lies on top.
        const top = startOf(run) + (heap + (dealt - 1) * heaps) * step;
        this.push(packet, runOf(top, dealt, -step * heaps, flagsOf(run)));
        sizes[packet] += dealt;
      }
      if (length < lengthOf(run)) runs[index++] = belowTop(run, length);
      next = (next + length) % heaps;
      left -= length;
    }
    counts[from] = index - from * ROOM + 1;
    sizes[from] -= count;
    for (const packet of onto) this.tidy(packet);
  }

  private widestStep(packet: number): number {
    let widest = 0;
    for (let index = packet * ROOM; index < packet * ROOM + this.counts[packet]; index++)
      widest = Math.max(widest, Math.abs(stepOf(this.runs[index])));
    return widest;
  }

  /** Lays a packet anew: at each index from 0 comes the card that lay at the index that `from` gives. */
  arrange(packet: number, from: (index: number, size: number) => number): void {
    const size = this.write(packet, this.written, 0);
    const before = this.written.slice(0, size);
    for (let index = 0; index < size; index++) this.written[index] = before[from(index, size)];
    this.lay(packet, size);
  }

  /** The top card of a packet that has one. */
  top(packet: number): Card {
    return this.row[startOf(this.runs[packet * ROOM + this.counts[packet] - 1])] & 127;
  }

  /** The card at a place (1 to size), whichever side it shows. */
  cardAt(packet: number, place: number): Card {
    const { runs } = this;
    let index = packet * ROOM + this.counts[packet] - 1;
    let above = place - 1;
    let run = runs[index];
    for (let length = lengthOf(run); above >= length; length = lengthOf(run)) {
      above -= length;
      run = runs[--index];
    }
    return this.row[startOf(run) + above * stepOf(run)] & 127;
  }

  /** Whether the card at a place (1 to size) lies face up. */
  isFaceUp(packet: number, place: number): boolean {
    const { runs } = this;
    let index = packet * ROOM + this.counts[packet] - 1;
    let above = place - 1;
    while (above >= lengthOf(runs[index])) above -= lengthOf(runs[index--]);
    const run = runs[index];
    return run < 0 !== this.row[startOf(run) + above * stepOf(run)] >= FACE_UP;
  }

  /** How many cards of a packet lie face up. */
  faceUpIn(packet: number): number {
    const { runs, row } = this;
    let count = 0;
    for (let index = packet * ROOM; index < packet * ROOM + this.counts[packet]; index++) {
      const run = runs[index];
      const length = lengthOf(run);
      if (!(run & MARKED)) {
        if (run < 0) count += length;
        continue;
      }
      let marked = 0;
      for (let at = startOf(run), left = length; left > 0; left--, at += stepOf(run)) marked += row[at] >> 7;
      count += run < 0 ? length - marked : marked;
    }
    return count;
  }

  /** The first place from `from` on where a card lies, or 0. */
  placeOf(packet: number, card: Card, from = 1): number {
    const { runs, row } = this;
    let place = 1;
    for (let index = packet * ROOM + this.counts[packet] - 1; index >= packet * ROOM; index--) {
      const run = runs[index];
      const length = lengthOf(run);
      const step = stepOf(run);
      const skipped = Math.min(length, Math.max(0, from - place));
      for (let at = startOf(run) + skipped * step, k = skipped; k < length; k++, at += step)
        if ((row[at] & 127) === card) return place + k;
      place += length;
    }
    return 0;
  }
}

/** Makes room for one run at an index, and takes one out there; written out, since a list is short. */
const openAt = (runs: Int32Array, index: number, end: number): void => {
  for (let at = end; at > index; at--) runs[at] = runs[at - 1];
};
const closeAt = (runs: Int32Array, index: number, end: number): void => {
  for (let at = index + 1; at < end; at++) runs[at - 1] = runs[at];
};

const reverseRuns = (runs: Int32Array, from: number, to: number): void => {
  for (let low = from, high = to - 1; low < high; low++, high--) {
    const run = runs[low];
    runs[low] = runs[high];
    runs[high] = run;
  }
};
