import vectors from '../../test/vectors/procedures.json';
import vectors2 from '../../test/vectors/procedures2.json';
import { FORMS, formOf } from '../procedure/forms';
import { Procedure, Step } from '../procedure/procedure';
import { SLOTS } from '../procedure/steps';
import { insideOf, namesIn, packetsOf } from '../procedure/walk';
import { randomProcedure } from '../../test/randomProcedure';
import { seededRng } from '../deck/rng';
import { sayExpression } from './sentence';
import { completions, Names, readWords } from './words';
import { WORKED } from './worked/worked';

const namesOf = ({ steps, packets = {}, orders = {}, givens = {} }: Procedure): Names => ({
  names: [...namesIn(steps), ...Object.keys(givens)],
  packets: [...Object.keys(packets), ...packetsOf(steps)],
  orders: Object.keys(orders),
});

/** Every expression and condition in the fields of steps. */
type Said = readonly [slot: 'value' | 'condition', value: unknown];
const expressionsIn = (steps: readonly Step[]): Said[] =>
  steps.flatMap((step): Said[] => [
    ...SLOTS[step.do].flatMap(([field, slot]): Said[] => {
      const value = (step as unknown as Record<string, unknown>)[field];
      if (value === undefined) return [];
      if (slot === 'condition') return [['condition', value]];
      return slot === 'number' || slot === 'card' || slot === 'value' ? [['value', value]] : [];
    }),
    ...insideOf(step).flatMap(expressionsIn),
  ]);

const procedures: readonly Procedure[] = [
  ...(
    [...vectors.rows, ...vectors2.rows] as unknown as readonly {
      procedure: Procedure;
      proof: { ok: boolean };
    }[]
  )
    .filter(({ proof }) => proof.ok)
    .map(({ procedure }) => procedure),
  ...WORKED.map(({ procedure }) => procedure),
  ...Array.from(
    { length: 300 },
    (_, index) => randomProcedure(seededRng(index + 1), index % 2 ? 2 : 1) as unknown as Procedure,
  ),
];

test('what is said is read again as it was: all expressions of worked, told and random procedures', () => {
  const met = new Set<unknown>();
  const note = (value: unknown): void => {
    if (typeof value !== 'object' || value === null) return;
    met.add(formOf(value as Record<string, unknown>));
    Object.values(value).flat().forEach(note);
  };
  for (const procedure of procedures)
    for (const [slot, value] of expressionsIn(procedure.steps)) {
      note(value);
      const text = sayExpression(value);
      const read = readWords(text, slot, namesOf(procedure));
      // A comparison with one number may be said the other way about, and is the same then.
      expect([text, read.ok && sayExpression(read.value)]).toEqual([text, text]);
      expect([text, read.ok && read.value]).toEqual([text, value]);
    }
  expect(FORMS.filter((form) => !met.has(form)).map(({ says }) => says)).toEqual([]);
});

const known: Names = {
  names: ['first cut', 'first', 'seen', 'k', 'stack number', 'size of hand 2'],
  packets: ['pack', 'hand'],
  orders: ['home'],
};

test.each([
  ['first cut + 1', { sum: ['first cut', 1] }],
  ['first cut - 1', { difference: ['first cut', 1] }],
  ['k less 3 less 2', { difference: [{ difference: ['k', 3] }, 2] }],
  ['2 times k plus 1', { sum: [{ product: [2, 'k'] }, 1] }],
  ['2 * (k + 1)', { product: [2, { sum: ['k', 1] }] }],
  ['k + 5 counted round 52', { around: [{ sum: ['k', 5] }, 52] }],
  ['Top card of pack', { 'top of': 'pack' }],
  ['the top of hand', { 'top of': 'hand' }],
  ['size of hand', { 'size of': 'hand' }],
  ['stack number of seen in home', { 'stack number of': 'seen', in: 'home' }],
  ['the card at k + 1 of pack', { 'card at': { sum: ['k', 1] }, of: 'pack' }],
  ['rank of mate of seen', { 'rank of': { 'mate of': 'seen' } }],
  ['stack number', 'stack number'],
  ['stack number + 1', { sum: ['stack number', 1] }],
  ['size of hand 2', 'size of hand 2'],
  ['7d', { card: '7D' }],
  ['10♥', { card: 'TH' }],
  ['−3', -3],
  ['least of 3, size of pack', { least: [3, { 'size of': 'pack' }] }],
] as const)('%s', (text, value) => {
  expect(readWords(text, 'value', known)).toEqual({ ok: true, value });
});

test.each([
  ['k is not 3', { not: { equal: ['k', 3] } }],
  ['k = 3', { equal: ['k', 3] }],
  ['k is over 24', { less: [24, 'k'] }],
  ['k >= 24', { 'at most': [24, 'k'] }],
  ['k is from 5 to 24', { all: [{ 'at most': [5, 'k'] }, { 'at most': ['k', 24] }] }],
  ['k is odd', { equal: [{ remainder: ['k', 2] }, 1] }],
  [
    'k < 5 or k > 24 and seen is 7D',
    {
      any: [{ less: ['k', 5] }, { all: [{ less: [24, 'k'] }, { equal: ['seen', { card: '7D' }] }] }],
    },
  ],
  [
    '(k < 5 or k > 24) and seen is 7D',
    {
      all: [{ any: [{ less: ['k', 5] }, { less: [24, 'k'] }] }, { equal: ['seen', { card: '7D' }] }],
    },
  ],
  ['not (k is 1 or k is 2)', { not: { any: [{ equal: ['k', 1] }, { equal: ['k', 2] }] } }],
  ['card at 1 of pack lies face up', { 'face up': 1, of: 'pack' }],
  ['(k + 1) × 2 is k', { equal: [{ product: [{ sum: ['k', 1] }, 2] }, 'k'] }],
] as const)('%s', (text, value) => {
  expect(readWords(text, 'condition', known)).toEqual({ ok: true, value });
});

test.each([
  ['', 'Something is missing here.'],
  ['frist cut + 1', '“frist cut + 1” is not understood here.'],
  ['first cut + wrong', '“wrong” is not understood here.'],
  ['the top card of', '“the top card of” is not whole yet.'],
  ['k k', '“k” is not understood here.'],
  ['2 × (k + 1', '“2 × (k + 1” is not whole yet.'],
])('“%s” is told as not understood', (text, what) => {
  expect(readWords(text, 'value', known)).toEqual({ ok: false, what });
});

test('how words may go on', () => {
  expect(completions('st', 'value', known)).toEqual(['stack number ', 'stack number of ']);
  expect(completions('stack number of s', 'value', known)).toContain('stack number of seen ');
  expect(completions('stack number of seen in ', 'value', known)).toEqual(['stack number of seen in home ']);
  expect(completions('fir', 'value', known)).toEqual(['first cut ', 'first ', 'first of ']);
  expect(completions('k is a', 'condition', known).slice(0, 2)).toEqual(['k is at most ', 'k is at least ']);
  expect(completions('', 'value', known).length).toBeGreaterThan(4);
});

test('names that come later, or hold what is not wanted, are read and not offered', () => {
  const some: Names = {
    ...known,
    offered: new Map([
      ['seen', 'card'],
      ['k', 'number'],
    ]),
  };
  expect(completions('stack number of ', 'number', some)).toContain('stack number of seen ');
  expect(completions('stack number of ', 'number', some).join()).not.toMatch(/of k|first cut|size of/);
  expect(completions('k + ', 'number', some).join()).not.toMatch(/seen|top card/);
  expect(readWords('first cut + 1', 'number', some)).toMatchObject({ ok: true });
});
