import { isCard, Order } from '@enumeron/core/deck';
import { Packet, Scene } from '@enumeron/core/file/rehearse/actOut';

/** A packet as the rail shows it. */
export interface OnRail {
  readonly name: string;
  readonly home: Order;
  readonly now: Order;
  /** The places of cards that lie face up, from 1. */
  readonly faceUp: readonly number[];
}

const isPack = ({ cards }: Packet): boolean =>
  cards.length >= 13 &&
  cards.every(({ card }) => isCard(card)) &&
  new Set(cards.map(({ card }) => card)).size === cards.length;

/** The packet that is a pack at the start, as it lies now; undefined where there is none, or little is left of it. */
export const railOf = (start: Scene, now: Scene): OnRail | undefined => {
  const index = start.packets.findIndex(isPack);
  const packet = now.packets.at(index);
  if (index < 0 || !packet || packet.cards.length < 2) return undefined;
  const order = packet.cards.map(({ card }) => card);
  const home = start.packets[index].cards.map(({ card }) => card).filter((card) => order.includes(card));
  const others = order.filter((card) => !home.includes(card));
  if (new Set(order).size !== order.length || others.some((card) => !isCard(card))) return undefined;
  const faceUp = packet.cards.flatMap((each, place) => (each.faceUp ? [place + 1] : []));
  return { name: packet.name, home: [...home, ...others], now: order, faceUp };
};
