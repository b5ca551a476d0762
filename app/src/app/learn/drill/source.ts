import { Signal } from '@angular/core';
import { ParamMap } from '@angular/router';
import { Answered, AnswerKind, Answer } from '@enumeron/core/learn';
import { SumLine } from '@enumeron/core/reckon';
import { Committed } from '../../storage/journal';

/** A card that is met for the first time: all that is to be known of it. */
export interface Meeting {
  readonly card: string;
  readonly number: string;
  readonly before: string;
  readonly after: string;
}

/** Something that is asked. The same asked again is another question. */
export interface Question {
  readonly asks: AnswerKind;
  /** The question, what it is about, and what is given beside it. */
  readonly question: string;
  readonly prompt: string;
  readonly given?: string | undefined;
  /** Whether the question has in it what it is about: one sentence that is all there is to show. */
  readonly isWhole?: true;
  /** The user's own memory image, where there is one. */
  readonly hint?: string;
  /** What is shown before it is asked. */
  readonly meeting?: Meeting | undefined;
}

/** What became of an answer that was to be taken back. */
export type TakenBack = 'taken back' | 'not stored yet' | 'answered since';

/** An answer as it was given: enough to show it and to take it back. */
export interface Given {
  readonly question: Question;
  readonly right: boolean;
  readonly truth: Answer;
  readonly said: Answer;
  /** What was mixed up, in a sentence; empty where nothing was. */
  readonly mixed: string;
  /** How it is worked out, where it is a sum. */
  readonly lines: readonly SumLine[];
  readonly ms: number;
  readonly hinted: boolean;
  readonly interrupted: boolean;
  readonly stored: Promise<Committed>;
  takeBack(): Promise<TakenBack>;
}

/** How an answer came about, as far as the page knows. */
export type How = Omit<Answered, 'right' | 'first'>;

/** Where a practice has its questions from, and what notes the answers. */
export abstract class Source {
  /** What is practised, as the practice that was left is known by; it may depend on the address. */
  abstract get what(): string;
  /** What it is called on the sheet. */
  abstract readonly title: Signal<string>;
  /** Whether all is read that the first question needs. */
  abstract readonly isRead: Signal<boolean>;
  /** How fast is fluent, in milliseconds. */
  abstract readonly fluent: Signal<number>;
  /** How long a question is seen, in milliseconds; undefined where it stays. */
  readonly flash: number | undefined;
  /** The address that a practice goes back to. */
  abstract readonly back: string;

  /** A practice begins: nothing has been asked. @param query what its address says. */
  abstract begin(query: ParamMap): void;
  /** What is asked next; undefined when there is nothing. */
  abstract next(): Question | undefined;
  /** Notes an answer: it shows at once. @param spent what it adds to the time of the practice, in milliseconds. */
  abstract give(question: Question, said: Answer, how: How, spent: number): Given;
  /** The question again, after its answer was taken back. */
  abstract again(question: Question): Question;
  /** Whether a question can still be answered: the order may have been edited. */
  abstract stands(question: Question): boolean;
}
