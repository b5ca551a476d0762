import { Rng } from '../../deck/rng';
import { Level, LEVELS } from './sum';

/** How long a sum may take where nothing else is wanted, in milliseconds. */
export const WANTED_TIME = 4000;

/** So many sums shall come right within the wanted time: hard enough to learn by, easy enough to go on. */
export const TARGET = 0.85;

export interface SumAnswer {
  readonly level: Level;
  readonly right: boolean;
  /** From the prompt to the first key, in milliseconds. */
  readonly ms: number;
  /** Set where the time says nothing: such an answer does not count. */
  readonly interrupted?: boolean;
}

/** What is taken to be so before there are answers: the chance at each level, and how many answers that weighs. */
const [AT_FIRST, WEIGHT] = [[0.85, 0.75, 0.65, 0.55], 4] as const;

/** Each answer counts so much of the one after it. */
const FADES = 0.93;

/** How likely a sum of each level comes right within the wanted time. */
export type Fluency = readonly number[];

/**
 * The chance that a sum of a kind comes right within the wanted time, by level: the share of the answers that did,
 * each counting 0.93 of the next one, with four answers as expected before the first.
 *
 * @param answers to sums of one kind, oldest first. @param wanted in milliseconds.
 */
export const fluencyOf = (answers: readonly SumAnswer[], wanted = WANTED_TIME): Fluency =>
  LEVELS.map((level) => {
    let [hits, all] = [WEIGHT * AT_FIRST[level], WEIGHT as number];
    for (const answer of answers) {
      if (answer.level !== level || answer.interrupted) continue;
      hits = hits * FADES + (answer.right && answer.ms <= wanted ? 1 : 0);
      all = all * FADES + 1;
    }
    return hits / all;
  });

/**
 * The level of the next sum: the hardest that comes right often enough, mixed with the one above it so that about
 * `TARGET` of all come right within the wanted time.
 */
export const nextLevel = (fluency: Fluency, rng: Rng): Level => {
  const above = LEVELS.find((level) => level > 0 && fluency[level] < TARGET);
  if (fluency[0] < TARGET) return 0;
  if (above === undefined) return LEVELS[LEVELS.length - 1];
  const [easy, hard] = [fluency[above - 1], fluency[above]];
  return rng() < (TARGET - hard) / (easy - hard) ? ((above - 1) as Level) : above;
};

/** How much a kind needs practice: 1 where it is never in time, little where it always is. */
export const needOf = (fluency: Fluency): number =>
  1.05 - fluency.reduce((sum, chance) => sum + chance, 0) / fluency.length;
