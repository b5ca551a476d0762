import { Card } from '../deck/card';
import { Outcome } from '../deck/problem';
import { Move } from '../moves/move';
import { SumLine } from './handSum';

/** One fact that follows: a number or a few words, or a card. */
export interface KnownFact {
  readonly words: string;
  readonly value?: number | string;
  readonly card?: Card;
}

/** How a slot of the rail is marked by a reckoning. */
export type ReckonMark = 'wanted' | 'number' | 'seen' | 'bank' | 'face up' | 'missing';

/** What a pattern answers: what is known, what to do, the sum to do in the head, and the picture on the rail. */
export interface Reckoning {
  readonly known: readonly KnownFact[];
  /** What to do or say: the answer, without a full stop. */
  readonly answer: string;
  /** What is true then, or what else may be done. */
  readonly notes: readonly string[];
  readonly sum: readonly SumLine[];
  /** Places of the pack as it lies now, from 1. */
  readonly marks: readonly { readonly place: number; readonly mark: ReckonMark }[];
  /** What happens to the pack when this is done. */
  readonly moves: readonly Move[];
}

/** A reckoning, or what is lacking or cannot be. */
export type Reckoned = Outcome<{ reckoning: Reckoning }>;

/** A reckoning of which only some parts are given. */
export const reckoned = (parts: Partial<Reckoning> & Pick<Reckoning, 'answer'>): Reckoned => ({
  ok: true,
  reckoning: { known: [], notes: [], sum: [], marks: [], moves: [], ...parts },
});

/** No reckoning: what is in its way, and what to do. */
export const unreckoned = (what: string, remedy: string): Reckoned => ({
  ok: false,
  problems: [{ what, remedy }],
});
