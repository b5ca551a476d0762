import { inject, Injectable } from '@angular/core';
import { Clock } from '../platform/clock';
import { Database } from './database';
import { Kind } from './kind';
import { roomsSeeded, SEEDED } from './kinds/seeded';
import { ROOM_SAMPLES, Samples } from './samples';
import { Storage } from './storage';

/** The sample of a room that has one of its own: laid out when the room is opened first, and taken away with one press. */
@Injectable({ providedIn: 'root' })
export class SampleRoom {
  private readonly storage = inject(Storage);
  private readonly clock = inject(Clock);
  /** Rooms whose samples are laid out before any is opened, among them. */
  private readonly rooms = inject(ROOM_SAMPLES);

  /**
   * Lays the sample out, unless that was done before.
   *
   * @param room its address. @param kinds all that the sample may have rows of. @param make called where it is lacking.
   * @param choose what of it is laid out beside what is there; all of it unless told.
   */
  async layOut(
    room: string,
    kinds: readonly Kind[],
    make: () => Promise<Samples>,
    choose: (db: Database, samples: Samples) => Promise<Samples> = (_, samples) => Promise.resolve(samples),
  ): Promise<void> {
    const db = await this.storage.db();
    if (roomsSeeded(await db.rows(SEEDED).get(SEEDED.single.key)).includes(room)) return;
    const samples = await make();
    await db.transaction('rw', [SEEDED.table, ...kinds.map(({ table }) => table)], async () => {
      const seeded = await db.rows(SEEDED).get(SEEDED.single.key);
      const rooms = roomsSeeded(seeded);
      // Another tab may have been faster.
      if (rooms.includes(room)) return;
      await db
        .rows(SEEDED)
        .put({ id: 'seeded', at: seeded?.at ?? this.clock.now(), rooms: [...rooms, room] });
      for (const { kind, rows } of await choose(db, samples)) await putNew(db, kind, rows);
    });
  }

  /** Has the samples of the rooms laid out again, each when its room is opened next, beside what is there. */
  async again(): Promise<void> {
    const rows = (await this.storage.db()).rows(SEEDED);
    const seeded = await rows.get(SEEDED.single.key);
    const atTheStart = this.rooms.filter(({ samples }) => samples).map(({ path }) => path);
    if (seeded)
      await rows.put({ ...seeded, rooms: roomsSeeded(seeded).filter((room) => atTheStart.includes(room)) });
  }

  /** Takes every row away that is marked as sample. Call it in a transaction, or by itself. */
  async takeAway(kinds: readonly Kind[]): Promise<void> {
    const db = await this.storage.db();
    for (const { table } of kinds)
      await db
        .table(table)
        .filter((row: { sample?: true }) => row.sample === true)
        .delete();
  }
}

/** So many rows are stored at once: all of them would hold the page up. */
const AT_ONCE = 100;

/** Stores the rows whose keys are not there: what a restored backup brought stays as it is. */
const putNew = async (db: Database, kind: Kind, rows: readonly unknown[]): Promise<void> => {
  for (let start = 0; start < rows.length; start += AT_ONCE) {
    const some = rows.slice(start, start + AT_ONCE);
    const stored: unknown[] = await db.rows(kind).bulkGet(some.map((row) => kind.keyOf(row)));
    await db.rows(kind).bulkPut(some.filter((_, index) => stored[index] === undefined));
  }
};
