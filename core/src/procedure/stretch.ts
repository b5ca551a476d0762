import { alikeFrom, Even } from './affineTable';
import { Batch, even, Value } from './batch';
import { Columns, MOST_AT_ONCE } from './columns';
import { NONE, World } from './form';
import { CANNOT, Choice, Do, HELD, Instruction, LEFT_OUT, OUT, Program } from './program';
import { FAILED_AT, HELD_AT, LEFT_AT, OUT_AT } from './tally';

/** Where fewer worlds than this are at one instruction, on the whole, running them one by one is faster. */
export const WORTH = 5;
/** So many parts there may be before that is looked at. */
const MOST_PARTS = 500;

/** What ways weigh. */
export type WaysWeigh = (choice: Choice, count: number) => Float64Array | undefined;

/**
 * Runs many values of a choice at once: what each instruction does to packets and numbers grows evenly with the value, so that
 * it is done once for all of them. Where worlds take different ways they part, and go on one part after the other.
 */
export class Stretch {
  /** How many worlds ended how, by the fields of a tally. */
  readonly sums = new Float64Array(4);
  /** How many instructions were done, counting each world; how many values were tried, and in how many parts. */
  steps = 0;
  tries = 0;
  parts = 0;

  private now: Batch;
  private readonly waiting: Batch[] = [];
  private depth = 0;
  private readonly columns: Columns;
  /** By world: what all before it weigh. */
  private readonly weights = Float64Array.from({ length: MOST_AT_ONCE + 1 }, (_, world) => world);
  private isWeighed = false;
  private weigh: WaysWeigh = () => undefined;
  private mayFail = true;
  private isGivenUp = false;
  /** Whether it was given up since the worlds part too often. */
  isTooMuch = false;

  /** @param world whose table and values are those before a choice: see `begin`. */
  constructor(
    private readonly program: Program,
    private world: World,
  ) {
    this.now = this.newBatch();
    this.columns = new Columns(world, this.now);
  }

  private newBatch(): Batch {
    return new Batch(this.world.table.counts.length, this.world.values.length);
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
    this.weighBy(weights);
    this.lay(at, worlds);
    this.now.values[value] = even(from, 1);
    this.mayFail = mayFail;
    this.tries += worlds;
    this.isGivenUp = false;
    this.go();
    while (this.takeNext()) this.go();
    this.columns.restore();
    return !this.isGivenUp;
  }

  private weighBy(weights: Float64Array | undefined): void {
    if (weights === undefined && !this.isWeighed) return;
    const all = this.weights;
    for (let world = 0; world < MOST_AT_ONCE; world++)
      all[world + 1] = all[world] + (weights === undefined ? 1 : (weights.at(world) ?? 0));
    this.isWeighed = weights !== undefined;
  }

  /** Goes on to worlds that wait; false where there are none, or no more are wanted. */
  private takeNext(): boolean {
    if (this.depth === 0 || this.isGivenUp) return false;
    const next = this.waiting[--this.depth];
    this.waiting[this.depth] = this.now;
    this.now = next;
    this.columns.readIn(next);
    return true;
  }

  /**
   * Begins to count anew.
   *
   * @param world whose table and values are those before the choice.
   * @param weigh what the ways of a choice weigh; undefined where each counts one.
   */
  begin(world: World, weigh: WaysWeigh): void {
    this.world = world;
    this.weigh = weigh;
    this.sums.fill(0);
    this.steps = 0;
    this.tries = 0;
    this.parts = 0;
    this.isTooMuch = false;
  }

  private lay(at: number, worlds: number): void {
    const { now, columns, world } = this;
    const { table, values } = world;
    columns.begin(world);
    columns.readIn(now);
    // Nothing waits any more of a run that ended with an error.
    this.depth = 0;
    now.at = at + 1;
    now.first = 0;
    now.worlds = worlds;
    now.weight = 1;
    now.table.read(table);
    for (let index = 0; index < values.length; index++) now.values[index] = even(values[index], 0);
  }

  /** The worlds of the batch go on until they end, or part. */
  private go(): void {
    const { code } = this.program;
    this.parts++;
    if (this.parts > MOST_PARTS && this.tries < WORTH * this.parts) this.isGivenUp = this.isTooMuch = true;
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
          this.give(
            instruction,
            this.columns.see({ what: 'top', packet: instruction.packet }, instruction.read),
          );
          break;
        case Do.Give:
          this.give(instruction, this.columns.valueOf(instruction.read));
          break;
        case Do.Test:
        case Do.Must:
          this.judge(instruction, this.columns.valueOf(instruction.read));
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
    if (this.depth === waiting.length) waiting.push(this.newBatch());
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
    const count = value < 0 ? this.columns.valueOf(read) : now.values[value];
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
    now.values[name] = this.columns.evenly(value);
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
    const isThere = this.columns.fresh();
    for (let world = now.first; world < now.first + now.worlds; world++)
      isThere[world] = column[world] === NONE ? 0 : 1;
    this.partBy(isThere, (is, from, worlds) => {
      if (is === 0) this.end(CANNOT, from, worlds);
      return is === 0 ? undefined : now.at + 1;
    });
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
    const count = choice.to(this.world);
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
}
