import { Card } from '../deck/card';

/** How many cards a packet has room for: a power of two, so that a packet's first card is found by a shift. */
const SHIFT = 6;
/** Set on a card that lies face up. */
export const FACE_UP = 128;

/**
 * One state of the table: its packets and the numbers that were chosen or seen so far. All three arrays lie in
 * one buffer, so that a state is copied at a stroke; a packet's cards begin at its index times 64, top first.
 */
export interface World {
  readonly bytes: Uint8Array;
  readonly cards: Uint8Array;
  readonly sizes: Uint8Array;
  readonly values: Int16Array;
}

export const emptyWorld = (packets: number, values: number): World => {
  const cards = packets << SHIFT;
  const buffer = new ArrayBuffer(cards + 2 * values + packets);
  return {
    bytes: new Uint8Array(buffer),
    cards: new Uint8Array(buffer, 0, cards),
    values: new Int16Array(buffer, cards, values),
    sizes: new Uint8Array(buffer, cards + 2 * values, packets),
  };
};

export const copyWorld = (from: World, to: World): void => to.bytes.set(from.bytes);

/** Where a packet's top card is in `cards`. */
export const baseOf = (packet: number): number => packet << SHIFT;

/** The card at a place (from 1) of a packet, whichever side it shows. */
export const cardInWorld = ({ cards }: World, packet: number, place: number): Card =>
  cards[baseOf(packet) + place - 1] & ~FACE_UP;

/** How many cards of a packet lie face up. */
export const faceUpIn = ({ cards, sizes }: World, packet: number): number => {
  let count = 0;
  for (let at = baseOf(packet); at < baseOf(packet) + sizes[packet]; at++) if (cards[at] & FACE_UP) count++;
  return count;
};

/** A packet as an order, top first. */
export const packetInWorld = (world: World, packet: number): Card[] =>
  Array.from({ length: world.sizes[packet] }, (_, index) => cardInWorld(world, packet, index + 1));
