import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { parsePart } from '@enumeron/core/deck';
import type { Procedure } from '@enumeron/core/file/procedure/procedure';
import { freshApp, until } from '../../../testing/fresh';
import { runHere } from '../../../testing/jobs';
import { render, Rendered } from '../../../testing/render';
import { ORDERS } from '../../nouns/orders/orders.kind';
import { OrdersStore } from '../../nouns/orders/orders.store';
import { ProceduresStore } from '../../nouns/procedures/procedures.store';
import { RUN_JOB, RunJob } from '../../platform/workers/jobs';
import { MyOrders } from './my-orders';

let orders: OrdersStore;
let procedures: ProceduresStore;
let asked: number;
const counted: RunJob = (name, ...args) => {
  asked++;
  return runHere(name, ...args);
};

const cards = (text: string): readonly number[] => {
  const read = parsePart(text);
  if (!read.ok) throw new Error(text);
  return read.order;
};

/** Holds where mates lie two apart. */
const MATES: Procedure = {
  name: 'Mates two apart',
  packets: { pack: ['AC', '2C', 'AS', '2S'] },
  steps: [
    { do: 'choose', name: 'n', from: 1, to: 2 },
    {
      do: 'claim',
      that: {
        equal: [{ 'card at': 'n', of: 'pack' }, { 'mate of': { 'card at': { sum: ['n', 2] }, of: 'pack' } }],
      },
    },
  ],
};
const TOP: Procedure = {
  name: 'The ace is on top',
  packets: { pack: ['AC', '2C', 'AS', '2S'] },
  steps: [{ do: 'claim', that: { equal: [{ 'top of': 'pack' }, { card: 'AC' }] } }],
};

beforeEach(async () => {
  asked = 0;
  const db = await freshApp([
    ...[provideRouter([{ path: '**', children: [] }]), ProceduresStore],
    { provide: RUN_JOB, useValue: counted },
  ]);
  await db.rows(ORDERS).clear();
  [orders, procedures] = [TestBed.inject(OrdersStore), TestBed.inject(ProceduresStore)];
  await orders.add('Apart', cards('2S AC 2C AS'));
  await orders.add('Side by side', cards('AC AS 2C 2S'));
  await orders.add('Others', cards('KH QH JH TH'));
});

/** The rows of the table: the name, then what stands below each order. */
const rowsOf = (page: Rendered<unknown>): readonly (readonly string[])[] =>
  page
    .all('tbody tr')
    .map((row) => [...row.querySelectorAll('a:not(.find), td')].map((cell) => cell.textContent.trim()));

const all = async (): Promise<Rendered<MyOrders>> => {
  const page = await render(MyOrders);
  await until(() => {
    page.fixture.detectChanges();
    return page.all('thead th').length === 4 && page.all('.progress').length === 0;
  });
  return page;
};

test('each procedure with each order, the newest first: a share, or that it uses other cards', async () => {
  procedures.add(TOP, 'begin');
  procedures.add(MATES, 'begin');
  const page = await all();
  expect(page.all('thead th').map(({ textContent }) => textContent.trim())).toEqual([
    'Procedure',
    'Others',
    'Side by side',
    'Apart',
  ]);
  expect(new Set(rowsOf(page).map((row) => row.join('|')))).toEqual(
    new Set(['Mates two apart|–uses other cards|0|100', 'The ace is on top|–uses other cards|100|0']),
  );
  // Where one fails, another order can be looked for.
  expect(page.all('.find')).toHaveLength(2);
  // A card that a step names stays as it is written.
  expect(page.all('abbr')).toHaveLength(1);
});

test('what was found is kept until the order or the procedure changes', async () => {
  const id = procedures.add(MATES, 'begin');
  await all();
  expect(asked).toBe(2);
  await all();
  expect(asked).toBe(2);
  const row = procedures.find(id);
  if (!row) throw new Error('gone');
  await procedures.remove(row);
  procedures.add({ ...MATES, name: 'Again' }, 'begin');
  await all();
  expect(asked).toBe(4);
});

test('one procedure: its orders, the best first, and those of other cards told apart', async () => {
  const id = procedures.add(MATES, 'begin');
  const page = await render(MyOrders, { id });
  await until(() => {
    page.fixture.detectChanges();
    return page.text().includes('Works in all 2 cases') && page.text().includes('Fails in 2 of 2 cases');
  });
  expect(page.all('.ranked strong').map(({ textContent }) => textContent)).toEqual(['Apart', 'Side by side']);
  expect(page.text()).toContain('It uses other cards than Others.');
});

test('two orders with the same cards are both answered, and proved once', async () => {
  await orders.add('Side by side, a copy', cards('AC AS 2C 2S'));
  const id = procedures.add(MATES, 'begin');
  const page = await render(MyOrders, { id });
  await until(() => {
    page.fixture.detectChanges();
    return page.all('.ranked li').length === 3 && page.all('.progress').length === 0;
  });
  expect(page.text().match(/Fails in 2 of 2 cases/g)).toHaveLength(2);
  expect(asked).toBe(2);
});

test('a procedure that is gone is said to be so; one without such an order says what is lacking', async () => {
  const gone = await render(MyOrders, { id: 'gone' });
  await until(() => gone.text().includes('There is no such procedure'));
  const id = procedures.add({ ...TOP, packets: { pack: ['-', 'AC'] } }, 'begin');
  const none = await render(MyOrders, { id });
  await until(() => none.text().includes('None of your orders has just the cards'));
});
