import { TestBed } from '@angular/core/testing';
import fc from 'fast-check';
import { freshApp } from '../../../testing/fresh';
import { ROWS } from '../../../testing/kind-rows';
import { textFile } from '../../../testing/text-file';
import { undone } from '../../../testing/undo';
import { SampleRoom } from '../../storage/sample-room';
import { sameRow } from '../../storage/action';
import { BackupService, KindPreview, Preview, RestoreWay } from './backup';
import { Database } from '../../storage/database';
import { Kind } from '../../storage/kind';
import { KINDS } from '../kinds';
import { DAMAGED } from '../../storage/kinds/damaged';
import { ITEMS, ItemRow } from '../learning/items.kind';
import { ROOM_SAMPLES, Samples, sampleOf } from '../../storage/samples';

const MADE = new Date('2026-11-25T20:15:00Z');
const HELD = KINDS.filter(({ inBackup }) => inBackup);

type Filled = Readonly<Record<string, readonly unknown[]>>;

/** Twelve rows of a kind as its makers make them, or its only one: no two with the same key. */
const rowsOf = (kind: Kind, seed: number): readonly unknown[] => {
  const made = fc.sample(ROWS[kind.name], { numRuns: 40, seed });
  const rows = new Map(made.map((row) => [kind.keyOf(row), row]));
  return [...rows.values()].slice(0, kind.single ? 1 : 12);
};

/** In the place of all that a backup holds, other rows. */
const fill = async (db: Database, rows: (kind: Kind) => readonly unknown[]): Promise<void> => {
  for (const kind of HELD) {
    if (kind.single) await db.rows(kind).delete(kind.single.key);
    else await db.rows(kind).clear();
    await db.rows(kind).bulkPut([...rows(kind)]);
  }
};

/** All rows that a backup holds, by kind, in the order of their keys. */
const stored = async (db: Database): Promise<Filled> => {
  const filled: Record<string, unknown[]> = {};
  for (const kind of HELD)
    filled[kind.name] = (await db.rows(kind).toArray())
      .filter((row) => !kind.single || kind.keyOf(row) === kind.single.key)
      .map((row) => JSON.parse(JSON.stringify(row)) as unknown);
  return filled;
};

const backupOf = async (): Promise<string> => {
  const outcome = await TestBed.inject(BackupService).make(MADE);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.problems));
  return outcome.text;
};

const previewOf = async (text: string): Promise<Preview> => {
  const outcome = await TestBed.inject(BackupService).read(textFile('backup.json', text));
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.problems));
  return outcome.preview;
};

/** A backup with rows of every kind; and then a fresh browser with others, some of them under the same keys. */
const backupAndOthers = async (): Promise<{ db: Database; text: string; then: Filled; here: Filled }> => {
  const first = await freshApp();
  await fill(first, (kind) => rowsOf(kind, 1));
  const [text, then] = [await backupOf(), await stored(first)];
  TestBed.resetTestingModule();
  const db = await freshApp();
  await fill(db, (kind) => [
    ...rowsOf(kind, 2),
    ...rowsOf(kind, 1)
      .slice(0, 3)
      .map((row) => otherThan(kind, row)),
  ]);
  return { db, text, then, here: await stored(db) };
};

/** A row under the same key that says something else, where the kind has one among many. */
const otherThan = (kind: Kind, row: unknown): unknown => {
  const key = kind.keyOf(row);
  for (let seed = 3; seed < 40; seed++) {
    const [other] = fc.sample(ROWS[kind.name], { numRuns: 1, seed }) as Record<string, unknown>[];
    const moved = 'id' in other && !kind.single ? { ...other, id: key } : other;
    if (kind.keyOf(moved) === key && !sameRow(moved, row)) return moved;
  }
  return row;
};

const byKey = (kind: Kind, rows: readonly unknown[]): ReadonlyMap<string, unknown> =>
  new Map(rows.map((row) => [kind.keyOf(row), row]));

/** What must stand there after a restore, written from the words of docs/formats.md and not from the code. */
const expected = (
  kind: Kind,
  way: RestoreWay,
  then: readonly unknown[],
  here: readonly unknown[],
): unknown[] => {
  if (way === 'add') {
    if (kind.single) return [...here];
    const own = byKey(kind, here);
    return [...here, ...then.filter((row) => !own.has(kind.keyOf(row)))];
  }
  if (kind !== (DAMAGED as Kind)) return [...then];
  const taken = byKey(kind, then);
  return [...then, ...here.filter((row) => !taken.has(kind.keyOf(row)))];
};

test('every kind that a backup holds is filled with rows here', () => {
  for (const kind of HELD) expect([kind.name, rowsOf(kind, 1).length > 0]).toEqual([kind.name, true]);
});

test.each(['replace', 'add'] as const)(
  'what a backup holds is what a restore brings, kind by kind and row by row (%s); one undo takes it back',
  async (way) => {
    const { db, text, then, here } = await backupAndOthers();
    const preview = await previewOf(text);
    await TestBed.inject(BackupService).restore(preview, way, MADE);
    const after = await stored(db);
    for (const kind of HELD) {
      const wanted = byKey(kind, expected(kind, way, then[kind.name], here[kind.name]));
      expect([kind.name, byKey(kind, after[kind.name])]).toEqual([kind.name, wanted]);
    }
    expect(await undone()).toBe('restore a backup');
    expect(await stored(db)).toEqual(here);
  },
);

test('what is saved again after a restore in a fresh browser is the same backup', async () => {
  const { db, text } = await backupAndOthers();
  await db.rows(DAMAGED).clear();
  await TestBed.inject(BackupService).restore(await previewOf(text), 'replace', MADE);
  expect(await backupOf()).toBe(text);
});

test('the counts of the preview are what is then there', async () => {
  const { db, text, then, here } = await backupAndOthers();
  const preview = await previewOf(text);
  const countsOf = ({ kind, ...counts }: KindPreview): unknown => [kind.name, counts];
  const counted = HELD.map((kind) => {
    const [was, is] = [byKey(kind, then[kind.name]), byKey(kind, here[kind.name])];
    const counts = { new: 0, changed: 0, same: 0, removed: 0 };
    for (const [key, row] of was)
      counts[!is.has(key) ? 'new' : sameRow(is.get(key), row) ? 'same' : 'changed']++;
    if (kind !== (DAMAGED as Kind)) for (const key of is.keys()) if (!was.has(key)) counts.removed++;
    return [kind.name, counts];
  });
  expect(preview.kinds.map(countsOf)).toEqual(counted);
  await TestBed.inject(BackupService).restore(preview, 'add', MADE);
  for (const each of preview.kinds.filter(({ kind }) => !kind.single))
    expect([each.kind.name, (await stored(db))[each.kind.name].length]).toEqual([
      each.kind.name,
      here[each.kind.name].length + each.new,
    ]);
});

test('a sample that is laid out after a restore takes nothing of what was restored', async () => {
  const db = await freshApp();
  const [row, more] = rowsOf(ITEMS, 5) as ItemRow[];
  const sample = [{ ...row, truth: '1', sample: true as const }, more];
  await db.rows(ITEMS).put(row);
  const layOut = (room: string): Promise<void> =>
    TestBed.inject(SampleRoom).layOut(room, [ITEMS], (): Promise<Samples> =>
      Promise.resolve([sampleOf(ITEMS, sample)]),
    );
  await layOut('learn');
  expect(byKey(ITEMS as Kind, await db.rows(ITEMS).toArray())).toEqual(byKey(ITEMS as Kind, [row, more]));
});

test('what a backup was without stays away: a restore that replaces lays no sample out afterwards', async () => {
  const rooms = [{ path: 'learn' }];
  await freshApp([{ provide: ROOM_SAMPLES, useValue: rooms }]);
  const text = await backupOf();
  TestBed.resetTestingModule();
  const db = await freshApp([{ provide: ROOM_SAMPLES, useValue: rooms }]);
  await TestBed.inject(BackupService).restore(await previewOf(text), 'replace', MADE);
  const make = (): Promise<Samples> =>
    Promise.resolve([sampleOf(ITEMS, rowsOf(ITEMS as Kind, 5) as ItemRow[])]);
  await TestBed.inject(SampleRoom).layOut('learn', [ITEMS], make);
  expect(await db.rows(ITEMS).count()).toBe(0);
});
