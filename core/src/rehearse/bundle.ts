import { countOf } from '../deck/countOf';
import { Problem } from '../deck/problem';
import { meant } from '../procedure/meant';
import { Procedure } from '../procedure/procedure';
import { versionNeeded } from '../procedure/version';
import { FORMAT, readProcedure } from './readProcedure';

/** Several procedures in one file. */

const BUNDLE = 'enumeron procedures';

/** The most procedures that one file holds. */
export const MOST_BUNDLED = 500;

const fileOf = (procedure: Procedure): object => ({
  format: FORMAT,
  ...procedure,
  version: versionNeeded(procedure),
});

export const makeBundle = (procedures: readonly Procedure[]): string =>
  `${JSON.stringify({ format: BUNDLE, version: 1, procedures: procedures.map(fileOf) }, undefined, 2)}\n`;

/** What a file of procedures held, or all that is wrong with it. */
export type Bundled =
  | { readonly ok: true; readonly procedures: readonly Procedure[] }
  | { readonly ok: false; readonly problems: readonly Problem[] };

const refuse = (what: string, remedy: string): Bundled => ({
  ok: false,
  problems: [{ where: 'File', what, remedy }],
});

/**
 * Reads a file of one procedure, or of several: all of them or none.
 *
 * @param value anything, as `JSON.parse` gave it.
 * @returns the procedures without what their version does not know, or what is wrong; in a bundle the place begins with the
 *   number of the procedure: `Procedure 3, Step 7.1.2`.
 */
export const readProcedures = (value: unknown): Bundled => {
  const { format, version, procedures } = (value ?? {}) as Readonly<Record<string, unknown>>;
  if (format !== BUNDLE) {
    const outcome = readProcedure(value);
    return outcome.ok ? { ok: true, procedures: [meant(outcome.procedure)] } : outcome;
  }
  if (version !== 1)
    return refuse('This version of the file is not known here.', 'Update Enumeron, then open it.');
  if (!Array.isArray(procedures) || procedures.length === 0)
    return refuse('There is no procedure in it.', 'Choose another file.');
  if (procedures.length > MOST_BUNDLED)
    return refuse(
      `It has ${countOf(procedures.length, 'procedure')}, and at most ${MOST_BUNDLED} are read.`,
      'Split it.',
    );
  const read = procedures.map(readProcedure);
  const problems = read.flatMap((each, index) =>
    each.ok
      ? []
      : each.problems.map((problem) => ({
          ...problem,
          where: `Procedure ${index + 1}${problem.where === undefined ? '' : `, ${problem.where}`}`,
        })),
  );
  return problems.length > 0
    ? { ok: false, problems }
    : { ok: true, procedures: read.flatMap((each) => (each.ok ? [meant(each.procedure)] : [])) };
};
