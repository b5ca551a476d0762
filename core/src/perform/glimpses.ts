import { Card } from '../deck/card';
import { mod } from '../deck/mod';
import { Order } from '../deck/order';
import { PlacedCard } from '../arrange/glimpseCheck';

/** What may have happened to a pack that was in order: it was cut; or a packet was dealt singly besides. */
export const HAPPENED = ['cut', 'dealt'] as const;
export type Happened = (typeof HAPPENED)[number];

/** One way in which the pack may lie: turned, with the cards of home from one index on reversed. */
interface Lie {
  readonly from: number;
  /** How many are reversed; 1 for none. */
  readonly count: number;
  /** The index of the ring that lies on top. */
  readonly top: number;
}

/** What a few glimpses leave. */
export interface Glimpsed {
  /** In how many ways the pack can lie. */
  readonly left: number;
  /** The pack, once there is one way only. */
  readonly pack: Order | undefined;
  /** The place, from 1, at which one more look tells most; undefined where none tells anything. */
  readonly lookNext: number | undefined;
}

/** The card at an index from the top. */
const cardAt = (home: Order, { from, count, top }: Lie, index: number): Card => {
  const size = home.length;
  const at = mod(top + index, size);
  const into = mod(at - from, size);
  return home[into < count ? mod(from + count - 1 - into, size) : at];
};

/** The packets that may be reversed, as where they begin in the ring and how many cards they have: each ring once. */
const arcsOf = (size: number, happened: Happened): readonly Omit<Lie, 'top'>[] => {
  const arcs = [{ from: 0, count: 1 }];
  if (happened === 'cut' || size < 3) return arcs;
  for (let count = 2; count < size - 1; count++)
    for (let from = 0; from < size; from++) arcs.push({ from, count });
  // With all but one reversed the ring is the same wherever one begins.
  return [...arcs, { from: 0, count: size - 1 }];
};

/** Of each ring the one way to cut it that has a card at its place. */
const liesWith = (
  home: Order,
  arcs: readonly Omit<Lie, 'top'>[],
  { place, card }: PlacedCard,
): readonly Lie[] => {
  const [size, index] = [home.length, home.indexOf(card)];
  if (index < 0) return [];
  return arcs.map(({ from, count }) => {
    const into = mod(index - from, size);
    const at = into < count ? from + count - 1 - into : index;
    return { from, count, top: mod(at - (place - 1), size) };
  });
};

/** Of more ways than these the best next look is judged by some of them. */
const SAMPLE = 600;

/**
 * In how many ways a pack can lie that was in order before, by a few cards seen at their places, and where to look next.
 *
 * @param seen places from 1.
 */
export const glimpsed = (home: Order, happened: Happened, seen: readonly PlacedCard[]): Glimpsed => {
  const arcs = arcsOf(home.length, happened);
  const [first] = seen;
  // Nothing seen yet: every ring may be cut anywhere, and one place tells as much as another.
  if (seen.length === 0 && home.length > 1)
    return { left: arcs.length * home.length, pack: undefined, lookNext: home.length };
  const left = (seen.length === 0 ? [{ from: 0, count: 1, top: 0 }] : liesWith(home, arcs, first)).filter(
    (lie) => seen.every(({ place, card }) => cardAt(home, lie, place - 1) === card),
  );
  const packOf = (lie: Lie): Order => home.map((_, index) => cardAt(home, lie, index));
  if (left.length <= 1)
    return { left: left.length, pack: left.length === 1 ? packOf(left[0]) : undefined, lookNext: undefined };
  const step = Math.max(1, Math.floor(left.length / SAMPLE));
  const some = left.filter((_, index) => index % step === 0);
  let best: { readonly place: number; readonly most: number } | undefined;
  for (let place = home.length; place >= 1; place--) {
    if (seen.some((each) => each.place === place)) continue;
    const counts = new Map<Card, number>();
    for (const lie of some) {
      const card = cardAt(home, lie, place - 1);
      counts.set(card, (counts.get(card) ?? 0) + 1);
    }
    const most = Math.max(...counts.values());
    if (most < (best?.most ?? some.length)) best = { place, most };
  }
  return { left: left.length, pack: undefined, lookNext: best?.place };
};
