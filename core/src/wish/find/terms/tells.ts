import { lowest } from '../bits';
import { Domains } from '../domains';
import { Term } from '../term';

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
  const rowKey = (start: number): number => {
    let found = 0;
    for (let step = 0; step < length; step++) {
      const value = row[(start + step) % size];
      if (value < 0) return -1;
      found = (found * all + value) % 9007199254;
    }
    return found;
  };
  /** Two rows of one key are held against each other: a key of a long row does not tell everything. */
  const same = (a: number, b: number): boolean => {
    for (let step = 0; step < length; step++) if (row[(a + step) % size] !== row[(b + step) % size]) return false;
    return true;
  };
  return {
    key: `tells ${key} ${next} ${view.join(' ')}`,
    places: view,
    broken: ({ at }) => {
      for (let index = 0; index < size; index++) row[index] = values[at[view[index]]];
      for (let index = 0; index < size; index++) keys[index] = rowKey(index);
      const sorted = Array.from(keys, (_, index) => index).sort((a, b) => keys[a] - keys[b]);
      let sum = 0;
      for (let index = 1; index < size; index++)
        if (keys[sorted[index]] === keys[sorted[index - 1]] && same(sorted[index], sorted[index - 1])) sum++;
      return sum;
    },
    narrow: (domains) => {
      for (let index = 0; index < size; index++) row[index] = valueAt(domains, view[index], values);
      const known = new Map<string, number>();
      for (let start = 0; start < size; start++) {
        if (rowKey(start) < 0) continue;
        const text = Array.from({ length }, (_, step) => row[(start + step) % size]).join(' ');
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
