import { inject, Injectable } from '@angular/core';
import { replay, scheduleBy } from '@enumeron/core/learn';
import { Kind } from '../../storage/kind';
import { IMAGES } from './images.kind';
import { ITEMS } from './items.kind';
import { REVIEWS } from './reviews.kind';
import { RUNS } from './runs.kind';
import { SCHEDULES } from './schedules.kind';
import { SUMS } from './sums.kind';
import { SampleRoom } from '../../storage/sample-room';
import { sampleOf, Samples } from '../../storage/samples';
import { Storage } from '../../storage/storage';
import { Clock } from '../../platform/clock';
import { Scripts } from '../../platform/scripts';

/** So long it is made at a time, in milliseconds. */
const SLICE = 8;

const KINDS: readonly Kind[] = [ITEMS, REVIEWS, SUMS, RUNS, IMAGES];
const TABLES = [SCHEDULES.table, ...KINDS.map(({ table }) => table)];

/** The sample practice of this room: laid out when the room is opened first, and taken away with one press. */
@Injectable()
export class SampleLearning {
  private readonly storage = inject(Storage);
  private readonly sample = inject(SampleRoom);
  private readonly scripts = inject(Scripts);
  private readonly clock = inject(Clock);

  /** Lays the sample out, unless that was done before or something has been learnt already. */
  layOut(): Promise<void> {
    const make = async (): Promise<Samples> => {
      const { sampleRows } = await this.scripts.load(() => import('./sample-rows'));
      const { items, reviews, sums, runs, images } = await this.inTurn(
        sampleRows(this.clock.now(), this.clock.offset()),
      );
      return [
        ...[sampleOf(ITEMS, items), sampleOf(REVIEWS, reviews), sampleOf(SUMS, sums), sampleOf(RUNS, runs)],
        sampleOf(IMAGES, images),
      ];
    };
    return this.sample.layOut('learn', KINDS, make, async (db, samples) => {
      if ((await db.rows(ITEMS).count()) + (await db.rows(REVIEWS).count()) > 0) return [];
      const ownImages = (await db.rows(IMAGES).count()) > 0;
      return samples.filter(({ kind }) => !(ownImages && kind.name === IMAGES.name));
    });
  }

  /** Does what pauses now and then, a slice at a time. */
  private async inTurn<Result>(steps: Generator<undefined, Result>): Promise<Result> {
    for (let began = this.clock.pageNow(); ;) {
      const step = steps.next();
      if (step.done) return step.value;
      if (this.clock.pageNow() - began < SLICE) continue;
      await this.clock.wait(0);
      began = this.clock.pageNow();
    }
  }

  /** Takes the sample away. What the user has answered since stays: such an item is as its own answers make it. */
  async takeAway(): Promise<void> {
    const db = await this.storage.db();
    await db.transaction('rw', TABLES, async () => {
      const own = (await db.rows(REVIEWS).toArray()).filter(
        ({ sample, withdrawn, reset }) => !sample && !withdrawn && !reset,
      );
      const touched = new Set(
        (
          await db
            .rows(REVIEWS)
            .filter(({ sample }) => sample === true)
            .toArray()
        ).map(({ order, item }) => `${order} ${item}`),
      );
      await this.sample.takeAway(KINDS);
      for (const row of await db.rows(ITEMS).toArray()) {
        if (!touched.has(row.id)) continue;
        const answers = own
          .filter(({ order, item }) => order === row.order && item === row.item)
          .sort((a, b) => a.at - b.at);
        const settings = await db.rows(SCHEDULES).get(row.order);
        const memory = replay(scheduleBy(settings), answers);
        if (memory) await db.rows(ITEMS).put({ ...row, memory, begun: answers[0].at });
        else await db.rows(ITEMS).delete(row.id);
      }
    });
  }
}
