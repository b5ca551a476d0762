import { computed, inject, Signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { Database } from './database';
import { Kind } from './kind';
import { Reader } from './reader';
import { Rows } from './rows';
import { Storage } from './storage';

/**
 * Rows of a kind, live, with what was done and is not stored yet laid over them; those that cannot be read are left
 * out. Call it in an injection context.
 *
 * @param read which rows; all of them unless told. What is not stored yet comes behind them.
 * @returns undefined until storage has been read.
 */
export const liveRows = <Row>(
  kind: Kind<Row>,
  read: (db: Database) => Promise<Row[]> = (db) => db.rows(kind).toArray(),
): Signal<readonly Row[] | undefined> => {
  const rows = inject(Rows);
  const stored = toSignal(inject(Storage).live(read).pipe(inject(Reader).sound(kind)));
  return computed(() => {
    const unstored = rows.unstored(kind);
    const changed = [...unstored.values()].filter((row) => row !== undefined);
    const same = stored()?.filter((row) => !unstored.has(kind.keyOf(row)));
    return same && [...same, ...changed];
  });
};
