import { Likely, Procedure, StepOf } from '../procedure/procedure';
import { chanceWithin, leadTo, rangeOf, sayOff } from './lead';
import { estimate } from './estimate';
import { readProcedure } from './readProcedure';
import { audiencesIn, saidTo, textsOf } from './says';
import { TWO_CUTS } from './worked/twoCuts';

const choice = (
  from: StepOf<'choose'>['from'],
  to: StepOf<'choose'>['to'],
  likely?: Likely,
): StepOf<'choose'> => ({
  ...{ do: 'choose', name: 'cut', from, to },
  ...(likely && { likely }),
});
const BELL: Likely = { around: 26, within: 4 };

/** The weights of a choice, written out. */
const weights = (low: number, high: number, weigh: (value: number) => number): Map<number, number> => {
  const values = Array.from({ length: high - low + 1 }, (_, index) => low + index);
  const all = values.reduce((sum, value) => sum + weigh(value), 0);
  return new Map(values.map((value) => [value, weigh(value) / all]));
};

test('the range to ask for is the narrowest that is as likely as wanted', () => {
  const chances = weights(1, 51, (value) => Math.exp(-(((value - 26) / 4) ** 2) / 2));
  for (const wanted of [0.5, 0.683, 0.8, 0.95, 1]) {
    const led = leadTo(choice(1, 51, BELL), {}, wanted);
    let sum = 0;
    for (let value = led?.from ?? 0; value <= (led?.to ?? 0); value++) sum += chances.get(value) ?? 0;
    expect(led?.chance).toBeCloseTo(sum, 9);
    expect(sum).toBeGreaterThanOrEqual(wanted - 1e-9);
    // One card less on either side is not enough.
    expect(sum - (chances.get(led?.from ?? 0) ?? 0)).toBeLessThan(wanted);
    expect(sum - (chances.get(led?.to ?? 0) ?? 0)).toBeLessThan(wanted);
  }
  expect(leadTo(choice(1, 51, BELL), {}, 0.8)).toMatchObject({ from: 21, to: 31 });
  expect(leadTo(choice(1, 10), {}, 0.5)).toMatchObject({ from: 3, to: 7 });
  expect(leadTo(choice(1, 10, { table: { '2': 1, '9': 3 } }), {}, 0.7)).toMatchObject({ from: 9, to: 9 });
  expect(leadTo(choice(1, 10, { table: { '12': 3 } }), {}, 0.5)).toBeUndefined();
});

test('how often they choose in a range by themselves is what trying gives', () => {
  const step = choice(1, 51, BELL);
  const procedure: Procedure = {
    ...{ name: 'x', packets: {} },
    steps: [step, { do: 'claim', that: { all: [{ 'at most': [24, 'cut'] }, { 'at most': ['cut', 33] }] } }],
  };
  const { held } = estimate(procedure, { seed: 4, worlds: 20_000 });
  const chance = chanceWithin(step, {}, 24, 33) ?? 0;
  expect(held.low).toBeLessThan(chance);
  expect(held.high).toBeGreaterThan(chance);
  expect(chanceWithin(step, {}, -5, 99)).toBeCloseTo(1, 12);
  expect(chanceWithin(step, {}, 60, 70)).toBe(0);
});

test('a range by the givens is known; one that depends on a choice is as wide as the bell reaches', () => {
  expect(rangeOf(choice({ sum: ['bank', 1] }, 52), { bank: 12 })).toEqual({ low: 13, high: 52 });
  expect(rangeOf(choice({ sum: ['first', 1] }, 51, BELL))).toEqual({ low: 6, high: 51 });
  expect(rangeOf(choice({ sum: ['first', 1] }, 51))).toBeUndefined();
  expect(rangeOf(choice(5, 4))).toBeUndefined();
  expect(leadTo(choice('first', 51), {}, 0.5)).toBeUndefined();
  expect(chanceWithin(choice('first', 51), {}, 1, 2)).toBeUndefined();
});

test('what is said when a choice is off: the step’s own words by audience, or plain ones', () => {
  const step: StepOf<'choose'> = {
    ...choice(10, 20),
    'too few': { lay: 'A few more.', performers: 'Deeper.' },
    'too many': 'Not so many.',
  };
  const range = { from: 10, to: 20 };
  expect(sayOff(step, 9, range)).toBe('9 is too few. Say: “A few more.”');
  expect(sayOff(step, 9, range, 'performers')).toBe('9 is too few. Say: “Deeper.”');
  expect(sayOff(step, 9, range, 'children')).toBe('9 is too few. Say: “A few more.”');
  expect(sayOff(step, 21, range, 'lay')).toBe('21 is too many. Say: “Not so many.”');
  expect(sayOff(choice(10, 20), 3, range)).toBe('3 is too few. Ask again, for 10 to 20.');
  expect(sayOff(choice(7, 7), 8, { from: 7, to: 7 })).toBe('8 is too many. Ask for 7.');
  expect(audiencesIn(TWO_CUTS.procedure)).toEqual(['lay', 'performers']);
  expect(textsOf({ lay: '', all: 'x' })).toEqual([{ audience: 'all', text: 'x' }]);
  expect([saidTo(undefined), saidTo(''), saidTo({})]).toEqual([undefined, undefined, undefined]);
});

test('such words must be texts, and stand at choices', () => {
  const read = (off: unknown): string[] => {
    const outcome = readProcedure({ name: 'x', steps: [{ ...choice(1, 5), 'too few': off }] });
    return outcome.ok ? [] : outcome.problems.map(({ where, what }) => `${where ?? ''}: ${what}`);
  };
  expect(read('More.')).toEqual([]);
  expect(read({ lay: 'More.' })).toEqual([]);
  for (const off of [5, ['More.'], { lay: 5 }, null])
    expect(read(off)).toEqual(['Step 1: “too few” is missing or is not right.']);
});
