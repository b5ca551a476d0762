import { Injector } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { EMPTY, throwError } from 'rxjs';
import { freshApp, until } from '../../testing/fresh';
import { runHere } from '../../testing/jobs';
import { render } from '../../testing/render';
import { OrdersStore } from '../nouns/orders/orders.store';
import { PackStore } from '../nouns/pack/pack.store';
import { RUN_JOB, RunJob } from '../platform/workers/jobs';
import { arrangeAhead } from './ahead';
import { OrderProperties } from './order/order-properties';

let asked: string[] = [];
let run: RunJob;

beforeEach(async () => {
  asked = [];
  run = runHere;
  const noting: RunJob = (name, args, held) => {
    asked.push(JSON.stringify([name, args]));
    return run(name, args, held);
  };
  await freshApp([{ provide: RUN_JOB, useValue: noting }]);
});

const ahead = (): Promise<void> => arrangeAhead(TestBed.inject(Injector));

test('Arrange asks ahead what the sheet of the order in use asks, and no more', async () => {
  await ahead();
  const before = asked;
  asked = [];
  const store = TestBed.inject(OrdersStore);
  const { orderId } = TestBed.inject(PackStore).pack();
  const order = store.find(orderId);
  await render(OrderProperties, { order: order?.cards, orderId });
  await until(() => asked.length === 2);
  expect(before).toEqual(asked);
  expect(before.map((each) => (JSON.parse(each) as string[])[0])).toEqual(['properties', 'spreads']);
});

test('of an order that was deleted nothing is asked', async () => {
  const store = TestBed.inject(OrdersStore);
  const { orderId } = TestBed.inject(PackStore).pack();
  await until(() => store.find(orderId) !== undefined);
  const order = store.find(orderId);
  if (order) await store.remove(order);
  await ahead();
  expect(asked).toEqual([]);
});

test('a job that gives nothing ends it; one that fails tells it', async () => {
  run = () => EMPTY;
  await expect(ahead()).resolves.toBeUndefined();
  run = () => throwError(() => new Error('no worker'));
  await expect(ahead()).rejects.toThrow('no worker');
});

test('orders are listed at once when they are listed again, and follow what is done', async () => {
  const store = TestBed.inject(OrdersStore);
  const first = TestBed.runInInjectionContext(() => store.list());
  expect(first()).toEqual([]);
  await until(() => first().length === 5);
  const again = store.list();
  expect(again()).toHaveLength(5);
  await store.add('Another', [1, 2, 3]);
  expect(again().map(({ id }) => id)).toHaveLength(6);
  const [listed] = again();
  if ('order' in listed) await store.remove(listed.order);
  expect(store.list()()).not.toContainEqual(listed);
});

test('too many orders to list are not listed, and are again when there are fewer', async () => {
  const store = TestBed.inject(OrdersStore);
  const list = store.list();
  for (let count = 0; count < 56; count++) await store.add(`Order ${count.toString()}`, [1, 2, 3]);
  await until(() => store.count() === 61);
  expect(store.isLong()).toBe(true);
  await until(() => list().length === 0);
  const newest = TestBed.runInInjectionContext(() => store.names());
  await until(() => newest()?.length === 61);
  const last = store.find(newest()?.at(-1)?.id ?? '');
  if (last) await store.remove(last);
  await until(() => list().length === 60);
  expect(store.isLong()).toBe(false);
});
