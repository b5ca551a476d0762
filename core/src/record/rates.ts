import { estimate } from '../odds/interval';
import { Share } from './within';

/** How often it hits, with Wilson’s interval at 95 %: of no tries nothing is known. */
export const rateOf = (hits: number, tries: number): Share => {
  const { share, low, high } = estimate(hits, tries);
  return { share, low, high };
};

/** How long something takes, in seconds: its middle, and between what it lies nine times in ten. */
export interface Seconds {
  readonly seconds: number;
  readonly low: number;
  readonly high: number;
}

/** The stated value is worth so many observations, which spread so far (in logarithms). */
const [WORTH, SPREAD] = [5, 0.35];
const NINE_IN_TEN = 1.645;
/** Below this nothing is timed. */
const LEAST = 0.1;

/**
 * How long something takes, by what was timed: log-normal, the stated value worth five observations.
 *
 * @param observed seconds. @param stated seconds, above 0.
 */
export const secondsOf = (observed: readonly number[], stated: number): Seconds => {
  const logs = observed
    .filter((each) => Number.isFinite(each) && each >= 0)
    .map((each) => Math.log(Math.max(LEAST, each)));
  const before = Math.log(Math.max(LEAST, stated));
  const count = WORTH + logs.length;
  const mean = (WORTH * before + logs.reduce((sum, each) => sum + each, 0)) / count;
  const spread =
    (WORTH * (SPREAD ** 2 + (before - mean) ** 2) + logs.reduce((sum, each) => sum + (each - mean) ** 2, 0)) /
    count;
  const off = NINE_IN_TEN * Math.sqrt(spread / count);
  return { seconds: Math.exp(mean), low: Math.exp(mean - off), high: Math.exp(mean + off) };
};
