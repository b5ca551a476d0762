import { formatCard, parseCard } from '../../deck/notation';
import { Problem } from '../../deck/problem';
import { Night } from '../night';
import { ROUTINE_ENDINGS, RoutineDone, RoutineEnding, WasChosen } from '../../perform/cue/done';
import { NIGHT } from '../nightShape';

/** What a column of a table may hold; `choice` is one choice each, called as the column is. */
export const TABLE_FIELDS = [
  ...([
    'id',
    'changed',
    'date',
    'time',
    'kind',
    'set',
    'place',
    'audience',
    'people',
    'minutes',
    'note',
  ] as const),
  ...(['routine', 'ended', 'why', 'out', 'wrong', 'choices', 'slips'] as const),
] as const;
export type TableField = (typeof TABLE_FIELDS)[number];

/** What each column of a table that is read stands for; undefined where it is left out. */
export type Mapping = readonly (TableField | 'choice' | undefined)[];

const KINDS = ['show', 'practice', 'run-through'] as const;

/** A moment as a clock on the wall shows it, month and day from 1. */
export type WallTime = readonly [
  year: number,
  month: number,
  day: number,
  hours: number,
  minutes: number,
  seconds: number,
];

/** The clock on the wall where the user is: moments are in milliseconds since 1970. */
export interface WallClock {
  shows(at: number): WallTime;
  at(time: WallTime): number;
}

const two = (value: number): string => value.toString().padStart(2, '0');

const kindOf = ({ real, practice }: Night): string => (practice ? 'practice' : real ? 'show' : 'run-through');

/** What stands between two choices, and what cuts a choice in parts, may stand in no part. */
const bare = (text: string): string => text.replace(/[;=\s]+/g, ' ').trim();

/** A choice as it stands in a cell: `lifted=21 “Lift about half.”` */
export const cellOf = ({ name, value, sort, words = '', said, seen }: WasChosen): string => {
  const shown = sort === 'card' ? formatCard(value) : sort === undefined ? value.toString() : bare(words);
  return `${seen ? 'seen ' : ''}${bare(name)}=${shown}${said === undefined ? '' : ` “${bare(said)}”`}`;
};

/** Nights as a table: a row each routine, the night’s own cells in every row. A night without routines has one row. */
export const nightCells = (nights: readonly Night[], clock: WallClock): readonly (readonly string[])[] => [
  TABLE_FIELDS,
  ...nights
    .filter(({ removed }) => !removed)
    .flatMap((night) => {
      const { id, changed = night.at, at, name, place = '', audience, size, seconds, note = '' } = night;
      const [year, month, day, hours, minutes, wallSeconds] = clock.shows(at);
      const head = [
        ...[id, changed.toString()],
        [year.toString().padStart(4, '0'), two(month), two(day)].join('-'),
        [two(hours), two(minutes), two(wallSeconds)].join(':'),
        ...[kindOf(night), name, place, audience, size?.toString() ?? ''],
        ...[seconds === undefined ? '' : (seconds / 60).toFixed(2).replace(/\.?0+$/, ''), note],
      ];
      const rows = night.done.map(
        ({ name: routine, how, why = '', out = '', wrong = '', choices, slips = [] }) => [
          ...[...head, routine, how, why, out, wrong],
          ...[choices.map(cellOf).join('; '), slips.join('; ')],
        ],
      );
      return rows.length > 0 ? rows : [[...head, '', '', '', '', '', '', '']];
    }),
];

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

/** How many days a month has. @param month from 1. */
const daysIn = (year: number, month: number): number => {
  const isLeap = year % 4 === 0 && (year % 100 !== 0 || year % 400 === 0);
  return month === 2 ? (isLeap ? 29 : 28) : [4, 6, 9, 11].includes(month) ? 30 : 31;
};

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/** A day as people write it: `2026-11-20`, `20/11/2026`, `20.11.26`, `20 Nov 2026`; the day stands before the month. */
export const parseDay = (text: string): readonly [year: number, month: number, day: number] | undefined => {
  const written = text.trim();
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})/.exec(written);
  const plain = /^(\d{1,2})[/.](\d{1,2})[/.](\d{4}|\d{2})$/.exec(written);
  const named = /^(?:[a-z]+,? )?(\d{1,2})\.? ([a-z]{3})[a-z]*\.? (\d{4})$/i.exec(written);
  const parts = iso
    ? [Number(iso[1]), Number(iso[2]), Number(iso[3])]
    : plain
      ? [Number(plain[3]) + (plain[3].length === 2 ? 2000 : 0), Number(plain[2]), Number(plain[1])]
      : named
        ? [Number(named[3]), MONTHS.indexOf(named[2].toLowerCase()) + 1, Number(named[1])]
        : undefined;
  if (!parts) return undefined;
  const [year, month, day] = parts;
  return month >= 1 && month <= 12 && day >= 1 && day <= daysIn(year, month) ? [year, month, day] : undefined;
};

/** A time of day: `21:30`, `21.30`, `9:30 pm`. */
export const parseClock = (
  text: string,
): readonly [hours: number, minutes: number, seconds: number] | undefined => {
  const found = /^(\d{1,2})(?:[:.](\d{2})(?:[:.](\d{2}))?)?\s*(am|pm)?$/i.exec(text.trim());
  if (!found) return undefined;
  const [, hours, minutes = '0', seconds = '0', half = ''] = found;
  const noon = half.toLowerCase() === 'pm' ? 12 : 0;
  const hour = half === '' ? Number(hours) : (Number(hours) % 12) + noon;
  return hour < 24 && Number(minutes) < 60 && Number(seconds) < 60
    ? [hour, Number(minutes), Number(seconds)]
    : undefined;
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
