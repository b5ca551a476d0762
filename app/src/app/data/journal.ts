import { computed, inject, Injectable, Signal, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { Problem, sayProblem } from '@enumeron/core/deck';
import type { Table } from 'dexie';
import { Notices } from '../shared/notices';
import { Action, lineOf, Made, orStandIn, RowsAt, sameRow, Write, writesOf } from './action';
import { Damage } from './damage';
import type { Database } from './database';
import { keepInFlight, leftAction, LeftAction } from './in-flight';
import { Kind, Line, Place, placeOf } from './kind';
import { kindNamed, KINDS } from './kinds';
import { DAMAGED } from './kinds/damaged';
import { Change, JOURNAL, JournalRow } from './kinds/journal';
import { Reader } from './reader';
import { Rows } from './rows';
import { Storage } from './storage';

/** How many actions can be undone on each line. */
const DEPTH = 300;

/** What goes on with the same thing within this time is one action with it, in milliseconds. */
const TOGETHER = 1500;

/** What became of an action: it is stored; it shows and is not stored; or there was nothing to do. */
export type Committed = 'stored' | 'held' | 'nothing';

/** What undo or redo did. A row that was changed since is not overwritten unless that is asked for. */
export type Step =
  | { readonly kind: 'nothing' }
  | { readonly kind: 'done'; readonly label: string }
  | { readonly kind: 'changed since'; readonly label: string; readonly what: string };

/** A row that no reader would take: nothing of its action is stored. */
class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.what);
  }
}

const numbered = (db: Database): Table<JournalRow, number> => db.table(JOURNAL.table);

/**
 * Every change goes through here: one action, one transaction, a function of what is stored by then. Those that can
 * be undone are entered in the journal, which is stored with the data, so that undo survives a reload and is one
 * line for all tabs.
 */
@Injectable({ providedIn: 'root' })
export class Journal {
  private readonly storage = inject(Storage);
  private readonly reader = inject(Reader);
  private readonly rows = inject(Rows);
  private readonly damage = inject(Damage);
  private readonly notices = inject(Notices);
  private running: Promise<void> | undefined;
  private readonly waiting = new Map<Action, (committed: Committed) => void>();
  /** Actions that were taken back before they could be stored, the newest last. */
  private readonly takenBack = signal<readonly Action[]>([]);
  /** What was done while nothing was kept, for storage that answers late; and what of it was undone, newest last. */
  private readonly unkept = signal<readonly Action[]>([]);
  private readonly unkeptUndone = signal<readonly Action[]>([]);
  /** Actions that the tab had left, as they were kept then: their rows may not have been read yet. */
  private readonly left = new Map<Action, LeftAction>();
  private readonly failure = signal<unknown>(undefined);

  private readonly newestDone = this.labelOf('table', 1);
  private readonly oldestUndone = this.labelOf('table', 0);

  /** What undo would take back, or undefined when there is nothing. */
  readonly undoable = computed(() => this.rows.pending().at(-1)?.label ?? this.newestDone());
  /** What redo would do again, or undefined. */
  readonly redoable = computed(() => this.takenBack().at(-1)?.label ?? this.oldestUndone());
  /** How many actions show and could not be stored; 0 while all goes well. */
  readonly held = computed(() => (this.failure() === undefined ? 0 : this.rows.pending().length));
  /** How many actions were done while nothing was kept. */
  readonly doneInMemory = computed(() => this.unkept().length);

  /**
   * Does something: it shows at once, and is stored as soon as it can be.
   *
   * @param label what it is, for people: `cut 12 cards`.
   * @param places the rows that it reads or changes.
   * @param change what becomes of them: as many rows, undefined where one is taken away, or undefined where there is
   * nothing to do. It is called more than once, with whatever lies there by then, and gives the same for the same.
   * @param about what goes on with the same thing at once after is one action with this one.
   * @returns what became of it. Never rejects.
   */
  commit<const Places extends readonly Place[]>(
    label: string,
    places: Places,
    change: (rows: RowsAt<Places>) => Made<Places>,
    about?: string,
  ): Promise<Committed> {
    const action: Action = {
      label,
      line: lineOf(places),
      about,
      places,
      change: (rows) => change(rows as RowsAt<Places>),
    };
    this.takenBack.set([]);
    return this.begin(action);
  }

  /**
   * Does something that shows only once it is stored: for what is too large to be shown before.
   *
   * @throws when storage refuses; nothing has changed then.
   */
  async store(
    label: string,
    places: readonly Place[],
    change: (rows: readonly unknown[]) => readonly unknown[],
  ): Promise<void> {
    await this.run();
    if (this.rows.pending().length > 0) throw new Error('what was done before is not stored yet');
    const action: Action = { label, line: lineOf(places), places, change };
    this.rows.settle(action, await this.write(action));
  }

  /** Tries again to store what is held. Gives whether all of it is stored. */
  async tryAgain(): Promise<boolean> {
    await this.run();
    return this.rows.pending().length === 0;
  }

  /** Does what a tab showed and could not store before it was left, where the rows are as they were. */
  async finish(left: readonly LeftAction[]): Promise<void> {
    // All at once, so that all of them are kept again until each is stored.
    await Promise.all(left.map((each) => this.finishOne(each)));
    this.keep();
  }

  private async finishOne(left: LeftAction): Promise<void> {
    const { label, about, writes } = left;
    const kinds = writes.map(({ kind }) => kindNamed(kind));
    if (!kinds.every((kind) => kind !== undefined)) return;
    const places = writes.map(({ key }, index) => placeOf(kinds[index], key));
    const action: Action = {
      label,
      line: lineOf(places),
      about,
      places,
      change: (rows) =>
        rows.every((row, index) => sameRow(row, orStandIn(places[index], writes[index].before)))
          ? writes.map(({ after }) => after)
          : undefined,
    };
    this.left.set(action, left);
    await this.begin(action);
  }

  /** Takes the newest action of a line back; one that is not stored yet just goes. */
  async undo(line: Line, overwrite = false): Promise<Step> {
    await this.running;
    const last = this.rows
      .pending()
      .filter((action) => action.line === line)
      .at(-1);
    if (!last) return this.step(line, 'before', overwrite);
    this.takenBack.update((actions) => [...actions, last]);
    this.drop(last, 'nothing');
    return { kind: 'done', label: last.label };
  }

  /** Does the last undone action of a line again. */
  async redo(line: Line, overwrite = false): Promise<Step> {
    await this.running;
    const last = this.takenBack().at(-1);
    if (!last) return this.step(line, 'after', overwrite);
    this.takenBack.update((actions) => actions.slice(0, -1));
    void this.begin(last);
    return { kind: 'done', label: last.label };
  }

  /** Takes what was done in memory into the browser's database, which has answered late. */
  async keepLate(): Promise<void> {
    const actions = this.unkept();
    this.unkept.set([]);
    this.storage.useLate();
    for (const action of actions) await this.begin(action);
  }

  private begin(action: Action): Promise<Committed> {
    // Throws at once, before anything shows, where the change itself is at fault.
    this.rows.tryOut(action);
    this.rows.pending.update((actions) => [...actions, action]);
    this.keep();
    return new Promise((resolve) => {
      this.waiting.set(action, resolve);
      void this.run();
    });
  }

  /** Stores what is pending, oldest first, until nothing is or one cannot be stored; the others wait behind it. */
  private run(): Promise<void> {
    this.running ??= this.drain();
    return this.running;
  }

  private async drain(): Promise<void> {
    // Not before `running` is set.
    await Promise.resolve();
    let stuck = false;
    for (;;) {
      const action = this.rows.pending().at(0);
      if (!action || stuck) {
        // In the same step in which nothing more is found to do: what is begun after this runs anew.
        this.running = undefined;
        for (const each of this.rows.pending()) this.answer(each, 'held');
        return;
      }
      stuck = !(await this.stored(action));
    }
  }

  /** Stores an action and takes it from what is pending; false when storage refuses it. */
  private async stored(action: Action): Promise<boolean> {
    try {
      const writes = await this.write(action);
      this.failure.set(undefined);
      this.rows.settle(action, writes);
      if (this.storage.trouble() !== undefined) this.noteUnkept(action);
      this.drop(action, writes.length > 0 ? 'stored' : 'nothing');
    } catch (error) {
      if (!(error instanceof Refused)) {
        console.warn(error);
        this.failure.set(error);
        return false;
      }
      this.drop(action, 'nothing');
      void this.notices.stay(`Not done: ${action.label}. ${sayProblem(error.problem)}`);
    }
    return true;
  }

  private noteUnkept(action: Action): void {
    this.unkept.update((actions) => [...actions, action]);
    this.unkeptUndone.set([]);
  }

  private moveUnkept(to: 'before' | 'after'): void {
    const [from, into] =
      to === 'before' ? [this.unkept, this.unkeptUndone] : [this.unkeptUndone, this.unkept];
    const last = from().at(-1);
    if (!last) return;
    from.update((actions) => actions.slice(0, -1));
    into.update((actions) => [...actions, last]);
  }

  private drop(action: Action, committed: Committed): void {
    this.rows.pending.update((actions) => actions.filter((each) => each !== action));
    if (this.rows.pending().length === 0) this.failure.set(undefined);
    this.keep();
    this.answer(action, committed);
  }

  private answer(action: Action, committed: Committed): void {
    this.waiting.get(action)?.(committed);
    this.waiting.delete(action);
    if (committed !== 'held') this.left.delete(action);
  }

  private keep(): void {
    const steps = this.rows.steps();
    keepInFlight(
      this.rows
        .pending()
        .map((action, index) => this.left.get(action) ?? leftAction(action.label, action.about, steps[index]))
        .filter(({ writes }) => writes.length > 0),
    );
  }

  private async write(action: Action): Promise<readonly Write[]> {
    const db = await this.storage.db();
    await this.reader.ready();
    const at = Date.now();
    return this.transact(
      db,
      action.places.map(({ kind }) => kind),
      async () => {
        const raw = await readAll(db, action.places);
        const writes = writesOf(action, (place) => this.damage.read(place, raw.get(place)));
        for (const { place, after } of writes) {
          if (raw.get(place) !== undefined) await this.damage.keep(db, place, raw.get(place), at);
          this.mustRead(place, after);
        }
        await writeAll(db, writes);
        if (writes.length > 0 && action.line)
          await this.enter(db, { ...action, line: action.line }, writes, at);
        return writes;
      },
    );
  }

  /** What could not be read back is never stored. */
  private mustRead({ kind }: Place, row: unknown): void {
    const outcome = row === undefined ? undefined : this.reader.read(kind, row);
    if (outcome && !outcome.ok) throw new Refused(outcome.problems[0]);
  }

  private async enter(
    db: Database,
    { label, line, about }: Action & { readonly line: Line },
    writes: readonly Write[],
    at: number,
  ): Promise<void> {
    const table = numbered(db);
    await table.where('[line+done]').equals([line, 0]).delete();
    const changes = writes.map(({ place, before, after }) => ({
      kind: place.kind.name,
      key: place.key,
      before,
      after,
    }));
    const last = about === undefined ? undefined : await newest(db, line);
    if (last && last.about === about && at - last.at < TOGETHER && this.reader.read(JOURNAL, last).ok) {
      await table.put({ ...last, label, at, changes: joined(last.changes, changes) });
      return;
    }
    await table.add({ line, label, at, done: 1, changes, ...(about !== undefined && { about }) });
    const all = table.where('[line+done]').equals([line, 1]);
    const over = (await all.count()) - DEPTH;
    if (over > 0) await all.limit(over).delete();
  }

  /** Goes one action back (to what was before it) or forth (to what was after it). */
  private async step(line: Line, to: 'before' | 'after', overwrite: boolean): Promise<Step> {
    const db = await this.storage.db();
    await this.reader.ready();
    const done = to === 'before' ? 1 : 0;
    const kinds = KINDS.filter((kind) => kind.line === line);
    const step = await this.transact(db, kinds, async (): Promise<Step> => {
      const row = await this.readable(db, line, done);
      if (!row) return { kind: 'nothing' };
      const writes = row.changes.flatMap(({ kind: name, key, before, after }): Write[] => {
        const kind = kindNamed(name);
        const [from, into] = to === 'before' ? [after, before] : [before, after];
        return kind ? [{ place: placeOf(kind, key), before: from, after: into }] : [];
      });
      const stored = await readAll(
        db,
        writes.map(({ place }) => place),
      );
      const changed = writes.find(({ place, before }) => !sameRow(stored.get(place), before));
      if (changed && !overwrite)
        return { kind: 'changed since', label: row.label, what: changed.place.kind.words[0] };
      await writeAll(db, writes);
      await numbered(db).put({ ...row, done: done === 1 ? 0 : 1 });
      return { kind: 'done', label: row.label };
    });
    if (step.kind === 'done' && this.storage.trouble() !== undefined) this.moveUnkept(to);
    return step;
  }

  /** The next entry to go to; damaged ones are put aside. */
  private async readable(db: Database, line: Line, done: 0 | 1): Promise<JournalRow | undefined> {
    for (;;) {
      const row = done === 1 ? await newest(db, line) : await oldestUndone(db, line);
      if (!row || this.reader.read(JOURNAL, row).ok) return row;
      await this.damage.keep(db, placeOf(JOURNAL as Kind, String(row.id)), row, Date.now());
      await numbered(db).delete(row.id as number);
    }
  }

  private transact<Result>(
    db: Database,
    kinds: readonly Kind[],
    run: () => Promise<Result>,
  ): Promise<Result> {
    const tables = new Set([...kinds, JOURNAL, DAMAGED].map(({ table }) => table));
    return db.transaction('rw', [...tables], run);
  }

  private labelOf(line: Line, done: 0 | 1): Signal<string | undefined> {
    return toSignal(
      this.storage.live(async (db) => {
        const row = done === 1 ? await newest(db, line) : await oldestUndone(db, line);
        const label: unknown = row?.label;
        return row && (typeof label === 'string' ? label : 'something that cannot be read');
      }),
    );
  }
}

const newest = (db: Database, line: Line): Promise<JournalRow | undefined> =>
  numbered(db).where('[line+done]').equals([line, 1]).last();

const oldestUndone = (db: Database, line: Line): Promise<JournalRow | undefined> =>
  numbered(db).where('[line+done]').equals([line, 0]).first();

/** One action that goes on with another: what was before the one, and after the other. */
const joined = (first: readonly Change[], second: readonly Change[]): readonly Change[] => {
  const find = (changes: readonly Change[], { kind, key }: Change): Change | undefined =>
    changes.find((each) => each.kind === kind && each.key === key);
  return [
    ...first.map((change) => ({ ...change, after: (find(second, change) ?? change).after })),
    ...second.filter((change) => !find(first, change)),
  ];
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

const readAll = async (db: Database, places: readonly Place[]): Promise<Map<Place, unknown>> => {
  const rows = new Map<Place, unknown>();
  for (const [table, each] of byTable(places, (place) => place)) {
    const found: unknown[] = await db.table(table).bulkGet(each.map(({ key }) => key));
    each.forEach((place, index) => rows.set(place, found[index]));
  }
  return rows;
};

const writeAll = async (db: Database, writes: readonly Write[]): Promise<void> => {
  for (const [table, each] of byTable(writes, ({ place }) => place)) {
    const gone = each.filter(({ after }) => after === undefined).map(({ place }) => place.key);
    const kept = each.map(({ after }) => after).filter((after) => after !== undefined);
    if (gone.length > 0) await db.table(table).bulkDelete(gone);
    if (kept.length > 0) await db.table(table).bulkPut(kept);
  }
};
