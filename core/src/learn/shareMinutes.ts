/**
 * The minutes of a day among several orders, in whole minutes: to each as much of them as it has due, and at least one
 * where it has anything. The first one, which is in hand, has the rest, and all of them where nothing is due.
 *
 * @param minutes of the whole day. @param due how many items are due of each order.
 */
export const shareMinutes = (minutes: number, due: readonly number[]): readonly number[] => {
  const all = due.reduce((sum, count) => sum + count, 0);
  if (all === 0) return due.map((_, index) => (index === 0 ? minutes : 0));
  const others = due
    .slice(1)
    .map((count) => (count === 0 ? 0 : Math.max(1, Math.round((minutes * count) / all))));
  const left = minutes - others.reduce((sum, count) => sum + count, 0);
  return [Math.max(1, left), ...others];
};
