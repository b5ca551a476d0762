import { Injector } from '@angular/core';
import { applyMove } from '@enumeron/core/file/moves/move';
import { cutBetween, formatCard, parseCard, parsePart, placeOf, sameOrder } from '@enumeron/core/deck';
import { formatOrder } from '@enumeron/core/file/deck/orderText';
import { nameProblem } from '@enumeron/core/file/formats/name';
import { TIDEMARK } from '../orders/tidemark';
import { PackRow } from './pack.kind';
import { PackStore } from './pack.store';

/** The pack as an address has it: the card at its face or on top in the query; another order than the sample packed. */

type Query = readonly (readonly [name: string, value: string])[];

const isTidemark = ({ home }: PackRow): boolean => sameOrder(home, TIDEMARK.cards);

/** @returns what stands in the query, and what is packed where the sample’s order does not say it. */
export const packShared = (injector: Injector): { readonly query: Query; readonly packed?: string } => {
  const store = injector.get(PackStore);
  const pack = store.pack();
  const turn = store.offset();
  const face = formatCard(pack.now[pack.now.length - 1]);
  const query: Query = pack.seen
    ? [[pack.seen.at, formatCard(pack.seen.card)]]
    : turn === undefined || turn === 0
      ? []
      : [['face', face]];
  if (isTidemark(pack) && turn !== undefined) return { query };
  const { name, home, now } = pack;
  return {
    query: turn === undefined ? [] : query,
    packed: JSON.stringify({
      format: 'enumeron-pack',
      name,
      cards: formatOrder(home),
      ...(turn === undefined && { now: formatOrder(now) }),
    }),
  };
};

/** The order that is packed, and how it lies; the sample’s where none is. Undefined where it cannot be read. */
const laid = (packed: string | undefined): PackRow | undefined => {
  const own = { id: 'pack' as const, orderId: TIDEMARK.id, name: TIDEMARK.name };
  if (packed === undefined) return { ...own, home: TIDEMARK.cards, now: TIDEMARK.cards };
  try {
    const value = JSON.parse(packed) as Readonly<Record<string, unknown>>;
    const { format, name, cards, now = cards } = value;
    if (format !== 'enumeron-pack' || typeof name !== 'string' || nameProblem(name) !== undefined)
      return undefined;
    const [home, lies] = [parsePart(String(cards)), parsePart(String(now))];
    const isSame =
      home.ok &&
      lies.ok &&
      home.order.length === lies.order.length &&
      lies.order.every((card) => home.order.includes(card));
    return isSame ? { id: 'pack', orderId: 'shared', name, home: home.order, now: lies.order } : undefined;
  } catch {
    return undefined;
  }
};

/** The pack that an address brings, cut as its query says; undefined where it cannot be read. */
export const packOf = (query: URLSearchParams, packed: string | undefined): PackRow | undefined => {
  const pack = laid(packed);
  if (!pack) return undefined;
  for (const at of ['face', 'top'] as const) {
    const card = parseCard(query.get(at) ?? '');
    const place = card === undefined ? undefined : placeOf(pack.now, card);
    if (card === undefined || place === undefined) continue;
    const count = cutBetween(place, at === 'face' ? pack.now.length : 1, pack.now.length);
    return { ...pack, now: applyMove(pack.now, { kind: 'cut', count }), seen: { at, card } };
  }
  return pack;
};
