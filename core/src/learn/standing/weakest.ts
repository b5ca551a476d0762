import { Item, itemId } from '../item';
import { Memories } from '../plan';
import { Schedule } from '../schedule';
import { ItemPace } from './attempt';

/** An item that is not answered, or was never in time, counts as being so slow, in milliseconds. */
const SLOWEST = 6000;

/**
 * The items that are known worst, of those that were begun: slow or wrong lately, or faded. Each tenth answer that was
 * wrong counts as much as a second, and so does each tenth part that the schedule thinks forgotten.
 *
 * @param now milliseconds since 1970.
 */
export const weakest = (
  items: readonly Item[],
  paces: ReadonlyMap<string, ItemPace>,
  { memories, schedule, now }: { memories: Memories; schedule: Schedule; now: number },
  count = 10,
): readonly Item[] =>
  items
    .flatMap((item) => {
      const [memory, pace] = [memories.get(itemId(item)), paces.get(itemId(item))];
      if (!memory) return [];
      const slow = Math.min(SLOWEST, pace?.median ?? SLOWEST) / 1000;
      const faded = 10 * (1 - schedule.recall(memory, Math.max(now, memory.last ?? 0)));
      return [{ item, weakness: slow + (pace?.wrong ?? 0) + faded }];
    })
    .sort((a, b) => b.weakness - a.weakness)
    .slice(0, count)
    .map(({ item }) => item);
