import { seededRng } from '../../deck/rng';
import { Procedure } from '../../procedure/procedure';
import { actOut, Acted, Scene } from '../../rehearse/actOut';
import { pathOf, stepAt } from '../../rehearse/editSteps';
import { readProcedure } from '../../rehearse/readProcedure';
import { sayCard } from '../../rehearse/sayCard';
import { titled } from '../../rehearse/watched';
import { WORKED } from '../../rehearse/worked/worked';
import { isTold } from './amounts';
import { StepPage } from './page';
import { sayAmounts } from './worked';
import { Live } from './performance';
import { beginLive, tapped } from './perform';
import { Plan } from './plan';

const read = (procedure: unknown): Procedure => {
  const outcome = readProcedure({ version: 2, ...(procedure as object) });
  if (!outcome.ok) throw new Error(outcome.problems[0].what);
  return outcome.procedure;
};

const planOf = (procedure: Procedure): Plan => ({
  ...{ name: 'A night', order: ['a'], packs: {}, start: {}, audience: '' },
  routines: [
    {
      ...{ id: 'a', name: 'A', minutes: 5, procedure, packs: {}, says: [] },
      ...{ outs: '', notes: '', clearUp: '' },
    },
  ],
});

const sizeOf = ({ packets }: Scene, packet: string): number =>
  packets.find(({ name }) => name === packet)?.cards.length ?? 0;

/** Goes through the pages of a world as it is acted out; each step that is shown, with the scene behind it. */
const shownIn = (
  procedure: Procedure,
  acted: Acted,
): readonly { page: StepPage; scene: Scene; before: Scene }[] => {
  const shown: { page: StepPage; scene: Scene; before: Scene }[] = [];
  let live: Live = beginLive(planOf(procedure));
  let at = 0;
  for (let taps = 0; taps < 120 && live.phase.kind === 'run'; taps++) {
    const { run } = live.phase;
    const page = run.pages[run.index];
    if (page.kind === 'which') {
      const next = acted.scenes
        .slice(at + 1)
        .find(({ path }) => page.options.some((each) => each.at === path));
      live = tapped(live, { tap: { do: 'at', at: next?.path ?? 'end' }, at: taps });
      continue;
    }
    if (page.kind !== 'step') break;
    const found = acted.scenes.findIndex(({ path }, index) => index > at && path === page.path);
    if (found < 0) break;
    const scene = acted.scenes[found];
    const step = stepAt(procedure.steps, pathOf(page.path));
    if (step && isTold(step) && 'name' in step) {
      at = found;
      const value = scene.names.find(({ name }) => name === step.name)?.value;
      if (value === undefined) break;
      live = tapped(live, { tap: { do: 'answer', value }, at: taps });
      continue;
    }
    at = found;
    shown.push({ page, scene, before: acted.scenes[found - 1] });
    live = tapped(live, { tap: { do: 'next' }, at: taps });
  }
  return shown;
};

test.each(WORKED.map(({ procedure }) => [procedure.name, read(procedure)] as const))(
  'every number that a page of %s shows is the one of the world that they are in',
  (name, procedure) => {
    const rng = seededRng(21);
    for (let seed = 1; seed <= 6; seed++) {
      const acted = actOut(procedure, [], seed, rng);
      if (acted.end === undefined || acted.end === 'left out') continue;
      for (const { page, scene, before } of shownIn(procedure, acted)) {
        const step = stepAt(procedure.steps, pathOf(page.path));
        if (step?.do === 'work out') {
          const held = scene.names.find((each) => each.name === step.name);
          const value = held && (held.kind === 'card' ? sayCard(held.value) : held.value.toString());
          const [, shown] = page.does.split(`${titled(step.name)}: `);
          expect([name, seed, page.path, shown]).toEqual([name, seed, page.path, value]);
          if (page.sums.length > 0)
            expect(page.sums[page.sums.length - 1]).toMatch(new RegExp(`= ${value ?? ''}$`));
        }
        if (step?.do === 'lift' || step?.do === 'deal') {
          const moved = sizeOf(before, step.from) - sizeOf(scene, step.from);
          const [, shown] = /(\d+) cards?\b/.exec(page.does) ?? [];
          if ((shown as string | undefined) !== undefined && !page.does.includes('−'))
            expect([name, seed, page.path, Number(shown)]).toEqual([name, seed, page.path, moved]);
        }
      }
    }
  },
);

test('what depends on how many cards lie somewhere is left to the performer until they tell it', () => {
  const procedure = read({
    ...{ format: 'enumeron procedure', version: 2, name: 'Counted' },
    packets: { pack: ['AC', '2C', '3C', '4C', '5C', '6C'] },
    steps: [
      { do: 'choose', name: 'lifted', from: 1, to: 4 },
      { do: 'lift', count: 'lifted', from: 'pack', onto: 'hand', by: 'helper' },
      { do: 'work out', name: 'left', what: { difference: [{ 'size of': 'pack' }, 1] } },
      { do: 'work out', name: 'double', what: { product: ['left', 2] } },
      { do: 'deal', count: 'left', from: 'pack', onto: 'table' },
      { do: 'see', what: { 'size of': 'hand' }, name: 'counted' },
      { do: 'work out', name: 'known', what: { difference: [6, 'counted'] } },
      { do: 'claim', that: { equal: ['known', { sum: [{ 'size of': 'pack' }, { 'size of': 'table' }] }] } },
    ],
  });
  const pages = shownIn(procedure, actOut(procedure, [2], 1)).map(({ page }) => page.does);
  expect(pages).toEqual([
    'They lift some cards from pack onto hand',
    'Double: left × 2',
    'Deal left cards from pack onto table',
    'Known: 4',
  ]);
});

test('an out is said before what clears up behind it', () => {
  const procedure = read({
    ...{ format: 'enumeron procedure', version: 2, name: 'Cleared up' },
    packets: { pack: ['AC', '2C', '3C'] },
    steps: [
      { do: 'lift', count: 1, from: 'pack', onto: 'hand' },
      { do: 'out', words: 'Show it.', steps: [{ do: 'put', packet: 'hand', where: 'on', other: 'pack' }] },
    ],
  });
  let live = beginLive(planOf(procedure));
  const does: string[] = [];
  while (live.phase.kind === 'run') {
    const page = live.phase.run.pages[live.phase.run.index];
    does.push(page.kind === 'step' ? page.does : page.kind);
    live = tapped(live, { tap: { do: 'next' }, at: 1 });
  }
  expect(does).toEqual(['Lift 1 card from pack onto hand', 'Out: Show it.', 'Put hand on pack', 'end']);
  expect(live.done).toMatchObject([{ how: 'out', out: 'Show it.' }]);
});

test('a sum is said in one line, what is counted round with it', () => {
  expect(sayAmounts([20, -3], 17)).toBe('20 − 3 = 17');
  expect(sayAmounts([8, -32], 28)).toBe('8 − 32 + 52 = 28');
  expect(sayAmounts([-5, 9], 4)).toBe('−5 + 9 = 4');
  expect(sayAmounts([7], 7)).toBe('');
});
