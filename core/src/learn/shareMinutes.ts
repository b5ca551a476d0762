/**
 * The minutes of a day among several orders, in whole minutes: to each as much of them as it has due, and at least one
 * where it has anything; together they are the minutes of the day, unless more orders than minutes have something. The
 * first one, which is in hand, has what is left over by rounding, and all of them where nothing is due.
 *
 * @param minutes of the whole day. @param due how many items are due of each order.
 */
export const shareMinutes = (minutes: number, due: readonly number[]): readonly number[] => {
  const all = due.reduce((sum, count) => sum + count, 0);
  if (all === 0) return due.map((_, index) => (index === 0 ? minutes : 0));
  const shares = due.map((count) => (count === 0 ? 0 : Math.max(1, Math.round((minutes * count) / all))));
  for (let over = sumOf(shares) - minutes; over !== 0; over -= Math.sign(over)) {
    const at = toChange(shares, over);
    if (at === undefined) break;
    shares[at] -= Math.sign(over);
  }
  return shares;
};

const sumOf = (numbers: readonly number[]): number => numbers.reduce((sum, each) => sum + each, 0);

/** Which share is a minute less where there are too many: that in hand, else the longest; or a minute more. */
const toChange = (shares: readonly number[], over: number): number | undefined => {
  const least = over > 0 ? 2 : 1;
  if (shares[0] >= least) return 0;
  const longest = Math.max(...shares);
  return longest >= least ? shares.indexOf(longest) : undefined;
};
