import { inject, Injectable, Signal, signal } from '@angular/core';
import { liveQuery } from 'dexie';
import { DATABASE } from './db';
import { StateRow } from './rows';

/** A row of the state table as a signal: what is set shows at once, and other tabs' writes follow. */
export interface LiveRow<Row extends StateRow> {
  readonly value: Signal<Row>;
  /** Shows `row` now; `write` must store it. When it fails, the stored row shows again. */
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
    const writing = { count: 0 };
    const refresh = async (row: unknown): Promise<void> => {
      if (JSON.stringify(row) === JSON.stringify(shown())) return;
      const { readState } = await import('./schemas');
      if (writing.count === 0) shown.set((readState(row) as Row | undefined) ?? fallback);
    };
    liveQuery(() => this.db.state.get(fallback.id)).subscribe({
      next: (row) => void refresh(row),
      error: () => undefined,
    });
    return {
      value: shown.asReadonly(),
      set: async (row, write) => {
        shown.set(row);
        writing.count++;
        try {
          await write();
          writing.count--;
        } catch (error) {
          writing.count--;
          await refresh(await this.db.state.get(fallback.id).catch(() => undefined));
          throw error;
        }
      },
    };
  }
}
