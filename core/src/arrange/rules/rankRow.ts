import { Card, cardOf, FULL_PACK, Rank, Suit } from '../../deck/card';
import { parseRank, showCard, showRank } from '../../deck/notation';
import { eachOnce, listOf, whole } from '../../deck/shape';
import {
  FOUR_SUITS,
  HeadRecipe,
  isEachOnce,
  OrderRule,
  refuse,
  SUITS_FIELD,
  suitsIn,
  suitsProblem,
} from './orderRule';
import { Parts, partsFrom, roundsExample, roundsSteps, stackNumberOf, suitOfCard } from './rounds';

/** A row of all thirteen ranks, said over and over, against suits that go round. */
export interface RankRow {
  readonly kind: 'rank row';
  readonly ranks: readonly Rank[];
  readonly suits: readonly Suit[];
}

const isRank = (rank: number): boolean => Number.isInteger(rank) && rank >= 1 && rank <= 13;

const rankOfCard = (card: Card): Rank => ((card % 13) + 1) as Rank;

const partsOf = ({ ranks, suits }: RankRow, card: Card): Parts =>
  partsFrom(ranks.indexOf(rankOfCard(card)), suits.indexOf(suitOfCard(card)));

const ranksIn = (text: string): Rank[] =>
  text
    .trim()
    .split(/[\s,]+/)
    .flatMap((word) => parseRank(word) ?? []);

/** How to compute stack numbers of a row of ranks in the head, with one card as an example. */
export const rankRowRecipe = (rule: RankRow, card: Card): HeadRecipe => {
  const parts = partsOf(rule, card);
  return {
    steps: [
      `Say the row ${rule.ranks.map(showRank).join(' ')} up to the rank, counting from 0.`,
      ...roundsSteps(rule.suits),
      'Back: the stack number less 1, round 13 says the rank in the row; round 4 says the suit.',
    ],
    example: roundsExample(
      parts,
      suitOfCard(card),
      `${showCard(card)}: ${showRank(rankOfCard(card))} is ${parts.base} in the row`,
    ),
  };
};

export const RANK_ROW: OrderRule<RankRow> = {
  name: 'Rank row',
  says: 'A row of thirteen ranks that you remember, against suits that go round.',
  shape: { ranks: eachOnce(listOf(whole(1, 13), 13, 13)), suits: FOUR_SUITS },
  fields: [
    { name: 'ranks', label: 'Row of ranks', start: '8 K 3 10 2 7 9 5 Q 4 A 6 J', lines: 1 },
    SUITS_FIELD,
  ],
  read: ({ ranks, suits }) => ({
    ok: true,
    rule: { kind: 'rank row', ranks: ranksIn(ranks), suits: suitsIn(suits) },
  }),
  order: ({ ranks, suits }) => {
    const problem = suitsProblem(suits);
    if (problem) return problem;
    if (!isEachOnce(ranks, 13) || !ranks.every(isRank))
      return refuse(
        'Each rank must be in the row once.',
        'Write the thirteen ranks, such as 8 K 3 10 2 7 9 5 Q 4 A 6 J.',
      );
    const order = Array.from({ length: FULL_PACK }, (_, index) =>
      cardOf(ranks[index % 13], suits[index % 4]),
    );
    return { ok: true, order };
  },
  describe: ({ kind }) => kind,
  head: {
    stackNumber: (rule, card) => stackNumberOf(partsOf(rule, card)),
    recipe: rankRowRecipe,
  },
};
