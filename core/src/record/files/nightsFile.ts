import { Outcome, Problem } from '../../deck/problem';
import { Night } from '../night';
import { NIGHT } from '../nightShape';

/** What a file says it is. */
export const NIGHTS_FORMAT = 'enumeron record';
const VERSION = 1;

/** The longest file of nights that is read, in characters, and the most nights in it. */
export const LONGEST_NIGHTS_FILE = 40_000_000;
const MOST_NIGHTS = 20_000;

/** Nights as a file: whoever opens it merges them, removed ones too. What is a sample stays at home. */
export const makeNightsFile = (nights: readonly Night[]): string =>
  JSON.stringify({ format: NIGHTS_FORMAT, version: VERSION, nights: nights.filter(({ sample }) => !sample) });

/** Reads nights as they stand in a file; all of them are right, or none is taken. */
export const readNightsFile = (value: unknown): Outcome<{ readonly nights: readonly Night[] }> => {
  const { format, version, nights, ...odd } = (
    typeof value === 'object' && value !== null ? value : {}
  ) as Record<string, unknown>;
  const refuse = (problem: Problem) => ({ ok: false as const, problems: [problem] });
  if (format !== NIGHTS_FORMAT)
    return refuse({ where: 'File', what: 'This is no record of Enumeron.', remedy: 'Choose another file.' });
  if (version !== VERSION)
    return refuse({
      ...{
        where: 'File',
        what: 'This version is not known here.',
        remedy: `Use version ${VERSION.toString()}.`,
      },
    });
  const name = Object.keys(odd).at(0);
  if (name !== undefined)
    return refuse({ where: name.slice(0, 20), what: 'This does not belong here.', remedy: 'Take it out.' });
  if (!Array.isArray(nights) || nights.length > MOST_NIGHTS)
    return refuse({
      ...{ where: 'File', what: 'It lists no nights, or too many.' },
      remedy: `Write up to ${MOST_NIGHTS.toLocaleString('en')} of them.`,
    });
  const ids = new Set<unknown>();
  for (const [index, night] of (nights as readonly unknown[]).entries()) {
    const at = `Night ${(index + 1).toString()}`;
    const problem = NIGHT(night, {});
    if (problem)
      return refuse({ ...problem, where: problem.where === undefined ? at : `${at} › ${problem.where}` });
    const { id } = night as Night;
    if (ids.has(id))
      return refuse({ where: at, what: 'Another night has the same id.', remedy: 'Give each its own.' });
    ids.add(id);
  }
  return { ok: true, nights: nights as readonly Night[] };
};
