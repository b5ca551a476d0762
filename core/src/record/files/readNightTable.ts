import { parseCard } from '../../deck/notation';
import { Problem } from '../../deck/problem';
import { ROUTINE_ENDINGS, RoutineDone, RoutineEnding, WasChosen } from '../../perform/cue/done';
import { Night } from '../night';
import { NIGHT } from '../nightShape';
import { TABLE_FIELDS, TableField } from './nightTable';
import { parseClock, parseDay, WallClock } from './wallClock';

/** What each column of a table that is read stands for; undefined where it is left out. */
export type Mapping = readonly (TableField | 'choice' | undefined)[];

const KINDS = ['show', 'practice', 'run-through'] as const;

/** Other names that people give to columns. */
const ALSO: Readonly<Record<string, TableField>> = {
  ...{
    day: 'date',
    when: 'date',
    begin: 'time',
    start: 'time',
    type: 'kind',
    show: 'set',
    'set list': 'set',
  },
  ...{
    venue: 'place',
    where: 'place',
    location: 'place',
    crowd: 'audience',
    size: 'people',
    count: 'people',
  },
  ...{
    length: 'minutes',
    duration: 'minutes',
    notes: 'note',
    remarks: 'note',
    effect: 'routine',
    trick: 'routine',
  },
  ...{ end: 'ended', result: 'ended', outcome: 'ended', reason: 'why', 'why not': 'why', mistake: 'wrong' },
};

/** What the columns of a table stand for, as far as their names tell. */
export const guessMapping = (heads: readonly string[]): Mapping => {
  const used = new Set<TableField>();
  return heads.map((head) => {
    const name = head.trim().toLowerCase();
    const field =
      TABLE_FIELDS.find((each) => each === name) ?? (Object.hasOwn(ALSO, name) ? ALSO[name] : undefined);
    if (field === undefined || used.has(field)) return undefined;
    used.add(field);
    return field;
  });
};

/** Words for endings that people use beside ours. */
const ENDING_ALSO: Readonly<Record<string, RoutineEnding>> = {
  ...{
    yes: 'hit',
    y: 'hit',
    ok: 'hit',
    '1': 'hit',
    h: 'hit',
    x: 'hit',
    no: 'missed',
    n: 'missed',
    '0': 'missed',
  },
  ...{
    miss: 'missed',
    m: 'missed',
    o: 'out',
    stop: 'stopped',
    s: 'stopped',
    skipped: 'left out',
    l: 'left out',
  },
};

const endingOf = (text: string): RoutineEnding | undefined => {
  const word = text.trim().toLowerCase();
  if (word === '') return 'not noted';
  return (
    ROUTINE_ENDINGS.find((each) => each === word) ??
    (Object.hasOwn(ENDING_ALSO, word) ? ENDING_ALSO[word] : undefined)
  );
};

const choiceOf = (text: string, header: string | undefined): WasChosen | undefined => {
  const found = header === undefined ? /^(seen )?([^=]+)=(.*?)(?: “(.*)”)?$/.exec(text) : undefined;
  if (header === undefined && !found) return undefined;
  const name = (found?.[2] ?? header ?? '').trim().slice(0, 80);
  const value = (found?.[3] ?? text).trim();
  const said = found?.[4];
  const about = { ...(said !== undefined && { said }), ...(found?.[1] && { seen: true as const }) };
  if (/^-?\d{1,9}$/.test(value)) return { path: '', name, value: Number(value), ...about };
  const card = parseCard(value);
  if (card !== undefined) return { path: '', name, value: card, sort: 'card', ...about };
  return { path: '', name, value: 0, sort: 'word', words: value.slice(0, 200), ...about };
};

/** A short text that is the same for the same: so that a table read twice changes and does not double. */
const idOf = (text: string): string => {
  let [a, b] = [0x811c9dc5, 0x01000193];
  for (let at = 0; at < text.length; at++) {
    a = Math.imul(a ^ text.charCodeAt(at), 0x01000193);
    b = Math.imul(b ^ text.charCodeAt(at), 0x85ebca6b);
  }
  return `table-${(a >>> 0).toString(36)}${(b >>> 0).toString(36)}`;
};

/** What came of a table: the nights in it, and the rows that could not be read. */
export interface ReadTable {
  readonly nights: readonly Night[];
  readonly problems: readonly Problem[];
}

type Cells = Readonly<Partial<Record<TableField, string>>>;

/** A row’s cells by what they stand for, and its choices. */
const cellsBy = (row: readonly string[], heads: readonly string[], mapping: Mapping) => {
  const cells: Partial<Record<TableField, string>> = {};
  const choices: WasChosen[] = [];
  mapping.forEach((field, index) => {
    const text = (row.at(index) ?? '').trim();
    if (field === undefined || text === '') return;
    if (field === 'choice') {
      const choice = choiceOf(text, heads.at(index) ?? '');
      if (choice) choices.push(choice);
    } else cells[field] = text;
  });
  for (const part of (cells.choices ?? '').split(';')) {
    const choice = part.trim() === '' ? undefined : choiceOf(part.trim(), undefined);
    if (choice) choices.push(choice);
  }
  return { cells: cells as Cells, choices };
};

const headOf = (cells: Cells, changed: number, wall: WallClock): Omit<Night, 'done'> | string => {
  const day = parseDay(cells.date ?? '');
  if (!day) return `“${(cells.date ?? '').slice(0, 20)}” is no date.`;
  const clock = cells.time === undefined ? ([20, 0, 0] as const) : parseClock(cells.time);
  if (!clock) return `“${(cells.time ?? '').slice(0, 20)}” is no time of day.`;
  const kind = (cells.kind ?? 'show').toLowerCase();
  const [people, minutes] = [cells.people, cells.minutes].map((text) =>
    text === undefined ? undefined : Number(text),
  );
  if (people !== undefined && !(Number.isSafeInteger(people) && people >= 0 && people <= 1_000_000))
    return `“${(cells.people ?? '').slice(0, 20)}” people is no count.`;
  if (minutes !== undefined && !(minutes >= 0 && minutes < 100_000))
    return `“${(cells.minutes ?? '').slice(0, 20)}” is no number of minutes.`;
  const { set = '', place = '', audience = '', note = '' } = cells;
  const own = Number(cells.changed);
  return {
    id: cells.id ?? idOf([...day, ...clock, set, place].join(' ')),
    at: wall.at([...day, ...clock]),
    changed: cells.changed !== undefined && Number.isFinite(own) ? own : changed,
    real: kind !== KINDS[1] && kind !== KINDS[2],
    ...(kind === KINDS[1] && { practice: true as const }),
    ...{ name: set.slice(0, 200), audience: audience.slice(0, 80) },
    ...(place !== '' && { place: place.slice(0, 200) }),
    ...(people !== undefined && { size: people }),
    ...(minutes !== undefined && { seconds: Math.round(minutes * 60) }),
    ...(note !== '' && { note: note.slice(0, 4000) }),
  };
};

const doneOf = (cells: Cells, choices: readonly WasChosen[], routines: ReadonlyMap<string, string>) => {
  const name = (cells.routine ?? '').slice(0, 80);
  if (name === '' && choices.length === 0) return undefined;
  const how = endingOf(cells.ended ?? '');
  if (how === undefined)
    return `“${(cells.ended ?? '').slice(0, 20)}” is no ending: hit, out, missed, stopped or left out.`;
  const slips = (cells.slips ?? '')
    .split(';')
    .map((each) => each.trim())
    .filter((each) => each !== '');
  const { why, out, wrong } = cells;
  const done: RoutineDone = {
    ...{ id: routines.get(name.toLowerCase()) ?? (name === '' ? 'none' : `named ${name}`.slice(0, 100)) },
    ...{ name: name === '' ? 'Without a routine' : name, how, choices, steps: [], mends: [] },
    ...(why !== undefined && { why }),
    ...(out !== undefined && { out }),
    ...(wrong !== undefined && { wrong }),
    ...(slips.length > 0 && { slips }),
  };
  return done;
};

/**
 * Reads the nights of a table. Rows of one night stand together or not; they are one where the date, the time, the set and
 * the place are the same, or the id is.
 *
 * @param cells the rows; the first holds the names of the columns. @param mapping what each column stands for.
 * @param routines by the name of a routine in small letters its id. @param changed when it is read, in milliseconds.
 */
export const readNightTable = (
  cells: readonly (readonly string[])[],
  mapping: Mapping,
  routines: ReadonlyMap<string, string>,
  changed: number,
  clock: WallClock,
): ReadTable => {
  const [heads = [], ...rows] = cells;
  const nights = new Map<string, Night>();
  const problems: Problem[] = [];
  for (const [index, row] of rows.entries()) {
    const where = `Row ${(index + 2).toString()}`;
    const refuse = (what: string): void => {
      problems.push({ where, what, remedy: 'Mend the row, or leave the column out.' });
    };
    const { cells: own, choices } = cellsBy(row, heads, mapping);
    const head = headOf(own, changed, clock);
    if (typeof head === 'string') {
      refuse(head);
      continue;
    }
    const done = doneOf(own, choices, routines);
    if (typeof done === 'string') {
      refuse(done);
      continue;
    }
    const before = nights.get(head.id);
    const night: Night = before ?? { ...head, done: [] };
    const now = done ? { ...night, done: [...night.done, done] } : night;
    const problem = NIGHT(now, {});
    if (problem) refuse(`${problem.where ?? 'The row'}: ${problem.what}`);
    else nights.set(head.id, now);
  }
  return { nights: [...nights.values()], problems };
};
