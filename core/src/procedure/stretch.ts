import { AffineTable, alikeFrom, Even } from './affineTable';
import { Batch, even, Value } from './batch';
import { LARGEST, Made, NONE, Reader, Seen, World } from './form';
import type { MixedTable } from './mixedTable';
import { CANNOT, Choice, Do, HELD, Instruction, LEFT_OUT, OUT, Program } from './program';
import { FAILED_AT, HELD_AT, LEFT_AT, OUT_AT } from './tally';

/** So many values of a choice are run at once at most. */
export const MOST_AT_ONCE = 256;

/** What ways weigh. */
export type WaysWeigh = (choice: Choice, count: number) => Float64Array | undefined;

/**
 * Runs many values of a choice at once: what each instruction does to packets and numbers grows evenly with the value, so that
 * it is done once for all of them. Where worlds take different ways they part, and go on one part after the other.
 */
export class Stretch implements World {
  table: MixedTable;
  values: Int32Array;
  /** How many worlds ended how, by the fields of a tally. */
  readonly sums = new Float64Array(4);
  /** How many instructions were done, counting each world; how many values were tried, and in how many parts. */
  steps = 0;
  tries = 0;
  parts = 0;

  private now: Batch;
  private readonly waiting: Batch[] = [];
  private depth = 0;
  /** Lists of a number for each world: those below `used` are in use. */
  private readonly columns: Int32Array[] = [];
  private used = 0;
  /** By world: what all before it weigh. */
  private readonly weights = Float64Array.from({ length: MOST_AT_ONCE + 1 }, (_, world) => world);
  private isWeighed = false;
  /** What the table and the values were, where something was read world by world. */
  private readonly kept: AffineTable;
  private readonly keptValues: Int32Array;
  private isWritten = false;
  private weigh: WaysWeigh = () => undefined;
  private mayFail = true;
  private isGivenUp = false;

  /** @param world whose table and values are those before a choice: see `begin`. */
  constructor(
    private readonly program: Program,
    world: World,
  ) {
    this.table = world.table;
    this.values = world.values;
    const packets = world.table.counts.length;
    this.now = new Batch(packets, world.values.length);
    this.kept = new AffineTable(packets);
    this.keptValues = new Int32Array(world.values.length);
  }

  /**
   * Runs the worlds of some values of a choice, from the next instruction on.
   *
   * @param from the first value. @param worlds how many values: at most `MOST_AT_ONCE`.
   * @param weights by value, from the first on, what it weighs; undefined where each counts one.
   * @param mayFail whether worlds may fail: where not, the run ends with the first that does.
   * @returns whether it came to its end; `sums` then has these worlds, too.
   */
  run(
    at: number,
    value: number,
    { from, worlds, weights }: { from: number; worlds: number; weights: Float64Array | undefined },
    mayFail: boolean,
  ): boolean {
    if (weights || this.isWeighed)
      for (let world = 0; world < worlds; world++)
        this.weights[world + 1] = this.weights[world] + (weights ? weights[world] : 1);
    this.isWeighed = weights !== undefined;
    this.lay(at, worlds);
    this.now.values[value] = even(from, 1);
    this.mayFail = mayFail;
    this.tries += worlds;
    this.isGivenUp = false;
    this.go();
    while (this.takeNext()) this.go();
    this.depth = 0;
    this.restore();
    return !this.isGivenUp;
  }

  /** Goes on to worlds that wait; false where there are none, or no more are wanted. */
  private takeNext(): boolean {
    if (this.depth === 0 || this.isGivenUp) return false;
    const next = this.waiting[--this.depth];
    this.waiting[this.depth] = this.now;
    this.now = next;
    return true;
  }

  /**
   * Begins to count anew.
   *
   * @param world whose table and values are those before the choice.
   * @param weigh what the ways of a choice weigh; undefined where each counts one.
   */
  begin({ table, values }: World, weigh: WaysWeigh): void {
    this.table = table;
    this.values = values;
    this.weigh = weigh;
    this.sums.fill(0);
    this.steps = 0;
    this.tries = 0;
    this.parts = 0;
  }

  private lay(at: number, worlds: number): void {
    const { now, values } = this;
    now.at = at + 1;
    now.first = 0;
    now.worlds = worlds;
    now.weight = 1;
    now.table.read(this.table);
    for (let index = 0; index < values.length; index++) now.values[index] = even(values[index], 0);
    this.used = 0;
    this.isWritten = false;
  }

  /** The worlds of the batch go on until they end, or part. */
  private go(): void {
    const { code } = this.program;
    this.parts++;
    while (this.now.worlds > 0 && !this.isGivenUp) {
      const { now } = this;
      const instruction = code[now.at];
      this.steps += now.worlds;
      switch (instruction.kind) {
        case Do.Lift:
        case Do.LiftOver:
          this.lift(instruction);
          break;
        case Do.Cut:
          this.cut(instruction);
          break;
        case Do.Turn:
          now.table.turn(instruction.packet);
          now.at++;
          break;
        case Do.Put:
          this.put(instruction);
          break;
        case Do.Set:
          now.values[instruction.value] = even(instruction.to, 0);
          now.at++;
          break;
        case Do.Top:
          this.give(instruction, this.see({ what: 'top', packet: instruction.packet }, instruction.read));
          break;
        case Do.Give:
          this.give(instruction, this.valueOf(instruction.read));
          break;
        case Do.Test:
        case Do.Must:
          this.judge(instruction, this.valueOf(instruction.read));
          break;
        case Do.Jump:
          now.at = instruction.to;
          break;
        case Do.Branch:
          now.at = instruction.ways[now.values[instruction.value].base - 1];
          break;
        case Do.Choose:
          this.choose(instruction);
          break;
        case Do.End:
          this.end(instruction.to, 0, now.worlds);
          now.worlds = 0;
          break;
        default:
          throw new Error('this is not done for many worlds at once');
      }
    }
  }

  /** Worlds end. @param from the first of them in the batch. */
  private end(how: number, from: number, worlds: number): void {
    const field = how === HELD ? HELD_AT : how === OUT ? OUT_AT : how === LEFT_OUT ? LEFT_AT : FAILED_AT;
    if (field === FAILED_AT && !this.mayFail) this.isGivenUp = true;
    const { first, weight } = this.now;
    this.sums[field] += weight * (this.weights[first + from + worlds] - this.weights[first + from]);
  }

  /** Some worlds of the batch go on by themselves later. */
  private part(at: number, from: number, worlds: number): Batch {
    const { waiting, now } = this;
    if (this.depth === waiting.length) waiting.push(new Batch(this.table.counts.length, this.values.length));
    const batch = waiting[this.depth++];
    batch.copy(now, at, from, worlds);
    return batch;
  }

  /** All worlds of the batch but the first few go on by themselves, and do what comes now anew. */
  private keepFirst(worlds: number): void {
    const { now } = this;
    this.part(now.at, worlds, now.worlds - worlds);
    this.steps -= now.worlds - worlds;
    now.worlds = worlds;
  }

  /** What is lifted or cut in each world, where all do the same with it; undefined where they part or cannot do it. */
  private countFor({ value, packet, read }: Instruction): Even | undefined {
    const { now } = this;
    const count = value < 0 ? this.valueOf(read) : now.values[value];
    if (count.column !== undefined && now.worlds > 1) {
      for (let world = 0; world < now.worlds; world++) this.part(now.at, world, 1);
      this.steps -= now.worlds;
      now.worlds = 0;
      return undefined;
    }
    const base = count.column === undefined ? count.base : count.column[now.first];
    const { growth } = count;
    const rest = now.table.sizes[packet] - base;
    const restGrowth = now.table.sizeGrowths[packet] - growth;
    // Below 0, 0, above 0; and so what is left.
    const alike = Math.min(alikeFrom(base, growth, now.worlds), alikeFrom(rest, restGrowth, now.worlds));
    if (alike < now.worlds) this.keepFirst(alike);
    if (base < 0 || rest < 0) {
      this.end(CANNOT, 0, now.worlds);
      now.worlds = 0;
      return undefined;
    }
    return { base, growth };
  }

  private lift(instruction: Instruction): void {
    const { kind, packet, other, to } = instruction;
    const count = this.countFor(instruction);
    const { now } = this;
    if (!count) return;
    if (count.base > 0) {
      const dealt = kind === Do.Lift && to === 1;
      const alike = now.table.lift(packet, count, other, dealt, now.worlds);
      if (alike < now.worlds) {
        this.keepFirst(alike);
        now.table.lift(packet, count, other, dealt, now.worlds);
      }
    }
    if (kind === Do.LiftOver) now.table.turn(other);
    now.at += kind === Do.LiftOver ? 2 : 1;
    this.isGivenUp ||= !now.table.hasRoom;
  }

  private cut(instruction: Instruction): void {
    const { packet } = instruction;
    const count = this.countFor(instruction);
    const { now } = this;
    if (!count) return;
    const isNothing = count.base === 0 || count.base === now.table.sizes[packet];
    if (!isNothing) {
      const alike = now.table.cut(packet, count, now.worlds);
      if (alike < now.worlds) {
        this.keepFirst(alike);
        now.table.cut(packet, count, now.worlds);
      }
    }
    now.at++;
    this.isGivenUp ||= !now.table.hasRoom;
  }

  private put({ packet, other, to }: Instruction): void {
    const { now } = this;
    if (to === 1) now.table.putUnder(packet, other);
    else now.table.putOn(packet, other);
    now.at++;
    this.isGivenUp ||= !now.table.hasRoom;
  }

  /** A name holds a value; worlds in which there is none end. */
  private give({ value: name }: Instruction, value: Value): void {
    const { now } = this;
    now.values[name] = this.evenly(value);
    const { column, base } = value;
    if (column === undefined) {
      if (base === NONE) {
        this.end(CANNOT, 0, now.worlds);
        now.worlds = 0;
      }
      now.at++;
      return;
    }
    if (!column.subarray(now.first, now.first + now.worlds).includes(NONE)) {
      now.at++;
      return;
    }
    const isThere = this.fresh();
    for (let world = now.first; world < now.first + now.worlds; world++)
      isThere[world] = column[world] === NONE ? 0 : 1;
    this.partBy(isThere, (is, from, worlds) => {
      if (is === 0) this.end(CANNOT, from, worlds);
      return is === 0 ? undefined : now.at + 1;
    });
  }

  /** What grows evenly, though it was listed. */
  private evenly(value: Value): Value {
    const { column } = value;
    if (column === undefined) return value;
    const { first, worlds } = this.now;
    if (worlds === 1) return even(column[first], 0);
    const growth = column[first + 1] - column[first];
    for (let world = 2; world < worlds; world++)
      if (column[first + world] - column[first + world - 1] !== growth) return value;
    return even(column[first], growth);
  }

  private judge({ kind, to }: Instruction, held: Value): void {
    const { now } = this;
    const { column } = held;
    /** Where worlds go on in which it holds (1), does not (0) or cannot be said; they end where that is undefined. */
    const then = (is: number, from: number, worlds: number): number | undefined => {
      if (is === 1) return now.at + 1;
      if (is === 0 && kind === Do.Test) return to;
      this.end(is === 0 ? to : CANNOT, from, worlds);
      return undefined;
    };
    if (column !== undefined) {
      this.partBy(column, then);
      return;
    }
    const next = then(held.base, 0, now.worlds);
    if (next === undefined) now.worlds = 0;
    else now.at = next;
  }

  /**
   * The worlds part by what is listed for each.
   *
   * @param then where worlds one behind the other with the same go on; undefined where they have ended.
   */
  private partBy(
    list: Int32Array,
    then: (is: number, from: number, worlds: number) => number | undefined,
  ): void {
    const { now } = this;
    const { first, worlds: all } = now;
    for (let from = 0; from < all;) {
      const is = list[first + from];
      let to = from + 1;
      while (to < all && list[first + to] === is) to++;
      const next = then(is, from, to - from);
      if (from === 0 && to === all) {
        if (next !== undefined) {
          now.at = next;
          return;
        }
      } else if (next !== undefined) this.goOnAt(next, from, to - from);
      from = to;
    }
    now.worlds = 0;
  }

  /** Worlds of the batch go on elsewhere: those that are at their end there are counted at once. */
  private goOnAt(at: number, from: number, worlds: number): void {
    const { kind, to } = this.program.code[at];
    if (kind !== Do.End) {
      this.part(at, from, worlds);
      return;
    }
    this.steps += worlds;
    this.end(to, from, worlds);
  }

  private choose({ choice, value }: Instruction): void {
    const { now } = this;
    if (!choice) return;
    const count = choice.to(this);
    const weights = this.weigh(choice, count);
    this.tries += count * now.worlds;
    for (let way = count; way > 1; way--)
      this.chosen(this.part(now.at + 1, 0, now.worlds), value, way, weights);
    now.at++;
    this.chosen(now, value, 1, weights);
  }

  private chosen(batch: Batch, value: number, way: number, weights: Float64Array | undefined): void {
    batch.values[value] = even(way, 0);
    if (weights) batch.weight *= weights[way - 1];
  }

  /** What a reader gives in each world. */
  private valueOf(reader: Reader): Value {
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

  private fresh(): Int32Array {
    if (this.used === this.columns.length) this.columns.push(new Int32Array(MOST_AT_ONCE));
    return this.columns[this.used++];
  }

  private see(seen: Seen, reader: Reader): Value {
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

  private restore(): void {
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
