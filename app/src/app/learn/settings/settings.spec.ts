import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { formatOrder, parsePart } from '@enumeron/core/deck';
import {
  DAY,
  itemId,
  itemsOf,
  Memory,
  replay,
  SCHEDULE,
  scheduleBy,
  showSaid,
  truthOf,
} from '@enumeron/core/learn';
import { parse } from 'papaparse';
import { Card as FsrsCard, createEmptyCard, fsrs, Rating } from 'ts-fsrs';
import { freshApp, until } from '../../../testing/fresh';
import { runHere } from '../../../testing/jobs';
import { FakeClock, press } from '../../../testing/learner';
import { render, Rendered } from '../../../testing/render';
import { Database } from '../../storage/database';
import { ITEMS, itemKey } from '../../nouns/learning/items.kind';
import { Journal } from '../../storage/journal';
import { JOURNAL } from '../../storage/kinds/journal';
import { OrderRow, ORDERS } from '../../nouns/orders/orders.kind';
import { ReviewRow, REVIEWS } from '../../nouns/learning/reviews.kind';
import { SCHEDULES } from '../../nouns/learning/schedules.kind';
import { OrderChanges } from '../../nouns/pack/order-changes';
import { OrdersStore } from '../../nouns/orders/orders.store';
import { sampleOrders } from '../../nouns/orders/sample';
import { TIDEMARK } from '../../nouns/orders/tidemark';
import { HeadWayStore } from '../../nouns/learning/head-way.store';
import { PackStore } from '../../nouns/pack/pack.store';
import { Clock } from '../../platform/clock';
import { RUN_JOB } from '../../platform/workers/jobs';
import { itemsCsv, reviewsCsv } from '../files/learning-csv';
import { practiceCalendar } from '../files/practice-calendar';
import { ImagesStore } from '../../nouns/learning/images.store';
import { LearnStore } from '../../nouns/learning/learn.store';
import { Orphans } from '../../nouns/learning/orphans';
import { SampleLearning } from '../../nouns/learning/sample-learning';
import { Today } from '../today/today';
import { LearnSettings } from './settings';
import { pass } from '../../../testing/pass';

let db: Database;
let clock: FakeClock;
let store: LearnStore;

beforeEach(async () => {
  clock = new FakeClock();
  db = await freshApp([
    provideRouter([{ path: '**', children: [] }]),
    { provide: Clock, useValue: clock },
    { provide: RUN_JOB, useValue: runHere },
    ...[LearnStore, ImagesStore, SampleLearning, Orphans],
  ]);
  store = TestBed.inject(LearnStore);
  await until(() => store.isRead());
});

const change = async (page: Rendered<LearnSettings>, selector: string, text: string): Promise<void> => {
  const field = page.find(selector) as HTMLInputElement;
  field.value = text;
  field.dispatchEvent(new Event('change'));
  await page.fixture.whenStable();
};

const fieldsOf = (page: Rendered<LearnSettings>): HTMLInputElement[] =>
  page.all('input') as HTMLInputElement[];

const memories = async (): Promise<Map<string, Memory>> =>
  new Map((await db.rows(ITEMS).toArray()).map(({ item, memory }) => [item, memory]));

test('how an order is learnt can be changed, and the plan follows; nonsense is told and changes nothing', async () => {
  const page = await render(LearnSettings);
  await page.click('its mate’s number');
  expect(store.plan().items).toHaveLength(5 * 52);
  await page.click('20 min');
  await change(page, 'input', '0');
  expect(store.settings()).toMatchObject({ minutes: 20, newCards: 0 });
  for (const wrong of ['x', '99', '-1']) {
    await change(page, 'input', wrong);
    expect(page.text()).toContain('a number from 0 to 60');
    // What was typed stays, and what is wrong is tied to it.
    const [field] = fieldsOf(page);
    expect(field.value).toBe(wrong);
    expect(field.getAttribute('aria-invalid')).toBe('true');
    expect(page.find(`#${field.getAttribute('aria-describedby') ?? ''}`).textContent).toContain('0 to 60');
    expect(store.settings().newCards).toBe(0);
  }
  const blocks = page.find('select') as HTMLSelectElement;
  blocks.value = 'ends';
  blocks.dispatchEvent(new Event('change'));
  await page.fixture.whenStable();
  await change(page, '.wide', '7, 20');
  expect(store.plan().blocks.map(({ length }) => length)).toEqual([7, 13, 32]);
  await change(page, '.wide', '20, 7');
  expect(page.text()).toContain('stack numbers that go up');
  expect(store.plan().blocks).toHaveLength(3);
  blocks.value = '60';
  blocks.dispatchEvent(new Event('change'));
  await page.fixture.whenStable();
  const [, quick, fluent, slow] = fieldsOf(page);
  const setTime = async (field: HTMLInputElement, text: string): Promise<void> => {
    field.value = text;
    field.dispatchEvent(new Event('change'));
    await page.fixture.whenStable();
  };
  await setTime(fluent, '2,5');
  expect(store.pace()).toEqual({ quick: 750, fluent: 2500, slow: 4000 });
  for (const [field, wrong, says, right] of [
    [quick, '3', 'can’t be longer than “fluent”', '0.75'],
    [slow, '1', 'can’t be longer than “slow”', '4'],
    [fluent, 'soon', 'seconds from 0.1 to 60', '2.5'],
  ] as const) {
    await setTime(field, wrong);
    expect(store.pace()).toEqual({ quick: 750, fluent: 2500, slow: 4000 });
    expect(page.text()).toContain(says);
    await setTime(field, right);
    expect(page.text()).not.toContain(says);
  }
  page.fixture.destroy();
  const today = await render(Today);
  expect(today.text()).toContain('20 minutes a day, 0 cards to meet');
  expect(today.text()).toContain('Nothing more is up today');
});

test('another retention is tried before it is taken, schedules every item from its answers, and goes back exactly', async () => {
  await TestBed.inject(SampleLearning).layOut();
  await until(() => store.memories().size > 50);
  const before = await memories();
  const page = await render(LearnSettings);
  const share = page.all('en-text-field input').at(-2) as HTMLInputElement;
  const see = async (text: string): Promise<void> => {
    share.value = text;
    share.dispatchEvent(new Event('change'));
    await page.fixture.whenStable();
  };
  const reschedule = async (text: string): Promise<void> => {
    await see(text);
    await until(() => page.text().includes('days between two questions'));
    await page.click('Use it');
    await until(() => page.text().includes('Done: everything'));
  };
  await see('99');
  expect(page.text()).toContain('from 70 to 97');
  await see('80');
  await until(() => page.text().includes('days between two questions'));
  expect(await memories()).toEqual(before);
  await reschedule('80');
  const schedule = scheduleBy({ ...SCHEDULE, retention: 0.8 });
  const rows = await db.rows(REVIEWS).toArray();
  const after = await memories();
  for (const [item, memory] of after) {
    const own = rows.filter((row) => row.item === item).sort((a, b) => a.at - b.at);
    expect(memory).toEqual(replay(schedule, own));
  }
  expect(after.size).toBe(before.size);
  expect(store.scheduleSettings().retention).toBe(0.8);
  await pass(500);
  await reschedule('95');
  expect(await memories()).toEqual(before);
  expect(await db.rows(SCHEDULES).count()).toBe(1);
});

test('parameters that are none are refused with what is wrong', async () => {
  const page = await render(LearnSettings);
  const numbers = page.all('en-text-field input').at(-1) as HTMLInputElement;
  for (const wrong of ['', '1 2 3', 'a, b', `${SCHEDULE.weights.join(' ')} 5`]) {
    numbers.value = wrong;
    numbers.dispatchEvent(new Event('change'));
    await page.fixture.whenStable();
    expect(page.text()).toContain('no parameters');
    expect(page.text()).not.toContain('days between two questions');
  }
  expect(await db.rows(SCHEDULES).count()).toBe(0);
});

test('answers as CSV are all that ts-fsrs needs to come to the same memories, with what was begun anew', async () => {
  await TestBed.inject(SampleLearning).layOut();
  const stored = await db.rows(REVIEWS).toArray();
  const [first] = stored;
  const last = Math.max(...stored.map(({ at }) => at));
  const reset: ReviewRow = { ...first, id: 'reset', at: last + 5, reset: true };
  const again: ReviewRow = { ...first, id: 'again', at: last + DAY, right: true, grade: 3 };
  const rows = [...stored, reset, again].sort((a, b) => a.at - b.at);
  const schedule = { ...SCHEDULE, retention: 0.85 };
  const text = reviewsCsv({ name: 'Tide, "mark"', order: TIDEMARK.cards, schedule }, rows);
  const { data } = parse<Record<string, string>>(text, { header: true });
  const valueOf = (row: string): string => data.find((each) => each['row'] === row)?.['value'] ?? '';
  const scheduler = fsrs({
    request_retention: Number(valueOf('retention')),
    w: valueOf('parameters').split(' ').map(Number),
    enable_fuzz: false,
  });
  const cards = new Map<string, FsrsCard>();
  const ratings = [Rating.Again, Rating.Hard, Rating.Good, Rating.Easy] as const;
  for (const row of data) {
    if (row['row'] === 'reset') cards.delete(row['item']);
    if (row['row'] !== 'answer') continue;
    const at = new Date(row['at']);
    const card = scheduler.next(
      cards.get(row['item']) ?? createEmptyCard(at),
      at,
      ratings[Number(row['grade']) - 1],
    ).card;
    cards.set(row['item'], card);
    expect([row['due'], Number(row['stability']), Number(row['difficulty'])]).toEqual([
      card.due.toISOString(),
      card.stability,
      card.difficulty,
    ]);
    expect(row['order']).toBe('Tide, "mark"');
    expect(row['asked']).not.toBe('');
  }
  expect(cards.get(first.item)?.reps).toBe(1);
  const items = parse<Record<string, string>>(
    itemsCsv({ name: 'T', order: TIDEMARK.cards, schedule }, await db.rows(ITEMS).toArray()),
    { header: true },
  );
  expect(items.data).toHaveLength((await memories()).size);
});

test('the calendar has one entry a day that has something due, through the end of a month', () => {
  const days = [0, 1, 2, 3, 4].map((day) => ({
    ...{ date: new Date(2026, 10, 28 + day, 12), answers: day === 2 ? 0 : 30 + day, minutes: 4 },
  }));
  const text = practiceCalendar('Tidemark; new, at last', days) ?? '';
  expect([...text.matchAll(/DTSTART;VALUE=DATE:(\d+)/g)].map(([, date]) => date)).toEqual([
    '20261128',
    '20261129',
    '20261201',
    '20261202',
  ]);
  expect(text).toContain('SUMMARY:Tidemark\\; new\\, at last: 4 min');
  expect(practiceCalendar('T', [days[2]])).toBeUndefined();
});

test('the calendars of two orders replace nothing of each other, and no line is longer than a reader takes', () => {
  const days = [{ date: new Date(2026, 10, 28, 12), answers: 1, minutes: 4 }];
  const uids = (text = ''): readonly string[] =>
    [...text.replaceAll('\r\n ', '').matchAll(/^UID:(.*)\r$/gm)].map(([, uid]) => uid);
  const [one, other] = ['a', 'b'].map((id) => uids(practiceCalendar('Tidemark', days, id)));
  expect([one.length, other.length, one[0] === other[0]]).toEqual([1, 1, false]);
  expect(uids(practiceCalendar('Tidemark', days, 'a'))).toEqual(one);
  const long = practiceCalendar('Über den großen Fluß hinaus · 大海 '.repeat(4).trim(), days) ?? '';
  for (const line of long.split('\r\n'))
    expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75);
  expect(long.replaceAll('\r\n ', '')).toContain('DESCRIPTION:1 question is up.');
});

test('no cell of answers or items is run by a spreadsheet, whatever its order is called', () => {
  const at = clock.now();
  const row = {
    id: 'r',
    order: 'a',
    item: 'number 7D',
    at,
    answered: '=1+1',
    right: false,
    ms: 1,
    grade: 1,
  } as const;
  const memory = scheduleBy().next(scheduleBy().fresh(at), 1, at);
  const item = { id: 'a number 7D', order: 'a', item: 'number 7D', memory, truth: '20', begun: at };
  for (const name of ["=cmd|'/C calc'!A0", '+1', '-1', '@x', '＝1']) {
    const learnt = { name, order: TIDEMARK.cards, schedule: SCHEDULE };
    for (const csv of [reviewsCsv(learnt, [row]), itemsCsv(learnt, [item])]) {
      const cells = parse<string[]>(csv).data.flat();
      expect(cells.filter((cell) => /^[=+@＝＋－＠]|^-\D/.test(cell))).toEqual([]);
      expect(cells).toContain(`'${name}`);
    }
  }
});

const useOrder = async (name: string, text: string): Promise<OrderRow> => {
  const [orders, pack] = [TestBed.inject(OrdersStore), TestBed.inject(PackStore)];
  const read = parsePart(text);
  if (!read.ok) throw new Error('no order');
  const id = await orders.add(name, read.order);
  await until(() => orders.find(id) !== undefined);
  const row = orders.find(id) as OrderRow;
  await pack.use(row);
  await until(() => store.isRead() && store.orderId() === id);
  return row;
};

const learn = async (row: OrderRow): Promise<void> => {
  const schedule = scheduleBy();
  const at = clock.now() - 3 * DAY;
  const memory = schedule.next(schedule.fresh(at), 4, at);
  await db.rows(ITEMS).bulkPut(
    itemsOf(row.cards).map((item) => ({
      ...{ id: itemKey(row.id, itemId(item)), order: row.id, item: itemId(item), memory, begun: at },
      truth: showSaid(truthOf(item, row.cards)),
    })),
  );
  await db.rows(REVIEWS).bulkPut(
    itemsOf(row.cards).map((item) => ({
      ...{ id: `${row.id}-${itemId(item).replace(' ', '-')}`, order: row.id, item: itemId(item), at },
      ...{ answered: '', right: true, ms: 900, grade: 4 as const },
    })),
  );
  await until(() => store.memories().size === 4 * row.cards.length);
};

const edit = async (id: string, cards: readonly number[]): Promise<void> => {
  const orders = TestBed.inject(OrdersStore);
  const row = orders.find(id) as OrderRow;
  await TestBed.inject(OrderChanges).change(row, row.name, cards);
};

test('an edited order says whose answers are others now, and begins them anew or keeps their schedule', async () => {
  const row = await useOrder('Six', 'AC 2C 3C 4C 5C 6C');
  await learn(row);
  await edit(row.id, [0, 2, 1, 3, 4, 5]);
  await until(() => store.order()[1] === 2);
  const today = await render(Today);
  // Two numbers each way, and the neighbours of the two that changed places.
  const moved = itemsOf(row.cards).filter(
    (item) => showSaid(truthOf(item, row.cards)) !== showSaid(truthOf(item, store.order())),
  );
  expect(today.text()).toContain(`Six was edited: ${moved.length} answers are another one now`);
  const before = await memories();
  await today.click('Start these over');
  await until(() => store.memories().size === before.size - moved.length);
  await TestBed.inject(Journal).tryAgain();
  expect(today.text()).not.toContain('was edited');
  const resets = (await db.rows(REVIEWS).toArray()).filter(({ reset }) => reset);
  expect(new Set(resets.map(({ item }) => item))).toEqual(new Set(moved.map(itemId)));
  today.fixture.destroy();

  await edit(row.id, [0, 2, 1, 3, 5, 4]);
  await until(() => store.order()[5] === 4);
  const again = await render(Today);
  await pass(500);
  await again.click('Keep their schedule');
  await until(() => !again.text().includes('was edited'));
  for (const [item, memory] of await memories()) expect(memory).toEqual(before.get(item));
});

test('several orders share the day’s minutes; another one is practised without taking its pack in hand', async () => {
  const row = await useOrder('Six', 'AC 2C 3C 4C 5C 6C');
  await learn(row);
  clock.pass(60 * DAY);
  store.look();
  const other = await useOrder('Seven', 'AH 2H 3H 4H 5H 6H 7H');
  const today = await render(Today);
  await until(() => today.text().includes('24 up, 5 min'));
  await today.click('Six');
  await until(() => today.text().includes('Today, Six') && today.text().includes('Back to'));
  expect(TestBed.inject(PackStore).pack().orderId).toBe(other.id);
  expect(formatOrder(store.order())).toBe('AC 2C 3C 4C 5C 6C');
  await today.click('Back to the one in hand');
  expect(today.text()).toContain('Today, Seven');
});

test('what is learnt of a deleted order stays as long as deleting it can be undone, and then goes', async () => {
  const row = await useOrder('Six', 'AC 2C 3C 4C 5C 6C');
  await learn(row);
  const orphans = TestBed.inject(Orphans);
  await useOrder('Seven', 'AH 2H 3H 4H 5H 6H 7H');
  await TestBed.inject(OrdersStore).remove(row);
  await orphans.sweep();
  expect((await memories()).size).toBe(24);
  await db.rows(JOURNAL).clear();
  await orphans.sweep();
  expect((await memories()).size).toBe(0);
  expect(await db.rows(REVIEWS).count()).toBe(0);
});

test('an order by rule is worked out and not memorised; the way that is chosen is followed', async () => {
  const [wheel] = sampleOrders().filter(({ name }) => name === 'Nine-five wheel');
  await db.rows(ORDERS).put(wheel);
  await TestBed.inject(PackStore).use(wheel);
  await until(() => store.isRead() && store.orderId() === wheel.id && store.isComputed());
  expect(store.plan().items).toEqual([]);
  const today = await render(Today);
  expect(today.text()).toContain('Practise the sum');
  const navigate = jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
  press('Enter');
  expect(navigate.mock.calls[0][0]).toEqual(['/learn/sums/practise']);
  const radios = today.all('input[type=radio]') as HTMLInputElement[];
  expect(radios).toHaveLength(store.headWays().length);
  expect(radios[0].checked).toBe(true);
  radios[2].click();
  await today.fixture.whenStable();
  const way = store.headWays()[2];
  expect(store.headWay()).toEqual(expect.objectContaining({ name: way.name }));
  expect(today.text()).toContain(way.says);
  today.fixture.destroy();
  expect(TestBed.inject(HeadWayStore).chosen(wheel.id)).toBe(way.name);
  // By heart where the user asks.
  const page = await render(LearnSettings);
  await page.click('card to number');
  expect(store.plan().items).toHaveLength(52);
  expect(store.settings().way).toBe(way.name);
});

test('nothing is asked before the order, its settings and its schedule are read', async () => {
  const [wheel] = sampleOrders().filter(({ name }) => name === 'Nine-five wheel');
  await db.rows(ORDERS).put(wheel);
  await db.rows(SCHEDULES).put({ id: wheel.id, ...SCHEDULE, retention: 0.8 });
  await TestBed.inject(PackStore).use(wheel);
  expect(store.orderId()).toBe(wheel.id);
  expect(store.isRead()).toBe(false);
  await until(() => store.isRead());
  expect(store.plan().items).toEqual([]);
  expect(store.scheduleSettings().retention).toBe(0.8);
});

test('what another tab has answered since is not begun anew', async () => {
  const row = await useOrder('Six', 'AC 2C 3C 4C 5C 6C');
  await learn(row);
  await edit(row.id, [1, 0, 2, 3, 4, 5]);
  await until(() => store.order()[0] === 1);
  const today = await render(Today);
  const key = itemKey(row.id, 'number AC');
  const before = await memories();
  const stored = (await db.rows(ITEMS).get(key))?.memory as Memory;
  const answered = scheduleBy().next(stored, 3, clock.now());
  // Pressed before this tab has seen it.
  const press = today.click('Start these over');
  await db.rows(ITEMS).update(key, { memory: answered, truth: '2' });
  await press;
  await until(() => store.memories().size < before.size);
  const after = await memories();
  const resets = (await db.rows(REVIEWS).toArray()).flatMap(({ reset, item }) => (reset ? [item] : []));
  for (const item of before.keys()) expect([item, after.has(item)]).toEqual([item, !resets.includes(item)]);
});
