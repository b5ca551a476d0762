import { Bits, hasBit } from '../bits';
import { Term } from '../term';

/**
 * What lies at these places is not all of one value.
 *
 * @param values by value: the faces that have it.
 */
export const notAllAlike = (places: readonly number[], values: readonly Bits[], key: string): Term => {
  const row = Int32Array.from(places);
  return {
    key: `alike ${key} ${[...places].sort((a, b) => a - b).join(' ')}`,
    places,
    broken: ({ at }) => {
      const value = values.find((each) => hasBit(each, at[row[0]]));
      return value && row.every((place) => hasBit(value, at[place])) ? 1 : 0;
    },
    narrow: (domains) => {
      for (const { lo, hi } of values) {
        let other = -1;
        let others = 0;
        for (const place of row)
          if ((domains.low(place) & ~lo) !== 0 || (domains.high(place) & ~hi) !== 0) {
            other = place;
            if (++others > 1) break;
          }
        if (others === 0) return false;
        if (others === 1 && !domains.bar(other, lo, hi)) return false;
      }
      return true;
    },
    cost: 1 + places.length / 4,
  };
};
