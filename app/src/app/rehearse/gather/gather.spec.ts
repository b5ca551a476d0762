import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { sameOrder } from '@enumeron/core/deck';
import { cut } from '@enumeron/core/moves';
import { prove } from '@enumeron/core/file/rehearse/prove';
import { freshApp, until } from '../../../testing/fresh';
import { render, Rendered } from '../../../testing/render';
import { undone } from '../../../testing/undo';
import { PackStore } from '../../nouns/pack/pack.store';
import { ProceduresStore } from '../../nouns/procedures/procedures.store';
import { GatherPage } from './gather-page';

beforeEach(() => freshApp([provideRouter([{ path: '**', children: [] }]), ProceduresStore]));

const says = (page: Rendered<unknown>): string => page.find('.says').textContent.trim();
const put = async (page: Rendered<unknown>, pile: number, onto: number): Promise<void> => {
  await page.click(`Place ${pile.toString()}:`);
  expect(says(page)).toBe('Put it on which?');
  await page.click(`Place ${onto.toString()}:`);
};
const tell = async (page: Rendered<unknown>, index: number, text: string): Promise<void> => {
  const field = page.all('en-entry-field input')[index] as HTMLInputElement;
  field.value = text;
  field.dispatchEvent(new Event('input', { bubbles: true }));
  await page.fixture.whenStable();
};

test('piles are put on each other by hand: what becomes of the order is told, and taken back', async () => {
  const page = await render(GatherPage);
  await page.click('3');
  expect(page.text()).toContain(
    'Of 12 ways to gather them 2 leave the order as it was, 4 only cut it, and 6 break it.',
  );
  await put(page, 3, 1);
  await put(page, 1, 2);
  expect(says(page)).toBe('The order is only cut');
  expect(page.find('.answer').textContent).toContain('cutting packets 1 to 2 to the bottom');
  expect(page.all('.packet').map((each) => each.textContent)).toEqual(['3', '1', '2']);
  await page.click('Take back');
  await put(page, 2, 1);
  expect(page.all('.packet').map((each) => each.textContent)).toEqual(['2', '3', '1']);
  await page.click('Start over');
  await put(page, 2, 1);
  await put(page, 3, 1);
  expect(says(page)).toBe('The order is broken');
  expect(page.find('.answer').textContent).toContain('3 of 3 joins');
  await page.click('Start over');
  await page.click('Place 1:');
  await page.click('Take back');
  expect(says(page)).toBe('Pick a pile up');
});

test('a way from the list is done to the pack, with packets as they were cut, and undone as one', async () => {
  const page = await render(GatherPage);
  const pack = TestBed.inject(PackStore);
  const before = pack.now();
  page.all('.ways button')[0].click();
  await page.fixture.whenStable();
  expect(says(page)).toBe('The order is only cut');
  const [first] = page.all('.packet').map((each) => Number(each.textContent));
  await tell(page, 0, '20');
  await tell(page, 1, '9');
  await page.click('Do it to the pack');
  const sizes = [20, 9, 13];
  const count = sizes.slice(0, first - 1).reduce((sum, size) => sum + size, 0);
  await until(() => sameOrder(pack.now(), cut(before, count)));
  expect(await undone()).toBe('cut and gather');
  await until(() => sameOrder(pack.now(), before));
  await tell(page, 0, '51');
  expect(page.text()).toContain('52 cards are too few for that');
  expect(page.button('Do it to the pack').disabled).toBe(true);
  await page.click('as it was');
  page.all('.ways button')[0].click();
  await page.fixture.whenStable();
  expect(says(page)).toBe('The order is as it was');
});

test('it is kept as a procedure, which holds for every cut', async () => {
  const page = await render(GatherPage);
  await page.click('2');
  await put(page, 2, 1);
  await page.click('Save it as a procedure');
  const router = TestBed.inject(Router);
  await until(() => router.url.startsWith('/rehearse/'));
  const procedure = TestBed.inject(ProceduresStore).find(router.url.split('/')[2])?.procedure;
  expect(procedure && prove(procedure)).toMatchObject({ cases: 51, held: 51 });
});

test('a pack that becomes another size meanwhile is cut anew; one too small says so and changes nothing', async () => {
  const page = await render(GatherPage);
  const pack = TestBed.inject(PackStore);
  page.all('.ways button')[0].click();
  await page.fixture.whenStable();
  await tell(page, 0, '40');
  // Whoever cuts the pack elsewhere has left the field.
  page.find('.sizes input').dispatchEvent(new Event('blur'));
  const use = (cards: number): Promise<unknown> =>
    pack.use({
      id: 'few',
      name: 'Few',
      cards: pack.home().slice(0, cards),
      sample: false,
      made: 1,
      changed: 1,
    });
  await use(8);
  await page.fixture.whenStable();
  expect(page.all('.sizes input').map((each) => (each as HTMLInputElement).value)).toEqual(['2', '2', '2']);
  expect(page.button('Do it to the pack').disabled).toBe(false);
  await use(3);
  await page.fixture.whenStable();
  expect(page.text()).toContain('3 cards are too few for that');
  expect([page.button('Do it to the pack').disabled, page.button('Save it as a procedure').disabled]).toEqual(
    [true, true],
  );
});
