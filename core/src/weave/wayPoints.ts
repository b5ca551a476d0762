import { colourOf, mateOf, suitOf } from '../deck/card';
import { offsetOf } from '../deck/offset';
import { Order } from '../deck/order';

/** How often what follows is another kind, once round the pack. */
const changes = (order: Order, of: (card: number) => unknown): number =>
  order.filter((card, index) => of(card) !== of(order[(index + 1) % order.length])).length;

/**
 * What a narrator can point at in a pack, once round it: the sequence itself, suits or colours apart, mates side by
 * side, colours in turn; the strongest first.
 *
 * @param home the sequence that is looked for.
 */
export const wayPoints = (order: Order, home: Order): readonly string[] => {
  if (order.length < 4) return [];
  const offset = offsetOf(home, order);
  const suits = new Set(order.map(suitOf)).size;
  const colours = new Set(order.map(colourOf)).size;
  const mates = order.map((card, index) => mateOf(card) === order[(index + 1) % order.length]);
  const paired = [0, 1].some((first) => mates.every((is, index) => is || index % 2 !== first));
  return [
    ...(offset === 0 ? ['in sequence'] : offset === undefined ? [] : [`in sequence, cut at ${offset}`]),
    ...(suits > 1 && changes(order, suitOf) === suits ? ['suits apart'] : []),
    ...(colours > 1 && changes(order, colourOf) === colours ? ['colours apart'] : []),
    ...(order.length % 2 === 0 && paired ? ['mates side by side'] : []),
    ...(colours > 1 && changes(order, colourOf) === order.length ? ['colours in turn'] : []),
  ];
};
