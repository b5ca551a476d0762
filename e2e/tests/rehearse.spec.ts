import { Page } from '@playwright/test';
import { Enumeron, expect, test, TIDEMARK } from './enumeron';
import { quiet } from './settled';

const answer = (page: Page) => page.locator('#proof-title');
const adding = (page: Page) => page.getByRole('combobox', { name: /^Add step/ });

/** Somebody who writes a procedure from nothing by keyboard, and how many keys that takes. */
const writing = async (enumeron: Enumeron, name: string) => {
  const { page } = enumeron;
  const { keyboard } = page;
  let keys = 0;
  const type = async (text: string): Promise<void> => {
    keys += text.length;
    await keyboard.type(text);
  };
  const press = async (key: string): Promise<void> => {
    keys++;
    await keyboard.press(key);
  };
  await enumeron.open('/reckon');
  await press('5');
  await press('Tab');
  await press('Tab');
  const begin = page.getByRole('button', { name: 'Write a procedure' });
  for (let turn = 0; turn < 12 && !(await begin.evaluate((each) => each === document.activeElement)); turn++)
    await press('Tab');
  await expect(begin).toBeFocused();
  await press('Enter');
  await expect(page.getByRole('textbox', { name: 'Name of the procedure' })).toBeFocused();
  await type(name);
  return {
    ...{ type, press, keys: () => keys },
    /** Goes on to the next field of the step, and writes there. */
    next: async (text: string): Promise<void> => {
      await press('Tab');
      if (text !== '') await type(text);
    },
    /** Adds a step by the beginning of its sentence, as soon as the line for it has the focus. */
    add: async (beginning: string): Promise<void> => {
      await expect(adding(page)).toBeFocused();
      await type(beginning);
      await expect(page.locator('mat-option').first()).toBeVisible();
      await press('Enter');
      await expect(page.locator('en-step-field input').first()).toBeFocused();
    },
    leave: (): Promise<void> => press('Enter'),
    /** Moves the line for a new step out of a step, and writes before it is drawn in its new place. */
    outside: async (beginning: string): Promise<void> => {
      await expect(adding(page)).toBeFocused();
      await adding(page).evaluate((box: HTMLInputElement, text) => {
        const write = () => {
          box.value = text;
          box.dispatchEvent(new InputEvent('input', { bubbles: true }));
        };
        box.addEventListener('keydown', write, { once: true });
      }, beginning);
      await press('ArrowLeft');
      keys += beginning.length;
      await expect(adding(page)).toHaveValue(beginning);
    },
    /** Lays the pack, and writes an order if there is one, in the set-up. */
    setUp: async (pack: string, order?: readonly [name: string, cards: string]): Promise<void> => {
      // It comes a moment after what is above it.
      await expect(page.getByText('Set-up and notes')).toBeVisible();
      const focused = (): Promise<string | undefined> =>
        page.evaluate(() => document.activeElement?.textContent);
      for (let turn = 0; turn < 12 && (await focused()) !== 'Set-up and notes'; turn++) await press('Tab');
      await press('Enter');
      await expect(page.getByRole('textbox', { name: 'Needs' })).toBeVisible();
      await press('Tab');
      for (let field = 0; field < 4; field++) await press('Enter');
      await expect(page.getByRole('textbox', { name: 'pack', exact: true })).toBeFocused();
      await type(pack);
      await press('Enter');
      await press('Enter');
      await press('Enter');
      if (order) {
        await expect(page.getByRole('textbox', { name: 'Name of another order' })).toBeFocused();
        await type(order[0]);
        await press('Enter');
        await expect(page.getByRole('textbox', { name: order[0], exact: true })).toBeFocused();
        await type(order[1]);
        await press('Enter');
      }
      await press('Enter');
      await press('Enter');
    },
  };
};

test('two cuts and a difference, written from nothing by keyboard', async ({ enumeron }) => {
  test.setTimeout(180_000);
  const { page } = enumeron;
  const { add, keys, leave, next, type } = await writing(enumeron, 'Two cuts and a difference');
  await leave();

  await add('they cut');
  await type('first cut');
  await next('');
  await next('50');
  await leave();
  await add('they turn a');
  await leave();
  await add('I see the top');
  await type('top card of hand');
  await next('first seen');
  await leave();
  await add('they put a packet on');
  await leave();
  await add('they cut');
  await next('first cut + 1');
  await next('51');
  await leave();
  await add('they turn a');
  await leave();
  await add('I see the top');
  await type('top card of hand');
  await next('second seen');
  await leave();
  await add('they put a packet on');
  await leave();
  await add('I work out a number');
  await type('difference');
  await next('stack number of second seen in home - stack number of first seen in home');
  await leave();
  await add('it must');
  await type('difference is how many face up in pack');
  await leave();
  await add('it must');
  await type('card at difference + 1 of pack is AC');
  await leave();

  await expect(answer(page)).toHaveText('It works in all 1,275 cases');
  // What a person types, and no more: under five hundred keys.
  expect(keys()).toBeLessThan(500);
  test.info().annotations.push({ type: 'keys', description: keys().toString() });

  // What was written is there after a reload, and undone step by step.
  await page.reload();
  await expect(answer(page)).toHaveText('It works in all 1,275 cases');
  await expect(page.getByRole('listitem', { name: /^Step/ })).toHaveCount(13);
  // What was written in the last step is one action or two, by how long the hand rested.
  await expect(async () => {
    await page.getByRole('button', { name: /^Undo/ }).click();
    await expect(page.getByRole('listitem', { name: /^Step/ })).toHaveCount(12, { timeout: 1000 });
  }).toPass();
});

test('a packet that is counted, written from nothing by keyboard', async ({ enumeron }) => {
  test.setTimeout(120_000);
  const { page } = enumeron;
  const { add, keys, leave, next, outside, setUp, type } = await writing(enumeron, 'Counted');
  await setUp('18 -, AS 2S ... KS, 21 -', ['spades', 'AS 2S ... KS']);
  await add('they cut');
  await leave();
  await add('if');
  await type('size of hand < 14 or size of hand > 40');
  await leave();
  await add('they put a packet on');
  await leave();
  await add('they cut');
  await leave();
  await outside('they see');
  await add(' the face');
  await leave();
  await add('I put a packet on');
  await type('pack');
  await next('');
  await next('box');
  await leave();
  await add('they mix');
  await type('hand');
  await leave();
  await add('count');
  await next('counted');
  await leave();
  await add('I work out a number');
  await type('rank');
  await next('counted - 18');
  await leave();
  await add('if not');
  await type('rank < 1 or rank > 13');
  await leave();
  await add('it must');
  await type('card with stack number rank in spades is their card');
  await leave();
  await expect(answer(page)).toHaveText('It works in 325 of 1,251 cases; 926 end in an out');
  expect(keys()).toBeLessThan(400);
  test.info().annotations.push({ type: 'keys', description: keys().toString() });
});

test('a key that is dealt first, written from nothing by keyboard', async ({ enumeron }) => {
  test.setTimeout(120_000);
  const { page } = enumeron;
  const { add, keys, leave, next, setUp, type } = await writing(enumeron, 'Dealt key');
  await setUp('5S - 8S, 4S, 9S AS JS 6S 2S KS 7S TS 3S QS, 38 -', ['spades', 'AS 2S ... KS']);
  await add('I deal');
  await type('4');
  await leave();
  await add('I put a packet on');
  await leave();
  await add('stop');
  await next('4');
  await leave();
  await add('they see the top');
  await leave();
  await add('they put a packet on');
  await type('table');
  await leave();
  await add('search');
  await type('first of the order spades met in pack towards the top');
  await next('last');
  await leave();
  await add('if not');
  await type('last is 4S');
  await leave();
  await add('I see the next');
  await type('next card after 4S in pack towards the face among the order spades');
  await next('named');
  await leave();
  await add('it must');
  await type('named is their card');
  await leave();
  await expect(answer(page)).toHaveText('It works in 10 of 48 cases; 38 end in an out');
  expect(keys()).toBeLessThan(400);
  test.info().annotations.push({ type: 'keys', description: keys().toString() });
});

test('a mate lost and a mate placed, written from nothing by keyboard', async ({ enumeron }) => {
  test.setTimeout(120_000);
  const { page } = enumeron;
  const { add, keys, leave, next, setUp, type } = await writing(enumeron, 'Mates');
  await setUp('9C 9S, 50 -');
  await add('they cut');
  await type('few');
  await next('2');
  await next('10');
  await leave();
  await add('flip');
  await leave();
  await add('they put a packet on');
  await leave();
  await add('they cut');
  await type('deeper');
  await next('few + 1');
  await next('20');
  await leave();
  await add('flip');
  await leave();
  await add('they put a packet on');
  await leave();
  await add('they lift');
  await type('how many face up in pack');
  await next('');
  await next('aside');
  await leave();
  await add('flip');
  await type('aside');
  await leave();
  await add('they see the top');
  await leave();
  await add('they lift');
  await type('1');
  await next('');
  await next('aside');
  await leave();
  await add('they mix');
  await type('aside');
  await leave();
  await add('stop');
  await next('6');
  await next('15');
  await leave();
  await add('count');
  await type('size of table');
  await next('count');
  await leave();
  await add('they put a packet on');
  await type('aside');
  await leave();
  await add('they put a packet on');
  await type('table');
  await leave();
  await add('it must');
  await type('their card is 9C');
  await leave();
  await add('it must');
  await type('card at count of pack is mate of their card');
  await leave();
  await expect(answer(page)).toHaveText('It works in all 1,260 cases');
  expect(keys()).toBeLessThan(450);
  test.info().annotations.push({ type: 'keys', description: keys().toString() });
});

test('a step is dragged by its number, moved by its keys, and a failing case acted out', async ({
  enumeron,
}) => {
  const { page } = enumeron;
  await enumeron.open('/rehearse');
  await page.getByText('Dealt twice, when they name 0').click();
  await expect(answer(page)).toHaveText('Works 99.6 times in 100; 18 of 19 cases');
  await expect(page.getByText('1 case fails, always when number is 0.')).toBeVisible();
  await page.getByRole('button', { name: 'Act it out' }).click();
  await expect(page.getByText('It fails at step 5')).toBeVisible();

  const line = (path: string) => page.locator(`[data-line="${path}"]`);
  const handle = line('2').locator('.number');
  await quiet(page);
  const [from, to] = [await handle.boundingBox(), await line('3').boundingBox()];
  if (!from || !to) throw new Error('nothing to drag');
  await page.mouse.move(from.x + 5, from.y + 8);
  await page.mouse.down();
  await page.mouse.move(from.x + 5, from.y + 30, { steps: 4 });
  await page.mouse.move(to.x + 30, to.y + to.height - 4, { steps: 8 });
  await page.mouse.up();
  await expect(line('2')).toContainText('put table on packet');

  await line('3').focus();
  await page.keyboard.press('Alt+ArrowUp');
  await expect(line('3')).toContainText('put table on packet');
  await expect(answer(page)).toHaveText('Works 99.6 times in 100; 18 of 19 cases');
  await page.getByRole('button', { name: 'Ask for this range' }).click();
  await expect(answer(page)).toHaveText('It works in all 18 cases');
});

test('a case is chosen in the picture, by hand or by key, and acted out forwards and back', async ({
  enumeron,
}) => {
  const { page } = enumeron;
  await enumeron.open('/rehearse');
  await page.getByText('Turned over twice, deeper').click();
  await expect(answer(page)).toHaveText('It works in all 1,275 cases');
  const picture = page.getByRole('img', { name: /^Every case/ });
  await picture.focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowDown');
  await expect(page.getByText('It works in this case.')).toBeVisible();
  const table = page.getByRole('group', { name: /^The table/ });
  await table.focus();
  await page.keyboard.press('Home');
  await expect(page.getByText(/^Step 0 of/)).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('they choose first cut')).toBeVisible();
});

test('a file goes out and comes in again', async ({ enumeron }) => {
  const { page } = enumeron;
  await enumeron.open('/rehearse');
  await page.getByText('A packet counted in silence').click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as a file' }).click(),
  ]);
  const path = await download.path();
  await page.getByRole('link', { name: 'Procedures' }).click();
  await page.getByLabel('Open a file').setInputFiles(path);
  await expect(answer(page)).toHaveText('Works 80 times in 100; 325 of 1,251 cases');
});

test('a procedure is sent to Reckon, answers on the pack as it lies, and is practised from there', async ({
  enumeron,
  page,
}) => {
  await enumeron.open('/rehearse/sample-two-cuts-and-a-packet-of-numbers');
  await page.getByRole('button', { name: 'Send to Reckon' }).click();
  await page.getByRole('link', { name: 'In Reckon' }).click();
  await enumeron.ask('cut 5');
  await page.keyboard.press('Escape');
  const own = [...TIDEMARK.slice(5), ...TIDEMARK.slice(0, 5)];
  await page.getByRole('textbox', { name: 'First seen' }).fill(own[8]);
  await page.getByRole('textbox', { name: 'Second seen' }).fill(own[19]);
  await expect(page.locator('.answer')).toContainText('Difference 11');
  await page.reload();
  await expect(page.locator('.answer')).toContainText('Difference 11');
  await page.getByRole('link', { name: 'Practise this' }).click();
  await expect(page.getByText(/First seen, Second seen: .* What is the difference\?/)).toBeVisible();
});
