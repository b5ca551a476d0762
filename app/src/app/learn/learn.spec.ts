import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import {
  Item,
  itemId,
  Memory,
  parseItem,
  promptOf,
  replay,
  Answer,
  scheduleBy,
  showSaid,
  truthOf,
} from '@enumeron/core/learn';
import { secondOf, speakCard } from '@enumeron/core/deck';
import { freshApp, until } from '../../testing/fresh';
import { FakeClock, keysOf, press } from '../../testing/learner';
import { render, Rendered } from '../../testing/render';
import { Database } from '../storage/database';
import { itemKey, ITEMS } from '../nouns/learning/items.kind';
import { ReviewRow, REVIEWS } from '../nouns/learning/reviews.kind';
import { Journal } from '../storage/journal';
import { OrderRow } from '../nouns/orders/orders.kind';
import { OrdersStore } from '../nouns/orders/orders.store';
import { sampleOrders } from '../nouns/orders/sample';
import { PackStore } from '../nouns/pack/pack.store';
import { RailHidden } from '../nouns/pack/rail-hidden';
import { Clock } from '../platform/clock';
import { Drill } from './drill/drill';
import { ItemQuestion, ItemSource } from './drill/item-source';
import { Practice } from './drill/practice';
import { Source } from './drill/source';
import { ImagesStore } from '../nouns/learning/images.store';
import { LearnStore } from '../nouns/learning/learn.store';
import { Today } from './today/today';
import { pass } from '../../testing/pass';

const [tidemark] = sampleOrders();
const order = tidemark.cards;

let clock: FakeClock;
let db: Database;

beforeEach(async () => {
  clock = new FakeClock();
  db = await freshApp([
    provideRouter([{ path: '**', children: [] }]),
    { provide: Clock, useValue: clock },
    LearnStore,
    ImagesStore,
    Practice,
    { provide: Source, useClass: ItemSource },
  ]);
  await until(() => TestBed.inject(Source).isRead());
});

const questionOf = (item: Item): ItemQuestion => ({
  ...{ item, isNew: false, asks: 'number', question: '', prompt: '' },
});

interface Practised {
  readonly drill: Rendered<Drill>;
  asked(): Item;
  /** Answers what is asked after so many milliseconds, with the truth or with something else. */
  answer(after: number, said?: Answer): Promise<void>;
}

const practise = async (): Promise<Practised> => {
  const drill = await render(Drill);
  const practice = TestBed.inject(Practice);
  const settle = async (): Promise<void> => {
    await drill.fixture.whenStable();
    while (practice.introduced() !== undefined) {
      press('Enter');
      await drill.fixture.whenStable();
    }
    // The frame of the prompt.
    await pass();
  };
  await settle();
  const asked = (): Item => (practice.asked() as ItemQuestion).item;
  return {
    drill,
    asked,
    answer: async (after, said) => {
      const item = asked();
      clock.pass(after);
      const keys = keysOf(said ?? truthOf(item, order));
      for (const key of keys) press(key);
      if ((practice.asked() as ItemQuestion | undefined)?.item === item && !practice.wrong()) press('Enter');
      await settle();
    },
  };
};

const reviews = (): Promise<ReviewRow[]> => db.rows(REVIEWS).toArray();
const memoryOf = async (item: Item): Promise<Memory | undefined> =>
  (await db.rows(ITEMS).get(itemKey(tidemark.id, itemId(item))))?.memory;
const stored = async (count: number): Promise<void> => {
  await until(async () => (await db.rows(REVIEWS).count()) >= count);
};

test('the first practice begins with one key, shows a new card before it asks, and takes every key', async () => {
  const today = await render(Today);
  expect(today.text()).toContain('5 cards to meet');
  const navigate = jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
  press('Enter');
  expect(navigate).toHaveBeenCalledWith(['/learn/practise'], { queryParams: {} });
  today.fixture.destroy();

  const drill = await render(Drill);
  const practice = TestBed.inject(Practice);
  const { card } = (practice.asked() as ItemQuestion).item;
  expect(drill.text()).toContain('A new card');
  expect(drill.text()).toContain(showSaid(truthOf({ direction: 'number', card }, order)));
  expect(TestBed.inject(RailHidden).why()).toContain('hidden');
  press('Enter');
  await drill.fixture.whenStable();
  expect(practice.introduced()).toBeUndefined();
  // Neither the ask line nor a room opens by a key.
  let heard = 0;
  const listen = (): unknown => heard++;
  document.addEventListener('keydown', listen);
  for (const key of ['/', '3', 'u', '?']) press(key);
  expect(heard).toBe(0);
  press('Escape');
  document.removeEventListener('keydown', listen);
  expect(navigate).toHaveBeenLastCalledWith(['/learn']);
  drill.fixture.destroy();
  expect(TestBed.inject(RailHidden).why()).toBeUndefined();
});

test('time runs from the painted prompt to the first key, and the schedule is that of the answers', async () => {
  const { answer, asked } = await practise();
  const answered: { item: Item; ms: number }[] = [];
  for (const ms of [400, 900, 2600, 5000, 1500, 300, 800, 700]) {
    answered.push({ item: asked(), ms });
    await answer(ms);
  }
  await stored(8);
  const rows = (await reviews()).sort((a, b) => a.at - b.at);
  expect(rows.map(({ item, ms }) => ({ item: parseItem(item), ms }))).toEqual(answered);
  expect(rows.every(({ right }) => right)).toBe(true);
  const schedule = scheduleBy();
  for (const { item } of answered) {
    const own = rows.filter((row) => row.item === itemId(item));
    expect(await memoryOf(item)).toEqual(replay(schedule, own));
  }
});

test('a wrong answer shows the truth and what was mixed up, and comes back in the same practice', async () => {
  const { answer, asked, drill } = await practise();
  const first = asked();
  const wrong = truthOf({ ...first, card: order[30] }, order);
  await answer(900, wrong);
  expect(drill.text()).toContain(`Not ${showSaid(wrong)}`);
  expect(drill.find('.prompt').textContent).toContain(showSaid(truthOf(first, order)));
  press('Enter');
  await drill.fixture.whenStable();
  const seen: Item[] = [];
  for (let count = 0; count < 25 && !seen.some((item) => itemId(item) === itemId(first)); count++) {
    clock.pass(20_000);
    await answer(600);
    seen.push(asked());
  }
  expect(seen.map(itemId)).toContain(itemId(first));
});

test('the last answer is taken back exactly: the item as before, the answer kept as withdrawn', async () => {
  TestBed.inject(LearnStore).set({ minutes: 120 });
  const { answer, asked, drill } = await practise();
  const first = asked();
  await answer(500);
  for (let count = 0; count < 60 && itemId(asked()) !== itemId(first); count++) {
    clock.pass(60_000);
    await answer(500);
  }
  expect(itemId(asked())).toBe(itemId(first));
  const before = await memoryOf(first);
  const count = (await reviews()).length;
  await answer(500, truthOf({ ...first, card: order[40] }, order));
  await stored(count + 1);
  expect(await memoryOf(first)).not.toEqual(before);
  press('Backspace');
  await until(() => drill.text().includes('taken back'));
  expect(await memoryOf(first)).toEqual(before);
  expect((await reviews()).filter(({ withdrawn }) => withdrawn)).toHaveLength(1);
  expect(await db.rows(REVIEWS).count()).toBe(count + 1);
  expect(itemId(asked())).toBe(itemId(first));
  // The very first answer to an item: it is as if it had never been begun.
});

test('the first answer of all is taken back as if it had never been given', async () => {
  const { answer, asked, drill } = await practise();
  const first = asked();
  await answer(500);
  await stored(1);
  expect(await memoryOf(first)).toBeDefined();
  press('Backspace');
  await until(() => drill.text().includes('taken back'));
  expect(await memoryOf(first)).toBeUndefined();
  expect(itemId(asked())).toBe(itemId(first));
  // There is no more to take back.
  press('Backspace');
  expect(itemId(asked())).toBe(itemId(first));
});

test('storage that refuses an answer is told, loses nothing, and nothing is taken back behind the back', async () => {
  const { answer, asked, drill } = await practise();
  const first = asked();
  const full = new DOMException('no room', 'QuotaExceededError');
  const puts = ['items', 'reviews', 'state'].map((table) =>
    jest.spyOn(db.table(table), 'bulkPut').mockRejectedValue(full),
  );
  await answer(600);
  await until(() => TestBed.inject(Journal).held() === 1);
  expect(itemId(asked())).not.toBe(itemId(first));
  expect(await db.rows(REVIEWS).count()).toBe(0);
  press('Backspace');
  await until(() => drill.text().includes('the browser isn’t saving'));
  puts.forEach((put) => put.mockRestore());
  expect(await TestBed.inject(Journal).tryAgain()).toBe(true);
  const rows = await reviews();
  expect(rows.map(({ item, withdrawn }) => [item, withdrawn])).toEqual([[itemId(first), undefined]]);
  expect(await memoryOf(first)).toBeDefined();
  // Now it can be.
  press('Backspace');
  await until(() => drill.text().includes('taken back.'));
  expect(await memoryOf(first)).toBeUndefined();
});

test('a slip that is asked again is timed from its own prompt; a card of two taps from the first', async () => {
  const { answer, asked, drill } = await practise();
  const practice = TestBed.inject(Practice);
  const first = asked();
  await answer(4000, truthOf({ ...first, card: order[44] }, order));
  clock.pass(6000);
  press('Backspace');
  await until(() => practice.wrong() === undefined && itemId(asked()) === itemId(first));
  await drill.fixture.whenStable();
  await pass();
  await answer(700);
  await stored(2);
  const right = (await reviews()).find((row) => row.right);
  expect(right).toMatchObject({ item: itemId(first), ms: 700 });

  for (let count = 0; count < 12 && asked().direction !== 'after'; count++) await answer(800);
  const item = asked();
  clock.pass(900);
  const pad = drill.find('.pad');
  pad.dispatchEvent(new MouseEvent('pointerdown', { bubbles: true }));
  clock.pass(2000);
  const before = await db.rows(REVIEWS).count();
  // A card of which a rank is typed already is the one that is pressed.
  press('k');
  const truth = truthOf(item, order);
  const name = truth.kind === 'cards' ? speakCard(truth.cards[0]) : '';
  drill
    .all('en-card-pad button')
    .find((each) => each.ariaLabel === name)
    ?.click();
  await stored(before + 1);
  expect((await reviews()).find((row) => row.item === itemId(item))).toMatchObject({ right: true, ms: 900 });
});

test('a key that is held down answers once', async () => {
  const { asked } = await practise();
  expect(asked().direction).toBe('number');
  const held = new KeyboardEvent('keydown', { key: '1', repeat: true, bubbles: true, cancelable: true });
  press('1');
  document.body.dispatchEvent(held);
  document.body.dispatchEvent(held);
  await pass(20);
  expect(await db.rows(REVIEWS).count()).toBe(0);
  expect(held.defaultPrevented).toBe(true);
});

test('Enter on what can be pressed presses that; anywhere else it starts', async () => {
  const navigate = jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
  const today = await render(Today);
  await until(() => today.all('summary').length > 0);
  const enter = (target: Element): unknown =>
    target.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
  for (const selector of ['summary', 'a', '.start']) enter(today.find(selector));
  expect(navigate).not.toHaveBeenCalled();
  enter(today.find('h2'));
  expect(navigate).toHaveBeenCalledTimes(1);
});

test('nothing more is said only when nothing more is asked: what begun cards lack is', async () => {
  const { answer, drill } = await practise();
  // Every card of the day is begun, no card in all directions.
  for (let count = 0; count < 5; count++) await answer(600);
  TestBed.inject(LearnStore).set({ newCards: TestBed.inject(LearnStore).begun().size });
  drill.fixture.destroy();
  const today = await render(Today);
  expect(TestBed.inject(LearnStore).newCards()).toBe(0);
  expect(TestBed.inject(LearnStore).fresh().length).toBeGreaterThan(0);
  expect(today.text()).not.toContain('Nothing more');
});

test('a hidden tab and a long pause are not taken as slowness', async () => {
  const { answer } = await practise();
  document.dispatchEvent(new Event('visibilitychange'));
  await answer(9000);
  clock.pass(500);
  await answer(25_000);
  await stored(2);
  const rows = (await reviews()).sort((a, b) => a.at - b.at);
  expect(rows.map(({ grade, interrupted }) => [grade, interrupted])).toEqual([
    [3, true],
    [3, undefined],
  ]);
});

test('a practice that was left goes on where it was; its answers are there', async () => {
  const { answer, drill } = await practise();
  await answer(700);
  await answer(700);
  await stored(2);
  drill.fixture.destroy();
  const again = await practise();
  expect(again.drill.text()).toContain('2 answered');
  await again.answer(700);
  expect(again.drill.text()).toContain('3 answered');
  press('Escape');
});

test('answers are no steps of undo, and two tabs that answer the same item lose none', async () => {
  const { answer, asked } = await practise();
  const item = asked();
  await answer(800);
  await stored(1);
  expect(TestBed.inject(Journal).undoable('table')).toBeUndefined();
  // Another tab, which knows nothing of this one.
  clock.pass(1000);
  const source = TestBed.inject(Source) as ItemSource;
  source.give(questionOf(item), truthOf(item, order), { ms: 500 }, 0);
  source.give(questionOf(item), promptOf(item, order), { ms: 500 }, 0);
  await stored(3);
  const own = (await reviews()).sort((a, b) => a.at - b.at);
  expect(own).toHaveLength(3);
  expect((await memoryOf(item))?.reps).toBe(3);
});

test('a forecast is made with the user’s own rates: what was held and is wrong tells, a slip taken back does not', async () => {
  const store = TestBed.inject(LearnStore);
  expect(store.recallRate()).toBe(1);
  const schedule = scheduleBy();
  const [first, second] = store.plan().items;
  const begun = clock.at - 20 * 86_400_000;
  const memory = [3, 3, 3].reduce<Memory>(
    (held, grade) => schedule.next(held, grade as 3, held.due),
    schedule.fresh(begun),
  );
  expect(memory.state).toBe(2);
  for (const item of [first, second])
    await db.rows(ITEMS).put({
      ...{ id: itemKey(tidemark.id, itemId(item)), order: tidemark.id, item: itemId(item) },
      ...{ memory, truth: '1', begun },
    });
  await until(() => store.memories().size === 2);
  const source = TestBed.inject(Source) as ItemSource;
  source.give(questionOf(first), truthOf({ ...first, card: order[9] }, order), { ms: 900 }, 0);
  await until(() => store.recallRate() < 1);
  const given = source.give(
    questionOf(second),
    truthOf({ ...second, card: order[9] }, order),
    { ms: 900 },
    0,
  );
  const worse = store.recallRate();
  await until(() => store.recallRate() < worse);
  expect(await given.takeBack()).toBe('taken back');
  await until(() => store.recallRate() === worse);
  expect(store.forecastArgs(30, 2, 1)).toMatchObject({ recallRate: worse, minutes: 5, days: 30 });
});

test('a turned pack is learnt by its home order; so is one whose order is gone, with a joker and a second copy', async () => {
  const [pack, store] = [TestBed.inject(PackStore), TestBed.inject(LearnStore)];
  await pack.apply({ kind: 'cut', count: 5 });
  expect(store.order()).toEqual(order);
  await pack.apply({ kind: 'deal', count: 9 });
  expect(store.order()).toEqual(order);

  const orders = TestBed.inject(OrdersStore);
  const odd = [19, 52, secondOf(19), 3];
  const id = await orders.add('Odd', odd);
  await until(() => orders.find(id) !== undefined);
  await pack.use(orders.find(id) as OrderRow);
  await orders.remove(orders.find(id) as OrderRow);
  await until(() => store.isRead() && store.orderId() === id);
  expect(store.order()).toEqual(odd);
  store.set({ directions: ['number', 'card', 'after', 'before', 'around', 'mate'] });
  // No mate of any of them is there.
  expect(store.plan().items).toHaveLength(4 * 5);
  const drill = await render(Drill);
  expect(drill.text()).toContain('A new card');
  drill.fixture.destroy();
  const today = await render(Today);
  expect(today.all('.cards li')).toHaveLength(4);
});

test('what is due is that of today, also where nobody has done anything since yesterday', async () => {
  const store = TestBed.inject(LearnStore);
  const [first] = store.plan().items;
  const schedule = scheduleBy();
  const memory = schedule.next(schedule.next(schedule.fresh(clock.at), 3, clock.at), 3, clock.at);
  await db.rows(ITEMS).put({
    ...{ id: itemKey(tidemark.id, itemId(first)), order: tidemark.id, item: itemId(first) },
    ...{ memory, truth: '1', begun: clock.at },
  });
  await until(() => store.memories().size === 1);
  const [day, due] = [store.dayBegan(), store.due().length];
  // The page is open over night, and is looked at again.
  clock.pass(30 * 86_400_000);
  expect(store.dayBegan()).toBe(day);
  document.dispatchEvent(new Event('visibilitychange'));
  expect(store.dayBegan()).toBe(day + 30 * 86_400_000);
  expect(store.due().length).toBe(due + 1);
});
