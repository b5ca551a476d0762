import { TestBed } from '@angular/core/testing';
import { cut } from '@enumeron/core/moves';
import { freshApp, until } from '../../testing/fresh';
import { PackStore } from '../pack/pack.store';
import { Boot } from './boot';
import { Database, DATABASE } from './db';
import { Drafts, TEXT_LIMIT } from './drafts';
import { keepInFlight, leftInFlight } from './in-flight';
import { Journal } from './journal';
import { OrdersStore } from './orders.store';
import { DEFAULT_SETTINGS, nameProblem, PackRow } from './rows';
import { sampleOrders } from './sample';
import { SettingsStore } from './settings.store';
import { LiveRow, StateRows } from './state-row';

const [tidemark] = sampleOrders();
let db: Database;

beforeEach(async () => {
  db = await freshApp();
});

const packRow = async (): Promise<PackRow> => (await db.state.get('pack')) as PackRow;
const turned = async (offset: number): Promise<PackRow> => ({
  ...(await packRow()),
  now: cut(tidemark.cards, offset),
});
const livePack = async (): Promise<LiveRow<PackRow>> => TestBed.inject(StateRows).live(await packRow());

describe('the first visit', () => {
  test('lays the demo world out once, and what is deleted stays so', async () => {
    expect(await db.orders.count()).toBe(5);
    await db.orders.delete(tidemark.id);
    await TestBed.inject(Boot).run();
    expect(await db.orders.count()).toBe(4);
  });

  test('does not wait for the database, and is remembered', async () => {
    localStorage.clear();
    await TestBed.inject(Boot).run();
    await until(() => localStorage.getItem('enumeron-visited') !== null);
  });

  test('what is done before the demo data is stored comes behind it', async () => {
    TestBed.resetTestingModule();
    localStorage.clear();
    db = new Database('first-action');
    TestBed.configureTestingModule({ providers: [{ provide: DATABASE, useValue: db }] });
    await TestBed.inject(Boot).run();
    await TestBed.inject(PackStore).apply({ kind: 'cut', count: 3 });
    expect((await packRow()).now).toEqual(cut(tidemark.cards, 3));
    expect(await db.orders.count()).toBe(5);
    expect(await TestBed.inject(Journal).undo()).toBe('cut 3 cards from the top to the bottom');
    expect((await packRow()).now).toEqual(tidemark.cards);
  });

  test('a browser that stores nothing is told to the user, and the application goes on', async () => {
    TestBed.resetTestingModule();
    const closed = new Database('closed');
    jest.spyOn(closed, 'transaction').mockRejectedValue(new Error('denied'));
    TestBed.configureTestingModule({ providers: [{ provide: DATABASE, useValue: closed }] });
    await TestBed.inject(Boot).run();
    expect(TestBed.inject(Boot).trouble()).toContain('keeps no data');
    // No samples can come: the list says that there are none, and does not wait for them.
    const { orders } = TestBed.inject(OrdersStore);
    TestBed.tick();
    await until(() => orders()?.length === 0);
  });

  test('erasing everything takes the journal too', async () => {
    await TestBed.inject(Journal).commit('a change', [
      { table: 'orders', key: tidemark.id, after: undefined },
    ]);
    await TestBed.inject(Boot).eraseAll();
    expect([await db.orders.count(), await db.journal.count(), await db.drafts.count()]).toEqual([5, 0, 0]);
  });
});

describe('an action on its way when the tab is left', () => {
  const reopened = (): Promise<void> => TestBed.inject(Boot).run();

  test('is written when the tab opens again, once', async () => {
    const action = {
      label: 'cut 3',
      writes: [{ table: 'state' as const, key: 'pack', after: await turned(3) }],
    };
    keepInFlight([action]);
    await reopened();
    expect(await packRow()).toEqual(await turned(3));
    keepInFlight([action]);
    await reopened();
    expect(await db.journal.count()).toBe(1);
    expect(leftInFlight()).toEqual([]);
  });

  test('is kept from the moment it is asked for until it is stored', async () => {
    const row = await turned(5);
    const written = TestBed.inject(Journal).commit('cut 5', [{ table: 'state', key: 'pack', after: row }]);
    expect(leftInFlight()).toMatchObject([{ label: 'cut 5' }]);
    await written;
    expect(leftInFlight()).toEqual([]);
  });

  test('is passed over when it is not what this version writes', async () => {
    sessionStorage.setItem(
      'enumeron-in-flight',
      '[{"label":"x","writes":[{"table":"state","key":"pack","after":7}]}]',
    );
    await reopened();
    expect((await packRow()).now).toEqual(tidemark.cards);
    expect(leftInFlight()).toEqual([]);
  });
});

describe('a live row', () => {
  test('shows at once what is set, and what another tab writes a moment later', async () => {
    const row = await livePack();
    const next = await turned(9);
    const written = row.set(next, () => db.state.put(next));
    expect(row.value()).toBe(next);
    await written;
    await db.state.put(await turned(20));
    await until(() => row.value().now[0] === tidemark.cards[20]);
  });

  test('never goes back to what was stored before a write that is on its way', async () => {
    const row = await livePack();
    const [first, second] = [await turned(1), await turned(2)];
    let store: () => void = () => undefined;
    const slow = row.set(second, () => new Promise<void>((resolve) => (store = resolve)));
    await db.state.put(first);
    await new Promise((resolve) => setTimeout(resolve, 60));
    expect(row.value()).toBe(second);
    store();
    await slow;
    await db.state.put(second);
    await new Promise((resolve) => setTimeout(resolve, 60));
    expect(row.value().now).toEqual(second.now);
  });

  test('a stored row of another shape is not shown', async () => {
    const row = await livePack();
    await db.state.put({ id: 'pack', home: 'nonsense' } as never);
    await new Promise((resolve) => setTimeout(resolve, 60));
    expect(row.value().now).toEqual(tidemark.cards);
  });
});

test('settings are kept, and default where they cannot be read', async () => {
  const store = TestBed.inject(SettingsStore);
  await store.change({ theme: 'wings' });
  expect(await db.state.get('settings')).toEqual({ ...DEFAULT_SETTINGS, theme: 'wings' });
  await db.state.put({ id: 'settings', theme: 'neon' } as never);
  await until(() => store.settings().theme === 'system');
});

describe('the journal', () => {
  const rename = (name: string): Promise<void> =>
    TestBed.inject(Journal).commit(`name ${name}`, [
      { table: 'orders', key: tidemark.id, after: { ...tidemark, name } },
    ]);

  test('an action over several rows is one, forth and back', async () => {
    const journal = TestBed.inject(Journal);
    const before = await packRow();
    await journal.commit('both', [
      { table: 'orders', key: tidemark.id, after: undefined },
      { table: 'state', key: 'pack', after: await turned(4) },
    ]);
    expect([await db.orders.get(tidemark.id), (await packRow()).now]).toEqual([
      undefined,
      cut(tidemark.cards, 4),
    ]);
    expect(await journal.undo()).toBe('both');
    expect([await db.orders.get(tidemark.id), await packRow()]).toEqual([tidemark, before]);
  });

  test('it says what undo and redo would do', async () => {
    const journal = TestBed.inject(Journal);
    await rename('Ebb');
    await until(() => journal.undoable() === 'name Ebb');
    await journal.undo();
    await until(() => journal.undoable() === undefined && journal.redoable() === 'name Ebb');
  });

  test('it keeps the last 300 actions, and those in order', async () => {
    for (let count = 1; count <= 305; count++) await rename(`N${count}`);
    expect(await db.journal.count()).toBe(300);
    expect(await TestBed.inject(Journal).undo()).toBe('name N305');
    expect((await db.orders.get(tidemark.id))?.name).toBe('N304');
  });
});

test('drafts are kept as they are written, but not a book of them', async () => {
  const drafts = TestBed.inject(Drafts);
  await drafts.keep({ id: 'new', name: '', text: 'AC 11' });
  expect(await drafts.find('new')).toEqual({ id: 'new', name: '', text: 'AC 11' });
  await drafts.keep({ id: 'new', name: '', text: 'x'.repeat(TEXT_LIMIT + 1) });
  expect((await drafts.find('new'))?.text).toBe('AC 11');
  await drafts.drop('new');
  expect(await drafts.find('new')).toBeUndefined();
  await db.drafts.put({ id: 'odd', name: 5 } as never);
  expect(await drafts.find('odd')).toBeUndefined();
});

test('names are plain text of a moderate length', () => {
  expect(['Tidemark', 'Ebbe und Flut', '潮', "O'Hara & Co"].map(nameProblem)).toEqual([
    undefined,
    undefined,
    undefined,
    undefined,
  ]);
  for (const name of ['', '   ', '<b>', 'a\u0007b', 'x'.repeat(61)]) expect(nameProblem(name)).toBeDefined();
});

test('on a first visit there are no orders yet, which is not the same as none', async () => {
  TestBed.resetTestingModule();
  const fresh = new Database('first-visit');
  TestBed.configureTestingModule({ providers: [{ provide: DATABASE, useValue: fresh }] });
  const store = TestBed.inject(OrdersStore);
  const said: unknown[] = [];
  for (let turn = 0; turn < 20; turn++) {
    said.push(store.orders());
    await new Promise((resolve) => setTimeout(resolve, 5));
  }
  expect(new Set(said)).toEqual(new Set([undefined]));
  await TestBed.inject(Boot).run();
  await until(() => store.orders()?.length === 5);
  // Taken away one by one, none are left, and that is told.
  for (const order of store.orders() ?? []) await store.remove(order);
  await until(() => store.orders()?.length === 0);
});
