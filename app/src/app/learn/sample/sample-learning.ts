import { inject, Injectable } from '@angular/core';
import { replay, scheduleBy } from '@enumeron/core/learn';
import { IMAGES } from '../../data/kinds/images';
import { ITEMS } from '../../data/kinds/items';
import { REVIEWS } from '../../data/kinds/reviews';
import { RUNS } from '../../data/kinds/runs';
import { roomsSeeded, SEEDED } from '../../data/kinds/seeded';
import { SCHEDULES } from '../../data/kinds/schedules';
import { SUMS } from '../../data/kinds/sums';
import { Storage } from '../../data/storage';
import { Clock } from '../../shared/clock';
import { Scripts } from '../../shared/scripts';

const ROOM = 'learn';
const KINDS = [ITEMS, REVIEWS, SUMS, RUNS, IMAGES] as const;
const TABLES = [SEEDED.table, SCHEDULES.table, ...KINDS.map(({ table }) => table)];

/** The sample practice of this room: laid out when the room is opened first, and taken away with one press. */
@Injectable()
export class SampleLearning {
  private readonly storage = inject(Storage);
  private readonly scripts = inject(Scripts);
  private readonly clock = inject(Clock);

  /** Lays the sample out, unless that was done before or something has been learnt already. */
  async layOut(): Promise<void> {
    const db = await this.storage.db();
    if (roomsSeeded(await db.rows(SEEDED).get(SEEDED.single.key)).includes(ROOM)) return;
    const { sampleRows } = await this.scripts.load(() => import('./sample-rows'));
    const rows = sampleRows(this.clock.now(), this.clock.offset());
    await db.transaction('rw', TABLES, async () => {
      const seeded = await db.rows(SEEDED).get(SEEDED.single.key);
      const rooms = roomsSeeded(seeded);
      // Another tab may have been faster.
      if (rooms.includes(ROOM)) return;
      await db
        .rows(SEEDED)
        .put({ id: 'seeded', at: seeded?.at ?? this.clock.now(), rooms: [...rooms, ROOM] });
      if ((await db.rows(ITEMS).count()) + (await db.rows(REVIEWS).count()) > 0) return;
      await db.rows(ITEMS).bulkPut([...rows.items]);
      await db.rows(REVIEWS).bulkPut([...rows.reviews]);
      await db.rows(SUMS).bulkPut([...rows.sums]);
      await db.rows(RUNS).bulkPut([...rows.runs]);
      if ((await db.rows(IMAGES).count()) === 0) await db.rows(IMAGES).bulkPut([...rows.images]);
    });
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
      for (const kind of KINDS)
        await db
          .table(kind.table)
          .filter((row: { sample?: true }) => row.sample === true)
          .delete();
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
