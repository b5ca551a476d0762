import { Rng } from '../../deck/rng';
import { Expression, Procedure, Step } from '../../procedure/procedure';
import { namesIn, packetsOf } from '../../procedure/walk';
import { byOf } from '../../procedure/procedure';
import { insertSteps, pathOf, replaceStep } from '../../rehearse/editSteps';
import { sayStep } from '../../rehearse/sentence';

/** What goes wrong with a pair of hands. */
export const SLIPS = ['too deep', 'miscount', 'dropped card'] as const;
export type SlipKind = (typeof SLIPS)[number];

/** A slip in a case: where, and what happened. */
export interface Slip {
  readonly kind: SlipKind;
  /** The step as it is written. */
  readonly path: string;
  readonly says: string;
}

/** A procedure as it goes with a slip; its steps stand where they stand without it, but for one that is laid in. */
export interface Slipped {
  readonly procedure: Procedure;
  readonly slip: Slip;
  /** The path of the step that was laid in, where one was. */
  readonly laidIn: string | undefined;
}

const oneMore = (count: Expression): Expression => ({ sum: [count, 1] });

/** Whether a slip can happen at a step. */
const CAN: Readonly<Record<SlipKind, (step: Step) => boolean>> = {
  'too deep': (step) => (step.do === 'cut' || step.do === 'lift') && byOf(step) !== 'helper',
  miscount: (step) => step.do === 'deal' && byOf(step) !== 'helper',
  'dropped card': (step) => (step.do === 'lift' || step.do === 'cut') && byOf(step) === 'helper',
};

const SAYS: Readonly<Record<SlipKind, (step: Step) => string>> = {
  'too deep': (step) => `One card too many: ${sayStep(step)}`,
  miscount: (step) => `One card too many was dealt: ${sayStep(step)}`,
  'dropped card': () => 'A card fell from the pack, and nobody saw which',
};

/** A name that no packet has. */
const floorOf = ({ steps, packets = {} }: Procedure): string => {
  const taken = new Set([...packetsOf(steps), ...Object.keys(packets), ...namesIn(steps)]);
  let name = 'the floor';
  while (taken.has(name)) name += ' there';
  return name;
};

/**
 * A slip laid into a procedure, at one of its own steps; undefined where none can happen there.
 *
 * @param procedure one that `readProcedure` found right.
 */
export const slipInto = (procedure: Procedure, rng: Rng): Slipped | undefined => {
  const pick = <Item>(list: readonly Item[]): Item | undefined => list.at(Math.floor(rng() * list.length));
  const may = procedure.steps.flatMap((step, index) =>
    SLIPS.filter((kind) => CAN[kind](step)).map((kind) => ({ kind, step, path: `${index + 1}` })),
  );
  const chosen = pick(may);
  if (!chosen) return undefined;
  const { kind, step, path } = chosen;
  const slip: Slip = { kind, path, says: SAYS[kind](step) };
  if (kind !== 'dropped card') {
    const { count } = step as unknown as { readonly count: Expression };
    const slipped = { ...step, count: oneMore(count) } as Step;
    return {
      procedure: { ...procedure, steps: replaceStep(procedure.steps, pathOf(path), slipped) },
      ...{ slip, laidIn: undefined },
    };
  }
  const from =
    'from' in step && typeof step.from === 'string' ? step.from : (step as { packet: string }).packet;
  const drop: Step = { do: 'take', place: { 'size of': from }, from, onto: floorOf(procedure), by: 'helper' };
  return {
    procedure: { ...procedure, steps: insertSteps(procedure.steps, pathOf(path), [drop]) },
    ...{ slip, laidIn: path },
  };
};
