import type { Rng } from '../deck/rng';
import type { Machine } from './machine';
import type { Choice } from './program';

/** How worlds ended: how many, or how likely, of each kind. */
export interface Counts {
  held: number;
  outs: number;
  failed: number;
  leftOut: number;
}

export type Why = 'claim' | 'cannot be done' | 'not known';

/** A world that failed: the choices in the order in which they were made, and where and why it ended. */
export interface Failure {
  readonly choices: readonly (readonly [name: string, value: number])[];
  /** The path of the step. */
  readonly at: string;
  readonly why: Why;
  /** Where something was mixed: its packet behind each mix, top card first, in the first order that fails so. */
  readonly orders?: readonly (readonly string[])[];
}

/** The most failures that are listed. */
export const MOST_FAILURES = 1000;

/** A failure of one case, to be found in one of its worlds. */
export interface SoughtFailure {
  /** What was chosen, in turn, and at which instructions. */
  readonly values: readonly number[];
  readonly choices: readonly number[];
  readonly at: string;
  readonly why: Why;
}

/** A part of a run: some values of its first choice, both ends included. */
export interface FirstValues {
  readonly from: number;
  readonly to: number;
}

/** How a machine goes through a program. */
export interface Way {
  /** Weighs every choice by its likelihood; otherwise each world counts one. */
  readonly weigh?: boolean;
  /** What is claimed to be known and is not, found by a run before: by claim, the sights that leave it open. */
  readonly open?: readonly ReadonlySet<string>[];
  /** Is shown every world that ends well; worlds that are alike are not taken together then. */
  readonly visit?: (machine: Machine) => void;
  /**
   * Is told how every world, or case where something is mixed, ended that was not left out, and at which step; worlds that are
   * alike are not taken together then.
   */
  readonly ended?: (machine: Machine, how: 'held' | 'outs' | 'failed', path: string) => void;
  /** Is told what is claimed to be known, and under which sights. */
  readonly looked?: (machine: Machine, claim: number, sights: string, value: number) => void;
  /** Ends when so many worlds have ended well. */
  readonly most?: number;
  /** Chooses and shuffles by chance: one world, from the beginning to its end, each time it is run. */
  readonly rng?: Rng;
  /** Of the first choice only values from one to another are tried. */
  readonly first?: FirstValues;
  /** Chooses: one world is run, which waits where this gives nothing. */
  readonly chosen?: (choice: Choice, low: number, high: number) => number | undefined;
  /** One case is looked for a world in which it fails so: it ends at the first. */
  readonly fixed?: SoughtFailure;
  /** Keeps all that the performer sees as it was, also where it is not read again. */
  readonly sights?: boolean;
  /** From how many values of a choice on they are run at once; Infinity: each by itself. */
  readonly atOnce?: number;
  /** From how many times on a choice is compared with the worlds that it met before. */
  readonly often?: number;
}
