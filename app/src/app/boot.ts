import {
  afterNextRender,
  ApplicationRef,
  DestroyRef,
  effect,
  inject,
  Injectable,
  Injector,
  untracked,
} from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { filter, first, fromEvent } from 'rxjs';
import { Scripts } from './platform/scripts';
import { secureOnly } from './platform/secure-only';
import { forgetTyped } from './platform/forget-typed';
import type { Database } from './storage/database';
import { LeftAction, leftInFlight, PASSED, takePassedOn } from './storage/in-flight';
import { sameRow } from './storage/action';
import { Journal } from './storage/journal';
import { PACK } from './nouns/pack/pack.kind';
import { roomsSeeded, SEEDED, SeededRow } from './storage/kinds/seeded';
import { SNAPSHOTS } from './nouns/backups/snapshots.kind';
import { Reader } from './storage/reader';
import { Rows } from './storage/rows';
import { ROOM_SAMPLES, RoomSamples, Samples } from './storage/samples';
import { Storage } from './storage/storage';

/** What this tab had not stored when it was left, and what closed ones had not; a reload leaves it in both places. */
const leftBefore = (): readonly LeftAction[] => {
  const own = leftInFlight();
  return [...takePassedOn().filter((passed) => !own.some((each) => sameRow(each, passed))), ...own];
};

/** What must be read before the first screen: the demo data on the first visit, then the state. */
@Injectable({ providedIn: 'root' })
export class Boot {
  private readonly storage = inject(Storage);
  private readonly journal = inject(Journal);
  private readonly reader = inject(Reader);
  private readonly rows = inject(Rows);
  private readonly scripts = inject(Scripts);
  private readonly injector = inject(Injector);
  private readonly app = inject(ApplicationRef);
  private readonly destroyed = inject(DestroyRef);
  private readonly rooms = inject(ROOM_SAMPLES);
  /** Whether nothing is stored here yet, as far as that can be told at once. */
  firstVisit = false;

  constructor() {
    // Storage that answers before anything was done is simply used.
    effect(() => {
      if (this.storage.late() && this.journal.nothingDone()) untracked(() => void this.keepLate());
    });
  }

  /**
   * On a first visit nothing is stored yet, so the screen neither waits for storage nor shares the machine with it.
   * On a later one it waits for the rows that it shows, and for no more.
   */
  async run(): Promise<void> {
    // Before anything is done, which would be kept in its place.
    this.journal.takeOver(leftBefore());
    this.firstVisit = !visitedBefore();
    if (!this.firstVisit) await this.open();
    else void painted(this.injector).then(() => this.open());
  }

  private async open(): Promise<void> {
    try {
      await this.seed(await this.storage.open());
      this.storage.openTo();
      await this.rows.glance();
      // Before the views fill fields again and the user goes on: that comes on top of it.
      this.journal.beginLeft(await this.storage.db());
      rememberVisit();
    } catch (error) {
      // Not even a database in memory: what is done shows, and is told not to be stored.
      console.warn(error);
      this.storage.trouble.update((trouble) => trouble ?? 'refused');
      this.storage.openTo();
    }
    void painted(this.injector)
      .then(() => this.afterwards())
      .catch((error: unknown) => console.warn(error));
  }

  /** Whether the application has ended meanwhile. */
  private isGone(): boolean {
    return this.app.destroyed;
  }

  /** What can wait until the first screen stands. */
  private async afterwards(): Promise<void> {
    await this.reader.ready().catch(() => undefined);
    if (this.isGone()) return;
    await this.journal.finish();
    if (this.isGone()) return;
    this.finishForOthers();
    this.persistFromFirstSave();
    // Without it a browser that is killed loses more keys; the page is not reloaded for its sake.
    const outbox = await import('./storage/outbox').catch(() => undefined);
    if (this.isGone()) return;
    await (outbox && this.injector.get(outbox.Outbox).begin());
    this.journal.allFinished();
    if (this.isGone()) return;
    const { BackupsStore } = await this.scripts.load(() => import('./nouns/backups/backups.store'));
    await this.injector.get(BackupsStore).takeWeekly(new Date());
  }

  /** Asks the browser to keep what is stored, once the user has stored something. */
  private persistFromFirstSave(): void {
    this.rows.settled
      .pipe(
        first((writes) => writes.some(({ place }) => place.kind.line !== undefined)),
        takeUntilDestroyed(this.destroyed),
      )
      .subscribe({ next: () => void askToPersist(), error: () => undefined });
  }

  /** Does what other tabs hand on when they are closed. */
  private finishForOthers(): void {
    const handedOn = fromEvent<StorageEvent>(window, 'storage').pipe(filter(({ key }) => key === PASSED));
    handedOn.pipe(takeUntilDestroyed(this.destroyed)).subscribe(() => {
      // In memory it would be lost: it waits for a tab that can store it.
      if (this.storage.trouble() !== undefined) return;
      this.journal.takeOver(takePassedOn());
      this.journal.finish().catch((error: unknown) => console.warn(error));
    });
  }

  /** Takes the browser's database, which answered late, into use, and what was done meanwhile into it. */
  async keepLate(): Promise<void> {
    const late = this.storage.late();
    if (!late) return;
    await this.seed(late);
    await this.journal.keepLate();
  }

  /** Lays out what the rooms have of the demo world, unless that has been done before. */
  private async seed(db: Database): Promise<void> {
    const lacking = this.lacking(await db.rows(SEEDED).get(SEEDED.single.key));
    if (lacking.length === 0) return;
    const samples = await this.samplesOf(lacking);
    await db.transaction('rw', [...tablesOf(samples)], async () => {
      const row = await db.rows(SEEDED).get(SEEDED.single.key);
      // Another tab may have been faster.
      if (this.lacking(row).length === lacking.length) await layOut(db, samples, this.paths(), row);
    });
  }

  /** The rooms whose samples were never laid out. */
  private lacking(row: SeededRow | undefined): readonly RoomSamples[] {
    return this.rooms.filter(({ path, samples }) => samples && !roomsSeeded(row).includes(path));
  }

  private paths(): readonly string[] {
    return this.rooms.filter(({ samples }) => samples).map(({ path }) => path);
  }

  private async samplesOf(rooms: readonly RoomSamples[]): Promise<Samples> {
    const each = await Promise.all(
      rooms.map(({ samples }) => this.scripts.load(() => samples?.() ?? Promise.resolve([]))),
    );
    return each.flat();
  }

  /**
   * Takes everything away, the journal too, and begins as on the first visit. Cannot be undone.
   *
   * @param snapshots whether the snapshots go as well.
   */
  async eraseAll(snapshots: boolean): Promise<void> {
    const samples = await this.samplesOf(this.rooms);
    const { Drafts } = await this.scripts.load(() => import('./storage/drafts'));
    const db = await this.storage.db();
    const tables = new Set(db.kinds.map(({ table }) => table));
    if (!snapshots) tables.delete(SNAPSHOTS.table);
    await db.transaction('rw', [...tables], async () => {
      await Promise.all([...tables].map((table) => db.table(table).clear()));
      await layOut(db, samples, this.paths());
    });
    forgetTyped();
    this.journal.forgetLeft();
    this.injector.get(Drafts).forget();
  }
}

const tablesOf = (samples: Samples): ReadonlySet<string> =>
  new Set([PACK.table, SEEDED.table, ...samples.map(({ kind }) => kind.table)]);

const layOut = async (
  db: Database,
  samples: Samples,
  rooms: readonly string[],
  before?: SeededRow,
): Promise<void> => {
  for (const { kind, rows } of samples) await db.rows(kind).bulkPut([...rows]);
  if (!(await db.rows(PACK).get(PACK.single.key))) await db.rows(PACK).put(PACK.single.standIn);
  await db.rows(SEEDED).put({
    id: 'seeded',
    at: before?.at ?? Date.now(),
    rooms: [...new Set([...(before?.rooms ?? []), ...rooms])],
  });
};

/** A hint that can be read at once, before the database is open; where it is wrong, the rows follow a little later. */
const VISITED = 'enumeron-visited';

const visitedBefore = (): boolean => {
  try {
    return localStorage.getItem(VISITED) !== null;
  } catch {
    return true;
  }
};

const rememberVisit = (): void => {
  try {
    localStorage.setItem(VISITED, '1');
  } catch {
    // Without it the first screen waits for the database; nothing else changes.
  }
};

/** Resolves when the first screen has been painted, or a second later in a tab that is not shown. */
const painted = (injector: Injector): Promise<void> =>
  new Promise((resolve) => {
    afterNextRender(() => requestAnimationFrame(() => setTimeout(resolve)), { injector });
    setTimeout(resolve, 1000);
  });

/** Asks the browser not to clear the data when it runs short of room. */
const askToPersist = async (): Promise<void> => {
  await secureOnly()
    .storage?.persist?.()
    .catch(() => false);
};
