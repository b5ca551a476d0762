import { seededRng } from '../deck/rng';
import { Values } from '../form/field';
import { JobRule } from '../job/job';
import { Estimate, estimate } from './interval';
import { questionAt } from './questions';

export interface TryArgs {
  /** The question's address. */
  readonly path: string;
  /** All its values, which go together. */
  readonly values: Values;
  readonly seed: number;
  /** How often it is tried at most. */
  readonly tries: number;
  /** How wide the interval may be: as soon as it is so narrow, no more are tried. */
  readonly width: number;
}

const AT_ONCE = 2000;

/** Tries a question by chance, as a job: it yields what it would say so far. An unknown question has no tries. */
export const TRY_QUESTION: JobRule<TryArgs, Estimate, Estimate> = {
  *start({ path, values, seed, tries, width }) {
    const trial = questionAt(path)?.trial(values);
    const rng = seededRng(seed);
    let [hits, done] = [0, 0];
    while (trial && done < tries) {
      const until = Math.min(tries, done + AT_ONCE);
      for (; done < until; done++) if (trial(rng)) hits++;
      const so = estimate(hits, done);
      if (so.high - so.low <= width) return so;
      yield so;
    }
    return estimate(hits, done);
  },
};

/** A point of a curve. */
export interface OddsPoint {
  readonly value: number;
  readonly chance: number;
}

/** The exact chances as one of a question's fields changes; values that do not go together are left out. */
export const oddsCurve = (path: string, values: Values): readonly OddsPoint[] => {
  const question = questionAt(path);
  if (!question) return [];
  const { field, range } = question.over;
  const [from, to] = range(values);
  return Array.from({ length: Math.max(0, to - from + 1) }, (_, index) => from + index).flatMap((value) => {
    const changed = { ...values, [field]: value };
    return question.problem?.(changed) ? [] : [{ value, chance: question.chance(changed) }];
  });
};
