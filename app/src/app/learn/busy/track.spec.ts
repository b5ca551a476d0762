import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { BusyHeap, BusyMove } from '@enumeron/core/file/rehearse/busyRow';
import { TRACKED } from '@enumeron/core/file/rehearse/tracking';
import { freshApp, until } from '../../../testing/fresh';
import { FakeClock, press } from '../../../testing/learner';
import { render, Rendered } from '../../../testing/render';
import { BUSY_PLACE, heapsTold } from '../../nouns/pack/busy-told';
import { PatternsStore } from '../../nouns/pack/patterns.store';
import { Clock } from '../../platform/clock';
import { Track } from './track';

const HEAPS: readonly BusyHeap[] = [
  { cards: 5, wanted: [2] },
  { cards: 0, wanted: [] },
  { cards: 6, wanted: [1, 4] },
];

const open = async (): Promise<Rendered<Track>> => {
  await freshApp([
    provideRouter([{ path: '**', children: [] }]),
    { provide: Clock, useValue: new FakeClock() },
  ]);
  await TestBed.inject(PatternsStore).fill(BUSY_PLACE, heapsTold(HEAPS));
  return render(Track);
};

/** What is done, as the screen reader is told it, from the first move to the question. */
const watch = async (page: Rendered<Track>): Promise<BusyMove[]> => {
  const moves: BusyMove[] = [];
  press(' ');
  await page.fixture.whenStable();
  while (page.all('input').length === 0) {
    const [, from, to] = /from heap (\d) onto heap (\d)/.exec(page.text()) ?? [];
    moves.push({ from: Number(from), to: Number(to) });
    press('ArrowRight');
    await page.fixture.whenStable();
  }
  return moves;
};

/** Where the cards lie by then, pushed about one by one: what is to be answered for each heap. */
const lyingAfter = (moves: readonly BusyMove[]): string[] => {
  const piles = HEAPS.map(({ cards, wanted }) =>
    Array.from({ length: cards }, (_, index) => wanted.includes(index + 1)),
  );
  for (const { from, to } of moves) piles[to - 1].unshift(piles[from - 1].shift() ?? false);
  return piles.map((pile) => pile.flatMap((wanted, at) => (wanted ? [at + 1] : [])).join(' ') || '0');
};

const type = async (page: Rendered<Track>, words: readonly string[]): Promise<void> => {
  for (const [index, text] of words.entries()) {
    const field = page.all('input')[index] as HTMLInputElement;
    field.value = text;
    field.dispatchEvent(new Event('input', { bubbles: true }));
  }
  await page.fixture.whenStable();
};
const answer = async (page: Rendered<Track>, words: readonly string[]): Promise<void> => {
  await type(page, words);
  await page.click('Check');
};

test('moves come one by one; a row that is tracked is right, and the next is one longer', async () => {
  const page = await open();
  expect(page.find('.depths').textContent).toBe('heap 1 at 2; heap 3 at 1 and 4');
  const moves = await watch(page);
  expect(moves).toHaveLength(TRACKED.first);
  await answer(page, lyingAfter(moves));
  expect(page.find('.question').textContent).toBe('Right');
  await until(() => page.text().includes('1 of 1 right'));
  press('Enter');
  await page.fixture.whenStable();
  expect(page.text()).toContain(`${(TRACKED.first + 1).toString()} moves follow`);
});

test('a miss shows what was said and where they lie, and the next row is shorter; nonsense is not checked', async () => {
  const page = await open();
  const moves = await watch(page);
  const truth = lyingAfter(moves);
  await type(page, ['x', ...truth.slice(1)]);
  await page.click('Check');
  expect(page.text()).toContain('“x” is not a depth');
  expect(page.all('input')).toHaveLength(3);
  await answer(
    page,
    truth.map((each) => (each === '0' ? '9' : '0')),
  );
  expect(page.find('.question').textContent).toBe('They lie');
  expect(page.text()).toContain('You said heap');
  expect(page.text()).toContain('0 of 1 right');
  await page.click('The next row Enter');
  expect(page.text()).toContain(`${TRACKED.least.toString()} moves follow`);
});

test('at a pace they come by themselves', async () => {
  const page = await open();
  await page.click('1 s');
  await until(() => page.all('[aria-checked=true]').some(({ textContent }) => textContent.includes('1 s')));
  press(' ');
  await until(() => page.all('input').length === 3);
});
