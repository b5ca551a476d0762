import { proveSlowly } from '../../test/slowProcedure';
import { randomProcedure } from '../../test/randomProcedure';
import { seededRng } from '../deck/rng';
import { runJob } from '../job/job';
import { PROOF, WEIGHT } from './prove';
import { readProcedure } from './readProcedure';

/** More worlds than this are not run one by one. */
const MOST = 6000;
const RUNS = 400;

test.each([1, 2] as const)(
  'random procedures of version %i: a plain second reading finds the same',
  (version) => {
    let [run, refused, held, failed] = [0, 0, 0, 0];
    for (let seed = 1; seed <= RUNS; seed++) {
      const value = randomProcedure(seededRng(seed), version);
      const read = readProcedure(value);
      if (!read.ok) {
        refused++;
        for (const { where, what, remedy } of read.problems)
          expect([where, what, remedy].every(Boolean)).toBe(true);
        continue;
      }
      const slow = proveSlowly(value, MOST);
      if (!slow) continue;
      run++;
      // Taken together where they are alike, and each by itself.
      const args = { procedure: read.procedure, often: seed % 2 === 0 ? 0 : undefined };
      const { complete, cases, failures, ...counts } = runJob(PROOF, args);
      const { failures: all, weights, cards, ...expected } = slow;
      expect([seed, complete, counts]).toEqual([seed, true, expected]);
      expect([seed, failures]).toEqual([seed, all.slice(0, 1000)]);
      expect(cases).toBe(counts.held + counts.outs + counts.failed);
      // Nothing is lost or doubled.
      expect([seed, cards.size]).toEqual([seed, 1]);
      const sum = weights.held + weights.outs + weights.failed;
      const chances = runJob(WEIGHT, args);
      if (sum === 0) expect(chances).toBeUndefined();
      else
        for (const field of ['held', 'outs', 'failed'] as const)
          expect(chances?.[field]).toBeCloseTo(weights[field] / sum, 10);
      held += counts.held;
      failed += counts.failed;
    }
    // Most can be run, and end in every way.
    expect(Math.min(run, RUNS - refused)).toBeGreaterThan(RUNS / 2);
    expect(Math.min(held, failed)).toBeGreaterThan(RUNS);
  },
);
