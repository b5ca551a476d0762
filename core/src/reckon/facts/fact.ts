import { Card, LARGEST_PACK, Rank } from '../../deck/card';
import { showCard, showRank, speakRank } from '../../deck/notation';
import { cards } from '../../moves/wording';
import { Quantity, Step } from '../../table/step';
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

/** The packets that facts speak of. */
export const PACK = 'pack';
export const OUT = 'out';
const HAND = 'hand';

/** A number or card that a fact leaves open: its name in the program, and what it is called. */
export interface Unknown {
  readonly name: string;
  readonly words: string;
  readonly kind: 'count' | 'card';
}

/** The card thought of, which is one and the same however often it is dealt to a heap. */
export const THOUGHT_OF = 'thought of';
const isHeap = ({ kind }: Fact): boolean => kind === 'heap';

const packSize: Quantity = { sizeOf: PACK };
const less = (count: number): Quantity => ({ sizeOf: PACK, plus: -count });

const seenAt = (at: 'face' | 'top' | number): Quantity => (at === 'face' ? packSize : at === 'top' ? 1 : at);

/** The card at a place of the pack is seen, where it is told. Looking before lifting leaves most worlds out early. */
const lookAt = (place: Quantity, card: Card | undefined): Step[] =>
  card === undefined ? [] : [{ do: 'see', sight: { of: 'card', packet: PACK, place }, is: card }];

const backOnTop: Step = { do: 'put', packet: HAND, where: 'on', other: PACK };

/**
 * What a fact is on the table: what happened, and what must have been seen.
 *
 * @param before the facts told before it; how many they are keeps its names apart.
 */
export const stepsOf = (fact: Fact, before: readonly Fact[]): readonly Step[] => {
  const index = before.length;
  const name = (word: string): string => `${word} ${index}`;
  const firstHeap = !before.some(isHeap);
  switch (fact.kind) {
    case 'cut':
      return [
        { do: 'choose', name: name('cut'), from: 0, to: less(1) },
        { do: 'cut', packet: PACK, count: { name: name('cut') } },
      ];
    case 'seen':
      return [{ do: 'see', sight: { of: 'card', packet: PACK, place: seenAt(fact.at) }, is: fact.card }];
    // A packet that is put back as it was changes nothing: the card at its face is the one at that depth.
    case 'lift':
      return [
        { do: 'choose', name: name('lifted'), from: 1, to: less(1) },
        ...(fact.size
          ? [
              {
                do: 'require',
                number: { name: name('lifted') },
                from: fact.size[0],
                to: fact.size[1],
              } as const,
            ]
          : []),
        ...lookAt({ name: name('lifted') }, fact.face),
      ];
    case 'cuts':
      return [
        { do: 'choose', name: name('first cut'), from: 1, to: less(1) },
        ...lookAt({ name: name('first cut') }, fact.first),
        { do: 'choose', name: name('second cut'), from: { name: name('first cut'), plus: 1 }, to: less(1) },
        ...lookAt({ name: name('second cut') }, fact.second),
      ];
    case 'next ranks':
      return [
        { do: 'choose', name: name('cut at'), from: 1, to: less(2) },
        {
          do: 'see',
          sight: { of: 'rank', packet: PACK, place: { name: name('cut at'), plus: 1 } },
          is: fact.first,
        },
        {
          do: 'see',
          sight: { of: 'rank', packet: PACK, place: { name: name('cut at'), plus: 2 } },
          is: fact.second,
        },
      ];
    case 'dealt':
      return [{ do: 'deal', count: fact.count, from: PACK, onto: HAND }, backOnTop];
    case 'taken':
      return takeSteps(fact.count, name);
    case 'missing':
      return [
        { do: 'choose', name: name('place'), from: 1, to: packSize },
        { do: 'see', sight: { of: 'card', packet: PACK, place: { name: name('place') } }, is: fact.card },
        { do: 'take', place: { name: name('place') }, from: PACK, onto: OUT },
      ];
    case 'gap':
      return [
        { do: 'choose', name: name('place'), from: 1, to: packSize },
        {
          do: 'see',
          sight: { of: 'card', packet: PACK, place: { name: name('place'), plus: -1 }, round: true },
          is: fact.above,
        },
        {
          do: 'see',
          sight: { of: 'card', packet: PACK, place: { name: name('place'), plus: fact.count }, round: true },
          is: fact.below,
        },
        // Not so many that the two neighbours would be among them.
        { do: 'require', number: packSize, from: fact.count + 2, to: packSize },
        ...Array.from({ length: fact.count }, (): Step => ({
          do: 'take',
          place: { name: name('place') },
          from: PACK,
          onto: OUT,
          round: true,
        })),
      ];
    case 'row':
      return [
        { do: 'choose', name: name('row at'), from: 1, to: less(fact.cards.length - 1) },
        ...fact.cards.map((card, at): Step => ({
          do: 'see',
          sight: { of: 'card', packet: PACK, place: { name: name('row at'), plus: at } },
          is: card,
        })),
      ];
    case 'short group':
      return [
        { do: 'choose', name: name('place'), from: 1, to: packSize },
        { do: 'see', sight: { of: 'rank', packet: PACK, place: { name: name('place') } }, is: fact.rank },
        { do: 'take', place: { name: name('place') }, from: PACK, onto: OUT },
      ];
    case 'heap':
      return [
        { do: 'choose', name: name('thought at'), from: 1, to: packSize },
        {
          do: 'require remainder',
          number: { name: name('thought at') },
          by: fact.heaps,
          // A heap that is not there holds no card.
          is: fact.heap > fact.heaps ? -1 : fact.heap % fact.heaps,
        },
        {
          do: 'see',
          sight: { of: 'card', packet: PACK, place: { name: name('thought at') } },
          name: firstHeap ? THOUGHT_OF : name('thought of'),
        },
        ...(firstHeap
          ? []
          : [
              {
                do: 'require',
                number: { name: name('thought of') },
                from: { name: THOUGHT_OF },
                to: { name: THOUGHT_OF },
              } as const,
            ]),
        ...(fact.gather
          ? [{ do: 'deal heaps', packet: PACK, heaps: fact.heaps, gather: fact.gather } as const]
          : []),
      ];
  }
};

/** Takes cards out from anywhere; the second from below the first, so that each pair comes once. */
const takeSteps = (count: 1 | 2, name: (word: string) => string): Step[] => {
  const first = name('place');
  const take = (place: Quantity): Step => ({ do: 'take', place, from: PACK, onto: OUT });
  return [
    { do: 'choose', name: first, from: 1, to: packSize },
    take({ name: first }),
    ...(count === 2
      ? [
          { do: 'choose', name: name('second place'), from: { name: first }, to: packSize } as const,
          take({ name: name('second place') }),
        ]
      : []),
  ];
};

/** The numbers and cards that a fact leaves open. @param before the facts told before it. */
export const unknownsOf = (fact: Fact, before: readonly Fact[]): readonly Unknown[] => {
  const index = before.length;
  const count = (word: string, words: string): Unknown => ({
    name: `${word} ${index}`,
    words,
    kind: 'count',
  });
  switch (fact.kind) {
    case 'cut':
      return [count('cut', 'Cards cut')];
    case 'lift':
      return [count('lifted', 'Cards lifted')];
    case 'cuts':
      return [count('first cut', 'First cut'), count('second cut', 'Second cut')];
    case 'next ranks':
      return [count('cut at', 'Cut at')];
    case 'row':
      return [count('row at', 'The row begins at')];
    case 'heap':
      return before.some(isHeap) ? [] : [{ name: THOUGHT_OF, words: 'Thought of', kind: 'card' }];
    case 'taken':
    case 'missing':
    case 'gap':
    case 'short group':
    case 'seen':
    case 'dealt':
      return [];
  }
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
          ? [fact.size[0] === fact.size[1] ? cards(fact.size[0]) : `${fact.size.join(' to ')} cards`]
          : []),
        'put back as it was',
      ].join(', ');
    case 'cuts':
      return `Two cuts, ${showCard(fact.first)} then deeper ${showCard(fact.second)}, put back as they were`;
    case 'next ranks':
      return `A cut, then ${showRank(fact.first)} and ${showRank(fact.second)} next, put back as it was`;
    case 'dealt':
      return `${cards(fact.count)} dealt and dropped back`;
    case 'taken':
      return `${cards(fact.count)} taken out unseen`;
    case 'missing':
      return `${showCard(fact.card)} taken out`;
    case 'gap':
      return `${cards(fact.count)} taken from between ${showCard(fact.above)} and ${showCard(fact.below)}`;
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
