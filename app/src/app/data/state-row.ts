import { inject, Injectable, Signal, signal } from '@angular/core';
import { catchError, EMPTY, filter, switchMap } from 'rxjs';
import { DATABASE } from './db';
import { StateRow } from './rows';

/** A row of the state table as a signal: what is set shows at once, and other tabs' writes follow. */
export interface LiveRow<Row extends StateRow> {
  readonly value: Signal<Row>;
  /** Shows `row` now; `write` must store it. When it fails, what was shown before shows again. */
  set(row: Row, write: () => Promise<unknown>): Promise<void>;
}

/** The state table: one checked row a key, live. */
@Injectable({ providedIn: 'root' })
export class StateRows {
  private readonly db = inject(DATABASE);
  private readonly read = new Map<string, StateRow>();

  /** Reads the whole table once, before anything is shown. Rows that do not pass are passed over. */
  async load(): Promise<void> {
    const [rows, { readState }] = await Promise.all([this.db.state.toArray(), import('./schemas')]);
    for (const row of rows.map(readState)) if (row) this.read.set(row.id, row);
  }

  /** Follows one row. `fallback` stands in while there is none that can be read. */
  live<Row extends StateRow>(fallback: Row): LiveRow<Row> {
    const shown = signal((this.read.get(fallback.id) as Row | undefined) ?? fallback);
    /** How many writes are on their way, and how many there have been: what was read before one is old. */
    const writes = { open: 0, begun: 0 };

    const checked = async (row: unknown): Promise<Row | undefined> => {
      const { begun } = writes;
      if (JSON.stringify(row ?? fallback) === JSON.stringify(shown())) return undefined;
      const { readState } = await import('./schemas');
      const outdated = writes.open > 0 || writes.begun !== begun;
      return outdated ? undefined : ((readState(row) as Row | undefined) ?? fallback);
    };
    this.db
      .live(() => this.db.state.get(fallback.id))
      .pipe(
        switchMap(checked),
        filter((row) => row !== undefined),
        catchError(() => EMPTY),
      )
      .subscribe((row) => shown.set(row));

    return {
      value: shown.asReadonly(),
      set: async (row, write) => {
        const before = shown();
        shown.set(row);
        writes.open++;
        writes.begun++;
        try {
          await write();
        } catch (error) {
          if (shown() === row) shown.set(before);
          throw error;
        } finally {
          writes.open--;
        }
      },
    };
  }
}
