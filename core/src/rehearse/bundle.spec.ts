import { makeBundle, MOST_BUNDLED, readProcedures } from './bundle';
import { WORKED } from './worked/worked';

const all = WORKED.map(({ procedure }) => procedure);

test('all worked procedures go into one file and come back as they were', () => {
  const outcome = readProcedures(JSON.parse(makeBundle(all)));
  if (!outcome.ok) throw new Error(outcome.problems[0].what);
  expect(outcome.procedures.map(({ name }) => name)).toEqual(all.map(({ name }) => name));
  expect(outcome.procedures.map(({ steps }) => steps)).toEqual(all.map(({ steps }) => steps));
});

test('a file of one is read as before', () => {
  const outcome = readProcedures(all[0]);
  expect(outcome.ok && outcome.procedures).toEqual([all[0]]);
});

test.each<[unknown, string, string]>([
  [{ format: 'enumeron procedures', version: 2, procedures: [] }, 'File', 'version'],
  [{ format: 'enumeron procedures', version: 1 }, 'File', 'no procedure'],
  [{ format: 'enumeron procedures', version: 1, procedures: [] }, 'File', 'no procedure'],
  [
    { format: 'enumeron procedures', version: 1, procedures: Array(MOST_BUNDLED + 1).fill(all[0]) },
    'File',
    '501 procedures',
  ],
  [
    { format: 'enumeron procedures', version: 1, procedures: [all[0], { name: 'x' }] },
    'Procedure 2, File',
    'steps',
  ],
  [
    { format: 'enumeron procedures', version: 1, procedures: [{ name: 'x', steps: [{ do: 'see' }] }] },
    'Procedure 1, Step 1',
    '',
  ],
  [7, 'File', 'no procedure'],
])('what is wrong is told with its place, and nothing is taken (%#)', (value, where, what) => {
  const outcome = readProcedures(value);
  if (outcome.ok) throw new Error('it was read');
  expect(outcome.problems[0].where).toBe(where);
  expect(outcome.problems[0].what).toContain(what);
});
