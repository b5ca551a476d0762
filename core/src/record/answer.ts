import { narrowest, Stretch } from '../odds/narrowest';
import { Fit } from './fitChoice';

/** What a fit says in one sentence. */
export interface ChoiceAnswer {
  /** The value in the middle: as many choose less as more. */
  readonly middle: number;
  /** Two in three lie within so many of it. */
  readonly within: number;
  /** The middle of what was stated. */
  readonly statedMiddle: number;
  /** Whether the numbers carry that it is another than was stated. */
  readonly differs: boolean;
  /** The narrowest ranges in which 80 and 95 in 100 choose. */
  readonly in80: Stretch | undefined;
  readonly in95: Stretch | undefined;
}

/** Below so many choices nothing is said to differ; and so many standard errors it must be off. */
const [FEWEST, ERRORS] = [8, 2.5];

/** The value in the middle of chances. */
export const middleOf = (chances: readonly number[], from: number): number => {
  let sum = 0;
  const index = chances.findIndex((chance) => (sum += chance) >= 0.5);
  return from + Math.max(0, index);
};

/** Two in three lie within so many of a value. */
const withinOf = ({ chances, from }: Pick<Fit, 'chances' | 'from'>, middle: number): number => {
  for (let within = 0; within < chances.length; within++) {
    const share = chances.reduce(
      (sum, chance, index) => (Math.abs(from + index - middle) <= within ? sum + chance : sum),
      0,
    );
    if (share >= 2 / 3) return within;
  }
  return chances.length;
};

/**
 * What a fit says.
 *
 * @param stated the stated chance of each value, from the fit’s first on.
 */
export const choiceAnswer = (fit: Fit, stated: readonly number[]): ChoiceAnswer => {
  const { chances, from, counts, n } = fit;
  const [middle, statedMiddle] = [middleOf(chances, from), middleOf(stated, from)];
  const mean = counts.reduce((sum, count, index) => sum + count * (from + index), 0) / Math.max(1, n);
  const spread =
    counts.reduce((sum, count, index) => sum + count * (from + index - mean) ** 2, 0) / Math.max(1, n - 1);
  const statedMean = stated.reduce((sum, chance, index) => sum + chance * (from + index), 0);
  const error = Math.sqrt(Math.max(spread, 1) / Math.max(1, n));
  return {
    ...{ middle, statedMiddle, within: withinOf(fit, middle) },
    differs: n >= FEWEST && middle !== statedMiddle && Math.abs(mean - statedMean) > ERRORS * error,
    in80: narrowest(chances, from, 0.8),
    in95: narrowest(chances, from, 0.95),
  };
};
