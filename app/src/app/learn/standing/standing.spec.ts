import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { DIRECTIONS, itemId, parseItem, replay, scheduleBy } from '@enumeron/core/learn';
import { freshApp, until } from '../../../testing/fresh';
import { FakeClock } from '../../../testing/learner';
import { render } from '../../../testing/render';
import { Database } from '../../storage/database';
import { IMAGES } from '../../nouns/learning/images.kind';
import { ITEMS } from '../../nouns/learning/items.kind';
import { ReviewRow, REVIEWS } from '../../nouns/learning/reviews.kind';
import { RUNS } from '../../nouns/learning/runs.kind';
import { SUMS } from '../../nouns/learning/sums.kind';
import { Reader } from '../../storage/reader';
import { TIDEMARK } from '../../nouns/orders/tidemark';
import { RailMarks } from '../../nouns/pack/marks';
import { Clock } from '../../platform/clock';
import { LearnStore } from '../../nouns/learning/learn.store';
import { SampleLearning } from '../../nouns/learning/sample-learning';
import { SumsStore } from '../../nouns/learning/sums.store';
import { Standing } from './standing';
import { SHOWN } from './standing.store';

let db: Database;
let clock: FakeClock;
let sample: SampleLearning;

beforeEach(async () => {
  clock = new FakeClock();
  db = await freshApp([
    provideRouter([{ path: '**', children: [] }]),
    { provide: Clock, useValue: clock },
    ...[LearnStore, SumsStore, SampleLearning],
  ]);
  sample = TestBed.inject(SampleLearning);
  await until(() => TestBed.inject(LearnStore).isRead());
});

const reviews = (): Promise<ReviewRow[]> => db.rows(REVIEWS).toArray();

test('the sample is some weeks of practice that could have been: every row is sound, every memory that of its answers', async () => {
  await sample.layOut();
  const reader = TestBed.inject(Reader);
  await reader.ready();
  const kinds = [ITEMS, REVIEWS, SUMS, RUNS, IMAGES] as const;
  for (const kind of kinds) {
    const rows: unknown[] = await db.table(kind.table).toArray();
    expect([kind.name, rows.length > 2]).toEqual([kind.name, true]);
    for (const row of rows) {
      expect(reader.read<unknown>(kind as never, row)).toEqual({ ok: true, row });
      expect(row).toMatchObject({ sample: true });
    }
  }
  const all = await reviews();
  expect(all.length).toBeGreaterThan(800);
  expect(Math.max(...all.map(({ at }) => at))).toBeLessThan(clock.now());
  const schedule = scheduleBy();
  for (const { item, memory } of await db.rows(ITEMS).toArray()) {
    const own = all.filter((each) => each.item === item).sort((a, b) => a.at - b.at);
    expect(replay(schedule, own)).toEqual(memory);
    expect(parseItem(item)).toBeDefined();
  }
});

test('it is laid out once, not over what was learnt, and goes with one press; what was answered since stays', async () => {
  await sample.layOut();
  const before = await db.rows(REVIEWS).count();
  await sample.layOut();
  expect(await db.rows(REVIEWS).count()).toBe(before);
  // One item was answered since.
  const [row] = await db.rows(ITEMS).toArray();
  const schedule = scheduleBy();
  const at = clock.now();
  const own: ReviewRow = {
    ...{ id: 'own', order: row.order, item: row.item, at, answered: '1', right: true, ms: 900, grade: 3 },
    before: row.memory,
  };
  await db.rows(REVIEWS).put(own);
  const { sample: was, ...rest } = row;
  expect(was).toBe(true);
  await db.rows(ITEMS).put({ ...rest, memory: schedule.next(row.memory, 3, at) });
  await sample.takeAway();
  expect((await reviews()).map(({ id }) => id)).toEqual(['own']);
  expect(await db.rows(ITEMS).toArray()).toEqual([
    { ...rest, memory: schedule.next(schedule.fresh(at), 3, at), begun: at },
  ]);
  for (const kind of [SUMS, RUNS, IMAGES]) expect(await db.table(kind.table).count()).toBe(0);
  await sample.layOut();
  expect(await db.rows(REVIEWS).count()).toBe(1);
});

test('what was learnt already keeps the sample away', async () => {
  await db.rows(REVIEWS).put({
    ...{ id: 'own', order: 'x', item: 'number 7D', at: 5, answered: '1', right: true, ms: 900, grade: 3 },
  });
  await sample.layOut();
  expect(await db.rows(REVIEWS).count()).toBe(1);
  expect(await db.rows(ITEMS).count()).toBe(0);
});

test('how it stands: a verdict with its reason, each card with its time, slow ones marked on the rail', async () => {
  await sample.layOut();
  const page = await render(Standing);
  await until(() => page.text().includes('From your last'));
  expect(page.text()).toContain('Not ready for the stage yet');
  expect(page.all('en-heat-sheet li')).toHaveLength(52);
  const marked = (): number[] => [...TestBed.inject(RailMarks).marks().keys()];
  const forNumbers = marked();
  expect(forNumbers.length).toBeGreaterThan(5);
  await page.click('what precedes');
  expect(marked()).not.toEqual(forNumbers);
  // Behind each picture there is a table with the same numbers.
  const answers = (await reviews()).filter(({ right }) => right).length;
  const details = page.find('en-speed-chart details') as HTMLDetailsElement;
  details.open = true;
  details.dispatchEvent(new Event('toggle'));
  await page.fixture.whenStable();
  const cells = page
    .all('en-speed-chart details:first-of-type td')
    .map(({ textContent }) => Number(textContent));
  expect(cells.reduce((sum, count) => sum + count, 0)).toBe(answers);
  const navigate = jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
  await page.click('Drill these 10');
  const items = (navigate.mock.calls[0][1]?.queryParams as { items: string }).items.split(',');
  expect(items).toHaveLength(10);
  for (const id of items) {
    const item = parseItem(id);
    expect(item && DIRECTIONS.includes(item.direction) && itemId(item)).toBe(id);
  }
  page.fixture.destroy();
  expect(marked()).toEqual([]);
});

test('of very many answers the last are shown, each once, also where many fall on one moment', async () => {
  const row = (index: number): ReviewRow => ({
    ...{ id: `r${index}`, order: TIDEMARK.id, item: 'number 7D', answered: '20', right: true, ms: 900 },
    ...{ at: 1000 + Math.floor(index / 3), grade: 3 },
    ...(index % 10 === 0 ? { withdrawn: true as const } : {}),
  });
  await db.rows(REVIEWS).bulkPut(Array.from({ length: SHOWN + 2000 }, (_, index) => row(index)));
  const page = await render(Standing);
  await until(() => page.text().includes('From your last'));
  expect(page.text()).toContain(
    `From your last ${SHOWN.toLocaleString('en')} answers, the most that is shown`,
  );
  page.fixture.destroy();
  await db.rows(REVIEWS).clear();
  await db.rows(REVIEWS).bulkPut(Array.from({ length: 1000 }, (_, index) => row(index)));
  const again = await render(Standing);
  await until(() => again.text().includes('From your last'));
  expect(again.text()).toContain('From your last 900 answers.');
});
