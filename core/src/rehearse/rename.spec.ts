import { Procedure } from '../procedure/procedure';
import { renameAt } from './rename';
import { prove } from './prove';
import { WORKED } from './worked/worked';

const { procedure: twoCuts } = WORKED[0];

test('a name is changed with everything that uses it, and the proof stays', () => {
  const renamed = renameAt(twoCuts, [1], 'shallow');
  expect(JSON.stringify(renamed)).not.toContain('"first cut"');
  expect(prove(renamed)).toMatchObject(WORKED[0].proof ?? {});
  expect(renameAt(renamed, [1], 'first cut')).toEqual(twoCuts);
});

test('packets and orders of the same name stay, and so does a name that is given elsewhere too', () => {
  const procedure: Procedure = {
    name: 'Same names',
    packets: { home: ['AC', '3H'] },
    orders: { home: ['AC', '3H'] },
    steps: [
      { do: 'see', what: { 'size of': 'home' }, name: 'home' },
      { do: 'repeat', times: 'home', steps: [{ do: 'deal', count: 'home', from: 'home', onto: 'table' }] },
      { do: 'claim', that: { equal: [{ 'stack number of': { card: 'AC' }, in: 'home' }, 'home'] } },
    ],
  };
  const renamed = renameAt(procedure, [1], 'size');
  expect(renamed.steps.slice(1)).toEqual([
    { do: 'repeat', times: 'size', steps: [{ do: 'deal', count: 'size', from: 'home', onto: 'table' }] },
    { do: 'claim', that: { equal: [{ 'stack number of': { card: 'AC' }, in: 'home' }, 'size'] } },
  ]);
  const twice = { ...procedure, steps: [...procedure.steps, procedure.steps[0]] };
  expect(renameAt(twice, [1], 'size').steps.slice(1)).toEqual(twice.steps.slice(1));
  expect(renameAt(procedure, [2], 'size')).toBe(procedure);
  expect(renameAt(procedure, [1], '').steps[1]).toEqual(procedure.steps[1]);
});
