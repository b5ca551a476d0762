import { Memory, Schedule } from './schedule';

/** An answer as the user's own rates are taken from it. */
export interface TimedAnswer {
  readonly at: number;
  readonly right: boolean;
  /** Milliseconds from the prompt to the first key. */
  readonly ms: number;
  readonly interrupted?: boolean;
  /** The item's memory before. */
  readonly before?: Memory;
}

/** What an answer takes where nothing is known of the user yet, and what reading and going on takes, in milliseconds. */
const [UNKNOWN, BETWEEN] = [5000, 1500];

/** What an answer of this user takes with reading and going on, in milliseconds: the median of these. */
export const usualTime = (answers: readonly TimedAnswer[]): number => {
  const times = answers
    .filter(({ interrupted }) => !interrupted)
    .map(({ ms }) => ms)
    .sort((a, b) => a - b);
  return times.length === 0 ? UNKNOWN : times[Math.floor(times.length / 2)] + BETWEEN;
};

/** So many answers are taken to have been as expected before anything is known of the user. */
const AS_EXPECTED = 20;

/**
 * How often the user was right with items that were held, over how often the schedule expected it: 1 is as expected.
 * Some answers as expected are counted in, so that a few do not say much.
 */
export const recallRate = (schedule: Schedule, answers: readonly TimedAnswer[]): number => {
  const held = answers.flatMap(({ before, at, right }) =>
    before?.state === 2 ? [{ right, expected: schedule.recall(before, at) }] : [],
  );
  const right = held.filter((each) => each.right).length;
  return (right + AS_EXPECTED) / held.reduce((sum, { expected }) => sum + expected, AS_EXPECTED);
};
