import type Joi from 'joi';
import type { JoiParts } from './joi-parts';

/** The lines of undo: what Ctrl Z takes back one after the other. Record has one of its own. */
export const LINES = ['table', 'record'] as const;
export type Line = (typeof LINES)[number];

/**
 * Everything that is known of one kind of stored row. Tables, journal, backup, restoring, erasing and what is shown
 * live are made from the list in `nouns/kinds.ts`; a kind is one file of its noun.
 */
export interface Kind<Row = unknown> {
  /** Its name in backups and in the journal. */
  readonly name: string;
  readonly table: string;
  /** The table's key and indexes, as Dexie writes them; kinds in one table have the same. */
  readonly stores: string;
  keyOf(row: Row): string;
  /** Set when there is one row at most: its key, and what stands in until there is one. */
  readonly single?: { readonly key: string; readonly standIn: Row };
  /** What people call it: one and many. */
  readonly words: readonly [one: string, many: string];
  /** The line on which changes are undone; undefined where they are not. */
  readonly line: Line | undefined;
  readonly inBackup: boolean;
  /** Set where rows are written one after the other and not shown by themselves: they are not followed. */
  readonly appended?: true;
  /** Set where a change may wait for storage until the hand rests: what is told a tap at a time. */
  readonly told?: true;
  /** The most rows in a backup that is read. */
  readonly most: number;
  /** What a row must be, whether it was stored or stands in a file. Joi is handed in, since it is loaded late. */
  schema(joi: Joi.Root, parts: JoiParts): Joi.Schema;
  /** Whether a stored row can be shown before Joi is there; kinds without it wait. It may let through too much. */
  glance?(row: unknown): boolean;
  /** How a row of the version before is brought to a version, by the later version. It does not throw. */
  readonly migrate?: Readonly<Partial<Record<number, (row: unknown) => unknown>>>;
  /**
   * What undo and redo write where a row lay: rows that are merged with those of other devices say when they changed.
   *
   * @param row what comes back; undefined where there was none. @param over what lies there.
   */
  again?(row: Row | undefined, over: Row | undefined, now: number): Row | undefined;
  /** What two rows must have alike for undo to take one for the other, undefined for none; all of it unless told. */
  bare?(row: Row): unknown;
  /** How the row stands in a file, where that is easier to read than as it is stored. `schema` reads both. */
  toFile?(row: Row): unknown;
}

/** A kind of which there is one row at most. */
export interface Single<Row> extends Kind<Row> {
  readonly single: { readonly key: string; readonly standIn: Row };
}

/** A row by its kind and key. */
export interface Place<Row = unknown> {
  readonly kind: Kind<Row>;
  readonly key: string;
}

/** The place of a kind's only row: a row stands there always, the stand-in where none is stored. */
export interface OnlyPlace<Row> extends Place<Row> {
  readonly only: true;
}

export const placeOf = <Row>(kind: Kind<Row>, key: string): Place<Row> => ({ kind, key });

export const onlyPlace = <Row>(kind: Single<Row>): OnlyPlace<Row> => ({
  kind,
  key: kind.single.key,
  only: true,
});

/** A place as a text that no other place has. */
export const idOf = ({ kind, key }: Pick<Place, 'kind' | 'key'>): string => `${kind.name} ${key}`;

/** What the table `state` holds: kinds with one row each, whose `id` is the kind's key. */
export const single = <Row extends { readonly id: string }>(
  kind: Omit<Single<Row>, 'table' | 'stores' | 'keyOf' | 'single' | 'most'> & { readonly standIn: Row },
): Single<Row> => {
  const { standIn, ...rest } = kind;
  return {
    ...rest,
    table: 'state',
    stores: 'id',
    keyOf: ({ id }) => id,
    single: { key: standIn.id, standIn },
    most: 1,
  };
};

/** The kind of a stored row among others, or undefined when none of them has it. */
export const kindIn = (kinds: readonly Kind[], table: string, key: unknown): Kind | undefined =>
  kinds.find((kind) => kind.table === table && (kind.single === undefined || kind.single.key === key));

/** The row brought from one version of the data to another, a version at a time. */
export const migrated = ({ migrate = {} }: Kind, row: unknown, from: number, to: number): unknown => {
  let value = row;
  for (let version = from + 1; version <= to; version++) value = migrate[version]?.(value) ?? value;
  return value;
};
