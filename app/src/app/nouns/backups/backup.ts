import { inject, Injectable } from '@angular/core';
import { Outcome } from '@enumeron/core/deck';
import { sameRow } from '../../storage/action';
import type { Backup } from './backup-file';
import { BACKUP_WORK } from './backup-work';
import { Damage } from '../../storage/damage';
import type { Database } from '../../storage/database';
import { Committed, Journal } from '../../storage/journal';
import { Kind, onlyPlace, Place, placeOf } from '../../storage/kind';
import { kindNamed, KINDS } from '../kinds';
import { BACKUPS } from './backups.kind';
import { DAMAGED } from '../../storage/kinds/damaged';
import { roomsSeeded, SEEDED, SeededRow } from '../../storage/kinds/seeded';
import { SnapshotReason, SNAPSHOTS } from './snapshots.kind';
import { Reader } from '../../storage/reader';
import { ROOM_SAMPLES } from '../../storage/samples';
import { Rows } from '../../storage/rows';
import { rowsIn } from '../../storage/rows-in';
import { Storage } from '../../storage/storage';

/** What a backup would do to the rows of one kind. */
export interface KindPreview {
  readonly kind: Kind;
  readonly new: number;
  readonly changed: number;
  readonly same: number;
  /** Rows that are stored and not in the backup: they go when it replaces everything. */
  readonly removed: number;
}

/** What a backup would do. */
export interface Preview {
  readonly backup: Backup;
  readonly kinds: readonly KindPreview[];
}

/** How a backup is restored: everything as it was then, or only what is not there added. */
export type RestoreWay = 'replace' | 'add';

/** Writes all that the user has into one file, and takes such a file back. docs/formats.md describes it. */
@Injectable({ providedIn: 'root' })
export class BackupService {
  private readonly storage = inject(Storage);
  private readonly rows = inject(Rows);
  private readonly reader = inject(Reader);
  private readonly damage = inject(Damage);
  private readonly journal = inject(Journal);
  private readonly work = inject(BACKUP_WORK);
  private readonly rooms = inject(ROOM_SAMPLES);

  /**
   * The backup of this moment as the text of a file that has been read back. What is shown and not stored is in it;
   * rows that cannot be read are in it as they are, in a part of their own.
   */
  async make(made: Date): Promise<Outcome<{ text: string }>> {
    const db = await this.storage.db();
    const rows: Record<string, unknown[]> = {};
    for (const kind of KINDS.filter(({ inBackup }) => inBackup))
      rows[kind.name] = this.withUnstored(kind, await this.reader.reading(() => this.readable(db, kind)));
    rows[DAMAGED.name] = [...rows[DAMAGED.name], ...(await this.damage.allRows(made.getTime()))];
    return this.work.make(rows, made);
  }

  /** Takes note that a backup was saved as a file. */
  saved(made: Date): Promise<Committed> {
    return this.journal.commit('note the backup', [onlyPlace(BACKUPS)], () => [
      { id: 'backups', saved: made.getTime() },
    ]);
  }

  /** Keeps everything as it is now inside the browser, in the place of the last such snapshot. */
  async takeSnapshot(id: SnapshotReason, made: Date): Promise<Outcome<object>> {
    const outcome = await this.make(made);
    if (!outcome.ok) return outcome;
    const db = await this.storage.db();
    await db.rows(SNAPSHOTS).put({ id, at: made.getTime(), text: outcome.text });
    return { ok: true };
  }

  /** Reads a file, and what it would do. Nothing changes. */
  async read(file: File): Promise<Outcome<{ preview: Preview }>> {
    const outcome = await this.work.read(file);
    if (!outcome.ok) return outcome;
    const db = await this.storage.db();
    const kinds: KindPreview[] = [];
    for (const kind of covered(outcome.backup)) kinds.push(await this.previewOf(db, kind, outcome.backup));
    return { ok: true, preview: { backup: outcome.backup, kinds } };
  }

  /**
   * Restores a backup as one action that can be undone, with a snapshot before it: every kind that it holds.
   *
   * @param way `replace` makes these kinds as they were then, `add` brings the rows whose keys are not here.
   * @throws when storage refuses; nothing has changed then.
   */
  async restore({ backup }: Preview, way: RestoreWay, at: Date): Promise<void> {
    await this.takeSnapshot('restore', at);
    const db = await this.storage.db();
    const rows = new Map<Place, unknown>();
    for (const kind of covered(backup))
      for (const { key, held, stored } of await this.reader.reading(() => this.pairs(db, kind, backup))) {
        const wanted = bringing(kind, way, held, stored);
        if (wanted !== stored) rows.set(placeOf(kind, key), wanted);
      }
    // What was then without a room's sample stays without it.
    const noted = onlyPlace(SEEDED) as Place;
    if (way === 'replace') rows.set(noted, this.allSeeded(await db.rows(SEEDED).get(noted.key)));
    await this.journal.store('restore a backup', 'table', [...rows.keys()], () => [...rows.values()]);
  }

  private allSeeded(row: SeededRow | undefined): SeededRow {
    const rooms = [...roomsSeeded(row), ...this.rooms.map(({ path }) => path)];
    return { id: 'seeded', at: row?.at ?? 0, rooms: [...new Set(rooms)] };
  }

  /** What a backup holds of a kind beside what is stored: each key once. A row that cannot be read is as none. */
  private async pairs(db: Database, kind: Kind, backup: Backup): Promise<readonly Pair[]> {
    const held = new Map((backup.rows[kind.name] ?? []).map((row) => [kind.keyOf(row), row]));
    const pairs: Pair[] = [];
    for await (const [at, row] of rowsOf(db, kind)) {
      const key = at as string;
      if (!this.reader.read(kind, row).ok) continue;
      pairs.push({ key, held: held.get(key), stored: row });
      held.delete(key);
    }
    for (const [key, row] of held) pairs.push({ key, held: row, stored: undefined });
    return pairs;
  }

  private async previewOf(db: Database, kind: Kind, backup: Backup): Promise<KindPreview> {
    const counts = { new: 0, changed: 0, same: 0, removed: 0 };
    for (const { held, stored } of await this.reader.reading(() => this.pairs(db, kind, backup))) {
      // Where there is one row at most, one stands always: what is not stored is the stand-in.
      if (sameRow(stored ?? kind.single?.standIn, held ?? kind.single?.standIn)) counts.same++;
      else if (stored === undefined && !kind.single) counts.new++;
      else if (held !== undefined) counts.changed++;
      else if (bringing(kind, 'replace', held, stored) === undefined) counts.removed++;
    }
    return { kind, ...counts };
  }

  private async readable(db: Database, kind: Kind): Promise<readonly unknown[]> {
    const rows: unknown[] = [];
    for await (const [, row] of rowsOf(db, kind)) if (this.reader.read(kind, row).ok) rows.push(row);
    return rows;
  }

  /** The rows of a kind as they are shown. */
  private withUnstored(kind: Kind, rows: readonly unknown[]): unknown[] {
    const unstored = this.rows.unstored(kind);
    return [
      ...rows.filter((row) => !unstored.has(kind.keyOf(row))),
      ...[...unstored.values()].filter((row) => row !== undefined),
    ];
  }
}

/** The kinds of a backup that are restored. */
const covered = ({ kinds }: Backup): readonly Kind[] =>
  kinds.flatMap((name) => kindNamed(name) ?? []).filter(({ inBackup }) => inBackup);

/** The rows of a kind with their keys. */
const rowsOf = (db: Database, { table, single }: Kind): ReturnType<typeof rowsIn> =>
  rowsIn(db, table, single && [single.key]);

/** A row of a backup and the stored one under the same key; undefined where there is none. */
interface Pair {
  readonly key: string;
  readonly held: unknown;
  readonly stored: unknown;
}

/** What stands under a key once a backup is restored. Damaged rows are kept aside for good: none goes. */
const bringing = (kind: Kind, way: RestoreWay, held: unknown, stored: unknown): unknown => {
  if (way === 'replace') return kind === (DAMAGED as Kind) ? (held ?? stored) : held;
  return kind.single ? stored : (stored ?? held);
};

/** The name of a backup file: `enumeron-2026-11-25.json`. */
export const backupName = (made: Date): string => `enumeron-${made.toISOString().slice(0, 10)}.json`;
