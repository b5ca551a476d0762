import { Kind, slotsOf } from './form';
import { formOf } from './forms';
import { byOf, Procedure, Step } from './procedure';
import { SLOTS } from './steps';

export const namesIn = (steps: readonly Step[]): string[] =>
  steps.flatMap((step) => [
    ...('name' in step ? [step.name] : []),
    ...insideOf(step).flatMap((inside) => namesIn(inside)),
  ]);

export const insideOf = (step: Step): readonly (readonly Step[])[] => {
  if (step.do === 'choose one') return step.of.map(({ steps }) => steps);
  if (step.do === 'if') return [step.then, step.otherwise ?? []];
  if (step.do === 'out') return step.steps ? [step.steps] : [];
  return step.do === 'repeat' ? [step.steps] : [];
};

/** Whether a step such as this stands anywhere among the steps. */
export const anyStep = (steps: readonly Step[], isOne: (step: Step) => boolean): boolean =>
  steps.some((step) => isOne(step) || insideOf(step).some((inside) => anyStep(inside, isOne)));

/** Whether anything is claimed: a procedure without a claim proves nothing. */
export const claimsAnything = (steps: readonly Step[]): boolean =>
  anyStep(steps, (step) => step.do === 'claim' || step.do === 'claim known');

/** The packets that a step names, in the order of its fields; those in expressions too. */
const packetsIn = (value: object, slots: readonly (readonly [field: string, slot: string])[]): string[] =>
  slots.flatMap(([field, slot]) => inSlot(slot, (value as Record<string, unknown>)[field]));

const inSlot = (slot: string, value: unknown): string[] => {
  if (value === undefined) return [];
  if (slot === 'packet') return [value as string];
  if (slot === 'packets') return value as string[];
  if (Array.isArray(value) && slot !== 'options' && slot !== 'steps')
    return value.flatMap((each) => inSlot('value', each));
  if (typeof value !== 'object' || value === null || slot === 'likely') return [];
  const form = formOf(value as Record<string, unknown>);
  return form && slot !== 'options' && slot !== 'steps' ? packetsIn(value, slotsOf(form)) : [];
};

export const packetsOf = (steps: readonly Step[]): string[] =>
  steps.flatMap((step) => [...packetsIn(step, SLOTS[step.do]), ...insideOf(step).flatMap(packetsOf)]);

/** Whether *these* cards are those of an order, and not a list. */
const isOrderName = (slot: string, value: unknown): boolean => slot === 'these' && typeof value === 'string';

/** The names that an expression or condition reads. */
export const namesRead = (value: unknown): string[] => {
  if (typeof value === 'string') return [value];
  if (typeof value !== 'object' || value === null) return [];
  const fields = value as Record<string, unknown>;
  const form = formOf(fields);
  if (!form) return [];
  return slotsOf(form).flatMap(([field, slot]) =>
    slot === 'packet' || slot === 'order' || slot === 'towards' || isOrderName(slot, fields[field])
      ? []
      : [fields[field]].flat().flatMap(namesRead),
  );
};

const isUncounted = (step: Step): boolean => step.do === 'choose' && step.uncounted === true;

/** Whether the performer knows what a step gives: they chose it or were told, saw it, or worked it out. */
export const givesKnown = (step: Step): boolean =>
  step.do === 'choose' || step.do === 'choose one'
    ? step.told === true || (byOf(step) !== 'helper' && !isUncounted(step))
    : step.do === 'see' || step.do === 'work out'
      ? byOf(step) !== 'helper'
      : false;

/** The names that the performer knows. */
export const knownNames = (steps: readonly Step[]): string[] =>
  steps.flatMap((step) => [
    ...('name' in step && givesKnown(step) ? [step.name] : []),
    ...insideOf(step).flatMap(knownNames),
  ]);

/** By name: whether it holds a number or a card, where that is clear. */
export const kindsOf = ({ steps, givens = {} }: Procedure): ReadonlyMap<string, Kind> => {
  const kinds = new Map<string, Kind>(Object.keys(givens).map((name) => [name, 'number']));
  const walk = (inside: readonly Step[]): void => {
    for (const step of inside) {
      if (step.do === 'choose' || step.do === 'choose one') kinds.set(step.name, 'number');
      if (step.do === 'see' || step.do === 'work out') {
        const kind = kindOf(step.what, kinds);
        if (kind) kinds.set(step.name, kind);
      }
      insideOf(step).forEach(walk);
    }
  };
  walk(steps);
  return kinds;
};

/** What an expression gives. */
export const kindOf = (value: unknown, names: ReadonlyMap<string, Kind>): Kind | undefined => {
  if (typeof value === 'number') return 'number';
  if (typeof value === 'string') return names.get(value);
  if (typeof value !== 'object' || value === null) return undefined;
  const gives = formOf(value as Record<string, unknown>)?.gives;
  if (gives) return gives === 'condition' ? undefined : gives;
  return 'card' in value ? 'card' : undefined;
};
