import { readProcedure } from './readProcedure';

type Json = Record<string, unknown>;

const PACK = ['AC', '7D', 'QH', '7D*', 'X1', '-'];
const procedure = (steps: unknown, more: Json = {}): Json => ({
  name: 'tried',
  packets: { pack: PACK },
  orders: { home: ['AC', '7D'] },
  steps,
  ...more,
});
const problemsOf = (value: unknown): string[] => {
  const read = readProcedure(value);
  return read.ok ? [] : read.problems.map(({ where, what, remedy }) => `${where ?? ''}: ${what} ${remedy}`);
};

const choose = { do: 'choose', name: 'n', from: 1, to: 3 };
const told = { ...choose, told: true };
const seen = { do: 'see', what: { 'top of': 'pack' }, name: 'c' };
const cut = (count: unknown, by = 'helper'): Json => ({ do: 'cut', packet: 'pack', count, by });

describe('what is right', () => {
  test.each<[string, unknown[]]>([
    ['a helper uses what they chose', [choose, cut('n')]],
    ['the performer uses what was told', [told, cut('n', 'performer')]],
    ['how many cards there are is open to all', [cut({ 'size of': 'pack' }, 'performer')]],
    [
      'what is seen may be worked with',
      [seen, { do: 'work out', name: 's', what: { 'stack number of': 'c', in: 'home' } }],
    ],
    [
      'claims look anywhere',
      [choose, { do: 'claim', that: { equal: [{ 'card at': 'n', of: 'pack' }, { card: '7D*' }] } }],
    ],
    ['a name is given anew by the same', [told, { ...told, from: 2 }, cut('n', 'performer')]],
    [
      'given in both branches, it is given',
      [
        told,
        { do: 'if', that: { less: ['n', 2] }, then: [seen], otherwise: [seen] },
        { do: 'claim known', what: 'c' },
      ],
    ],
    [
      'a packet that is not there yet is empty',
      [{ do: 'put', packet: 'nowhere', where: 'on', other: 'pack' }],
    ],
    ['fields that are not known are kept', [{ ...choose, colour: 'blue' }]],
    ['an option may have no steps', [{ do: 'choose one', name: 'way', of: [{ words: 'so', steps: [] }] }]],
  ])('%s', (_, steps) => {
    const value = procedure(steps);
    expect(problemsOf(value)).toEqual([]);
    const read = readProcedure(value);
    expect(read.ok && read.procedure).toBe(value);
  });
});

describe('what is wrong is told with its step', () => {
  test.each<[unknown[], string, RegExp]>([
    [['x'], 'Step 1', /no step/],
    [[{ do: 'jump' }], 'Step 1', /no step/],
    [[{ do: 'toString' }], 'Step 1', /no step/],
    [[choose, cut('n', 'performer')], 'Step 2', /does not know “n”/],
    [[cut('n')], 'Step 1', /“n” is not given/],
    [[choose, cut('n', 'somebody')], 'Step 2', /helper, the performer/],
    [[{ ...choose, caution: 3 }], 'Step 1', /caution/],
    [[{ ...choose, says: { lay: 3 } }], 'Step 1', /says/],
    [[cut(1.5)], 'Step 1', /not whole/],
    [[cut(2 ** 40)], 'Step 1', /too large/],
    [[cut(undefined)], 'Step 1', /missing/],
    [[cut({ 'stack number of': { card: 'AC' }, in: 'away' })], 'Step 1', /no order “away”/],
    [[cut({ 'stack number of': { card: 'ZZ' }, in: 'home' })], 'Step 1', /“ZZ” is no card/],
    [[cut({ sum: [] })], 'Step 1', /right length/],
    [[cut({ difference: [1, 2, 3] })], 'Step 1', /right length/],
    [[cut({ nothing: 1 })], 'Step 1', /nothing that is known/],
    [[cut({ card: '7D' })], 'Step 1', /card is not a number/],
    [[cut({ less: [1, 2] })], 'Step 1', /yes-or-no condition/],
    [[{ do: 'claim', that: 3 }], 'Step 1', /is a number or a card/],
    [[{ do: 'claim', that: { equal: [1, { card: '7D' }] } }], 'Step 1', /card is not a number/],
    [[seen, { do: 'claim', that: { less: ['c', 3] } }], 'Step 2', /card is not a number/],
    [[{ do: 'work out', name: 'k', what: { 'top of': 'pack' } }], 'Step 1', /look at the table/],
    [[{ do: 'if', that: { 'face up': 1, of: 'pack' }, then: [] }], 'Step 1', /look at the table/],
    [[{ ...choose, by: 'performer', to: { 'face up in': 'pack' } }], 'Step 1', /look at the table/],
    [[{ do: 'lift', count: 1, from: 'pack', onto: 'pack' }], 'Step 1', /onto itself/],
    [[{ do: 'deal round', from: 'pack', onto: ['a', 'pack'] }], 'Step 1', /onto itself/],
    [[{ do: 'deal round', from: 'pack', onto: [] }], 'Step 1', /onto/],
    [[{ do: 'deal round', from: 'pack', onto: ['a', 'a'] }], 'Step 1', /named twice/],
    [[{ do: 'put', packet: 'a', where: 'beside', other: 'pack' }], 'Step 1', /on or under/],
    [[{ do: 'weave', packet: 'pack', kind: 'up' }], 'Step 1', /in or out/],
    [[{ do: 'choose one', name: 'way', of: [] }], 'Step 1', /one option or more/],
    [[{ ...choose, likely: { around: 3 } }], 'Step 1', /likely/],
    [[{ ...choose, likely: { table: { two: 1 } } }], 'Step 1', /likely/],
    [[{ ...choose, likely: { table: { 2: -1 } } }], 'Step 1', /likely/],
    [[{ do: 'repeat', steps: [] }], 'Step 1', /How often/],
    [[{ do: 'repeat', times: 1, while: { less: [1, 2] }, steps: [] }], 'Step 1', /How often/],
    [[{ do: 'repeat', while: { less: [1, 2] }, most: 201, steps: [] }], 'Step 1', /most/],
    [[choose, { ...choose, told: true }], 'Step 2', /Who knows “n” would change/],
    [
      [choose, { do: 'see', what: { 'top of': 'pack' }, name: 'n', by: 'helper' }],
      'Step 2',
      /“n” was a number/,
    ],
    [[{ ...choose, name: ' ' }], 'Step 1', /name/],
    [
      [
        told,
        { do: 'if', that: { less: ['n', 2] }, then: [seen, { do: 'out', words: '' }] },
        { do: 'claim known', what: 'c' },
      ],
      'Step 3',
      /not given on every way/,
    ],
    [
      [
        { do: 'repeat', times: 1, steps: [seen] },
        { do: 'claim known', what: 'c' },
      ],
      'Step 2',
      /not given on every way/,
    ],
    [
      [
        {
          do: 'choose one',
          name: 'way',
          of: [{ words: '', steps: [{ do: 'if', that: { less: [1, 2] }, then: [cut('m')] }] }],
        },
      ],
      'Step 1.1.1.1.1',
      /“m” is not given/,
    ],
  ])('%j', (steps, where, what) => {
    const problems = problemsOf(procedure(steps));
    expect(problems).toHaveLength(1);
    expect(problems[0].startsWith(`${where}: `)).toBe(true);
    expect(problems[0]).toMatch(what);
  });
});

test('problems come in the order of the steps, each step once', () => {
  expect(problemsOf(procedure([cut('a'), { do: 'no' }, cut('b')])).map((each) => each.split(':')[0])).toEqual(
    ['Step 1', 'Step 2', 'Step 3'],
  );
});

test('what is wrong in a step is told there, and not again wherever its name is used', () => {
  const wrong = { do: 'see', what: { 'card at': 1.5, of: 'pack' }, name: 'c' };
  const use = { do: 'claim', that: { equal: ['c', { card: '7D' }] } };
  expect(problemsOf(procedure([wrong, use, use]))).toHaveLength(1);
});

test('the set-up is read: what the file is, givens, packets and orders', () => {
  const wheres = (more: Json): string[] => problemsOf(procedure([], more)).map((each) => each.split(': ')[0]);
  expect(wheres({ format: 'enumeron procedure', version: 1 })).toEqual([]);
  expect(wheres({ format: 'something else' })).toEqual(['File']);
  expect(wheres({ version: 2 })).toEqual([]);
  expect(wheres({ version: 3 })).toEqual(['File']);
  expect(wheres({ name: 7 })).toEqual(['File']);
  expect(wheres({ needs: 7 })).toEqual(['File']);
  expect(wheres({ givens: { few: 1.5 } })).toEqual(['File']);
  expect(wheres({ packets: { a: ['7D', '10D'] } })).toEqual(['Packet a']);
  expect(wheres({ packets: { a: 'AC' } })).toEqual(['Packet a']);
  expect(wheres({ packets: { a: [{ indifferent: 3 }], b: [{ indifferent: -1 }] } })).toEqual(['Packet b']);
  expect(wheres({ packets: { a: [{ indifferent: 200 }], b: [{ indifferent: 56 }] } })).toEqual(['Packet b']);
  expect(wheres({ packets: { a: [{ first: 3, of: ['AC', '7D'] }] } })).toEqual(['Packet a']);
  expect(wheres({ packets: { a: [{ first: 'few', of: ['AC'] }] }, givens: { few: 1 } })).toEqual([]);
  expect(wheres({ packets: { a: [{ indifferent: 'few' }] } })).toEqual(['Packet a']);
  expect(wheres({ orders: { home: ['AC', 'nine'] } })).toEqual(['Order home']);
  expect(wheres({ steps: 'cut' })).toEqual(['File']);
});

test('what is no procedure, or is deeper or larger than one, is refused at once', () => {
  const deep = JSON.parse(`${'{"not":'.repeat(5000)}1${'}'.repeat(5000)}`) as Json;
  const wide = procedure(Array.from({ length: 60_000 }, () => ({ do: 'turn', packet: 'pack' })));
  for (const value of [null, 3, 'cut', [], deep, wide, procedure([{ do: 'claim', that: deep }])])
    expect(problemsOf(value).map((each) => each.split(':')[0])).toEqual(['File']);
});

test('a procedure has so many steps at most, those inside others too', () => {
  const turn = { do: 'turn', packet: 'pack', by: 'helper' };
  const steps = (count: number): unknown[] => Array.from({ length: count }, () => turn);
  const read = (all: unknown[]): string => {
    const outcome = readProcedure({ name: 'Long', packets: { pack: ['AC'] }, steps: all });
    return outcome.ok ? 'read' : `${outcome.problems[0].where ?? ''}: ${outcome.problems[0].what}`;
  };
  expect(read(steps(1000))).toBe('read');
  expect(read(steps(6000))).toBe('File: It has 6,000 steps, and at most 1000 are read.');
  const inside = { do: 'repeat', times: 2, steps: steps(600) };
  expect(read([...steps(399), inside])).toBe('read');
  expect(read([...steps(400), inside])).toContain('1,001 steps');
});

test('what is no text is told, and never made one', () => {
  const odd = { toString: 1 };
  for (const procedure of [
    { name: 'A', steps: [{ do: 'claim', that: { equal: [{ card: odd }, { card: 'AC' }] } }] },
    { name: 'A', steps: [{ do: 'claim', that: { equal: [{ card: [odd] }, 1] } }] },
    { name: 'A', packets: { pack: [[odd], 'AC'] }, steps: [] },
    {
      name: 'A',
      steps: [{ do: 'work out', name: 'n', what: { 'stack number of': { card: 'AC' }, in: odd } }],
    },
    { name: odd, steps: [] },
  ]) {
    const outcome = readProcedure(procedure);
    expect(outcome.ok).toBe(false);
    if (!outcome.ok) expect(outcome.problems.every(({ what }) => what.length > 8)).toBe(true);
  }
});

test('a name holds nothing that cannot be seen, and is no longer than other names', () => {
  const told = (name: string): string => {
    const outcome = readProcedure({ name, steps: [] });
    return outcome.ok ? '' : outcome.problems[0].what;
  };
  expect([told('Two cuts'), told('')]).toEqual(['', '']);
  expect(told('Two\u202ecuts')).toContain('cannot be seen');
  expect(told('Two\u200bcuts')).toContain('cannot be seen');
  expect(told('x'.repeat(1200))).toContain('at most 120');
  expect(told('<b>')).toContain('< or >');
  expect(readProcedure({ name: 'A', steps: [{ do: 'choose', name: 'a\u200b', from: 1, to: 2 }] }).ok).toBe(
    false,
  );
});
