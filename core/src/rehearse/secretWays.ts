import { formOf } from '../procedure/forms';
import { byOf, Condition, Procedure, Step } from '../procedure/procedure';
import { Do, Program } from '../procedure/program';
import { insideOf, knownNames, namesRead } from '../procedure/walk';

/** Whether a condition looks at cards on the table. */
const looks = (value: unknown): boolean => {
  if (Array.isArray(value)) return value.some(looks);
  if (typeof value !== 'object' || value === null) return false;
  const form = formOf(value as Readonly<Record<string, unknown>>);
  return form !== undefined && (form.looks || Object.values(value).some(looks));
};

const isSecret = (step: Step, known: ReadonlySet<string>): boolean => {
  if (step.do === 'choose one') return !known.has(step.name);
  if (step.do !== 'if' || byOf(step) !== 'helper') return false;
  const that: Condition = step.that;
  return looks(that) || namesRead(that).some((name) => !known.has(name));
};

/** The paths of steps of which a way is gone that the performer does not know, the outermost alone. */
const secretPaths = (steps: readonly Step[], known: ReadonlySet<string>, above = ''): readonly string[] =>
  steps.flatMap((step, index) => {
    const path = `${above}${index + 1}`;
    if (isSecret(step, known)) return [path];
    return insideOf(step).flatMap((inside, branch) => secretPaths(inside, known, `${path}.${branch + 1}.`));
  });

/**
 * For each instruction inside a way that is gone in secret, all at which another world may be at that moment: in any of
 * the ways, and right behind them.
 *
 * @param program of the procedure, each step done by itself.
 */
export const secretWays = (
  procedure: Procedure,
  { code, paths }: Program,
): ReadonlyMap<number, readonly number[]> => {
  const known = new Set([...knownNames(procedure.steps), ...Object.keys(procedure.givens ?? {})]);
  const ways = new Map<number, readonly number[]>();
  for (const path of secretPaths(procedure.steps, known)) {
    const within = [...code.keys()].filter((at) => paths[at] === path || paths[at].startsWith(`${path}.`));
    const inside = within.filter(
      (at) => paths[at] !== path || code[at].kind === Do.Jump || code[at].kind === Do.Branch,
    );
    if (inside.length === 0) continue;
    const all = [...inside, within[within.length - 1] + 1];
    for (const at of inside) ways.set(at, all);
  }
  return ways;
};
