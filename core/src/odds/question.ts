import { Problem } from '../deck/problem';
import { Rng } from '../deck/rng';
import { Form, Values } from '../form/field';

/** One try: whether it came so. */
export type Trial = (rng: Rng) => boolean;

/** A question of chance that performers argue about: a question is one file, and a row in `questions.ts`. */
export interface OddsQuestion extends Form {
  /** Its address. */
  readonly path: string;
  /** What it is called, in a list. */
  readonly name: string;
  /** The question in full. */
  readonly asks: string;
  /** What is taken to be so. */
  readonly takes: string;
  /** Where the exact figure comes from. */
  readonly source: string;
  /** What is wrong with values that are each in their range; undefined where they go together. */
  problem?(values: Values): Problem | undefined;
  /** The exact chance, 0 to 1, of values that go together. */
  chance(values: Values): number;
  /** What it is the chance of, as a sentence: `Two mates lie side by side somewhere in a shuffled pack of 52.` */
  says(values: Values): string;
  /** What follows for who performs. */
  notes?(values: Values): readonly string[];
  /** How it is tried. */
  trial(values: Values): Trial;
  /** The field over which the curve is drawn, and from what to what. */
  readonly over: { readonly field: string; range(values: Values): readonly [from: number, to: number] };
}
