import { Outcome, Problem } from '../deck/problem';
import { Procedure } from '../procedure/procedure';
import { readProcedure } from '../rehearse/readProcedure';
import { Routine, ROUTINE, SET_LIST, SetList } from './routine';

/** What a file says it is. */
export const SET_FORMAT = 'enumeron set';
const VERSION = 1;

/** A routine of a set with the procedure that it is. */
export interface CarriedRoutine {
  readonly id: string;
  readonly routine: Routine;
  readonly procedure?: Procedure;
  /** When it was changed last, in milliseconds; files of before do not tell. */
  readonly changed?: number;
}

/** A set with all that it takes: its routines, their procedures, orders and words. */
export interface CarriedSet {
  /** Its id, by which it is known again, and when it was changed last; files of before do not tell. */
  readonly id?: string;
  readonly changed?: number;
  readonly set: SetList;
  readonly routines: readonly CarriedRoutine[];
}

/** The longest file of a set that is read, in characters: it must fit an address. */
export const LONGEST_SET_FILE = 400_000;

export const makeSetFile = ({ id, changed, set, routines }: CarriedSet): string =>
  JSON.stringify({ format: SET_FORMAT, version: VERSION, id, changed, set, routines });

const isId = (value: unknown): value is string => typeof value === 'string' && /^[\w-]{1,64}$/.test(value);
const isTime = (value: unknown): value is number => Number.isSafeInteger(value) && (value as number) >= 0;

const wrong = (where: string, { what, remedy, where: inner }: Problem): Problem => ({
  ...{ where: inner === undefined ? where : `${where} › ${inner}`, what, remedy },
});

const readRoutine = (value: unknown, index: number): Outcome<{ readonly carried: CarriedRoutine }> => {
  const where = `Routine ${(index + 1).toString()}`;
  const { id, routine, procedure, changed, ...odd } = (value ?? {}) as Record<string, unknown>;
  const refuse = (problem: Problem) => ({ ok: false as const, problems: [wrong(where, problem)] });
  if (changed !== undefined && !isTime(changed))
    return refuse({ what: 'Its last change is no time.', remedy: 'Take it out.' });
  if (!isId(id)) return refuse({ what: 'It has no id.', remedy: 'Give it one of letters and digits.' });
  if (Object.keys(odd).length > 0)
    return refuse({
      what: `“${Object.keys(odd)[0].slice(0, 20)}” does not belong here.`,
      remedy: 'Take it out.',
    });
  const problem = ROUTINE(routine, {});
  if (problem) return refuse(problem);
  const own = { id, routine: routine as Routine, ...(changed !== undefined && { changed }) };
  if (procedure === undefined) return { ok: true, carried: own };
  const read = readProcedure(procedure);
  return read.ok
    ? { ok: true, carried: { ...own, procedure: read.procedure } }
    : { ok: false, problems: read.problems.map((each) => wrong(where, each)) };
};

/** Reads a set as it stands in a file or came by a link. */
export const readSetFile = (value: unknown): Outcome<{ readonly carried: CarriedSet }> => {
  const { format, version, id, changed, set, routines } = (
    typeof value === 'object' && value !== null ? value : {}
  ) as Record<string, unknown>;
  const refuse = (what: string, remedy: string) => ({
    ok: false as const,
    problems: [{ where: 'File', what, remedy }],
  });
  if (format !== SET_FORMAT) return refuse('This is no set of Enumeron.', 'Choose another file.');
  if (version !== VERSION)
    return refuse('This version is not known here.', `Use version ${VERSION.toString()}.`);
  if (id !== undefined && !isId(id)) return refuse('The id of the set is none.', 'Save the set again.');
  if (changed !== undefined && !isTime(changed))
    return refuse('The last change of the set is no time.', 'Save the set again.');
  const problem = SET_LIST(set, {});
  if (problem) return { ok: false, problems: [wrong('Set', problem)] };
  if (!Array.isArray(routines) || routines.length > 100)
    return refuse('It lists no routines, or too many.', 'Write up to 100 of them.');
  const read = routines.map(readRoutine);
  const problems = read.flatMap((each) => (each.ok ? [] : each.problems));
  if (problems.length > 0) return { ok: false, problems };
  const carried = read.flatMap((each) => (each.ok ? [each.carried] : []));
  const ids = new Set(carried.map(({ id }) => id));
  if (ids.size < carried.length) return refuse('Two routines have one id.', 'Give each its own.');
  const lacking = (set as SetList).order.find((id) => !ids.has(id));
  if (lacking !== undefined)
    return refuse(`The set names a routine “${lacking}” that is not in the file.`, 'Save the set again.');
  const own = { ...(id !== undefined && { id }), ...(changed !== undefined && { changed }) };
  return { ok: true, carried: { ...own, set: set as SetList, routines: carried } };
};
