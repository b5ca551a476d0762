import { actOut, Scene } from '../actOut';
import { casesOf } from '../cases';
import { estimate } from '../estimate';
import { plainRule } from '../plainRule';
import { hasChance, prove, weigh } from '../prove';
import { readProcedure } from '../readProcedure';
import { WORKED } from './worked';

test.each(WORKED.map((worked) => [worked.procedure.name, worked] as const))(
  '%s: what is stated of it is so, for every choice',
  (_, { procedure, proof, fails, chance }) => {
    // As it comes from a file.
    const read = readProcedure(JSON.parse(JSON.stringify(procedure)));
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    for (const text of ['needs', 'set-up', 'reset', 'note'] as const)
      expect(read.procedure[text]).toBeTruthy();
    expect([hasChance(read.procedure), proof === undefined]).toEqual([
      chance !== undefined,
      chance !== undefined,
    ]);
    if (chance) {
      const { held } = estimate(read.procedure, { seed: 3, worlds: 6000 });
      expect(held.low).toBeGreaterThan(chance[0]);
      expect(held.high).toBeLessThan(chance[1]);
      return;
    }
    const found = prove(read.procedure);
    expect(found).toMatchObject({ complete: true, ...proof });
    expect(found.leftOut + found.cases).toBeGreaterThan(0);
    // Where they choose more or less often, there is no list of cases.
    const cases = casesOf(read.procedure);
    if (cases ?? fails) expect(cases && plainRule(cases)).toBe(fails?.when);
    const chances = weigh(read.procedure);
    expect((chances?.held ?? 0) + (chances?.outs ?? 0) + (chances?.failed ?? 0)).toBeCloseTo(1, 12);
    if (!fails) return;
    const mended = WORKED.find(({ procedure: { name } }) => name === fails.mended);
    expect(mended?.proof?.failed).toBe(0);
  },
);

/** Up to sixty of a list, spread over it. */
const some = <Item>(items: readonly Item[]): readonly Item[] =>
  items.filter((_, index) => index % Math.ceil(items.length / 60) === 0);

/** What lies on the table, without packets that are empty. */
const lying = ({ packets }: Scene): unknown => packets.filter(({ cards }) => cards.length > 0);

const restored = WORKED.flatMap(({ procedure, restore }) => (restore ? [[procedure, restore] as const] : []));

test.each(restored.map(([procedure, restore]) => [procedure.name, procedure, restore] as const))(
  '%s: its reset brings back all that lay on the table',
  (_, procedure, restore) => {
    const { cases = [] } = casesOf(procedure) ?? {};
    const held = some(cases.filter(({ end }) => end === 'held'));
    const choices = held.length > 0 ? held.map(({ values }) => values) : [[45], [10, 35], [10, 10, 25]];
    for (const values of choices) {
      const { scenes } = actOut({ ...procedure, steps: [...procedure.steps, ...restore] }, values);
      expect(lying(scenes[scenes.length - 1])).toEqual(lying(scenes[0]));
    }
  },
);

test('there are as many as were wished for, each by a name of its own', () => {
  expect(new Set(WORKED.map(({ procedure }) => procedure.name)).size).toBe(WORKED.length);
  expect(WORKED.length).toBeGreaterThanOrEqual(18);
  expect(restored.length).toBeGreaterThan(8);
});
