import { inject, Injectable, signal } from '@angular/core';
import { sayProblem } from '@enumeron/core/deck';
import { idOf, Kind, Place, placeOf } from './kind';
import { DAMAGED, DamagedRow } from './kinds/damaged';
import { Reader } from './reader';
import { rowsIn } from './rows-in';
import { Storage } from './storage';
import type { Database } from './database';

/** A stored row that cannot be read, where it lies. */
export type Damaged = Omit<DamagedRow, 'id' | 'at'> & { readonly table: string };

/** A value as JSON; what JSON cannot hold is told in its place. */
const asJson = (value: unknown): string => {
  try {
    return JSON.stringify(value);
  } catch (error) {
    return JSON.stringify({ unreadable: String(error).slice(0, 200) });
  }
};

const damagedId = (kind: string, key: string, at: number): string =>
  `${kind} ${key} ${at.toString()}`.slice(0, 200);

/** Stored rows that cannot be read. They are told, left as they are, and kept when something takes their place. */
@Injectable({ providedIn: 'root' })
export class Damage {
  private readonly reader = inject(Reader);
  private readonly storage = inject(Storage);
  private readonly found = signal<ReadonlyMap<string, Damaged>>(new Map());

  /** Those that were come upon since the start, by place. */
  readonly met = this.found.asReadonly();

  /** Reads a stored row: the row, or undefined where none is there or it is damaged, which is noted. */
  read<Row>(place: Place<Row>, value: unknown): Row | undefined {
    const id = idOf(place);
    if (value === undefined) {
      this.forget(id);
      return undefined;
    }
    const outcome = this.reader.read(place.kind, value);
    if (outcome.ok) {
      this.forget(id);
      return outcome.row;
    }
    const { kind, key } = place;
    const damaged: Damaged = {
      table: kind.table,
      kind: kind.name,
      key,
      text: asJson(value),
      problem: sayProblem(outcome.problems[0]),
    };
    if (this.found().get(id)?.text !== damaged.text)
      this.found.update((found) => new Map(found).set(id, damaged));
    return undefined;
  }

  /** Puts a damaged row aside, for something else comes to lie in its place. Call it in a transaction over both tables. */
  async keep(db: Database, place: Place, value: unknown, at: number): Promise<void> {
    if (!this.reader.read(place.kind, value).ok) await db.rows(DAMAGED).put(this.rowFor(place, value, at));
  }

  /** A row that cannot be read as it is kept aside. */
  private rowFor({ kind, key }: Place, value: unknown, at: number): DamagedRow {
    return {
      id: damagedId(kind.name, key, at),
      kind: kind.name,
      key: key.slice(0, 200),
      text: asJson(value),
      problem: this.problem(kind, value) ?? '',
      at,
    };
  }

  /** The same as they are kept aside or stand in a backup. */
  async allRows(at: number): Promise<readonly DamagedRow[]> {
    return (await this.all()).map(({ kind, key, text, problem }) => ({
      id: damagedId(kind, key, at),
      kind,
      key: key.slice(0, 200),
      text,
      problem,
      at,
    }));
  }

  /** Every stored row that cannot be read, in every table. Reads all of them. */
  async all(): Promise<readonly Damaged[]> {
    const db = await this.storage.db();
    return this.reader.reading(() => this.allIn(db));
  }

  private async allIn(db: Database): Promise<readonly Damaged[]> {
    const damaged: Damaged[] = [];
    for (const table of new Set(db.kinds.map((kind) => kind.table)))
      for await (const [primaryKey, row] of rowsIn(db, table)) {
        const kind = db.kindAt(table, primaryKey);
        const key = typeof primaryKey === 'string' ? primaryKey : JSON.stringify(primaryKey);
        const problem = kind ? this.problem(kind, row) : 'This version does not know this kind of row.';
        if (problem) damaged.push({ table, kind: kind?.name ?? table, key, text: asJson(row), problem });
      }
    return damaged;
  }

  /** Takes a damaged row away for good. */
  async remove({ table, key }: Damaged): Promise<void> {
    const db = await this.storage.db();
    const keys: unknown[] = await db.table(table).toCollection().primaryKeys();
    const stored = keys.find((each) => each === key || JSON.stringify(each) === key);
    if (stored !== undefined) await db.table(table).delete(stored as string);
    const kind = db.kindAt(table, stored);
    if (kind) this.forget(idOf(placeOf(kind, key)));
  }

  private problem(kind: Kind, row: unknown): string | undefined {
    const outcome = this.reader.read(kind, row);
    return outcome.ok ? undefined : sayProblem(outcome.problems[0]);
  }

  private forget(id: string): void {
    if (!this.found().has(id)) return;
    this.found.update((found) => new Map([...found].filter(([each]) => each !== id)));
  }
}
