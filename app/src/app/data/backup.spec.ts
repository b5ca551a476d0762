import { TestBed } from '@angular/core/testing';
import { parseCard } from '@enumeron/core/deck';
import { cut } from '@enumeron/core/moves';
import { freshApp, until } from '../../testing/fresh';
import { PackStore } from '../pack/pack.store';
import { BackupService, backupName } from './backup';
import { Boot } from './boot';
import { Database } from './db';
import { Journal } from './journal';
import { Origin } from './rows';
import { sampleOrders } from './sample';

const MADE = new Date('2026-11-25T20:15:00Z');
const [tidemark] = sampleOrders();

/** One of each way to make an order. */
const ORIGINS: readonly Origin[] = [
  { kind: 'rule', rule: { kind: 'rotating', first: 21, step: 5, suits: [1, 3, 2, 0] } },
  { kind: 'rule', rule: { kind: 'factory', suits: [0, 1, 2, 3], up: [true, true, false, false] } },
  { kind: 'bank', bank: { cards: [3, 4], places: [21, 22] } },
  { kind: 'random', seed: 7, conditions: { ranksApart: true, suitsApart: false, colourRun: 3 } },
  {
    kind: 'recipe',
    base: tidemark.cards,
    moves: [
      { kind: 'cut', count: 3 },
      { kind: 'weave', weave: 'in', top: 20 },
      { kind: 'deal heaps', heaps: 2, gather: [2, 1] },
      { kind: 'move packet', from: 2, to: 4, after: 9, reversed: true },
    ],
  },
];

let db: Database;
let backup: BackupService;

beforeEach(async () => {
  db = await freshApp();
  backup = TestBed.inject(BackupService);
});

const everything = async (): Promise<unknown> => ({
  orders: await db.orders.toArray(),
  state: (await db.state.toArray()).filter(({ id }) => id !== 'seeded'),
});

const problemsOf = async (text: string): Promise<string> => {
  const outcome = await backup.read(text);
  return outcome.ok ? '' : outcome.problems.map(({ where, what }) => `${where ?? ''} ${what}`).join('\n');
};

test('what is backed up comes back after everything was erased, and that can be undone', async () => {
  const pack = TestBed.inject(PackStore);
  await pack.see({ at: 'face', card: parseCard('KH') as number });
  await pack.keepBeside(sampleOrders()[1]);
  await db.state.put({ id: 'wanted', card: parseCard('7D') as number, number: 15 });
  await db.state.put({ id: 'settings', theme: 'wings', suitTints: true, singleKeys: false });
  await db.orders.put({
    ...tidemark,
    id: 'own',
    name: 'Own',
    cards: cut(tidemark.cards, 9),
    sample: false,
    made: 5,
    changed: 6,
  });
  for (const [index, origin] of ORIGINS.entries())
    await db.orders.put({ ...tidemark, id: `made-${index.toString()}`, name: 'Made', sample: false, origin });
  const before = await everything();
  const text = await backup.make(MADE);

  await TestBed.inject(Boot).eraseAll();
  expect(await db.orders.count()).toBe(sampleOrders().length);
  expect(await db.journal.count()).toBe(0);
  const fresh = await everything();

  const outcome = await backup.read(text);
  if (!outcome.ok) throw new Error('the backup is not read');
  await backup.restore(outcome.backup);
  expect(await everything()).toEqual(before);
  await until(() => pack.offset() === 3);

  await TestBed.inject(Journal).undo();
  expect(await everything()).toEqual(fresh);
});

test('a backup of a backup is the same file', async () => {
  const text = await backup.make(MADE);
  const outcome = await backup.read(text);
  if (outcome.ok) await backup.restore(outcome.backup);
  expect(await backup.make(MADE)).toBe(text);
  expect(backupName(MADE)).toBe('enumeron-2026-11-25.json');
});

test('a wrong backup changes nothing and says what is wrong, where', async () => {
  const before = await everything();
  const good = JSON.parse(await backup.make(MADE)) as { orders: Record<string, unknown>[] } & Record<
    string,
    unknown
  >;
  const withOrder = (part: Record<string, unknown>): string =>
    JSON.stringify({ ...good, orders: [{ ...good.orders[0], ...part }] });

  expect(await problemsOf('')).toContain('not JSON');
  expect(await problemsOf('{"a":\n  b')).toMatch(/Line 2, column 3.*not JSON/);
  expect(await problemsOf('null')).toContain('not a backup of Enumeron');
  expect(await problemsOf('[]')).toContain('not a backup of Enumeron');
  expect(await problemsOf(JSON.stringify({ ...good, version: 2 }))).toContain('newer Enumeron');
  expect(await problemsOf(JSON.stringify({ ...good, orders: undefined }))).toContain('orders');
  expect(await problemsOf(withOrder({ cards: 'AC 11H' }))).toContain(
    'orders › 0 › cards “11H” is not a card',
  );
  expect(await problemsOf(withOrder({ cards: 'AC AC' }))).toContain('AC is there twice');
  expect(await problemsOf(withOrder({ name: '<script>alert(1)</script>' }))).toContain('no < or >');
  expect(await problemsOf(withOrder({ name: 'x'.repeat(61) }))).toContain('at most 60');
  expect(await problemsOf(withOrder({ made: 'yesterday' }))).toContain('not a time');
  expect(await problemsOf(withOrder({ extra: 1 }))).toContain('extra');
  expect(
    await problemsOf(withOrder({ origin: { kind: 'recipe', base: [1], moves: [{ kind: 'run' }] } })),
  ).toContain('origin');
  expect(
    await problemsOf(
      JSON.stringify({ ...good, pack: { orderId: 'a', name: 'A', home: 'AC 2C', now: 'AC 3C' } }),
    ),
  ).toContain('other cards than its order');
  expect(await everything()).toEqual(before);
});
