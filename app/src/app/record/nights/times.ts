/** A stretch of time that nights are looked for in. */
export interface TimeSpan {
  readonly words: string;
  /** From this moment, and before that one; in milliseconds. */
  readonly from?: number;
  readonly before?: number;
}

const DAY = 86_400_000;

/** The stretches that are offered. @param now in milliseconds. */
export const timesFrom = (now: number): readonly TimeSpan[] => {
  const year = new Date(now).getFullYear();
  const first = (of: number): number => new Date(of, 0, 1).getTime();
  return [
    { words: 'any time' },
    { words: 'the last 30 days', from: now - 30 * DAY },
    { words: 'the last 90 days', from: now - 90 * DAY },
    { words: 'this year', from: first(year), before: first(year + 1) },
    { words: 'last year', from: first(year - 1), before: first(year) },
    { words: 'to come', from: now },
  ];
};
