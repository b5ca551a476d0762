import { Rng } from '../deck/rng';
import { NONE, World } from './forms';
import { likelihoods } from './likely';
import { liveValues } from './live';
import { Choice, Do, CANNOT, CLAIM, HELD, LEFT_OUT, OUT, Program, Promised, UNKNOWN, UNSET } from './program';
import { MOST_CARDS, ROOM, Table, TableFull } from './table';

/** How worlds ended: how many, or how likely, of each kind. */
export interface Tally {
  held: number;
  outs: number;
  failed: number;
  leftOut: number;
}

export type Why = 'claim' | 'cannot be done' | 'not known';

/** A world that failed: the choices in the order in which they were made, and where and why it ended. */
export interface Failure {
  readonly choices: readonly (readonly [name: string, value: number])[];
  /** The path of the step. */
  readonly at: string;
  readonly why: Why;
}

/** The most failures that are listed. */
export const MOST_FAILURES = 1000;

/** How a machine goes through a program. */
export interface Way {
  /** Weighs every choice by its likelihood; otherwise each world counts one. */
  readonly weigh?: boolean;
  /** What is claimed to be known and is not, found by a run before: by claim, the sights that leave it open. */
  readonly open?: readonly ReadonlySet<string>[];
  /** Is shown every world that ends well; worlds that are alike are not taken together then. */
  readonly visit?: (machine: Machine) => void;
  /** Chooses and shuffles by chance: one world, from the beginning to its end, each time it is run. */
  readonly rng?: Rng;
  /** From how many times on a choice is compared with the worlds that it met before. */
  readonly often?: number;
}

/** So many worlds that are alike are kept; beyond it each is run. */
const MOST_KEPT = 300_000;
/** A choice is compared from so many times on: before, running it again costs less. */
const OFTEN = 4096;
/** After so many worlds of which few were alike a choice compares no more. */
const ENOUGH_COMPARED = 4096;

/** What a run has found of one choice: the worlds that it met before, and how that went. */
interface Met {
  readonly worlds: Map<string, Float64Array>;
  times: number;
  compared: number;
  alike: number;
}

/** A choice whose values are being tried. */
interface Frame {
  at: number;
  choice: Choice;
  value: number;
  high: number;
  /** The chance of the value by its distance from `low`; undefined where each world counts one. */
  weights: Float64Array | undefined;
  low: number;
  /** Where the world as it was before the choice is kept. */
  saved: number;
  /** What it is remembered by, if it is. */
  key: string | undefined;
}

/** So many instructions are counted down in a small integer. */
const MOST_AT_ONCE = 2 ** 30;

/** No instruction: all worlds have been run. */
const DONE = -7;
/** A world that was met before: what came of it has been added. */
const ALIKE = -8;

const FIELDS = 4;
const [HELD_AT, OUT_AT, FAILED_AT, LEFT_AT] = [0, 1, 2, 3];

/**
 * Runs a program through every combination of its choices, depth first. What comes before a choice is done once; where
 * a choice is met again in a world that is alike, what came of it is added and not run again.
 */
export class Machine implements World {
  readonly table: Table;
  readonly values: Int32Array;
  readonly failures: Failure[] = [];
  /** How many instructions were done. */
  steps = 0;
  /** Set where the table could not hold all that was to be kept: the run ended there. */
  full = false;
  /** By claim: what is known by sights, or NONE where they leave it open. */
  readonly known: readonly Map<string, number>[];

  private at = 0;
  private depth = 0;
  private readonly frames: Frame[] = [];
  /** By depth: what came of the worlds tried there. */
  private sums = new Float64Array(64 * FIELDS);
  private saved = new Int32Array(4096);
  private readonly met: (Met | undefined)[];
  private readonly live: readonly Int32Array[];
  /** What the value that is tried last weighs. */
  private weight = 1;
  /** The claim that the world failed to know first, from 1; kept beside the values. */
  private readonly unknown: number;
  private readonly bytes: Uint8Array;
  /** The weights of each choice as they were last. */
  private readonly weighed = new Map<Choice, { low: number; high: number; weights: Float64Array }>();

  constructor(
    readonly program: Program,
    private readonly way: Way = {},
  ) {
    this.table = new Table(program.start);
    this.unknown = program.values;
    this.values = new Int32Array(program.values + 1).fill(UNSET);
    this.values[this.unknown] = 0;
    this.bytes = new Uint8Array(program.packets.length + MOST_CARDS);
    this.known = program.claims.map(() => new Map<string, number>());
    this.met = program.code.map(() => undefined);
    this.table.kept = this.table.free;
    this.live = liveValues(program);
    if (way.rng) this.save(0, this.all);
  }

  /** What came of all worlds that were run. */
  get tally(): Tally {
    const total = new Float64Array(FIELDS);
    // What is on its way counts as far as it has come.
    for (let depth = this.depth; depth >= 0; depth--) {
      for (let field = 0; field < FIELDS; field++)
        total[field] = this.sums[depth * FIELDS + field] + total[field] * this.weightAt(depth);
    }
    return {
      ...{ held: total[HELD_AT], outs: total[OUT_AT] },
      ...{ failed: total[FAILED_AT], leftOut: total[LEFT_AT] },
    };
  }

  /** How far the run is, by the values of its first choice: from 0 to 1. */
  get progress(): number {
    if (this.at === DONE) return 1;
    const [first] = this.frames;
    return this.depth === 0 ? 0 : (first.value - first.low) / (first.high - first.low + 1);
  }

  /** The choices of the world that is being run. */
  get choices(): Failure['choices'] {
    return this.frames.slice(0, this.depth).map(({ choice, value }) => [choice.name, value]);
  }

  /** Goes on until so many instructions were done; true when all worlds have been run. */
  run(until: number): boolean {
    try {
      return this.go(until);
    } catch (error) {
      if (!(error instanceof TableFull)) throw error;
      this.full = true;
      return false;
    }
  }

  private go(until: number): boolean {
    const { code } = this.program;
    const rng = this.way.rng ?? noChance;
    let at = this.at;
    const most = Math.min(until - this.steps, MOST_AT_ONCE);
    let left = most | 0;
    while (at !== DONE && left > 0) {
      left--;
      const instruction = code[at];
      switch (instruction.kind) {
        case Do.Act:
          at = instruction.act(this, rng) ? at + 1 : this.end(CANNOT, at);
          break;
        case Do.Give: {
          const value = instruction.read(this);
          this.values[instruction.value] = value;
          at = value === NONE ? this.end(CANNOT, at) : at + 1;
          break;
        }
        case Do.Test: {
          const held = instruction.read(this);
          at = held === 1 ? at + 1 : held === 0 ? instruction.to : this.end(CANNOT, at);
          break;
        }
        case Do.Must: {
          const held = instruction.read(this);
          at = held === 1 ? at + 1 : this.end(held === 0 ? instruction.to : CANNOT, at);
          break;
        }
        case Do.Jump:
          at = instruction.to;
          break;
        case Do.Choose:
          at = this.choose(instruction.choice as Choice, at);
          break;
        case Do.Branch:
          at = instruction.ways[this.values[instruction.value] - 1];
          break;
        case Do.Rounds: {
          const times = instruction.read(this);
          this.values[instruction.value] = times;
          at = times < 0 || times > instruction.to ? this.end(CANNOT, at) : at + 1;
          break;
        }
        case Do.Round:
          at = this.values[instruction.value]-- > 0 ? at + 1 : instruction.to;
          break;
        case Do.Known:
          at = this.look(instruction.read(this), instruction.to) ? at + 1 : this.end(CANNOT, at);
          break;
        case Do.End:
          at = this.end(instruction.to, at);
      }
    }
    this.steps += most - left;
    this.at = at;
    return at === DONE || (this.steps < until && this.go(until));
  }

  /** Whether something claimed to be known can be worked out at all; notes what it is under these sights. */
  private look(value: number, claim: number): boolean {
    if (value === NONE) return false;
    if (this.way.rng) return true;
    const sights = this.program.sights.map((index) => this.values[index]).join();
    if (this.way.open) {
      if (this.values[this.unknown] === 0 && this.way.open[claim].has(sights))
        this.values[this.unknown] = claim + 1;
      return true;
    }
    const before = this.known[claim].get(sights);
    if (before === undefined) this.known[claim].set(sights, value);
    else if (before !== value) this.known[claim].set(sights, NONE);
    return true;
  }

  private choose(choice: Choice, at: number): number {
    const low = choice.from(this);
    const high = choice.to(this);
    if (low === NONE || high === NONE || low > high) return this.end(CANNOT, at);
    if (this.way.rng) return this.draw(choice, low, high, at, this.way.rng);
    const key = this.way.visit ? undefined : this.keyAt(at);
    if (key === ALIKE) return this.next();
    const { depth } = this;
    const saved = depth === 0 ? 0 : this.frames[depth - 1].saved + this.savedAt(depth - 1);
    const weights = this.way.weigh ? this.weightsOf(choice, low, high) : undefined;
    if (depth === this.frames.length)
      this.frames.push({ at, choice, value: low, high, weights, low, saved, key });
    const frame = this.frames[depth];
    frame.at = at;
    frame.choice = choice;
    frame.value = low - 1;
    frame.high = high;
    frame.weights = weights;
    frame.low = low;
    frame.saved = saved;
    frame.key = key;
    this.depth++;
    if (this.sums.length <= this.depth * FIELDS + FIELDS) this.sums = grown(this.sums);
    this.sums.fill(0, this.depth * FIELDS, this.depth * FIELDS + FIELDS);
    this.save(saved, this.live[at]);
    this.table.kept = this.table.free;
    return this.next();
  }

  private weightsOf(choice: Choice, low: number, high: number): Float64Array {
    const last = this.weighed.get(choice);
    if (last?.low === low && last.high === high) return last.weights;
    const weights = likelihoods(choice.likely, low, high);
    if (!weights) throw new TableFull();
    this.weighed.set(choice, { low, high, weights });
    return weights;
  }

  /** One value by chance. */
  private draw(choice: Choice, low: number, high: number, at: number, rng: Rng): number {
    const weights = this.weightsOf(choice, low, high);
    // Nothing weighs anything.
    if (weights.every((weight) => weight === 0)) return this.end(LEFT_OUT, at);
    let left = rng();
    let value = low;
    while (value < high && left >= weights[value - low]) left -= weights[value++ - low];
    this.values[choice.value] = value;
    return at + 1;
  }

  /** The next value of the last choice that has one, in the world as it was before. */
  private next(): number {
    while (this.depth > 0) {
      const frame = this.frames[this.depth - 1];
      const value = this.following(frame);
      if (value <= frame.high) {
        this.restore(frame.saved, this.live[frame.at]);
        frame.value = value;
        if (frame.weights) this.weight = frame.weights[value - frame.low];
        this.values[frame.choice.value] = value;
        return frame.at + 1;
      }
      this.leave(frame);
    }
    return DONE;
  }

  /** The next value that is worth trying; above `high` where there is none. */
  private following(frame: Frame): number {
    const { weights, low, high, choice } = frame;
    let value = frame.value + 1;
    if (choice.promise && this.way.visit) {
      this.restore(frame.saved, this.live[frame.at]);
      return nextKept(choice.promise, this.table, value, high);
    }
    if (weights) while (value <= high && weights[value - low] === 0) value++;
    return value;
  }

  /** A choice all of whose values were tried: what came of them is added to what came before it. */
  private leave({ at, key }: Frame): void {
    const here = this.depth * FIELDS;
    const above = here - FIELDS;
    if (key !== undefined) this.keep(at, key, this.sums.slice(here, here + FIELDS));
    this.depth--;
    const weight = this.weightAt(this.depth);
    for (let field = 0; field < FIELDS; field++) this.sums[above + field] += weight * this.sums[here + field];
    this.table.kept = this.depth === 0 ? 0 : this.saved[this.frames[this.depth - 1].saved];
  }

  /** What the value that is tried at a depth weighs. */
  private weightAt(depth: number): number {
    if (depth === 0) return 1;
    const { weights, value, low } = this.frames[depth - 1];
    return weights ? weights[value - low] : 1;
  }

  /** The end of a world: how it counts; gives where the next one goes on. */
  private end(outcome: number, at: number): number {
    const missed = this.values[this.unknown];
    const ended = missed > 0 && (outcome === HELD || outcome === OUT) ? UNKNOWN : outcome;
    const field =
      ended === HELD ? HELD_AT : ended === OUT ? OUT_AT : ended === LEFT_OUT ? LEFT_AT : FAILED_AT;
    this.sums[this.depth * FIELDS + field] += this.weight;
    if (field === FAILED_AT && this.failures.length < MOST_FAILURES) {
      const path = ended === UNKNOWN ? this.program.claims[missed - 1] : this.program.paths[at];
      this.failures.push({ choices: this.choices, at: path, why: WHY[ended as keyof typeof WHY] });
    }
    if (ended === HELD) this.way.visit?.(this);
    return this.next();
  }

  /** Begins another world by chance. */
  again(): void {
    this.restore(0, this.all);
    this.table.kept = this.table.free;
    this.at = 0;
  }

  /** What the world at a choice is remembered by; ALIKE where one like it was met, which is added then. */
  private keyAt(at: number): string | typeof ALIKE | undefined {
    const met = (this.met[at] ??= { worlds: new Map(), times: 0, compared: 0, alike: 0 });
    if (met.times++ < (this.way.often ?? OFTEN)) return undefined;
    if (met.compared >= ENOUGH_COMPARED && met.alike * 16 < met.compared) return undefined;
    met.compared++;
    const key = this.worldKey(at);
    const before = met.worlds.get(key);
    // Failures are listed one by one, until there are enough.
    if (!before || (before[FAILED_AT] > 0 && this.failures.length < MOST_FAILURES)) return key;
    met.alike++;
    const here = this.depth * FIELDS;
    const weight = this.weightAt(this.depth);
    for (let field = 0; field < FIELDS; field++) this.sums[here + field] += weight * before[field];
    return ALIKE;
  }

  /** The packets, and the values that are still read, as a text. */
  private worldKey(at: number): string {
    const { table, bytes, values } = this;
    let length = 0;
    for (let packet = 0; packet < table.sizes.length; packet++) {
      bytes[length++] = table.sizes[packet];
      length += table.write(packet, bytes, length);
    }
    let key = String.fromCharCode(...bytes.subarray(0, length));
    for (const value of this.live[at]) key += `,${values[value]}`;
    return key;
  }

  private keep(at: number, key: string, sums: Float64Array): void {
    const met = this.met[at];
    if (met && met.worlds.size < MOST_KEPT) met.worlds.set(key, sums);
  }

  /** How much room the world of a frame takes. */
  private savedAt(frame: number): number {
    return this.saved[this.frames[frame].saved + 1];
  }

  /** All values. */
  private get all(): Int32Array {
    return Int32Array.from(this.values.keys());
  }

  /** Keeps the world as it is: where the row is free, how much room this takes, what is read of it later, and each packet. */
  private save(from: number, live: Int32Array): void {
    const { table, values } = this;
    const { counts, sizes, runs } = table;
    const most = from + 2 + live.length + counts.length * (ROOM + 2);
    while (this.saved.length < most) this.saved = grown(this.saved);
    const { saved } = this;
    let at = from + 2;
    for (let index = 0; index < live.length; index++) saved[at++] = values[live[index]];
    for (let packet = 0, base = 0; packet < counts.length; packet++, base += ROOM) {
      const count = counts[packet];
      saved[at++] = count;
      saved[at++] = sizes[packet];
      for (let run = base; run < base + count; run++) saved[at++] = runs[run];
    }
    saved[from] = table.free;
    saved[from + 1] = at - from;
  }

  private restore(from: number, live: Int32Array): void {
    const { table, values, saved } = this;
    const { counts, sizes, runs } = table;
    let at = from + 2;
    for (let index = 0; index < live.length; index++) values[live[index]] = saved[at++];
    for (let packet = 0, base = 0; packet < counts.length; packet++, base += ROOM) {
      const count = saved[at++];
      counts[packet] = count;
      sizes[packet] = saved[at++];
      for (let run = base; run < base + count; run++) runs[run] = saved[at++];
    }
    table.free = saved[from];
  }
}

const WHY = { [CLAIM]: 'claim', [CANNOT]: 'cannot be done', [UNKNOWN]: 'not known' } as const;

const grown = <Row extends Int32Array | Float64Array>(row: Row): Row => {
  const larger = new (row.constructor as new (length: number) => Row)(2 * row.length);
  larger.set(row as never);
  return larger;
};

/** The first value from `low` up to `high` at whose place one of the cards lies; above `high` where there is none. */
const nextKept = ({ packet, plus, cards }: Promised, table: Table, low: number, high: number): number => {
  let next = high + 1;
  for (const card of cards) {
    const place = table.placeOf(packet, card, low + plus);
    if (place > 0 && place - plus < next) next = Math.max(low, place - plus);
  }
  return next;
};

const noChance = (): never => {
  throw new Error('Where chance enters, a procedure is estimated.');
};
