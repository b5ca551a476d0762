import { AffineTable, Even } from './affineTable';
import { Batch, even, Value } from './batch';
import { LARGEST, Made, NONE, Reader, Seen, World } from './form';
import type { MixedTable } from './mixedTable';

/** So many worlds are run at once at most. */
export const MOST_AT_ONCE = 256;

/**
 * Reads expressions in all worlds of a batch: what grows evenly as such, the rest as a list of a number for each world. Lists
 * have a place for every world that was begun with, so that parts of a batch share them; they are never written to again.
 */
export class Columns implements World {
  table: MixedTable;
  values: Int32Array;
  private now: Batch;
  /** Lists that were made once: those below `used` are in use. */
  private readonly lists: Int32Array[] = [];
  private used = 0;
  /** What the table and the values were, where something was read world by world. */
  private readonly kept: AffineTable;
  private readonly keptValues: Int32Array;
  private isWritten = false;

  /** @param world whose table and values are those before a choice: see `begin`. @param batch what is read in. */
  constructor({ table, values }: World, batch: Batch) {
    this.table = table;
    this.values = values;
    this.now = batch;
    this.kept = new AffineTable(table.counts.length);
    this.keptValues = new Int32Array(values.length);
  }

  /** Begins anew in a world: no list is in use any more. */
  begin({ table, values }: World): void {
    this.table = table;
    this.values = values;
    this.used = 0;
    this.isWritten = false;
  }

  /** From now on it is read in another batch. */
  readIn(batch: Batch): void {
    this.now = batch;
  }

  /** What grows evenly, though it was listed. */
  evenly(value: Value): Value {
    const { column } = value;
    if (column === undefined) return value;
    const { first, worlds } = this.now;
    if (worlds === 1) return even(column[first], 0);
    const growth = column[first + 1] - column[first];
    for (let world = 2; world < worlds; world++)
      if (column[first + world] - column[first + world - 1] !== growth) return value;
    return even(column[first], growth);
  }

  /** What a reader gives in each world. */
  valueOf(reader: Reader): Value {
    const { constant, index, made, seen } = reader;
    if (constant !== undefined) return even(constant, 0);
    if (index !== undefined) return this.now.values[index];
    if (seen) return this.see(seen, reader);
    if (!made) return this.readEach(reader);
    return this.make(made);
  }

  private make({ parts, of, table, times, equal }: Made): Value {
    const { first, worlds } = this.now;
    const one = this.valueOf(parts[0]);
    const other = parts[1] ? this.valueOf(parts[1]) : NOTHING;
    if (isSame(one) && isSame(other)) return even(of(one.base, other.base), 0);
    const sum = times && this.sum(one, other, times);
    if (sum) return sum;
    const column = this.fresh();
    const a = this.listed(one);
    const end = first + worlds;
    if (table) {
      lookAllUp(table, a, column, first, end);
      return { base: 0, growth: 0, column };
    }
    const b = this.listed(other);
    if (equal) areAllSame(a, b, column, first, end);
    else for (let world = first; world < end; world++) column[world] = of(a[world], b[world]);
    return { base: 0, growth: 0, column };
  }

  /** A sum or difference that grows evenly; undefined where a part does not, or may be none or too large. */
  private sum(one: Value, other: Value, times: 1 | -1): Value | undefined {
    if (one.column || other.column || isNone(one) || isNone(other)) return undefined;
    const [base, growth] = [one.base + times * other.base, one.growth + times * other.growth];
    const last = base + growth * (this.now.worlds - 1);
    return Math.max(Math.abs(base), Math.abs(last)) > LARGEST ? undefined : even(base, growth);
  }

  /** A value as a list by the index of each world. */
  private listed({ base, growth, column }: Value): Int32Array {
    if (column) return column;
    const { first, worlds } = this.now;
    const list = this.fresh();
    for (let world = 0, value = base; world < worlds; world++, value += growth) list[first + world] = value;
    return list;
  }

  /** A list to be written to. */
  fresh(): Int32Array {
    if (this.used === this.lists.length) this.lists.push(new Int32Array(MOST_AT_ONCE));
    return this.lists[this.used++];
  }

  /** What is looked at in each world. @param reader does the same in one. */
  see(seen: Seen, reader: Reader): Value {
    const { table, first, worlds } = this.now;
    const { what, packet } = seen;
    if (what === 'size') return even(table.sizes[packet], table.sizeGrowths[packet]);
    if (what === 'face up') {
      const up = table.faceUpIn(packet);
      return up ? even(up.base, up.growth) : this.readEach(reader);
    }
    if (what !== 'card at') {
      if (table.counts[packet] === 0) return even(NONE, 0);
      return this.cardsAt(what === 'top' ? table.topAt(packet) : table.faceAt(packet));
    }
    const place = this.valueOf(seen.place);
    const evenly = place.column ? undefined : this.evenlyAt(packet, place);
    if (evenly) return this.cardsAt(evenly);
    const places = this.listed(place);
    const column = this.fresh();
    const { row } = this.table;
    for (let world = 0; world < worlds; world++) {
      const at = places[first + world];
      const size = table.sizes[packet] + world * table.sizeGrowths[packet];
      column[first + world] = at < 1 || at > size ? NONE : row[table.cardAt(packet, at, world)] & 127;
    }
    return { base: 0, growth: 0, column };
  }

  /** Where the cards at places that grow evenly lie in the row; undefined where a place is none, or it is uneven. */
  private evenlyAt(packet: number, { base, growth }: Value): Even | undefined {
    const { table, worlds } = this.now;
    const last = base + growth * (worlds - 1);
    const [size, grows] = [table.sizes[packet], table.sizeGrowths[packet]];
    const isThere = base >= 1 && last >= 1 && base <= size && last <= size + grows * (worlds - 1);
    return isThere ? table.evenlyAt(packet, { base, growth }, worlds) : undefined;
  }

  /** The cards that lie evenly apart in the row. */
  private cardsAt({ base, growth }: Even): Value {
    const { row } = this.table;
    if (growth === 0) return even(row[base] & 127, 0);
    const { first, worlds } = this.now;
    const column = this.fresh();
    for (let world = 0, at = base; world < worlds; world++, at += growth)
      column[first + world] = row[at] & 127;
    return { base: 0, growth: 0, column };
  }

  /** What is read world by world, each laid on the table as it is. */
  private readEach(reader: Reader): Value {
    const { now, values } = this;
    if (!this.isWritten) {
      this.kept.read(this.table);
      this.keptValues.set(values);
      this.isWritten = true;
    }
    const column = this.fresh();
    for (let world = 0; world < now.worlds; world++) {
      now.table.write(this.table, world);
      for (let index = 0; index < values.length; index++) {
        const { base, growth, column: listed } = now.values[index];
        values[index] = listed ? listed[now.first + world] : base + world * growth;
      }
      column[now.first + world] = reader(this);
    }
    return { base: 0, growth: 0, column };
  }

  /** The table and the values are what they were at first. */
  restore(): void {
    if (!this.isWritten) return;
    this.kept.write(this.table, 0);
    this.values.set(this.keptValues);
  }
}

/** In a loop of its own, as the one below: what is met most often is done without a call for each world. */
const lookAllUp = (table: Int32Array, at: Int32Array, into: Int32Array, first: number, end: number): void => {
  const { length } = table;
  for (let world = first; world < end; world++) {
    const index = at[world];
    into[world] = index >= 0 && index < length ? table[index] : NONE;
  }
};

const areAllSame = (
  one: Int32Array,
  other: Int32Array,
  into: Int32Array,
  first: number,
  end: number,
): void => {
  for (let world = first; world < end; world++) {
    const [a, b] = [one[world], other[world]];
    into[world] = a === NONE || b === NONE ? NONE : a === b ? 1 : 0;
  }
};

const NOTHING = even(0, 0);

const isNone = ({ base, growth }: Value): boolean => growth === 0 && base === NONE;

const isSame = ({ growth, column }: Value): boolean => growth === 0 && column === undefined;
