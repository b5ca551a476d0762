import { WeaveKind } from '../moves/weave';
import { WeaveExplanation } from './diagnose';

const NUMBERS = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
] as const;

const runsOf = (places: readonly number[]): readonly (readonly [first: number, last: number])[] => {
  const runs: [number, number][] = [];
  for (const place of places) {
    const run = runs.at(-1);
    if (run?.[1] === place - 1) run[1] = place;
    else runs.push([place, place]);
  }
  return runs;
};

/** `two cards fell together at 14 and 15`. A slip is the place of the later one. */
const sayRun = ([first, last]: readonly [number, number]): string => {
  const count = last - first + 2;
  const where = count === 2 ? `${first - 1} and ${last}` : `${first - 1} to ${last}`;
  return `${NUMBERS[count] ?? count} cards fell together at ${where}`;
};

const listed = (parts: readonly string[]): string =>
  parts.length < 2 ? parts.join('') : `${parts.slice(0, -1).join(', ')} and ${parts[parts.length - 1]}`;

/**
 * One way in which a weave may have gone, as a sentence: `cut at 25; two cards fell together at 14 and 15`.
 *
 * @param intended the weave that was meant.
 */
export const sayExplanation = (
  { cut, began, slips }: Pick<WeaveExplanation, 'cut' | 'began' | 'slips'>,
  intended: WeaveKind,
): string => {
  const other = intended === 'out' ? 'lower' : 'upper';
  const parts = [
    ...(began ? [`it began with the ${other} packet`] : []),
    ...(slips.length > 0 ? [listed(runsOf(slips).map(sayRun))] : []),
  ];
  const how = parts.length > 0 ? parts.join('; ') : `a clean ${intended} weave`;
  return `Cut at ${cut}; ${how}.`;
};

/**
 * Which places the upper packet's cards came to: stripped out and put on top they take the weave back.
 *
 * @param before the pack before the weave.
 * @returns places from 1, in their order.
 */
export const upperPlaces = (
  before: readonly number[],
  { after, cut }: Pick<WeaveExplanation, 'after' | 'cut'>,
): readonly number[] => {
  const upper = new Set(before.slice(0, cut));
  return after.flatMap((card, index) => (upper.has(card) ? [index + 1] : []));
};
