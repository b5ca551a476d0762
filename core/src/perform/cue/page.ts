import { Moment } from './search';

/** What is asked for on a page. */
export type Ask =
  | { readonly kind: 'card' }
  | { readonly kind: 'rank' }
  | { readonly kind: 'number'; readonly from: number; readonly to: number }
  | {
      readonly kind: 'option';
      readonly options: readonly string[];
      /** What stands for the first of them. */
      readonly from: 0 | 1;
    };

/** One step of a routine, as it is shown while it is performed. */
export interface StepPage {
  readonly kind: 'step';
  /** The step as it is written. */
  readonly path: string;
  /** What is seen or chosen at it is called so; empty where nothing is. */
  readonly name: string;
  /** What is said, to the audience. */
  readonly says: readonly string[];
  /** What is done, or what has been worked out: the largest thing on the page. */
  readonly does: string;
  /** The sums behind it: `20 − 3 = 17`. */
  readonly sums: readonly string[];
  readonly caution: string | undefined;
  readonly note: string | undefined;
  readonly ask: Ask | undefined;
  /** What must be seen here, where all that fits shows the same. */
  readonly shows: { readonly value: number; readonly says: string } | undefined;
  /** How all lies behind it, where that is the same in all that fits. */
  readonly moment: Moment | undefined;
}

/** Where it is open at which step they are. */
export interface WhichPage {
  readonly kind: 'which';
  readonly options: readonly { readonly at: string; readonly words: string }[];
}

/** The end of the steps. */
export interface EndPage {
  readonly kind: 'end';
  readonly how: 'held' | 'outs' | 'failed';
  /** What must be so now, or what the out is, or what is not so. */
  readonly words: readonly string[];
}

/** What was told fits nothing that they can have done. */
export interface NothingPage {
  readonly kind: 'nothing';
}

export type RunPage = StepPage | WhichPage | EndPage | NothingPage;
