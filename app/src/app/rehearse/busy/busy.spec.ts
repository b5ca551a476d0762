import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { prove } from '@enumeron/core/file/rehearse/prove';
import { freshApp, until } from '../../../testing/fresh';
import { runHere } from '../../../testing/jobs';
import { render, Rendered } from '../../../testing/render';
import { RUN_JOB } from '../../platform/workers/jobs';
import { ProceduresStore } from '../../nouns/procedures/procedures.store';
import { BusyPage } from './busy-page';
import { depthsCode, depthsIn, readDepths, showDepths } from './depths';

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
  expect(page.text()).toContain('“99” is not a depth from 1 to 26.');
});

test('depths and the number that they are kept as', () => {
  for (const depths of [[], [3], [1, 2, 3, 4], [26, 25, 24, 23, 22, 21]]) {
    expect(depthsIn(depthsCode(depths))).toEqual(depths);
    if (depths.length > 0)
      expect(readDepths(showDepths(depthsCode(depths)))).toEqual({ value: depthsCode(depths) });
  }
  expect(readDepths('0')).toEqual({ value: 0 });
  expect(readDepths('1 2 3 4 5 6 7').problem).toContain('at most 6');
});

test('it is kept as a procedure, which is proved', async () => {
  const page = await open();
  await page.click('Keep it as a procedure');
  const router = TestBed.inject(Router);
  await until(() => router.url.startsWith('/rehearse/'));
  const procedure = TestBed.inject(ProceduresStore).find(router.url.split('/')[2])?.procedure;
  expect(procedure?.name).toBe('A busy row of 24 moves');
  expect(procedure && prove(procedure)).toMatchObject({ cases: 1, held: 1 });
});
