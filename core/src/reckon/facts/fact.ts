import { Card, LARGEST_PACK, Rank } from '../../deck/card';
import { showCard, showRank, speakRank } from '../../deck/notation';
import { countOfCards } from '../../moves/wording';
import { Outcome } from '../../deck/problem';
import { CARD, kindOf, listOf, oneOf, optional, Part, readBy, ShapesOf, whole } from '../../deck/shape';
import { MOST_HEAPS } from '../../moves/counts';
import { GATHER } from '../../moves/dealHeaps';

/**
 * Something that happened to the pack or was seen of it, in the order in which it was told. The pack is the one
 * on the rail until a fact says that it was cut, dealt or robbed of cards.
 */
export type Fact =
  /** The pack was cut and completed, nobody knows where. */
  | { readonly kind: 'cut' }
  /** A card seen at the face, on top, or at a place from 1. */
  | { readonly kind: 'seen'; readonly at: 'face' | 'top' | number; readonly card: Card }
  /** A packet was lifted and put back; its face was seen, or its size counted to a range, or both. */
  | { readonly kind: 'lift'; readonly face?: Card; readonly size?: readonly [from: number, to: number] }
  /** Two cuts, the second deeper; the card seen at each, the last one of its packet. Put back as it was. */
  | { readonly kind: 'cuts'; readonly first: Card; readonly second: Card }
  /** At a cut, the ranks of the two cards that came next. Put back as it was. */
  | { readonly kind: 'next ranks'; readonly first: Rank; readonly second: Rank }
  /** So many cards were dealt singly and dropped back on top. */
  | { readonly kind: 'dealt'; readonly count: number }
  /** So many cards were taken out from anywhere, unseen. */
  | { readonly kind: 'taken'; readonly count: 1 | 2 }
  /** A known card was taken out. */
  | { readonly kind: 'missing'; readonly card: Card }
  /** So many cards were taken out together; the cards on both sides of the gap were seen. */
  | { readonly kind: 'gap'; readonly above: Card; readonly below: Card; readonly count: number }
  /** A row of cards seen side by side, somewhere in the pack. */
  | { readonly kind: 'row'; readonly cards: readonly Card[] }
  /** One card of this rank was taken out: its group is short. */
  | { readonly kind: 'short group'; readonly rank: Rank }
  /**
   * A card was thought of; the pack was dealt round into heaps, and it fell to this one (from 1). Told again it is
   * the same card. `gather` tells in which order the heaps were put together, from the top down; without it the
   * pack is put back as it was.
   */
  | {
      readonly kind: 'heap';
      readonly heaps: number;
      readonly heap: number;
      readonly gather?: readonly number[];
    };

/** A fact as a sentence without its full stop. */
export const describeFact = (fact: Fact): string => {
  switch (fact.kind) {
    case 'cut':
      return 'Cut somewhere';
    case 'seen':
      return `${showCard(fact.card)} ${fact.at === 'face' ? 'at the face' : fact.at === 'top' ? 'on top' : `at ${fact.at}`}`;
    case 'lift':
      return [
        'A packet lifted',
        ...(fact.face === undefined ? [] : [`${showCard(fact.face)} at its face`]),
        ...(fact.size
          ? [fact.size[0] === fact.size[1] ? countOfCards(fact.size[0]) : `${fact.size.join(' to ')} cards`]
          : []),
        'put back as it was',
      ].join(', ');
    case 'cuts':
      return `Two cuts, ${showCard(fact.first)} then deeper ${showCard(fact.second)}, put back as they were`;
    case 'next ranks':
      return `A cut, then ${showRank(fact.first)} and ${showRank(fact.second)} next, put back as it was`;
    case 'dealt':
      return `${countOfCards(fact.count)} dealt and dropped back`;
    case 'taken':
      return `${countOfCards(fact.count)} taken out unseen`;
    case 'missing':
      return `${showCard(fact.card)} taken out`;
    case 'gap':
      return `${countOfCards(fact.count)} taken from between ${showCard(fact.above)} and ${showCard(fact.below)}`;
    case 'row':
      return `${fact.cards.map(showCard).join(' ')} side by side`;
    case 'short group':
      return `One ${speakRank(fact.rank)} taken out`;
    case 'heap':
      return [
        `A card thought of, in heap ${fact.heap} of ${fact.heaps}`,
        ...(fact.gather ? [`gathered ${fact.gather.join(' on ')}`] : []),
      ].join(', ');
  }
};

const RANK = whole(1, 13);
const PLACE = whole(1, LARGEST_PACK);
const AT: Part = (value, fields) =>
  typeof value === 'number' ? PLACE(value, fields) : oneOf('face', 'top')(value, fields);
/** The heap, from 1 to the heaps beside it. */
const HEAP: Part = (value, fields) => whole(1, Number(fields['heaps']))(value, fields);

const SHAPES: ShapesOf<Fact> = {
  cut: {},
  seen: { at: AT, card: CARD },
  lift: { face: optional(CARD), size: optional(listOf(whole(0, LARGEST_PACK), 2, 2)) },
  cuts: { first: CARD, second: CARD },
  'next ranks': { first: RANK, second: RANK },
  dealt: { count: whole(0, LARGEST_PACK) },
  taken: { count: whole(1, 2) },
  missing: { card: CARD },
  gap: { above: CARD, below: CARD, count: whole(1, 9) },
  row: { cards: listOf(CARD, 2, LARGEST_PACK) },
  'short group': { rank: RANK },
  heap: { heaps: whole(2, MOST_HEAPS), heap: HEAP, gather: optional(GATHER) },
};

/** A fact that is stored or stands in a file. */
export const FACT: Part = kindOf(SHAPES);

/** Reads a fact. Whether it can be true of a pack is another question: `deduce` answers it. */
export const parseFact = (value: unknown): Outcome<{ readonly fact: Fact }> => readBy('fact', FACT, value);
