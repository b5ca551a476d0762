import { Term } from '../term';
import { boundsAt, keepBetween } from './sum';

/** From what to what the number of each packet goes. */
export type Between = readonly [least: number, most: number];

/**
 * Where the packets are the whole pack: the smallest of them has at most their mean, and all others at most `within` more.
 *
 * @param total what all cards make together.
 */
export const eachBetween = (total: number, parts: number, within: number): Between => [
  Math.ceil((total - (parts - 1) * within) / parts),
  Math.floor(total / parts) + within,
];

/**
 * The numbers of what lies in each packet add up to about the same: the largest less the smallest is at most `within`.
 *
 * @param each from what to what the number of each packet goes, as far as that is known.
 */
export const balanced = (
  packets: readonly (readonly number[])[],
  values: Int16Array,
  within: number,
  key: string,
  [least, most]: Between = [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY],
): Term => ({
  key: `balanced ${key} ${within} ${packets.map((packet) => packet.join(' ')).join(', ')}`,
  places: packets.flat(),
  broken: ({ at }) => {
    let [low, high] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
    for (const packet of packets) {
      let total = 0;
      for (const place of packet) total += values[at[place]];
      if (total < low) low = total;
      if (total > high) high = total;
    }
    const over = high - low - within;
    return over <= 0 ? 0 : 1 + Math.log2(over);
  },
  narrow: (domains) => {
    const bounds = packets.map((packet) => packet.map((place) => boundsAt(domains, place, values)));
    const sums = bounds.map((row) =>
      row.reduce<readonly [number, number]>(([low, high], [a, b]) => [low + a, high + b], [0, 0]),
    );
    // The largest is at least this, the smallest at most that.
    const top = Math.max(...sums.map(([low]) => low), least);
    const bottom = Math.min(...sums.map(([, high]) => high), most);
    if (top - bottom > within || sums.some(([low, high]) => low > most || high < least)) return false;
    return packets.every((packet, index) =>
      packet.every((place, at) => {
        const [low, high] = bounds[index][at];
        const [all, full] = sums[index];
        return keepBetween(
          domains,
          place,
          values,
          Math.max(top - within, least) - (full - high),
          Math.min(bottom + within, most) - (all - low),
        );
      }),
    );
  },
  cost: 2 + packets.flat().length,
});
