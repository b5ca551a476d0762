import { formOf } from './forms';
import { Procedure, Step } from './procedure';
import { LATER } from './steps';
import { insideOf } from './walk';

const usesForm = (value: unknown): boolean => {
  if (typeof value !== 'object' || value === null) return false;
  const form = Array.isArray(value) ? undefined : formOf(value as Readonly<Record<string, unknown>>);
  return form?.since === 2 || Object.values(value).some(usesForm);
};

const isLater = (step: Step): boolean => {
  const fields = Object.entries(step).filter(([field]) => !HOLDS_STEPS.has(field));
  return (
    fields.some(([field]) => LATER[step.do]?.includes(field)) ||
    (step.do === 'out' && step.steps !== undefined) ||
    fields.some(([, value]) => usesForm(value)) ||
    insideOf(step).some((inside) => inside.some(isLater))
  );
};
const HOLDS_STEPS: ReadonlySet<string> = new Set(['of', 'then', 'otherwise', 'steps']);

/** The version of the language that a procedure needs: 2 where it uses what came with that. */
export const versionNeeded = ({ steps, packets }: Pick<Procedure, 'steps' | 'packets'>): 1 | 2 =>
  steps.some(isLater) || usesForm(packets) ? 2 : 1;

/** The same procedure, said to be of the version that it needs. */
export const inItsVersion = (procedure: Procedure): Procedure => ({
  ...procedure,
  version: versionNeeded(procedure),
});
