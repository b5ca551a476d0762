import { Card, isCard } from '../deck/card';
import { Machine } from '../procedure/machine';
import { LyingCard } from './state';

/** A world of a procedure at its end: what lies in each packet, top first, and what the performer has seen. */
export interface EndedWorld {
  readonly isOut: boolean;
  /** The turn at which it began. */
  readonly start: number;
  /** By packet: its cards; undefined where nobody can know which they are, for they were mixed. */
  readonly packets: readonly (readonly LyingCard[] | undefined)[];
  readonly sights: readonly number[];
}

/** What lies in a packet. An indifferent card is a stranger: it is told as no card of any pack. */
const lying = ({ table }: Machine, packet: number): readonly LyingCard[] | undefined => {
  const cards: LyingCard[] = [];
  for (let place = 1; place <= table.sizes[packet]; place++) {
    const card: Card = table.cardAt(packet, place);
    if (!isCard(card) && card !== STRANGER) return undefined;
    cards.push({ card, faceUp: table.isFaceUp(packet, place) });
  }
  return cards;
};

/** How a packet has an indifferent card. */
const STRANGER: Card = 127;

/** The world that a machine has just ended. */
export const endedWorld = (machine: Machine, isOut: boolean, start: number): EndedWorld => ({
  isOut,
  start,
  packets: machine.program.packets.map((_, packet) => lying(machine, packet)),
  sights: machine.program.sights.map((index) => machine.values[index]),
});
