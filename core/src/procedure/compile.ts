import { Card, isCard } from '../deck/card';
import { always, Form, knownCard, NONE, Reader, Slots, slotsOf, Stack, valueAt } from './form';
import { formOf } from './forms';
import { cardNamed, laidOut } from './laid';
import { byOf, Condition, Expression, MOST_ROUNDS, Option, Procedure, Step, StepKind } from './procedure';
import { CANNOT, Choice, CLAIM, Do, HELD, Instruction, instruction, LEFT_OUT, OUT, Program } from './program';
import { lookaheadOf } from './lookahead';
import { SLOTS, STEPS } from './steps';
import { INDIFFERENT } from './packets';
import { meant } from './meant';
import { MOST_POOLS } from './pools';
import { insideOf, knownNames, namesIn, namesRead, packetsOf } from './walk';

/** The packet whose top card is looked at, where that is all. */
const topOf = (what: Expression): string | undefined => {
  const packet = typeof what === 'object' ? what['top of'] : undefined;
  return typeof packet === 'string' ? packet : undefined;
};

/** How many steps of a kind there are; in a repeat one may come again beside itself. */
const countIn = (steps: readonly Step[], kind: StepKind): number =>
  steps.reduce((sum, step) => {
    const inside = insideOf(step).reduce((all, each) => all + countIn(each, kind), 0);
    return sum + (step.do === kind ? 1 : step.do === 'repeat' ? 3 * inside : inside);
  }, 0);

/** How many pools of mixed cards there may be at once: for each shuffle what it mixes, for each sight a token. */
const poolsFor = (steps: readonly Step[]): number => {
  const mixes = countIn(steps, 'mix');
  return mixes === 0 ? 0 : Math.min(MOST_POOLS, 2 * mixes + 2 + countIn(steps, 'see'));
};

/** Writes a program, step by step. */
class Compiler {
  readonly code: Instruction[] = [];
  readonly paths: string[] = [];
  readonly reads: number[][] = [];
  readonly gives: (number | undefined)[] = [];
  readonly claims: string[] = [];
  readonly packets: string[];
  readonly names: string[];
  readonly stacks = new Map<string, Stack>();
  private readonly start: readonly (readonly Card[])[];
  private readonly givens: Readonly<Record<string, number>>;
  private readonly rounds: number[] = [];
  private readonly procedure: Procedure;
  private readonly pools: number;
  private counters = 0;

  /** @param isStepwise whether each step is done by itself, those that clear up behind an out too. */
  constructor(
    written: Procedure,
    private readonly isStepwise: boolean,
  ) {
    const procedure = meant(written);
    this.procedure = procedure;
    this.pools = poolsFor(procedure.steps);
    this.packets = [...new Set([...Object.keys(procedure.packets ?? {}), ...packetsOf(procedure.steps)])];
    this.names = [...new Set(namesIn(procedure.steps))];
    this.givens = procedure.givens ?? {};
    const laid = new Map(Object.entries(procedure.packets ?? {}));
    this.start = this.packets.map((name) => laidOut(laid.get(name) ?? [], this.givens) ?? []);
    for (const [name, order] of Object.entries(procedure.orders ?? {})) this.stacks.set(name, stackOf(order));
  }

  program(): Program {
    const { procedure, code, paths, reads, gives, packets, names, start, claims } = this;
    this.steps(procedure.steps, '');
    if (!this.isStepwise) this.together();
    this.emit(instruction(Do.End, { to: HELD }), '');
    const sights = [...new Set(knownNames(procedure.steps))].map((name) => names.indexOf(name));
    return {
      ...{ code, paths, reads, gives, packets, names, start, claims, sights, rounds: this.rounds },
      values: names.length + this.counters,
      pools: this.pools,
    };
  }

  /**
   * @param read expressions and conditions whose names it reads.
   * @param gives the value that it gives.
   * @param values the values that it reads beside them.
   */
  private emit(
    each: Instruction,
    path: string,
    read: readonly unknown[] = [],
    gives?: number,
    values: readonly number[] = [],
  ): number {
    this.code.push(each);
    this.paths.push(path);
    const names = read.flatMap(namesRead).map((name) => this.names.indexOf(name));
    this.reads.push([...names.filter((index) => index >= 0), ...values]);
    this.gives.push(gives);
    return this.code.length - 1;
  }

  /**
   * Lifts a packet and turns it over at once, where these steps come one right behind the other. The second one stays
   * where it is, for whoever comes to it from elsewhere.
   */
  private together(): void {
    this.code.forEach((each, at) => {
      const next = this.code.at(at + 1);
      if (each.kind === Do.Lift && each.to === 0 && next?.kind === Do.Turn && next.packet === each.other)
        this.code[at] = { ...each, kind: Do.LiftOver };
    });
  }

  private get here(): number {
    return this.code.length;
  }

  /** Makes an instruction that goes on elsewhere go on here. */
  private land(at: number): void {
    this.code[at].to = this.here;
  }

  private steps(steps: readonly Step[], above: string): void {
    steps.forEach((step, index) => this.step(step, `${above}${index + 1}`, steps.at(index + 1)));
  }

  private step(step: Step, path: string, next: Step | undefined): void {
    switch (step.do) {
      case 'choose': {
        const value = this.names.indexOf(step.name);
        const choice: Choice = {
          ...{
            name: step.name,
            value,
            likely: step.likely,
            promise: this.pools > 0 ? undefined : lookaheadOf(step.name, next, this.packets, this.start),
          },
          ...{ from: this.reader(step.from), to: this.reader(step.to) },
        };
        this.emit(instruction(Do.Choose, { choice, value }), path, [step.from, step.to], value);
        return;
      }
      case 'choose one':
        this.chooseOne(step, path);
        return;
      case 'see':
      case 'work out': {
        const value = this.names.indexOf(step.name);
        this.emit(this.giving(value, step.what), path, [step.what], value);
        return;
      }
      case 'if': {
        const test = this.test(step.that, path);
        this.steps(step.then, `${path}.1.`);
        if (!step.otherwise?.length) {
          this.land(test);
          return;
        }
        const skip = this.emit(instruction(Do.Jump), path);
        this.land(test);
        this.steps(step.otherwise, `${path}.2.`);
        this.land(skip);
        return;
      }
      case 'repeat':
        this.repeat(step, path);
        return;
      case 'require':
      case 'claim': {
        const to = step.do === 'claim' ? CLAIM : LEFT_OUT;
        this.emit(instruction(Do.Must, { read: this.condition(step.that), to }), path, [step.that]);
        return;
      }
      case 'claim known':
        this.emit(instruction(Do.Known, { read: this.reader(step.what), to: this.claims.length }), path, [
          step.what,
        ]);
        this.claims.push(path);
        return;
      case 'out':
        if (this.isStepwise) this.steps(step.steps ?? [], `${path}.1.`);
        this.emit(instruction(Do.End, { to: OUT }), path);
        return;
      default: {
        const { act } = STEPS[step.do];
        const slots = SLOTS[step.do];
        const parts = Object.fromEntries(
          slots.map(([field, slot]) => [field, this.part(slot, (step as never)[field])]),
        ) as Readonly<Record<string, never>>;
        const read = slots.flatMap(([field, slot]) =>
          slot === 'number' || slot === 'card' ? [(step as never)[field] as unknown] : [],
        );
        if (act) this.emit(this.moveOf(step) ?? instruction(Do.Act, { act: act(parts) }), path, read);
      }
    }
  }

  /** What gives a value: the machine looks at a top card itself, and takes a number as it stands. */
  private giving(value: number, what: Expression): Instruction {
    if (typeof what === 'number') return instruction(Do.Set, { value, to: what });
    const top = topOf(what);
    return top === undefined
      ? instruction(Do.Give, { value, read: this.reader(what) })
      : instruction(Do.Top, { value, packet: this.packets.indexOf(top) });
  }

  /** The moves that are met most often are done by the machine itself, where what they need is at hand. */
  private moveOf(step: Step): Instruction | undefined {
    if (step.do === 'turn') return instruction(Do.Turn, { packet: this.packets.indexOf(step.packet) });
    if (step.do === 'put') {
      const [packet, other] = [step.packet, step.other].map((name) => this.packets.indexOf(name));
      return instruction(Do.Put, { packet, other, to: step.where === 'on' ? 0 : 1 });
    }
    if (step.do !== 'cut' && step.do !== 'lift' && step.do !== 'deal') return undefined;
    const read = this.reader(step.count);
    const value = read.index ?? -1;
    if (step.do === 'cut')
      return instruction(Do.Cut, { packet: this.packets.indexOf(step.packet), value, read });
    const [packet, other] = [step.from, step.onto].map((name) => this.packets.indexOf(name));
    return instruction(Do.Lift, { packet, other, value, read, to: step.do === 'deal' ? 1 : 0 });
  }

  private test(that: Condition, path: string): number {
    return this.emit(instruction(Do.Test, { read: this.condition(that) }), path, [that]);
  }

  private chooseOne(step: Extract<Step, { do: 'choose one' }>, path: string): void {
    const value = this.names.indexOf(step.name);
    const count = step.of.length;
    const choice: Choice = {
      ...{ name: step.name, value, likely: step.likely, promise: undefined },
      ...{ from: () => 1, to: () => count },
    };
    this.emit(instruction(Do.Choose, { choice, value }), path, [], value);
    const branch = this.emit(instruction(Do.Branch, { value }), path, [], undefined, [value]);
    const to: number[] = [];
    const ends = step.of.flatMap(({ steps }: Option, index) => {
      to.push(this.here);
      this.steps(steps, `${path}.${index + 1}.`);
      // Behind the last one it goes on by itself.
      return index === count - 1 ? [] : [this.emit(instruction(Do.Jump), path)];
    });
    this.code[branch].ways = to;
    for (const end of ends) this.land(end);
  }

  private repeat(step: Extract<Step, { do: 'repeat' }>, path: string): void {
    const value = this.names.length + this.counters++;
    if (byOf(step) !== 'helper') this.rounds.push(value);
    if ('times' in step) {
      const rounds = instruction(Do.Rounds, { value, read: this.reader(step.times), to: MOST_ROUNDS });
      this.emit(rounds, path, [step.times], value);
      const round = this.emit(instruction(Do.Round, { value }), path, [], value, [value]);
      this.steps(step.steps, `${path}.1.`);
      this.emit(instruction(Do.Jump, { to: round }), path);
      this.land(round);
      return;
    }
    const most = step.most ?? MOST_ROUNDS;
    this.emit(instruction(Do.Rounds, { value, read: () => most, to: most }), path, [], value);
    const test = this.test(step.while, path);
    const round = this.emit(instruction(Do.Round, { value }), path, [], value, [value]);
    this.steps(step.steps, `${path}.1.`);
    this.emit(instruction(Do.Jump, { to: test }), path);
    // It still holds after so many rounds.
    this.land(round);
    this.emit(instruction(Do.End, { to: CANNOT }), path);
    this.land(test);
  }

  private part(slot: string, value: unknown): unknown {
    if (value === undefined) return undefined;
    switch (slot) {
      case 'packet':
        return this.packets.indexOf(value as string);
      case 'packets':
        return (value as string[]).map((name) => this.packets.indexOf(name));
      case 'order':
        return this.stacks.get(value as string);
      case 'number':
      case 'card':
      case 'value':
        return this.reader(value as Expression);
      case 'condition':
        return this.condition(value as Condition);
      case 'conditions':
        return (value as Condition[]).map((each) => this.condition(each));
      case 'these':
        return this.these(value as string | readonly Expression[]);
      case 'numbers':
      case 'twoNumbers':
      case 'alike':
        return (value as Expression[]).map((each) => this.reader(each));
      default:
        return value;
    }
  }

  private these(value: string | readonly Expression[]): Slots['these'] {
    if (typeof value === 'string') {
      const { cards } = this.stacks.get(value) as Stack;
      return () => cards;
    }
    const readers = value.map((each) => this.reader(each));
    return (world) => {
      const cards = readers.map((read) => knownCard(world, read(world)));
      return cards.includes(NONE) ? undefined : cards;
    };
  }

  private condition(value: Condition): Reader {
    return this.form(formOf(value) as Form, value);
  }

  private reader(value: Expression): Reader {
    if (typeof value === 'number') return always(value);
    if (typeof value === 'string') {
      if (Object.hasOwn(this.givens, value)) {
        return always(this.givens[value]);
      }
      return valueAt(this.names.indexOf(value));
    }
    const form = formOf(value);
    if (form) return this.form(form, value);
    return always(cardNamed(value['card'] as string) ?? NONE);
  }

  private form(form: Form, value: Readonly<Record<string, unknown>>): Reader {
    return form.read(
      Object.fromEntries(
        slotsOf(form).map(([field, slot]) => [field, this.part(slot, value[field])]),
      ) as Readonly<Record<string, never>>,
    );
  }
}

const stackOf = (order: readonly string[]): Stack => {
  const cards = order.map((text) => cardNamed(text) ?? INDIFFERENT);
  const numbers = new Int32Array(128);
  cards.forEach((card, index) => {
    if (isCard(card) && numbers[card] === 0) numbers[card] = index + 1;
  });
  return { numbers, cards };
};

/** Makes a procedure that `readProcedure` has found right ready to be run. */
export const compile = (procedure: Procedure): Program => new Compiler(procedure, false).program();

/** The same, for whoever looks at the table behind every step, those that clear up behind an out too. */
export const compileStepwise = (procedure: Procedure): Program => new Compiler(procedure, true).program();
