import { Bank } from '../../deck/bank';
import { Card, rankOf } from '../../deck/card';
import { mod } from '../../deck/mod';
import { showCard } from '../../deck/notation';
import { Order, placeOf } from '../../deck/order';
import { BankInPack, bankInPack, bankPlaces } from './bankInPack';
import { add, result, start, SumLine } from '../handSum';
import { cutChances } from '../../odds/cutChances';
import { sayShare } from '../../odds/sayShare';
import { Reckoned, reckoned, unreckoned } from '../reckoning';
import { cardField, num } from '../../form/fields';
import { bankOf, ofBank, Pattern } from './pattern';

const percent = (chance: number): string => sayShare(chance, 0);

/** The chance that a cut brings a card of the bank to the face, for cuts of 1 to N − 1 cards. */
export const bankChance = (
  size: number,
  { places }: Pick<Bank, 'places'>,
): { readonly anywhere: number; readonly middle: number } => {
  const cuts = places.filter((place) => place < size);
  const middle = cutChances(size);
  return {
    anywhere: cuts.length / (size - 1),
    middle: cuts.reduce((sum, place) => sum + middle[place], 0),
  };
};

/**
 * How far the neighbours of the same rank about a card reach, in a bank where their order is free: before it and behind.
 *
 * @param index the card's, from 0.
 */
const groupAbout = ({ cards }: BankInPack, index: number): readonly [before: number, behind: number] => {
  const like = (other: number): boolean => rankOf(cards[other]) === rankOf(cards[index]);
  let [first, last] = [index, index];
  while (first > 0 && like(first - 1)) first--;
  while (last + 1 < cards.length && like(last + 1)) last++;
  return [index - first, last - index];
};

/**
 * Where the selection behind a bank lies after a cut that shows a bank card at the face, from 1: behind the cards of the
 * bank that are on top.
 *
 * @returns undefined where the bank is scattered, or the card is none of it.
 */
export const placeBehindBank = (now: Order, bank: Bank, face: Card): number | undefined => {
  const lies = bankInPack(now, bank);
  const seen = lies?.cards.indexOf(face) ?? -1;
  return lies && seen >= 0 ? lies.cards.length - seen : undefined;
};

/** The same, as a sum. @param length of the bank. @param place where the selection lies. */
export const countDownSum = (length: number, face: Card, place: number): readonly SumLine[] => [
  start(length, 'cards of the bank'),
  add(-(length - place + 1), `up to ${showCard(face)}`),
  add(1, 'the selection'),
  result(place, 'where it lies'),
];

/**
 * A selection lies right behind a bank. After a cut a bank card is seen at the face: the cards behind it in the
 * bank are on top, and the selection comes after them.
 *
 * @param now the pack before the cut, turned or not. @param face the card seen at the face after it.
 */
export const reckonCountDown = (now: Order, bank: Bank, face: Card): Reckoned => {
  const lies = bankInPack(now, bank);
  if (!lies)
    return unreckoned('The bank is scattered over the pack.', 'Use an order whose bank has no gaps.');
  const places = bankPlaces(lies, now.length);
  const { anywhere, middle } = bankChance(now.length, { places });
  const chances = [
    { words: 'A cut anywhere shows one', value: percent(anywhere) },
    { words: 'A cut near the middle', value: percent(middle) },
  ];
  const seen = lies.cards.indexOf(face);
  const isPlace = lies.cards.every((card, index) => rankOf(card) === lies.cards.length - index);
  const marks = places.map((place) => ({ place, mark: 'bank' as const }));
  if (seen < 0)
    return reckoned({
      answer: 'Not a bank card: have them cut once more',
      notes: [
        ...nextCut(now, places, face),
        `Of two more cuts at least one shows a bank card with ${percent(1 - (1 - anywhere) ** 2)}, cut anywhere.`,
      ],
      known: chances,
      marks,
    });
  const place = placeBehindBank(now, bank, face) ?? 1;
  const left = place - 1;
  const [before, behind] = bank.loose ? groupAbout(lies, seen) : [0, 0];
  const at = places[seen];
  return reckoned({
    answer: `The selection lies at ${place}`,
    notes: [
      ...(isPlace ? ['The rank at the face is the place: nothing is to work out.'] : []),
      left === 0
        ? 'It is on top.'
        : `${lies.cards
            .slice(seen + 1, seen + 4)
            .map(showCard)
            .join(' ')}${left > 3 ? ' …' : ''} ${left === 1 ? 'lies' : 'lie'} above it.`,
      ...(before + behind > 0
        ? [`In whichever order its group lies: from ${place - behind} to ${place + before}.`]
        : []),
    ],
    known: [{ words: 'At the face', card: face }, { words: 'Of the bank on top', value: left }, ...chances],
    sum: isPlace ? [] : countDownSum(lies.cards.length, face, place),
    marks: [...marks, { place: at, mark: 'seen' }],
    moves: mod(at, now.length) === 0 ? [] : [{ kind: 'cut', count: at }],
  });
};

/** How often the next cut shows a card of the bank, now that this card has come to the face. */
const nextCut = (now: Order, places: readonly number[], face: Card): readonly string[] => {
  const at = placeOf(now, face);
  if (at === undefined) return [];
  const moved = places.map((place) => mod(place - at - 1, now.length) + 1);
  const { middle } = bankChance(now.length, { places: moved });
  return [`The next cut near the middle shows one with ${percent(middle)}, from how the pack lies now.`];
};

/** How it is asked. */
export const COUNT_DOWN: Pattern = {
  path: 'count-down',
  lead: 'The selection lies below a bank. A cut shows a bank card at the face: where is it now?',
  fields: [cardField('face', 'At the face', 'Which card is at the face?')],
  example: (pack) => ({ face: ofBank(pack) }),
  needsBank: true,
  reckon: (values, pack) => reckonCountDown(pack.now, bankOf(pack), num(values, 'face')),
};
