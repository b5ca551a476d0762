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

function* liesOf(size: number, happened: Happened): Generator<Lie> {
  for (let top = 0; top < size; top++) {
    yield { from: 0, count: 1, top };
    if (happened === 'cut') continue;
    // A whole pack reversed is the same wherever one begins, but for how it is cut; shorter packets are each their own.
    for (let count = 2; count < size; count++)
      for (let from = 0; from < size; from++) yield { from, count, top };
  }
}

/** Of more ways than these the best next look is judged by some of them. */
const SAMPLE = 600;

/**
 * In how many ways a pack can lie that was in order before, by a few cards seen at their places, and where to look next.
 *
 * @param seen places from 1.
 */
export const glimpsed = (home: Order, happened: Happened, seen: readonly PlacedCard[]): Glimpsed => {
  const left: Lie[] = [];
  for (const lie of liesOf(home.length, happened))
    if (seen.every(({ place, card }) => cardAt(home, lie, place - 1) === card)) left.push(lie);
  const packOf = (lie: Lie): Order => home.map((_, index) => cardAt(home, lie, index));
  const packs = left.length <= SAMPLE ? new Map(left.map((lie) => [packOf(lie).join(), lie])) : undefined;
  const ways = packs ? [...packs.values()] : left;
  if (ways.length <= 1)
    return { left: ways.length, pack: ways.length === 1 ? packOf(ways[0]) : undefined, lookNext: undefined };
  const step = Math.max(1, Math.floor(ways.length / SAMPLE));
  const some = ways.filter((_, index) => index % step === 0);
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
  return { left: ways.length, pack: undefined, lookNext: best?.place };
};
