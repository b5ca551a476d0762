import { formatCard } from '../deck/notation';
import { numberOrder, Order } from '../deck/order';
import { AnswerKind, NO_INPUT, pickCard, Typed, typeKey } from './entry';
import { itemsOf, MORE_DIRECTIONS, truthOf } from './item';

const pack = numberOrder();
const typed = (asks: AnswerKind, keys: string, order: Order = pack): Typed =>
  [...keys].reduce<Typed>(
    (entry, key) => typeKey(asks, entry, key === '⏎' ? 'Enter' : key === '⌫' ? 'Backspace' : key, order),
    NO_INPUT,
  );

test('every number of every size of pack is answered by its digits, as early as it can be', () => {
  for (let size = 1; size <= 60; size++) {
    const order = pack.concat([52, 53, 54, 55, 56, 57, 58, 59]).slice(0, size);
    for (let number = 1; number <= size; number++) {
      const digits = number.toString();
      const entry = typed('number', digits, order);
      const open = number * 10 <= size;
      expect([size, number, entry.said]).toEqual([
        size,
        number,
        open ? undefined : { kind: 'number', number },
      ]);
      if (open) expect(typed('number', `${digits}⏎`, order).said).toEqual({ kind: 'number', number });
    }
  }
});

test('every answer can be typed in its usual ways', () => {
  for (const item of itemsOf(pack, ['after', ...MORE_DIRECTIONS])) {
    const truth = truthOf(item, pack);
    if (truth.kind !== 'cards') continue;
    const asks = truth.cards.length === 1 ? 'card' : 'two cards';
    for (const write of [
      (name: string) => name,
      (name: string) => name.toLowerCase(),
      (name: string) => name.replace('T', '10'),
    ])
      expect(typed(asks, truth.cards.map((card) => write(formatCard(card))).join('')).said).toEqual(truth);
  }
});

test.each<[AnswerKind, string, string, boolean]>([
  ['off', '12', '12', true],
  ['off', '-12', '-12', true],
  ['off', '1-2', '-12', true],
  ['off', '--3', '3', true],
  ['off', '-+3', '3', true],
  ['off', '2⏎', '2', true],
  ['off', '-⏎', '-', false],
  ['off', '0', '0', true],
  ['off', '-1x', '-1', false],
  ['weaves', 'iOi', 'ioi', false],
  ['weaves', 'ioi⏎', 'ioi', true],
  ['weaves', 'io5⌫i', 'ii', false],
  // A rank that was typed by mistake is typed over.
  ['card', '12', '2', false],
  ['card', '9kd', 'kd', true],
  ['card', '110h', '10h', true],
  ['card', '8x', '8', false],
  ['two cards', 'kd15c', 'kd 5c', true],
  ['number', '', '', false],
  ['number', '0', '', false],
  ['number', 'a5', '5', false],
  ['number', '59', '59', true],
  ['number', '6', '6', true],
  ['number', '5⌫3', '3', false],
  ['number', '⏎', '', false],
  ['card', 'z', '', false],
  ['card', 'd', '', false],
  ['card', '1d', '1', false],
  ['card', '10d', '10d', true],
  ['card', 'x', '', false],
  ['card', '7⌫8s', '8s', true],
  ['card', '7⏎', '7', false],
  ['two cards', '7d', '7d ', false],
  ['two cards', '7d⌫', '7', false],
  ['two cards', '7d8', '7d 8', false],
  ['two cards', '7d8s', '7d 8s', true],
])('%s: “%s” is “%s”, done: %s', (asks, keys, text, done) => {
  const entry = typed(asks, keys);
  expect([entry.text, entry.said !== undefined]).toEqual([text, done]);
});

test('a card that is pressed takes the place of a half-typed one, and is the first or the second of two', () => {
  for (const before of ['', '7', '1', '10', 'x'])
    expect(pickCard('card', { text: before }, 46).said).toEqual({ kind: 'cards', cards: [46] });
  const one = pickCard('two cards', { text: 'k' }, 19);
  expect(one).toEqual({ text: '7D ' });
  expect(pickCard('two cards', one, 46)).toEqual({ text: '7D 8S', said: { kind: 'cards', cards: [19, 46] } });
  expect(pickCard('two cards', { text: '7d 8' }, 46).said).toEqual({ kind: 'cards', cards: [19, 46] });
  expect(pickCard('card', NO_INPUT, 54 + 19).said).toEqual({ kind: 'cards', cards: [54 + 19] });
  expect(pickCard('number', { text: '4' }, 46)).toEqual({ text: '4' });
});

test('a joker is asked for where the pack has one', () => {
  expect(typed('card', 'x1', [...pack, 52]).said).toEqual({ kind: 'cards', cards: [52] });
});
