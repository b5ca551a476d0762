import { Card } from '../deck/card';
import { mod } from '../deck/mod';
import { showCard } from '../deck/notation';
import { Order, placeOf } from '../deck/order';

/** A card seen at a place (from 1). */
export interface PlacedCard {
  readonly place: number;
  readonly card: Card;
}

/** What a few cards seen at known places say of a pack. */
export interface GlimpseCheck {
  /** The turn that most of them agree on; undefined while there is none. */
  readonly offset: number | undefined;
  /** Those that do not fit it. */
  readonly odd: readonly PlacedCard[];
  /** Where one more look would tell most: the middle of the longest stretch not looked at. */
  readonly lookNext: number | undefined;
  readonly says: string;
}

const offsetFrom = (home: Order, { place, card }: PlacedCard): number | undefined => {
  const stackNumber = placeOf(home, card);
  return stackNumber === undefined ? undefined : mod(stackNumber - place, home.length);
};

const commonest = (offsets: readonly (number | undefined)[]): number | undefined => {
  const counts = new Map<number, number>();
  for (const offset of offsets) if (offset !== undefined) counts.set(offset, (counts.get(offset) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1]).at(0)?.[0];
};

/** The middle of the longest stretch between the places seen, going round. */
const widestGap = (places: readonly number[], size: number): number | undefined => {
  if (places.length === 0) return size > 0 ? size : undefined;
  const sorted = [...new Set(places)].sort((a, b) => a - b);
  const gaps = sorted.map((place, index) => {
    const following = index + 1 < sorted.length ? sorted[index + 1] : sorted[0] + size;
    return { place, length: following - place };
  });
  const [widest] = gaps.sort((a, b) => b.length - a.length);
  return widest.length < 2 ? undefined : mod(widest.place + Math.floor(widest.length / 2) - 1, size) + 1;
};

/** Holds a few glimpses against an order that may be turned. */
export const checkGlimpses = (home: Order, seen: readonly PlacedCard[]): GlimpseCheck => {
  const offset = commonest(seen.map((each) => offsetFrom(home, each)));
  const odd = seen.filter((each) => offsetFrom(home, each) !== offset);
  const lookNext = widestGap(
    seen.map(({ place }) => place),
    home.length,
  );
  const turned = offset === 0 ? 'in order' : `in order, cut at ${offset ?? 0}`;
  const says =
    seen.length === 0
      ? 'Nothing seen yet.'
      : offset === undefined
        ? `${seen.length === 1 ? 'The card seen is' : 'The cards seen are'} not in this order.`
        : odd.length === 0
          ? `${seen.length === 1 ? 'It fits' : `All ${seen.length} fit`} a pack ${turned}.`
          : `${seen.length - odd.length} of ${seen.length} fit a pack ${turned}; not ` +
            `${odd.map(({ place, card }) => `${showCard(card)} at ${place}`).join(', ')}.`;
  return { offset, odd, lookNext, says };
};
