import { TestBed } from '@angular/core/testing';
import fc from 'fast-check';
import { numberOrder } from '@enumeron/core/deck';
import { cut } from '@enumeron/core/moves';
import { handSum } from '@enumeron/core/reckon';
import { render } from '../../testing/render';
import { sampleOrders } from '../nouns/orders/sample';
import { CardFace } from './card-face';
import { CardPad } from './form/card-pad';
import { CardText } from './card-text';
import { faceOf } from './face';
import { HandSum } from './hand-sum';
import { OrderSheet } from './order-sheet';
import { remSignal } from '../platform/rem';
import { Ring } from './ring';
import { arcBetween, gapAngle, placeAngle, pointAt } from './ring.geometry';
import { Strip } from './strip';

const home = sampleOrders()[0].cards;
const SEVEN_OF_DIAMONDS = 19;

test('a rem is as large as the text of the page, also when the window has become another', () => {
  const rem = TestBed.runInInjectionContext(() => remSignal());
  expect(rem()).toBe(16);
  document.documentElement.style.fontSize = '20px';
  window.dispatchEvent(new Event('resize'));
  expect(rem()).toBe(20);
  document.documentElement.style.fontSize = '';
});

test('cards in a sentence are coloured for the eye and spoken by name, and no word is lost', async () => {
  const { all, text, set } = await render(CardText, { text: 'Cut so that Q♣ comes to the face, then 10♥.' });
  expect(all('.card').map((each) => [each.textContent, each.className])).toEqual([
    ['Q♣', 'card suit-0'],
    ['10♥', 'card suit-2'],
  ]);
  expect(all('.spoken').map((each) => each.textContent)).toEqual(['queen of clubs', 'ten of hearts']);
  expect(text()).toBe('Cut so that Q♣queen of clubs comes to the face, then 10♥ten of hearts.');
  await set('text', 'no card, AB and 12');
  expect(all('.card')).toHaveLength(0);
  await set('text', '<b>7♦</b>');
  expect(all('b')).toHaveLength(0);
});

test('a card shows its rank and symbol and speaks its name; jokers too', async () => {
  const { text, set } = await render(CardFace, { card: 22 });
  expect(text()).toBe('10♦ten of diamonds');
  await set('card', 53);
  expect(text()).toBe('X2second joker');
  expect(faceOf(52)).toEqual({ rank: 'X', symbol: '1', suit: 'joker' });
});

test('the pad has every card once, and only those of the pack can be pressed', async () => {
  const { component, all, find, set } = await render(CardPad, { label: 'seen', pack: home, selected: 38 });
  const picked: number[] = [];
  component.picked.subscribe((card) => picked.push(card));
  expect(all('button')).toHaveLength(52);
  expect(find('[aria-pressed=true]').textContent).toBe('K♥');
  expect(find('[aria-pressed=true]').getAttribute('aria-label')).toBe('king of hearts');
  for (const button of all('button')) button.click();
  expect([...picked].sort((a, b) => a - b)).toEqual(numberOrder());
  await set('pack', home.slice(0, 20));
  expect(all('button:disabled')).toHaveLength(32);
});

test('a strip has a bar a card, pale for an indifferent one, and is for the eye only', async () => {
  const { all, element } = await render(Strip, { cards: [0, 13, 26, 39, undefined, 52, 1] });
  const drawn = all('path').map((path) => [
    path.getAttribute('class'),
    [...(path.getAttribute('d') ?? '').matchAll(/M(\d+) 0h/g)].map(([, index]) => Number(index)),
  ]);
  expect(drawn).toEqual([
    ['bars bars-0', [0, 6]],
    ['bars bars-1', [1]],
    ['bars bars-2', [2]],
    ['bars bars-3', [3]],
    ['bars bars-', [4, 5]],
  ]);
  expect(element.getAttribute('aria-hidden')).toBe('true');
});

test('a sum is written with signs: nothing before what is reached, a minus of its own before what is taken', async () => {
  const { all } = await render(HandSum, { lines: handSum(home, cut(home, 30), SEVEN_OF_DIAMONDS, 15) });
  expect(all('.amount').map((each) => each.textContent)).toEqual([
    '20',
    '−30',
    '+52',
    '42',
    '−15',
    '−52',
    '−25',
  ]);
  expect(all('.result')).toHaveLength(2);
});

test('a sheet numbers its places and says which are wrong', async () => {
  const entries = [{ card: 0 }, { card: undefined, text: '11H', odd: true }];
  const { all, text, set } = await render(OrderSheet, { label: 'as read', entries });
  expect(all('li')).toHaveLength(2);
  expect(all('.odd')).toHaveLength(1);
  expect(text()).toContain('11H, wrong');
  await set('entries', undefined);
  await set('order', home);
  expect(all('li')).toHaveLength(52);
});

describe('the ring', () => {
  const anyPlace = fc.integer({ min: 1, max: 52 });

  test('places go round clockwise from the top, and the circle closes', () => {
    for (let place = 1; place < 52; place++)
      expect(placeAngle(place + 1, 52) - placeAngle(place, 52)).toBeCloseTo((2 * Math.PI) / 52);
    expect(gapAngle(52, 52)).toBeCloseTo(2 * Math.PI);
    expect(pointAt(0, 10)).toEqual({ x: 0, y: -10 });
    expect(pointAt(Math.PI / 2, 10).x).toBeCloseTo(10);
  });

  test('an arc is drawn for every two places, and none from a place to itself', () => {
    fc.assert(
      fc.property(anyPlace, anyPlace, (from, to) => {
        expect(arcBetween(from, to, 52) === '').toBe(from === to);
        expect(arcBetween(from, to, 52)).not.toContain('NaN');
      }),
    );
  });

  test('it says in words what it shows', async () => {
    const { find, all, set } = await render(Ring, {
      now: cut(home, 3),
      offset: 3,
      offsetAfter: 5,
      card: SEVEN_OF_DIAMONDS,
      number: 15,
    });
    expect(find('svg').getAttribute('aria-label')).toBe('The pack as a ring: cut at 3 to 5, 7♦ 17, 15');
    expect(all('.tick')).toHaveLength(52);
    expect(all('.hand')).toHaveLength(1);
    await set('offset', undefined);
    expect(find('svg').getAttribute('aria-label')).toContain('out of step');
    expect(all('.hand')).toHaveLength(0);
    await set('number', 17);
    expect(all('.label')).toHaveLength(1);
    expect(all('.arc')).toHaveLength(0);
  });
});
