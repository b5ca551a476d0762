import { Slot, slotsOf } from '../procedure/form';
import { formOf } from '../procedure/forms';
import { Procedure, Step } from '../procedure/procedure';
import { SLOTS } from '../procedure/steps';
import { namesIn } from '../procedure/walk';
import { Path, replaceStep, stepAt } from './editSteps';

/** An expression or condition in which a name stands for another. */
const inValue = (value: unknown, from: string, to: string): unknown => {
  if (value === from) return to;
  if (Array.isArray(value)) return value.map((each) => inValue(each, from, to));
  if (typeof value !== 'object' || value === null) return value;
  const fields = value as Readonly<Record<string, unknown>>;
  const form = formOf(fields);
  if (!form) return value;
  const slots = new Map(slotsOf(form));
  return Object.fromEntries(
    Object.entries(fields).map(([field, part]) => [
      field,
      holdsNames(slots.get(field), part) ? inValue(part, from, to) : part,
    ]),
  );
};

const NO_NAMES: ReadonlySet<Slot | undefined> = new Set(['packet', 'order', 'towards', undefined]);

/** Whether a field may hold names of values: an order's name stands where *these* cards are all of an order. */
const holdsNames = (slot: Slot | undefined, part: unknown): boolean =>
  !NO_NAMES.has(slot) && !(slot === 'these' && typeof part === 'string');

const READ: ReadonlySet<string> = new Set(['number', 'card', 'value', 'condition']);

const inStep = (step: Step, from: string, to: string): Step =>
  Object.fromEntries(
    Object.entries(step).map(([field, value]: [string, unknown]) => {
      const slot = SLOTS[step.do].find(([name]) => name === field)?.[1] ?? '';
      if (slot === 'steps') return [field, (value as Step[]).map((each) => inStep(each, from, to))];
      if (slot === 'options')
        return [
          field,
          (value as { steps: Step[] }[]).map((option) => ({
            ...option,
            steps: option.steps.map((each) => inStep(each, from, to)),
          })),
        ];
      return [field, READ.has(slot) ? inValue(value, from, to) : value];
    }),
  ) as unknown as Step;

/**
 * Gives what a step gives another name, and everything that uses it; where another step or a given has the old name
 * too, the uses stay.
 */
export const renameAt = (procedure: Procedure, path: Path, to: string): Procedure => {
  const step = stepAt(procedure.steps, path);
  if (!step || !('name' in step) || step.name === to) return procedure;
  const from = step.name;
  const steps = replaceStep(procedure.steps, path, { ...step, name: to });
  const taken = namesIn(steps).includes(from) || Object.hasOwn(procedure.givens ?? {}, from);
  return {
    ...procedure,
    steps: taken || from === '' || to === '' ? steps : steps.map((each) => inStep(each, from, to)),
  };
};
