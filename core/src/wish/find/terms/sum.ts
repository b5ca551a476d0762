import { lowest } from '../bits';
import { Domains } from '../domains';
import { Term } from '../term';

/** The least and the most that lies at a place, by a number of each face. */
export const boundsAt = (domains: Domains, place: number, values: Int16Array): readonly [number, number] => {
  let [lo, hi] = [domains.low(place), domains.high(place)];
  let [least, most] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  while (lo !== 0 || hi !== 0) {
    const face = lowest(lo, hi);
    if (face < 32) lo &= lo - 1;
    else hi &= hi - 1;
    if (values[face] < least) least = values[face];
    if (values[face] > most) most = values[face];
  }
  return [least, most];
};

/** Only faces whose number is from one to another may lie at a place. */
export const keepBetween = (
  domains: Domains,
  place: number,
  values: Int16Array,
  least: number,
  most: number,
): boolean => {
  let [lo, hi] = [domains.low(place), domains.high(place)];
  let [keepLo, keepHi] = [0, 0];
  while (lo !== 0 || hi !== 0) {
    const face = lowest(lo, hi);
    if (face < 32) lo &= lo - 1;
    else hi &= hi - 1;
    if (values[face] < least || values[face] > most) continue;
    if (face < 32) keepLo |= 1 << face;
    else keepHi |= 1 << (face - 32);
  }
  return domains.keep(place, keepLo, keepHi);
};

/** So much short of it counts as one more that is broken. */
const STEP = 4;

/** The numbers of what lies at these places add up to a number. */
export const sum = (places: readonly number[], values: Int16Array, total: number, key: string): Term => {
  const row = Int32Array.from(places);
  return {
    key: `sum ${key} ${total} ${[...places].sort((a, b) => a - b).join(' ')}`,
    places,
    broken: ({ at }) => {
      let found = 0;
      for (const place of row) found += values[at[place]];
      return found === total ? 0 : 1 + Math.min(1, Math.abs(found - total) / STEP / 4);
    },
    narrow: (domains) => {
      const bounds = Array.from(row, (place) => boundsAt(domains, place, values));
      let [least, most] = [0, 0];
      for (const [low, high] of bounds) {
        least += low;
        most += high;
      }
      if (least > total || most < total) return false;
      for (let index = 0; index < row.length; index++) {
        const [low, high] = bounds[index];
        if (!keepBetween(domains, row[index], values, total - (most - high), total - (least - low)))
          return false;
      }
      return row.length !== 2 || keepTwo(domains, row, values, total);
    },
    cost: 2 + places.length,
  };
};

/** Of two places, each keeps what the other has the rest for. */
const keepTwo = (domains: Domains, row: Int32Array, values: Int16Array, total: number): boolean => {
  for (let index = 0; index < 2; index++) {
    const [from, to] = [row[index], row[1 - index]];
    let [lo, hi] = [domains.low(from), domains.high(from)];
    // By what is left to the other place: from 0 to 31.
    let wanted = 0;
    while (lo !== 0 || hi !== 0) {
      const face = lowest(lo, hi);
      if (face < 32) lo &= lo - 1;
      else hi &= hi - 1;
      const rest = total - values[face];
      if (rest >= 0 && rest < 32) wanted |= 1 << rest;
    }
    let [toLo, toHi] = [domains.low(to), domains.high(to)];
    let [keepLo, keepHi] = [0, 0];
    while (toLo !== 0 || toHi !== 0) {
      const face = lowest(toLo, toHi);
      if (face < 32) toLo &= toLo - 1;
      else toHi &= toHi - 1;
      if (((wanted >>> values[face]) & 1) === 0) continue;
      if (face < 32) keepLo |= 1 << face;
      else keepHi |= 1 << (face - 32);
    }
    if (!domains.keep(to, keepLo, keepHi)) return false;
  }
  return true;
};
