import { NONE } from '../procedure/form';

/** By claim: what is claimed to be known is worth under which sights; NONE where these leave it open. */
export type Told = readonly ReadonlyMap<string, number>[];

/** By claim: the sights that leave it open. */
export type Open = readonly ReadonlySet<string>[];

/** What one part and another tell; where they tell different things under the same sights, these leave it open. */
export const joinTold = (parts: readonly Told[]): Told =>
  parts.reduce((all, part) =>
    all.map((table, claim) => {
      const joined = new Map(table);
      for (const [sights, value] of part[claim]) {
        const before = joined.get(sights);
        joined.set(sights, before === undefined || before === value ? value : NONE);
      }
      return joined;
    }),
  );

export const openIn = (told: Told): Open =>
  told.map((table) => new Set([...table].filter(([, value]) => value === NONE).map(([sights]) => sights)));

export const isAnyOpen = (open: Open): boolean => open.some(({ size }) => size > 0);
