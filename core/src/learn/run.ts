import { mod } from '../deck/mod';

/** In which order all cards are said. */
export type RunWay = 'forwards' | 'backwards' | 'every second';
export const RUN_WAYS: readonly RunWay[] = ['forwards', 'backwards', 'every second'];

/**
 * The stack numbers of a whole run, each once: onwards or back round the order's end; or every second one, and in an
 * order of even size those between in a second round.
 *
 * @param size N. @param from the first stack number, 1 to N.
 */
export const runSequence = (size: number, way: RunWay, from: number): readonly number[] =>
  Array.from({ length: size }, (_, index) => {
    const second = 2 * index + (size % 2 === 0 && index >= size / 2 ? 1 : 0);
    const steps = way === 'forwards' ? index : way === 'backwards' ? -index : second;
    return mod(from - 1 + steps, size) + 1;
  });

/** A run as it went. */
export interface RunTimes {
  /** When each card was said, in milliseconds from the start, in the order of the run. */
  readonly splits: readonly number[];
  /** Stack numbers of cards that were wrong. */
  readonly wrong: readonly number[];
}

/** How long a run took, in milliseconds; 0 where nothing was said. */
export const runTime = ({ splits }: RunTimes): number => splits.at(-1) ?? 0;

/**
 * The steps of a run that took longest.
 *
 * @returns indexes into the run, from 0, with how long each took; the longest first.
 */
export const slowestSteps = (
  { splits }: RunTimes,
  count: number,
): readonly { readonly index: number; readonly ms: number }[] =>
  splits
    .map((at, index) => ({ index, ms: at - (index === 0 ? 0 : splits[index - 1]) }))
    .sort((a, b) => b.ms - a.ms)
    .slice(0, count);

/** Runs from the best: the fewest wrong, then the fastest. Those that were not ended are left out. */
export const bestRuns = <Run extends RunTimes>(runs: readonly Run[], size: number): readonly Run[] =>
  runs
    .filter(({ splits }) => splits.length === size)
    .sort((a, b) => a.wrong.length - b.wrong.length || runTime(a) - runTime(b));
