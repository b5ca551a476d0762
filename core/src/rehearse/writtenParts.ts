import { Problem } from '../deck/problem';
import { showValue } from '../deck/shape';
import { hasInvisible } from '../formats/name';
import { LARGEST } from '../procedure/form';
import { cardNamed } from '../procedure/laid';

/** A file is no deeper and has no more parts than a person would write. */
const DEEPEST = 60;
const MOST_PARTS = 50_000;
export const LONGEST_NAME = 60;
/** More steps than anybody writes, those inside others too: with more the page would no longer keep up. */
export const MOST_STEPS = 1000;

export type Fields = Readonly<Record<string, unknown>>;
export type Found = Omit<Problem, 'where'>;

export const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
export const isName = (value: unknown): value is string =>
  typeof value === 'string' && value.trim() !== '' && value.length <= LONGEST_NAME && !hasInvisible(value);
export const isWhole = (value: unknown): value is number =>
  typeof value === 'number' && Number.isInteger(value) && Math.abs(value) <= LARGEST;
export const isWeight = (value: unknown): value is number =>
  typeof value === 'number' && Number.isFinite(value) && value >= 0;

export const found = (what: string, remedy: string): Found => ({ what, remedy });
export const missing = (field: string, remedy: string): Found =>
  found(`“${field}” is missing or is not right.`, remedy);

export const noCard = (value: unknown): string =>
  typeof value === 'string'
    ? `“${value.slice(0, LONGEST_NAME)}” is no card.`
    : `This is ${showValue(value)}, and no card.`;
export const isText = (value: unknown): value is string => typeof value === 'string';
export const isCardName = (value: unknown): boolean =>
  typeof value === 'string' && cardNamed(value) !== undefined;
export const isLikely = (value: unknown): boolean => {
  if (!isFields(value)) return false;
  const { around, within, table } = value;
  if (table !== undefined)
    return (
      isFields(table) &&
      Object.entries(table).every(([key, weight]) => /^-?\d+$/.test(key) && isWeight(weight))
    );
  return Number.isFinite(around) && isWeight(within) && within > 0;
};

/** How many steps there are in a list of them, and in all that they hold. */
export const countSteps = (value: unknown): number => {
  if (!Array.isArray(value)) return 0;
  return value.reduce<number>((sum, step: unknown) => {
    if (!isFields(step)) return sum + 1;
    const options = Array.isArray(step['of']) ? (step['of'] as unknown[]) : [];
    const inside = [
      ...[step['then'], step['otherwise'], step['steps']],
      ...options.map((option) => (isFields(option) ? option['steps'] : [])),
    ];
    return sum + 1 + inside.reduce<number>((total, each) => total + countSteps(each), 0);
  }, 0);
};

export const isTooLarge = (value: unknown): boolean => {
  let parts = 0;
  const goesTooFar = (each: unknown, depth: number): boolean =>
    typeof each === 'object' &&
    each !== null &&
    (depth > DEEPEST ||
      Object.values(each).some((inner) => ++parts > MOST_PARTS || goesTooFar(inner, depth + 1)));
  return goesTooFar(value, 0);
};
