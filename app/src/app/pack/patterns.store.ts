import { computed, inject, Injectable, Signal } from '@angular/core';
import { DATABASE } from '../data/db';
import { FieldValue, PatternsRow } from '../data/rows';
import { StateRows } from '../data/state-row';

export type Values = Readonly<Partial<Record<string, FieldValue>>>;

/** The values with one of them changed; undefined takes it away. */
export const withValue = (values: Values, name: string, value: FieldValue | undefined): Values => {
  const others = Object.entries(values).filter(([each]) => each !== name);
  return Object.fromEntries(value === undefined ? others : [...others, [name, value]]);
};

/** What was told to each pattern, kept over a reload. */
@Injectable({ providedIn: 'root' })
export class PatternsStore {
  private readonly db = inject(DATABASE);
  private readonly row = inject(StateRows).live<PatternsRow>({ id: 'patterns', values: {} });

  /** @param path the pattern's address. */
  values(path: Signal<string>): Signal<Values> {
    return computed(() => this.row.value().values[path()] ?? {});
  }

  /** Sets one field; undefined empties it. */
  set(path: string, name: string, value: FieldValue | undefined): Promise<void> {
    return this.put(path, withValue(this.row.value().values[path] ?? {}, name, value));
  }

  /** Empties all fields of a pattern. */
  clear(path: string): Promise<void> {
    return this.put(path, {});
  }

  private put(path: string, values: Values): Promise<void> {
    const row: PatternsRow = { id: 'patterns', values: { ...this.row.value().values, [path]: values } };
    return this.row.set(row, () => this.db.state.put(row));
  }
}
