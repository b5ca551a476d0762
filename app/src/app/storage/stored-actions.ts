import { Problem } from '@enumeron/core/deck';
import type { PromiseExtended, Table } from 'dexie';
import { Action, sameRow, Write, writesOf } from './action';
import { Damage } from './damage';
import type { Database } from './database';
import { idOf, Kind, Line, Place, placeOf } from './kind';
import { DAMAGED } from './kinds/damaged';
import { Change, JOURNAL, JournalRow } from './kinds/journal';
import { Reader } from './reader';

/** How many actions can be undone on each line. */
const DEPTH = 300;

/** What goes on with the same thing within this time is one action with it, in milliseconds. */
const TOGETHER = 1500;

/** What reads rows, and what keeps those that cannot be read. */
export interface Readers {
  readonly reader: Reader;
  readonly damage: Damage;
}

/** What became of an action in storage: what it wrote, or why no reader would take what it makes. */
export type Stored =
  | { readonly action: Action; readonly writes: readonly Write[] }
  | { readonly action: Action; readonly problem: Problem };

/** What undo or redo did. A row that was changed since is not overwritten unless that is asked for. */
export type Step =
  | { readonly kind: 'nothing' }
  | { readonly kind: 'done'; readonly label: string }
  | { readonly kind: 'changed since'; readonly label: string; readonly what: string };

const journalOf = (db: Database): Table<JournalRow, number> => db.table(JOURNAL.table);

const entries = (
  db: Database,
  line: Line,
  done: 0 | 1,
): ReturnType<Table<JournalRow, number>['toCollection']> =>
  journalOf(db).where('[line+done]').equals([line, done]);

/** The entry that undo would take back. */
export const newest = (db: Database, line: Line): PromiseExtended<JournalRow | undefined> =>
  entries(db, line, 1).last();

/** The entry that redo would do again. */
export const oldestUndone = (db: Database, line: Line): PromiseExtended<JournalRow | undefined> =>
  entries(db, line, 0).first();

const transact = <Result>(
  db: Database,
  kinds: readonly Kind[],
  run: () => Promise<Result>,
): PromiseExtended<Result> => {
  const tables = new Set([...kinds, JOURNAL, DAMAGED].map(({ table }) => table));
  return db.transaction('rw', [...tables], run);
};

/** What is known of a line before actions are entered on it. */
interface LineState {
  readonly last: JournalRow | undefined;
  readonly undone: readonly number[];
  readonly count: number;
}

/** Read in one go, as every wait inside a transaction is a turn of the page's thread. */
const lineState = async (db: Database, line: Line, reader: Reader): Promise<LineState> => {
  const [last, undone, count] = await Promise.all([
    newest(db, line),
    entries(db, line, 0).primaryKeys(),
    entries(db, line, 1).count(),
  ]);
  // A damaged entry is no beginning of anything; undo puts it aside.
  return { last: last && reader.read(JOURNAL, last).ok ? last : undefined, undone, count };
};

/**
 * Stores actions in turn, all in one transaction: each a function of what is stored by then.
 *
 * @throws when storage refuses; none of them is stored then.
 */
export const storeActions = (
  db: Database,
  actions: readonly Action[],
  { reader, damage }: Readers,
  at: number,
): PromiseExtended<readonly Stored[]> => {
  const places = [
    ...new Map(actions.flatMap((each) => each.places).map((place) => [idOf(place), place])).values(),
  ];
  const lines = [...new Set(actions.flatMap(({ line }) => line ?? []))];
  return transact(
    db,
    places.map(({ kind }) => kind),
    async () => {
      const [raw, ...states] = await Promise.all([
        readAll(db, places),
        ...lines.map((line) => lineState(db, line, reader)),
      ]);
      const rows = new Map(places.map((place) => [idOf(place), damage.read(place, raw.get(idOf(place)))]));
      const stored = actions.map((action) => doneTo(rows, action, reader));
      const changed = lastWrites(stored);
      const replaced = changed.filter(({ place }) => raw.get(idOf(place)) !== undefined);
      await Promise.all([
        ...replaced.map(({ place }) => damage.keep(db, place, raw.get(idOf(place)), at)),
        ...writeAll(db, changed),
        ...lines.flatMap((line, index) => enter(db, stored, line, states[index], at)),
      ]);
      return stored;
    },
  );
};

/** Does an action to rows in memory, unless no reader would take what it makes. */
const doneTo = (rows: Map<string, unknown>, action: Action, reader: Reader): Stored => {
  const writes = writesOf(action, (place) => rows.get(idOf(place)));
  for (const { place, after } of writes) {
    const outcome = after === undefined ? undefined : reader.read(place.kind, after);
    if (outcome && !outcome.ok) return { action, problem: outcome.problems[0] };
  }
  const entry = entryProblem(action, writes, reader);
  if (entry) return { action, problem: entry };
  for (const { place, after } of writes) rows.set(idOf(place), after);
  return { action, writes };
};

/** What is in the way of entering an action in the journal: without its entry undo would take back another. */
const entryProblem = (action: Action, writes: readonly Write[], reader: Reader): Problem | undefined => {
  const { label, line, about } = action;
  if (line === undefined || writes.length === 0) return undefined;
  const entry = {
    id: 0,
    line,
    label,
    at: 0,
    done: 1,
    changes: changesOf(writes),
    ...(about !== undefined && { about }),
  };
  const outcome = reader.read(JOURNAL, entry);
  return outcome.ok ? undefined : outcome.problems[0];
};

const lastWrites = (stored: readonly Stored[]): readonly Write[] => [
  ...new Map(
    stored
      .flatMap((each) => ('writes' in each ? each.writes : []))
      .map((write) => [idOf(write.place), write] as const),
  ).values(),
];

const changesOf = (writes: readonly Write[]): readonly Change[] =>
  writes.map(({ place, before, after }) => ({ kind: place.kind.name, key: place.key, before, after }));

/** The entries of actions on a line: one each, but for those that go on with what was done a moment ago. */
const enter = (
  db: Database,
  stored: readonly Stored[],
  line: Line,
  { last, undone, count }: LineState,
  at: number,
): PromiseLike<unknown>[] => {
  const rows: JournalRow[] = [];
  let before = last;
  for (const each of stored) {
    const { label, about } = each.action;
    if (each.action.line !== line || !('writes' in each) || each.writes.length === 0) continue;
    const changes = changesOf(each.writes);
    if (before && about !== undefined && before.about === about && at - before.at < TOGETHER) {
      if (before !== last) rows.pop();
      before = { ...before, label, at, changes: joined(before.changes, changes) };
      if (last && before.id === last.id) rows.splice(0, 1);
    } else before = { line, label, at, done: 1, changes, ...(about !== undefined && { about }) };
    rows.push(before);
  }
  if (rows.length === 0) return [];
  const table = journalOf(db);
  const over = count + rows.filter(({ id }) => id === undefined).length - DEPTH;
  return [
    ...(undone.length > 0 ? [table.bulkDelete([...undone])] : []),
    table.bulkPut(rows),
    ...(over > 0 ? [entries(db, line, 1).limit(over).delete()] : []),
  ];
};

/** One action that goes on with another: what was before the one, and after the other. */
const joined = (first: readonly Change[], second: readonly Change[]): readonly Change[] => {
  const find = (changes: readonly Change[], { kind, key }: Change): Change | undefined =>
    changes.find((each) => each.kind === kind && each.key === key);
  return [
    ...first.map((change) => ({ ...change, after: (find(second, change) ?? change).after })),
    ...second.filter((change) => !find(first, change)),
  ];
};

/** Goes one action of a line back (to what was before it) or forth (to what was after it). */
export const goTo = (
  db: Database,
  line: Line,
  to: 'before' | 'after',
  overwrite: boolean,
  readers: Readers,
  now: number,
): PromiseExtended<Step> =>
  transact(
    db,
    // A restored backup is undone on one line and holds rows of kinds that have none.
    db.kinds,
    async (): Promise<Step> => {
      const row = await readable(db, line, to === 'before' ? 1 : 0, readers);
      if (!row) return { kind: 'nothing' };
      const { label } = row;
      const writes = row.changes.flatMap(({ kind: name, key, before, after }): Write[] => {
        const kind = db.kindNamed(name);
        const [from, into] = to === 'before' ? [after, before] : [before, after];
        return kind ? [{ place: placeOf(kind, key), before: from, after: into }] : [];
      });
      const stored = await readAll(
        db,
        writes.map(({ place }) => place),
      );
      const changed = writes.find(({ place, before }) => !isAsLeft(place, stored.get(idOf(place)), before));
      if (changed && !overwrite) return { kind: 'changed since', label, what: changed.place.kind.words[0] };
      const again = writes.map(({ place, before, after }) => ({
        ...{ place, before },
        // A restored backup is taken back to just what was there.
        after:
          place.kind.again && place.kind.line === line
            ? place.kind.again(after, stored.get(idOf(place)), now)
            : after,
      }));
      await Promise.all([
        ...writeAll(db, again),
        journalOf(db).put({ ...row, done: to === 'before' ? 0 : 1 }),
      ]);
      return { kind: 'done', label };
    },
  );

/** Whether a row lies as an action left it. */
const isAsLeft = ({ kind }: Place, stored: unknown, left: unknown): boolean => {
  const { bare } = kind;
  const bared = (row: unknown): unknown => (row === undefined ? undefined : bare?.call(kind, row));
  return sameRow(stored, left) || (bare !== undefined && sameRow(bared(stored), bared(left)));
};

/** The next entry to go to; damaged ones are put aside. */
const readable = async (
  db: Database,
  line: Line,
  done: 0 | 1,
  { reader, damage }: Readers,
): Promise<JournalRow | undefined> => {
  for (;;) {
    const row = done === 1 ? await newest(db, line) : await oldestUndone(db, line);
    if (!row || reader.read(JOURNAL, row).ok) return row;
    await damage.keep(db, placeOf(JOURNAL as Kind, String(row.id)), row, Date.now());
    await journalOf(db).delete(row.id as number);
  }
};

const byTable = <Item>(items: readonly Item[], placeIn: (item: Item) => Place): Map<string, Item[]> => {
  const tables = new Map<string, Item[]>();
  for (const item of items) {
    const { table } = placeIn(item).kind;
    const same = tables.get(table);
    if (same) same.push(item);
    else tables.set(table, [item]);
  }
  return tables;
};

/** The stored rows by `idOf` their places. */
const readAll = async (db: Database, places: readonly Place[]): Promise<Map<string, unknown>> => {
  const rows = new Map<string, unknown>();
  const reading = [...byTable(places, (place) => place)].map(async ([table, each]) => {
    const found: unknown[] = await db.table(table).bulkGet(each.map(({ key }) => key));
    each.forEach((place, index) => rows.set(idOf(place), found[index]));
  });
  await Promise.all(reading);
  return rows;
};

const writeAll = (db: Database, writes: readonly Write[]): PromiseLike<unknown>[] =>
  [...byTable(writes, ({ place }) => place)].flatMap(([table, each]) => {
    const gone = each.filter(({ after }) => after === undefined).map(({ place }) => place.key);
    const kept = each.map(({ after }) => after).filter((after) => after !== undefined);
    return [
      ...(gone.length > 0 ? [db.table(table).bulkDelete(gone)] : []),
      ...(kept.length > 0 ? [db.table(table).bulkPut(kept)] : []),
    ];
  });
