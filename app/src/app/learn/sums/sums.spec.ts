import { TestBed } from '@angular/core/testing';
import { ActivatedRoute, convertToParamMap, provideRouter, Router } from '@angular/router';
import { Drawn, Answer, saidCards, saidNumber, saidOff, saidWeaves, SUM_KINDS } from '@enumeron/core/learn';
import { WORKED } from '@enumeron/core/file/rehearse/worked/worked';
import { freshApp, until } from '../../../testing/fresh';
import { FakeClock, keysOf, press } from '../../../testing/learner';
import { render, Rendered } from '../../../testing/render';
import { Database } from '../../storage/database';
import { Journal } from '../../storage/journal';
import { OrderRow } from '../../nouns/orders/orders.kind';
import { SumRow, SUMS } from '../../nouns/learning/sums.kind';
import { OrderChanges } from '../../nouns/pack/order-changes';
import { OrdersStore } from '../../nouns/orders/orders.store';
import { Clock } from '../../platform/clock';
import { Drill } from '../drill/drill';
import { Practice } from '../drill/practice';
import { Source } from '../drill/source';
import { PROCEDURES } from '../../nouns/procedures/procedures.kind';
import { SentStore } from '../../nouns/procedures/sent.store';
import { LearnStore } from '../../nouns/learning/learn.store';
import { SumSource } from './sum-source';
import { Sums } from './sums';
import { SumsStore } from '../../nouns/learning/sums.store';
import { pass } from '../../../testing/pass';

let clock: FakeClock;
let db: Database;
let query: Record<string, string>;

beforeEach(async () => {
  clock = new FakeClock();
  query = {};
  db = await freshApp([
    provideRouter([{ path: '**', children: [] }]),
    { provide: Clock, useValue: clock },
    {
      provide: ActivatedRoute,
      useFactory: () => ({ snapshot: { queryParamMap: convertToParamMap(query) } }),
    },
    LearnStore,
    SumsStore,
    Practice,
    { provide: Source, useClass: SumSource },
  ]);
  await until(() => TestBed.inject(Source).isRead());
});

const asked = (): Drawn => (TestBed.inject(Practice).asked() as unknown as { drawn: Drawn }).drawn;
const rows = (): Promise<SumRow[]> => db.rows(SUMS).orderBy('at').toArray();
const stored = async (count: number): Promise<void> => {
  await until(async () => (await rows()).length >= count);
};

const answer = async (drill: Rendered<Drill>, after: number, said?: Answer): Promise<Drawn> => {
  const drawn = asked();
  clock.pass(after);
  for (const key of keysOf(said ?? drawn.sum.truth)) press(key);
  if (asked() === drawn && !TestBed.inject(Practice).wrong()) press('Enter');
  await drill.fixture.whenStable();
  await pass();
  return drawn;
};

/** An answer of the same kind that is not the truth. */
const wrongFor = ({ sum: { truth } }: Drawn): Answer => {
  switch (truth.kind) {
    case 'number':
      return saidNumber(truth.number === 11 ? 12 : 11);
    case 'off':
      return saidOff(-truth.off || 3);
    case 'cards':
      return saidCards(truth.cards[0] === 19 ? 20 : 19);
    case 'weaves':
      return saidWeaves([...truth.weaves, 'in']);
  }
};

test('sums of every kind are answered by keys, timed, and kept with what was asked', async () => {
  TestBed.inject(LearnStore).set({ minutes: 60 });
  const drill = await render(Drill);
  const seen = new Set<string>();
  for (let count = 0; count < 90; count++) seen.add((await answer(drill, 1500)).kind.name);
  await stored(90);
  // Tidemark has no bank, and is not worked out.
  expect(seen.size).toBe(SUM_KINDS.length - 4);
  const all = await rows();
  expect(all.every(({ right, ms }) => right && ms === 1500)).toBe(true);
  // They get harder as they come right in time.
  const levels = (part: SumRow[]): number => part.reduce((sum, { level }) => sum + level, 0) / part.length;
  expect(levels(all.slice(45))).toBeGreaterThan(levels(all.slice(0, 45)));
  drill.fixture.destroy();
});

test('a wrong sum shows how it is done; a slip is taken back and counts no more', async () => {
  query = { way: '' };
  const drill = await render(Drill);
  const drawn = await answer(drill, 900, wrongFor(asked()));
  expect(drill.find('.prompt').textContent).not.toBe('');
  expect(drill.all('en-hand-sum li')).toHaveLength(drawn.sum.lines.length);
  await stored(1);
  const store = TestBed.inject(SumsStore);
  expect(store.standingOf(drawn.kind)?.answers).toBe(1);
  press('Backspace');
  await until(() => drill.text().includes('taken back'));
  expect(store.standingOf(drawn.kind)?.answers).toBe(0);
  expect((await rows()).map(({ withdrawn }) => withdrawn)).toEqual([true]);
  expect(asked()).toBe(drawn);
  // What is read anew leaves it out as well.
  await store.load();
  expect(store.standingOf(drawn.kind)?.answers).toBe(0);
  drill.fixture.destroy();
});

test('storage that refuses a sum loses nothing; what another tab took back is not taken back again', async () => {
  query = { way: '' };
  const drill = await render(Drill);
  const full = new DOMException('no room', 'QuotaExceededError');
  const puts = ['sums', 'state'].map((table) =>
    jest.spyOn(db.table(table), 'bulkPut').mockRejectedValue(full),
  );
  const drawn = await answer(drill, 900);
  await until(() => TestBed.inject(Journal).held() === 1);
  expect(asked()).not.toBe(drawn);
  expect(TestBed.inject(SumsStore).standingOf(drawn.kind)?.answers).toBe(1);
  press('Backspace');
  await until(() => drill.text().includes('the browser isn’t saving'));
  puts.forEach((put) => put.mockRestore());
  expect(await TestBed.inject(Journal).tryAgain()).toBe(true);
  expect((await rows()).map(({ kind, withdrawn }) => [kind, withdrawn])).toEqual([
    [drawn.kind.name, undefined],
  ]);
  // The other tab withdraws it, and has answered one of its own.
  const [row] = await rows();
  await db.rows(SUMS).bulkPut([
    { ...row, withdrawn: true },
    { ...row, id: 'other-tab', at: row.at + 1 },
  ]);
  press('Backspace');
  await until(() => drill.text().includes('not taken back'));
  expect((await rows()).map(({ withdrawn }) => withdrawn)).toEqual([true, undefined]);
  drill.fixture.destroy();
});

test('an order that gets longer half-way: what was asked of the old one is asked no more', async () => {
  query = { way: '' };
  const drill = await render(Drill);
  const orders = TestBed.inject(OrdersStore);
  const id = TestBed.inject(LearnStore).orderId();
  const row = orders.find(id) as OrderRow;
  const before = asked();
  await TestBed.inject(OrderChanges).change(row, row.name, [...row.cards.slice(1), row.cards[0], 52]);
  await until(() => TestBed.inject(LearnStore).order().length === 53 && asked() !== before);
  for (let count = 0; count < 12; count++) {
    const { kind, inputs, sum } = await answer(drill, 700);
    // It is the sum of the order as it is now.
    expect(kind.make(TestBed.inject(SumsStore).pack(), inputs)?.truth).toEqual(sum.truth);
  }
  await stored(12);
  expect((await rows()).every(({ right }) => right)).toBe(true);
  drill.fixture.destroy();
});

test.each(['number-line', 'two-cuts', 'two-cards', 'next-ranks', 'composed-card', 'gap', 'dealt-back'])(
  'a way of Reckon, %s, practises its own kinds',
  async (way) => {
    query = { way };
    const drill = await render(Drill);
    for (let count = 0; count < 6; count++) {
      expect(asked().kind.way).toBe(way);
      await answer(drill, 700);
    }
    drill.fixture.destroy();
  },
);

test('kinds are chosen and a time is wanted; the page shows how fluent each is', async () => {
  const page = await render(Sums);
  expect(page.all('tbody tr')).toHaveLength(SUM_KINDS.length - 4);
  await page.click('6 s');
  page
    .all('tbody tr')
    .find((row) => row.textContent.includes('how far off'))
    ?.querySelector<HTMLElement>('.link')
    ?.click();
  await page.fixture.whenStable();
  const settings = TestBed.inject(LearnStore).settings;
  expect(settings().sums).toEqual({ kinds: ['how far off'], wanted: 6000 });
  // The last one that is chosen stays.
  await page.click('how far off');
  expect(settings().sums?.kinds).toEqual(['how far off']);
  const navigate = jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
  press('Enter');
  expect(navigate).toHaveBeenCalledWith(['/learn/sums/practise']);
  page.fixture.destroy();

  const drill = await render(Drill);
  for (let count = 0; count < 3; count++) expect((await answer(drill, 5000)).kind.name).toBe('how far off');
  drill.fixture.destroy();
  const again = await render(Sums);
  expect(again.text()).toContain('5.0 s');
});

test('a procedure that was sent to Reckon is a kind of sum, and is practised from there', async () => {
  const procedure = WORKED.find(({ procedure: each }) => each.name.startsWith('Two cuts'))?.procedure;
  if (!procedure) throw new Error('no such procedure');
  await db.rows(PROCEDURES).put({ id: 'mine', procedure, at: 1 });
  const sent = TestBed.inject(SentStore);
  sent.send('mine', procedure.name);
  const store = TestBed.inject(SumsStore);
  await until(() => store.kinds().some(({ name }) => name === procedure.name));
  query = { way: sent.of('mine')?.path ?? '' };
  const drill = await render(Drill);
  const { sum, kind } = await answer(drill, 900);
  expect(kind.name).toBe(procedure.name);
  expect(sum.shown).toMatch(/^\S+, \S+$/);
  await stored(1);
  expect(await rows()).toMatchObject([{ kind: procedure.name, right: true, asked: sum.shown }]);
});
