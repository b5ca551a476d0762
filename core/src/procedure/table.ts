import { MANY_RUNS, Packets, ROOM } from './packets';
import {
  belowTop,
  closeAt,
  flagsOf,
  lengthOf,
  MOST_STEP,
  openAt,
  reversed,
  reverseRuns,
  runOf,
  startOf,
  stepOf,
  topOf,
  UPSIDE,
} from './run';

export class Table extends Packets {
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
  protected alone(packet: number, place: number): number {
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

  /** The card at a place (1 to size) is taken off the table. */
  protected drop(packet: number, place: number): void {
    const index = this.alone(packet, place);
    closeAt(this.runs, index, packet * ROOM + this.counts[packet]--);
    this.sizes[packet]--;
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
}
