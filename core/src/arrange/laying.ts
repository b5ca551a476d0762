import { Card, mateOf, rankOf } from '../deck/card';
import { showRank } from '../deck/notation';
import { Order } from '../deck/order';
import { countOfCards } from '../moves/wording';
import { Bank } from '../deck/bank';

/**
 * What an order leaves free: in mirrored halves any card may come first as long as its mate stands opposite;
 * with a bank the other cards may lie anywhere, and in a loose bank so may the cards of a group.
 */
export type Freedom =
  { readonly kind: 'mirrored halves' | 'palindrome' } | { readonly kind: 'bank'; readonly bank: Bank };

/** The heaps of a laying, each face down and top first. */
export type Heaps = readonly (readonly Card[])[];

/** Where a card goes: which heap (index from 0), and under how many of its cards. */
export interface Laid {
  readonly heap: number;
  readonly under: number;
}

/** How a freedom is laid out: its heaps' names, where each card goes, and how the heaps are gathered. */
interface Laying {
  readonly names: readonly string[];
  place(heaps: Heaps, card: Card): Laid;
  gather(heaps: Heaps): { readonly order: Order; readonly says: string };
}

/** Cards of the heap that must lie above a card. */
const above = (heap: readonly Card[], before: (other: Card) => boolean): number => heap.filter(before).length;

const matesLaying = (mirrored: boolean): Laying => ({
  names: ['A', 'B'],
  place: ([a, b], card) => {
    const depth = a.indexOf(mateOf(card));
    if (depth < 0) return { heap: 0, under: 0 };
    const opposite = (other: Card): number => a.indexOf(mateOf(other));
    return {
      heap: 1,
      under: above(b, (other) => (mirrored ? opposite(other) > depth : opposite(other) < depth)),
    };
  },
  gather: ([a, b]) => ({ order: [...a, ...b], says: 'Put heap A on heap B.' }),
});

/** A bank's cards split where the rank changes. */
const groupsOf = ({ cards: bank }: Bank): Card[][] =>
  bank.reduce<Card[][]>((groups, card) => {
    const last = groups.at(-1);
    return last && rankOf(last[0]) === rankOf(card)
      ? [...groups.slice(0, -1), [...last, card]]
      : [...groups, [card]];
  }, []);

/** The bank's places as runs without a gap: the first place and how many. */
const runsOf = (places: readonly number[]): { first: number; count: number }[] =>
  places.reduce<{ first: number; count: number }[]>((runs, place) => {
    const last = runs.at(-1);
    return last && last.first + last.count === place
      ? [...runs.slice(0, -1), { ...last, count: last.count + 1 }]
      : [...runs, { first: place, count: 1 }];
  }, []);

const sayBankGather = (bank: Bank, heaps: Heaps): string => {
  const rest = heaps[heaps.length - 1].length;
  const runs = runsOf(bank.places);
  const size = rest + bank.cards.length;
  const gathered = heaps.length > 2 ? 'Put the groups together, the first on top: that is the bank. ' : '';
  if (runs.length > 1)
    return `${gathered}Put the bank’s cards among the rest, top first, at places ${bank.places.join(', ')}.`;
  const [{ first, count }] = runs;
  const below = size - (first + count - 1);
  return (
    gathered +
    (first === 1
      ? 'Put the bank on the rest.'
      : below === 0
        ? 'Put the rest on the bank.'
        : `Put the bank under the top ${countOfCards(first - 1)} of the rest, so that ${below} are below it.`)
  );
};

const bankLaying = (bank: Bank): Laying => {
  const groups = bank.loose ? groupsOf(bank) : [[...bank.cards]];
  const names = bank.loose ? groups.map(([card]) => groupName(card)) : ['bank'];
  return {
    names: [...names, 'rest'],
    place: (heaps, card) => {
      const heap = groups.findIndex((group) => group.includes(card));
      if (heap < 0) return { heap: groups.length, under: 0 };
      if (bank.loose) return { heap, under: 0 };
      const index = bank.cards.indexOf(card);
      return { heap, under: above(heaps[heap], (other) => bank.cards.indexOf(other) < index) };
    },
    gather: (heaps) => {
      const laid = heaps.slice(0, -1).flat();
      const rest = heaps[heaps.length - 1][Symbol.iterator]();
      const at = new Map(bank.places.map((place, index) => [place, laid[index]]));
      const size = heaps.flat().length;
      return {
        order: Array.from({ length: size }, (_, index) => at.get(index + 1) ?? (rest.next().value as Card)),
        says: sayBankGather(bank, heaps),
      };
    },
  };
};

const groupName = (card: Card): string => {
  const rank = rankOf(card);
  return rank === undefined ? 'jokers' : `${showRank(rank)}s`;
};

const layingOf = (freedom: Freedom): Laying =>
  freedom.kind === 'bank' ? bankLaying(freedom.bank) : matesLaying(freedom.kind === 'palindrome');

export const heapNames = (freedom: Freedom): readonly string[] => layingOf(freedom).names;

/** Where the next card goes when the cards so far lie in `heaps`. */
export const layCard = (freedom: Freedom, heaps: Heaps, card: Card): Laid =>
  layingOf(freedom).place(heaps, card);

/** The heaps once these cards have been turned over, one by one from the top of a shuffled pack. */
export const layAll = (freedom: Freedom, shown: Order): Heaps => {
  const laying = layingOf(freedom);
  return shown.reduce<Heaps>(
    (heaps, card) => {
      const { heap, under } = laying.place(heaps, card);
      return heaps.map((each, index) =>
        index === heap ? [...each.slice(0, under), card, ...each.slice(under)] : each,
      );
    },
    laying.names.map(() => []),
  );
};

/** The pack that the heaps make once all its cards are laid, and how a person gathers them. */
export const gatherHeaps = (
  freedom: Freedom,
  heaps: Heaps,
): { readonly order: Order; readonly says: string } => layingOf(freedom).gather(heaps);

/** Whether a pack has all that the freedom asks for: every card's mate, or every card of the bank. */
export const freedomFits = (freedom: Freedom, pack: Order): boolean =>
  freedom.kind === 'bank'
    ? freedom.bank.cards.every((card) => pack.includes(card))
    : pack.every((card) => pack.includes(mateOf(card)));
