import type { Database } from './database';

/** So many rows are read at once. */
const PAGE = 200;

/**
 * Every row of a table with its key, a few hundred at a time, so that thousands are not held at once.
 *
 * @param keys only those; all of them unless told.
 */
export async function* rowsIn(
  db: Database,
  table: string,
  keys?: readonly unknown[],
): AsyncGenerator<readonly [key: unknown, row: unknown]> {
  const rows = db.table<unknown, unknown>(table);
  const all = keys ?? (await rows.toCollection().primaryKeys());
  for (let start = 0; start < all.length; start += PAGE) {
    const some = all.slice(start, start + PAGE);
    const page = await rows.bulkGet(some);
    for (const [index, row] of page.entries()) if (row !== undefined) yield [some[index], row];
  }
}
