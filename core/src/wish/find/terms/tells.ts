import { randomInt } from '../../../deck/rng';
import { lowest } from '../bits';
import { Domains } from '../domains';
import { Laying, Term } from '../term';

/** The value of every face at a place, -1 where it is not known yet. */
const valueAt = (domains: Domains, place: number, values: Int16Array): number => {
  let [lo, hi] = [domains.low(place), domains.high(place)];
  let found = -1;
  while (lo !== 0 || hi !== 0) {
    const face = lowest(lo, hi);
    if (face < 32) lo &= lo - 1;
    else hi &= hi - 1;
    if (found === -1) found = values[face];
    else if (found !== values[face]) return -1;
  }
  return found;
};

const rowText = (row: Int16Array, start: number, length: number): string =>
  Array.from({ length }, (_, step) => row[(start + step) % row.length]).join(' ');

/** Up to so many different rows are counted in a table. */
const TABLE = 1 << 16;

/** How many rows come again, by their keys. */
const countRepeated = (rows: number, keys: Float64Array): (() => number) => {
  if (rows > TABLE)
    return () => {
      const sorted = keys.slice().sort();
      let sum = 0;
      for (let index = 1; index < sorted.length; index++) if (sorted[index] === sorted[index - 1]) sum++;
      return sum;
    };
  const counts = new Uint8Array(rows);
  return () => {
    let sum = 0;
    for (const key of keys) if (counts[key]++ > 0) sum++;
    for (const key of keys) counts[key] = 0;
    return sum;
  };
};

/**
 * Every row of so many values, going round, comes once.
 *
 * @param values by face, from 0; what lacks the value has one of its own.
 */
export const tells = (view: readonly number[], values: Int16Array, next: number, key: string): Term => {
  const size = view.length;
  const length = Math.min(next, size);
  const all = Math.max(...values) + 1;
  const row = new Int16Array(size);
  const keys = new Float64Array(size);
  // Of a long row no number tells everything.
  const isExact = all ** length <= Number.MAX_SAFE_INTEGER;
  const repeated = countRepeated(isExact ? all ** length : size, keys);
  const readRow = ({ at }: Laying): void => {
    for (let index = 0; index < size; index++) row[index] = values[at[view[index]]];
    if (!isExact) {
      const texts = Array.from(keys, (_, start) => rowText(row, start, length));
      texts.forEach((text, start) => (keys[start] = texts.indexOf(text)));
      return;
    }
    let key = 0;
    for (let step = 0; step < length; step++) key = key * all + row[step];
    // Each row is the one before it without its first value, and with one more behind.
    const highest = all ** (length - 1);
    for (let start = 0; start < size; start++) {
      keys[start] = key;
      key = (key - row[start] * highest) * all + row[(start + length) % size];
    }
  };
  return {
    key: `tells ${key} ${next} ${view.join(' ')}`,
    places: view,
    broken: (laying) => {
      readRow(laying);
      return repeated();
    },
    suspect: (laying, rng) => {
      readRow(laying);
      const twice = Array.from(keys.keys()).filter(
        (start) => keys.indexOf(keys[start]) !== keys.lastIndexOf(keys[start]),
      );
      const start = twice[randomInt(rng, twice.length)];
      return view[(start + randomInt(rng, length)) % size];
    },
    narrow: (domains) => {
      for (let index = 0; index < size; index++) row[index] = valueAt(domains, view[index], values);
      return keepApart(domains, { view, values, row, length, all: isExact ? all : 0 });
    },
    cost: size,
  };
};

interface Rows {
  readonly view: readonly number[];
  readonly values: Int16Array;
  /** By index the value, -1 where it is not known yet. */
  readonly row: Int16Array;
  readonly length: number;
  /** How many values there are, where a number can tell a whole row; else 0. */
  readonly all: number;
}

/** What tells a row, with a value in the place of one that is not known. */
const keyAt = ({ row, length, all }: Rows, start: number, value: number): number | string => {
  if (all === 0)
    return Array.from({ length }, (_, step) => {
      const known = row[(start + step) % row.length];
      return known < 0 ? value : known;
    }).join(' ');
  let key = 0;
  for (let step = 0; step < length; step++) {
    const known = row[(start + step) % row.length];
    key = key * all + (known < 0 ? value : known);
  }
  return key;
};

/** No row that is known comes twice, and one of which one value is not known does not become one that is there. */
const keepApart = (domains: Domains, rows: Rows): boolean => {
  const { view, values, row, length } = rows;
  const size = view.length;
  const known = new Set<number | string>();
  const almost: (readonly [start: number, open: number])[] = [];
  for (let start = 0; start < size; start++) {
    let [open, opened] = [-1, 0];
    for (let step = 0; step < length && opened < 2; step++)
      if (row[(start + step) % size] < 0) {
        open = (start + step) % size;
        opened++;
      }
    if (opened === 1) almost.push([start, open]);
    if (opened > 0) continue;
    const key = keyAt(rows, start, -1);
    if (known.has(key)) return false;
    known.add(key);
  }
  for (const [start, open] of almost) {
    const place = view[open];
    let [lo, hi] = [domains.low(place), domains.high(place)];
    let tried = -1;
    let isKnown = false;
    while (lo !== 0 || hi !== 0) {
      const face = lowest(lo, hi);
      if (face < 32) lo &= lo - 1;
      else hi &= hi - 1;
      if (values[face] !== tried) isKnown = known.has(keyAt(rows, start, values[face]));
      tried = values[face];
      if (isKnown && !domains.exclude(place, face)) return false;
    }
  }
  return true;
};
