import { rateOf } from './rates';
import { Share } from './within';
import { doneIn, Night } from './night';
import { RoutineDone } from '../perform/cue/done';

/** A routine on one night. */
export interface RoutineNight {
  readonly night: Night;
  readonly done: RoutineDone;
}

/** How a routine goes. */
export interface RoutineRate {
  readonly id: string;
  /** As it was called last. */
  readonly name: string;
  readonly tries: number;
  readonly hits: number;
  readonly outs: number;
  /** How often it hits, and between what that lies 95 times in 100. */
  readonly rate: Share;
  /** The nights on which it was done, the newest first. */
  readonly nights: readonly RoutineNight[];
}

const rateOver = (id: string, nights: readonly RoutineNight[]): RoutineRate => {
  const counted = (how: RoutineDone['how']): number => nights.filter(({ done }) => done.how === how).length;
  const [hits, outs] = [counted('hit'), counted('out')];
  return {
    ...{ id, name: nights[0].done.name, tries: nights.length, hits, outs, nights },
    rate: rateOf(hits, nights.length),
  };
};

/** How each routine goes, the one that misses most often first. */
export const routineRates = (nights: readonly Night[]): readonly RoutineRate[] => {
  const found = new Map<string, RoutineNight[]>();
  for (const night of [...nights].sort((a, b) => b.at - a.at))
    for (const done of doneIn(night)) {
      const before = found.get(done.id);
      if (before) before.push({ night, done });
      else found.set(done.id, [{ night, done }]);
    }
  return [...found]
    .map(([id, each]) => rateOver(id, each))
    .sort((a, b) => a.rate.share - b.rate.share || b.tries - a.tries || (a.name < b.name ? -1 : 1));
};

/** How a routine goes by audience, the most often done first. */
export const byAudience = ({
  id,
  nights,
}: RoutineRate): readonly (RoutineRate & { readonly audience: string })[] => {
  const audiences = [...new Set(nights.map(({ night }) => night.audience))];
  return audiences
    .map((audience) => ({
      ...rateOver(
        id,
        nights.filter(({ night }) => night.audience === audience),
      ),
      audience,
    }))
    .sort((a, b) => b.tries - a.tries);
};

/** How a routine goes over time: so many nights each, the oldest first. */
export const overTime = ({ id, nights }: RoutineRate, each: number): readonly RoutineRate[] => {
  const old = [...nights].reverse();
  return Array.from({ length: Math.ceil(old.length / each) }, (_, index) =>
    rateOver(id, old.slice(index * each, (index + 1) * each)),
  );
};

/** Slips of one’s own by the kind of sum, the most often first; of how many routines. */
export const slipsOf = (
  nights: readonly Night[],
): readonly { readonly sum: string; readonly count: number; readonly of: number }[] => {
  const counts = new Map<string, number>();
  let of = 0;
  for (const night of nights)
    for (const { slips = [] } of doneIn(night)) {
      of++;
      for (const sum of slips) counts.set(sum, (counts.get(sum) ?? 0) + 1);
    }
  return [...counts].map(([sum, count]) => ({ sum, count, of })).sort((a, b) => b.count - a.count);
};

/** Between two routines, how often the pack had to be mended, and for how long in the middle. */
export interface MendedAt {
  readonly before: string;
  readonly routine: string;
  readonly times: number;
  readonly of: number;
  readonly seconds: number;
}

/** The junctions at which a mend was needed, the most often first. */
export const mendedJunctions = (nights: readonly Night[]): readonly MendedAt[] => {
  const found = new Map<string, { before: string; routine: string; seconds: number[]; of: number }>();
  for (const night of nights)
    doneIn(night).forEach(({ name, mends }, index, all) => {
      if (index === 0) return;
      const before = all[index - 1].name;
      const key = JSON.stringify([before, name]);
      const one = found.get(key) ?? { before, routine: name, seconds: [], of: 0 };
      one.of++;
      if (mends.length > 0) one.seconds.push(mends.reduce((sum, { seconds }) => sum + seconds, 0));
      found.set(key, one);
    });
  return [...found.values()]
    .filter(({ seconds }) => seconds.length > 0)
    .map(({ before, routine, seconds, of }) => {
      const sorted = [...seconds].sort((a, b) => a - b);
      return { before, routine, of, times: sorted.length, seconds: sorted[Math.floor(sorted.length / 2)] };
    })
    .sort((a, b) => b.times - a.times);
};
