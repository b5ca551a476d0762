import { Bank, BankPosition, countingRun, layBank } from '../deck/bank';
import { Card, cardOf, mateOf, rankOf, RANKS, Suit, SUITS } from '../deck/card';
import { whyNotCard } from '../deck/notation';
import { Order } from '../deck/order';
import { readEntries } from '../deck/orderText';
import { Outcome } from '../deck/problem';

/** A bank as it is written: its cards, where it lies, and the numbers of that place. */
export interface BankText {
  readonly cards: string;
  readonly where: BankPosition['kind'];
  /** How many cards lie in front of it, or at which place its first card lies. */
  readonly count: string;
  /** One card at every so many places. */
  readonly step: string;
  readonly loose: boolean;
}

export const BANK_POSITIONS: readonly BankPosition['kind'][] = [
  'behind',
  'at the face',
  'around the middle',
  'every',
];

const refuse = (what: string, remedy: string): Outcome<never> => ({
  ok: false,
  problems: [{ what, remedy }],
});

const positionOf = ({ where, count, step }: BankText): BankPosition => {
  if (where === 'behind') return { kind: where, count: Number(count) };
  return where === 'every' ? { kind: where, first: Number(count), step: Number(step) } : { kind: where };
};

/** The bank that was written, laid into a pack of these cards, or what is wrong with it. */
export const readBank = (text: BankText, pack: Order): Outcome<{ readonly bank: Bank }> => {
  const entries = readEntries(text.cards);
  const unread = entries.find(({ card }) => card === undefined);
  if (unread) return refuse(`“${unread.text.slice(0, 20)}” is not a card.`, whyNotCard(unread.text));
  const outside = entries.find(({ card }) => card !== undefined && !pack.includes(card));
  if (outside) return refuse(`${outside.text} is not in the pack.`, 'Take it out of the bank.');
  const numbers = [text.count, text.step].every((number) => /^\d{1,2}$/.test(number));
  if (!numbers || (text.where === 'every' && Number(text.step) < 1))
    return refuse('The count must be a whole number.', 'Write how many cards.');
  const cards = entries.flatMap(({ card }) => card ?? []);
  const outcome = layBank(cards, positionOf(text), pack.length);
  return outcome.ok && text.loose ? { ok: true, bank: { ...outcome.bank, loose: true } } : outcome;
};

/** A suit from ace to king. */
export const suitBank = (suit: Suit): Card[] => RANKS.map((rank) => cardOf(rank, suit));

/** Four of each of the ranks about the middle, sevens first. */
export const likeGroupsBank = (): Card[] =>
  ([7, 8, 9] as const).flatMap((rank) => SUITS.map((suit) => cardOf(rank, suit)));

/** Six pairs of mates, each side by side. */
export const matesBank = (): Card[] =>
  RANKS.slice(0, 6).flatMap((rank) => [cardOf(rank, 2), mateOf(cardOf(rank, 2))]);

/** The longest a run may be that counts: half of a full pack. */
const LONGEST = 26;

const hasEqualPair = (cards: readonly Card[]): boolean =>
  cards.some((card, index) => index > 0 && rankOf(card) === rankOf(cards[index - 1]));

/**
 * The longest run behind so many cards on which the next two ranks give the number cut, with no two of a rank next to
 * each other, which would show; undefined where none is.
 */
export const longestCountingRun = (behind: number): Card[] | undefined => {
  for (let length = LONGEST; length >= 2; length--)
    for (const rank of RANKS) {
      const cards = countingRun(behind, length, rank);
      if (cards && !hasEqualPair(cards)) return cards;
    }
  return undefined;
};
