import { join } from 'node:path';
import { Enumeron, expect, test } from '../tests/enumeron';

/** One current picture of every main view, from the demo data. */
const FOLDER = join(import.meta.dirname, '../../docs/screenshots');

const shoot = async ({ page }: Enumeron, name: string): Promise<void> => {
  await page.keyboard.press('Escape');
  await page.mouse.move(2, 500);
  await page.waitForTimeout(500);
  await page.screenshot({ path: join(FOLDER, `${name}.png`) });
};

const reckon = async (enumeron: Enumeron): Promise<void> => {
  await enumeron.open();
  await enumeron.ask('face KH');
  await enumeron.ask('7D 15');
  await expect(enumeron.answer()).toContainText('Move 2 cards');
};

test('reckon, paper', async ({ enumeron }) => {
  await reckon(enumeron);
  await shoot(enumeron, 'reckon');
});

test.describe('wings', () => {
  test.use({ colorScheme: 'dark' });

  test('reckon, wings', async ({ enumeron }) => {
    await reckon(enumeron);
    await shoot(enumeron, 'reckon-wings');
  });

  test.describe('on a phone', () => {
    test.use({ viewport: { width: 390, height: 844 } });

    test('reckon, phone', async ({ enumeron }) => {
      await reckon(enumeron);
      await shoot(enumeron, 'reckon-phone');
    });
  });
});

test('arrange', async ({ enumeron }) => {
  await enumeron.open('/arrange/sample-tidemark');
  await shoot(enumeron, 'arrange');
});

test('arrange, a new order with its problems', async ({ enumeron, page }) => {
  await enumeron.open('/arrange/new');
  await page.getByRole('textbox', { name: 'Name' }).fill('Harbour wall');
  await page.getByRole('textbox', { name: 'Cards' }).fill('AC 3H KH 9D QC 4C 11H AS 6D AC TC 5H KS 7S 3C');
  await shoot(enumeron, 'arrange-new');
});

test('settings', async ({ enumeron }) => {
  await enumeron.open('/settings');
  await shoot(enumeron, 'settings');
});
