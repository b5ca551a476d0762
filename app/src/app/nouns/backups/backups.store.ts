import { computed, inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { map, merge, switchMap, throttleTime, timer } from 'rxjs';
import { BackupService } from './backup';
import { onlyPlace } from '../../storage/kind';
import { BACKUPS } from './backups.kind';
import { JOURNAL } from '../../storage/kinds/journal';
import { SEEDED } from '../../storage/kinds/seeded';
import { secureOnly } from '../../platform/secure-only';
import { SnapshotReason, SnapshotRow, SNAPSHOTS } from './snapshots.kind';
import { Rows } from '../../storage/rows';
import { Storage } from '../../storage/storage';

const [MINUTE, HOUR, DAY] = [60_000, 3_600_000, 86_400_000];

/** After so many days without a backup the settings say so. */
const REMIND_AFTER = 14;

/** After so many days of new work a sign asks for one, where the browser may clear what is stored. */
const RISKED = 7;

/** How often a snapshot is taken by itself, in days. */
const SNAPSHOT_EVERY = 7;

/** A snapshot without its text. */
export type SnapshotNote = Omit<SnapshotRow, 'text'> & { readonly size: number };

/** When backups were saved, and the snapshots that are kept inside the browser. */
@Injectable({ providedIn: 'root' })
export class BackupsStore {
  private readonly storage = inject(Storage);
  private readonly backup = inject(BackupService);
  private readonly rows = inject(Rows);
  private readonly note = this.rows.only(onlyPlace(BACKUPS));
  private readonly seeded = this.rows.only(onlyPlace(SEEDED));
  private readonly now = toSignal(timer(0, HOUR).pipe(map(() => Date.now())), { initialValue: 0 });

  /** When something was done last, where the browser may clear it; looked at now and then, and once something was stored. */
  private readonly clearable = toSignal(
    merge(timer(0, HOUR), this.rows.settled.pipe(throttleTime(MINUTE))).pipe(
      switchMap(() => this.lastClearable()),
    ),
  );

  /** When a backup was saved last; 0 for never. */
  readonly saved = computed(() => this.note().saved);
  /** For how many days there has been no backup, where they are many; else undefined. */
  readonly overdue = computed(() => {
    const since = Math.max(this.note().saved, this.seeded().at);
    const days = since === 0 ? 0 : Math.floor((this.now() - since) / DAY);
    return days >= REMIND_AFTER ? days : undefined;
  });
  /** For how many days there has been work that is in this browser alone, which may clear it; else undefined. */
  readonly atRisk = computed(() => {
    const since = Math.max(this.note().saved, this.seeded().at);
    if (since === 0 || (this.clearable() ?? 0) <= since) return undefined;
    const days = Math.floor((this.now() - since) / DAY);
    return days >= RISKED ? days : undefined;
  });
  /** Those that are kept, the newest first. */
  readonly snapshots = toSignal(
    this.storage
      .live((db) => db.rows(SNAPSHOTS).toArray())
      .pipe(
        map((rows) =>
          rows
            .map(({ id, at, text }): SnapshotNote => ({ id, at, size: text.length }))
            .sort((a, b) => b.at - a.at),
        ),
      ),
    { initialValue: [] },
  );

  private async lastClearable(): Promise<number | undefined> {
    if ((await persisted()) !== false) return undefined;
    const db = await this.storage.db();
    return (await db.rows(JOURNAL).toCollection().last())?.at;
  }

  /** The text of a snapshot, as that of a backup file. */
  async text(id: SnapshotReason): Promise<string | undefined> {
    const db = await this.storage.db();
    return (await db.rows(SNAPSHOTS).get(id))?.text;
  }

  async remove(id: SnapshotReason): Promise<void> {
    const db = await this.storage.db();
    await db.rows(SNAPSHOTS).delete(id);
  }

  /** Takes a snapshot when the last one, or the first visit, is a week ago. */
  async takeWeekly(at: Date): Promise<void> {
    if (this.storage.trouble() !== undefined) return;
    const db = await this.storage.db();
    const last = (await db.rows(SNAPSHOTS).get('week'))?.at ?? (await db.rows(SEEDED).get('seeded'))?.at;
    if (last !== undefined && at.getTime() - last >= SNAPSHOT_EVERY * DAY)
      await this.backup.takeSnapshot('week', at);
  }
}

const persisted = async (): Promise<boolean | undefined> =>
  secureOnly()
    .storage?.persisted?.()
    .catch(() => undefined);
