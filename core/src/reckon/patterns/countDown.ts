import { Bank } from '../../arrange/bank';
import { Card, looksLike } from '../../deck/card';
import { showCard } from '../../deck/notation';
import { Order } from '../../deck/order';
import { bankSpan } from './bankPacket';
import { add, result, start } from '../handSum';
import { cutChances } from './cutChances';
import { Reckoned, reckoned, unreckoned } from '../reckoning';

const percent = (chance: number): string => `${(chance * 100).toFixed(0)} %`;

/** The chance that a cut brings a card of the bank to the face, for cuts of 1 to N − 1 cards. */
export const bankChance = (
  size: number,
  bank: Bank,
): { readonly anywhere: number; readonly middle: number } => {
  const cuts = bank.places.filter((place) => place < size);
  const middle = cutChances(size);
  return {
    anywhere: cuts.length / (size - 1),
    middle: cuts.reduce((sum, place) => sum + middle[place], 0),
  };
};

/**
 * A selection lies right behind a bank. After a cut a bank card is seen at the face: the cards behind it in the
 * bank are on top, and the selection comes after them.
 *
 * @param now the pack before the cut. @param face the card seen at the face after it.
 */
export const reckonCountDown = (now: Order, bank: Bank, face: Card): Reckoned => {
  const span = bankSpan(bank);
  if (!span)
    return unreckoned('The bank is scattered over the pack.', 'Use an order whose bank has no gaps.');
  const { anywhere, middle } = bankChance(now.length, bank);
  const chances = [
    { words: 'A cut anywhere shows one', value: percent(anywhere) },
    { words: 'A cut near the middle', value: percent(middle) },
  ];
  const seen = bank.cards.findIndex((card) => looksLike(card, face));
  const marks = bank.places.map((place) => ({ place, mark: 'bank' as const }));
  if (seen < 0)
    return reckoned({
      answer: 'Not a bank card: have them cut once more',
      notes: [
        `Of two more cuts at least one shows a bank card with ${percent(1 - (1 - anywhere) ** 2)}, cut anywhere.`,
      ],
      known: chances,
      marks,
    });
  const left = bank.cards.length - seen - 1;
  const place = left + 1;
  return reckoned({
    answer: `The selection lies at ${place}`,
    notes: [
      left === 0
        ? 'It is on top.'
        : `${bank.cards
            .slice(seen + 1, seen + 4)
            .map(showCard)
            .join(' ')}${left > 3 ? ' …' : ''} ${left === 1 ? 'lies' : 'lie'} on top of it.`,
    ],
    known: [{ words: 'At the face', card: face }, { words: 'Of the bank on top', value: left }, ...chances],
    sum: [
      start(bank.cards.length, 'cards of the bank'),
      add(-(seen + 1), `up to ${showCard(face)}`),
      add(1, 'the selection'),
      result(place, 'where it lies'),
    ],
    marks: [...marks, { place: bank.places[seen], mark: 'seen' }],
    moves: bank.places[seen] < now.length ? [{ kind: 'cut', count: bank.places[seen] }] : [],
  });
};
