import { countOf } from '../../deck/countOf';
import { Card, FULL_PACK, isCard, mateOf } from '../../deck/card';
import { showCard } from '../../deck/notation';
import { numberOrder, Order } from '../../deck/order';
import { formatOrder } from '../../deck/orderText';
import { readEntries } from '../../deck/orderText';
import { Outcome } from '../../deck/problem';
import { seededRng, shuffled } from '../../deck/rng';
import { cardList } from '../../deck/shape';
import { OrderRule, refuse, RuleField } from './orderRule';

/** The second half holds the mates of the first: at the same depth, or back from the face. */
export interface Mirrored {
  readonly kind: 'mirrored halves' | 'palindrome';
  /** 26 cards, one of each pair of mates. */
  readonly half: readonly Card[];
}

/** One of each pair of mates, from a source of randomness: a first half for a mirrored order. */
export const halfOfMates = (shuffledPack: Order): Card[] => {
  const half: Card[] = [];
  for (const card of shuffledPack)
    if (card < FULL_PACK && !half.includes(card) && !half.includes(mateOf(card))) half.push(card);
  return half;
};

const anyHalf = (seed: number): string => formatOrder(halfOfMates(shuffled(numberOrder(), seededRng(seed))));

const HALF_FIELD: RuleField = {
  name: 'half',
  label: 'First half',
  start: anyHalf(1),
  lines: 2,
  hint: '26 cards, one of each pair of mates',
  another: { says: 'Another half at random', make: anyHalf },
};

const orderOf = ({ kind, half }: Mirrored): Outcome<{ order: Order }> => {
  if (half.length !== FULL_PACK / 2)
    return refuse(
      `The first half has ${countOf(half.length, 'card')}.`,
      'Name 26, one of each pair of mates.',
    );
  const joker = half.find((card) => !isCard(card) || card >= FULL_PACK);
  if (joker !== undefined)
    return refuse(
      isCard(joker) ? `${showCard(joker)} has no mate among the 52.` : 'One of them is not a card.',
      'Name 26 of the 52 cards, one of each pair of mates.',
    );
  const second = half.map(mateOf);
  const both = half.find((card, index) => second.includes(card) || half.indexOf(card) !== index);
  if (both !== undefined)
    return refuse(
      `${showCard(both)} or its mate ${showCard(mateOf(both))} is there already.`,
      'Keep one of each pair of mates in the first half.',
    );
  return { ok: true, order: [...half, ...(kind === 'palindrome' ? second.reverse() : second)] };
};

const mirrored = <Kind extends Mirrored['kind']>(
  kind: Kind,
  name: string,
  says: string,
): OrderRule<Mirrored & { readonly kind: Kind }> => ({
  name,
  says,
  shape: { half: cardList(FULL_PACK / 2, FULL_PACK / 2) },
  fields: [HALF_FIELD],
  read: ({ half }) => ({
    ok: true,
    rule: { kind, half: readEntries(half).flatMap(({ card }) => card ?? []) },
  }),
  order: orderOf,
  describe: () => kind,
  matesFree: true,
});

export const MIRRORED_HALVES = mirrored(
  'mirrored halves',
  'Mirrored halves',
  'Each card’s mate lies 26 places on.',
);

export const PALINDROME = mirrored(
  'palindrome',
  'Palindrome',
  'Each card’s mate lies as far from the face as it does from the top.',
);
