import fc from 'fast-check';
import { PATTERNS } from '../reckon/patterns';
import { QUESTIONS } from '../odds';
import { Field, Form, Values } from './field';
import { readValues, writeValues } from './valuesText';

const valueOf = ({ kind, options = [] }: Field): fc.Arbitrary<number | number[]> => {
  const card = fc.integer({ min: 0, max: 107 });
  switch (kind) {
    case 'card':
      return card;
    case 'cards':
      return fc.array(card, { maxLength: 9 });
    case 'rank':
      return fc.integer({ min: 1, max: 13 });
    case 'suits':
      return fc.uniqueArray(fc.integer({ min: 0, max: 3 }));
    case 'numbers':
      return fc.array(fc.nat(999));
    case 'choice':
      return fc.nat(options.length - 1);
    default:
      return fc.nat(999);
  }
};

const FORMS: readonly (readonly [path: string, form: Form])[] = [...PATTERNS, ...QUESTIONS].map((form) => [
  form.path,
  form,
]);

test.each(FORMS)('%s: its values are written and read back', (_, form) => {
  const all = fc.record(Object.fromEntries(form.fields.map((field) => [field.name, valueOf(field)])), {
    requiredKeys: [],
  });
  fc.assert(
    fc.property(all, (values: Values) => {
      expect(readValues(form, writeValues(form, values))).toEqual(values);
    }),
  );
});

test('what cannot be read is left out', () => {
  const form: Form = {
    fields: [
      { name: 'card', label: '', asks: '', kind: 'card' },
      { name: 'way', label: '', asks: '', kind: 'choice', options: ['a', 'b'] },
      { name: 'count', label: '', asks: '', kind: 'number' },
    ],
  };
  expect(readValues(form, { card: '7D', way: '3', count: '1e9', more: '4' })).toEqual({ card: 19 });
  expect(readValues(form, { card: '7D.8D', way: '0', count: '-3' })).toEqual({});
  expect(writeValues(form, { card: 19, way: 1, count: 12 })).toEqual({ card: '7D', way: '2', count: '12' });
});
