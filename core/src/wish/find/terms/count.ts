import { Bits, hasBit } from '../bits';
import { Term } from '../term';

/** A place and the faces that count there. */
export type Counted = readonly [place: number, faces: Bits];

/** Of places, so many hold one of the faces that count there. */
export const count = (entries: readonly Counted[], least: number, most: number): Term => ({
  key: `count ${least} ${most} ${entries
    .map(([place, { lo, hi }]) => `${place},${lo},${hi}`)
    .sort()
    .join(' ')}`,
  places: entries.map(([place]) => place),
  broken: ({ at }) => {
    let sum = 0;
    for (const [place, faces] of entries) if (hasBit(faces, at[place])) sum++;
    return sum < least ? least - sum : Math.max(0, sum - most);
  },
  narrow: (domains) => {
    let [sure, may] = [0, 0];
    for (const [place, { lo, hi }] of entries) {
      const [nowLo, nowHi] = [domains.low(place), domains.high(place)];
      if ((nowLo & lo) === 0 && (nowHi & hi) === 0) continue;
      may++;
      if ((nowLo & ~lo) === 0 && (nowHi & ~hi) === 0) sure++;
    }
    if (sure > most || may < least) return false;
    if (sure === may || (sure < most && may > least)) return true;
    for (const [place, { lo, hi }] of entries) {
      const [nowLo, nowHi] = [domains.low(place), domains.high(place)];
      const mayBe = (nowLo & lo) !== 0 || (nowHi & hi) !== 0;
      const isSure = (nowLo & ~lo) === 0 && (nowHi & ~hi) === 0;
      if (!mayBe || isSure) continue;
      // At the most: no more of them; at the least: all of them.
      if (!(sure === most ? domains.bar(place, lo, hi) : domains.keep(place, lo, hi))) return false;
    }
    return true;
  },
  cost: 1 + entries.length / 8,
});
