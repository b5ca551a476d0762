import { Rng, seededRng } from '../deck/rng';
import { JobRule } from '../job/job';
import { Card } from '../deck/card';
import { Order } from '../deck/order';
import { DAY, dayStart } from './day';
import { Direction, Item, itemId, itemsOf } from './item';
import { dueItems, freshItems, Plan } from './plan';
import { Memory, scheduleBy, ScheduleSettings } from './schedule';

/** What a forecast is made from; plain values, so that a worker can make it. */
export interface ForecastArgs {
  readonly order: Order;
  readonly directions: readonly Direction[];
  readonly blocks: readonly (readonly Card[])[];
  readonly newCards: number;
  readonly schedule: ScheduleSettings;
  readonly memories: readonly (readonly [item: string, memory: Memory])[];
  readonly now: number;
  /** What the place's clock is ahead of UTC by, in minutes. */
  readonly offset: number;
  /** So many minutes are practised on a day, and so long an answer takes, in milliseconds. */
  readonly minutes: number;
  readonly answerTime: number;
  /** How often the user was right where the schedule expected it, over what it expected: 1 is as expected. */
  readonly recallRate: number;
  readonly days: number;
  readonly runs: number;
  readonly seed: number;
}

/** One way in which it may go. */
interface Run {
  /** By day from today: items due when it begins, and answers given on it. */
  readonly due: readonly number[];
  readonly answers: readonly number[];
  /** The day on which all items are held for the first time, from today (0); undefined where none is. */
  readonly known: number | undefined;
}

export interface ForecastRuns {
  readonly runs: readonly Run[];
}

/** How likely a new card is right when it comes back the first time on its day. */
const NEW_RIGHT = 0.85;

/** Runs the schedule forward once, a day at a time, by chance. */
const runOnce = (args: ForecastArgs, plan: Plan, rng: Rng): Run => {
  const { schedule } = plan;
  const memories = new Map(args.memories);
  // Never before the last answer: the moment that is given may be rounded.
  const begins = Math.max(args.now, ...args.memories.map(([, { last }]) => last ?? 0));
  const [due, answers]: [number[], number[]] = [[], []];
  let known: number | undefined;
  const most = Math.floor((args.minutes * 60_000) / args.answerTime);
  for (let day = 0; day < args.days; day++) {
    // In the middle of the day of practice, which is the afternoon; today it is now.
    const began = dayStart(args.now, args.offset) + day * DAY;
    const now = day === 0 ? begins : began + DAY / 2;
    const today = dueItems(plan, memories, now, began + DAY - 1);
    due.push(today.length);
    let given = 0;
    const answer = (item: Item, right: number): boolean => {
      const memory = memories.get(itemId(item)) ?? schedule.fresh(now);
      const isRight = rng() < right;
      memories.set(itemId(item), schedule.next(memory, isRight ? 3 : 1, now + given * args.answerTime));
      given++;
      return isRight;
    };
    const queue = [...today, ...freshItems(plan, memories, plan.newCards)];
    for (const item of queue) {
      if (given >= most) break;
      const memory = memories.get(itemId(item));
      const recall = memory ? Math.min(1, schedule.recall(memory, now) * args.recallRate) : NEW_RIGHT;
      // What is wrong, or new, comes back until it is right once more.
      let isRight = answer(item, recall);
      for (
        let again = 0;
        given < most && again < 3 && (memories.get(itemId(item))?.state !== 2 || !isRight);
        again++
      )
        isRight = answer(item, NEW_RIGHT);
    }
    answers.push(given);
    if (known === undefined && plan.items.every((item) => memories.get(itemId(item))?.state === 2))
      known = day;
  }
  return { due, answers, known };
};

/** Runs are done in so many parts beside each other. */
const PARTS = 4;

/**
 * How learning may go on at this pace: how many items are due and answered on each day, and when all are held, over
 * several runs by chance; yields the runs so far.
 */
export const FORECAST: JobRule<ForecastArgs, ForecastRuns, ForecastRuns> = {
  *start(args) {
    const plan: Plan = {
      ...args,
      items: itemsOf(args.order, args.directions),
      schedule: scheduleBy(args.schedule),
    };
    const rng = seededRng(args.seed);
    const runs: Run[] = [];
    for (let count = 0; count < args.runs; count++) {
      runs.push(runOnce(args, plan, rng));
      yield { runs: [...runs] };
    }
    return { runs };
  },
  parts: {
    split: (args) =>
      Array.from({ length: PARTS }, (_, part) => ({
        ...args,
        runs: Math.floor((args.runs + part) / PARTS),
        seed: args.seed + 7919 * part,
      })),
    join: <Value extends ForecastRuns>(values: readonly Value[]) =>
      ({ runs: values.flatMap(({ runs }) => runs) }) as unknown as Value,
  },
};

/** The least, the middle and the most of several numbers, without the outer tenth at either side. */
export interface Band {
  readonly low: number;
  readonly middle: number;
  readonly high: number;
}

const bandOf = (values: readonly number[]): Band => {
  const sorted = [...values].sort((a, b) => a - b);
  const at = (part: number): number =>
    sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * part))] ?? 0;
  return { low: at(0.1), middle: at(0.5), high: at(0.9) };
};

/** What several runs come to: by day, and the days on which all is held where nine in ten runs get there. */
export const forecastOf = (
  { runs }: ForecastRuns,
  days: number,
): { readonly due: readonly Band[]; readonly answers: readonly Band[]; readonly known: Band | undefined } => {
  const byDay = (of: (run: Run) => readonly number[]): Band[] =>
    Array.from({ length: days }, (_, day) => bandOf(runs.map((run) => of(run)[day] ?? 0)));
  const known = runs.flatMap((run) => run.known ?? []);
  return {
    due: byDay(({ due }) => due),
    answers: byDay(({ answers }) => answers),
    known: runs.length > 0 && known.length >= 0.9 * runs.length ? bandOf(known) : undefined,
  };
};
