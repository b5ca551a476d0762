import { Card } from '../deck/card';
import { FACE_UP, lengthOf, MARKED, ROW, runOf, startOf, stepOf, UPSIDE } from './run';

/** All indifferent cards are this one: they are alike. Every other card's number is below it. */
export const INDIFFERENT: Card = 127;

/** How many runs a packet has room for; with more than half of them it is written anew as one. */
export const ROOM = 64;
export const MANY_RUNS = 31;

/** The most cards on a table: what a run's length can hold. */
export const MOST_CARDS = 255;

/** How long the row is at first: most procedures lay few cards anew, and are run often. */
const FIRST_ROW = 1 << 11;

/** Where cards are written before they are laid anew: nothing stays in it between two moves. */
const WRITTEN = new Uint8Array(MOST_CARDS);

/** Thrown where so much is kept for choices that were not tried yet that the row has no room. */
export class TableFull extends Error {}

/**
 * Packets of cards, and what lies where in them. A packet is a list of runs over a row of cards, its face first, so that
 * its top is the list's end and most of what people do moves a few integers and no card.
 */
export class Packets {
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
  protected readonly written = WRITTEN;

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
  protected lay(packet: number, size: number): void {
    this.counts[packet] = 0;
    this.sizes[packet] = 0;
    this.layOn(packet, 0, size);
  }

  /** Cards of `written` from an index on, the top one first, go onto a packet. */
  private layOn(packet: number, from: number, count: number): void {
    if (count === 0) return;
    this.reserve(count);
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

  /** Sees to it that so many cards can be laid without laying others anew. */
  protected reserve(count: number): void {
    if (this.free + count > this.row.length) this.makeRoom(count);
  }

  protected push(packet: number, run: number): void {
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
  protected tidy(packet: number): void {
    if (this.counts[packet] <= MANY_RUNS) return;
    this.rewrite(packet);
  }

  protected rewrite(packet: number): void {
    const size = this.write(packet, this.written, 0);
    this.lay(packet, size);
  }

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
