import { Rng } from '../deck/rng';
import { knownCard, NONE } from './form';
import { liveValues } from './live';
import { VisitedStates } from './visitedStates';
import { CANNOT, Choice, CLAIM, HELD, LEFT_OUT, OUT, Program, UNKNOWN } from './program';
import { DONE, Stepping } from './stepping';
import { CaseEnd, CaseWorlds, Host } from './caseWorlds';
import { Frame } from './frame';
import { StateText } from './stateText';
import { nextKept, Lookahead } from './lookahead';
import { MixedTable } from './mixedTable';
import { FAILED_AT, FIELD_NAMES, HELD_AT, LEFT_AT, OUT_AT, Tally } from './tally';
import { Trail } from './trail';
import { Weighing } from './weighing';
import { Counts, Failure, FirstValues, MOST_FAILURES, SoughtFailure, Way } from './way';
import { Stretches, stretchesOf } from './stretches';

/**
 * Runs a program through every combination of its choices, depth first. What comes before a choice is done once; where
 * a choice is met again in a world that is alike, what came of it is added and not run again.
 */
export class Machine extends Stepping implements Host {
  readonly failures: Failure[] = [];
  /** By failure, where something is mixed: the instructions at which was chosen. */
  readonly failedChoices: (readonly number[])[] = [];
  /** Whether the failure that was sought was found. */
  isFound = false;
  /** How many values have been tried, of choices and of what may lie where it was asked. */
  tries = 0;
  /** By claim: what is known by sights, or NONE where they leave it open. */
  readonly known: readonly Map<string, number>[];

  /** The choice that is waited for, with its range. */
  asked: { readonly choice: Choice; readonly low: number; readonly high: number } | undefined;

  private depth = 0;
  private readonly frames: Frame[] = [];
  private readonly tally = new Tally();
  private readonly met: VisitedStates;
  readonly trail: Trail;
  /** The worlds of one case, where there are more than one. */
  private readonly alike: CaseWorlds;
  /** The indices of all values. */
  private readonly all: Int32Array;
  readonly live: readonly Int32Array[];
  /** By instruction: the values that are kept at it. */
  private readonly saves: readonly Int32Array[];
  /** Whether every value of a choice is tried, each world counts one, and nobody is told of it. */
  private readonly isPlain: boolean;
  /** Whether worlds that differ in what lies where alone are one. */
  private readonly isByCase: boolean;
  /** What the value that is tried last weighs. */
  private weight = 1;
  /** The claim that the world failed to know first, from 1; kept beside the values. */
  private readonly unknown: number;
  private readonly weighing = new Weighing();
  /** Where many worlds may be run at once. */
  private readonly stretches: Stretches | undefined;

  constructor(
    program: Program,
    private readonly way: Way = {},
  ) {
    super(
      program,
      new MixedTable(program.start, way.rng ? 0 : program.pools, way.fixed !== undefined),
      way.rng,
    );
    this.table.givesTokens = !way.visit && !way.sights;
    this.isPlain = !way.weigh && !way.visit && !way.ended && !way.rng && !way.chosen && !way.fixed;
    this.unknown = program.values;
    this.values[this.unknown] = 0;
    this.known = program.claims.map(() => new Map<string, number>());
    this.table.kept = this.table.free;
    this.live = liveValues(program, way.sights === true);
    const text = new StateText(this.table, Math.max(0, ...this.live.map(({ length }) => length)));
    this.met = new VisitedStates(this.live, text, way.often);
    this.alike = new CaseWorlds(this, text);
    this.isByCase = !way.weigh && !way.visit && !way.fixed;
    this.trail = new Trail(this.table, this.values);
    const { visit, ended, rng, chosen, fixed, looked, sights, atOnce } = way;
    // Where somebody follows the worlds step by step, or is told of each, they are run one by one.
    const isPlain = [visit, ended, rng, chosen, fixed, looked, sights].every((each) => each === undefined);
    if (isPlain && stretchesOf(program).includes(true))
      this.stretches = new Stretches(program, this, way.weigh ? this.weighing : undefined, atOnce);
    this.all = Int32Array.from(this.values.keys());
    this.saves = way.fixed ? program.code.map(() => this.all) : this.live;
    if (way.rng) this.trail.save(0, this.all);
  }

  /** What came of all worlds that were run. */
  get counts(): Counts {
    return this.tally.total(this.depth, (depth) => this.weightAt(depth));
  }

  /** How far the run is, by the values of its first choice: from 0 to 1. */
  get progress(): number {
    if (this.at === DONE) return 1;
    if (this.depth === 0) return 0;
    const [{ value, low, high }] = this.frames;
    const from = Math.max(low, this.way.first?.from ?? low);
    return (value - from) / (high - from + 1);
  }

  /** The choices of the world that is being run. */
  get choices(): Failure['choices'] {
    return this.made.map(({ choice, value }) => [choice.name, value]);
  }

  /** The same with the instructions at which it was chosen. */
  get made(): readonly { readonly choice: Choice; readonly value: number; readonly at: number }[] {
    const frames = this.frames.slice(0, this.depth).filter(({ possible }) => !possible);
    return this.alike.isOpen ? [...frames, ...this.alike.choices] : frames;
  }

  /** How likely the world is that is run; of each world alike where nothing is weighed. */
  get chance(): number {
    let chance = 1;
    for (let depth = 1; depth <= this.depth; depth++) chance *= this.weightAt(depth);
    return chance;
  }

  /** How many choices, and answers to what was asked, the world has behind it. */
  get behind(): number {
    return this.depth;
  }

  get trailEnd(): number {
    return this.depth === 0 ? 0 : this.trail.endOf(this.frames[this.depth - 1].saved);
  }

  /** Whether something claimed to be known can be worked out at all; notes what it is under these sights. */
  protected override look(claimed: number, claim: number): boolean {
    const value = knownCard(this, claimed);
    if (value === NONE) return false;
    if ((this.way.rng || this.way.chosen) && !this.way.open) return true;
    const seen = this.program.sights.map((index) => knownCard(this, this.values[index]));
    if (this.table.isAsked) return false;
    const sights = seen.join();
    this.way.looked?.(this, claim, sights, value);
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

  protected override choose(choice: Choice, at: number): number {
    const low = choice.from(this);
    const high = choice.to(this);
    if (low === NONE || high === NONE || low > high) return this.end(CANNOT, at);
    if (this.alike.isOpen) return this.alike.meet(choice, at, low, high);
    if (this.way.chosen) return this.ask(choice, low, high, at, this.way.chosen);
    if (this.way.rng) return this.draw(choice, low, high, at, this.way.rng);
    if (this.way.fixed) return this.chooseAgain(choice, low, high, at, this.way.fixed);
    if (this.way.visit && choice.promise) {
      const next = this.keepPromise(choice, choice.promise, low, high, at);
      if (next !== undefined) return next;
    }
    const key = this.way.visit || this.way.ended ? undefined : this.met.keyOf(this, at);
    const before = key === undefined ? undefined : this.met.find(at, key);
    // Failures are listed one by one, until there are enough.
    if (before && (before[FAILED_AT] === 0 || this.failures.length === MOST_FAILURES)) {
      this.met.note(at);
      this.tally.addAlike(this.depth, before, this.weight);
      return this.next();
    }
    const weights = this.way.weigh ? this.weighing.of(choice, low, high) : undefined;
    const isKnown = this.values[this.unknown] === 0;
    const sums =
      isKnown && this.stretches?.of(choice, { at, low, high, weights, first: this.firstAt(this.depth) });
    if (sums) {
      if (key !== undefined) this.met.keep(at, key, sums);
      this.tally.addAlike(this.depth, sums, this.weight);
      return this.next();
    }
    return this.open({ at, choice, value: low, high, weights, low, saved: 0, key, possible: undefined });
  }

  /** Many worlds were run at once. @param steps instructions, counting each world. @param tries values of choices. */
  didBeside(steps: number, tries: number): void {
    this.beside += steps;
    this.tries += tries;
  }

  /** Of the first choice the values that are tried, where not all are. */
  private firstAt(depth: number): FirstValues | undefined {
    return depth === 0 ? this.way.first : undefined;
  }

  /** Begins to try the values of a choice, or what may lie where it was asked. */
  private open({ at, choice, value: low, high, weights, key, possible }: Frame): number {
    const { depth } = this;
    const saved = this.trailEnd;
    if (depth === this.frames.length)
      this.frames.push({ at, choice, value: low, high, weights, low, saved, key, possible });
    const frame = this.frames[depth];
    frame.at = at;
    frame.choice = choice;
    const first = this.firstAt(depth);
    frame.value = (first ? Math.max(low, first.from) : low) - 1;
    frame.high = first ? Math.min(high, first.to) : high;
    frame.weights = weights;
    frame.low = low;
    frame.saved = saved;
    frame.key = key;
    frame.possible = possible;
    this.depth++;
    this.tally.open(this.depth);
    this.trail.save(saved, this.saves[at]);
    this.table.kept = this.table.free;
    const value = this.following(frame);
    return value <= frame.high ? this.tryOut(frame, value) : this.next();
  }

  /** A world must know more of what lies where before it goes on: it goes on in each way that may be. */
  private branch(at: number): number {
    const possible = this.table.possible();
    if (possible.length === 1) {
      this.table.settle(possible[0]);
      return at;
    }
    if (this.isByCase) return this.alike.branch(at, possible);
    const all = possible.reduce((sum, { ways }) => sum + ways, 0);
    const weights = this.way.weigh ? Float64Array.from(possible, ({ ways }) => ways / all) : undefined;
    const high = possible.length - 1;
    return this.open({
      ...{ at, choice: CHANCE, value: 0, high, weights, low: 0, saved: 0, key: undefined, possible },
    });
  }

  /** What was chosen in the case that is looked at; worlds of other cases are gone past. */
  private chooseAgain(choice: Choice, low: number, high: number, at: number, sought: SoughtFailure): number {
    const { length } = this.made;
    const value = sought.choices.at(length) === at ? sought.values[length] : undefined;
    if (value === undefined || value < low || value > high) return this.next();
    return this.open({
      ...{ at, choice, value, high: value, weights: undefined, low: value, saved: 0 },
      ...{ key: undefined, possible: undefined },
    });
  }

  /**
   * A choice of which only what a `require` right behind it leaves is worth trying: where there is one, it is made, and
   * the `require` is gone past.
   */
  private keepPromise(
    choice: Choice,
    promise: Lookahead,
    low: number,
    high: number,
    at: number,
  ): number | undefined {
    const value = nextKept(promise, this.table, low, high);
    if (value > high) return this.next();
    if (!promise.once && nextKept(promise, this.table, value + 1, high) <= high) return undefined;
    this.values[choice.value] = value;
    return at + 2;
  }

  private tryOut(frame: Frame, value: number): number {
    this.tries++;
    frame.value = value;
    if (frame.weights) this.weight = frame.weights[value - frame.low];
    if (frame.possible) {
      this.table.settle(frame.possible[value]);
      return frame.at;
    }
    this.values[frame.choice.value] = value;
    // What a value that was looked up promises holds: it is not looked at once more.
    return frame.at + (frame.choice.promise && this.way.visit ? 2 : 1);
  }

  /** One value as somebody chooses it; where they have not, the world stays where it is. */
  private ask(
    choice: Choice,
    low: number,
    high: number,
    at: number,
    chosen: NonNullable<Way['chosen']>,
  ): number {
    const value = chosen(choice, low, high);
    this.asked = value === undefined ? { choice, low, high } : undefined;
    if (value === undefined) return at;
    this.values[choice.value] = value;
    return at + 1;
  }

  private draw(choice: Choice, low: number, high: number, at: number, rng: Rng): number {
    const value = this.weighing.draw(choice, low, high, rng);
    if (value === undefined) return this.end(LEFT_OUT, at);
    this.values[choice.value] = value;
    return at + 1;
  }

  /** The next value of the last choice that has one, in the world as it was before. */
  private next(): number {
    while (this.depth > 0) {
      const frame = this.frames[this.depth - 1];
      const value = this.isPlain ? frame.value + 1 : this.following(frame);
      if (value <= frame.high) {
        this.trail.restore(frame.saved, this.saves[frame.at]);
        return this.tryOut(frame, value);
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
      this.trail.restore(frame.saved, this.saves[frame.at]);
      return nextKept(choice.promise, this.table, value, high);
    }
    if (weights) while (value <= high && weights[value - low] === 0) value++;
    return value;
  }

  /** A choice all of whose values were tried: what came of them is added to what came before it. */
  private leave({ at, key }: Frame): void {
    if (key !== undefined) this.met.keep(at, key, this.tally.at(this.depth));
    this.tally.close(this.depth, this.weightAt(this.depth - 1));
    this.depth--;
    this.table.kept =
      this.depth === 0 ? this.table.base : this.trail.freeAt(this.frames[this.depth - 1].saved);
  }

  /** What the value that is tried at a depth weighs. */
  private weightAt(depth: number): number {
    if (depth === 0) return 1;
    const { weights, value, low } = this.frames[depth - 1];
    return weights ? weights[value - low] : 1;
  }

  /** The end of a world: how it counts; gives where the next one goes on. */
  protected override end(outcome: number, at: number): number {
    if (this.isPlain && outcome === HELD && this.values[this.unknown] === 0 && !this.alike.isOpen) {
      this.tally.add(this.depth, HELD_AT, 1);
      return this.next();
    }
    if (outcome === CANNOT && this.table.isAsked) return this.branch(at);
    const missed = this.values[this.unknown];
    const how = missed > 0 && (outcome === HELD || outcome === OUT) ? UNKNOWN : outcome;
    const path = how === UNKNOWN ? this.program.claims[missed - 1] : this.program.paths[at];
    if (this.alike.isOpen) return this.alike.end({ how, path });
    if (this.way.fixed) return this.isSought(how, path, this.way.fixed) ? DONE : this.next();
    this.settleCase({ how, path });
    if (how !== HELD || !this.way.visit) return this.next();
    this.way.visit(this);
    return this.tally.heldAt(this.depth) === this.way.most ? DONE : this.next();
  }

  settleCase({ how, path }: CaseEnd): void {
    const field = how === HELD ? HELD_AT : how === OUT ? OUT_AT : how === LEFT_OUT ? LEFT_AT : FAILED_AT;
    this.tally.add(this.depth, field, this.weight);
    if (field === FAILED_AT && this.failures.length < MOST_FAILURES) {
      this.failures.push({ choices: this.choices, at: path, why: WHY[how as keyof typeof WHY] });
      if (this.program.pools > 0) this.failedChoices.push(this.made.map(({ at }) => at));
    }
    if (field !== LEFT_AT) this.way.ended?.(this, FIELD_NAMES[field], path);
  }

  goOn(): number {
    return this.next();
  }

  private isSought(how: number, path: string, { values, at, why }: SoughtFailure): boolean {
    this.isFound = at === path && why === WHY[how as keyof typeof WHY] && this.made.length === values.length;
    return this.isFound;
  }

  /** Begins another world by chance. */
  again(): void {
    this.trail.restore(0, this.all);
    this.table.kept = this.table.free;
    this.at = 0;
  }
}

const WHY = { [CLAIM]: 'claim', [CANNOT]: 'cannot be done', [UNKNOWN]: 'not known' } as const;

/** What stands in the place of a choice where chance decides. */
const CHANCE: Choice = {
  ...{ name: '', value: -1, from: () => NONE, to: () => NONE, likely: undefined, promise: undefined },
};
