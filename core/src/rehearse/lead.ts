import { narrowest, Stretch } from '../odds/narrowest';
import { NONE } from '../procedure/form';
import { numberOfGivens } from '../procedure/laid';
import { likelihoods } from '../procedure/likely';
import { Procedure, StepOf } from '../procedure/procedure';
import { saidTo } from './says';

type Givens = Procedure['givens'];

/** So many times its width a bell is followed to either side, where what was chosen before decides the range. */
const TAILS = 5;

/**
 * The values that a choice may take, as far as that can be said before anything is chosen: both ends by the givens
 * alone; where an end depends on other choices, as far as a bell about a number reaches.
 *
 * @returns undefined where that cannot be said, or nothing is left.
 */
export const rangeOf = (
  { from, to, likely }: StepOf<'choose'>,
  givens: Givens = {},
): { readonly low: number; readonly high: number } | undefined => {
  const bell = likely && 'around' in likely ? likely : undefined;
  const end = (value: number, sign: 1 | -1): number | undefined => {
    if (value !== NONE) return value;
    return bell && Math.round(bell.around + sign * TAILS * bell.within);
  };
  const low = end(numberOfGivens(from, givens), -1);
  const high = end(numberOfGivens(to, givens), 1);
  return low === undefined || high === undefined || low > high ? undefined : { low, high };
};

/** The chance of each value of a choice by its likelihood, from its least value on. */
const chancesOf = (
  step: StepOf<'choose'>,
  givens: Givens,
): { readonly low: number; readonly chances: Float64Array } | undefined => {
  const range = rangeOf(step, givens);
  const chances = range && likelihoods(step.likely, range.low, range.high);
  return range && chances?.some((chance) => chance > 0) ? { low: range.low, chances } : undefined;
};

/**
 * The range to ask for so that they choose in it with a wanted chance: the narrowest, by the likelihood stated.
 *
 * @param wanted above 0, at most 1.
 */
export const leadTo = (step: StepOf<'choose'>, givens: Givens, wanted: number): Stretch | undefined => {
  const found = chancesOf(step, givens);
  return found && narrowest(found.chances, found.low, wanted);
};

/** The chance that they choose within a range by themselves; undefined where that cannot be said. */
export const chanceWithin = (
  step: StepOf<'choose'>,
  givens: Givens,
  from: number,
  to: number,
): number | undefined => {
  const found = chancesOf(step, givens);
  if (!found) return undefined;
  const within = found.chances.slice(Math.max(0, from - found.low), Math.max(0, to - found.low + 1));
  return Math.min(
    1,
    within.reduce((sum, chance) => sum + chance, 0),
  );
};

/** What to say when a choice is off: the step's own words, or else plain ones. */
export const sayOff = (
  step: StepOf<'choose'>,
  value: number,
  { from, to }: { readonly from: number; readonly to: number },
  audience?: string,
): string => {
  const own = saidTo(value < from ? step['too few'] : step['too many'], audience);
  const plain = from === to ? `Ask for ${from}.` : `Ask again, for ${from} to ${to}.`;
  const off = `${value} is too ${value < from ? 'few' : 'many'}.`;
  return own === undefined ? `${off} ${plain}` : `${off} Say: “${own}”`;
};
