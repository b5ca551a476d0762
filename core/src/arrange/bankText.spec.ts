import { RANKS, rankOf, suitOf } from '../deck/card';
import { numberOrder } from '../deck/order';
import { formatOrder } from '../deck/orderText';
import {
  BANK_POSITIONS,
  BankText,
  likeGroupsBank,
  longestCountingRun,
  matesBank,
  readBank,
  suitBank,
} from './bankText';

const pack = numberOrder();
const text = (part: Partial<BankText>): BankText => ({
  cards: 'AH 2H 3H',
  where: 'behind',
  count: '20',
  step: '3',
  loose: false,
  ...part,
});
const placesOf = (part: Partial<BankText>): readonly number[] | string => {
  const outcome = readBank(text(part), pack);
  return outcome.ok ? outcome.bank.places : outcome.problems[0].what;
};

test('a bank lies where it is written, in every way there is', () => {
  expect(BANK_POSITIONS.map((where) => placesOf({ where }))).toEqual([
    [21, 22, 23],
    [50, 51, 52],
    [25, 26, 27],
    [20, 23, 26],
  ]);
});

test.each<[Partial<BankText>, string]>([
  [{ cards: 'AH 2Q' }, '“2Q” is not a card.'],
  [{ cards: 'AH X1' }, 'X1 is not in the pack.'],
  [{ cards: 'AH AH' }, 'A card is in the bank twice.'],
  [{ cards: '' }, 'The bank is empty.'],
  [{ count: 'x' }, 'The count must be a whole number.'],
  [{ count: '-1' }, 'The count must be a whole number.'],
  [{ where: 'every', step: '0' }, 'The count must be a whole number.'],
  [{ count: '50' }, 'The bank would reach from 51 to 53 in 52 cards.'],
  [{ where: 'every', count: '0' }, 'The bank would reach from 0 to 6 in 52 cards.'],
])('%j: %s', (part, says) => expect(placesOf(part)).toBe(says));

test('a loose bank is said to be one', () => {
  const outcome = readBank(text({ loose: true }), pack);
  expect(outcome.ok && outcome.bank.loose).toBe(true);
});

test('the ideas for banks are banks, and the run that counts does so for every cut into it', () => {
  for (const cards of [suitBank(1), likeGroupsBank(), matesBank()])
    expect(readBank(text({ cards: formatOrder(cards) }), pack).ok).toBe(true);
  for (let behind = 0; behind <= 30; behind++) {
    const run = longestCountingRun(behind);
    if (!run) continue;
    expect(new Set(run).size).toBe(run.length);
    for (let index = 0; index + 1 < run.length; index++)
      expect((rankOf(run[index]) ?? 0) + (rankOf(run[index + 1]) ?? 0)).toBe(behind + index);
    // Two of a rank side by side would show what it is.
    expect(run.some((card, index) => rankOf(card) === rankOf(run[index + 1] ?? -1))).toBe(false);
  }
  expect(longestCountingRun(10)?.length).toBeGreaterThan(10);
  expect(suitBank(2).map(suitOf)).toEqual(RANKS.map(() => 2));
});
