import { Night } from './night';
import { WasChosen } from '../perform/cue/done';

/** What was named aloud, how often, and whether that is more than chance brings. */
export interface NamedOften {
  readonly value: number;
  readonly count: number;
  /** How many were named where this could have been. */
  readonly of: number;
  /** The chance that so many come up where each is as likely, for as many as were looked at (Bonferroni). */
  readonly chance: number;
  /** Whether it is told: at most 1 in 20 such lists has one like it by chance. */
  readonly isTold: boolean;
}

const TOLD = 0.05;

/** The logarithms of factorials, as far as they were asked for. */
const LOGS: number[] = [0];
const logFactorial = (of: number): number => {
  for (let next = LOGS.length; next <= of; next++) LOGS.push(LOGS[next - 1] + Math.log(next));
  return LOGS[of];
};

/** The chance of at least `count` of `of`, each with the same chance. */
export const atLeast = (count: number, of: number, chance: number): number => {
  if (count <= 0) return 1;
  if (chance <= 0 || count > of) return 0;
  if (chance >= 1) return 1;
  let sum = 0;
  for (let k = of; k >= count; k--)
    sum += Math.exp(
      logFactorial(of) -
        logFactorial(k) -
        logFactorial(of - k) +
        k * Math.log(chance) +
        (of - k) * Math.log1p(-chance),
    );
  return Math.min(1, sum);
};

/**
 * What was named, by value, the most often first.
 *
 * @param named what was named, and between what they could choose. Where some could choose among fewer than others, the
 * greatest of their chances counts for all: nothing is told then that is not so.
 */
export const namedMore = (
  named: readonly { readonly value: number; readonly from: number; readonly to: number }[],
): readonly NamedOften[] => {
  const counts = new Map<number, number>();
  for (const { value } of named) counts.set(value, (counts.get(value) ?? 0) + 1);
  const ranges = new Map<string, { from: number; to: number; count: number }>();
  for (const { from, to } of named) {
    const key = `${from.toString()} ${to.toString()}`;
    const range = ranges.get(key);
    if (range) range.count++;
    else ranges.set(key, { from, to, count: 1 });
  }
  const all = [...ranges.values()];
  const looked = new Set(
    all.flatMap(({ from, to }) => Array.from({ length: to - from + 1 }, (_, i) => from + i)),
  );
  return [...counts]
    .map(([value, count]): NamedOften => {
      const where = all.filter(({ from, to }) => value >= from && value <= to);
      const of = where.reduce((sum, each) => sum + each.count, 0);
      const most = Math.max(0, ...where.map(({ from, to }) => 1 / (to - from + 1)));
      const chance = Math.min(1, atLeast(count, of, most) * looked.size);
      return { value, count, of, chance, isTold: chance < TOLD };
    })
    .sort((a, b) => b.count - a.count || a.value - b.value);
};

/** The numbers that were named aloud, where it is known between what they could choose. */
export const numbersNamed = (
  nights: readonly Night[],
): readonly { value: number; from: number; to: number }[] =>
  choicesIn(nights).flatMap(({ sort, named, value, from, to }) =>
    named && sort === undefined && from !== undefined && to !== undefined ? [{ value, from, to }] : [],
  );

/** The cards that were named, by their numbers. */
export const cardsNamed = (nights: readonly Night[]): readonly number[] =>
  choicesIn(nights).flatMap(({ sort, seen, value }) => (sort === 'card' && !seen ? [value] : []));

/** The words that were named, each with how often; the most often first. */
export const wordsNamed = (nights: readonly Night[]): readonly (readonly [word: string, count: number])[] => {
  const counts = new Map<string, { word: string; count: number }>();
  for (const { sort, words = '' } of choicesIn(nights)) {
    if (sort !== 'word' || words.trim() === '') continue;
    const key = words.trim().toLowerCase();
    counts.set(key, {
      word: counts.get(key)?.word ?? words.trim(),
      count: (counts.get(key)?.count ?? 0) + 1,
    });
  }
  return [...counts.values()]
    .sort((a, b) => b.count - a.count)
    .map(({ word, count }) => [word, count] as const);
};

const choicesIn = (nights: readonly Night[]): readonly WasChosen[] =>
  nights.flatMap(({ done }) => done.flatMap(({ choices }) => choices));
