import { Answer, narrowed } from './solve';
import { Compiled, termsOf } from './lists';

/** Wishes that cannot live together, by their indices. */
export interface Conflict {
  readonly wishes: readonly number[];
  readonly how: 'counted' | 'searched through';
  /** By wish of the conflict: a laying in which the others hold; undefined where none was found. */
  readonly without: readonly (Uint8Array | undefined)[];
}

/** Looks for a laying in which these wishes hold. */
export type Seek<Progress> = (wishes: readonly number[]) => Generator<Progress, Answer, undefined>;

const less = (wishes: readonly number[], wish: number): readonly number[] =>
  wishes.filter((each) => each !== wish);

/** Whether it is seen at once, without a search, that some wishes cannot live together. */
export const isCounted = (list: Compiled, wishes: readonly number[]): boolean =>
  narrowed(
    list.faces,
    termsOf(list, wishes).filter(({ dear }) => !dear),
  ) === undefined;

/** A wish alone, or two, that are seen at once not to live together; undefined where there are none. */
export const countedAtOnce = (list: Compiled, wishes: readonly number[]): readonly number[] | undefined => {
  const one = wishes.find((wish) => isCounted(list, [wish]));
  if (one !== undefined) return [one];
  for (const [index, a] of wishes.entries())
    for (const b of wishes.slice(index + 1)) if (isCounted(list, [a, b])) return [a, b];
  return undefined;
};

/** Fewer wishes that are seen at once not to live together: one is left out at a time. */
const fewerCounted = (list: Compiled, wishes: readonly number[]): readonly number[] =>
  wishes.reduce<readonly number[]>((left, wish) => {
    const fewer = less(left, wish);
    return isCounted(list, fewer) ? fewer : left;
  }, wishes);

/**
 * The fewest of some wishes that cannot live together: one after the other is left out for good where the others still
 * cannot.
 *
 * @param wishes of which it was proved that they cannot.
 */
export function* smallest<Progress>(
  list: Compiled,
  wishes: readonly number[],
  seek: Seek<Progress>,
): Generator<Progress, Conflict, undefined> {
  const counted = isCounted(list, wishes);
  let left = (counted ? countedAtOnce(list, wishes) : undefined) ?? wishes;
  if (counted && left === wishes) left = fewerCounted(list, wishes);
  const without = new Map<number, Uint8Array>();
  for (const wish of left) {
    if (!left.includes(wish)) continue;
    const answer = yield* seek(less(left, wish));
    if (answer.end === 'none') left = less(left, wish);
    else if (answer.end === 'laid') without.set(wish, answer.at);
  }
  return {
    wishes: left,
    how: isCounted(list, left) ? 'counted' : 'searched through',
    without: left.map((wish) => without.get(wish)),
  };
}
