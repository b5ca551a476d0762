import { Origin } from '@enumeron/core/arrange';
import {
  BankPosition,
  Card,
  cardOf,
  fillSlots,
  freeSlots,
  layBank,
  parseOrder,
  RANKS,
  SUITS,
} from '@enumeron/core/deck';
import { ORDERS, OrderRow } from './orders.kind';
import { sampleOf, Samples } from '../../storage/samples';
import { TIDEMARK } from './tidemark';

/** The demo world: the orders of a weekly late set at the Salt Room, beside Tidemark. */
const SAMPLES: readonly (readonly [id: string, name: string, cards: string])[] = [
  [
    'sample-nine-five-wheel',
    'Nine-five wheel',
    '9D AS 6H JC 3D 8S KH 5C TD 2S 7H QC 4D 9S AH 6C JD 3S 8H KC 5D TS 2H 7C QD 4S 9H AC 6D JS 3H 8C KD 5S TH 2C 7D QS 4H 9C AD 6S JH 3C 8D KS 5H TC 2D 7S QH 4C',
  ],
  [
    'sample-twin-harbours',
    'Twin harbours',
    '9S 3H JH QS 6H 8H 5H 6C 4C 3S QH 5C 8C TH AC 7C JC KS 2D TC AD 7D 9D KH 4H 2S 9C 3D JD QC 6D 8D 5D 6S 4S 3C QD 5S 8S TD AS 7S JS KC 2H TS AH 7H 9H KD 4D 2C',
  ],
];

const cardsOf = (text: string): readonly Card[] => {
  const outcome = parseOrder(text);
  if (!outcome.ok) throw new Error('a sample order is not an order');
  return outcome.order;
};

/** A bank among cards of Tidemark, which fall into its free slots. */
const bankOrder = (
  [id, name]: readonly [id: string, name: string],
  cards: readonly Card[],
  position: BankPosition,
  at: number,
  loose?: true,
): OrderRow => {
  const outcome = layBank(cards, position, TIDEMARK.cards.length);
  if (!outcome.ok) throw new Error('a sample bank has no room');
  const bank = loose ? { ...outcome.bank, loose } : outcome.bank;
  return {
    id,
    name,
    cards: fillSlots(freeSlots(bank, TIDEMARK.cards.length), TIDEMARK.cards),
    origin: { kind: 'bank', bank },
    sample: true,
    made: at,
    changed: at,
  };
};

const banks = (): OrderRow[] => {
  const diamonds = RANKS.map((rank) => cardOf(rank, 2));
  const groups = ([6, 7, 8] as const).flatMap((rank) => SUITS.map((suit) => cardOf(rank, suit)));
  return [
    bankOrder(['sample-breakwater', 'Breakwater'], diamonds, { kind: 'behind', count: 20 }, 3),
    bankOrder(['sample-lamp-room', 'Lamp room'], groups, { kind: 'around the middle' }, 4, true),
  ];
};

/** The rules that made two of them. */
const origins = (): Readonly<Partial<Record<string, Origin>>> => ({
  'sample-nine-five-wheel': {
    kind: 'rule',
    rule: { kind: 'rotating', first: cardsOf(SAMPLES[0][2])[0], step: 5, suits: [1, 3, 2, 0] },
  },
  'sample-twin-harbours': {
    kind: 'rule',
    rule: { kind: 'mirrored halves', half: cardsOf(SAMPLES[1][2]).slice(0, 26) },
  },
});

/** The sample orders as rows, the demo order Tidemark first. */
export const sampleOrders = (): OrderRow[] => [
  TIDEMARK,
  ...SAMPLES.map(([id, name, cards], index) => ({
    id,
    name,
    cards: cardsOf(cards),
    origin: origins()[id],
    sample: true,
    made: 1 + index,
    changed: 1 + index,
  })),
  ...banks(),
];

export const orderSamples = (): Samples => [sampleOf(ORDERS, sampleOrders())];
