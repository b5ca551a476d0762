import { Card, firstOf, secondOf } from '../deck/card';
import { formatCard } from '../deck/notation';
import { Field, Values } from '../form/field';
import { cardField, numberField } from '../form/fields';
import { Kind } from '../procedure/form';
import { laidOut } from '../procedure/laid';
import { INDIFFERENT } from '../procedure/packets';
import { byOf, Condition, Expression, Procedure, Step, StepOf } from '../procedure/procedure';
import { givesKnown, insideOf, kindOf, kindsOf, namesIn } from '../procedure/walk';
import { Path, sayPath, withBranch } from './editSteps';
import { sayExpression } from './sentence';

/** Something that the performer works out in a procedure: what it is called, and under which name it is kept. */
export interface Finding {
  readonly words: string;
  readonly kept: string;
  readonly kind: Kind;
  /** The sum behind it: numbers kept under these names, each added or taken away. Empty where it is no sum. */
  readonly terms: readonly Term[];
}

/** A part of a sum. */
export interface Term {
  readonly words: string;
  readonly kept: string;
  readonly sign: 1 | -1;
}

/** The finding that is the answer: the last that is called as is wanted, or else the last of all. */
export const answering = (findings: readonly Finding[], wanted: string | undefined): Finding | undefined => {
  const backwards = [...findings].reverse();
  return backwards.find(({ words }) => words === wanted) ?? backwards.at(0);
};

/** Something that the performer sees or is told in a procedure: its field, and the name under which it is kept. */
export interface Sight {
  readonly field: Field;
  /** What it is called in the procedure. */
  readonly of: string;
  readonly kept: string;
  /** Whether it is one of several ways: those may end before what comes behind them keeps it. */
  readonly isWay: boolean;
}

/** A procedure whose sights, workings and outs are kept under names of their own, so that a run of it tells them. */
export interface Instrumented {
  readonly procedure: Procedure;
  readonly sights: readonly Sight[];
  /** In the order of the steps. */
  readonly findings: readonly Finding[];
  readonly outs: readonly { readonly words: string; readonly kept: string }[];
  /** By the path of a step as it is run: its path as it is written. */
  readonly written: ReadonlyMap<string, string>;
  /** The path of something that is seen over and over, for which there is no one field. */
  readonly again: string | undefined;
}

/** The longest name of a field, as it is kept. */
const LONGEST = 32;

/** Words as they stand at the beginning of a line. */
export const titled = (name: string): string => name.charAt(0).toUpperCase() + name.slice(1);

export const cardsNamed = ({ packets = {}, givens = {} }: Procedure): ReadonlySet<Card> =>
  new Set(Object.values(packets).flatMap((row) => laidOut(row, givens) ?? []));

/** What a sight asks for, as a field. */
const fieldOf = (
  step: Step & { readonly name: string },
  name: string,
  label: string,
  kind: Kind,
  always: boolean,
): Field => {
  const part = always ? {} : { optional: true };
  if (step.do === 'choose one') {
    const words = step.of.map(({ words: each }, index) => `${index + 1}: ${each}`).join(' ');
    return numberField(name, label, `Which one? ${words}`, { ...part, least: 1, most: step.of.length });
  }
  if (step.do === 'choose') {
    const [from, to] = [step.from, step.to].map((each) => (typeof each === 'number' ? each : undefined));
    return numberField(name, label, `Which number is it: ${step.name}?`, {
      ...{ ...part, least: Math.max(0, from ?? 0), most: to ?? 999 },
    });
  }
  const what = step.do === 'see' ? sayExpression(step.what) : step.name;
  if (kind === 'card') return cardField(name, label, `${label}: ${what}?`, part);
  if (step.do === 'see' && typeof step.what === 'object' && 'rank of' in step.what)
    return { name, label, asks: `${label}: which rank is it?`, kind: 'rank', ...part };
  return numberField(name, label, `${label}: ${what}?`, { ...part, least: 0, most: 999 });
};

/** The parts of an expression that is a sum, perhaps counted round, with their signs; itself where it is none. */
export const termsOf = (value: Expression): readonly { value: Expression; sign: 1 | -1 }[] => {
  const round = typeof value === 'object' ? (value['around'] ?? value['remainder']) : undefined;
  return partsOf(Array.isArray(round) ? (round[0] as Expression) : value);
};

const partsOf = (value: Expression, sign: 1 | -1 = 1): readonly { value: Expression; sign: 1 | -1 }[] => {
  if (typeof value !== 'object') return [{ value, sign }];
  if (Array.isArray(value['sum']))
    return (value['sum'] as Expression[]).flatMap((each) => partsOf(each, sign));
  if (!Array.isArray(value['difference'])) return [{ value, sign }];
  const [from, less] = value['difference'] as readonly Expression[];
  return [...partsOf(from, sign), ...partsOf(less, sign === 1 ? -1 : 1)];
};

/** Lays steps that keep what is seen and found beside those in which it is. */
class Watching {
  readonly sights: Sight[] = [];
  readonly findings: Finding[] = [];
  readonly outs: { words: string; kept: string }[] = [];
  readonly written = new Map<string, string>();
  again: string | undefined;
  private readonly kinds: ReadonlyMap<string, Kind>;
  private readonly named: ReadonlySet<number>;
  private readonly taken: Set<string>;

  constructor(
    procedure: Procedure,
    private readonly told: Values,
  ) {
    this.kinds = kindsOf(procedure);
    this.named = cardsNamed(procedure);
    this.taken = new Set([...namesIn(procedure.steps), ...Object.keys(procedure.givens ?? {})]);
  }

  /**
   * Steps with what keeps their sights between them.
   *
   * @param at where they stand in what is made. @param from where they stand in the procedure.
   * @param always whether they are done in every case. @param isOnce whether they are done once at most.
   */
  walk(steps: readonly Step[], at: Path, from: Path, always: boolean, isOnce: boolean): readonly Step[] {
    const result: Step[] = [];
    steps.forEach((step, index) => {
      const path = [...from, index + 1];
      const rows = this.watched(step, path, always, isOnce);
      // Where the step itself stands now; what it holds is watched there.
      const own = result.length + Math.max(0, rows.indexOf(step)) + 1;
      rows.forEach((_, offset) =>
        this.written.set(sayPath([...at, result.length + offset + 1]), sayPath(path)),
      );
      const inside = this.walkInside(step, [...at, own], path, isOnce && step.do !== 'repeat');
      result.push(...rows.map((each) => (each === step ? inside : each)));
    });
    return result;
  }

  private walkInside(step: Step, at: Path, from: Path, isOnce: boolean): Step {
    return insideOf(step).reduce((changed, branch, index) => {
      if (branch.length === 0) return changed;
      const which = index + 1;
      return withBranch(changed, which, this.walk(branch, [...at, which], [...from, which], false, isOnce));
    }, step);
  }

  private watched(step: Step, path: Path, always: boolean, isOnce: boolean): readonly Step[] {
    if ('name' in step && givesKnown(step) && step.do !== 'work out') {
      if (!isOnce) this.again ??= sayPath(path);
      else return this.sightOf(step, always);
    }
    if (step.do === 'work out' && byOf(step) !== 'helper') return this.workingOf(step, isOnce);
    // What is claimed to be known is told and not judged: the worlds that are run here are only some.
    if (step.do === 'claim known') return this.claimOf(step);
    if (step.do !== 'out') return [step];
    const kept = this.fresh('ended in an out');
    this.outs.push({ words: step.words, kept });
    return [keep(kept, 1), step];
  }

  /** A name that the procedure has not. */
  private fresh(words: string): string {
    let name = words;
    for (let number = 2; this.taken.has(name); number++) name = `${words} ${number}`;
    this.taken.add(name);
    return name;
  }

  private sightOf(step: Step & { readonly name: string }, always: boolean): readonly Step[] {
    const kept = this.fresh(`seen ${step.name}`);
    const name = `seen ${this.sights.length + 1} ${step.name}`.slice(0, LONGEST);
    // What is seen under one name twice has two fields.
    const before = this.sights.filter(({ of }) => of === step.name).length;
    const label = titled(step.name) + (before === 0 ? '' : ` ${before + 1}`);
    const kind = this.kinds.get(step.name) ?? 'number';
    this.sights.push({
      ...{ field: fieldOf(step, name, label, kind, always), of: step.name, kept },
      isWay: step.do === 'choose one',
    });
    const value = this.told[name];
    if (typeof value !== 'number') return [step, keep(kept, step.name)];
    const any = this.seenAs(value, kind).map((each): Condition => ({
      equal: [step.name, kind === 'card' ? { card: each === INDIFFERENT ? '-' : formatCard(each) } : each],
    }));
    return [step, { do: 'require', that: { any } }, keep(kept, step.name)];
  }

  /** What something that was seen may be in the procedure. */
  private seenAs(value: number, kind: Kind): readonly number[] {
    if (kind !== 'card' || value === INDIFFERENT) return [value];
    // The two copies of a card look the same: either may have been seen.
    const may = [firstOf(value), secondOf(value)];
    // A card that the procedure does not name may be any of the indifferent ones.
    return may.some((each) => this.named.has(each)) ? may : [...may, INDIFFERENT];
  }

  private workingOf(step: StepOf<'see' | 'work out'>, isOnce: boolean): readonly Step[] {
    const kept = this.fresh(`found ${step.name}`);
    const parts = isOnce ? termsOf(step.what) : [];
    const terms =
      parts.length < 2
        ? []
        : parts.map(({ value, sign }) => ({
            ...{ sign, words: sayExpression(value), kept: this.fresh(`part of ${step.name}`) },
          }));
    this.findings.push({ words: step.name, kept, kind: this.kinds.get(step.name) ?? 'number', terms });
    return [...terms.map((term, index) => keep(term.kept, parts[index].value)), step, keep(kept, step.name)];
  }

  private claimOf(step: StepOf<'claim known'>): readonly Step[] {
    const kept = this.fresh('known');
    const words = sayExpression(step.what);
    this.findings.push({ words, kept, kind: kindOf(step.what, this.kinds) ?? 'number', terms: [] });
    return [keep(kept, step.what)];
  }
}

const keep = (name: string, what: Expression): Step => ({ do: 'work out', name, what });

/**
 * Makes a procedure tell what it is to the performer.
 *
 * @param procedure one that `readProcedure` found right.
 * @param told what was seen, by field: only worlds in which it is so are gone on with.
 */
export const instrument = (procedure: Procedure, told: Values = {}): Instrumented => {
  const watching = new Watching(procedure, told);
  const steps = watching.walk(procedure.steps, [], [], true, true);
  const { sights, findings, outs, written, again } = watching;
  return { procedure: { ...procedure, steps }, sights, findings, outs, written, again };
};
