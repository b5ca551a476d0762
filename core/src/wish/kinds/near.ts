import { LARGEST_PACK } from '../../deck/card';
import { shouldBe } from '../../deck/shape';
import { countOf } from '../../deck/countOf';
import { lookNamed } from '../cardClass';
import { lookIn } from '../cases';
import { faceBits } from '../find/sites';
import { count } from '../find/terms/count';
import { WishKind, wrong } from '../kind';
import { number, Slot, CARD_SLOT } from '../slots';

/** An order in which some places may hold any card. */
const ORDER: Slot = {
  kind: 'other',
  part: (value, fields) => {
    if (!Array.isArray(value)) return shouldBe(value, 'a list of cards');
    const bad = (value as readonly unknown[]).find(
      (card) => card !== null && CARD_SLOT.part(card, fields) !== undefined,
    );
    return bad === undefined ? undefined : CARD_SLOT.part(bad, fields);
  },
  say: (value) =>
    (value as readonly (string | null)[])
      .slice(0, 3)
      .map((card) => (card === null ? 'any card' : CARD_SLOT.say(card)))
      .join(' '),
};

/** At most so many places look different from an order. */
export const NEAR: WishKind<'near'> = {
  begins: 'near an order',
  says: () => 'At most {most} places differ from the order {order} …',
  fields: { order: ORDER, most: number(0, LARGEST_PACK) },
  begin: { kind: 'near', order: [], most: 5 },
  whyNot: ({ order }, size) =>
    order.length === size
      ? undefined
      : wrong(
          `The order has ${countOf(order.length, 'place')}, the pack ${countOf(size, 'card')}.`,
          'Write one for each card.',
        ),
  cases: (laid, { order, most }) => {
    const other = order.flatMap((card, index) =>
      card !== null && lookIn(laid, index) !== lookNamed(card) ? [index + 1] : [],
    );
    return [{ ok: other.length <= most, says: `${countOf(other.length, 'place')} differ`, places: other }];
  },
  terms: ({ order, most }, site) => {
    const told = order.flatMap((card, index) =>
      card === null || index >= site.view.length
        ? []
        : [[site.view[index], faceBits(site, lookNamed(card))] as const],
    );
    return told.length === 0 ? [] : [count(told, told.length - most, told.length)];
  },
};
