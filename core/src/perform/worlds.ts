import { Card, isCard } from '../deck/card';
import { Machine } from '../procedure/machine';
import { MOST_CARDS } from '../procedure/packets';
import { LyingCard } from './state';

/** What lies where at the end of a world of a procedure. */
export interface EndedWorld {
  /** The turn at which it began. */
  readonly start: number;
  /** By packet: its cards, top first; undefined where nobody can know which they are, for they were mixed. */
  readonly packets: readonly (readonly LyingCard[] | undefined)[];
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
export const endedWorld = (machine: Machine, start: number): EndedWorld => ({
  start,
  packets: machine.program.packets.map((_, packet) => lying(machine, packet)),
});

/** What the performer has seen in the world that a machine has just ended. */
export const sightsOf = ({ program, values }: Machine): readonly number[] =>
  program.sights.map((index) => values[index]);

/** What lies where, as a text: equal where all packets have the same cards the same way up. */
export const lieOf = ({ program, table }: Machine): string => {
  const codes = new Uint8Array(program.packets.length * (MOST_CARDS + 1));
  let end = 0;
  for (let packet = 0; packet < program.packets.length; packet++) {
    codes[end] = table.sizes[packet];
    end += 1 + table.write(packet, codes, end + 1);
  }
  return String.fromCharCode(...codes.subarray(0, end));
};
