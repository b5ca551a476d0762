import { Procedure } from '../procedure/procedure';
import { DRAFT, isSteps } from './draft';
import { readProcedure } from './readProcedure';
import { WORKED } from './worked/worked';
import { notRead } from './words';

const problem = (value: unknown): unknown => DRAFT(value, {});

test('what is right can be kept, and so can what is being written', () => {
  for (const { procedure } of WORKED) expect(problem(procedure)).toBeUndefined();
  const begun: Procedure = { name: '', steps: [{ do: 'see', what: notRead('the top crad'), name: '' }] };
  expect(problem(begun)).toBeUndefined();
  expect(readProcedure(begun)).toMatchObject({ ok: false, problems: [{ where: 'Step 1' }] });
  const named = { name: 'n', steps: [{ do: 'see', what: notRead('the top crad'), name: 'seen' }] };
  expect(readProcedure(named)).toMatchObject({ problems: [{ what: '“the top crad” is not understood.' }] });
});

test.each([
  ['nothing', undefined],
  ['no name', { steps: [] }],
  ['no steps', { name: 'a' }],
  ['a step of no kind', { name: 'a', steps: [{ do: 'juggle' }] }],
  ['a packet that is a number', { name: 'a', steps: [{ do: 'turn', packet: 7 }] }],
  ['a branch that is none', { name: 'a', steps: [{ do: 'if', that: {}, then: 'x' }] }],
  ['an option without words', { name: 'a', steps: [{ do: 'choose one', name: 'w', of: [{ steps: [] }] }] }],
  ['a packet of numbers', { name: 'a', steps: [], packets: { pack: [7] } }],
  ['a given that is a text', { name: 'a', steps: [], givens: { k: '7' } }],
  ['a note that is a list', { name: 'a', steps: [], note: [] }],
])('%s is refused', (_, value) => {
  expect(problem(value)).toHaveProperty('remedy');
});

test('a list that is too deep is none of steps', () => {
  let steps: unknown[] = [];
  for (let depth = 0; depth < 80; depth++) steps = [{ do: 'repeat', times: 1, steps }];
  expect(isSteps(steps)).toBe(false);
});
