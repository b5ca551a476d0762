import { formatCard } from '../deck/notation';
import { Order } from '../deck/order';
import { LaidPart, Procedure } from '../procedure/procedure';

/** The cards of a packet that is laid card by card, each once; undefined where it has indifferent cards or parts. */
const cardsOf = (row: readonly LaidPart[]): readonly string[] | undefined => {
  const cards = row.filter((part): part is string => typeof part === 'string' && part !== '-');
  return cards.length === row.length && new Set(cards).size === row.length ? cards : undefined;
};

const holdSame = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && a.every((card) => b.includes(card));

/** A procedure with the pack in hand in the place of its own, and whether it has taken that place. */
export interface OnPack {
  readonly procedure: Procedure;
  readonly isInHand: boolean;
}

/**
 * Lays a procedure out with the pack in hand. The procedure's own pack is its largest packet, where each card of it
 * is named and it has as many as the pack in hand; orders of the same cards become the order that is known.
 *
 * @param home the order that is known. @param now the pack as it lies, top first.
 */
export const onPack = (procedure: Procedure, home: Order, now: Order): OnPack => {
  const { packets = {}, orders = {} } = procedure;
  const [largest] = Object.entries(packets).sort(([, a], [, b]) => b.length - a.length);
  const own = (largest as unknown) ? cardsOf(largest[1]) : undefined;
  if (own?.length !== now.length) return { procedure, isInHand: false };
  const known = Object.entries(orders).map(([name, cards]) => [
    name,
    holdSame(cards, own) ? home.map(formatCard) : cards,
  ]);
  return {
    procedure: {
      ...procedure,
      packets: { ...packets, [largest[0]]: now.map(formatCard) },
      ...(procedure.orders && { orders: Object.fromEntries(known) as Procedure['orders'] }),
    },
    isInHand: true,
  };
};
