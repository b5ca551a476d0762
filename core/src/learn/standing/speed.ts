import { dayOf } from '../day';
import { Attempt, tells } from './attempt';
import { median } from './median';

/** How many right answers took how long. */
export interface SpeedBin {
  /** In milliseconds, from and up to. The last bin has no end. */
  readonly from: number;
  readonly to: number;
  readonly count: number;
}

/** The times of right answers in bins of a width, the last of them for whatever is beyond. */
export const speedBins = (answers: readonly Attempt[], width = 250, bins = 20): readonly SpeedBin[] => {
  const counts = Array.from({ length: bins }, () => 0);
  for (const answer of answers)
    if (tells(answer)) counts[Math.min(bins - 1, Math.floor(answer.ms / width))]++;
  return counts.map((count, index) => ({
    from: index * width,
    to: index === bins - 1 ? Infinity : (index + 1) * width,
    count,
  }));
};

/** How fast a day of practice was. */
export interface DaySpeed {
  /** Counted from 1970, as `dayOf` does. */
  readonly day: number;
  readonly median: number;
  readonly answers: number;
}

/** The median time of right answers on each day that had any, oldest first. @param offset minutes ahead of UTC. */
export const daySpeeds = (answers: readonly Attempt[], offset: number): readonly DaySpeed[] => {
  const byDay = new Map<number, number[]>();
  for (const answer of answers) {
    if (!tells(answer)) continue;
    const day = dayOf(answer.at, offset);
    const own = byDay.get(day);
    if (own) own.push(answer.ms);
    else byDay.set(day, [answer.ms]);
  }
  return [...byDay]
    .sort(([a], [b]) => a - b)
    .map(([day, times]) => ({ day, median: median(times) ?? 0, answers: times.length }));
};
