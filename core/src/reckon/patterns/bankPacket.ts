import { countOf } from '../../deck/countOf';
import { Bank } from '../../deck/bank';
import { Card, rankOf } from '../../deck/card';
import { showCard } from '../../deck/notation';
import { Order } from '../../deck/order';
import { countOfCards } from '../../moves/wording';
import { add, result, start, SumLine } from '../handSum';
import { Reckoned, reckoned, unreckoned } from '../reckoning';
import { BankInPack, bankInPack } from './bankInPack';
import { num, numberField } from '../../form/fields';
import { bankOf, ofBank, Pattern } from './pattern';

/** A count as one says it who counts by fives: `23 = 4 fives and 3`. */
export const byFives = (count: number): string => {
  const [fives, ones] = [Math.floor(count / 5), count % 5];
  if (fives === 0) return `${ones}`;
  const said = `${fives} ${fives === 1 ? 'five' : 'fives'}`;
  return ones === 0 ? said : `${said} and ${ones}`;
};

const ascending = ({ cards: bank }: BankInPack): boolean =>
  bank.every((card, index) => index === 0 || (rankOf(card) ?? 0) > (rankOf(bank[index - 1]) ?? 0));

export interface PacketSizes {
  readonly from: number;
  readonly to: number;
}

/** @returns undefined where the bank is scattered, or goes round the end of the pack. */
export const packetSizes = (now: Order, bank: Bank): PacketSizes | undefined => {
  const lies = bankInPack(now, bank);
  return lies && !lies.wraps ? { from: lies.from, to: lies.from + lies.cards.length - 1 } : undefined;
};

/** The bank card at the face of a packet of a size; undefined where there is none. */
export const packetCard = (now: Order, bank: Bank, size: number): Card | undefined => {
  const sizes = packetSizes(now, bank);
  return sizes && size >= sizes.from && size <= sizes.to ? now[size - 1] : undefined;
};

/** How a packet's size leads to a card of the bank, as a sum. @param from the fewest cards that end on the bank. */
export const packetSum = (size: number, from: number, card: Card): readonly SumLine[] => [
  start(size, `counted: ${byFives(size)}`),
  add(-(from - 1), 'above the bank'),
  result(size - from + 1, `of the bank: ${showCard(card)}`),
];

/**
 * A packet was lifted and counted: its face card is a bank card when its size goes past the indifferent cards
 * above the bank and not past the bank.
 *
 * @param now the pack with the bank in it, wherever it lies by now. @param size the packet's cards, 1 to N.
 */
export const reckonBankPacket = (now: Order, bank: Bank, size: number): Reckoned => {
  if (size < 1 || size > now.length)
    return unreckoned(
      `The pack has ${countOf(now.length, 'card')}.`,
      `A packet has from 1 to ${now.length}.`,
    );
  const lies = bankInPack(now, bank);
  if (!lies)
    return unreckoned('The bank is scattered over the pack.', 'Use an order whose bank has no gaps.');
  if (lies.wraps)
    return unreckoned(
      'The bank begins near the face and goes on at the top.',
      'Cut the pack so that the bank is together, away from the ends.',
    );
  const { from } = lies;
  const to = packetSizes(now, bank)?.to ?? from;
  const marks = Array.from({ length: to - from + 1 }, (_, index) => ({
    place: from + index,
    mark: 'bank' as const,
  }));
  const known = [
    { words: 'Counted', value: byFives(size) },
    { words: 'Above the bank', value: byFives(from - 1) },
    { words: 'A packet may have', value: `${from} to ${to}` },
  ];
  if (size < from)
    return reckoned({
      answer: `Too small: have them add ${from - size} to ${to - size} more`,
      notes: [
        `Say: “Take a few more, a good handful”, while they have not looked. From ${from} cards on it is a bank card.`,
      ],
      known,
      marks,
      sum: [start(from, 'the fewest'), add(-size, 'counted'), result(from - size, 'lacking')],
    });
  if (size > to)
    return reckoned({
      answer: `Too large: have them drop ${size - to} to ${size - from} back`,
      notes: [
        `Say: “That is more than we need, drop some back”, while they have not looked. Up to ${to} cards it is a bank card.`,
      ],
      known,
      marks,
      sum: [start(size, 'counted'), add(-to, 'the most'), result(size - to, 'too many')],
    });
  const card = now[size - 1];
  return reckoned({
    answer: `The card is ${showCard(card)}`,
    notes: [
      `In practice check: ${showCard(card)} is the ${ascending(lies) ? 'highest' : 'last'} of the bank left in the packet.`,
      `${countOfCards(to - size)} of the bank ${to - size === 1 ? 'stays' : 'stay'} with the rest.`,
    ],
    known: [{ words: 'The card', card }, ...known],
    marks: [...marks, { place: size, mark: 'wanted' }],
    sum: packetSum(size, from, card),
  });
};

/** How it is asked. */
export const PACKET: Pattern = {
  path: 'packet',
  lead: 'A packet is lifted and counted by fives: which bank card is at its face?',
  fields: [numberField('size', 'Cards in the packet', 'How many cards are in the packet?')],
  example: (pack) => ({ size: pack.now.indexOf(ofBank(pack)) + 1 }),
  needsBank: true,
  reckon: (values, pack) => reckonBankPacket(pack.now, bankOf(pack), num(values, 'size')),
};
