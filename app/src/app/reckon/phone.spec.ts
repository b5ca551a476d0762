import { TestBed } from '@angular/core/testing';
import { parseCard, sameOrder, Card } from '@enumeron/core/deck';
import { cut } from '@enumeron/core/moves';
import { freshApp, until } from '../../testing/fresh';
import { onPhone } from '../../testing/phone';
import { render, Rendered } from '../../testing/render';
import { OrdersStore } from '../nouns/orders/orders.store';
import { sampleOrders } from '../nouns/orders/sample';
import { FactsStore } from '../nouns/pack/facts.store';
import { PackStore } from '../nouns/pack/pack.store';
import { WantedStore } from '../nouns/pack/wanted.store';
import { CardAtNumber } from './at-number/card-at-number';
import { FactsView } from './facts/facts-view';
import { PatternView } from './patterns/pattern-view';

const [tidemark] = sampleOrders();
const card = (name: string): Card => parseCard(name) as Card;

let pack: PackStore;

beforeEach(async () => {
  onPhone();
  await freshApp();
  pack = TestBed.inject(PackStore);
  await until(() => TestBed.inject(OrdersStore).count() !== undefined);
});

/** Presses keys of the pad at the foot, one after the other. */
const tap = async (rendered: Rendered<unknown>, ...names: readonly string[]): Promise<void> => {
  for (const name of names) {
    const keys = rendered.all('en-thumb-pad button') as HTMLButtonElement[];
    const key = keys.find((each) => (each.ariaLabel ?? each.textContent.trim()) === name);
    if (!key) throw new Error(`no key “${name}” on the pad`);
    // What can be undone is read from the journal, a moment later.
    await until(() => !key.disabled);
    key.click();
    await rendered.fixture.whenStable();
  }
};
const answer = (rendered: Rendered<unknown>): string =>
  rendered.find('.answer').textContent.replace(/\s+/g, ' ').trim();

test('a card at a number by one thumb: face, card, number, done, and undone', async () => {
  const room = await render(CardAtNumber);
  expect(room.all('en-card-pad')).toHaveLength(0);
  await tap(room, 'king', 'hearts');
  expect(pack.offset()).toBe(3);
  await tap(room, 'seven', 'diamonds', '1', '5');
  expect(TestBed.inject(WantedStore).number()).toBe(15);
  expect(answer(room)).toContain('Move 2 cards from top to bottom');
  await tap(room, 'done: cut the pack');
  expect(pack.now()[14]).toBe(card('7D'));
  await tap(room, 'undo');
  await until(() => pack.offset() === 3);
});

test('from the number one goes back to what was seen, and to the card', async () => {
  const room = await render(CardAtNumber);
  await tap(room, 'king', 'hearts', 'seven', 'diamonds', '1');
  await tap(room, 'card …', 'nine', 'spades');
  expect(TestBed.inject(WantedStore).card()).toBe(card('9S'));
  await tap(room, 'seen …', 'ace', 'clubs');
  expect(pack.now()[51]).toBe(card('AC'));
});

test('a pattern: the pad goes from field to field, and clears them', async () => {
  const view = await render(PatternView, { path: 'two-cuts' });
  await tap(view, 'nine', 'diamonds', 'seven', 'spades');
  expect(answer(view)).toContain('it says 10');
  await tap(view, 'clear');
  expect(answer(view)).toContain('Which card was at the first cut?');
  // On past the second card to the numbers of the set-up.
  await tap(view, 'next', 'next', '6');
  expect(view.find('summary').textContent).toContain('plain cards on the prediction 6');
});

test('what the pattern says is done to the pack by the large key', async () => {
  const view = await render(PatternView, { path: 'gap' });
  await tap(view, 'three', 'hearts', 'nine', 'diamonds', 'apply to the pack');
  expect(pack.now()).not.toContain(card('KH'));
  expect(pack.size()).toBe(51);
});

test('a fact: the card, the large key, the next one; a row of cards grows', async () => {
  const view = await render(FactsView);
  const choose = async (kind: string): Promise<void> => {
    const select = view.find('select') as HTMLSelectElement;
    select.value = kind;
    select.dispatchEvent(new Event('change'));
    await view.fixture.whenStable();
  };
  await choose('cut');
  expect(view.all('en-thumb-pad')).toHaveLength(0);
  await view.click('Add');
  await choose('face');
  await tap(view, 'king', 'hearts');
  expect(TestBed.inject(FactsStore).facts()).toHaveLength(1);
  await tap(view, 'clear', 'queen', 'clubs', 'clear', 'king', 'hearts', 'add what was seen');
  expect(answer(view)).toContain('Cards cut 3, face K♥');
  await choose('row');
  await tap(view, 'queen', 'clubs', 'four', 'clubs', 'add what was seen');
  expect(TestBed.inject(FactsStore).facts()[2]).toEqual({ kind: 'row', cards: [card('QC'), card('4C')] });
  await view.click('Apply to the pack');
  expect(sameOrder(pack.now(), cut(tidemark.cards, 3))).toBe(true);
});
