import { Bank } from '../../deck/bank';
import { mod } from '../../deck/mod';
import { Order } from '../../deck/order';
import { randomInt, Rng } from '../../deck/rng';
import { HeadWay } from '../../arrange/headWay';
import { SumLine } from '../../reckon/handSum';
import { AnswerKind } from '../entry';
import { Answer } from '../said';

/** The order that sums are asked of, its bank, and how its stack numbers are worked out, where it has them. */
export interface SumPack {
  readonly home: Order;
  readonly bank?: Bank;
  readonly way?: HeadWay;
}

/** What makes a sum hard: going once round the pack, a ten to cross, a third step. */
export type Hard = 'once round' | 'crosses a ten' | 'third step';

/** One sum to be done in the head. */
export interface Sum {
  /** What is asked about, the largest thing on the sheet: `7♦ at 15`. */
  readonly shown: string;
  /** What is given beside it: `K♥ at the face`. */
  readonly given?: string;
  readonly truth: Answer;
  readonly lines: readonly SumLine[];
}

/** What a sum is made from: one number for each of its kind's ranges. */
export type Inputs = readonly number[];

/** A range of whole numbers, both ends included. */
export type Range = readonly [least: number, most: number];

/** Everything that is known of one kind of sum: a kind is one constant, and a row in `kinds.ts`. */
export interface SumKind {
  readonly name: string;
  /** The question in one sentence, with `{shown}` and `{given}` where the sum's own stand. */
  readonly asks: string;
  readonly answer: AnswerKind;
  /** The address of Reckon's way that it practises; empty for a card at its number, undefined where there is none. */
  readonly way?: string;
  /** What it belongs to where it practises none of those ways: a row of weaves, the rule of an order. */
  readonly belongsTo?: 'weave' | 'rule';
  /** What its inputs may be; undefined where it cannot be asked of the pack. */
  ranges(pack: SumPack): readonly Range[] | undefined;
  /** The sum with these inputs; undefined where they make none. */
  make(pack: SumPack, inputs: Inputs): Sum | undefined;
}

/** The question of a sum in one sentence, with its cards and numbers in it. */
export const askSum = ({ asks }: SumKind, { shown, given = '' }: Sum): string =>
  asks.replaceAll('{shown}', shown).replaceAll('{given}', given);

/** How hard a sum may be: how many things make it so. */
export type Level = 0 | 1 | 2 | 3;
export const LEVELS: readonly Level[] = [0, 1, 2, 3];

const crossesTen = (total: number, amount: number): boolean => {
  const ones = mod(total, 10) + (amount < 0 ? -mod(-amount, 10) : mod(amount, 10));
  return ones < 0 || ones > 9;
};

/**
 * What makes a sum hard, told by its lines.
 *
 * @param size cards in the pack: adding so many is going once round.
 */
export const hardOf = (lines: readonly SumLine[], size: number): readonly Hard[] => {
  const hard = new Set<Hard>();
  let total = 0;
  let steps = 0;
  for (const { amount, role } of lines) {
    if (role !== 'add') {
      total = amount;
      continue;
    }
    if (Math.abs(amount) === size) hard.add('once round');
    else if (crossesTen(total, amount)) hard.add('crosses a ten');
    total += amount;
    if (++steps > 2) hard.add('third step');
  }
  return [...hard];
};

export const levelOf = ({ lines }: Sum, size: number): Level => hardOf(lines, size).length as Level;

/** A sum that was drawn, with all that is needed to draw it again. */
export interface Drawn {
  readonly kind: SumKind;
  readonly inputs: Inputs;
  readonly sum: Sum;
  readonly level: Level;
}

/** So many draws are made at most for one of the level that is wanted. */
const TRIES = 40;

/**
 * A sum of a kind by chance, as near to a level as a few tries bring it, and not the same as the last one.
 *
 * @returns undefined where the kind cannot be asked of the pack.
 */
export const drawSum = (
  kind: SumKind,
  pack: SumPack,
  level: Level,
  rng: Rng,
  last?: Inputs,
): Drawn | undefined => {
  const ranges = kind.ranges(pack);
  if (!ranges) return undefined;
  let best: Drawn | undefined;
  for (let tried = 0; tried < TRIES; tried++) {
    const inputs = ranges.map(([least, most]) => least + randomInt(rng, most - least + 1));
    const sum = kind.make(pack, inputs);
    if (!sum || (best && last?.join() === inputs.join())) continue;
    const drawn: Drawn = { kind, inputs, sum, level: levelOf(sum, pack.home.length) };
    if (drawn.level === level) return drawn;
    if (!best || Math.abs(drawn.level - level) < Math.abs(best.level - level)) best = drawn;
  }
  return best;
};
