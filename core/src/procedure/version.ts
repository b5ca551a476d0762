import { formOf } from './forms';
import { Procedure, Step } from './procedure';
import { LATER } from './steps';
import { insideOf } from './walk';

const usesForm = (value: unknown): boolean => {
  if (typeof value !== 'object' || value === null) return false;
  const form = Array.isArray(value) ? undefined : formOf(value as Readonly<Record<string, unknown>>);
  return form?.since === 2 || Object.values(value).some(usesForm);
};

/** What is inside a step is looked at as steps of their own. */
const HOLDS_STEPS: ReadonlySet<string> = new Set(['of', 'then', 'otherwise', 'steps']);

/** What was found of a step: the same step is looked at again at each key, beside a thousand others. */
const FOUND = new WeakMap<Step, boolean>();

const isLater = (step: Step): boolean => {
  const before = FOUND.get(step);
  if (before !== undefined) return before;
  const found =
    Object.keys(step).some((field) => LATER[step.do]?.includes(field)) ||
    Object.entries(step).some(([field, value]) => !HOLDS_STEPS.has(field) && usesForm(value)) ||
    insideOf(step).some((inside) => inside.some(isLater));
  FOUND.set(step, found);
  return found;
};

/** The version of the language that a procedure needs: 2 where it uses what came with that. */
export const versionNeeded = ({ steps, packets }: Pick<Procedure, 'steps' | 'packets'>): 1 | 2 =>
  steps.some(isLater) || usesForm(packets) ? 2 : 1;

/** The same procedure, said to be of the version that it needs. */
export const inItsVersion = (procedure: Procedure): Procedure => {
  const version = versionNeeded(procedure);
  return version === (procedure.version ?? 1) ? procedure : { ...procedure, version };
};
