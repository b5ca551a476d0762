import { Kind, slotsOf } from '../../procedure/form';
import { formOf } from '../../procedure/forms';
import { byOf, Expression, Procedure, Step, StepOf } from '../../procedure/procedure';
import { SLOTS } from '../../procedure/steps';
import { givesKnown, insideOf, kindOf, kindsOf, knownNames, namesIn, namesRead } from '../../procedure/walk';
import { Path, pathOf, sayPath, withBranch } from '../../rehearse/editSteps';
import { sayExpression } from '../../rehearse/sentence';
import { termsOf } from '../../rehearse/watched';

/** What stands in a field of a step as its performer can know it, kept under a name. */
export interface Amount {
  readonly kept: string;
  readonly kind: Kind;
  /** Whether it is counted on the table, and not worked out of what is known alone. */
  readonly isCounted: boolean;
}

/** A part of a sum, kept under a name. */
export interface SumTerm extends Amount {
  readonly words: string;
  readonly sign: 1 | -1;
}

/** A point of a procedure at which whoever follows it looks: before a choice that is told, behind what is told, behind a step. */
export interface Stop {
  readonly kind: 'before' | 'told' | 'done';
  /** The step as it is written. */
  readonly path: string;
}

/** A procedure that keeps the amounts of its steps, so that a run of it can tell them. Its paths are others. */
export interface WithAmounts {
  readonly procedure: Procedure;
  /** By the path of a step as it is run: its path as it is written; steps that were laid between are not among them. */
  readonly written: ReadonlyMap<string, string>;
  /** By the path as it is run of a step that does nothing: what is looked at there. */
  readonly stops: ReadonlyMap<string, Stop>;
  /** Under which names a run counts the answers that were used up, and the steps that were noted. */
  readonly counts: readonly [used: string, noted: string];
  /** By the path of a step as it is written: what stands in its fields. */
  readonly amounts: ReadonlyMap<string, ReadonlyMap<string, Amount>>;
  /** By the path of what is worked out: the parts of the sum; none where it is no sum. */
  readonly terms: ReadonlyMap<string, readonly SumTerm[]>;
  /** Names that are worked out of something counted on the table. */
  readonly counted: ReadonlySet<string>;
}

/** Whether an expression looks at a packet. */
const looksAtTable = (value: unknown): boolean => {
  if (typeof value !== 'object' || value === null) return false;
  const fields = value as Readonly<Record<string, unknown>>;
  const form = formOf(fields);
  if (!form) return false;
  return slotsOf(form).some(
    ([field, slot]) => slot === 'packet' || [fields[field]].flat().some((each) => looksAtTable(each)),
  );
};

/** Names that the performer works out of what is counted on the table, or of other such names. */
const countedNames = (steps: readonly Step[]): ReadonlySet<string> => {
  const counted = new Set<string>();
  const isCounted = (value: unknown): boolean =>
    looksAtTable(value) || namesRead(value).some((name) => counted.has(name));
  const walk = (inside: readonly Step[]): boolean =>
    inside.some((step) => {
      const isNew = step.do === 'work out' && !counted.has(step.name) && isCounted(step.what);
      if (isNew) counted.add(step.name);
      return insideOf(step).some(walk) || isNew;
    });
  while (walk(steps)) continue;
  return counted;
};

/** Steps behind which nobody looks: they branch, or end the world. */
const PASSED: ReadonlySet<Step['do']> = new Set(['if', 'repeat', 'require', 'out']);

/** Whether a step tells the performer something that only they can say. */
export const isTold = (step: Step): boolean =>
  (step.do === 'see' || step.do === 'choose' || step.do === 'choose one') && givesKnown(step);

/** The slots of fields that hold an amount. */
const AMOUNTS: ReadonlySet<string> = new Set(['number', 'card']);

/** Lays steps that keep amounts before those that have them. */
class Keeping {
  readonly written = new Map<string, string>();
  readonly stops = new Map<string, Stop>();
  readonly counts: readonly [string, string];
  readonly amounts = new Map<string, Map<string, Amount>>();
  readonly terms = new Map<string, readonly SumTerm[]>();
  private readonly kinds: ReadonlyMap<string, Kind>;
  private readonly known: ReadonlySet<string>;
  readonly counted: ReadonlySet<string>;
  private readonly taken: Set<string>;
  private count = 0;

  constructor(procedure: Procedure) {
    const givens = Object.keys(procedure.givens ?? {});
    this.kinds = kindsOf(procedure);
    this.known = new Set([...knownNames(procedure.steps), ...givens]);
    this.taken = new Set([...namesIn(procedure.steps), ...givens]);
    this.counted = countedNames(procedure.steps);
    this.counts = [this.amount('number').kept, this.amount('number').kept];
  }

  /** All steps, with what counts before them. */
  all(steps: readonly Step[]): readonly Step[] {
    const [used, noted] = this.counts;
    // How all lies at the beginning is looked at, too.
    this.stops.set('3', { kind: 'done', path: '' });
    return [keep(used, 0), keep(noted, 0), this.stopping(), ...this.walk(steps, [], [], 3)];
  }

  /** @param at where the steps come to stand, behind so many others. @param from where they stand as they are written. */
  private walk(steps: readonly Step[], at: Path, from: Path, others = 0): readonly Step[] {
    const result: Step[] = [];
    const next = (): string => sayPath([...at, others + result.length + 1]);
    const stop = (kind: Stop['kind'], path: string): void => {
      this.stops.set(next(), { kind, path });
      result.push(this.stopping());
    };
    steps.forEach((step, index) => {
      const way = [...from, index + 1];
      const path = sayPath(way);
      result.push(...this.kept(step, path));
      const told = isTold(step);
      const chooses = step.do === 'choose' || step.do === 'choose one';
      if (told && chooses) stop('before', path);
      // A choice moves no card, and its ways come before what stands behind it.
      if (!told && chooses) stop('done', path);
      // An out is said before anything is cleared up.
      if (step.do === 'out' && step.steps?.length) stop('done', path);
      const own = pathOf(next());
      this.written.set(sayPath(own), path);
      result.push(this.inside(step, own, way));
      if (told && step.do !== 'choose one') stop('told', path);
      else if (!told && !chooses && !PASSED.has(step.do)) stop('done', path);
    });
    return result;
  }

  private inside(step: Step, at: Path, from: Path): Step {
    // Which way they took is told before anything is done on it.
    const isToldWay = step.do === 'choose one' && isTold(step);
    return insideOf(step).reduce((changed, branch, index) => {
      const which = index + 1;
      if (branch.length === 0 && !isToldWay) return changed;
      const steps = this.walk(branch, [...at, which], [...from, which], isToldWay ? 1 : 0);
      if (!isToldWay) return withBranch(changed, which, steps);
      this.stops.set(sayPath([...at, which, 1]), { kind: 'told', path: sayPath(from) });
      return withBranch(changed, which, [this.stopping(), ...steps]);
    }, step);
  }

  /** In the place of a stop: a step that reads the counts, so that they are kept for it. */
  private stopping(): Step {
    const [used, noted] = this.counts;
    return keep(noted, { sum: [used, noted] });
  }

  /** The steps that keep what a step is about. */
  private kept(step: Step, path: string): readonly Step[] {
    if (step.do === 'work out') return byOf(step) === 'helper' ? [] : this.sum(step, path);
    if (step.do === 'see' || ('felt' in step && step.felt)) return [];
    const fields = step as unknown as Readonly<Record<string, Expression | undefined>>;
    const mine = byOf(step) !== 'helper';
    return SLOTS[step.do].flatMap(([field, slot]) => {
      const value = fields[field];
      if (!AMOUNTS.has(slot) || value === undefined || typeof value === 'number') return [];
      // Of what a helper does only what was told is known; what is uncounted nobody knows.
      if (!(mine || typeof value === 'string') || !namesRead(value).every((name) => this.known.has(name)))
        return [];
      const amount = this.amount(kindOf(value, this.kinds) ?? 'number', value);
      const fieldsOf = this.amounts.get(path) ?? new Map<string, Amount>();
      this.amounts.set(path, fieldsOf.set(field, amount));
      return [keep(amount.kept, value)];
    });
  }

  private sum(step: StepOf<'see' | 'work out'>, path: string): readonly Step[] {
    const parts = termsOf(step.what);
    if (parts.length < 2) return [];
    const terms = parts.map(({ value, sign }): SumTerm => ({
      ...this.amount('number', value),
      ...{ sign, words: sayExpression(value) },
    }));
    this.terms.set(path, terms);
    return terms.map(({ kept }, index) => keep(kept, parts[index].value));
  }

  private amount(kind: Kind, value?: Expression): Amount {
    do this.count++;
    while (this.taken.has(`amount ${this.count.toString()}`));
    const isCounted = looksAtTable(value) || namesRead(value).some((name) => this.counted.has(name));
    return { kept: `amount ${this.count.toString()}`, kind, isCounted };
  }
}

const keep = (name: string, what: Expression): Step => ({ do: 'work out', name, what });

/**
 * Makes a procedure tell its amounts: how many cards its performer cuts or deals, and what a sum is made of.
 *
 * @param procedure one that `readProcedure` found right.
 */
export const withAmounts = (procedure: Procedure): WithAmounts => {
  const keeping = new Keeping(procedure);
  const steps = keeping.all(procedure.steps);
  const { written, amounts, terms, stops, counts, counted } = keeping;
  return { procedure: { ...procedure, steps }, written, amounts, terms, stops, counts, counted };
};
