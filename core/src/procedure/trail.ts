import { ROOM } from './packets';
import { MixedTable } from './mixedTable';

/**
 * Worlds as they were before choices that are not all tried yet, one behind the other in one row of integers: where
 * the table's row was free, where the next one begins, how often was mixed, the values that are read later, and each packet's runs.
 */
export class Trail {
  private saved = new Int32Array(256);

  constructor(
    private readonly table: MixedTable,
    private readonly values: Int32Array,
  ) {}

  /** Where the one behind that at `from` begins. */
  endOf(from: number): number {
    return this.saved[from + 1];
  }

  /** Where the table's row was free in the one at `from`. */
  freeAt(from: number): number {
    return this.saved[from];
  }

  /** Keeps the world as it is at `from`, with these values of it. */
  save(from: number, live: Int32Array): void {
    const { table, values } = this;
    const { counts, sizes, runs } = table;
    const most = from + 3 + live.length + counts.length * (ROOM + 2);
    while (this.saved.length < most) this.grow();
    const { saved } = this;
    let at = from + 3;
    // Counted by hand: a loop over the items is slower here.
    for (let index = 0, count = live.length; index < count; index++) saved[at++] = values[live[index]];
    for (let packet = 0, base = 0; packet < counts.length; packet++, base += ROOM) {
      const count = counts[packet];
      saved[at++] = count;
      saved[at++] = sizes[packet];
      for (let run = base; run < base + count; run++) saved[at++] = runs[run];
    }
    saved[from] = table.free;
    saved[from + 1] = at;
    saved[from + 2] = table.mixes;
  }

  /** Makes the world again what it was at `from`, with these values of it. */
  restore(from: number, live: Int32Array): void {
    const { table, values, saved } = this;
    const { counts, sizes, runs } = table;
    let at = from + 3;
    for (let index = 0, count = live.length; index < count; index++) values[live[index]] = saved[at++];
    for (let packet = 0, base = 0; packet < counts.length; packet++, base += ROOM) {
      const count = saved[at++];
      counts[packet] = count;
      sizes[packet] = saved[at++];
      for (let run = base; run < base + count; run++) runs[run] = saved[at++];
    }
    table.free = saved[from];
    table.mixes = saved[from + 2];
  }

  private grow(): void {
    const larger = new Int32Array(2 * this.saved.length);
    larger.set(this.saved);
    this.saved = larger;
  }
}
