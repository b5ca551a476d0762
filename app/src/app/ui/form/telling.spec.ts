import { Field, Form, Values } from '@enumeron/core/form';
import { signal } from '@angular/core';
import { withValue } from '../../nouns/pack/patterns.store';
import { Telling } from './telling';

const field = (name: string, kind: Field['kind'], part: Partial<Field> = {}): Field => ({
  name,
  label: name,
  asks: `${name}?`,
  kind,
  ...part,
});

/** A telling of these fields over values that are known as soon as they are put. */
const tellingOf = (...fields: Field[]): Telling & { told(): Values } => {
  const values = signal<Values>({});
  const telling = new Telling(signal<Form>({ fields }), values, ({ name }, value) => {
    values.set(withValue(values(), name, value));
  });
  return Object.assign(telling, { told: values });
};

test('each card goes to the next field that lacks one; when none does, the last is told anew', () => {
  const telling = tellingOf(
    field('first', 'card'),
    field('note', 'card', { optional: true }),
    field('second', 'card'),
  );
  expect(telling.active()?.name).toBe('first');
  telling.take(3);
  expect(telling.active()?.name).toBe('second');
  telling.take(7);
  telling.take(9);
  expect(telling.told()).toEqual({ first: 3, second: 9 });
  expect(telling.lacking()).toBeUndefined();
});

test('a number stays lit for its next digit, and is left by the key for the next field', () => {
  const telling = tellingOf(field('count', 'number'), field('card', 'card'));
  telling.take(1);
  telling.take(15);
  expect(telling.told()).toEqual({ count: 15 });
  expect(telling.active()?.name).toBe('count');
  telling.next();
  telling.take(20);
  expect(telling.told()).toEqual({ count: 15, card: 20 });
  telling.active.set(telling.form().fields[1]);
  telling.next();
  expect(telling.active()?.name).toBe('count');
});

test('a row of cards grows by each; a row of numbers holds the one of the pad; nothing empties either', () => {
  const cards = tellingOf(field('cards', 'cards'));
  for (const card of [4, 8, 15]) cards.take(card);
  expect(cards.told()).toEqual({ cards: [4, 8, 15] });
  cards.take(undefined);
  expect(cards.told()).toEqual({});
  const numbers = tellingOf(field('counts', 'numbers'));
  numbers.take(9);
  numbers.take(14);
  expect(numbers.told()).toEqual({ counts: [14] });
});

test('a field that starts with something lacks nothing; suits and a form without fields take nothing', () => {
  const started = tellingOf(field('lead', 'number', { start: 20 }), field('card', 'card'));
  expect(started.lacking()?.name).toBe('card');
  const suits = tellingOf(field('suits', 'suits'));
  suits.take(2);
  expect(suits.told()).toEqual({});
  const none = tellingOf();
  none.take(2);
  none.next();
  expect(none.active()).toBeUndefined();
  expect(none.told()).toEqual({});
});
