import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import Dexie from 'dexie';
import { cut } from '@enumeron/core/moves';
import fixture from '../../testing/database-1.json';
import { freshApp, newDatabase, provideApp, until } from '../../testing/fresh';
import { redone, undone } from '../../testing/undo';
import { Notices } from '../platform/notices';
import { FactsStore } from '../nouns/pack/facts.store';
import { PackStore } from '../nouns/pack/pack.store';
import { WantedStore } from '../nouns/pack/wanted.store';
import { BackupService } from '../nouns/backups/backup';
import { Boot } from '../boot';
import { Damage } from './damage';
import { databaseOf } from '../database';
import type { Database } from './database';
import { Drafts } from './drafts';
import { keepInFlight, leftInFlight, PASSED, passOn, takePassedOn } from './in-flight';
import { Journal, REST } from './journal';
import { onlyPlace, placeOf } from './kind';
import { KINDS } from '../nouns/kinds';
import { DAMAGED } from './kinds/damaged';
import { DRAFTS, TEXT_LIMIT } from './kinds/drafts';
import { JOURNAL } from './kinds/journal';
import { ORDERS, OrderRow } from '../nouns/orders/orders.kind';
import { PACK, PackRow } from '../nouns/pack/pack.kind';
import { PROCEDURES } from '../nouns/procedures/procedures.kind';
import { SENT } from '../nouns/procedures/sent.kind';
import { DEFAULT_SETTINGS, SETTINGS } from '../nouns/settings/settings.kind';
import { WANTED } from '../nouns/pack/wanted.kind';
import { WEAVE_ROWS } from '../nouns/weaves/weave-rows.kind';
import { liveRows } from './live-rows';
import { LatelyStore } from '../nouns/settings/lately.store';
import { OrderChanges } from '../nouns/pack/order-changes';
import { OrdersStore } from '../nouns/orders/orders.store';
import { Reader } from './reader';
import { sampleOrders } from '../nouns/orders/sample';
import { SettingsStore } from '../nouns/settings/settings.store';
import { MAKE_DATABASE, PATIENCE, Storage } from './storage';
import { Tab } from '../platform/tab';
import { pass } from '../../testing/pass';

const [tidemark] = sampleOrders();
let db: Database;

beforeEach(async () => {
  jest.spyOn(console, 'warn').mockImplementation(() => undefined);
  db = await freshApp();
});

const packRow = async (): Promise<PackRow> => (await db.rows(PACK).get('pack')) as PackRow;
const turned = (offset: number): PackRow => ({ ...PACK.single.standIn, now: cut(tidemark.cards, offset) });
const rename = (name: string, about?: string): Promise<unknown> =>
  TestBed.inject(Journal).commit(
    `name ${name}`,
    [placeOf(ORDERS, tidemark.id)],
    ([order]) => order && [{ ...order, name }],
    about,
  );
const nameOf = async (id: string): Promise<string | undefined> => (await db.rows(ORDERS).get(id))?.name;

/** Begins the application anew over a database, as a visit does. */
const visit = async (over: Database, patience = 3000): Promise<void> => {
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({
    providers: [...provideApp(over), { provide: PATIENCE, useValue: patience }],
  });
  await TestBed.inject(Boot).run();
};

/** Refuses every write from now on, as a full disk does. */
const fillDisk = (over: Database): (() => void) => {
  const puts = KINDS.map(({ table }) =>
    jest
      .spyOn(over.table(table), 'bulkPut')
      .mockRejectedValue(new DOMException('no room', 'QuotaExceededError')),
  );
  return () => puts.forEach((put) => put.mockRestore());
};

describe('the first visit', () => {
  test('lays the demo world out once, and what is deleted stays so', async () => {
    expect(await db.rows(ORDERS).count()).toBe(5);
    await db.rows(ORDERS).delete(tidemark.id);
    await visit(db);
    expect(await db.rows(ORDERS).count()).toBe(4);
  });

  test('does not wait for the database, and what is done before the demo data is stored comes behind it', async () => {
    localStorage.clear();
    const fresh = newDatabase();
    await visit(fresh);
    db = fresh;
    const cutting = TestBed.inject(PackStore).apply({ kind: 'cut', count: 3 });
    expect(TestBed.inject(PackStore).offset()).toBe(3);
    expect(await cutting).toBe('stored');
    expect((await packRow()).now).toEqual(cut(tidemark.cards, 3));
    expect(await db.rows(ORDERS).count()).toBe(5);
    expect(await undone()).toBe('cut 3 cards from the top to the bottom');
    expect((await packRow()).now).toEqual(tidemark.cards);
    expect(localStorage.getItem('enumeron-visited')).not.toBeNull();
  });

  test('there are no orders yet, which is not the same as none', async () => {
    localStorage.clear();
    await visit(newDatabase());
    const store = TestBed.inject(OrdersStore);
    expect(store.count()).toBeUndefined();
    await until(() => store.count() === 5);
  });

  test('erasing everything takes the journal and the drafts too', async () => {
    await rename('Ebb');
    await TestBed.inject(Drafts).keep('new', { text: 'AC' });
    await TestBed.inject(Boot).eraseAll(true);
    for (const [kind, count] of [
      [ORDERS, 5],
      [JOURNAL, 0],
      [DRAFTS, 0],
    ] as const)
      expect(await db.table(kind.table).count()).toBe(count);
  });
});

describe('storage in trouble', () => {
  afterEach(() => keepInFlight([]));

  test.each([
    ['refuses to open', () => Promise.reject(new DOMException('denied', 'SecurityError')), 'refused'],
    ['does not answer', () => new Promise(() => undefined), 'silent'],
  ])('that %s: all of it works in memory, undo and backup included', async (_, open, trouble) => {
    const closed = newDatabase();
    jest.spyOn(closed, 'open').mockImplementation(open as never);
    await visit(closed, 20);
    expect(TestBed.inject(Storage).trouble()).toBe(trouble);
    const [pack, store] = [TestBed.inject(PackStore), TestBed.inject(OrdersStore)];
    await until(() => store.count() === 5);
    expect(await pack.apply({ kind: 'cut', count: 7 })).toBe('stored');
    const id = await store.add('Harbour', tidemark.cards);
    await until(() => store.find(id)?.name === 'Harbour');
    expect(await undone()).toBe('new order Harbour');
    expect(await redone()).toBe('new order Harbour');
    const made = await TestBed.inject(BackupService).make(new Date());
    expect(made.ok && made.text.includes('Harbour')).toBe(true);
    expect(await undone()).toBe('new order Harbour');
    expect(await undone()).toBe('cut 7 cards from the top to the bottom');
    await until(() => pack.offset() === 0);
  });

  test('what was done in memory is there after a reload, but for what was undone', async () => {
    const refuse = (): Promise<never> => Promise.reject(new DOMException('no', 'SecurityError'));
    for (const [before, after] of [
      [0, 3],
      [3, 7],
    ]) {
      jest.spyOn(db, 'open').mockImplementation(refuse as never);
      await visit(db);
      const pack = TestBed.inject(PackStore);
      await until(() => pack.offset() === before);
      await pack.apply({ kind: 'cut', count: after - before });
      await pack.apply({ kind: 'cut', count: 9 });
      await undone();
      await until(() => pack.offset() === after);
    }
    expect(leftInFlight()).not.toEqual([]);
    // The browser's storage can be had again.
    jest.restoreAllMocks();
    await visit(db);
    await until(() => leftInFlight().length === 0);
    expect((await packRow()).now).toEqual(cut(tidemark.cards, 7));
  });

  test('in memory: what is erased does not come back with a reload', async () => {
    jest
      .spyOn(db, 'open')
      .mockImplementation((() => Promise.reject(new DOMException('no', 'SecurityError'))) as never);
    await visit(db);
    await TestBed.inject(PackStore).apply({ kind: 'cut', count: 3 });
    expect(leftInFlight()).toHaveLength(1);
    await TestBed.inject(Boot).eraseAll(true);
    expect(leftInFlight()).toEqual([]);
  });

  test('that answers late is offered what was done meanwhile', async () => {
    const slow = db;
    await rename('Ebb');
    let answer: () => void = () => undefined;
    const answered = new Promise<void>((resolve) => (answer = resolve));
    jest.spyOn(slow, 'open').mockImplementation((() => answered.then(() => slow)) as never);
    await visit(slow, 20);
    const [storage, pack] = [TestBed.inject(Storage), TestBed.inject(PackStore)];
    await pack.apply({ kind: 'cut', count: 3 });
    await pack.apply({ kind: 'cut', count: 4 });
    await undone();
    answer();
    await until(() => storage.late() !== undefined);
    expect((await packRow()).now).toEqual(tidemark.cards);
    await TestBed.inject(Boot).keepLate();
    expect([storage.trouble(), (await packRow()).now]).toEqual([undefined, cut(tidemark.cards, 3)]);
    expect(await undone()).toBe('cut 3 cards from the top to the bottom');
    expect(await undone()).toBe('name Ebb');
  });

  test('that answers late before anything was done is simply used', async () => {
    await rename('Ebb');
    let answer: () => void = () => undefined;
    const answered = new Promise<Database>((resolve) => (answer = () => resolve(db)));
    jest.spyOn(db, 'open').mockImplementation((() => answered) as never);
    await visit(db, 20);
    const storage = TestBed.inject(Storage);
    expect(storage.trouble()).toBe('silent');
    answer();
    await until(() => (TestBed.tick(), storage.trouble() === undefined));
    expect(await undone()).toBe('name Ebb');
  });

  test('of a newer version is shown, and nothing is written to it', async () => {
    const { name } = db;
    db.close();
    const newer = new Dexie(name);
    newer.version(9).stores({ orders: 'id, made, name', state: 'id', more: 'id' });
    await newer.open();
    await newer.table('state').put(turned(9));
    newer.close();
    db = databaseOf(name);
    await visit(db);
    expect(TestBed.inject(Storage).trouble()).toBe('newer');
    const pack = TestBed.inject(PackStore);
    await until(() => pack.offset() === 9);
    await pack.apply({ kind: 'cut', count: 1 });
    expect(pack.offset()).toBe(10);
    expect((await packRow()).now).toEqual(cut(tidemark.cards, 9));
  });

  test('that refuses a write: what was done stays, waits its turn, and is stored when there is room', async () => {
    const [pack, journal] = [TestBed.inject(PackStore), TestBed.inject(Journal)];
    const makeRoom = fillDisk(db);
    expect(await pack.apply({ kind: 'cut', count: 4 })).toBe('held');
    expect(await pack.apply({ kind: 'cut', count: 5 })).toBe('held');
    const id = await TestBed.inject(OrdersStore).add('Harbour', tidemark.cards);
    expect([pack.offset(), journal.held()]).toEqual([9, 3]);
    expect(TestBed.inject(OrdersStore).find(id)?.name).toBe('Harbour');
    const made = await TestBed.inject(BackupService).make(new Date());
    expect(made.ok && made.text.includes('Harbour')).toBe(true);
    expect((await packRow()).now).toEqual(tidemark.cards);
    expect(await undone()).toBe('new order Harbour');
    expect(await redone()).toBe('new order Harbour');
    expect(await undone()).toBe('new order Harbour');
    expect(await journal.tryAgain()).toBe(false);
    makeRoom();
    expect(await journal.tryAgain()).toBe(true);
    expect([journal.held(), (await packRow()).now]).toEqual([0, cut(tidemark.cards, 9)]);
    expect(await undone()).toBe('cut 5 cards from the top to the bottom');
  });

  test('what is held when the tab is left is stored when it opens again', async () => {
    const makeRoom = fillDisk(db);
    await TestBed.inject(PackStore).apply({ kind: 'cut', count: 6 });
    makeRoom();
    await visit(db);
    await until(() => leftInFlight().length === 0);
    expect((await packRow()).now).toEqual(cut(tidemark.cards, 6));
  });
});

describe('an action on its way when the tab is left', () => {
  const left = (before: PackRow | undefined, after: unknown): void =>
    keepInFlight([{ label: 'cut 3', writes: [{ kind: 'pack', key: 'pack', before, after }] }]);
  const settled = (): Promise<void> => until(() => leftInFlight().length === 0);

  test('is written when the tab opens again, once', async () => {
    for (let round = 0; round < 2; round++) {
      left(await packRow().then(() => turned(0)), turned(3));
      await visit(db);
      await settled();
      expect((await packRow()).now).toEqual(cut(tidemark.cards, 3));
    }
    expect(await db.rows(JOURNAL).count()).toBe(1);
  });

  test('is done first, however early the user goes on with the same row', async () => {
    left(turned(0), turned(3));
    await visit(db);
    // As a view does that fills a field again before anything is stored.
    await TestBed.inject(Journal).commit('cut 4', [onlyPlace(PACK)], ([row]) => [
      { ...row, now: cut(row.now, 4) },
    ]);
    await settled();
    expect((await packRow()).now).toEqual(cut(tidemark.cards, 7));
    expect([await undone(), await undone()]).toEqual(['cut 4', 'cut 3']);
  });

  test('that is on two lines of undo is passed over, and the others are done', async () => {
    const nights = KINDS.find(({ line }) => line === 'record');
    const writes = [{ kind: 'pack', key: 'pack', before: turned(0), after: turned(9) }];
    keepInFlight([
      { label: 'of both', writes: [...writes, { kind: nights?.name ?? '', key: 'n', after: {} }] },
      { label: 'cut 3', writes: [{ kind: 'pack', key: 'pack', before: turned(0), after: turned(3) }] },
    ]);
    await visit(db);
    await settled();
    expect((await packRow()).now).toEqual(cut(tidemark.cards, 3));
    expect(TestBed.inject(Storage).trouble()).toBeUndefined();
  });

  test('is kept from the moment it is asked for until it is stored', async () => {
    const written = TestBed.inject(PackStore).apply({ kind: 'cut', count: 5 });
    expect(leftInFlight()).toMatchObject([
      { writes: [{ kind: 'pack', after: { now: cut(tidemark.cards, 5) } }] },
    ]);
    await written;
    expect(leftInFlight()).toEqual([]);
  });

  test('is kept when something else is done and the tab is left again before it could be written', async () => {
    left(turned(0), turned(3));
    TestBed.resetTestingModule();
    TestBed.configureTestingModule({
      providers: [
        ...provideApp(db),
        { provide: MAKE_DATABASE, useValue: () => new Promise<never>(() => undefined) },
      ],
    });
    void TestBed.inject(Boot).run();
    TestBed.inject(LatelyStore).use('elsewhere');
    expect(leftInFlight()).toHaveLength(2);
    await visit(db);
    await settled();
    expect((await packRow()).now).toEqual(cut(tidemark.cards, 3));
  });

  test('is handed on when its tab is closed, and done by another one or the next', async () => {
    const hide = (persisted: boolean): unknown =>
      window.dispatchEvent(Object.assign(new Event('pagehide'), { persisted }));
    const refused = async (count: number): Promise<void> => {
      const table = db.table(PACK.table);
      jest.spyOn(table, 'bulkPut').mockRejectedValue(new DOMException('no room', 'AbortError'));
      await TestBed.inject(PackStore).apply({ kind: 'cut', count });
      jest.restoreAllMocks();
    };
    await refused(5);
    // The browser keeps the page: it goes on by itself.
    hide(true);
    expect(takePassedOn()).toEqual([]);
    hide(false);
    // A closed tab's own memory is gone with it.
    keepInFlight([]);
    await visit(db);
    const pack = TestBed.inject(PackStore);
    await until(() => pack.offset() === 5 && leftInFlight().length === 0);
    expect(takePassedOn()).toEqual([]);
    hide(false);
    expect(takePassedOn()).toEqual([]);

    // Not by one that keeps nothing.
    const storage = TestBed.inject(Storage);
    storage.trouble.set('silent');
    passOn([{ label: 'a', writes: [] }]);
    window.dispatchEvent(Object.assign(new Event('storage'), { key: PASSED }));
    expect(takePassedOn()).toHaveLength(1);
    storage.trouble.set(undefined);

    // By another tab that is open.
    passOn([
      { label: 'cut 4', writes: [{ kind: 'pack', key: 'pack', before: turned(5), after: turned(9) }] },
    ]);
    await until(() => {
      window.dispatchEvent(Object.assign(new Event('storage'), { key: PASSED }));
      return pack.offset() === 9;
    });
    await settled();
    expect((await packRow()).now).toEqual(cut(tidemark.cards, 9));

    // Reloaded, it lies in both places and is done once.
    left(turned(9), turned(12));
    passOn(leftInFlight());
    await visit(db);
    await settled();
    expect((await packRow()).now).toEqual(cut(tidemark.cards, 12));
    expect(takePassedOn()).toEqual([]);
  });

  test.each<[string, (before: PackRow | undefined) => Promise<unknown>]>([
    [
      'changed it back',
      (before) => TestBed.inject(Journal).commit('as before', [onlyPlace(PACK)], () => [before ?? turned(0)]),
    ],
    ['undid it', () => TestBed.inject(Journal).undo('table')],
  ])('that was stored all the same is not done again where the user %s', async (_, back) => {
    await TestBed.inject(PackStore).apply({ kind: 'cut', count: 1 });
    const before = await packRow();
    await TestBed.inject(PackStore).apply({ kind: 'cut', count: 3 });
    left(before, await packRow());
    await visit(db);
    await back(before);
    await settled();
    await pass(1200);
    expect(await packRow()).toEqual(before);
  });

  test('does not overwrite what another tab did since, and is passed over when it is no row', async () => {
    left(turned(8), turned(9));
    await visit(db);
    await settled();
    left(turned(0), 7);
    await visit(db);
    await settled();
    // It is told by a notice, whose script comes first.
    await pass(200);
    sessionStorage.setItem('enumeron-in-flight', '[{"label":"x","writes":[7]},7]');
    await visit(db);
    await TestBed.inject(PackStore).apply({ kind: 'cut', count: 1 });
    expect((await packRow()).now).toEqual(cut(tidemark.cards, 1));
  });
});

describe('a live row', () => {
  test('shows at once what is done, and what another tab writes a moment later', async () => {
    const pack = TestBed.inject(PackStore);
    const written = pack.apply({ kind: 'cut', count: 9 });
    expect(pack.offset()).toBe(9);
    await written;
    await db.rows(PACK).put(turned(20));
    await until(() => pack.offset() === 20);
  });

  test('is the same value as long as it says the same', async () => {
    const pack = TestBed.inject(PackStore);
    await pack.apply({ kind: 'cut', count: 9 });
    const now = pack.now();
    await db.rows(PACK).put({ ...(await packRow()) });
    await TestBed.inject(SettingsStore).change({ theme: 'wings' });
    expect(pack.now()).toBe(now);
  });

  test('goes on after a reading that failed, and says so meanwhile', async () => {
    const table = db.rows(ORDERS);
    const reading = jest.spyOn(table, 'get').mockRejectedValueOnce(new Error('no reading'));
    const { find } = TestBed.inject(OrdersStore);
    find.call(TestBed.inject(OrdersStore), tidemark.id);
    await until(() => TestBed.inject(Storage).unread());
    reading.mockRestore();
    await until(() => find.call(TestBed.inject(OrdersStore), tidemark.id) !== undefined);
    expect(TestBed.inject(Storage).unread()).toBe(false);
  });
});

describe('what was done stays shown while it is stored and read again', () => {
  /** Everything that was shown while something was done, and a while after, without repeats. */
  const shownWhile = async <Value>(show: () => Value, act: () => Promise<unknown>): Promise<Value[]> => {
    const values = [show()];
    const over = signal(false);
    void act().then(() => setTimeout(() => over.set(true), 60));
    while (!over()) {
      await pass();
      if (JSON.stringify(show()) !== JSON.stringify(values.at(-1))) values.push(show());
    }
    return values;
  };

  test('in a list of its kind', async () => {
    const list = TestBed.runInInjectionContext(() => liveRows(WEAVE_ROWS));
    await until(() => list() !== undefined);
    const before = list()?.length ?? 0;
    const journal = TestBed.inject(Journal);
    const at = placeOf(WEAVE_ROWS, 'a');
    const row = { id: 'a', name: 'A', row: [], at: 1 };
    const show = (): unknown[] => [list()?.length, list()?.find(({ id }) => id === 'a')?.name];
    expect(await shownWhile(show, () => journal.commit('keep', [at], () => [row]))).toEqual([
      [before, undefined],
      [before + 1, 'A'],
    ]);
    const rename = (name: string) => journal.commit('name', [at], ([kept]) => kept && [{ ...kept, name }]);
    expect(await shownWhile(show, () => Promise.all(['B', 'C'].map(rename)))).toEqual([
      [before + 1, 'A'],
      [before + 1, 'C'],
    ]);
    expect(await shownWhile(show, () => journal.commit('remove', [at], () => [undefined]))).toEqual([
      [before + 1, 'C'],
      [before, undefined],
    ]);
  });

  test('among the orders, and how many they are', async () => {
    const store = TestBed.inject(OrdersStore);
    const range = signal({ start: 0, end: 20 });
    const page = TestBed.runInInjectionContext(() => store.page(range));
    await until(() => page().length > 0);
    const count = page().length;
    const show = (): unknown[] => [store.count(), page().length, page().at(-1)?.id];
    const last = page().at(-1)?.id;
    let added = '';
    const add = async (): Promise<void> => void (added = await store.add('New', tidemark.cards));
    expect(await shownWhile(show, add)).toEqual([
      [count, count, last],
      [count + 1, count + 1, added],
    ]);
    const order = store.find(added) as OrderRow;
    const names = (): unknown => page().map((each) => ('order' in each ? each.order.name : ''));
    const before = names() as string[];
    let newest = '';
    const both = async (): Promise<void> => {
      const [newer] = await Promise.all([
        store.add('Newer', tidemark.cards),
        TestBed.inject(OrderChanges).rename(order, 'Old'),
      ]);
      newest = newer;
    };
    expect((await shownWhile(names, both)).slice(1)).toEqual([[...before.slice(0, -1), 'Old', 'Newer']]);
    await store.remove(store.find(newest) as OrderRow);
    expect(await shownWhile(show, () => store.remove(order))).toEqual([
      [count + 1, count + 1, added],
      [count, count, last],
    ]);
  });

  test('in a row that is changed again and again', async () => {
    const pack = TestBed.inject(PackStore);
    const cutOn = async (): Promise<void> => {
      for (let each = 0; each < 12; each++) {
        void pack.apply({ kind: 'cut', count: 1 });
        await pass(each);
      }
      await until(() => leftInFlight().length === 0);
    };
    const shown = await shownWhile(() => pack.offset(), cutOn);
    expect(shown).toEqual([...shown].sort((a = 0, b = 0) => a - b));
    expect(shown.at(-1)).toBe(12);
  });
});

describe('what is told tap by tap', () => {
  const restful = async (rest: number, most: number): Promise<WantedStore> => {
    TestBed.resetTestingModule();
    db = await freshApp([{ provide: REST, useValue: [rest, most] }]);
    return TestBed.inject(WantedStore);
  };
  const stored = async (): Promise<unknown> => (await db.rows(WANTED).get('wanted'))?.number;

  test('shows at once, and is stored together when the hand rests', async () => {
    const wanted = await restful(150, 60_000);
    const writing = jest.spyOn(db.table(WANTED.table), 'bulkPut');
    const told = [5, 6, 7].map(async (number) => {
      await pass(number * 10);
      return wanted.want({ number });
    });
    await until(() => wanted.number() === 7);
    expect(writing).not.toHaveBeenCalled();
    // Should the tab be left meanwhile, it is written when it opens again.
    expect(leftInFlight()).toHaveLength(3);
    await Promise.all(told);
    expect(writing).toHaveBeenCalledTimes(1);
    expect(await stored()).toBe(7);
  });

  test('does not wait for ever while the hand does not rest', async () => {
    const wanted = await restful(10_000, 100);
    await wanted.want({ number: 8 });
    expect(await stored()).toBe(8);
  });

  test('is stored at once before undo, with what does not wait, and when the page is left', async () => {
    const wanted = await restful(60_000, 60_000);
    void wanted.want({ number: 5 });
    expect(await undone()).toBe('want a card at 5');
    expect(await stored()).toBeUndefined();
    await until(() => wanted.number() === undefined);
    void wanted.want({ number: 6 });
    await TestBed.inject(PackStore).apply({ kind: 'cut', count: 4 });
    expect(await stored()).toBe(6);
    const leaving = wanted.want({ number: 7 });
    await pass(150);
    document.dispatchEvent(new Event('visibilitychange'));
    await leaving;
    expect(await stored()).toBe(7);
  });
});

test('settings are kept and undone, and default where they cannot be read', async () => {
  const store = TestBed.inject(SettingsStore);
  await store.change({ theme: 'wings' });
  expect(await db.rows(SETTINGS).get('settings')).toEqual({ ...DEFAULT_SETTINGS, theme: 'wings' });
  expect(await undone()).toBe('change a setting');
  await until(() => store.settings().theme === 'system');
  await db.table('state').put({ id: 'settings', theme: 'neon' });
  await until(() => TestBed.inject(Damage).met().size === 1);
  expect(store.settings()).toEqual(DEFAULT_SETTINGS);
});

describe('the journal', () => {
  test('an action over several rows is one, forth and back', async () => {
    const before = await packRow();
    const places = [placeOf(ORDERS, tidemark.id), onlyPlace(PACK)] as const;
    await TestBed.inject(Journal).commit('both', places, ([, pack]) => [
      undefined,
      { ...pack, now: cut(pack.now, 4) },
    ]);
    expect([await db.rows(ORDERS).get(tidemark.id), (await packRow()).now]).toEqual([
      undefined,
      cut(tidemark.cards, 4),
    ]);
    expect(await undone()).toBe('both');
    expect([await db.rows(ORDERS).get(tidemark.id), await packRow()]).toEqual([tidemark, before]);
  });

  test('it says what undo and redo would do', async () => {
    const journal = TestBed.inject(Journal);
    await rename('Ebb');
    await until(() => journal.undoable('table') === 'name Ebb');
    await undone();
    await until(() => journal.undoable('table') === undefined && journal.redoable('table') === 'name Ebb');
  });

  test('it keeps the last 300 actions, and those in order', async () => {
    await Promise.all(Array.from({ length: 305 }, (_, index) => rename(`N${(index + 1).toString()}`)));
    expect(await db.rows(JOURNAL).count()).toBe(300);
    expect(await undone()).toBe('name N305');
    expect(await nameOf(tidemark.id)).toBe('N304');
  });

  test('what goes on with the same thing at once is one action with it', async () => {
    // However slow the machine is: what is at once is told by the clock.
    const clock = jest.spyOn(Date, 'now').mockReturnValue(Date.UTC(2026, 10, 25));
    await rename('E', 'typing');
    await rename('Eb', 'typing');
    await rename('Ebb', 'typing');
    await rename('Flood', 'other');
    clock.mockRestore();
    expect([await undone(), await nameOf(tidemark.id)]).toEqual(['name Flood', 'Ebb']);
    expect([await undone(), await nameOf(tidemark.id)]).toEqual(['name Ebb', 'Tidemark']);
    expect([await redone(), await nameOf(tidemark.id)]).toEqual(['name Ebb', 'Ebb']);
  });

  test('an undo that would overwrite a later change says so, and does it when told', async () => {
    await rename('Ebb');
    await db.rows(ORDERS).put({ ...tidemark, name: 'Elsewhere' });
    const journal = TestBed.inject(Journal);
    expect(await journal.undo('table')).toEqual({ kind: 'changed since', label: 'name Ebb', what: 'order' });
    expect(await nameOf(tidemark.id)).toBe('Elsewhere');
    expect(await journal.undo('table', true)).toEqual({ kind: 'done', label: 'name Ebb' });
    expect(await nameOf(tidemark.id)).toBe('Tidemark');
  });

  test('a damaged entry is put aside, and undo goes on with the one before it', async () => {
    await rename('Ebb');
    await db
      .table('journal')
      .add({ line: 'table', label: 'damaged', at: 'yesterday', done: 1, changes: 'none' });
    expect(await undone()).toBe('name Ebb');
    expect((await db.rows(DAMAGED).toArray()).map(({ kind }) => kind)).toEqual(['journal']);
  });

  test('what no reader would take is not stored, and its action is undone on the screen', async () => {
    const row = { ...tidemark, id: 'a', cards: [1, 1] };
    const done = await TestBed.inject(Journal).commit('odd', [placeOf(ORDERS, 'a')], () => [row as OrderRow]);
    expect([done, await db.rows(ORDERS).get('a'), TestBed.inject(OrdersStore).find('a')]).toEqual([
      'nothing',
      undefined,
      undefined,
    ]);
  });
});

describe('drafts', () => {
  test('are kept as they are written, each tab its own', async () => {
    const drafts = TestBed.inject(Drafts);
    await drafts.keep('new', { name: '', text: 'AC 11' });
    expect(await drafts.find('new')).toEqual({ name: '', text: 'AC 11' });
    await drafts.drop('new');
    expect(await drafts.find('new')).toBeUndefined();
    await db.table('drafts').put({ id: 'odd', name: 5 });
    expect(await drafts.left('new')).toEqual([]);
  });

  test('of a tab that is gone are offered, the newest first, until they are thrown away', async () => {
    const drafts = TestBed.inject(Drafts);
    const row = { tab: 'gone', subject: 'new', at: 5, fields: { text: 'AC' } };
    await db.rows(DRAFTS).bulkPut([
      { ...row, id: 'a' },
      { ...row, id: 'b', at: 9 },
      { ...row, id: 'c', subject: 'other' },
      { ...row, id: 'd', fields: { text: 'x'.repeat(TEXT_LIMIT + 1) } },
    ]);
    const left = await drafts.left('new');
    expect(left.map(({ id }) => id)).toEqual(['b', 'a']);
    await drafts.discard(left[0]);
    expect((await drafts.left('new')).map(({ id }) => id)).toEqual(['a']);
  });

  test('that cannot be stored are told, and stored with the next key when there is room', async () => {
    const drafts = TestBed.inject(Drafts);
    const full = jest.spyOn(db.table('drafts'), 'put').mockRejectedValue(new Error('no room'));
    await drafts.keep('new', { text: 'A' });
    expect(drafts.failed()).toBe(true);
    full.mockRestore();
    await drafts.keep('new', { text: 'AC' });
    expect([drafts.failed(), await drafts.find('new')]).toEqual([false, { text: 'AC' }]);
  });

  /** What local storage holds of this tab, and a draft that was there before the application began. */
  const KEY = 'enumeron-drafts ';
  const unstored = async (): Promise<unknown> =>
    JSON.parse(localStorage.getItem(KEY + (await TestBed.inject(Tab).id)) ?? 'null');

  test('are kept at once, and until the database has them', async () => {
    const drafts = TestBed.inject(Drafts);
    await drafts.find('new');
    const stored = drafts.keep('new', { text: 'AC' });
    expect(await unstored()).toMatchObject([{ subject: 'new', fields: { text: 'AC' } }]);
    await stored;
    expect(await unstored()).toBeNull();
    const full = jest.spyOn(db.table('drafts'), 'put').mockRejectedValue(new Error('no room'));
    await drafts.keep('new', { text: 'AC 2' });
    expect(await drafts.find('new')).toEqual({ text: 'AC 2' });
    full.mockRestore();
    await drafts.drop('new');
    expect([await drafts.find('new'), await unstored()]).toEqual([undefined, null]);
  });

  test('that were not stored are this tab’s after a reload, and of one that is gone are offered', async () => {
    const own = await TestBed.inject(Tab).id;
    const [at, subject] = [7, 'new'];
    localStorage.setItem(
      KEY + own,
      JSON.stringify([
        { at, subject, fields: { text: 'mine' } },
        { at, subject: 5 },
      ]),
    );
    localStorage.setItem(`${KEY}gone`, JSON.stringify([{ at, subject, fields: { text: 'theirs' } }]));
    localStorage.setItem(`${KEY}odd`, '[{"subject":"new","at":1,"fields":{"text":{}}},7');
    await db
      .rows(DRAFTS)
      .put({ id: `${own} ${subject}`, tab: own, subject, at: 3, fields: { text: 'older' } });
    const drafts = TestBed.inject(Drafts);
    expect(await drafts.find(subject)).toEqual({ text: 'mine' });
    const [left] = await drafts.left(subject);
    expect(left).toMatchObject({ tab: 'gone', at, fields: { text: 'theirs' } });
    await drafts.discard(left);
    expect(await drafts.left(subject)).toEqual([]);
    expect(Object.keys(localStorage).filter((key) => key.startsWith(KEY))).toEqual([]);
  });

  test('are kept while there is no database but one in memory, and go into the other when it answers', async () => {
    const drafts = TestBed.inject(Drafts);
    const storage = TestBed.inject(Storage);
    storage.trouble.set('silent');
    await drafts.keep('new', { text: 'AC' });
    await drafts.keep('rule', { text: '5' });
    const dropped = drafts.drop('rule');
    // The newest of each alone, also while it is on its way.
    expect(await unstored()).toHaveLength(2);
    await dropped;
    expect(await unstored()).toMatchObject([{ subject: 'new', fields: { text: 'AC' } }, { subject: 'rule' }]);
    await db.rows(DRAFTS).clear();
    storage.trouble.set(undefined);
    TestBed.tick();
    await until(() => Object.keys(localStorage).every((key) => !key.startsWith(KEY)));
    expect(await drafts.find('new')).toEqual({ text: 'AC' });
  });

  test('that are on their way are gone when everything is erased', async () => {
    const drafts = TestBed.inject(Drafts);
    const full = jest.spyOn(db.table('drafts'), 'put').mockRejectedValue(new Error('no room'));
    await drafts.keep('new', { text: 'A' });
    localStorage.setItem(`${KEY}gone`, '[{"subject":"new","at":1,"fields":{}}]');
    full.mockRestore();
    await TestBed.inject(Boot).eraseAll(false);
    expect([await drafts.find('new'), await drafts.left('new')]).toEqual([undefined, []]);
  });
});

describe('a database of version 1', () => {
  const TABLES = { orders: 'id', state: 'id', drafts: 'id', journal: '++id, done' };

  test('comes over with every row, and what it could not read itself is mended', async () => {
    const old = new Dexie(`version-1-${Math.random().toString()}`);
    old.version(1).stores(TABLES);
    for (const [table, rows] of Object.entries(fixture)) await old.table(table).bulkPut(rows as object[]);
    old.close();
    const { name } = old;
    db = databaseOf(name);
    await visit(db);
    await TestBed.inject(Reader).ready();
    for (const table of ['orders', 'state', 'journal', 'drafts'] as const)
      expect(await db.table(table).count()).toBe(fixture[table].length);
    const damaged = await TestBed.inject(Damage).all();
    expect(damaged.map(({ kind, key }) => `${kind} ${key}`).sort()).toEqual(
      ['journal 26', 'orders no-cards', 'orders twice', 'state left over'].sort(),
    );
    expect(await nameOf('odd-name')).toBe('Quaywork');
    expect((await db.rows(ORDERS).get('three-signs'))?.origin).toMatchObject({
      rule: { up: [true, true, true, false] },
    });
    expect((await db.rows(ORDERS).get('many-moves'))?.origin).toMatchObject({ kind: 'recipe' });
    const pack = TestBed.inject(PackStore);
    await until(() => pack.offset() === 3);
    await until(() => pack.beside()?.name === 'Nine-five wheel');
    await until(() => TestBed.inject(FactsStore).facts().length === 10);
    expect((await TestBed.inject(Drafts).left('new')).map(({ fields }) => fields)).toEqual([
      { name: 'Half written', text: 'AC 3H KH 11' },
    ]);
    // Undo and redo go on where they were.
    expect(await redone()).toBe('3♥ 9♦ side by side');
    expect([await undone(), await undone()]).toEqual([
      '3♥ 9♦ side by side',
      '1 card taken from between 3♥ and 9♦',
    ]);
    for (let left = 22; left > 0; left--) expect(await undone()).toBeDefined();
    expect(await undone()).toBeUndefined();
  });
});

test('a database of the version before keeps its rows, and has the new table', async () => {
  const old = new Dexie(`version-6-${Math.random().toString()}`);
  const tables = Object.fromEntries(KINDS.map(({ table, stores }) => [table, stores]));
  old.version(6).stores({ ...tables, sent: null });
  const procedure = { id: 'mine', procedure: { name: 'Mine', steps: [] }, at: 1 };
  await old.table('procedures').put(procedure);
  await old.table('orders').put(tidemark);
  expect(old.tables.map(({ name }) => name)).not.toContain('sent');
  old.close();
  db = databaseOf(old.name);
  await visit(db);
  expect(await db.rows(PROCEDURES).get('mine')).toEqual(procedure);
  expect(await nameOf(tidemark.id)).toBe(tidemark.name);
  await db.rows(SENT).put({ id: 'a', procedure: 'mine', at: 2 });
  expect(await db.rows(SENT).count()).toBe(1);
});

test('undo takes back what was done last, however long its name is; what cannot be entered is told', async () => {
  const [journal, pack] = [TestBed.inject(Journal), TestBed.inject(PackStore)];
  await pack.apply({ kind: 'cut', count: 3 });
  const wanted = onlyPlace(WANTED);
  const name = `open ${'x'.repeat(1200)}`;
  await journal.commit(name, [wanted], () => [{ id: 'wanted', number: 9 }]);
  expect((await undone())?.startsWith('open xxx')).toBe(true);
  expect((await db.rows(WANTED).get('wanted'))?.number).toBeUndefined();
  expect(pack.offset()).toBe(3);
  // An action whose entry no reader would take is not done at all: undo would take back another.
  const notices = jest.spyOn(TestBed.inject(Notices), 'stay').mockResolvedValue();
  const odd = { kind: { ...WANTED, name: '' } as typeof WANTED, key: 'wanted', only: true } as const;
  expect(await journal.commit('odd', [odd], () => [{ id: 'wanted', number: 8 }])).toBe('nothing');
  expect(notices).toHaveBeenCalledWith(expect.stringContaining('Not done: odd.'));
  expect((await db.rows(WANTED).get('wanted'))?.number).toBeUndefined();
  notices.mockRestore();
});
