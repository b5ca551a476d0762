import { Act, ActCost, MEND_COSTS, MendCosts, secondsOf as secondsBy } from '../perform/costs';
import { Night } from './night';
import { Seconds, secondsOf } from './rates';

/** How long an act takes by what was timed. */
export interface ActSeconds extends Seconds {
  readonly act: Act;
  /** Of an act without cards its seconds, of one by the card those of a card; as the table says. */
  readonly stated: number;
  /** How many were timed. */
  readonly n: number;
}

/** What is by the card and has no seconds of its own is told for one card. */
const unit = ({ seconds, perCard }: ActCost): number => (seconds > 0 ? seconds : perCard);

/** By act how much longer it took than the table says, each time: a mend’s time is shared out as the table would. */
const ratiosOf = (nights: readonly Night[]): ReadonlyMap<Act, readonly number[]> => {
  const ratios = new Map<Act, number[]>();
  for (const { done } of nights)
    for (const { mends } of done)
      for (const { acts = [], seconds } of mends) {
        const expected = acts.reduce((sum, part) => sum + secondsBy(part, MEND_COSTS), 0);
        if (expected <= 0) continue;
        for (const { act } of acts) {
          const known = ratios.get(act) ?? [];
          known.push(seconds / expected);
          ratios.set(act, known);
        }
      }
  return ratios;
};

/** How long every act takes: the table’s value counts as five that were timed. */
export const actSeconds = (nights: readonly Night[]): readonly ActSeconds[] => {
  const ratios = ratiosOf(nights);
  return (Object.keys(MEND_COSTS) as Act[]).map((act) => {
    const stated = unit(MEND_COSTS[act]);
    const observed = ratios.get(act) ?? [];
    const found = secondsOf(observed, 1);
    return {
      ...{ act, stated, n: observed.length },
      ...{ seconds: found.seconds * stated, low: found.low * stated, high: found.high * stated },
    };
  });
};

/** So many times as long, in halves of a second: they add up exactly. */
const timesAs = ({ seconds, perCard }: ActCost, ratio: number): ActCost => {
  const halves = (value: number): number =>
    value === 0 ? 0 : Math.max(1, Math.round(2 * value * ratio)) / 2;
  return { seconds: halves(seconds), perCard: halves(perCard) };
};

/** The costs that set lists use: the table, moved as far as was timed. */
export const ownCosts = (seconds: readonly ActSeconds[]): MendCosts =>
  costsBy(
    seconds.filter(({ n }) => n > 0).map(({ act, seconds: took, stated }) => ({ act, ratio: took / stated })),
  );

/** The table, each act so many times as long as is told; what is no act of it is passed over. */
export const costsBy = (ratios: readonly { readonly act: string; readonly ratio: number }[]): MendCosts => {
  const own = { ...MEND_COSTS };
  for (const { act, ratio } of ratios)
    if (Object.hasOwn(own, act)) own[act as Act] = timesAs(own[act as Act], ratio);
  return own;
};
