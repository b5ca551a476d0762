import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { prove } from '@enumeron/core/file/rehearse/prove';
import { freshApp, until } from '../../../testing/fresh';
import { runHere } from '../../../testing/jobs';
import { render, Rendered } from '../../../testing/render';
import { RUN_JOB } from '../../platform/workers/jobs';
import { ProceduresStore } from '../../nouns/procedures/procedures.store';
import { BusyPage } from './busy-page';
import { BUSY_PLACE, depthsCode, depthsIn, heapsTold } from '../../nouns/pack/busy-told';
import { PatternsStore } from '../../nouns/pack/patterns.store';
import { readDepths, showDepths } from '../../ui/form/depths';

beforeEach(() =>
  freshApp([
    ...[provideRouter([{ path: '**', children: [] }]), ProceduresStore],
    { provide: RUN_JOB, useValue: runHere },
  ]),
);

const tell = async (page: Rendered<unknown>, index: number, text: string): Promise<void> => {
  const field = page.all('en-entry-field input')[index] as HTMLInputElement;
  field.value = text;
  field.dispatchEvent(new Event('input', { bubbles: true }));
  await page.fixture.whenStable();
};
const press = async (page: Rendered<unknown>, key: string): Promise<void> => {
  page.find('.table').dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
  await page.fixture.whenStable();
};
const open = async (): Promise<Rendered<BusyPage>> => {
  const page = await render(BusyPage);
  await until(() => page.all('.all li').length > 0);
  return page;
};
const wantedOnTop = (page: Rendered<unknown>): number =>
  page.all('.pile').filter((pile) => pile.querySelector('i')?.classList.contains('wanted') === true).length;

test('it is stepped by keys, forwards and back, and ends with all on top', async () => {
  const page = await open();
  expect(page.find('.says').textContent.trim()).toBe('24 moves bring the 4 cards up');
  expect(wantedOnTop(page)).toBe(0);
  const first = page.find('.next strong').textContent;
  await press(page, 'ArrowRight');
  await press(page, ' ');
  expect(page.find('.count').textContent).toBe('3 of 24');
  expect(page.all('.pile i')).toHaveLength(52);
  await press(page, 'Home');
  expect(page.find('.next strong').textContent).toBe(first);
  await press(page, 'End');
  expect(page.find('.next strong').textContent).toBe('All up');
  expect(wantedOnTop(page)).toBe(4);
  await press(page, 'ArrowRight');
  await page.click('A move back');
  expect(page.find('.count').textContent).toBe('24 of 24');
});

test('another row is another, and stays over a reload; what cannot be says what to ask for', async () => {
  const page = await open();
  const before = page.find('.all').textContent;
  await page.click('Another row');
  await until(() => page.all('.all').length > 0 && page.find('.all').textContent !== before);
  const now = page.find('.all').textContent;
  page.fixture.destroy();
  const again = await open();
  expect(again.find('.all').textContent).toBe(now);
  await tell(again, 8, '10');
  await until(() => again.text().includes('Ask for 17 or more'));
  expect(again.all('.all')).toHaveLength(0);
  await tell(again, 8, '30');
  await until(() => again.all('.all li').length === 30);
  await tell(again, 1, '14');
  await until(() => again.text().includes('Heap 1 has 13 cards.'));
  await tell(again, 1, '0');
  await again.click('6');
  await until(() => again.text().includes('bring the 5 cards up'));
});

test('several cards of one heap are wanted, and each comes up by itself', async () => {
  const page = await open();
  await tell(page, 1, '1 2 3 4');
  await tell(page, 3, '0');
  await tell(page, 5, '0');
  await tell(page, 7, '0');
  await until(() => page.text().includes('24 moves bring the 4 cards up'));
  await press(page, 'End');
  expect(wantedOnTop(page)).toBe(4);
  await tell(page, 1, '1 1');
  expect(page.text()).toContain('1 stands there twice.');
  await tell(page, 1, '1 99');
  expect(page.text()).toContain('“99” is not a depth from 1 to 60.');
});

test('depths and the number that they are kept as', () => {
  for (const depths of [[], [3], [1, 2, 3, 4], [60, 59, 58, 57, 56, 55]]) {
    expect(depthsIn(depthsCode(depths))).toEqual(depths);
    if (depths.length > 0)
      expect(readDepths(showDepths(depthsCode(depths)))).toEqual({ value: depthsCode(depths) });
  }
  expect(readDepths('0')).toEqual({ value: 0 });
  expect(readDepths('1 2 3 4 5 6 7').problem).toContain('at most 6');
});

test('it is kept as a procedure, which is proved', async () => {
  const page = await open();
  await page.click('Save it as a procedure');
  const router = TestBed.inject(Router);
  await until(() => router.url.startsWith('/rehearse/'));
  const procedure = TestBed.inject(ProceduresStore).find(router.url.split('/')[2])?.procedure;
  expect(procedure?.name).toBe('A busy row of 24 moves');
  expect(procedure && prove(procedure)).toMatchObject({ cases: 1, held: 1 });
});

test('moves that one makes up are tapped or typed, taken back, kept over a reload, and gone on from', async () => {
  const page = await open();
  await page.click('as I make them up');
  await until(() => page.all('en-track-heaps').length === 1);
  const says = (): string => page.find('.says').textContent.trim();
  expect(says()).toBe('heap 1 at 3; heap 2 at 5; heap 3 at 2; heap 4 at 6');
  // Two moves at once, before either is stored.
  for (const key of ['1', '2', '3', '1']) await press(page, key);
  await until(() => says() === 'heap 1 at 3; heap 2 at 6; heap 3 at 1; heap 4 at 6');
  await press(page, '9');
  const heap = (number: number): HTMLElement => page.all('en-heap-piles button')[number - 1];
  heap(3).click();
  heap(2).click();
  await until(() => says() === 'heap 1 at 3; heap 2 at 1 and 7; heap 4 at 6');
  expect(heap(2).getAttribute('aria-label')).toBe('Heap 2: 15 cards, wanted at 1 and 7');
  page.fixture.destroy();

  const again = await render(BusyPage);
  await until(() => again.all('.done').length === 3);
  await press(again, 'Backspace');
  await until(() => again.all('.done').length === 2);
  expect(again.find('.says').textContent).toBe('heap 1 at 3; heap 2 at 6; heap 3 at 1; heap 4 at 6');
  await again.click('Draw a row from here');
  await until(() => again.all('.all li').length > 2 && again.text().includes('Proved by doing it'));
  await press(again, 'End');
  expect(wantedOnTop(again)).toBe(4);
});

test('tracked to the end they are kept; an empty heap gives no card', async () => {
  await TestBed.inject(PatternsStore).fill(BUSY_PLACE, {
    ...heapsTold([
      { cards: 2, wanted: [2] },
      { cards: 0, wanted: [] },
      { cards: 1, wanted: [] },
    ]),
    way: 1,
  });
  const page = await render(BusyPage);
  await until(() => page.all('en-track-heaps').length === 1);
  await press(page, '2');
  expect(page.text()).toContain('Heap 2 is empty.');
  await press(page, '1');
  await press(page, '3');
  await until(() => page.find('.says').textContent === 'All up: heap 1 at 1');
  await page.click('Save it as a procedure');
  const router = TestBed.inject(Router);
  await until(() => router.url.startsWith('/rehearse/'));
  const procedure = TestBed.inject(ProceduresStore).find(router.url.split('/')[2])?.procedure;
  expect(procedure && prove(procedure)).toMatchObject({ cases: 1, held: 1 });
});
