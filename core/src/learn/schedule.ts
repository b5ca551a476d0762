import {
  Card as FsrsCard,
  CardInput,
  checkParameters,
  createEmptyCard,
  date_diff,
  default_w,
  FSRS,
  fsrs,
  Rating,
} from 'ts-fsrs';
import { Outcome } from '../deck/problem';
import { Grade } from './grade';

/** How well an item is held: the state of the schedule, in plain numbers. Times are milliseconds since 1970. */
export interface Memory {
  readonly due: number;
  /** In days: after so long it is recalled nine times in ten. */
  readonly stability: number;
  /** From 1 to 10. */
  readonly difficulty: number;
  /** 0 new, 1 learning, 2 held, 3 learning again. */
  readonly state: 0 | 1 | 2 | 3;
  /** How many days there are to the next answer. */
  readonly scheduled: number;
  /** Which of the short steps at the beginning it is at. */
  readonly step: number;
  readonly reps: number;
  readonly lapses: number;
  readonly last?: number;
}

export interface ScheduleSettings {
  /** How likely an item is to be recalled when it is asked again: 0.7 to 0.97. */
  readonly retention: number;
  /** The 21 parameters of FSRS 6. */
  readonly weights: readonly number[];
}

/**
 * The usual schedule. With a retention of 0.94 to 0.96 simulated learners (`npm run bench`) hold an order after the
 * fewest answers; these three differ by less than the learners do.
 */
export const SCHEDULE: ScheduleSettings = { retention: 0.95, weights: default_w };

/** Answers to an item that the schedule is run over. */
export interface Graded {
  readonly at: number;
  readonly grade: Grade;
}

/** A memory schedule: FSRS, as `ts-fsrs` implements it, without chance. */
export interface Schedule {
  /** An item that has never been answered. */
  fresh(at: number): Memory;
  /** What an answer makes of it. */
  next(memory: Memory, grade: Grade, at: number): Memory;
  /** How likely it is to be recalled at a moment, from 0 to 1; 0 for one that was never answered. */
  recall(memory: Memory, at: number): number;
}

const STATES = ['New', 'Learning', 'Review', 'Relearning'] as const;
const RATINGS = [Rating.Again, Rating.Hard, Rating.Good, Rating.Easy] as const;

const toCard = (memory: Memory): CardInput => ({
  // What is not named here is reckoned anew from the last answer.
  ...createEmptyCard(memory.due),
  due: memory.due,
  stability: memory.stability,
  difficulty: memory.difficulty,
  scheduled_days: memory.scheduled,
  learning_steps: memory.step,
  reps: memory.reps,
  lapses: memory.lapses,
  state: STATES[memory.state],
  ...(memory.last === undefined ? {} : { last_review: memory.last }),
});

const toMemory = (card: FsrsCard): Memory => ({
  due: card.due.getTime(),
  stability: card.stability,
  difficulty: card.difficulty,
  state: card.state,
  scheduled: card.scheduled_days,
  step: card.learning_steps,
  reps: card.reps,
  lapses: card.lapses,
  ...(card.last_review ? { last: card.last_review.getTime() } : {}),
});

/** The weights as they may be used, or what is wrong with them. */
export const checkWeights = (
  weights: readonly number[],
): Outcome<{ readonly weights: readonly number[] }> => {
  try {
    return { ok: true, weights: [...checkParameters([...weights])] };
  } catch {
    return {
      ok: false,
      problems: [
        { what: 'These are no parameters of the schedule.', remedy: 'Give 21 numbers with commas between.' },
      ],
    };
  }
};

export const scheduleBy = ({ retention, weights }: ScheduleSettings = SCHEDULE): Schedule => {
  const scheduler: FSRS = fsrs({ request_retention: retention, w: [...weights], enable_fuzz: false });
  return {
    fresh: (at) => toMemory(createEmptyCard(at)),
    next: (memory, grade, at) => toMemory(scheduler.next(toCard(memory), at, RATINGS[grade - 1]).card),
    // As the package's own `get_retrievability`, which makes a card of it first: thousands are asked for at once.
    recall: ({ state, last, stability }, at) =>
      state === 0 || last === undefined
        ? 0
        : scheduler.forgetting_curve(Math.max(0, date_diff(at, last, 'days')), Number(stability.toFixed(8))),
  };
};

/** An item's memory after all its answers, oldest first. */
export const replay = (schedule: Schedule, answers: readonly Graded[]): Memory | undefined =>
  answers.length === 0
    ? undefined
    : answers.reduce(
        (memory, { grade, at }) => schedule.next(memory, grade, at),
        schedule.fresh(answers[0].at),
      );
