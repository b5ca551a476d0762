import { formatCard, parseCard } from '../deck/notation';
import { Card } from '../deck/card';
import { Order } from '../deck/order';
import { LaidPart, Procedure } from '../procedure/procedure';

type Laid = Readonly<Record<string, readonly LaidPart[]>>;

/** Cards in a sequence that is the same for whatever order they lie in. */
const sorted = (cards: readonly string[]): string => [...cards].sort().join(' ');

const areCards = (row: readonly LaidPart[]): row is readonly string[] =>
  row.every((part) => typeof part === 'string');

/**
 * A procedure with an order in the place of its own: of each packet that is laid card by card with just these cards, and
 * of each order of them that stack numbers are told by.
 *
 * @param order top card first.
 * @returns undefined where the procedure lays no such packet and knows no such order.
 */
export const withOrder = (procedure: Procedure, order: Order): Procedure | undefined => {
  const cards = order.map(formatCard);
  const same = sorted(cards);
  const isSame = (row: readonly LaidPart[]): boolean =>
    row.length === cards.length && areCards(row) && sorted(row) === same;
  const laid = <Rows extends Laid>(rows: Rows | undefined): Rows | undefined =>
    rows &&
    (Object.fromEntries(
      Object.entries(rows).map(([name, row]) => [name, isSame(row) ? cards : row]),
    ) as unknown as Rows);
  const { packets = {}, orders = {} } = procedure;
  if (![...Object.values(packets), ...Object.values(orders)].some(isSame)) return undefined;
  return {
    ...procedure,
    ...(procedure.packets && { packets: laid(procedure.packets) }),
    ...(procedure.orders && { orders: laid(procedure.orders) }),
  };
};

const isCardForm = (value: unknown): value is { readonly card: string } =>
  typeof value === 'object' && value !== null && 'card' in value && typeof value.card === 'string';

const cardsIn = (value: unknown): readonly string[] => {
  if (typeof value !== 'object' || value === null) return [];
  return [...(isCardForm(value) ? [value.card] : []), ...Object.values(value).flatMap(cardsIn)];
};

/** The cards that the steps name themselves, each once: whatever order it is done with, those stay as they are written. */
export const cardsNamed = ({ steps }: Procedure): readonly Card[] =>
  [...new Set(cardsIn(steps))].flatMap((name) => parseCard(name) ?? []);
