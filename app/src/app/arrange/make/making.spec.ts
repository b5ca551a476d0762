import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { describeOrigin, ORDER_RULES, orderByRecipe, properties, Rule } from '@enumeron/core/arrange';
import {
  Card,
  mateOf,
  numberOrder,
  parseCard,
  parseOrder,
  placeOf,
  rankOf,
  RANKS,
  suitOf,
} from '@enumeron/core/deck';
import { freshApp, until } from '../../../testing/fresh';
import { forgetActs } from '../../platform/once';
import { render, Rendered } from '../../../testing/render';
import { OrdersStore } from '../../nouns/orders/orders.store';
import { OrderRow } from '../../nouns/orders/orders.kind';
import { sampleOrders } from '../../nouns/orders/sample';
import { RailPreview } from '../../nouns/pack/rail-preview';
import { BankMaker } from './bank-maker';
import { OrderProperties } from '../order/order-properties';
import { PackCheck } from '../put/pack-check';
import { RandomMaker } from './random-maker';
import { RecipeMaker } from './recipe-maker';
import { RuleMaker } from './rule-maker';
import { SortingGuide } from '../put/sorting-guide';

const [tidemark, wheel] = sampleOrders();
let orders: OrdersStore;

beforeEach(async () => {
  await freshApp();
  orders = TestBed.inject(OrdersStore);
  await until(() => orders.count() !== undefined);
  jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
});

/** What the rail shows, and the order that is stored when it is saved under a name. */
const shown = (): readonly number[] | undefined => TestBed.inject(RailPreview).preview()?.now;
const saved = async (rendered: Rendered<unknown>): Promise<OrderRow> => {
  const navigate = jest.mocked(TestBed.inject(Router).navigate);
  navigate.mockClear();
  forgetActs();
  await rendered.type('en-save-order input', 'Mine');
  await rendered.click('Save the order');
  // Once it is saved, it opens.
  await until(() => navigate.mock.lastCall !== undefined);
  const id = navigate.mock.lastCall?.[0][1] as string;
  await until(() => orders.find(id) !== undefined);
  return orders.find(id) as OrderRow;
};

describe('by rule', () => {
  const choose = async (rendered: Rendered<RuleMaker>, kind: string): Promise<void> => rendered.click(kind);

  test('every kind makes an order that is seen on the rail and stored with its rule', async () => {
    for (const [kind, { name }] of Object.entries(ORDER_RULES)) {
      const rendered = await render(RuleMaker);
      await choose(rendered, name);
      const order = shown();
      const row = await saved(rendered);
      expect(row.cards).toEqual(order);
      expect(row.origin).toMatchObject({ kind: 'rule', rule: { kind } });
      const { rule } = row.origin as { readonly rule: Rule };
      const out = rule.kind === 'spaced run' ? rule.out : [];
      expect([...row.cards, ...out].sort((a, b) => a - b)).toEqual(numberOrder());
      rendered.fixture.destroy();
      await orders.remove(row);
      await until(() => orders.count() === 5);
    }
    expect(shown()).toBeUndefined();
  });

  test('a wrong given is told, nothing is shown, and saving is not offered', async () => {
    const rendered = await render(RuleMaker);
    await rendered.type('input', '9X');
    expect(rendered.text()).toContain('The first card cannot be read.');
    expect(shown()).toBeUndefined();
    expect(rendered.button('Save the order').disabled).toBe(true);
    await rendered.type('input', 'KS');
    expect(shown()?.[0]).toBe(51);
  });

  test('another half at random is another order', async () => {
    const rendered = await render(RuleMaker);
    await choose(rendered, 'Palindrome');
    const before = shown();
    await rendered.click('Another half at random');
    expect(shown()).not.toEqual(before);
  });
});

describe('by recipe', () => {
  test('moves are added, moved about and taken away, and the rail follows the step that is looked at', async () => {
    const rendered = await render(RecipeMaker);
    await rendered.click('Out weave');
    await rendered.type('form input', 'cut 5');
    rendered.find('form').dispatchEvent(new Event('submit'));
    await rendered.fixture.whenStable();
    const both = orderByRecipe({
      base: tidemark.cards,
      moves: [
        { kind: 'weave', weave: 'out' },
        { kind: 'cut', count: 5 },
      ],
    });
    expect(shown()).toEqual(both);
    await rendered.click('The base');
    expect(shown()).toEqual(tidemark.cards);
    await rendered.click('1. Weave');
    expect(placeOf(shown() ?? [], tidemark.cards[26])).toBe(2);
    rendered.all('button[aria-label=Later]')[0].click();
    rendered.all('button[aria-label=Remove]')[1].click();
    await rendered.fixture.whenStable();
    expect((await saved(rendered)).origin).toEqual({
      kind: 'recipe',
      base: tidemark.cards,
      moves: [{ kind: 'cut', count: 5 }],
    });
  });

  test('the inverse is the arrangement that becomes the order', async () => {
    const rendered = await render(RecipeMaker);
    await rendered.click('In weave');
    (rendered.find('input[type=checkbox]') as HTMLInputElement).click();
    await rendered.fixture.whenStable();
    expect(shown()).toEqual(tidemark.cards);
    const { cards, origin } = await saved(rendered);
    expect(orderByRecipe({ base: cards, moves: [{ kind: 'weave', weave: 'in' }] })).toEqual(tidemark.cards);
    // It is kept how it was made: from the order wanted, by the moves taken back.
    expect(origin).toEqual({
      kind: 'recipe',
      base: tidemark.cards,
      moves: [{ kind: 'unweave', weave: 'in' }],
    });
  });

  test('what chance did has no inverse, and that is said', async () => {
    const rendered = await render(RecipeMaker);
    await rendered.type('form.add input', 'riffle #3');
    await rendered.click('Add');
    (rendered.find('input[type=checkbox]') as HTMLInputElement).click();
    await rendered.fixture.whenStable();
    expect(rendered.text()).toContain('A shuffle by chance cannot be taken back');
    expect(rendered.button('Save the order').disabled).toBe(true);
  });
});

describe('a bank by one press', () => {
  /** The cards of the bank as its field has them. */
  const pressed = async (
    words: string,
  ): Promise<{ cards: readonly Card[]; rendered: Rendered<BankMaker> }> => {
    const rendered = await render(BankMaker);
    await rendered.click(words);
    const { value } = rendered.find('textarea') as HTMLTextAreaElement;
    return { cards: value.split(' ').map((name) => parseCard(name) as Card), rendered };
  };

  test('a suit in sequence', async () => {
    const { cards } = await pressed('♦ in sequence');
    expect(cards.map((each) => [suitOf(each), rankOf(each)])).toEqual(RANKS.map((rank) => [1, rank]));
  });

  test('groups of like ranks, loose, around the middle', async () => {
    const { cards, rendered } = await pressed('Groups of one rank');
    for (let group = 0; group < 3; group++) {
      const four = cards.slice(group * 4, group * 4 + 4);
      expect(new Set(four.map(rankOf)).size).toBe(1);
      expect(new Set(four.map(suitOf)).size).toBe(4);
    }
    const places = rendered
      .all('en-order-sheet li')
      .flatMap((cell, index) => (cell.querySelector('.card') ? [index + 1] : []));
    // Twelve cards about 26 and 27, as many on either side.
    expect(places).toEqual([...Array(12).keys()].map((index) => index + 21));
  });

  test('mates side by side', async () => {
    const { cards } = await pressed('Mates');
    expect(cards).toHaveLength(12);
    for (let pair = 0; pair < 6; pair++) expect(mateOf(cards[pair * 2])).toBe(cards[pair * 2 + 1]);
  });

  test('the next two ranks give the count, wherever it is cut in the run', async () => {
    const { cards, rendered } = await pressed('Next two ranks give the count');
    const count = Number((rendered.find('mat-form-field input') as HTMLInputElement).value);
    // Up to the kings; from 10 and 10 it would be one card longer, and show ten and ten.
    expect([count, cards.length]).toEqual([20, 7]);
    expect(new Set(cards).size).toBe(cards.length);
    for (let cut = 0; cut + 1 < cards.length; cut++)
      expect((rankOf(cards[cut]) as number) + (rankOf(cards[cut + 1]) as number)).toBe(count + cut);
  });
});

describe('a bank', () => {
  test('lies where it is told, and the row keeps that', async () => {
    const rendered = await render(BankMaker);
    await rendered.click('♠ in sequence');
    expect(shown()?.slice(20, 33)).toEqual(Array.from({ length: 13 }, (_, index) => 39 + index));
    const row = await saved(rendered);
    expect(row.origin).toMatchObject({
      kind: 'bank',
      bank: { places: Array.from({ length: 13 }, (_, i) => 21 + i) },
    });
    expect(row.origin && describeOrigin(row.origin)).toBe('bank at 21');
  });

  test('what cannot be is told: a card unread, twice, outside, no room, no number', async () => {
    const rendered = await render(BankMaker);
    for (const [text, says] of [
      ['7D 11H', '“11H” is not a card'],
      ['7D 7D', 'in the bank twice'],
      ['7D X1', 'X1 is not in the pack'],
      ['', 'The bank is empty'],
    ]) {
      await rendered.type('textarea', text);
      expect(rendered.text()).toContain(says);
    }
    await rendered.type('textarea', '7D 8D');
    await rendered.type('input', '51');
    expect(rendered.text()).toContain('would reach from 52 to 53');
    await rendered.type('input', 'some');
    expect(rendered.text()).toContain('whole number');
  });

  test('groups of like ranks', async () => {
    const rendered = await render(BankMaker);
    await rendered.click('Groups of one rank');
    expect(
      shown()
        ?.slice(20, 24)
        .map((card) => (card % 13) + 1),
    ).toEqual([7, 7, 7, 7]);
  });
});

test('at random: conditions hold, the seed is kept', async () => {
  const rendered = await render(RandomMaker);
  await rendered.click('Another');
  const row = await saved(rendered);
  expect(row.origin).toMatchObject({ kind: 'random', seed: 2 });
  const holding = properties(row.cards)
    .filter(({ holds }) => holds)
    .map(({ id }) => id);
  expect(holding).toEqual(expect.arrayContaining(['ranks apart', 'suits apart', 'colour runs']));
});

test('properties open their proof, and the look of a spread has its percentile', async () => {
  const rendered = await render(OrderProperties, { order: wheel.cards, orderId: wheel.id });
  await rendered.click('rank then suit');
  expect(rendered.all('.evidence li')).toHaveLength(52);
  await rendered.click('rank then suit');
  expect(rendered.all('.evidence')).toHaveLength(0);
  const percentiles = rendered.all('dd').map((each) => Number.parseInt(each.textContent, 10));
  expect(percentiles).toHaveLength(4);
  for (const percentile of percentiles) expect(percentile >= 0 && percentile <= 100).toBe(true);
  await rendered.set('order', numberOrder());
  expect(rendered.all('dd').map((each) => Number.parseInt(each.textContent, 10))[0]).toBe(100);
});

test('the sorting guide puts a pack in order by what it says', async () => {
  const rendered = await render(SortingGuide, { order: tidemark.cards });
  const heaps = new Map<number, string[]>();
  const lay = (): void => {
    const heap = Number(
      /heap (\d+)/.exec(rendered.find('en-heap-view').textContent.replace(/\s+/g, ' '))?.[1],
    );
    const name = rendered.find('en-heap-view .card').textContent;
    heaps.set(heap, [...(heaps.get(heap) ?? []), name]);
  };
  const gathered = (): string[] => [1, 2, 3, 4, 5, 6, 7, 8].flatMap((heap) => heaps.get(heap) ?? []);
  for (const button of rendered.all('en-card-pad button')) {
    button.click();
    await rendered.fixture.whenStable();
    lay();
  }
  const afterOne = gathered();
  heaps.clear();
  await rendered.click('Deal 2');
  // One too far, and back again.
  for (const [key, name] of [
    [' ', afterOne[1]],
    ['Backspace', afterOne[0]],
    ['Backspace', afterOne[0]],
  ]) {
    document.dispatchEvent(new KeyboardEvent('keydown', { key }));
    await rendered.fixture.whenStable();
    expect(rendered.find('en-heap-view .card').textContent).toBe(name);
  }
  for (const name of afterOne) {
    expect(rendered.find('en-heap-view .card').textContent).toBe(name);
    lay();
    document.dispatchEvent(new KeyboardEvent('keydown', { key: ' ' }));
    await rendered.fixture.whenStable();
  }
  expect(parseOrder(gathered().join(' '))).toEqual({ ok: true, order: tidemark.cards });
  expect(rendered.text()).toContain('the pack is in order');
});

test('checking a pack takes the expected card by one press, and cards back', async () => {
  const rendered = await render(PackCheck, { order: tidemark.cards });
  for (let count = 0; count < 52; count++) await rendered.click('as it should be');
  expect(rendered.text()).toContain('The pack is in order.');
  expect(rendered.button('as it should be').disabled).toBe(true);
  await rendered.click('Back one card');
  expect(rendered.text()).toContain('51 cards in order so far.');
});
