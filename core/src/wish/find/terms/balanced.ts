import { Term } from '../term';
import { boundsAt, keepBetween } from './sum';

/** The numbers of what lies in each packet add up to about the same: the largest less the smallest is at most `within`. */
export const balanced = (
  packets: readonly (readonly number[])[],
  values: Int16Array,
  within: number,
  key: string,
): Term => ({
  key: `balanced ${key} ${within} ${packets.map((packet) => packet.join(' ')).join(', ')}`,
  places: packets.flat(),
  broken: ({ at }) => {
    let [least, most] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
    for (const packet of packets) {
      let total = 0;
      for (const place of packet) total += values[at[place]];
      if (total < least) least = total;
      if (total > most) most = total;
    }
    const over = most - least - within;
    return over <= 0 ? 0 : 1 + Math.log2(over);
  },
  narrow: (domains) => {
    const bounds = packets.map((packet) => packet.map((place) => boundsAt(domains, place, values)));
    const sums = bounds.map((row) =>
      row.reduce<readonly [number, number]>(([low, high], [a, b]) => [low + a, high + b], [0, 0]),
    );
    // The largest is at least this, the smallest at most that.
    const top = Math.max(...sums.map(([low]) => low));
    const bottom = Math.min(...sums.map(([, high]) => high));
    if (top - bottom > within) return false;
    return packets.every((packet, index) =>
      packet.every((place, at) => {
        const [low, high] = bounds[index][at];
        const [all, most] = sums[index];
        return keepBetween(domains, place, values, top - within - (most - high), bottom + within - (all - low));
      }),
    );
  },
  cost: 2 + packets.flat().length,
});
