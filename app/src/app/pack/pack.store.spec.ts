import { TestBed } from '@angular/core/testing';
import { parseCard, sameOrder } from '@enumeron/core/deck';
import { cut } from '@enumeron/core/moves';
import { freshApp, until } from '../../testing/fresh';
import { Database, DATABASE } from '../data/db';
import { Journal } from '../data/journal';
import { OrdersStore } from '../data/orders.store';
import { OrderRow } from '../data/rows';
import { sampleOrders } from '../data/sample';
import { StateRows } from '../data/state-row';
import { PackStore } from './pack.store';
import { WantedStore } from './wanted.store';

const card = (name: string): number => parseCard(name) as number;
const [tidemark] = sampleOrders();

let db: Database;
let pack: PackStore;
let journal: Journal;

beforeEach(async () => {
  db = await freshApp();
  pack = TestBed.inject(PackStore);
  journal = TestBed.inject(Journal);
});

test('a card seen at the face turns the pack at once, and the turn is stored', async () => {
  const written = pack.see({ at: 'face', card: card('KH') });
  expect(pack.offset()).toBe(3);
  expect(pack.seam()).toBe(49);
  await written;
  expect(await db.state.get('pack')).toMatchObject({ now: cut(tidemark.cards, 3), seen: { at: 'face' } });
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
  expect(await journal.undo()).toBe('cut 2 cards from the top to the bottom');
  await until(() => pack.offset() === 3);
  expect(pack.seen()).toEqual({ at: 'face', card: card('KH') });
  expect(await journal.undo()).toBe('K♥ seen at the face');
  await until(() => pack.offset() === 0);
  expect(await journal.undo()).toBeUndefined();
  await journal.redo();
  await journal.redo();
  await until(() => pack.offset() === 5);
  expect(await journal.redo()).toBeUndefined();
});

test('an action after undo takes the redo away', async () => {
  await pack.apply({ kind: 'cut', count: 2 });
  await journal.undo();
  await until(() => pack.offset() === 0);
  await pack.apply({ kind: 'cut', count: 9 });
  expect(await journal.redo()).toBeUndefined();
  expect(pack.offset()).toBe(9);
});

test('many moves at once are all done, in order, and all undone', async () => {
  const counts = Array.from({ length: 30 }, (_, index) => index + 1);
  await Promise.all(counts.map((count) => pack.apply({ kind: 'cut', count })));
  expect(pack.offset()).toBe(((30 * 31) / 2) % 52);
  for (const count of counts) expect(await journal.undo()).toContain(`cut ${31 - count} card`);
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
  const other = new Database(db.name);
  const row = await other.state.get('pack');
  await other.state.put({ ...row, now: cut(tidemark.cards, 11) } as never);
  await until(() => pack.offset() === 11);
});

test('a write that fails shows the stored pack again', async () => {
  const broken = new Error('no room');
  jest.spyOn(db.journal, 'add').mockRejectedValueOnce(broken);
  await expect(pack.apply({ kind: 'cut', count: 4 })).rejects.toThrow('no room');
  expect(pack.offset()).toBe(0);
  await pack.apply({ kind: 'cut', count: 5 });
  expect(pack.offset()).toBe(5);
});

test('a stored pack that cannot be is passed over', async () => {
  await db.state.put({ id: 'pack', orderId: 'x', name: 'x', home: [1, 2], now: [1, 3] });
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: [{ provide: DATABASE, useValue: db }] });
  await TestBed.inject(StateRows).load();
  const { now } = TestBed.inject(PackStore);
  expect(sameOrder(now(), tidemark.cards)).toBe(true);
  await new Promise((resolve) => setTimeout(resolve, 50));
  expect(sameOrder(now(), tidemark.cards)).toBe(true);
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
  expect(await db.state.get('wanted')).toEqual({ id: 'wanted', card: card('7D'), number: 15 });
});

test('orders: add, rename, change, duplicate and delete, each undone', async () => {
  const orders = TestBed.inject(OrdersStore);
  const found = (id: string): OrderRow => orders.find(id) as OrderRow;
  await until(() => orders.orders()?.length === 5);
  const id = await orders.add('Harbour', tidemark.cards);
  await until(() => orders.find(id) !== undefined);
  await pack.use(found(id));
  await orders.rename(found(id), 'Harbour wall');
  await until(() => pack.pack().name === 'Harbour wall');
  const turned = cut(tidemark.cards, 7);
  await orders.change(found(id), 'Harbour wall', turned);
  await until(() => sameOrder(pack.home(), turned));
  expect(pack.offset()).toBe(0);
  await orders.duplicate(found(id));
  await until(() => orders.orders()?.length === 7);
  expect(orders.orders()?.map(({ name }) => name)).toContain('Harbour wall copy');
  await orders.remove(found(id));
  await until(() => orders.find(id) === undefined);
  for (let step = 0; step < 6; step++) await journal.undo();
  await until(() => orders.orders()?.length === 5);
  expect(await db.state.get('pack')).toMatchObject({ name: 'Tidemark', now: tidemark.cards });
});

test('a second pack lies beside the first: taken in hand, renamed, put away, each undone', async () => {
  const [, wheel] = sampleOrders();
  expect(await pack.swap()).toBe(false);
  await pack.apply({ kind: 'cut', count: 4 });
  await pack.keepBeside(wheel);
  await pack.swap();
  expect([pack.pack().name, pack.offset(), pack.beside()?.name]).toEqual(['Nine-five wheel', 0, 'Tidemark']);
  expect(pack.beside()?.now).toEqual(cut(tidemark.cards, 4));
  await TestBed.inject(OrdersStore).rename(tidemark, 'Spring tide');
  await until(() => pack.beside()?.name === 'Spring tide');
  await pack.swap();
  expect([pack.pack().name, pack.offset()]).toEqual(['Spring tide', 4]);
  await pack.putAway();
  expect(pack.beside()).toBeUndefined();
  for (let step = 0; step < 6; step++) await journal.undo();
  await until(() => pack.pack().name === 'Tidemark' && pack.offset() === 0);
  expect(pack.beside()).toBeUndefined();
});

test('a stored row that is no order is told and left as it is', async () => {
  const odd = { id: 'odd', name: 'Odd one', cards: [1, 1], sample: false, made: 1, changed: 1 };
  await db.orders.put(odd);
  const orders = TestBed.inject(OrdersStore);
  await until(() => orders.damaged().length === 1);
  expect(orders.damaged()[0]).toMatchObject({ name: 'Odd one' });
  expect(orders.damaged()[0].problem.what).toContain('twice');
  expect(orders.orders()).toHaveLength(5);
  expect(await db.orders.get('odd')).toEqual(odd);
});
