import { Domains } from '../domains';
import { Laying, Term } from '../term';

/** One way in which it may lie: by place the faces that may lie there, as three numbers each. */
export type Layout = Int32Array;

export const layout = (entries: readonly (readonly [place: number, lo: number, hi: number])[]): Layout =>
  Int32Array.from(entries.flat());

const isAlive = (domains: Domains, entries: Layout): boolean => {
  for (let index = 0; index < entries.length; index += 3) {
    const place = entries[index];
    if ((domains.low(place) & entries[index + 1]) === 0 && (domains.high(place) & entries[index + 2]) === 0)
      return false;
  }
  return true;
};

/** How many places of a layout hold something else. */
const missed = ({ at }: Laying, entries: Layout): number => {
  let sum = 0;
  for (let index = 0; index < entries.length; index += 3) {
    const face = at[entries[index]];
    const word = face < 32 ? entries[index + 1] : entries[index + 2];
    sum += 1 - ((word >>> (face & 31)) & 1);
  }
  return sum;
};

/**
 * The order is laid in one of several ways.
 *
 * @param broken how bad a laying is, where the fewest places of a way that hold something else do not tell it.
 */
export const oneOfLayouts = (
  ways: readonly Layout[],
  key: string,
  broken?: (laying: Laying) => number,
): Term => {
  const places = [...new Set(ways.flatMap((way) => [...way].filter((_, index) => index % 3 === 0)))];
  const [lo, hi] = [new Int32Array(64), new Int32Array(64)];
  const told = new Uint8Array(64);
  return {
    key: `layouts ${key}`,
    places,
    broken:
      broken ??
      ((laying) =>
        ways.reduce((least, way) => Math.min(least, missed(laying, way)), Number.POSITIVE_INFINITY)),
    narrow: (domains) => {
      let alive = 0;
      told.fill(0);
      lo.fill(0);
      hi.fill(0);
      for (const way of ways) {
        if (!isAlive(domains, way)) continue;
        alive++;
        for (let index = 0; index < way.length; index += 3) {
          told[way[index]]++;
          lo[way[index]] |= way[index + 1];
          hi[way[index]] |= way[index + 2];
        }
      }
      if (alive === 0) return false;
      // What every way that is left says of a place holds there.
      for (const place of places)
        if (told[place] === alive && !domains.keep(place, lo[place], hi[place])) return false;
      return true;
    },
    cost: 1 + ways.length * 2,
  };
};
