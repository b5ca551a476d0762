import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { lackingField } from '@enumeron/core/form';
import { parseCard } from '@enumeron/core/deck';
import { Fact } from '@enumeron/core/reckon/facts';
import { LatelyStore } from '../../nouns/settings/lately.store';
import { sampleOrders } from '../../nouns/orders/sample';
import { ALL_HANDLINGS } from '@enumeron/core/reckon';
import { ask } from '../../frame/ask/ask';
import { Asked } from '../../frame/ask/reply';
import { PackStore } from '../../nouns/pack/pack.store';
import { freshApp, until } from '../../../testing/fresh';
import { render } from '../../../testing/render';
import { PATTERNS } from '@enumeron/core/reckon/patterns';
import { ReckonRoom } from '../reckon-room';
import { WayList } from './way-list';
import { RECKON } from '../room';
import { WAYS, wayAt } from './ways';
import { pass } from '../../../testing/pass';

const card = (name: string): number => parseCard(name) as number;
const [{ cards: home }] = sampleOrders();
const asked: Asked = { home, now: home, tolerance: ALL_HANDLINGS };

test('each way has its words, its picture, and is opened by its words', () => {
  expect(new Set(WAYS.map(({ words }) => words)).size).toBe(WAYS.length);
  for (const way of WAYS) {
    expect(way.words).toMatch(/^[a-z]+( [a-z]+){1,2}$/);
    expect(way.picture).toMatch(/^[.swnbum|]{12}$/);
    expect(wayAt(way.path)).toBe(way);
    expect(ask(way.words.toUpperCase(), asked).intent).toMatchObject({ do: 'open', way: { path: way.path } });
    // On the way there, it is among what is offered.
    const half = way.words.slice(0, way.words.indexOf(' ') + 2);
    expect(ask(half, asked).completions.map(({ says }) => says)).toContain(`${way.name}: ${way.asked}`);
  }
});

test('each pattern has a way in, each way a pattern or a view of its own, and the docs know them', () => {
  const docs = readFileSync(join(__dirname, '../../../../../docs/code/reckoning.md'), 'utf8');
  const views = RECKON.pages.map(({ path }) => path);
  const paths = PATTERNS.map(({ path }) => path);
  expect(
    WAYS.map(({ path }) => path)
      .filter((path) => !views.includes(path))
      .sort(),
  ).toEqual(paths.sort());
  for (const { words } of WAYS) expect(docs).toContain(`_${words}_`);
});

test('a fact that is told offers the ways that go on from it, with what they need', () => {
  const offered = (text: string): unknown[] =>
    ask(text, asked).completions.map(
      ({ intent }) => intent?.do === 'open' && [intent.way.path, intent.values],
    );
  expect(offered('cuts jh 2d')).toEqual([['two-cuts', { first: card('JH'), second: card('2D') }]]);
  expect(offered('gap 3h 9d')).toEqual([['gap', { above: card('3H'), below: card('9D') }]]);
  expect(offered('short 7')).toEqual([['short-group', { rank: 7 }]]);
  expect(offered('next 4 10')).toEqual([['next-ranks', { first: 4, second: 10 }]]);
  expect(offered('face kh')).toEqual([
    ['number-line', { key: card('KH') }],
    ['count-down', { face: card('KH') }],
  ]);
  expect(offered('top kh')).toEqual([]);
});

test('what a way takes from a fact are fields that it has', () => {
  const facts: Fact[] = [
    { kind: 'seen', at: 'face', card: 3 },
    { kind: 'cuts', first: 1, second: 2 },
    { kind: 'lift', size: [20, 20] },
    { kind: 'next ranks', first: 2, second: 9 },
    { kind: 'gap', above: 1, below: 2, count: 1 },
    { kind: 'short group', rank: 7 },
  ];
  for (const fact of facts) {
    const takers = WAYS.filter((way) => way.take?.(fact));
    expect(takers.length).toBeGreaterThan(0);
    for (const way of takers) {
      const names = PATTERNS.find(({ path }) => path === way.path)?.fields.map(({ name }) => name);
      for (const name of Object.keys(way.take?.(fact) ?? {})) expect(names).toContain(name);
    }
  }
});

test('an example fills all that a pattern needs, and is answered', () => {
  const bank = { cards: home.slice(20, 33), places: Array.from({ length: 13 }, (_, index) => index + 21) };
  for (const pattern of PATTERNS) {
    const pack = { home, now: home, bank, shift: 6, estimates: [] };
    const values = pattern.example?.(pack) ?? {};
    expect([pattern.path, lackingField(pattern, values)]).toEqual([pattern.path, undefined]);
    const complete = Object.fromEntries(
      pattern.fields.map(({ name, start }) => [name, values[name] ?? start]),
    );
    expect([pattern.path, pattern.reckon(complete, pack).ok]).toEqual([pattern.path, true]);
  }
});

describe('the list', () => {
  beforeEach(async () => {
    await freshApp([provideRouter([{ path: '**', children: [] }])]);
  });

  test('shows the last used first, and what is under the finger stays there', async () => {
    const rendered = await render(WayList, { path: 'gap', lately: ['gap', 'two-cuts'] });
    const words = (): string[] => rendered.all('.words').map((each) => each.textContent);
    expect(words().slice(0, 3)).toEqual(['missing cards', 'two cuts', 'card at number']);
    expect(words()).toHaveLength(WAYS.length);
    rendered.fixture.componentRef.setInput('lately', ['two-cards', 'gap', 'two-cuts']);
    rendered.fixture.componentRef.setInput('path', 'two-cards');
    await rendered.fixture.whenStable();
    expect(words()[0]).toBe('missing cards');
    expect(rendered.find('[aria-current]').textContent).toContain('two cards');
  });

  test('is narrowed down by what is typed, and Enter opens the first', async () => {
    const rendered = await render(WayList, { path: '', lately: [] });
    await rendered.type('input', 'ranks cut');
    expect(rendered.all('.words').map((each) => each.textContent)).toEqual(['next ranks']);
    rendered.find('input').dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }));
    await until(() => TestBed.inject(Router).url === '/reckon/next-ranks');
    await rendered.type('input', 'no such thing');
    expect(rendered.text()).toContain('Nothing here matches “no such thing”');
  });

  test('a way that another tab opens stays first: this one does not put its own there again', async () => {
    await render(ReckonRoom);
    const lately = TestBed.inject(LatelyStore);
    await until(() => lately.ways().length === 1);
    lately.use('gap');
    await pass(100);
    expect(lately.ways()[0]).toBe('gap');
  });

  test('what was used is kept, the newest first, and is nothing to undo', async () => {
    const lately = TestBed.inject(LatelyStore);
    for (const path of ['gap', '', 'two-cuts', 'gap']) lately.use(path);
    await until(() => lately.ways().join() === 'gap,two-cuts,');
    lately.greet('reckon');
    await until(() => lately.isGreeted('reckon'));
    expect(TestBed.inject(PackStore).offset()).toBe(0);
  });
});
