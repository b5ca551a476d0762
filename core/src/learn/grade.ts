/** How well an item was known, as the schedule takes it: 1 again, 2 hard, 3 good, 4 easy. */
export type Grade = 1 | 2 | 3 | 4;

/** How fast is fast, in milliseconds from the prompt to the first key of the answer. */
export interface Pace {
  /** Right within this is fluent: what a stage needs. */
  readonly fluent: number;
  /** Right within this is easy. */
  readonly quick: number;
  /** Right after more than this is hard. */
  readonly slow: number;
}

export const PACE: Pace = { fluent: 1500, quick: 750, slow: 4000 };

/** Longer than this nobody thinks about a card: something came between. */
export const INTERRUPTED = 20_000;

/** How an answer came about. */
export interface Answered {
  readonly right: boolean;
  /** From the frame in which the prompt was painted to the first key. */
  readonly ms: number;
  /** Whether a memory image was looked at. */
  readonly hinted?: boolean;
  /** Whether the tab was hidden in between. */
  readonly interrupted?: boolean;
  /** Whether it is the first answer to the item, which was shown a moment before. */
  readonly first?: boolean;
}

/** Whether the time of an answer says anything about it. */
export const isTimed = ({ ms, interrupted }: Answered): boolean => interrupted !== true && ms <= INTERRUPTED;

/**
 * The grade of an answer: wrong is again; right with a hint, or slowly, is hard; right quickly is easy; else good. A
 * time that says nothing makes no answer worse or better than good, and a first answer, a moment after the card was shown,
 * is not easy however quick it is.
 */
export const gradeOf = (answered: Answered, { quick, slow }: Pace = PACE): Grade => {
  if (!answered.right) return 1;
  if (answered.hinted) return 2;
  if (!isTimed(answered)) return 3;
  return answered.ms <= quick && !answered.first ? 4 : answered.ms > slow ? 2 : 3;
};

/** Whether an answer is what a stage needs. */
export const isFluent = (answered: Answered, { fluent }: Pace = PACE): boolean =>
  answered.right && answered.hinted !== true && isTimed(answered) && answered.ms <= fluent;
