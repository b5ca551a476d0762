import { idOf, Line, OnlyPlace, Place } from './kind';

/** The row at a place: a kind's only row is always there. */
export type RowAt<P> =
  P extends OnlyPlace<infer Row> ? Row : P extends Place<infer Row> ? Row | undefined : never;

/** The rows at several places, in turn. */
export type RowsAt<Places extends readonly Place[]> = {
  readonly [Index in keyof Places]: RowAt<Places[Index]>;
};

/** What is made of the rows: as many, undefined taking one away; or undefined where nothing is to be done. */
export type Made<Places extends readonly Place[]> =
  { readonly [Index in keyof Places]: RowAt<Places[Index]> | undefined } | undefined;

/** One thing that the user does: which rows it is about, and what becomes of them, whatever they are by then. */
export interface Action {
  /** For people: `cut 12 cards`. */
  readonly label: string;
  readonly line: Line | undefined;
  readonly about?: string;
  readonly places: readonly Place[];
  readonly change: (rows: readonly unknown[]) => readonly unknown[] | undefined;
}

/** The longest name of an action that is kept: names in it are longer than anybody reads. */
const LONGEST_LABEL = 200;

/** What an action is called, no longer than is kept of it. */
export const labelFrom = (words: string): string =>
  words.length > LONGEST_LABEL ? `${[...words].slice(0, LONGEST_LABEL - 1).join('')}…` : words;

/** A row that an action changes, as it was and as it becomes. */
export interface Write {
  readonly place: Place;
  readonly before: unknown;
  readonly after: unknown;
}

/** The row at a place, or what stands in for a kind's only row. */
export const orStandIn = ({ kind }: Place, row: unknown): unknown => row ?? kind.single?.standIn;

/** The line that an action is undone on: that of its rows, which is one. */
export const lineOf = (places: readonly Place[]): Line | undefined => {
  const lines = new Set(places.map(({ kind }) => kind.line));
  // What also changes something that is never undone is not undone as a whole.
  if (lines.has(undefined)) return undefined;
  if (lines.size > 1) throw new Error('an action is on one line of undo');
  return [...lines][0];
};

/**
 * What an action makes of rows, without doing it.
 *
 * @param stored the row at a place, as it is stored or shown by then.
 * @returns what changes; empty when nothing does.
 */
export const writesOf = (
  { places, change }: Pick<Action, 'places' | 'change'>,
  stored: (place: Place) => unknown,
): readonly Write[] => {
  const rows = places.map(stored);
  const made = change(places.map((place, index) => orStandIn(place, rows[index])));
  if (!made) return [];
  return places
    .map((place, index) => ({ place, before: rows[index], after: made[index] }))
    .filter(({ place, before, after }) => !sameRow(orStandIn(place, before), after));
};

/** What each of several actions changes, done in turn to what is stored. */
export const stepsOf = (
  actions: readonly Action[],
  stored: (place: Place) => unknown,
): readonly (readonly Write[])[] => {
  const made = new Map<string, unknown>();
  const seen = (place: Place): unknown => {
    const id = idOf(place);
    return made.has(id) ? made.get(id) : stored(place);
  };
  return actions.map((action) => {
    const writes = writesOf(action, seen);
    for (const { place, after } of writes) made.set(idOf(place), after);
    return writes;
  });
};

/** Whether two rows say the same; a field that is undefined is one that is not there. */
export const sameRow = (a: unknown, b: unknown): boolean =>
  Object.is(a, b) ||
  (isHolder(a) &&
    isHolder(b) &&
    Array.isArray(a) === Array.isArray(b) &&
    Object.keys(a).every((key) => sameRow(a[key], b[key])) &&
    Object.keys(b).every((key) => key in a || b[key] === undefined));

const isHolder = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null;
