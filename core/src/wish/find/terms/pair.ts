import { related, Relation } from '../../look';
import { facesWhere, Faces } from '../faces';
import { lowest } from '../bits';
import { Domains } from '../domains';
import { Term } from '../term';

/** By face: which faces may lie at the other place, as two words, and the same the other way. */
export interface PairTable {
  readonly key: string;
  readonly there: Int32Array;
  readonly back: Int32Array;
}

/** Which pairs of faces have something in common, from the first place to the second. */
const pairTable = (faces: Faces, key: string, holds: (a: number, b: number) => boolean): PairTable => {
  const words = (way: (one: number, other: number) => boolean): Int32Array =>
    Int32Array.from(
      faces.looks.flatMap((look) => {
        const { lo, hi } = facesWhere(faces, (other) => way(look, other));
        return [lo, hi];
      }),
    );
  return { key, there: words(holds), back: words((a, b) => holds(b, a)) };
};

const TABLES = new WeakMap<Faces, Map<string, PairTable>>();

/** A table that is made once for a pack. */
export const tableOf = (faces: Faces, key: string, holds: (a: number, b: number) => boolean): PairTable => {
  const tables = TABLES.get(faces) ?? new Map<string, PairTable>();
  TABLES.set(faces, tables);
  const table = tables.get(key) ?? pairTable(faces, key, holds);
  tables.set(key, table);
  return table;
};

export const relationTable = (faces: Faces, relation: Relation): PairTable =>
  tableOf(faces, relation, (a, b) => related(relation, a, b));

const narrowTo = (domains: Domains, from: number, to: number, table: Int32Array): boolean => {
  let [lo, hi] = [domains.low(from), domains.high(from)];
  let [keepLo, keepHi] = [0, 0];
  while (lo !== 0 || hi !== 0) {
    const face = lowest(lo, hi);
    if (face < 32) lo &= lo - 1;
    else hi &= hi - 1;
    keepLo |= table[2 * face];
    keepHi |= table[2 * face + 1];
  }
  return domains.keep(to, keepLo, keepHi);
};

/** What lies at two places goes together as a table says. */
export const pair = (a: number, b: number, { key, there, back }: PairTable): Term => ({
  key: `pair ${a} ${b} ${key}`,
  places: [a, b],
  broken: ({ at }) => {
    const other = at[b];
    const word = there[2 * at[a] + (other < 32 ? 0 : 1)];
    return 1 - ((word >>> (other & 31)) & 1);
  },
  narrow: (domains) => narrowTo(domains, a, b, there) && narrowTo(domains, b, a, back),
  cost: 2,
});

/** Of pairs of places at most so many go together as a table says. */
export const fewPairs = (
  pairs: readonly (readonly [number, number])[],
  { key, there }: PairTable,
  most: number,
): Term => {
  const flat = Int32Array.from(pairs.flat());
  const count = ({ at }: { readonly at: Uint8Array }): number => {
    let sum = 0;
    for (let index = 0; index < flat.length; index += 2) {
      const other = at[flat[index + 1]];
      sum += (there[2 * at[flat[index]] + (other < 32 ? 0 : 1)] >>> (other & 31)) & 1;
    }
    return sum;
  };
  return {
    key: `few ${key} ${most} ${pairs.join(' ')}`,
    places: [...new Set(pairs.flat())],
    broken: (laying) => Math.max(0, count(laying) - most),
    narrow: (domains) => narrowFew(domains, flat, there, most),
    cost: pairs.length / 4,
  };
};

/** Pairs both of whose places are fixed are counted; at the most, the other half of a pair is kept from making one more. */
const narrowFew = (domains: Domains, flat: Int32Array, there: Int32Array, most: number): boolean => {
  let sure = 0;
  for (let index = 0; index < flat.length; index += 2) {
    const [a, b] = [flat[index], flat[index + 1]];
    if (!domains.isFixed(a)) continue;
    const face = domains.faceAt(a);
    const [lo, hi] = [domains.low(b) & ~there[2 * face], domains.high(b) & ~there[2 * face + 1]];
    if (lo === 0 && hi === 0) sure++;
  }
  if (sure > most) return false;
  if (sure < most) return true;
  for (let index = 0; index < flat.length; index += 2) {
    const [a, b] = [flat[index], flat[index + 1]];
    if (!domains.isFixed(a)) continue;
    const face = domains.faceAt(a);
    const [lo, hi] = [domains.low(b) & ~there[2 * face], domains.high(b) & ~there[2 * face + 1]];
    if ((lo !== 0 || hi !== 0) && !domains.keep(b, lo, hi)) return false;
  }
  return true;
};
