import { Injector } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { Card, formatCard, numberOrder } from '@enumeron/core/deck';
import type { Procedure } from '@enumeron/core/file/procedure/procedure';
import { checkLaid } from '@enumeron/core/file/wish/checkWish';
import { Wish } from '@enumeron/core/file/wish/wish';
import { freshApp, until } from '../../../testing/fresh';
import { render, Rendered } from '../../../testing/render';
import { OrderRow } from '../../nouns/orders/orders.kind';
import { OrdersStore } from '../../nouns/orders/orders.store';
import { RailPreview } from '../../nouns/pack/rail-preview';
import { ProceduresStore } from '../../nouns/procedures/procedures.store';
import { forgetActs } from '../../platform/once';
import { packText } from '../../platform/packed-text';
import { ARRANGE_SHARING } from '../share';
import { WishMaker } from './wish-maker';
import { Wishing } from './wishing.store';
import { runHere } from '../../../testing/jobs';
import { ArgsOf, RUN_JOB, RunJob } from '../../platform/workers/jobs';

let orders: OrdersStore;
/** How many wishes were asked to be judged, job by job. */
let judged: number[];
const counted: RunJob = (name, args, held) => {
  if (name !== 'wish checks') return runHere(name, args, held);
  judged.push((args as ArgsOf<'wish checks'>).wishes.length);
  return runHere(name, args, held);
};

const storeOf = (page: Rendered<WishMaker>): Wishing => page.fixture.debugElement.injector.get(Wishing);

/** The button of the bar that tells what was done. */
const bar = async (words: string): Promise<HTMLElement> => {
  const found = (): HTMLElement | undefined =>
    [...document.querySelectorAll<HTMLElement>('mat-snack-bar-container button')]
      .filter((button) => button.textContent.includes(words))
      .at(-1);
  await until(() => found() !== undefined);
  return found() as HTMLElement;
};

beforeEach(async () => {
  judged = [];
  await freshApp([
    ...[provideRouter([{ path: '**', children: [] }]), ProceduresStore],
    { provide: RUN_JOB, useValue: counted },
  ]);
  orders = TestBed.inject(OrdersStore);
  await until(() => orders.count() !== undefined);
});

const now = (): readonly Card[] => TestBed.inject(RailPreview).preview()?.now ?? [];

/** The page, with wishes added by the first words of each. */
const wishing = async (...words: readonly string[]): Promise<Rendered<WishMaker>> => {
  const page = await render(WishMaker);
  for (const each of words) {
    await page.type('en-add-wish input', each);
    page.find('en-add-wish input').dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }));
    page.fixture.detectChanges();
  }
  return page;
};

const rights = (page: Rendered<unknown>): readonly string[] =>
  page.all('.right').map(({ textContent }) => textContent.trim());

const settled = async (page: Rendered<unknown>, says: string): Promise<void> =>
  until(() => {
    page.fixture.detectChanges();
    return page.text().includes(says);
  });

const MATES: Wish = { kind: 'mates apart', distance: 26, round: true };

test('each wish is judged by the order at hand as one writes; what cannot be read is said and kept', async () => {
  const page = await wishing('mates half', 'no four');
  await until(() => {
    page.fixture.detectChanges();
    return rights(page).join('|') === '0 of 52|52 of 52';
  });
  await page.type('[data-wish="0"] input', 'far');
  expect(page.text()).toContain('Write a number.');
  expect((page.find('[data-wish="0"] input') as HTMLInputElement).value).toBe('far');
  // What was right before still counts.
  expect(rights(page)[0]).toBe('0 of 52');
  await page.type('[data-wish="0"] input', '60');
  await page.type('[data-wish="0"] input', '9');
  await until(() => {
    page.fixture.detectChanges();
    return rights(page)[0] !== '0 of 52' || page.text().includes('Mates lie');
  });
});

test('an order is found, shown on the rail, saved with its wishes and opened again with them', async () => {
  const page = await wishing('mates half', 'no four');
  await page.click('Find an order');
  await settled(page, 'All 2 hold');
  expect(checkLaid(now(), MATES).holds).toBe(true);
  const navigate = jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
  forgetActs();
  await page.type('en-save-order input', 'Half apart');
  await page.click('Save the order');
  await until(() => navigate.mock.lastCall !== undefined);
  const id = navigate.mock.lastCall?.[0][1] as string;
  await until(() => orders.find(id) !== undefined);
  const row = orders.find(id) as OrderRow;
  expect(row.cards).toEqual(now());
  expect(row.origin).toMatchObject({ kind: 'wishes', list: { wishes: [MATES, { kind: 'runs' }] } });
  page.fixture.destroy();
  const again = await render(WishMaker, { id });
  await settled(again, 'All 2 hold');
  expect(now()).toEqual(row.cards);
  expect(again.text()).toContain('What Half apart was wished to do');
});

test('another seed finds another, and one like it lies near it', async () => {
  const page = await wishing('no four');
  await page.click('Find an order');
  await settled(page, 'It holds');
  await until(() =>
    page.all('en-found-panel button').some((button) => button.textContent.includes('Another one')),
  );
  const first = now().map(formatCard).join(' ');
  await page.click('Another one');
  await until(() => {
    page.fixture.detectChanges();
    return now().map(formatCard).join(' ') !== first && page.text().includes('Find again');
  });
  const second = now().map(formatCard);
  await page.click('One like it');
  await until(() => {
    page.fixture.detectChanges();
    return now().map(formatCard).join(' ') !== second.join(' ') && page.text().includes('Find again');
  });
  const third = now().map(formatCard);
  expect(third.filter((card, index) => card === second[index]).length).toBeGreaterThan(30);
});

test('as few places as possible are changed, and told as exchanges', async () => {
  const page = await wishing('a card at a place');
  (page.find('.nearest input') as HTMLInputElement).click();
  page.fixture.detectChanges();
  await page.click('Find an order');
  await settled(page, 'and no fewer would do');
  expect(page.text()).toMatch(/2 cards lie elsewhere than before/);
  expect(page.all('details li')).toHaveLength(1);
});

test('wishes that cannot live together are told, and one is given up for its order', async () => {
  const page = await wishing('colours alternate', 'no two of a rank', 'each suit together');
  await page.click('Find an order');
  await settled(page, 'cannot live together');
  const given = page.all('.give li').length;
  expect(given).toBeGreaterThan(1);
  await page.click('see the order');
  await settled(page, 'on the rail now');
  await page.click('Give it up');
  await settled(page, `All ${page.all('.line').length} hold`);
});

test('a procedure is a wish: from Rehearse by the address, or of the list', async () => {
  const procedure: Procedure = {
    name: 'Ace on top',
    packets: { pack: numberOrder().map(formatCard) },
    steps: [{ do: 'claim', that: { equal: [{ 'top of': 'pack' }, { card: 'AS' }] } }],
  };
  const id = TestBed.inject(ProceduresStore).add(procedure, 'begin');
  const page = await render(WishMaker, { procedure: id });
  await settled(page, '0 of 1 cases');
  expect(page.text()).toContain('“Ace on top” holds');
  await page.click('Find an order');
  await settled(page, '1 of 1 cases');
  expect(formatCard(now()[0])).toBe('AS');
  await page.click('a procedure holds');
  page.find('.procedures button').click();
  page.fixture.detectChanges();
  expect(page.all('.line')).toHaveLength(2);
});

test('what lies at a place of the rail goes into the field that one was in', async () => {
  const page = await wishing('two cards side by side');
  page.find('[data-wish="0"] input').dispatchEvent(new Event('focus'));
  page.fixture.detectChanges();
  TestBed.inject(RailPreview).preview()?.pick?.(2);
  TestBed.inject(RailPreview).preview()?.pick?.(3);
  page.fixture.detectChanges();
  expect((page.find('[data-wish="0"] input') as HTMLInputElement).value).toBe('3♥, K♥');
});

test('options, weight, wrapping, moving and removing', async () => {
  const page = await wishing('colours alternate', 'it looks shuffled');
  page.find('[data-wish="0"] .sign').click();
  page.fixture.detectChanges();
  await page.click('going round');
  expect(page.text()).toContain('Colours alternate, going round');
  await page.click('at every cut');
  expect(page.find('[data-wish="0"]').textContent).toMatch(/At\s+: ?colours alternate/);
  await page.click('not around it');
  await page.click('rather than must');
  expect((page.find('.weight input') as HTMLInputElement).value).toBe('1');
  page
    .find('[data-wish="0"]')
    .dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown', altKey: true, bubbles: true }));
  page.fixture.detectChanges();
  expect(page.find('[data-wish="1"]').textContent).toContain('olours alternate');
  await page.click('Remove this wish');
  expect(page.all('.line')).toHaveLength(1);
});

test('a list travels by address: shared, and opened; what is none is said to be so', async () => {
  const page = await wishing('mates half');
  const shared = await ARRANGE_SHARING.of(TestBed.inject(Injector), '/arrange/new/wishes');
  expect(JSON.parse(shared?.packed ?? '')).toMatchObject({ format: 'enumeron wishes', wishes: [MATES] });
  page.fixture.destroy();
  const router = TestBed.inject(Router);
  await router.navigate(['/'], { fragment: await packText(JSON.stringify({ pack: ['AC'], wishes: [] })) });
  const bad = await render(WishMaker);
  await settled(bad, 'Pack: It has 1 card.');
});

test('a list that is opened takes the place of what was written, which can be had back', async () => {
  const page = await wishing('mates half', 'no four');
  const list = {
    pack: ['AC', '2C', 'X1', '7D', '7D*', '-'],
    wishes: [{ kind: 'runs', of: 'colour', most: 3, weight: 2 }],
  };
  expect(storeOf(page).take(list)).toBeUndefined();
  await settled(page, 'the cards of these wishes');
  expect(page.all('.line')).toHaveLength(1);
  // Indifferent cards are shown as such, and the rail shows the pack.
  expect(TestBed.inject(RailPreview).preview()).toBeUndefined();
  expect(page.text()).toContain('7♦ 7♦ any card');
  const undo = await bar('Undo');
  undo.click();
  page.fixture.detectChanges();
  expect(page.all('.line')).toHaveLength(2);
});

test('what was found for other cards is not shown for these, however they came to be others', async () => {
  const page = await wishing('no four');
  await page.click('Find an order');
  await settled(page, 'It holds');
  const cards = numberOrder().slice(0, 8);
  const id = await orders.add('Eight', cards);
  storeOf(page).beginWith(id);
  await until(() => {
    page.fixture.detectChanges();
    return now().length === 8;
  });
  // Eight clubs and no other card to part them.
  await until(() => {
    page.fixture.detectChanges();
    return rights(page)[0] === '0 of 8';
  });
  expect(page.all('en-save-order')).toHaveLength(0);
});

test('a weight that is none is said to be so and changes nothing; a wish that is removed comes back', async () => {
  const page = await wishing('no four', 'mates half');
  await page.click('rather than must');
  await page.type('.weight input', 'much');
  expect(page.text()).toContain('Write a number above 0.');
  await page.type('.weight input', '0,5');
  expect(page.text()).not.toContain('Write a number above 0.');
  expect(storeOf(page).wishes()[1]).toMatchObject({ weight: 0.5 });
  await page.click('Remove this wish');
  expect(page.all('.line')).toHaveLength(1);
  (await bar('Undo')).click();
  page.fixture.detectChanges();
  expect(storeOf(page).wishes()[1]).toMatchObject({ kind: 'mates apart', weight: 0.5 });
});

test('of no order is told what was judged of another: until it is known the sign stays open', async () => {
  const page = await wishing('mates half');
  await until(() => {
    page.fixture.detectChanges();
    return rights(page)[0] === '0 of 52';
  });
  storeOf(page).kept.set([...now().map(formatCard)].reverse());
  expect(storeOf(page).checks()).toEqual([undefined]);
  await until(() => {
    page.fixture.detectChanges();
    return rights(page)[0] === '0 of 52';
  });
});

test('an order that was not made by wishes opens none of its own', async () => {
  const id = await orders.add('Plain', numberOrder());
  const page = await render(WishMaker, { id });
  await settled(page, 'New order');
  expect(page.text()).not.toContain('was wished to do');
});

test('only what is not known is judged: a wish more alone, and what was found not once more', async () => {
  const page = await wishing('no four');
  await settled(page, 'It holds');
  await page.type('en-add-wish input', 'mates half');
  page.find('en-add-wish input').dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }));
  await settled(page, '1 of 2 hold');
  expect(judged).toEqual([1, 1]);
  await page.click('Find an order');
  await settled(page, 'All 2 hold');
  expect(judged).toEqual([1, 1]);
});
