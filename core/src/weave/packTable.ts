const { imul } = Math;

/** Packs that were reached, each once, with how: rows of bytes that are found again by their content. */
export class PackTable {
  count = 0;
  private bytes: Uint8Array;
  private slots: Int32Array;
  /** By number: the pack that it was reached from, and by which step. */
  readonly from: number[] = [];
  readonly by: number[] = [];

  /** @param size bytes of a pack. */
  constructor(readonly size: number) {
    this.bytes = new Uint8Array(size * 1024);
    this.slots = new Int32Array(2048).fill(-1);
  }

  /** A pack by its number, in place: not to be written to. */
  at(number: number): Uint8Array {
    return this.bytes.subarray(number * this.size, (number + 1) * this.size);
  }

  /** The number of a pack, or −1. */
  find(pack: Uint8Array): number {
    const { slots } = this;
    const mask = slots.length - 1;
    for (let slot = hashOf(pack) & mask; ; slot = (slot + 1) & mask) {
      const number = slots[slot];
      if (number < 0 || this.is(number, pack)) return number;
    }
  }

  /** The steps by which a pack was reached, the last of them first. */
  trace(number: number): number[] {
    const steps: number[] = [];
    for (let at = number; this.from[at] >= 0; at = this.from[at]) steps.push(this.by[at]);
    return steps;
  }

  /** Adds a pack, where it is new. */
  add(pack: Uint8Array, from: number, by: number): void {
    if (this.find(pack) >= 0) return;
    if (this.count * 2 >= this.slots.length) this.grow();
    const needed = (this.count + 1) * this.size;
    if (needed > this.bytes.length) {
      const longer = new Uint8Array(2 * needed);
      longer.set(this.bytes);
      this.bytes = longer;
    }
    this.bytes.set(pack, this.count * this.size);
    this.put(this.slots, this.count);
    this.from.push(from);
    this.by.push(by);
    this.count++;
  }

  private is(number: number, pack: Uint8Array): boolean {
    const { bytes, size } = this;
    for (let index = 0, at = number * size; index < size; index++, at++)
      if (bytes[at] !== pack[index]) return false;
    return true;
  }

  private put(slots: Int32Array, number: number): void {
    const mask = slots.length - 1;
    let slot = hashOf(this.at(number)) & mask;
    while (slots[slot] >= 0) slot = (slot + 1) & mask;
    slots[slot] = number;
  }

  private grow(): void {
    const slots = new Int32Array(this.slots.length * 2).fill(-1);
    for (let number = 0; number < this.count; number++) this.put(slots, number);
    this.slots = slots;
  }
}

/** FNV-1a with a last mixing, as packs differ little. */
const hashOf = (pack: Uint8Array): number => {
  let hash = 0x811c9dc5;
  for (const card of pack) hash = imul(hash ^ card, 0x01000193);
  hash ^= hash >>> 15;
  return imul(hash, 0x85ebca6b) >>> 1;
};
