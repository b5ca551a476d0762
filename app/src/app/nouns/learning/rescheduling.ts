import { inject, Injectable, Injector } from '@angular/core';
import { History as Answers, Memories, ScheduleSettings } from '@enumeron/core/learn';
import { filter, firstValueFrom, map } from 'rxjs';
import { Journal } from '../../storage/journal';
import { placeOf } from '../../storage/kind';
import { itemKey, ItemRow, ITEMS } from './items.kind';
import { ReviewRow } from './reviews.kind';
import { SCHEDULES } from './schedules.kind';
import { RUN_JOB } from '../../platform/workers/jobs';
import { History } from './history';
import { LearnStore } from './learn.store';

/** Each item's answers since it was begun, or begun anew, oldest first. @param rows the newest first. */
export const answersOf = (rows: readonly ReviewRow[]): Answers => {
  const items = new Map<string, { answers: { at: number; grade: ReviewRow['grade'] }[]; closed: boolean }>();
  for (const { item, at, grade, reset } of rows) {
    const own = items.get(item) ?? { answers: [], closed: false };
    items.set(item, own);
    if (reset) own.closed = true;
    else if (!own.closed) own.answers.push({ at, grade });
  }
  return [...items].map(([item, { answers }]) => [item, answers.reverse()]);
};

/** What another schedule would make of all that was answered. */
export interface Tried {
  readonly settings: ScheduleSettings;
  readonly memories: Memories;
}

/** Another schedule for the order that is learnt: tried first, then taken. */
@Injectable()
export class Rescheduling {
  private readonly journal = inject(Journal);
  private readonly store = inject(LearnStore);
  private readonly history = inject(History);
  private readonly injector = inject(Injector);

  /** Replays every answer of the order under a schedule. Nothing is changed. */
  async try(settings: ScheduleSettings): Promise<Tried> {
    const history = answersOf(await this.history.read(this.store.orderId()));
    const run = this.injector.get(RUN_JOB);
    const memories = await firstValueFrom(
      run('reschedule', { schedule: settings, history }).pipe(
        filter((state) => state.kind === 'ended'),
        map(({ result }) => new Map(result.memories)),
      ),
    );
    return { settings, memories };
  }

  /**
   * Takes a schedule that was tried, with what it makes of the items. Going back is taking the one before again.
   *
   * @returns whether it was taken: not where something was answered since.
   */
  async take({ settings, memories }: Tried): Promise<boolean> {
    const orderId = this.store.orderId();
    const ids = [...memories.keys()];
    let fits = true;
    await this.journal.store(
      'change the schedule',
      undefined,
      [placeOf(SCHEDULES, orderId), ...ids.map((id) => placeOf(ITEMS, itemKey(orderId, id)))],
      ([schedule, ...rows]) => {
        const items = rows as readonly (ItemRow | undefined)[];
        fits = items.every((row, index) => row?.memory.last === memories.get(ids[index])?.last);
        if (!fits) return [schedule, ...items];
        return [
          { id: orderId, ...settings },
          ...items.map((row, index) => row && { ...row, memory: memories.get(ids[index]) ?? row.memory }),
        ];
      },
    );
    for (const id of ids) this.store.touch(itemKey(orderId, id));
    return fits;
  }
}
