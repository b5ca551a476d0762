import { TestBed } from '@angular/core/testing';
import { Origin } from '@enumeron/core/arrange';
import { parseCard } from '@enumeron/core/deck';
import { cut } from '@enumeron/core/moves';
import { freshApp, until } from '../../../testing/fresh';
import { textFile } from '../../../testing/text-file';
import { undone } from '../../../testing/undo';
import { FactsStore } from '../pack/facts.store';
import { PackStore } from '../pack/pack.store';
import { PatternsStore } from '../pack/patterns.store';
import { WantedStore } from '../pack/wanted.store';
import { backupName, BackupService, Preview } from './backup';
import { parseBackup } from './backup-file';
import { BackupsStore } from './backups.store';
import { Boot } from '../../boot';
import { Database } from '../../storage/database';
import { DATA_VERSION, kindNamed, KINDS } from '../kinds';
import { DAMAGED } from '../../storage/kinds/damaged';
import { JOURNAL } from '../../storage/kinds/journal';
import { ORDERS } from '../orders/orders.kind';
import { SNAPSHOTS } from './snapshots.kind';
import { OrderChanges } from '../pack/order-changes';
import { OrdersStore } from '../orders/orders.store';
import { sampleOrders } from '../orders/sample';
import { SettingsStore } from '../settings/settings.store';

const MADE = new Date('2026-11-25T20:15:00Z');
const [tidemark, wheel] = sampleOrders();

/** One of each way to make an order. */
const ORIGINS: readonly Origin[] = [
  { kind: 'rule', rule: { kind: 'rotating', first: 21, step: 5, suits: [1, 3, 2, 0] } },
  { kind: 'bank', bank: { cards: [3, 4], places: [21, 22] } },
  { kind: 'random', seed: 7, conditions: { ranksApart: true, suitsApart: false, colourRun: 3 } },
  { kind: 'recipe', base: tidemark.cards, moves: [{ kind: 'cut', count: 3 }] },
];

let db: Database;
let backup: BackupService;

beforeEach(async () => {
  db = await freshApp();
  backup = TestBed.inject(BackupService);
});

/** Every row of the kinds that a backup holds. */
const everything = async (): Promise<Record<string, unknown[]>> => {
  const rows: Record<string, unknown[]> = {};
  for (const kind of KINDS.filter(({ inBackup }) => inBackup))
    rows[kind.name] = (await db.rows(kind).toArray()).filter(
      (row) => !kind.single || kind.keyOf(row) === kind.single.key,
    );
  return rows;
};

const made = async (): Promise<string> => {
  const outcome = await backup.make(MADE);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.problems));
  return outcome.text;
};

const previewed = async (text: string): Promise<Preview> => {
  const outcome = await backup.read(textFile('backup.json', text));
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.problems));
  return outcome.preview;
};

const counts = ({ kinds }: Preview, name: string): readonly number[] => {
  const found = kinds.find(({ kind }) => kind === kindNamed(name));
  return found ? [found.new, found.changed, found.same, found.removed] : [];
};

const problemsOf = async (text: string): Promise<string> => {
  const outcome = await parseBackup(text);
  return outcome.ok ? '' : outcome.problems.map(({ where, what }) => `${where ?? ''} ${what}`).join('\n');
};

/** Something of every kind that a backup holds. */
const fill = async (): Promise<void> => {
  const [pack, orders] = [TestBed.inject(PackStore), TestBed.inject(OrdersStore)];
  await pack.see({ at: 'face', card: parseCard('KH') as number });
  await pack.keepBeside(wheel);
  await TestBed.inject(WantedStore).want({ card: parseCard('7D'), number: 15 });
  await TestBed.inject(FactsStore).add({ kind: 'cut' });
  await TestBed.inject(PatternsStore).set('two-cuts', 'first', 23);
  await TestBed.inject(SettingsStore).change({ theme: 'wings', suitTints: true });
  for (const origin of ORIGINS) await orders.add('Made', cut(tidemark.cards, 9), origin);
  await db.rows(ORDERS).put({ ...tidemark, id: 'odd', cards: [1, 1] });
};

test('what is backed up comes back after everything was erased, and that can be undone', async () => {
  await fill();
  const before = await everything();
  const text = await made();
  expect(Object.keys(before).sort()).toEqual(Object.keys((JSON.parse(text) as { rows: object }).rows).sort());

  await TestBed.inject(Boot).eraseAll(true);
  expect(await db.rows(ORDERS).count()).toBe(sampleOrders().length);
  expect(await db.rows(JOURNAL).count()).toBe(0);
  const fresh = await everything();

  await backup.restore(await previewed(text), 'replace', MADE);
  const after = await everything();
  // The damaged row came back in a part of its own, as it was.
  const [kept] = await db.rows(DAMAGED).toArray();
  expect(JSON.parse(kept.text)).toEqual(before['orders'].find((row) => (row as { id: string }).id === 'odd'));
  const sound = before['orders'].filter((row) => (row as { id: string }).id !== 'odd');
  expect({ ...after, damaged: [] }).toEqual({ ...before, orders: sound, damaged: [] });
  await until(() => TestBed.inject(PackStore).offset() === 3);

  expect(await undone()).toBe('restore a backup');
  expect({ ...(await everything()), damaged: [] }).toEqual(fresh);
});

test('a backup of a backup is the same file, and it is whole', async () => {
  await fill();
  await db.rows(ORDERS).delete('odd');
  const text = await made();
  const preview = await previewed(text);
  expect([preview.backup.intact, counts(preview, 'orders')]).toEqual([true, [0, 0, 9, 0]]);
  await backup.restore(preview, 'replace', MADE);
  expect(await made()).toBe(text);
  const altered = await previewed(text.replace('Made', 'Maid'));
  expect([altered.backup.intact, counts(altered, 'orders')]).toEqual([false, [0, 1, 8, 0]]);
  expect(backupName(MADE)).toBe('enumeron-2026-11-25.json');
});

test('every row that cannot be read is in a backup, whatever it was', async () => {
  await db.table('state').put({ id: 'left over', note: 'a row of no kind' });
  await db.table('drafts').put({ id: 'odd', subject: 5 });
  await db.table('journal').add({ label: 'damaged', changes: 'none' });
  const { rows } = JSON.parse(await made()) as { rows: { damaged: { kind: string; text: string }[] } };
  expect(rows.damaged.map(({ kind }) => kind).sort()).toEqual(['drafts', 'journal', 'state']);
  expect(rows.damaged.find(({ kind }) => kind === 'state')?.text).toContain('a row of no kind');
});

test('adding brings what is new and leaves all that is there', async () => {
  const text = await made();
  await TestBed.inject(OrdersStore).remove(tidemark);
  await TestBed.inject(OrderChanges).rename(wheel, 'Big wheel');
  const own = await TestBed.inject(OrdersStore).add('Own', tidemark.cards);
  await TestBed.inject(PackStore).apply({ kind: 'cut', count: 4 });
  const preview = await previewed(text);
  expect(counts(preview, 'orders')).toEqual([1, 1, 3, 1]);
  expect(counts(preview, 'pack')).toEqual([0, 1, 0, 0]);
  await backup.restore(preview, 'add', MADE);
  expect((await db.rows(ORDERS).get(tidemark.id))?.name).toBe('Tidemark');
  expect((await db.rows(ORDERS).get(wheel.id))?.name).toBe('Big wheel');
  expect(await db.rows(ORDERS).get(own)).toBeDefined();
  await until(() => TestBed.inject(PackStore).offset() === 4);
});

test('a backup of version 1 is read', async () => {
  const cards = 'AC 3H KH';
  const file = {
    format: 'enumeron-backup',
    version: 1,
    made: MADE.toISOString(),
    orders: [
      {
        id: 'a',
        name: 'Quay\u200b side',
        cards,
        sample: false,
        origin: { kind: 'rule', rule: { kind: 'factory', suits: [0, 1, 2, 3], up: [true, true, true] } },
        made: MADE.toISOString(),
        changed: MADE.toISOString(),
      },
    ],
    pack: { orderId: 'a', name: 'Quay side', home: cards, now: 'KH AC 3H', seen: { at: 'top', card: 'KH' } },
    wanted: { card: '3H', number: 2 },
    settings: { theme: 'wings', suitTints: false, singleKeys: true },
  };
  const preview = await previewed(JSON.stringify(file));
  expect([preview.backup.intact, counts(preview, 'orders')]).toEqual([undefined, [1, 0, 0, 5]]);
  await backup.restore(preview, 'replace', MADE);
  expect(await db.rows(ORDERS).toArray()).toEqual([
    {
      id: 'a',
      name: 'Quay side',
      cards: [0, 28, 38],
      sample: false,
      origin: { kind: 'rule', rule: { kind: 'factory', suits: [0, 1, 2, 3], up: [true, true, true, false] } },
      made: MADE.getTime(),
      changed: MADE.getTime(),
    },
  ]);
  await until(() => TestBed.inject(SettingsStore).settings().theme === 'wings');
  expect(TestBed.inject(PackStore).seen()).toEqual({ at: 'top', card: 38 });
});

test('snapshots are taken before a restore and weekly, one of each, and are backups', async () => {
  const text = await made();
  await backup.restore(await previewed(text), 'replace', MADE);
  const [snapshot] = await db.rows(SNAPSHOTS).toArray();
  expect([snapshot.id, snapshot.at, snapshot.text]).toEqual(['restore', MADE.getTime(), text]);
  const store = TestBed.inject(BackupsStore);
  await store.takeWeekly(new Date());
  expect(await db.rows(SNAPSHOTS).count()).toBe(1);
  const later = Date.now() + 8 * 86_400_000;
  await store.takeWeekly(new Date(later));
  await store.takeWeekly(new Date(later + 1));
  expect((await db.rows(SNAPSHOTS).toArray()).map(({ id, at }) => [id, at])).toEqual([
    ['restore', MADE.getTime()],
    ['week', later],
  ]);
  await TestBed.inject(Boot).eraseAll(false);
  expect(await db.rows(SNAPSHOTS).count()).toBe(2);
  await TestBed.inject(Boot).eraseAll(true);
  expect(await db.rows(SNAPSHOTS).count()).toBe(0);
});

test('a wrong backup changes nothing and says what is wrong, where', async () => {
  const before = await everything();
  const good = JSON.parse(await made()) as {
    rows: { orders: Record<string, unknown>[]; pack: unknown[] };
  } & Record<string, unknown>;
  const [first] = good.rows.orders;
  const withRows = (rows: object): string => JSON.stringify({ ...good, rows: { ...good.rows, ...rows } });
  const withOrder = (part: Record<string, unknown>): string => withRows({ orders: [{ ...first, ...part }] });
  for (const [text, says] of [
    ['', /not JSON/],
    ['{"a":\n  b', /Line 2, column 3.*not JSON/],
    ['['.repeat(20_000), /Line 1, column 41 .*nested too deep/],
    [`[${'0,'.repeat(3_000_000)}0]`, /not a backup of Enumeron/],
    ['null', /not a backup of Enumeron/],
    ['[]', /not a backup of Enumeron/],
    [JSON.stringify({ ...good, version: DATA_VERSION + 1 }), /newer Enumeron/],
    [JSON.stringify({ ...good, version: { toString: 1 } }), /version.*does not say which version/],
    [JSON.stringify({ ...good, made: 'yesterday' }), /made.*when it was made/],
    [JSON.stringify({ ...good, rows: undefined }), /rows.*holds no rows/],
    [JSON.stringify({ ...good, more: 1 }), /more.*does not belong/],
    [withRows({ journal: [] }), /journal.*does not belong/],
    [withRows({ constructor: [] }), /constructor.*does not belong/],
    [withRows({ orders: 7 }), /orders This is no list/],
    [withRows({ orders: [first, first] }), /orders › 2 The same order is there twice/],
    [withRows({ pack: [1, 2] }), /pack.*2 packs, and at most 1/],
    [withOrder({ cards: 'AC 11H' }), /orders › 1 › cards › 2 /],
    [withOrder({ cards: 'AC AC' }), /cards Something comes twice/],
    [withOrder({ cards: 'AC '.repeat(200) }), /cards/],
    [withOrder({ name: '<script>alert(1)</script>' }), /no < or >/],
    [withOrder({ made: 'yesterday' }), /made This is no time/],
    [withOrder({ id: [[['a']]] }), /orders › 1 › id/],
    [withOrder({ extra: 1 }), /extra/],
    [
      withOrder({ origin: { kind: 'recipe', base: [1], moves: [{ kind: 'run' }] } }),
      /origin › moves › 1 › kind/,
    ],
    [
      withRows({ pack: [{ id: 'pack', orderId: 'a', name: 'A', home: 'AC 2C', now: 'AC 3C' }] }),
      /pack › 1 .*other cards/,
    ],
  ] as const)
    expect(await problemsOf(text)).toMatch(says);
  expect(await everything()).toEqual(before);
});
