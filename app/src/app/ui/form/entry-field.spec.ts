import { showCard } from '@enumeron/core/deck';
import { render, Rendered } from '../../../testing/render';
import { sampleOrders } from '../../nouns/orders/sample';
import { EntryField } from './entry-field';
import { cardReader, numberReader } from './reading';

const pack = sampleOrders()[0].cards;
const SEVEN_OF_DIAMONDS = 19;

let picked: (number | undefined)[];

const cardField = async (inputs: Readonly<Record<string, unknown>> = {}): Promise<Rendered<EntryField>> => {
  const rendered = await render(EntryField, {
    label: 'card',
    show: showCard,
    read: cardReader(pack),
    ...inputs,
  });
  picked = [];
  rendered.component.picked.subscribe((value) => picked.push(value));
  return rendered;
};

const field = ({ find }: Rendered<EntryField>): HTMLInputElement => find('input') as HTMLInputElement;

test('a card is taken as soon as it can be read, in any notation', async () => {
  const rendered = await cardField();
  for (const text of ['7', '7d', '7♦', '10', '10h', '']) await rendered.type('input', text);
  expect(picked).toEqual([SEVEN_OF_DIAMONDS, SEVEN_OF_DIAMONDS, 35, undefined]);
});

test('what cannot be read stays, with what is wrong, and is told to a screen reader', async () => {
  const rendered = await cardField();
  await rendered.type('input', '11H');
  expect(rendered.text()).toContain('“11H” is not a card. Ranks are A, 2 to 10, J, Q and K.');
  expect(field(rendered).getAttribute('aria-invalid')).toBe('true');
  const described = field(rendered).getAttribute('aria-describedby') ?? '';
  expect(rendered.find(`#${described}`).textContent).toContain('11H');
  field(rendered).dispatchEvent(new Event('blur'));
  await rendered.fixture.whenStable();
  expect(field(rendered).value).toBe('11H');
  expect(picked).toEqual([]);
});

test('what was read gives way to the way people write it once the field is left', async () => {
  const rendered = await cardField();
  await rendered.type('input', 'td');
  await rendered.set('value', 22);
  expect(field(rendered).value).toBe('td');
  field(rendered).dispatchEvent(new Event('blur'));
  await rendered.fixture.whenStable();
  expect(field(rendered).value).toBe('10♦');
});

test('what was entered gives way to the value, also to none; what cannot be read stays', async () => {
  const rendered = await cardField();
  const enter = async (text: string): Promise<string> => {
    await rendered.type('input', text);
    field(rendered).dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }));
    await rendered.fixture.whenStable();
    return field(rendered).value;
  };
  // Whoever is told takes it and empties the field.
  expect(await enter('kh')).toBe('');
  expect(await enter('7')).toBe('7');
  expect(await enter('11H')).toBe('11H');
  await rendered.set('value', 22);
  expect(await enter('td')).toBe('10♦');
  expect(picked).toEqual([38, 22]);
});

test('a card that is not in the pack is told', async () => {
  const rendered = await cardField();
  await rendered.type('input', 'X1');
  expect(rendered.text()).toContain('X1 is not in this pack.');
  expect(picked).toEqual([]);
});

test('a field for one after the other is emptied by each', async () => {
  const rendered = await cardField({ once: true });
  await rendered.type('input', '7d');
  expect(field(rendered).value).toBe('');
  await rendered.type('input', 'kh');
  expect(picked).toEqual([SEVEN_OF_DIAMONDS, 38]);
});

test('its suit colours it, a pad keeps a phone’s keyboard away, and a lit field shows', async () => {
  const rendered = await cardField({ value: SEVEN_OF_DIAMONDS, suit: 1, pad: true, active: true });
  expect(field(rendered).className).toContain('suit-1');
  expect(field(rendered).classList).toContain('active');
  expect(field(rendered).inputMode || field(rendered).getAttribute('inputmode')).toBe('none');
  expect(rendered.find('label').getAttribute('for')).toBe(field(rendered).id);
});

test('numbers go from 1 to the largest', () => {
  const read = numberReader(52);
  expect([1, 15, 52].map((number) => read(number.toString()).value)).toEqual([1, 15, 52]);
  for (const text of ['0', '53', '1.5', '-3', 'x', '1000'])
    expect(read(text)).toEqual({ problem: `“${text}” is not a number from 1 to 52.` });
});

test('a beginning of a card is no problem yet', () => {
  const read = cardReader(pack);
  for (const text of ['7', '1', '10', 'k', 'q']) expect(read(text)).toEqual({});
});
