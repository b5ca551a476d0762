import { median as medianOf } from './median';
import { INTERRUPTED, Pace, PACE } from '../grade';

/** An answer to an item, as far as it is counted: one that was taken back is none. */
export interface Attempt {
  /** As `itemId` writes it. */
  readonly item: string;
  readonly at: number;
  readonly right: boolean;
  readonly answered: string;
  readonly ms: number;
  readonly hinted?: boolean;
  readonly interrupted?: boolean;
  /** How likely the schedule expected it to be right; undefined where the item was not held before. */
  readonly expected?: number;
}

/** Whether the time of an answer says how fast the user knows the item. */
export const tells = ({ right, ms, hinted, interrupted }: Attempt): boolean =>
  right && !hinted && !interrupted && ms <= INTERRUPTED;

/** How one item goes. */
export interface ItemPace {
  readonly answers: number;
  /** The median time of the last five right answers, in milliseconds; undefined where there is none. */
  readonly median: number | undefined;
  /** How many of the last ten answers were wrong. */
  readonly wrong: number;
  /** Whether it is what a stage needs: right the last time, and the median within the fluent time. */
  readonly fluent: boolean;
}

const [LAST_TIMES, LAST_ANSWERS] = [5, 10];

/** How each item goes. @param answers oldest first. */
export const itemPaces = (
  answers: readonly Attempt[],
  { fluent }: Pace = PACE,
): ReadonlyMap<string, ItemPace> => {
  const byItem = new Map<string, Attempt[]>();
  for (const answer of answers) {
    const own = byItem.get(answer.item);
    if (own) own.push(answer);
    else byItem.set(answer.item, [answer]);
  }
  return new Map(
    [...byItem].map(([item, own]) => {
      const times = own.filter(tells).slice(-LAST_TIMES);
      const median = medianOf(times.map(({ ms }) => ms));
      const last = own[own.length - 1];
      return [
        item,
        {
          answers: own.length,
          median,
          wrong: own.slice(-LAST_ANSWERS).filter(({ right }) => !right).length,
          fluent: last.right && median !== undefined && median <= fluent,
        },
      ];
    }),
  );
};
