import { slotsOf } from '../procedure/form';
import { FORMS } from '../procedure/forms';
import { sayExpression } from './sentence';
import { readWords } from './words';

/** Names that are ranks of cards, or words of the language. */
const NAMES = [
  ...[
    'k',
    'a',
    'q',
    'j',
    't',
    '10',
    'x1',
    'ks',
    '7d',
    'size',
    'face',
    'top',
    'the',
    'the top',
    'top of',
    'size of',
  ],
  ...[
    'rank',
    'mate',
    'card',
    'card at',
    'stack number',
    'digit sum',
    'sum',
    'least',
    'most',
    'face up',
    'up',
  ],
  ...[
    'not',
    'and',
    'or',
    'is',
    'plus',
    'minus',
    'times',
    'less',
    'counted round',
    'joker',
    'out',
    'c',
    'pack',
  ],
];

/** A value of each slot of a form, made of a number and a card. */
const filled = (slot: string, number: unknown, card: unknown): unknown => {
  switch (slot) {
    case 'packet':
      return 'pack';
    case 'order':
      return 'home';
    case 'numbers':
      return [number, 2];
    case 'twoNumbers':
    case 'alike':
      return [number, 3];
    case 'conditions':
      return [{ less: [number, 2] }, { equal: [number, 1] }];
    case 'condition':
      return { less: [number, 2] };
    case 'these':
      return [card, { card: '2C' }];
    case 'towards':
      return 'face';
    default:
      return slot === 'card' ? card : number;
  }
};

const CARDS = ['KS', 'AH', 'QC', 'JD', 'TD', 'X1'].map((card) => ({ card }));

test.each(NAMES)('a name that is “%s” is read back from every sentence, and cards beside it', (name) => {
  const known = { names: [name, 'other'], packets: ['pack', 'hand'], orders: ['home'] };
  const look = { 'size of': 'pack' };
  const values = FORMS.flatMap((form) =>
    [
      [name, name],
      [2, { card: 'KS' }],
      [look, { 'top of': 'pack' }],
      [look, { 'mate of': name }],
      [{ sum: [name, look] }, { card: 'AH' }],
    ].map(([number, card]) => ({
      slot: form.gives === 'condition' ? ('condition' as const) : ('value' as const),
      value: Object.fromEntries(slotsOf(form).map(([field, slot]) => [field, filled(slot, number, card)])),
    })),
  );
  for (const { value, slot } of [
    ...values,
    ...[name, ...CARDS].map((each) => ({ value: each, slot: 'value' as const })),
  ]) {
    const words = sayExpression(value);
    expect([words, readWords(words, slot, known)]).toEqual([words, { ok: true, value }]);
  }
});
