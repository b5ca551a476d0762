import { World } from './form';
import { MixedTable } from './mixedTable';
import { MOST_CARDS } from './packets';

/**
 * Worlds as texts: the packets, what pools of mixed cards hold in no order, and the values that are still read. Two
 * worlds with the same text go on in the same way.
 */
export class StateText {
  private written: Uint16Array | undefined;

  /** @param most how many values are read at most. */
  constructor(
    private readonly table: MixedTable,
    private readonly most: number,
  ) {}

  /** Room for a text: most machines write none. */
  private get letters(): Uint16Array {
    const { table, most } = this;
    const packets = table.sizes.length;
    return (this.written ??= new Uint16Array(packets + MOST_CARDS * (2 + packets - table.real) + 2 * most));
  }

  of({ table, values }: World, live: Int32Array): string {
    const { letters } = this;
    let length = 0;
    for (let packet = 0; packet < table.sizes.length; packet++) {
      letters[length++] = table.sizes[packet];
      const from = length;
      length += table.write(packet, letters, length);
      if (packet >= table.real) letters.subarray(from, length).sort();
    }
    for (const index of live) {
      const value = values[index];
      letters[length++] = value;
      letters[length++] = value >> 16;
    }
    // A letter for each: far faster than numbers with commas between them.
    return String.fromCharCode.apply(undefined, letters.subarray(0, length) as unknown as number[]);
  }

  /** Makes a world what a text says: its packets, and those of its values that are still read. */
  load(text: string, { values }: World, live: Int32Array): void {
    let at = 0;
    for (let packet = 0; packet < this.table.sizes.length; packet++) {
      const size = text.charCodeAt(at++);
      this.table.layAnew(packet, text.slice(at, at + size));
      at += size;
    }
    for (const index of live) {
      values[index] = text.charCodeAt(at) | (text.charCodeAt(at + 1) << 16);
      at += 2;
    }
  }
}
