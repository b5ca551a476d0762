import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { QUESTIONS } from '@enumeron/core/odds';
import { freshApp, until } from '../../../testing/fresh';
import { render, Rendered } from '../../../testing/render';
import { undone } from '../../../testing/undo';
import { PatternsStore } from '../../nouns/pack/patterns.store';
import { OddsPage } from './odds-page';

beforeEach(() => freshApp([provideRouter([{ path: '**', children: [] }])]));

const tell = async (page: Rendered<unknown>, label: string, text: string): Promise<void> => {
  const field = page.all('en-entry-field').find((each) => each.textContent.includes(label));
  const input = field?.querySelector('input') as HTMLInputElement;
  input.value = text;
  input.dispatchEvent(new Event('input', { bubbles: true }));
  await page.fixture.whenStable();
};

test('every question has its answer, its curve with a table, and what was tried beside it', async () => {
  const page = await render(OddsPage);
  expect(page.all('nav a').map((each) => each.textContent.trim())).toEqual(QUESTIONS.map(({ name }) => name));
  for (const { path, name } of QUESTIONS) {
    await page.set('path', path);
    expect(page.find('#odds-title').textContent).toBe(name);
    expect(page.find('.share').textContent).toMatch(/^\d+(\.\d)? %$/);
    expect(page.all('circle.here')).toHaveLength(1);
    if (page.all('details:not([open])').length > 0) await page.unfold('details');
    expect(page.all('tbody tr').length).toBe(page.all('circle').length);
  }
  await page.set('path', 'mates');
  await until(() => page.find('.tried').textContent.includes('nineteen times in twenty'));
  expect(page.find('.share').textContent).toBe('63.6 %');
});

test('its numbers are kept, checked and undone; a point of the curve is taken; nonsense changes nothing', async () => {
  const page = await render(OddsPage, { path: 'cut-in-bank' });
  await tell(page, 'Cards in the bank', '24');
  await tell(page, 'The bank begins at', '14');
  expect(page.find('.share').textContent).toBe('95.4 %');
  expect(page.text()).toContain('For 19 in 20 it needs 24 cards: from 14 to 37.');
  await tell(page, 'Cards in the bank', '0');
  expect(page.text()).toContain('“0” is not a number from 1 to 104.');
  expect(page.find('.share').textContent).toBe('95.4 %');
  await tell(page, 'Cards in the bank', '50');
  expect(page.find('.problem').textContent).toContain('goes beyond the face');
  expect(await undone()).toBe('tell cards of odds cut in bank');
  await until(() => page.all('circle').length > 9);
  page.fixture.destroy();
  const again = await render(OddsPage, { path: 'cut-in-bank' });
  const point = again.all('circle')[9];
  point.dispatchEvent(new MouseEvent('click', { bubbles: true }));
  await again.fixture.whenStable();
  expect(again.find('.says').textContent).toMatch(/at (\d+) to \d+/);
  await again.click('Reset');
  expect(again.find('.says').textContent).toContain('at 18 to 30');
});

test('what was kept and does not fit a field any more is as at first', async () => {
  await TestBed.inject(PatternsStore).fill('odds mates', { kinds: 4000, each: true });
  const page = await render(OddsPage, { path: 'mates' });
  expect(page.find('.share').textContent).toBe('63.6 %');
  await page.set('path', 'no such question');
  expect(page.find('#odds-title').textContent).toBe('Two mates side by side');
});
