import { MendPart } from '../perform/costs';
import { ENDS } from '../perform/cue/plan';

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

/** One night as it was, a date to come, or what is left of one that was removed. */
export interface Night {
  readonly id: string;
  /** When it began, or begins; in milliseconds. */
  readonly at: number;
  /** When it was changed last, in milliseconds; as old as the night itself where nothing is told. */
  readonly changed?: number;
  /** Before an audience, or a run-through alone. */
  readonly real: boolean;
  /** Trials with a friend: neither before an audience nor alone. */
  readonly practice?: true;
  /** The set as it was called that night, and its id. */
  readonly name: string;
  readonly set?: string;
  readonly place?: string;
  /** What audience it was, in whose words it was said; empty for all. */
  readonly audience: string;
  /** How many they were. */
  readonly size?: number;
  readonly done: readonly RoutineDone[];
  /** How long it took, in seconds; not there while it goes on, or where it was never ended. */
  readonly seconds?: number;
  readonly note?: string;
  /** What another calendar calls it. */
  readonly uid?: string;
  /** It was removed: what is left tells that to other devices. */
  readonly removed?: true;
  readonly sample?: true;
}

/** What is told of a night as a whole. */
export type NightHead = Omit<Night, 'done'>;

/** When a night was changed last. */
export const changedAt = ({ changed, at }: Night): number => changed ?? at;

/** The routines that were done and noted. */
export const doneIn = ({ done }: Pick<Night, 'done'>): readonly RoutineDone[] =>
  done.filter(({ how }) => how !== 'left out' && how !== 'not noted');

/** How many routines hit, and of how many. */
export const hitsOf = (night: Pick<Night, 'done'>): { readonly hits: number; readonly of: number } => {
  const done = doneIn(night);
  return { hits: done.filter(({ how }) => how === 'hit').length, of: done.length };
};

/** What a night is counted as. */
export type NightSort = 'real' | 'practice' | 'run-through';
export const sortOf = ({ real, practice }: Pick<Night, 'real' | 'practice'>): NightSort =>
  practice ? 'practice' : real ? 'real' : 'run-through';

/** What is left of a night that is removed. */
export const tombstoneOf = ({ id, at, real }: Night, changed: number): Night => ({
  ...{ id, at, real, changed, name: '', audience: '', done: [], removed: true },
});
