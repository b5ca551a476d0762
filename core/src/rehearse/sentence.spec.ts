import { slotsOf } from '../procedure/form';
import { FORMS } from '../procedure/forms';
import { Step } from '../procedure/procedure';
import { STEPS } from '../procedure/steps';
import { sayExpression, sayStep, stepSentence } from './sentence';

test.each<[Step, string]>([
  [
    { do: 'choose', name: 'cut', from: 1, to: { 'size of': 'pack' } },
    'they choose cut, from 1 to the size of pack',
  ],
  [{ do: 'choose one', name: 'way', of: [] }, 'they choose one way: way'],
  [{ do: 'cut', packet: 'pack', count: 'cut', by: 'helper' }, 'they cut cut cards of pack to its bottom'],
  [{ do: 'lift', count: 9, from: 'pack', onto: 'hand' }, 'you lift 9 cards from pack onto hand'],
  [{ do: 'deal round', from: 'pack', onto: ['a', 'b'] }, 'you deal pack round onto a, b'],
  [
    { do: 'deal round', from: 'pack', onto: ['a', 'b'], count: 7 },
    'you deal 7 cards of pack round onto a, b',
  ],
  [{ do: 'put', packet: 'hand', where: 'under', other: 'pack' }, 'you put hand under pack'],
  [{ do: 'unweave', packet: 'pack', kind: 'in' }, 'you take an in weave of pack back'],
  [{ do: 'riffle', packet: 'pack', by: 'helper' }, 'they riffle pack'],
  [
    { do: 'mix', packet: 'pack', times: 2, 'keep face': 3, by: 'helper' },
    'they mix pack 2 times, keeping 3 at the face',
  ],
  [
    { do: 'see', what: { 'top of': 'hand' }, name: 'seen', by: 'all' },
    'all see the top card of hand, and call it seen',
  ],
  [
    { do: 'work out', name: 'k', what: { difference: ['a', { sum: ['b', -1] }] } },
    'you work out k: a − (b + −1)',
  ],
  [
    { do: 'if', that: { any: [{ less: ['k', 5] }, { equal: ['c', { card: 'TD' }] }] }, then: [] },
    'if k is under 5 or c is 10♦',
  ],
  [
    { do: 'repeat', while: { not: { all: [{ less: [1, 2] }, { 'at most': ['k', 24] }] } }, steps: [] },
    'repeat while not so: (1 is under 2 and k is at most 24)',
  ],
  [{ do: 'repeat', times: 4, steps: [] }, 'repeat 4 times'],
  [{ do: 'require', that: { less: [1, 'k'] } }, 'they were asked so that k is over 1'],
  [
    {
      do: 'claim',
      that: {
        equal: [
          { 'stack number of': { 'mate of': 'c' }, in: 'home' },
          { around: [{ product: [2, 'k'] }, 52] },
        ],
      },
    },
    'it must be so that the stack number of the mate of c in home is 2 × k counted round 52',
  ],
  [{ do: 'claim known', what: 'c' }, 'you must know c'],
  [{ do: 'out', words: 'Show the card alone.' }, 'out: Show the card alone.'],
  [
    { do: 'choose', name: 'some', from: 1, to: 9, by: 'performer', uncounted: true },
    'you choose some, from 1 to 9, uncounted',
  ],
  [
    { do: 'cut', packet: 'pack', count: 'gap', felt: true },
    'you cut gap cards of pack to its bottom, by feel',
  ],
  [{ do: 'take', card: { card: '4S' }, from: 'pack', onto: 'hand' }, 'you take 4♠ out of pack onto hand'],
  [
    { do: 'take', place: 2, from: 'pack', onto: 'hand', felt: false },
    'you take the card at 2 of pack onto hand',
  ],
  [
    { do: 'see', what: { 'how many of': 'bank', in: 'hand' }, name: 'check' },
    'you see how many of the order bank lie in hand, and call it check',
  ],
  [
    {
      ...{ do: 'see', name: 'named' },
      what: { 'next after': { card: '4S' }, in: 'pack', towards: 'face', among: [{ card: 'AS' }, 'key'] },
    },
    'you see the next card after 4♠ in pack towards the face among A♠, key, and call it named',
  ],
  [
    { do: 'work out', name: 'short', what: { sum: ['n', { whether: { less: ['n', 4] } }] } },
    'you work out short: n + whether (n is under 4)',
  ],
])('%j', (step, says) => {
  expect(sayStep(step)).toBe(says);
});

test('what is not written yet shows as dots, and each field can be told from the words', () => {
  expect(sayExpression(undefined)).toBe('…');
  expect(sayExpression({ sum: ['a', null] })).toBe('a + …');
  expect(sayStep({ do: 'lift', from: 'pack' } as unknown as Step)).toBe('you lift … cards from pack onto …');
  const parts = stepSentence({ do: 'lift', count: 9, from: 'pack', onto: 'hand' });
  expect(parts.flatMap((part) => ('field' in part ? [[part.field, part.slot, part.text]] : []))).toEqual([
    ['count', 'number', '9'],
    ['from', 'packet', 'pack'],
    ['onto', 'packet', 'hand'],
  ]);
});

test('every form and every step says all that belongs to it', () => {
  const said = (says: string): string[] => [...says.matchAll(/\{([^}|]+)/g)].map(([, field]) => field);
  for (const form of FORMS) expect(said(form.says)).toEqual(slotsOf(form).map(([field]) => field));
  for (const { says, fields } of Object.values(STEPS)) {
    const shown = Object.keys(fields).filter((field) => !['steps', 'then', 'of'].includes(field));
    expect([says, shown.filter((field) => !said(says).includes(field))]).toEqual([says, []]);
  }
});
