import { FieldValue, Values } from '@enumeron/core/form';
import { computed, inject, Injectable, Signal } from '@angular/core';
import { Journal } from '../../storage/journal';
import { onlyPlace } from '../../storage/kind';
import { PATTERNS_TOLD } from './patterns.kind';
import { Rows } from '../../storage/rows';

const PLACE = onlyPlace(PATTERNS_TOLD);

/** The values with one of them changed; undefined takes it away. */
export const withValue = (values: Values, name: string, value: FieldValue | undefined): Values => {
  const others = Object.entries(values).filter(([each]) => each !== name);
  return Object.fromEntries(value === undefined ? others : [...others, [name, value]]);
};

/** What was told to each pattern, kept over a reload. */
@Injectable({ providedIn: 'root' })
export class PatternsStore {
  private readonly journal = inject(Journal);
  private readonly row = inject(Rows).only(PLACE);

  /** @param path the pattern's address. */
  values(path: Signal<string>): Signal<Values> {
    return computed(() => this.row().values[path()] ?? {});
  }

  /** What was told to a pattern by now. */
  told(path: string): Values {
    return this.row().values[path] ?? {};
  }

  /** Sets one field; undefined empties it. */
  set(path: string, name: string, value: FieldValue | undefined): Promise<unknown> {
    return this.change(`tell ${name} of ${path}`, path, (values) => withValue(values, name, value));
  }

  /** Sets several fields at once. */
  fill(path: string, values: Values): Promise<unknown> {
    return this.change(`tell ${path}`, path, (before) => ({ ...before, ...values }));
  }

  /** Changes one field from what it is by then, so that two quick ones both count; undefined leaves it. */
  alter(
    path: string,
    name: string,
    make: (value: FieldValue | undefined) => FieldValue | undefined,
  ): Promise<unknown> {
    return this.change(`tell ${name} of ${path}`, path, (values) =>
      withValue(values, name, make(values[name]) ?? values[name]),
    );
  }

  /** Puts other values in the place of all that was told. */
  replace(path: string, values: Values): Promise<unknown> {
    return this.change(`tell ${path}`, path, () => values);
  }

  /** Empties all fields of a pattern. */
  clear(path: string): Promise<unknown> {
    return this.change(`empty the fields of ${path}`, path, () => ({}));
  }

  private change(label: string, path: string, make: (values: Values) => Values): Promise<unknown> {
    return this.journal.commit(
      label.replaceAll('-', ' '),
      [PLACE],
      ([row]) => [{ ...row, values: { ...row.values, [path]: make(row.values[path] ?? {}) } }],
      `patterns ${path}`,
    );
  }
}
