import { computed, inject, Signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { filter, map, merge, Observable, scan } from 'rxjs';
import { Write } from './action';
import { Database } from './database';
import { Kind } from './kind';
import { Reader } from './reader';
import { Rows } from './rows';
import { Storage } from './storage';

/** Rows of a kind with changes laid over them, by key; undefined takes one away. New ones come behind. */
const laidOver = <Row>(
  { keyOf }: Kind<Row>,
  rows: readonly Row[],
  changes: ReadonlyMap<string, Row | undefined>,
): readonly Row[] => [
  ...rows.filter((row) => !changes.has(keyOf(row))),
  ...[...changes.values()].filter((row) => row !== undefined),
];

/** Of what was written, the rows of a kind, by key. */
export const changesOf = <Row>(
  kind: Kind<Row>,
  writes: readonly Write[],
): ReadonlyMap<string, Row | undefined> =>
  new Map(
    writes
      .filter(({ place }) => place.kind === (kind as Kind))
      .map(({ place, after }) => [place.key, after as Row | undefined]),
  );

/**
 * What is read live, carried on at once by what has been stored from here, until it has been read again.
 *
 * @param carry what it is after these writes.
 */
export const carriedOn = <Value>(
  read: Observable<Value>,
  { settled }: Rows,
  carry: (value: Value, writes: readonly Write[]) => Value,
): Observable<Value> => {
  type Change = (value: Value | undefined) => Value | undefined;
  const changes: Observable<Change> = merge(
    read.pipe(map((value) => () => value)),
    settled.pipe(
      map(
        (writes): Change =>
          (value) =>
            value === undefined ? value : carry(value, writes),
      ),
    ),
  );
  return changes.pipe(
    scan((value: Value | undefined, change) => change(value), undefined),
    filter((value) => value !== undefined),
  );
};

/**
 * Rows of a kind, live, with what was done and is not stored yet laid over them; those that cannot be read are left
 * out. Call it in an injection context.
 *
 * @param read which rows; all of them unless told. What is not stored yet, or not read again, comes behind them.
 * @returns undefined until storage has been read.
 */
export const liveRows = <Row>(
  kind: Kind<Row>,
  read: (db: Database) => Promise<Row[]> = (db) => db.rows(kind).toArray(),
): Signal<readonly Row[] | undefined> => {
  const rows = inject(Rows);
  const read$: Observable<readonly Row[]> = inject(Storage).live(read).pipe(inject(Reader).sound(kind));
  const stored = toSignal(
    carriedOn(read$, rows, (list, writes) => laidOver(kind, list, changesOf(kind, writes))),
  );
  return computed(() => {
    const list = stored();
    return list && laidOver(kind, list, rows.unstored(kind));
  });
};
