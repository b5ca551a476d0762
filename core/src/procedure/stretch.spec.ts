import { proveSlowly } from '../../test/slowProcedure';
import { randomProcedure } from '../../test/randomProcedure';
import { randomInt, Rng, seededRng } from '../deck/rng';
import { hasChance } from '../rehearse/prove';
import { readProcedure } from '../rehearse/readProcedure';
import { WORKED } from '../rehearse/worked/worked';
import { compile } from './compile';
import { Machine } from './machine';
import { Program } from './program';
import { Condition, Expression, Procedure, Step } from './procedure';
import { stretchesOf } from './stretches';
import { Counts, Failure, MOST_FAILURES } from './way';

const CARDS = ['AC', '2C', '3C', '4C', '5C', '6D', '7D', '8D', 'AC*', 'X1', '-', '-'];
const PACKETS = ['pack', 'hand', 'table'] as const;

/** Procedures of what can be done for many worlds at once, with all that may go wrong on the way. */
class Writer {
  private names: string[] = [];
  private seen: string[] = [];
  private count = 0;

  /** @param most what numbers are multiplied by at most: of what is too large the plain reading knows nothing. */
  constructor(
    private readonly rng: Rng,
    private readonly most: number,
  ) {}

  private one<Item>(items: readonly Item[]): Item {
    return items[randomInt(this.rng, items.length)];
  }

  private number(): Expression {
    const name = (): Expression => (this.names.length > 0 ? this.one(this.names) : 1);
    return this.one<() => Expression>([
      ...[() => randomInt(this.rng, 8) - 1, name, name, () => ({ 'size of': this.one(PACKETS) })],
      () => ({ sum: [name(), randomInt(this.rng, 3)] }),
      () => ({ difference: [{ 'size of': this.one(PACKETS) }, name()] }),
      () => ({ product: [name(), this.one([-1, 0, 1, 2, this.most])] }),
      () => ({ remainder: [name(), this.one([0, 1, 2, 5])] }),
      () => ({ around: [{ sum: [name(), name()] }, 5] }),
      () => ({ least: [name(), 3, { 'size of': 'pack' }] }),
      () => ({ 'digit sum': name() }),
      () => ({ 'face up in': this.one(PACKETS) }),
      () => ({ 'stack number of': this.card(), in: 'home' }),
      () => ({ 'rank of': this.card() }),
      () => ({ 'place of': this.card(), in: this.one(PACKETS) }),
      () => ({ whether: this.condition() }),
    ])();
  }

  private card(): Expression {
    const number = (): Expression => (this.names.length > 0 ? this.one(this.names) : 2);
    return this.one<() => Expression>([
      () => (this.seen.length > 0 ? this.one(this.seen) : { card: this.one(CARDS.slice(0, 9)) }),
      () => ({ 'card at': number(), of: this.one(PACKETS) }),
      () => ({ 'card at': { sum: [number(), 1] }, of: 'pack' }),
      () => ({ 'top of': this.one(PACKETS) }),
      () => ({ 'face of': this.one(PACKETS) }),
      () => ({ 'mate of': { 'top of': this.one(PACKETS) } }),
      () => ({ 'card with stack number': number(), in: 'home' }),
    ])();
  }

  private condition(): Condition {
    return this.one<() => Condition>([
      () => ({ less: [this.number(), this.number()] }),
      () => ({ 'at most': [this.number(), this.number()] }),
      () => ({ equal: [this.number(), this.number()] }),
      () => ({ equal: [this.card(), this.card()] }),
      () => ({ 'face up': this.number(), of: this.one(PACKETS) }),
      () => ({ not: { less: [this.number(), 3] } }),
      () => ({ all: [{ less: [0, this.number()] }, { less: [this.number(), 9] }] }),
      () => ({ any: [{ less: [this.number(), 2] }, { equal: [this.number(), 4] }] }),
    ])();
  }

  private name(list: string[]): string {
    const name = `n${(this.count++).toString()}`;
    list.push(name);
    return name;
  }

  private move(): Step {
    const [packet, other] = this.one([
      ['pack', 'hand'],
      ['hand', 'table'],
      ['hand', 'pack'],
      ['table', 'pack'],
      ['pack', 'table'],
    ] as const);
    const count = this.rng() < 0.6 && this.names.length > 0 ? this.one(this.names) : this.number();
    return this.one<() => Step>([
      () => ({ do: 'lift', count, from: packet, onto: other }),
      () => ({ do: 'lift', count, from: packet, onto: other }),
      () => ({ do: 'deal', count, from: packet, onto: other }),
      () => ({ do: 'cut', packet: 'pack', count }),
      () => ({ do: 'turn', packet }),
      () => ({ do: 'put', packet, where: this.one(['on', 'under']), other }),
    ])();
  }

  steps(count: number, depth = 0): Step[] {
    const steps: Step[] = [];
    for (let index = 0; index < count; index++) {
      const kind = this.rng();
      if (kind < 0.55) steps.push(this.move());
      else if (kind < 0.65) {
        const what = this.number();
        steps.push({ do: 'work out', name: this.name(this.names), what });
      } else if (kind < 0.75) {
        const what = this.card();
        steps.push({ do: 'see', name: this.name(this.seen), what });
      } else if (kind < 0.8) steps.push({ do: 'require', that: this.condition() });
      else if (kind < 0.86) steps.push({ do: 'claim', that: this.condition() });
      else if (depth < 2) steps.push(this.parting(depth));
    }
    return steps;
  }

  /** What is named on one way only is not named behind it. */
  private parting(depth: number): Step {
    const inside = (): Step[] => {
      const [names, seen] = [[...this.names], [...this.seen]];
      const steps = this.steps(1 + randomInt(this.rng, 2), depth + 1);
      [this.names, this.seen] = [names, seen];
      return this.rng() < 0.1 ? [...steps, { do: 'out', words: 'So.' }] : steps;
    };
    if (this.rng() < 0.5)
      return {
        do: 'if',
        that: this.condition(),
        then: inside(),
        otherwise: this.rng() < 0.5 ? inside() : [],
      };
    const of = [inside(), inside(), inside()].map((steps) => ({ words: 'a way', steps }));
    const likely = this.rng() < 0.5 ? { likely: { table: { 1: 1, 3: 2 } } } : {};
    return { do: 'choose one', name: this.name([]), of, ...likely };
  }

  procedure(): Procedure {
    const size = 4 + randomInt(this.rng, 9);
    const first = this.steps(randomInt(this.rng, 3), 2);
    const choose = (to: Expression): Step => ({
      ...{ do: 'choose', name: this.name(this.names), from: randomInt(this.rng, 2), to },
      ...(this.rng() < 0.3 && { likely: { around: 4, within: 3 } }),
    });
    const one = choose(size);
    const between = this.steps(1 + randomInt(this.rng, 3), 2);
    const other = this.rng() < 0.7 ? [choose(this.rng() < 0.5 ? size : { least: [20, this.number()] })] : [];
    return {
      ...{ name: 'by chance', version: 2 as const },
      packets: { pack: CARDS.slice(0, size), hand: CARDS.slice(size, size + 2), table: [] },
      orders: { home: ['AC', '2C', '3C', '4C', '5C', '6D', '7D'] },
      steps: byHelper([...first, one, ...between, ...other, ...this.steps(2 + randomInt(this.rng, 5))]),
    };
  }
}

/** All of it is done by the helper, who knows and sees everything. */
const byHelper = (steps: readonly Step[]): Step[] =>
  JSON.parse(JSON.stringify(steps), (_, value: unknown) =>
    typeof value === 'object' && value !== null && 'do' in value ? { ...value, by: 'helper' } : value,
  ) as Step[];

interface Ran {
  readonly counts: Counts;
  readonly failures: readonly Failure[];
  readonly tries: number;
  readonly steps: number;
}

const run = (program: Program, atOnce: number, weigh: boolean, isFull: boolean): Ran => {
  const machine = new Machine(program, { atOnce, weigh });
  if (isFull) machine.failures.push(...Array.from({ length: MOST_FAILURES }, () => NO_FAILURE));
  machine.run(1e9);
  const { counts, failures, tries, steps } = machine;
  return { counts, failures: isFull ? [] : failures, tries, steps };
};
const NO_FAILURE: Failure = { choices: [], at: '', why: 'claim' };

/** The same, many worlds at once and each by itself: also where no failure is listed any more, and weighed. */
const isSame = (program: Program, seed: number): void => {
  for (const [weigh, isFull] of [
    [true, true],
    [false, false],
    [false, true],
  ] as const) {
    const [one, all] = [run(program, Infinity, weigh, isFull), run(program, 1, weigh, isFull)];
    const said = [seed, weigh, isFull];
    if (!weigh) expect([said, all.counts, all.failures]).toEqual([said, one.counts, one.failures]);
    if (!weigh && isFull) expect([said, all.tries, all.steps]).toEqual([said, one.tries, one.steps]);
    for (const field of ['held', 'outs', 'failed', 'leftOut'] as const)
      expect(all.counts[field]).toBeCloseTo(one.counts[field], 9);
  }
};

/** So many in CI; a plain second reading counts some of them again. */
const [RUNS, SLOWLY] = [700, 150];

test('procedures by chance: many worlds at once are as each by itself, and as a plain second reading has them', () => {
  let [atOnce, held, failed, slowly] = [0, 0, 0, 0];
  for (let seed = 0; seed < RUNS; seed++) {
    const procedure = new Writer(seededRng(seed), seed < SLOWLY ? 3 : 2 ** 29).procedure();
    const program = compile(procedure);
    if (stretchesOf(program).includes(true)) atOnce++;
    isSame(program, seed);
    const { counts } = run(program, 1, false, false);
    held += counts.held;
    failed += counts.failed;
    if (seed >= SLOWLY) continue;
    const slow = readProcedure(procedure).ok && proveSlowly(procedure, 3000);
    if (!slow) continue;
    slowly++;
    expect([seed, counts]).toMatchObject([seed, { held: slow.held, failed: slow.failed }]);
  }
  expect(Math.min(atOnce, held / 4, failed / 10)).toBeGreaterThan(RUNS / 2);
  expect(slowly).toBe(SLOWLY);
});

test('any procedure, and every worked one, is run as each world by itself', () => {
  for (const { procedure } of WORKED) {
    const program = compile(procedure);
    if (hasChance(procedure) || program.pools > 0) continue;
    if (new Machine(program, { atOnce: Infinity }).run(200_000)) isSame(program, -1);
  }
  for (let seed = 0; seed < 300; seed++) {
    const read = readProcedure(randomProcedure(seededRng(seed), seed % 2 === 0 ? 1 : 2));
    if (!read.ok || hasChance(read.procedure)) continue;
    const program = compile(read.procedure);
    if (new Machine(program, { atOnce: Infinity }).run(30_000)) isSame(program, seed);
  }
});

test('where more than 256 values may be chosen they are run one part after the other', () => {
  const procedure: Procedure = {
    name: 'many',
    packets: { pack: CARDS },
    steps: [
      { do: 'choose', name: 'a', from: -300, to: 1200 },
      { do: 'work out', name: 'b', what: { remainder: ['a', 12] } },
      { do: 'lift', count: 'b', from: 'pack', onto: 'hand' },
      { do: 'claim', that: { equal: [{ 'size of': 'hand' }, 'b'] } },
    ],
  };
  const program = compile(procedure);
  expect(run(program, 1, false, false)).toEqual(run(program, Infinity, false, false));
});

test('more failures than are listed: the first of them are, and all are counted', () => {
  const program = compile({
    name: 'mostly wrong',
    packets: { pack: CARDS },
    steps: [
      { do: 'choose', name: 'a', from: 1, to: 60 },
      { do: 'choose', name: 'b', from: 1, to: 60 },
      { do: 'claim', that: { equal: [{ remainder: [{ sum: ['a', 'b'] }, 3] }, 0] } },
    ],
  });
  const all = run(program, 1, false, false);
  expect(all).toMatchObject({ counts: { held: 1200, failed: 2400 } });
  expect(all.failures).toHaveLength(MOST_FAILURES);
  expect(all).toEqual(run(program, Infinity, false, false));
});
