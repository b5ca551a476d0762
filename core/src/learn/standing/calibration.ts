import { Estimate, estimate } from '../../odds/interval';
import { Attempt } from './attempt';

/** How often answers came right that were expected to do so with a chance between two tenths. */
export interface CalibrationBin {
  /** From 0 to 1. */
  readonly from: number;
  readonly to: number;
  /** The mean of what was expected. */
  readonly expected: number;
  /** How often it was right, with its interval; the tries are the answers of the bin. */
  readonly right: Estimate;
}

const BINS = 10;

/** Ten bins of what the schedule expected, each with how often it was right. Answers to what was not held are left out. */
export const calibration = (answers: readonly Attempt[]): readonly CalibrationBin[] => {
  const bins = Array.from({ length: BINS }, () => ({ sum: 0, hits: 0, tries: 0 }));
  for (const { expected, right } of answers) {
    if (expected === undefined) continue;
    const bin = bins[Math.min(BINS - 1, Math.floor(expected * BINS))];
    bin.sum += expected;
    bin.tries++;
    if (right) bin.hits++;
  }
  return bins.map(({ sum, hits, tries }, index) => ({
    from: index / BINS,
    to: (index + 1) / BINS,
    expected: tries === 0 ? (index + 0.5) / BINS : sum / tries,
    right: estimate(hits, tries),
  }));
};
