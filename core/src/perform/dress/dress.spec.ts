import { seededRng } from '../../deck/rng';
import { Procedure } from '../../procedure/procedure';
import { anyStep } from '../../procedure/walk';
import { actOut } from '../../rehearse/actOut';
import { casesOf } from '../../rehearse/cases';
import { hasChance, prove, weigh } from '../../rehearse/prove';
import { readProcedure } from '../../rehearse/readProcedure';
import { WORKED } from '../../rehearse/worked/worked';
import { beatsOf } from './beats';
import { drawCase, openSightsOf } from './drawCase';
import { slipInto } from './slips';

const READ: readonly Procedure[] = WORKED.flatMap(({ procedure }) => {
  const outcome = readProcedure({ version: 2, ...procedure });
  return outcome.ok ? [outcome.procedure] : [];
});
const CERTAIN = READ.filter((procedure) => !hasChance(procedure));
const SEEDS = Array.from({ length: 200 }, (_, index) => index + 1);

const isMixed = (procedure: Procedure): boolean => anyStep(procedure.steps, (step) => step.do === 'mix');

/** How bad an end is: a case of a mix is as bad as the worst of its orders. */
const BAD = { held: 0, outs: 1, failed: 2 } as const;

test.each(CERTAIN.map((each) => [each.name, each] as const))(
  'a dress rehearsal of %s ends as it is proved for what they chose, over 200 seeds',
  (_, procedure) => {
    const open = openSightsOf(procedure);
    const listed = casesOf(procedure, 3_000_000);
    const ends = new Map(listed?.cases.map(({ values, end }) => [values.join(), end]));
    const proof = listed ? undefined : prove(procedure, { budget: 3_000_000 });
    const failures = new Map(
      proof?.failures.map(({ choices, at }) => [choices.map(([, value]) => value).join(), at]),
    );
    let drawn = 0;
    for (const seed of SEEDS) {
      const found = drawCase(procedure, seed, open);
      if (!found) continue;
      drawn++;
      const { end = 'held', choices } = found.acted;
      const key = choices.map(([, value]) => value).join();
      if (end === 'left out') throw new Error('left out');
      const proved = ends.get(key);
      if (proved && isMixed(procedure))
        expect([seed, key, BAD[end] <= BAD[proved]]).toEqual([seed, key, true]);
      else if (proved) expect([seed, key, end]).toEqual([seed, key, proved]);
      // Of what is too much to list, every case that is proved to fail is known where there are few of them.
      else if (proof?.complete && proof.failures.length === proof.failed && !isMixed(procedure))
        expect([seed, key, end === 'failed']).toEqual([seed, key, failures.has(key)]);
      // The same seed gives the same case, and acting out what was chosen ends so.
      if (seed <= 10) expect(drawCase(procedure, seed, open)?.acted.choices).toEqual(choices);
      if (!open)
        expect(
          actOut(
            procedure,
            choices.map(([, value]) => value),
            found.seed + 1,
          ).end,
        ).toBe(end);
    }
    expect(drawn).toBeGreaterThan(150);
  },
);

test('cases that do not hit come up more often than chance would bring them', () => {
  const [{ procedure }] = WORKED.filter(({ procedure: { name } }) => name === 'The key is dealt first');
  const ends = SEEDS.map((seed) => drawCase(procedure, seed)?.acted.end);
  const missed = ends.filter((end) => end !== 'held').length;
  const chance = 1 - (weigh(procedure)?.held ?? 1);
  expect(chance).toBeGreaterThan(0.02);
  expect(missed / SEEDS.length).toBeGreaterThan(1.5 * chance);
});

test.each(READ.map((each) => [each.name, each] as const))(
  'what is shown of %s tells nothing that nobody sees, and what is asked has its answer',
  (_, procedure) => {
    for (const seed of SEEDS.slice(0, 8)) {
      const found = drawCase(procedure, seed);
      if (!found) continue;
      const beats = beatsOf(procedure, found.acted, '');
      expect(beats.length).toBeGreaterThan(0);
      const last = found.acted.scenes.at(-1);
      for (const beat of beats) {
        if (beat.kind !== 'asked') continue;
        expect(beat.truth).toBeGreaterThanOrEqual(0);
        expect(beat.shows.length).toBeGreaterThan(0);
      }
      // Whatever happens is told in words, without the number of a choice that nobody told.
      const hidden = last?.names.filter(({ known }) => !known).map(({ name }) => name) ?? [];
      for (const beat of beats)
        if (beat.kind === 'happens')
          for (const name of hidden) expect(beat.text).not.toContain(`${name} cards`);
    }
  },
);

test('a slip is one card too many, or one that falls; the rest goes on as it is written', () => {
  const kinds = new Set<string>();
  for (const procedure of READ)
    for (const seed of SEEDS.slice(0, 12)) {
      const slipped = slipInto(procedure, seededRng(seed));
      if (!slipped) continue;
      kinds.add(slipped.slip.kind);
      const more = slipped.procedure.steps.length - procedure.steps.length;
      expect(more).toBe(slipped.laidIn === undefined ? 0 : 1);
      expect(slipped.slip.says.length).toBeGreaterThan(10);
      // It can be acted out to an end.
      const { end, tooLong } = drawCase(slipped.procedure, seed)?.acted ?? { end: 'failed', tooLong: false };
      expect([end === undefined, tooLong]).toEqual([false, false]);
    }
  expect([...kinds].sort()).toEqual(['dropped card', 'miscount', 'too deep']);
});
