import { Order } from '../../deck/order';
import { Direction, Item, itemsOf, parseItem, truthOf } from '../item';
import { showSaid } from '../said';
import { Attempt } from './attempt';

/** Two items that were taken for each other. */
export interface Confusion {
  readonly item: Item;
  /** The item that the wrong answer is right for. */
  readonly other: Item;
  readonly count: number;
}

/** Without the sign of a second copy: the two copies of a card look the same. */
const plain = (text: string): string => text.replaceAll('²', '');

/**
 * Which items were taken for each other, whichever of the two was asked, the most often first. Answers that are right
 * for nothing in the order, and items that it has no longer, are left out.
 */
export const confusions = (answers: readonly Attempt[], order: Order): readonly Confusion[] => {
  const answering = new Map<Direction, ReadonlyMap<string, Item>>();
  const itemFor = ({ direction }: Item, answered: string): Item | undefined => {
    const known =
      answering.get(direction) ??
      new Map(itemsOf(order, [direction]).map((item) => [plain(showSaid(truthOf(item, order))), item]));
    answering.set(direction, known);
    return known.get(plain(answered));
  };
  const pairs = new Map<string, Confusion>();
  for (const { right, item: id, answered } of answers) {
    if (right) continue;
    const item = parseItem(id);
    const other = item && order.includes(item.card) ? itemFor(item, answered) : undefined;
    if (!item || !other || other.card === item.card) continue;
    const key = `${item.direction} ${[item.card, other.card].sort((a, b) => a - b).join()}`;
    const known = pairs.get(key);
    pairs.set(key, known ? { ...known, count: known.count + 1 } : { item, other, count: 1 });
  }
  return [...pairs.values()].sort((a, b) => b.count - a.count);
};
