import { Card, firstOf, Rank, secondOf } from '../../deck/card';
import { formatCard } from '../../deck/notation';
import { Expression, Step } from '../../procedure/procedure';
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

const packSize: Expression = { 'size of': PACK };
const plus = (value: Expression, count: number): Expression =>
  count === 0 ? value : { sum: [value, count] };
const less = (count: number): Expression => plus(packSize, -count);
/** A place behind the last is the first again. */
const round = (place: Expression): Expression => ({ around: [place, packSize] });
const at = (place: Expression): Expression => ({ 'card at': place, of: PACK });

const seenAt = (where: 'face' | 'top' | number): Expression =>
  where === 'face' ? packSize : where === 'top' ? 1 : where;

/** A card was seen at a place of the pack: it looks like either copy of one that is there twice. */
const saw = (place: Expression, card: Card): Step => ({
  do: 'require',
  that: {
    any: [firstOf(card), secondOf(card)].map((each) => ({ equal: [at(place), { card: formatCard(each) }] })),
  },
});

const sawRank = (place: Expression, rank: Rank): Step => ({
  do: 'require',
  that: { equal: [{ 'rank of': at(place) }, rank] },
});

/** The card at a place of the pack is seen, where it is told. Looking before lifting leaves most worlds out early. */
const lookAt = (place: Expression, card: Card | undefined): Step[] =>
  card === undefined ? [] : [saw(place, card)];

const choose = (name: string, from: Expression, to: Expression): Step => ({ do: 'choose', name, from, to });
const take = (place: Expression): Step => ({ do: 'take', place, from: PACK, onto: OUT });

/**
 * What a fact is on the table: what happened, and what must have been seen.
 *
 * @param before the facts told before it; how many they are keeps its names apart.
 */
export const stepsOf = (fact: Fact, before: readonly Fact[]): readonly Step[] => {
  const index = before.length;
  const name = (word: string): string => `${word} ${index}`;
  switch (fact.kind) {
    case 'cut':
      return [choose(name('cut'), 0, less(1)), { do: 'cut', packet: PACK, count: name('cut') }];
    case 'seen':
      return [saw(seenAt(fact.at), fact.card)];
    // A packet that is put back as it was changes nothing: the card at its face is the one at that depth.
    case 'lift':
      return [
        choose(name('lifted'), 1, less(1)),
        ...(fact.size ? [between(name('lifted'), fact.size[0], fact.size[1])] : []),
        ...lookAt(name('lifted'), fact.face),
      ];
    case 'cuts':
      return [
        choose(name('first cut'), 1, less(1)),
        ...lookAt(name('first cut'), fact.first),
        choose(name('second cut'), plus(name('first cut'), 1), less(1)),
        ...lookAt(name('second cut'), fact.second),
      ];
    case 'next ranks':
      return [
        choose(name('cut at'), 1, less(2)),
        sawRank(plus(name('cut at'), 1), fact.first),
        sawRank(plus(name('cut at'), 2), fact.second),
      ];
    case 'dealt':
      return [
        { do: 'deal', count: fact.count, from: PACK, onto: HAND },
        { do: 'put', packet: HAND, where: 'on', other: PACK },
      ];
    case 'taken':
      return takeSteps(fact.count, name);
    case 'missing':
      return [choose(name('place'), 1, packSize), saw(name('place'), fact.card), take(name('place'))];
    case 'gap':
      return [
        choose(name('place'), 1, packSize),
        saw(round(plus(name('place'), -1)), fact.above),
        saw(round(plus(name('place'), fact.count)), fact.below),
        // Not so many that the two neighbours would be among them.
        { do: 'require', that: { 'at most': [fact.count + 2, packSize] } },
        ...Array.from({ length: fact.count }, () => take(round(name('place')))),
      ];
    case 'row':
      return [
        choose(name('row at'), 1, less(fact.cards.length - 1)),
        ...fact.cards.map((card, down) => saw(plus(name('row at'), down), card)),
      ];
    case 'short group':
      return [choose(name('place'), 1, packSize), sawRank(name('place'), fact.rank), take(name('place'))];
    case 'heap':
      return heapSteps(fact, name, !before.some(isHeap));
  }
};

const between = (value: Expression, from: number, to: number): Step => ({
  do: 'require',
  that: { all: [{ 'at most': [from, value] }, { 'at most': [value, to] }] },
});

/** A card was thought of and its heap pointed at; the heaps are gathered, if they are, from the top down. */
const heapSteps = (
  { heaps, heap, gather }: Extract<Fact, { kind: 'heap' }>,
  name: (word: string) => string,
  isFirst: boolean,
): Step[] => {
  const thought = isFirst ? THOUGHT_OF : name('thought of');
  const each = Array.from({ length: heaps }, (_, number) => `heap ${number + 1}`);
  return [
    choose(name('thought at'), 1, packSize),
    // A heap that is not there holds no card.
    {
      do: 'require',
      that: { equal: [{ remainder: [name('thought at'), heaps] }, heap > heaps ? -1 : heap % heaps] },
    },
    { do: 'see', what: at(name('thought at')), name: thought },
    ...(isFirst ? [] : [{ do: 'require', that: { equal: [thought, THOUGHT_OF] } } as const]),
    ...(gather
      ? [
          { do: 'deal round', from: PACK, onto: each } as const,
          ...[...gather]
            .reverse()
            .map((number): Step => ({ do: 'put', packet: each[number - 1], where: 'on', other: PACK })),
        ]
      : []),
  ];
};

/** Takes cards out from anywhere; the second from below the first, so that each pair comes once. */
const takeSteps = (count: 1 | 2, name: (word: string) => string): Step[] => [
  ...[choose(name('place'), 1, packSize), take(name('place'))],
  ...(count === 2 ? [choose(name('second place'), name('place'), packSize), take(name('second place'))] : []),
];

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
