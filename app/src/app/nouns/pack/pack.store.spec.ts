import { computed } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { parseCard, sameOrder } from '@enumeron/core/deck';
import { cut } from '@enumeron/core/moves';
import { undone, redone } from '../../../testing/undo';
import { freshApp, provideApp, until } from '../../../testing/fresh';
import { Boot } from '../../boot';
import { databaseOf } from '../../database';
import type { Database } from '../../storage/database';
import { Damage } from '../../storage/damage';
import { DAMAGED } from '../../storage/kinds/damaged';
import { OrdersStore } from '../orders/orders.store';
import { ORDERS, OrderRow } from '../orders/orders.kind';
import { PACK, PackRow } from './pack.kind';
import { sampleOrders } from '../orders/sample';
import { OrderChanges } from './order-changes';
import { PackStore } from './pack.store';
import { WantedStore } from './wanted.store';

const card = (name: string): number => parseCard(name) as number;
const [tidemark] = sampleOrders();
const packRow = (): Promise<PackRow | undefined> => db.rows(PACK).get('pack');

let db: Database;
let pack: PackStore;

beforeEach(async () => {
  db = await freshApp();
  pack = TestBed.inject(PackStore);
});

test('a card seen at the face turns the pack at once, and the turn is stored', async () => {
  const written = pack.see({ at: 'face', card: card('KH') });
  expect(pack.offset()).toBe(3);
  expect(pack.seam()).toBe(49);
  await written;
  expect(await packRow()).toMatchObject({ now: cut(tidemark.cards, 3), seen: { at: 'face' } });
});

test('a card seen on top, and one that is not in the pack', async () => {
  await pack.see({ at: 'top', card: card('9D') });
  expect(pack.offset()).toBe(3);
  await pack.see({ at: 'top', card: card('X1') });
  expect(pack.offset()).toBe(3);
});

test('a move makes what was seen untrue; undo brings both back, redo does it again', async () => {
  await pack.see({ at: 'face', card: card('KH') });
  await pack.apply({ kind: 'cut', count: 2 });
  expect([pack.offset(), pack.seen()]).toEqual([5, undefined]);
  expect(await undone()).toBe('cut 2 cards from the top to the bottom');
  await until(() => pack.offset() === 3);
  expect(pack.seen()).toEqual({ at: 'face', card: card('KH') });
  expect(await undone()).toBe('K♥ seen at the face');
  await until(() => pack.offset() === 0);
  expect(await undone()).toBeUndefined();
  await redone();
  await redone();
  await until(() => pack.offset() === 5);
  expect(await redone()).toBeUndefined();
});

test('an action after undo takes the redo away', async () => {
  await pack.apply({ kind: 'cut', count: 2 });
  await undone();
  await until(() => pack.offset() === 0);
  await pack.apply({ kind: 'cut', count: 9 });
  expect(await redone()).toBeUndefined();
  expect(pack.offset()).toBe(9);
});

test('many moves at once are all done, in order, and all undone', async () => {
  const counts = Array.from({ length: 30 }, (_, index) => index + 1);
  await Promise.all(counts.map((count) => pack.apply({ kind: 'cut', count })));
  expect(pack.offset()).toBe(((30 * 31) / 2) % 52);
  for (const count of counts) expect(await undone()).toContain(`cut ${31 - count} card`);
  await until(() => pack.offset() === 0);
});

test('a deal breaks the order visibly, and putting it in order mends it', async () => {
  await pack.apply({ kind: 'deal', count: 3 });
  expect(pack.offset()).toBeUndefined();
  expect(pack.breaks()).toEqual([1, 2, 3]);
  await pack.inOrder();
  expect(pack.offset()).toBe(0);
});

test('another tab is followed', async () => {
  const other = databaseOf(db.name);
  await other.rows(PACK).put({ ...((await packRow()) as PackRow), now: cut(tidemark.cards, 11) });
  await until(() => pack.offset() === 11);
  other.close();
});

test('two tabs that cut at the same moment both cut', async () => {
  const other = TestBed.inject(PackStore);
  await Promise.all([other.apply({ kind: 'cut', count: 5 }), otherTab(3)]);
  await until(() => pack.offset() === 8);
  expect((await packRow())?.now).toEqual(cut(tidemark.cards, 8));
});

/** A cut done by another tab's transaction. */
const otherTab = async (count: number): Promise<void> => {
  const other = databaseOf(db.name);
  await other.transaction('rw', other.rows(PACK), async () => {
    const row = (await other.rows(PACK).get('pack')) as PackRow;
    await other.rows(PACK).put({ ...row, now: cut(row.now, count) });
  });
  other.close();
};

test('a stored pack that cannot be is told, left as it is, and kept when the pack is moved', async () => {
  const odd = { id: 'pack', orderId: 'x', name: 'x', home: [1, 2], now: [1, 3] };
  await db.table('state').put(odd);
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: provideApp(db) });
  await TestBed.inject(Boot).run();
  const { now } = TestBed.inject(PackStore);
  expect(sameOrder(now(), tidemark.cards)).toBe(true);
  await until(() => TestBed.inject(Damage).met().size === 1);
  expect(await packRow()).toEqual(odd);
  await TestBed.inject(PackStore).apply({ kind: 'cut', count: 2 });
  expect((await packRow())?.now).toEqual(cut(tidemark.cards, 2));
  const [kept] = await db.rows(DAMAGED).toArray();
  expect([kept.kind, JSON.parse(kept.text)]).toEqual(['pack', odd]);
  expect(kept.problem).toContain('other cards than its order');
});

test('what is wanted is answered, carried out and kept', async () => {
  const wanted = TestBed.inject(WantedStore);
  expect(wanted.ways()).toEqual([]);
  await pack.see({ at: 'face', card: card('KH') });
  await wanted.want({ card: card('7D') });
  expect([wanted.place(), wanted.ways()]).toEqual([17, []]);
  await wanted.want({ number: 15 });
  expect(wanted.chosen()).toMatchObject({ way: 'shift', displaced: 2 });
  wanted.choose(wanted.ways()[2]);
  expect(wanted.chosen()).toMatchObject({ way: 'cut' });
  expect(await wanted.carryOut()).toBe(true);
  expect([pack.offset(), wanted.place()]).toEqual([5, 15]);
  expect(await wanted.carryOut()).toBe(false);
  expect(await db.table('state').get('wanted')).toEqual({ id: 'wanted', card: card('7D'), number: 15 });
});

test('orders: add, rename, change, duplicate and delete, each undone', async () => {
  const orders = TestBed.inject(OrdersStore);
  const found = (id: string): OrderRow => orders.find(id) as OrderRow;
  await until(() => orders.count() === 5);
  const id = await orders.add('Harbour', tidemark.cards);
  await until(() => orders.find(id) !== undefined);
  await pack.use(found(id));
  await TestBed.inject(OrderChanges).rename(found(id), ' Harbour\u200b  wall ');
  await until(() => pack.pack().name === 'Harbour wall');
  const turned = cut(tidemark.cards, 7);
  await TestBed.inject(OrderChanges).change(found(id), 'Harbour wall', turned);
  await until(() => sameOrder(pack.home(), turned));
  expect(pack.offset()).toBe(0);
  const copy = await orders.duplicate(found(id));
  await until(() => orders.count() === 7);
  await until(() => orders.find(copy)?.name === 'Harbour wall copy');
  await orders.remove(found(id));
  await until(() => orders.find(id) === undefined);
  for (let step = 0; step < 6; step++) expect(await undone()).toBeDefined();
  await until(() => orders.count() === 5);
  expect(await packRow()).toMatchObject({ name: 'Tidemark', now: tidemark.cards });
});

test('a second pack lies beside the first: taken in hand, renamed, put away, each undone', async () => {
  const [, wheel] = sampleOrders();
  expect(await pack.swap()).toBe(false);
  await pack.apply({ kind: 'cut', count: 4 });
  await pack.keepBeside(wheel);
  await pack.swap();
  expect([pack.pack().name, pack.offset(), pack.beside()?.name]).toEqual(['Nine-five wheel', 0, 'Tidemark']);
  expect(pack.beside()?.now).toEqual(cut(tidemark.cards, 4));
  await TestBed.inject(OrderChanges).rename(tidemark, 'Spring tide');
  await until(() => pack.beside()?.name === 'Spring tide');
  await pack.swap();
  expect([pack.pack().name, pack.offset()]).toEqual(['Spring tide', 4]);
  await pack.putAway();
  expect(pack.beside()).toBeUndefined();
  for (let step = 0; step < 6; step++) expect(await undone()).toBeDefined();
  await until(() => pack.pack().name === 'Tidemark' && pack.offset() === 0);
  expect(pack.beside()).toBeUndefined();
});

test('a stored row that is no order is told and left as it is', async () => {
  const odd = { id: 'odd', name: 'Odd one', cards: [1, 1], sample: false, made: 9, changed: 9 };
  await db.rows(ORDERS).put(odd);
  const orders = TestBed.inject(OrdersStore);
  const page = TestBed.runInInjectionContext(() => orders.page(computed(() => ({ start: 0, end: 10 }))));
  await until(() => (TestBed.tick(), page().length === 6));
  expect(page().at(-1)).toMatchObject({ id: 'odd', name: 'Odd one' });
  expect((page().at(-1) as { damaged?: string }).damaged).toContain('comes twice');
  expect(await db.rows(ORDERS).get('odd')).toEqual(odd);
});
