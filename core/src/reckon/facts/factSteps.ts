import { Card } from '../../deck/card';
import { Quantity, Step } from '../../table/step';
import { Fact } from './fact';

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
