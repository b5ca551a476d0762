import { MendPart } from '../costs';
import { ENDS } from './plan';

/** What became of a routine that a night was planned with. */
export const ROUTINE_ENDINGS = [...ENDS, 'left out', 'not noted'] as const;
export type RoutineEnding = (typeof ROUTINE_ENDINGS)[number];

/** What a choice is of, where that is no number: a card, one of several ways, a word. */
export const SORTS = ['card', 'way', 'word'] as const;
export type Sort = (typeof SORTS)[number];

/** What was chosen or seen in a routine. */
export interface WasChosen {
  /** The step as it is written; empty where it stands in no procedure. */
  readonly path: string;
  /** What it is called: `cut`, `number`. */
  readonly name: string;
  /** The number; of a card its number, of ways which, of a word 0. */
  readonly value: number;
  /** A number unless told. */
  readonly sort?: Sort;
  /** The way or word in words. */
  readonly words?: string;
  /** What was said to whoever chose. */
  readonly said?: string;
  /** Between what numbers they could choose, both included. */
  readonly from?: number;
  readonly to?: number;
  /** Whether it was said aloud: a number, card or word that was named. */
  readonly named?: true;
  /** Whether the performer only saw it: nobody chose it. */
  readonly seen?: true;
  /** Set where nobody told it, and what was seen shows it. */
  readonly inSecret?: true;
}

/** How long something took, in seconds. */
export interface Took {
  readonly what: string;
  readonly seconds: number;
  /** Of a mend, the acts that it was. */
  readonly acts?: readonly MendPart[];
}

/** A routine as it was done. */
export interface RoutineDone {
  readonly id: string;
  readonly name: string;
  readonly how: RoutineEnding;
  /** The out that it ended in, where its procedure has one. */
  readonly out?: string;
  /** Why it missed or was stopped. */
  readonly why?: string;
  /** What the performer claimed and was wrong about. */
  readonly wrong?: string;
  /** Slips of one’s own, by the kinds of sums in which they happened. */
  readonly slips?: readonly string[];
  readonly choices: readonly WasChosen[];
  /** By the path of a step. */
  readonly steps: readonly Took[];
  /** By what was done. */
  readonly mends: readonly Took[];
}
