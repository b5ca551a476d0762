/** A set of up to 64 things as two words of 32 bits. */
export interface Bits {
  readonly lo: number;
  readonly hi: number;
}

export const NO_BITS: Bits = { lo: 0, hi: 0 };

/** The set of one index, from 0 to 63. */
export const bit = (index: number): Bits =>
  index < 32 ? { lo: 1 << index, hi: 0 } : { lo: 0, hi: 1 << (index - 32) };

export const bitsOf = (indices: Iterable<number>): Bits => {
  let [lo, hi] = [0, 0];
  for (const index of indices) {
    if (index < 32) lo |= 1 << index;
    else hi |= 1 << (index - 32);
  }
  return { lo, hi };
};

/** The first so many indices. */
export const firstBits = (count: number): Bits => bitsOf(Array.from({ length: count }, (_, index) => index));

export const union = (a: Bits, b: Bits): Bits => ({ lo: a.lo | b.lo, hi: a.hi | b.hi });
export const without = (a: Bits, b: Bits): Bits => ({ lo: a.lo & ~b.lo, hi: a.hi & ~b.hi });
export const hasBit = ({ lo, hi }: Bits, index: number): boolean =>
  ((index < 32 ? lo >>> index : hi >>> (index - 32)) & 1) === 1;

/** How many bits of a word are set (Warren, “Hacker’s Delight”, 5-2). */
export const ones = (word: number): number => {
  let count = word - ((word >>> 1) & 0x55555555);
  count = (count & 0x33333333) + ((count >>> 2) & 0x33333333);
  return Math.imul((count + (count >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24;
};

/** The index of the lowest bit of two words, of which one is not 0. */
export const lowest = (lo: number, hi: number): number =>
  lo !== 0 ? 31 - Math.clz32(lo & -lo) : 63 - Math.clz32(hi & -hi);
