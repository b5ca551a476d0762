import type { Card } from '../deck/card';
import { cardNamed } from './laid';
import type { Condition, Expression, Step } from './procedure';
import { Table } from './table';

/** That one of these cards must lie in a packet, so far behind the chosen place. */
export interface Lookahead {
  readonly packet: number;
  readonly plus: number;
  readonly cards: readonly Card[];
  /** Whether one of them lies on the table only once, and the others not at all. */
  readonly once: boolean;
}

/**
 * The card that a `require` right behind a choice wants at the chosen place, so that it is looked up there.
 *
 * @param name what is chosen. @param start what lies in each packet at first, top card first.
 */
export const lookaheadOf = (
  name: string,
  next: Step | undefined,
  packets: readonly string[],
  start: readonly (readonly Card[])[],
): Lookahead | undefined => {
  if (next?.do !== 'require') return undefined;
  const that = next.that as { any?: readonly Condition[]; equal?: readonly Expression[] };
  const wanted = (that.any ?? [next.that]).map((each) => cardWanted(name, each, packets));
  const [first] = wanted;
  if (!first || !wanted.every((each) => each?.plus === first.plus && each.packet === first.packet))
    return undefined;
  // No other card comes to lie on the table than lay there.
  const wish = new Set(wanted.flatMap((each) => each?.cards ?? []));
  const there = start.flat().filter((card) => wish.has(card));
  return { ...first, cards: [...new Set(there)], once: there.length === 1 };
};

/** Reads `equal: [card at (name, or name and so many), card]`. */
const cardWanted = (name: string, that: Condition, packets: readonly string[]): Lookahead | undefined => {
  const [seen, card] = (that as { equal?: readonly Readonly<Record<string, unknown>>[] }).equal ?? [];
  const named = (card as { card?: string } | undefined)?.card;
  if (typeof seen !== 'object' || named === undefined || !('card at' in seen)) return undefined;
  const wanted = cardNamed(named);
  if (wanted === undefined) return undefined;
  const at = seen['card at'];
  const sum = typeof at === 'object' ? (at as { sum?: readonly unknown[] }).sum : undefined;
  const [base, plus] = sum?.length === 2 ? sum : [at, 0];
  if (base !== name || typeof plus !== 'number') return undefined;
  return {
    packet: packets.indexOf(seen['of'] as string),
    plus,
    cards: [wanted],
    once: false,
  };
};

/** The first value from `low` up to `high` at whose place one of the cards lies; above `high` where there is none. */
export const nextKept = (
  { packet, plus, cards }: Lookahead,
  table: Table,
  low: number,
  high: number,
): number => {
  let next = high + 1;
  for (const card of cards) {
    const place = table.placeOf(packet, card, low + plus);
    if (place > 0 && place - plus < next) next = Math.max(low, place - plus);
  }
  return next;
};
