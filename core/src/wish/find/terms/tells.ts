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
export const tells = (
  view: readonly number[],
  values: Int16Array,
  next: number,
  key: string,
): Term => {
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
      const twice = Array.from(keys.keys()).filter((start) => keys.indexOf(keys[start]) !== keys.lastIndexOf(keys[start]));
      const start = twice[randomInt(rng, twice.length)];
      return view[(start + randomInt(rng, length)) % size];
    },
    narrow: (domains) => {
      for (let index = 0; index < size; index++) row[index] = valueAt(domains, view[index], values);
      const known = new Map<string, number>();
      for (let start = 0; start < size; start++) {
        const text = rowText(row, start, length);
        if (text.includes('-')) continue;
        if (known.has(text)) return false;
        known.set(text, start);
      }
      return keepFromKnown(domains, { view, values, row, length, known });
    },
    cost: size,
  };
};

interface Rows {
  readonly view: readonly number[];
  readonly values: Int16Array;
  readonly row: Int16Array;
  readonly length: number;
  readonly known: ReadonlyMap<string, number>;
}

/** A row of which one value is not known does not become one that is there. */
const keepFromKnown = (domains: Domains, { view, values, row, length, known }: Rows): boolean => {
  const size = view.length;
  for (let start = 0; start < size; start++) {
    let open = -1;
    let opened = 0;
    for (let step = 0; step < length; step++)
      if (row[(start + step) % size] < 0) {
        open = step;
        opened++;
      }
    if (opened !== 1) continue;
    const place = view[(start + open) % size];
    let [lo, hi] = [domains.low(place), domains.high(place)];
    while (lo !== 0 || hi !== 0) {
      const face = lowest(lo, hi);
      if (face < 32) lo &= lo - 1;
      else hi &= hi - 1;
      const text = Array.from({ length }, (_, step) =>
        step === open ? values[face] : row[(start + step) % size],
      ).join(' ');
      if (known.has(text) && !domains.exclude(place, face)) return false;
    }
  }
  return true;
};
