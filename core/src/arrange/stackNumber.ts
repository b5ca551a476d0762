import { Card, Rank, Suit } from '../deck/card';
import { mod } from '../deck/mod';
import { showCard, showRank, showSuit } from '../deck/notation';
import { RankRow, Rotating } from './rule';

/** How a card's stack number is computed in the head, and how it goes back, for one kind of order. */
export interface HeadRecipe {
  /** The rule in words, once learnt. */
  readonly steps: readonly string[];
  /** The same done for one card: each line a sum and what it gives. */
  readonly example: readonly string[];
}

/** The number that a step must be multiplied by to give 1, counting round 13. */
const inverse = (step: number): number => {
  for (let candidate = 1; candidate < 13; candidate++) if (mod(step * candidate, 13) === 1) return candidate;
  throw new Error(`no inverse of ${step}`);
};

interface Parts {
  /** Where the rank stands among the first thirteen, from 0. */
  readonly base: number;
  /** How many times thirteen is added. */
  readonly rounds: number;
  /** Where the suit stands in its round, from 0. */
  readonly suitIndex: number;
}

/**
 * A rank comes back every 13 places and the suits go round by 4; 13 is one more than three rounds, so that
 * each 13 moves the suit on by one (Chinese remainder theorem for 13 and 4).
 */
const partsFrom = (base: number, suitIndex: number): Parts => ({
  base,
  suitIndex,
  rounds: mod(suitIndex - base, 4),
});

const suitsFrom = (suits: readonly Suit[], first: Suit): Suit[] => {
  const start = suits.indexOf(first);
  return [...suits.slice(start), ...suits.slice(0, start)];
};

const rotatingParts = ({ first, step, suits }: Rotating, card: Card): Parts =>
  partsFrom(
    mod(((card % 13) - (first % 13)) * inverse(step), 13),
    suitsFrom(suits, Math.floor(first / 13) as Suit).indexOf(Math.floor(card / 13) as Suit),
  );

const rowParts = ({ ranks, suits }: RankRow, card: Card): Parts =>
  partsFrom(ranks.indexOf(((card % 13) + 1) as Rank), suits.indexOf(Math.floor(card / 13) as Suit));

const stackNumberOf = ({ base, rounds }: Parts): number => base + 13 * rounds + 1;

/** A card's stack number by the sum for the head; cards with rank and suit only. */
export const stackNumberByRule = (rule: Rotating | RankRow, card: Card): number =>
  stackNumberOf(rule.kind === 'rotating' ? rotatingParts(rule, card) : rowParts(rule, card));

const row = (suits: readonly Suit[]): string => suits.map(showSuit).join(' ');

const roundsSteps = (suits: readonly Suit[], what: string): string[] => [
  `Count the suits ${row(suits)} from 0. From the suit take the ${what}, counting round 4.`,
  'That many times 13, plus the number before, plus 1, is the stack number.',
];

const roundsExample = (parts: Parts, suit: Suit, before: string): string[] => [
  before,
  `${showSuit(suit)} is ${parts.suitIndex}: ${parts.suitIndex} − ${parts.base} round 4 = ${parts.rounds}`,
  `13 × ${parts.rounds} + ${parts.base} + 1 = ${stackNumberOf(parts)}`,
];

/** How to compute stack numbers of a rotating order in the head, with one card as an example. */
export const rotatingRecipe = (rule: Rotating, card: Card): HeadRecipe => {
  const { first, step, suits } = rule;
  const [firstRank, times] = [(first % 13) + 1, inverse(step)];
  const rank = (card % 13) + 1;
  const parts = rotatingParts(rule, card);
  const around = suitsFrom(suits, Math.floor(first / 13) as Suit);
  return {
    steps: [
      `From the rank take ${firstRank}${times === 1 ? '' : `, times ${times}`}, counting round 13 (J 11, Q 12, K 13).`,
      ...roundsSteps(around, 'number just found'),
      `Back: the stack number less 1, times ${step}, plus ${firstRank}, round 13 is the rank; less 1, round 4 is the suit.`,
    ],
    example: roundsExample(
      parts,
      Math.floor(card / 13) as Suit,
      `${showCard(card)}: (${rank} − ${firstRank}) × ${times} round 13 = ${parts.base}`,
    ),
  };
};

/** The same for a row of ranks against suits. */
export const rankRowRecipe = (rule: RankRow, card: Card): HeadRecipe => {
  const parts = rowParts(rule, card);
  return {
    steps: [
      `Say the row ${rule.ranks.map(showRank).join(' ')} up to the rank, counting from 0.`,
      ...roundsSteps(rule.suits, 'number just found'),
      'Back: the stack number less 1, round 13 says the rank in the row; round 4 says the suit.',
    ],
    example: roundsExample(
      parts,
      Math.floor(card / 13) as Suit,
      `${showCard(card)}: ${showRank(((card % 13) + 1) as Rank)} is ${parts.base} in the row`,
    ),
  };
};
