import { firstOf, isCard } from '../../deck/card';
import { Kind } from '../../procedure/form';
import { compileStepwise } from '../../procedure/compile';
import { INDIFFERENT } from '../../procedure/packets';
import { Procedure, Step } from '../../procedure/procedure';
import { Choice, Program } from '../../procedure/program';
import { kindsOf } from '../../procedure/walk';
import { pathOf, stepAt } from '../../rehearse/editSteps';
import { hasChance } from '../../rehearse/prove';
import { cardsNamed } from '../../rehearse/watched';
import { Stop, WithAmounts, withAmounts } from './amounts';

/** A point of a program at which it is looked at a world. */
export interface Look extends Stop {
  /** Where what is told is kept; its kind. Not of steps that tell nothing. */
  readonly value: number;
  readonly sort: Kind | undefined;
  /** Whether it is seen, and not chosen. */
  readonly isSeen: boolean;
  /** Of what is chosen, the choice. */
  readonly choice: Choice | undefined;
}

/** A procedure made ready to be followed while it is performed. */
export interface Followed extends WithAmounts {
  readonly program: Program;
  /** The procedure as it is written. */
  readonly own: Procedure;
  /** Whether it shuffles by chance. */
  readonly isByChance: boolean;
  /** By instruction: what is looked at there. */
  readonly looks: ReadonlyMap<number, Look>;
  /** The values that count the answers that were used up, and the steps that were noted. */
  readonly used: number;
  readonly noted: number;
  readonly kinds: ReadonlyMap<string, Kind>;
  readonly named: ReadonlySet<number>;
}

/** Chance can bring any order: what fits then is among the worlds of a thorough mix. */
const mixing = (steps: readonly Step[]): readonly Step[] =>
  steps.map((step): Step => {
    switch (step.do) {
      case 'riffle':
      case 'overhand':
        return { ...step, do: 'mix' };
      case 'if':
        return {
          ...step,
          then: mixing(step.then),
          ...(step.otherwise && { otherwise: mixing(step.otherwise) }),
        };
      case 'choose one':
        return { ...step, of: step.of.map((option) => ({ ...option, steps: mixing(option.steps) })) };
      case 'repeat':
        return { ...step, steps: mixing(step.steps) };
      default:
        return step;
    }
  });

/** @param own a procedure that `readProcedure` found right. */
export const follow = (own: Procedure): Followed => {
  const kept = withAmounts({ ...own, steps: mixing(own.steps) });
  const program = compileStepwise(kept.procedure);
  const kinds = kindsOf(own);
  const choices = new Map(
    program.code.flatMap(({ choice }, at) =>
      choice ? [[kept.written.get(program.paths[at]) ?? '', choice] as const] : [],
    ),
  );
  const looks = new Map<number, Look>();
  program.paths.forEach((path, at) => {
    const stop = kept.stops.get(path);
    if (!stop) return;
    const step = stepAt(own.steps, pathOf(stop.path));
    const name = step && 'name' in step ? step.name : '';
    looks.set(at, {
      ...stop,
      ...{ value: program.names.indexOf(name), sort: kinds.get(name), isSeen: step?.do === 'see' },
      choice: choices.get(stop.path),
    });
  });
  const [used, noted] = kept.counts.map((name) => program.names.indexOf(name));
  return {
    ...{ ...kept, own, program, looks, used, noted, kinds },
    ...{ isByChance: hasChance(own), named: cardsNamed(own) },
  };
};

/** Whether a value in a world is what was told: of two copies of a card either, and any card that is not named for an indifferent one. */
export const isSameSight = (
  { named }: Followed,
  kind: Kind | undefined,
  is: number,
  told: number,
): boolean => {
  if (is === told || kind !== 'card') return is === told;
  if (!isCard(told)) return false;
  if (isCard(is)) return firstOf(is) === firstOf(told);
  return is === INDIFFERENT && ![...named].some((card) => firstOf(card) === firstOf(told));
};

/** The path of a step as it is written, by that of one that may only keep an amount for it. */
export const writtenPath = ({ written }: WithAmounts, path: string): string => {
  const [...parts] = pathOf(path);
  for (let tries = 0; tries < 20; tries++) {
    const found = written.get(parts.join('.'));
    if (found !== undefined) return found;
    parts[parts.length - 1]++;
  }
  return '';
};
