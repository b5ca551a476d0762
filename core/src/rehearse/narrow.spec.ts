import { casesOf } from './cases';
import { narrow } from './narrow';
import { prove } from './prove';
import { widestRange } from './widestRange';
import { WORKED } from './worked/worked';

const failing = WORKED.filter(({ proof }) => (proof?.failed ?? 0) > 0);

test.each(failing.map(({ procedure }) => [procedure.name, procedure] as const))(
  '%s: asked for just the widest ranges, all that is left holds',
  (_, procedure) => {
    const cases = casesOf(procedure);
    const widest = cases && widestRange(cases);
    if (!widest) throw new Error('no range');
    const asked = narrow(procedure, widest.ranges);
    expect(prove(asked)).toMatchObject({ failed: 0, cases: widest.cases, complete: true });
  },
);

test('a name that nobody chooses changes nothing', () => {
  const [{ procedure }] = WORKED;
  expect(narrow(procedure, [{ name: 'difference', from: 1, to: 2 }])).toEqual(procedure);
});
