import { Card, Suit } from '../../deck/card';
import { mod } from '../../deck/mod';
import { showSuit } from '../../deck/notation';
import { showSuits } from './orderRule';

/** A stack number taken apart: the place among the first thirteen, and how many rounds of thirteen come before it. */
export interface Parts {
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
export const partsFrom = (base: number, suitIndex: number): Parts => ({
  base,
  suitIndex,
  rounds: mod(suitIndex - base, 4),
});

export const stackNumberOf = ({ base, rounds }: Parts): number => base + 13 * rounds + 1;

export const suitOfCard = (card: Card): Suit => Math.floor(card / 13) as Suit;

export const roundsSteps = (suits: readonly Suit[]): string[] => [
  `Count the suits ${showSuits(suits)} from 0. From the suit take the number just found, counting round 4.`,
  'That many times 13, plus the number before, plus 1, is the stack number.',
];

export const roundsExample = (parts: Parts, suit: Suit, before: string): string[] => [
  before,
  `${showSuit(suit)} is ${parts.suitIndex}: ${parts.suitIndex} − ${parts.base} round 4 = ${parts.rounds}`,
  `13 × ${parts.rounds} + ${parts.base} + 1 = ${stackNumberOf(parts)}`,
];
