import { JobRule } from '../job/job';
import { isHeld, Memories } from './plan';
import { Graded, Memory, replay, scheduleBy, ScheduleSettings } from './schedule';

/** An item with all its answers, oldest first. */
export type History = readonly (readonly [item: string, answers: readonly Graded[]])[];

export interface RescheduleArgs {
  readonly schedule: ScheduleSettings;
  readonly history: History;
}

/** Items with what their answers make of them. */
export interface Rescheduled {
  readonly memories: readonly (readonly [item: string, memory: Memory])[];
}

const PARTS = 4;

/** Replays every answer under a schedule; yields what was replayed so far. Items without answers are left out. */
export const RESCHEDULE: JobRule<RescheduleArgs, Rescheduled, Rescheduled> = {
  *start({ schedule: settings, history }) {
    const schedule = scheduleBy(settings);
    const memories: (readonly [string, Memory])[] = [];
    for (const [item, answers] of history) {
      const memory = replay(schedule, answers);
      if (memory) memories.push([item, memory]);
      yield { memories: [...memories] };
    }
    return { memories };
  },
  parts: {
    split: ({ schedule, history }) =>
      Array.from({ length: PARTS }, (_, part) => ({
        schedule,
        history: history.filter((__, index) => index % PARTS === part),
      })),
    join: <Value extends Rescheduled>(values: readonly Value[]) =>
      ({ memories: values.flatMap(({ memories }) => memories) }) as unknown as Value,
  },
};

/** What another schedule does, in numbers. */
export interface ScheduleChange {
  readonly items: number;
  readonly due: readonly [before: number, after: number];
  /** The mean number of days to the next question of what is held, before and after. */
  readonly interval: readonly [before: number, after: number];
}

const meanInterval = (memories: Memories): number => {
  const held = [...memories.values()].filter(isHeld);
  return held.length === 0 ? 0 : held.reduce((sum, { scheduled }) => sum + scheduled, 0) / held.length;
};

/** @param until items due before this moment are counted as due. */
export const scheduleChange = (before: Memories, after: Memories, until: number): ScheduleChange => {
  const dueOf = (memories: Memories): number =>
    [...memories.values()].filter(({ due }) => due < until).length;
  return {
    items: after.size,
    due: [dueOf(before), dueOf(after)],
    interval: [meanInterval(before), meanInterval(after)],
  };
};
