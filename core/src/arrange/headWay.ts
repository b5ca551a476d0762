import { Card, firstOf, mateOf, Rank, rankOf, Suit, suitOf, SUITS } from '../deck/card';
import { mod } from '../deck/mod';
import { showCard, showRank, showSuit } from '../deck/notation';
import { add, result, start, SumLine } from '../deck/sumLine';
import { cardAt, Order, placeOf } from '../deck/order';

/** A way in which a card's stack number is worked out in the head instead of being known by heart. */
export interface HeadWay {
  /** Its name, by which it is chosen. */
  readonly name: string;
  /** What it does, in a sentence. */
  readonly says: string;
  /** What must be known by heart. */
  readonly remember: readonly string[];
  readonly facts: number;
  /** How a card's stack number is worked out; the last line is the stack number. */
  work(card: Card): readonly SumLine[];
  /** Additions on the average, and the largest number that is added, over all cards. */
  readonly additions: number;
  readonly largest: number;
}

type Half = Omit<HeadWay, 'additions' | 'largest'>;

/** A sum with going once round the order where it has to, and its result. */
const summed = (size: number, card: Card, first: SumLine, amounts: readonly SumLine[]): SumLine[] => {
  const total = amounts.reduce((sum, { amount }) => sum + amount, first.amount);
  const place = mod(total - 1, size) + 1;
  const rounds = place - total;
  return [
    first,
    ...amounts,
    ...(rounds === 0 ? [] : [add(rounds, rounds < 0 ? 'once round' : 'once round, back')]),
    result(place, `${showCard(card)}’s stack number`),
  ];
};

/** The smaller way round: from −N/2 to N/2. */
const signed = (amount: number, size: number): number => {
  const up = mod(amount, size);
  return up > size / 2 ? up - size : up;
};

/** The full pack's place of each rank and suit; undefined where the order is no full pack. */
const placesOf = (order: Order): ((rank: number, suit: Suit) => number) | undefined => {
  if (order.length !== 52 || order.some((card) => firstOf(card) !== card || card >= 52)) return undefined;
  return (rank, suit) => placeOf(order, suit * 13 + rank - 1) ?? 0;
};

const RANKS_UP = Array.from({ length: 13 }, (_, index) => index + 1);

/**
 * The places of one suit are known by heart, and every other suit lies so many places behind it, the same for all its
 * ranks.
 */
const bySuitShift = (order: Order): readonly Half[] => {
  const at = placesOf(order);
  if (!at) return [];
  return SUITS.flatMap((heart): Half[] => {
    const shifts = SUITS.map((suit) => signed(at(1, suit) - at(1, heart), 52));
    const holds = SUITS.every((suit) =>
      RANKS_UP.every((rank) => mod(at(rank, suit) - at(rank, heart) - shifts[suit], 52) === 0),
    );
    if (!holds) return [];
    const others = SUITS.filter((suit) => suit !== heart);
    return [
      {
        name: `${showSuit(heart)} by heart, the others by a shift`,
        says: `Know the thirteen places of ${showSuit(heart)}; the other suits lie a fixed number of places below.`,
        remember: [
          `${showSuit(heart)}: ${RANKS_UP.map((rank) => `${showRank(rank as Rank)} ${at(rank, heart)}`).join(', ')}`,
          ...others.map(
            (suit) => `${showSuit(suit)}: ${shifts[suit] > 0 ? '+' : '−'}${Math.abs(shifts[suit])}`,
          ),
        ],
        facts: 13 + others.length,
        work: (card) => {
          const [rank, suit] = [rankOf(card) ?? 1, suitOf(card) ?? 0];
          const first = start(at(rank, heart), `${showCard(heart * 13 + rank - 1)}, by heart`);
          return summed(52, card, first, suit === heart ? [] : [add(shifts[suit], showSuit(suit))]);
        },
      },
    ];
  });
};

/** So many anchors of each suit are tried. */
const ANCHORS: readonly (readonly number[])[] = [[1], [1, 7], [3, 10], [1, 5, 9], [2, 6, 10]];

/**
 * A few places of each suit are known by heart; from one rank of a suit to the next it is always the same number of
 * places, and a card is reached from the nearest anchor.
 */
const byAnchors = (order: Order): readonly Half[] => {
  const at = placesOf(order);
  if (!at) return [];
  const step = signed(at(2, 0) - at(1, 0), 52);
  const holds = SUITS.every((suit) =>
    RANKS_UP.slice(1).every((rank) => mod(at(rank, suit) - at(rank - 1, suit) - step, 52) === 0),
  );
  if (!holds) return [];
  return ANCHORS.map((ranks): Half => {
    const names = ranks.map((rank) => showRank(rank as Rank)).join(', ');
    const nearest = (rank: number): number =>
      ranks.reduce((a, b) => (Math.abs(rank - b) < Math.abs(rank - a) ? b : a));
    return {
      name: `anchors ${names}, steps of ${step}`,
      says: `Know where ${names} of each suit ${ranks.length === 1 ? 'lies' : 'lie'}; each rank more lies ${step} places below.`,
      remember: SUITS.map(
        (suit) =>
          `${showSuit(suit)}: ${ranks.map((rank) => `${showRank(rank as Rank)} ${at(rank, suit)}`).join(', ')}`,
      ),
      facts: 4 * ranks.length + 1,
      work: (card) => {
        const [rank, suit] = [rankOf(card) ?? 1, suitOf(card) ?? 0];
        const anchor = nearest(rank);
        const steps = rank - anchor;
        const first = start(at(anchor, suit), `${showCard(suit * 13 + anchor - 1)}, an anchor`);
        return summed(
          52,
          card,
          first,
          steps === 0 ? [] : [add(steps * step, `${Math.abs(steps)} × ${steps < 0 ? -step : step}`)],
        );
      },
    };
  });
};

/** One half is known by heart; the mates lie half the pack on, or as far from the face as the known one from the top. */
const byMates = (order: Order): readonly Half[] => {
  const half = order.length / 2;
  if (order.length < 4 || !Number.isInteger(half) || order.some((card) => firstOf(card) >= 52)) return [];
  const top = new Set(order.slice(0, half));
  const isShift = order.every((card, index) => order[(index + half) % order.length] === mateOf(card));
  const isMirror = order.every((card, index) => order[order.length - 1 - index] === mateOf(card));
  if (!isShift && !isMirror) return [];
  return [
    {
      name: isShift
        ? 'the top half by heart, mates half the pack on'
        : 'the top half by heart, mates mirrored',
      says: isShift
        ? `Know the top ${half}; a card's mate lies ${half} places below it.`
        : `Know the top ${half}; a card's mate lies as far from the face as it from the top.`,
      remember: [`the top ${half} cards`],
      facts: half,
      work: (card) => {
        const mate = mateOf(card);
        if (top.has(card))
          return summed(order.length, card, start(placeOf(order, card) ?? 0, 'by heart'), []);
        const place = placeOf(order, mate) ?? 0;
        return isShift
          ? summed(order.length, card, start(place, `${showCard(mate)}, by heart`), [add(half, 'its mate')])
          : summed(order.length, card, start(order.length + 1, 'one more than the pack'), [
              add(-place, `${showCard(mate)}, by heart`),
            ]);
      },
    },
  ];
};

/**
 * The ways to work out the stack numbers of an order, found by looking at the order itself: those that take the fewest
 * and smallest additions first. Each way is right for every card of the order, or is not there.
 */
export const headWays = (order: Order): readonly HeadWay[] =>
  [...byMates(order), ...bySuitShift(order), ...byAnchors(order)]
    .map((half): HeadWay => {
      const sums = order.map((card) => half.work(card).filter(({ role }) => role === 'add'));
      const all = sums.flat();
      return {
        ...half,
        additions: all.length / order.length,
        largest: Math.max(0, ...all.map(({ amount }) => Math.abs(amount))),
      };
    })
    .sort((a, b) => effortOf(a) - effortOf(b));

/** Additions, each the harder the larger; what must be known by heart counts a little as well. */
const effortOf = ({ additions, largest, facts }: HeadWay): number =>
  additions * (1 + largest / 26) + facts / 30;

export const headWay = (order: Order, name: string): HeadWay | undefined =>
  headWays(order).find((way) => way.name === name);

/** The card of an example: the seven of diamonds, or the middle card where it is not there. */
export const exampleCard = (order: Order): Card =>
  order.includes(19) ? 19 : (cardAt(order, Math.ceil(order.length / 2)) ?? 0);
