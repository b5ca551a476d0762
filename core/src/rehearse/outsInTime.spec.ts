import { runJob } from '../job/job';
import { Procedure, Step } from '../procedure/procedure';
import { actOut, Scene } from './actOut';
import { casesOf } from './cases';
import { IN_TIME, Shows } from './outsInTime';
import { prove, weigh } from './prove';
import { sayInTime } from './sayInTime';
import { WORKED } from './worked/worked';

const worked = (begins: string): Procedure =>
  (WORKED.find(({ procedure: { name } }) => name.startsWith(begins)) ?? WORKED[0]).procedure;
const inTime = (procedure: Procedure): readonly Shows[] => runJob(IN_TIME, { procedure }) ?? [];

/** The same by acting out every case and comparing what was known behind each step: slow, and for what is not mixed. */
const counted = (procedure: Procedure): Record<string, number> => {
  const { cases = [] } = casesOf(procedure) ?? {};
  const known = ({ path, names }: Scene): string =>
    JSON.stringify([path, names.filter((name) => name.known).map(({ name, value }) => [name, value])]);
  const worlds = cases.map(({ values, end }) => ({ end, ...actOut(procedure, values) }));
  const good = new Set(worlds.filter(({ end }) => end === 'held').flatMap(({ scenes }) => scenes.map(known)));
  const found: Record<string, number> = {};
  for (const { end, scenes } of worlds) {
    if (end === 'held') continue;
    const at = scenes.findIndex((scene, index) => {
      const isNews = index > 0 && known({ ...scene, path: '' }) !== known({ ...scenes[index - 1], path: '' });
      return isNews && !good.has(known(scene));
    });
    const key = `${at < 0 ? 'the end' : scenes[at].path} ${end}`;
    found[key] = (found[key] ?? 0) + 1;
  }
  return found;
};

test.each([
  'Two cuts and a packet',
  'A card made of two',
  'A like pair, one lost, the place',
  'Dealt to its digit sum',
  'The key is dealt first',
])('%s…: where a miss shows, as counted by acting out every case', (begins) => {
  const procedure = worked(begins);
  const shows = inTime(procedure);
  const found = Object.fromEntries(
    shows.map(({ at, moment, end, worlds }) => [
      `${moment === 'at the end' ? 'the end' : at} ${end}`,
      worlds,
    ]),
  );
  expect(found).toEqual(counted(procedure));
  const { outs = 0, failed = 0 } = weigh(procedure) ?? {};
  expect(shows.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(outs + failed, 10);
});

test('a group that is not short shows before they look, whatever the order they mix', () => {
  const procedure = worked('Groups about the middle');
  const [shows] = inTime(procedure);
  expect(shows).toMatchObject({ at: '7', moment: 'before they look', end: 'outs', worlds: 39 });
  const [said] = sayInTime([shows], procedure, prove(procedure));
  expect(said.when).toBe('By step 7 you can know it, before they look');
  expect(said.how).toBe('39 cases, 4.7 %');
  expect(said.outs).toMatch(/^Open there: “No group is short/);
});

test('what differs by what was mixed is told by its chance alone', () => {
  const steps: readonly Step[] = [
    { do: 'mix', packet: 'pack', by: 'helper' },
    { do: 'see', what: { 'top of': 'pack' }, name: 'seen' },
    { do: 'mix', packet: 'pack', 'keep top': 1, by: 'helper' },
    { do: 'claim', that: { not: { equal: ['seen', { card: 'AC' }] } } },
  ];
  const procedure: Procedure = { name: 'x', version: 2, packets: { pack: ['AC', '7D', 'QH', 'KS'] }, steps };
  const shows = inTime(procedure);
  expect(shows).toMatchObject([{ at: '2', moment: 'before they mix', end: 'failed', outs: [] }]);
  expect(shows[0].chance).toBeCloseTo(1 / 4, 12);
  const [said] = sayInTime(shows, procedure, prove(procedure));
  expect([said.how, said.outs]).toEqual(['1 case, 25.0 %', 'No out is open there']);
});

test('where chance enters, or there is too much, nothing is told', () => {
  expect(runJob(IN_TIME, { procedure: worked('A key card under two riffles') })).toBeUndefined();
  expect(runJob(IN_TIME, { procedure: worked('Two cuts and a packet'), budget: 500 })).toBeUndefined();
});
