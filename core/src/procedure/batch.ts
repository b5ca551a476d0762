import { AffineTable } from './affineTable';

/** What a name holds in many worlds: a number that grows evenly, or one for each world by its index. */
export interface Value {
  readonly base: number;
  readonly growth: number;
  readonly column: Int32Array | undefined;
}

/** Worlds one behind the other that are at the same instruction, and differ only in what grows evenly or is listed. */
export class Batch {
  at = 0;
  /** The index of the first world among all that were begun with, and how many there are. */
  first = 0;
  worlds = 0;
  /** How likely the ways are that were chosen. */
  weight = 1;
  readonly table: AffineTable;
  readonly values: Value[];

  constructor(packets: number, values: number) {
    this.table = new AffineTable(packets);
    this.values = new Array<Value>(values);
  }

  /** Becomes some of another's worlds. @param from the index of the first of them there. */
  copy(other: Batch, at: number, from: number, worlds: number): void {
    this.at = at;
    this.first = other.first + from;
    this.worlds = worlds;
    this.weight = other.weight;
    this.table.copy(other.table, from);
    for (let index = 0; index < this.values.length; index++) {
      const value = other.values[index];
      const { base, growth, column } = value;
      if (column === undefined)
        this.values[index] = growth === 0 ? value : even(base + from * growth, growth);
      else this.values[index] = worlds === 1 ? even(column[this.first], 0) : value;
    }
  }
}

export const even = (base: number, growth: number): Value => ({ base, growth, column: undefined });
