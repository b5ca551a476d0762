import { Bank } from '../../deck/bank';
import { Card } from '../../deck/card';
import { mod } from '../../deck/mod';
import { Order, placeOf } from '../../deck/order';

/** A bank as it lies in a pack, which may be turned: its cards in the order in which they follow each other. */
export interface BankInPack {
  readonly cards: readonly Card[];
  /** The place of the first of them, from 1; the others follow, round the end of the pack where it wraps. */
  readonly from: number;
  /** Whether it goes on at the top of the pack. */
  readonly wraps: boolean;
}

/**
 * Where a bank lies now. Its home places say nothing of a pack that was cut.
 *
 * @returns undefined when its cards are not there, or other cards lie between them.
 */
export const bankInPack = (now: Order, { cards }: Bank): BankInPack | undefined => {
  const places = cards.flatMap((card) => placeOf(now, card) ?? []).sort((a, b) => a - b);
  if (places.length === 0) return undefined;
  const begins = places.filter((place, index) => {
    const before = places[mod(index - 1, places.length)];
    return mod(place - before, now.length) !== 1;
  });
  if (begins.length > 1) return undefined;
  const from = begins.at(0) ?? 1;
  const inTurn = places.map((_, index) => now[mod(from - 1 + index, now.length)]);
  return { cards: inTurn, from, wraps: from + places.length - 1 > now.length };
};

export const bankPlaces = ({ cards, from }: BankInPack, size: number): number[] =>
  cards.map((_, index) => mod(from - 1 + index, size) + 1);
