import { render, Rendered } from '../../../testing/render';
import { freshApp } from '../../../testing/fresh';
import { ThumbPad } from './thumb-pad';

interface Pad extends Rendered<ThumbPad> {
  readonly cards: number[];
  readonly numbers: (number | undefined)[];
}

/** A pad whose number is what was picked last, as in the room. */
const pad = async (inputs: Readonly<Record<string, unknown>>): Promise<Pad> => {
  await freshApp();
  const rendered = await render(ThumbPad, { largest: 52, ...inputs });
  const made: Pad = { ...rendered, cards: [], numbers: [] };
  rendered.component.cardPicked.subscribe((card) => made.cards.push(card));
  rendered.component.numberPicked.subscribe((number) => {
    made.numbers.push(number);
    rendered.fixture.componentRef.setInput('number', number);
  });
  return made;
};

test('a card is two taps: rank, then suit', async () => {
  const made = await pad({ asks: 'card' });
  expect(made.button('diamonds').disabled).toBe(true);
  await made.click('seven');
  expect(made.button('seven').getAttribute('aria-pressed')).toBe('true');
  await made.click('diamonds');
  expect(made.cards).toEqual([19]);
  expect(made.button('diamonds').disabled).toBe(true);
});

test('another rank replaces one that was tapped by mistake', async () => {
  const made = await pad({ asks: 'card' });
  for (const name of ['seven', 'king', 'hearts']) await made.click(name);
  expect(made.cards).toEqual([38]);
});

test('a number is built digit by digit, and begins again where it would be too large', async () => {
  const made = await pad({ asks: 'number' });
  await made.click('1');
  await made.click('5');
  expect(made.numbers).toEqual([1, 15]);
  await made.click('7');
  expect(made.numbers.at(-1)).toBe(7);
});

test('the first digit replaces the number that was there', async () => {
  const made = await pad({ asks: 'number', number: 15 });
  await made.click('3');
  await made.click('0');
  expect(made.numbers).toEqual([3, 30]);
});

test('no number begins with nought, and digits can be taken back to nothing', async () => {
  const made = await pad({ asks: 'number' });
  await made.click('0');
  expect(made.numbers).toEqual([]);
  await made.click('4');
  await made.click('2');
  await made.click('take the last digit away');
  await made.click('take the last digit away');
  expect(made.numbers).toEqual([4, 42, 4, undefined]);
});
