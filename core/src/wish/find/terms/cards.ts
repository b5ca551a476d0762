import { Bits, hasBit, lowest } from '../bits';
import { Domains } from '../domains';
import { Faces } from '../faces';
import { Term } from '../term';

const narrowTo = (domains: Domains, from: number, to: number, table: readonly Bits[]): boolean => {
  let [lo, hi] = [domains.placesLow(from), domains.placesHigh(from)];
  let [keepLo, keepHi] = [0, 0];
  while (lo !== 0 || hi !== 0) {
    const place = lowest(lo, hi);
    if (place < 32) lo &= lo - 1;
    else hi &= hi - 1;
    keepLo |= table[place].lo;
    keepHi |= table[place].hi;
  }
  return domains.keepPlaces(to, keepLo, keepHi);
};

const EVERYWHERE = (size: number): readonly number[] => Array.from({ length: size }, (_, place) => place);

const backOf = (table: readonly Bits[]): readonly Bits[] =>
  table.map((_, to) => {
    let [lo, hi] = [0, 0];
    table.forEach((bits, from) => {
      if (!hasBit(bits, to)) return;
      if (from < 32) lo |= 1 << from;
      else hi |= 1 << (from - 32);
    });
    return { lo, hi };
  });

/**
 * One card of a face lies so to one of another as a table says.
 *
 * @param table by place of the first: the places at which the second may lie; never its own.
 */
export const cardsSo = (faces: Faces, a: number, b: number, table: readonly Bits[], key: string): Term => {
  const single = faces.copies[a] === 1 && faces.copies[b] === 1 && a !== b;
  const back = backOf(table);
  const some = ({ at }: { readonly at: Uint8Array }): boolean => {
    for (let place = 0; place < at.length; place++) {
      if (at[place] !== a) continue;
      for (let other = 0; other < at.length; other++)
        if (at[other] === b && hasBit(table[place], other)) return true;
    }
    return false;
  };
  return {
    key: `cards ${a} ${b} ${key}`,
    places: EVERYWHERE(faces.size),
    faces: [...new Set([a, b])],
    broken: (laying) =>
      single ? (hasBit(table[laying.where[a]], laying.where[b]) ? 0 : 1) : some(laying) ? 0 : 1,
    narrow: (domains) => {
      if (single) return narrowTo(domains, a, b, table) && narrowTo(domains, b, a, back);
      let [lo, hi] = [domains.placesLow(a), domains.placesHigh(a)];
      const [otherLo, otherHi] = [domains.placesLow(b), domains.placesHigh(b)];
      while (lo !== 0 || hi !== 0) {
        const place = lowest(lo, hi);
        if (place < 32) lo &= lo - 1;
        else hi &= hi - 1;
        if ((table[place].lo & otherLo) !== 0 || (table[place].hi & otherHi) !== 0) return true;
      }
      return false;
    },
    cost: 3,
  };
};
