import { estimate } from './estimate';
import vectors from '../../test/vectors/procedures.json';
import vectors2 from '../../test/vectors/procedures2.json';
import { Procedure } from '../procedure/procedure';
import { prove, weigh } from './prove';
import { readProcedure } from './readProcedure';

interface Row {
  readonly procedure: unknown;
  readonly proof: {
    readonly ok: boolean;
    readonly problems?: readonly (readonly [string, string])[];
    readonly failures?: readonly unknown[];
  };
  readonly chances?: Record<string, number> | null;
  readonly estimate?: Record<'held' | 'outs' | 'failed', number>;
}

describe('the worked examples', () => {
  const rows = [...vectors.rows, ...vectors2.rows] as unknown as readonly Row[];
  test.each(rows.map((row, index) => [(row.procedure as Procedure).name, index] as const))(
    '%s (%i)',
    (_, index) => {
      const { procedure, proof, chances } = rows[index];
      const read = readProcedure(procedure);
      if (!proof.ok) {
        expect(read.ok).toBe(false);
        const wheres = read.ok ? [] : read.problems.map(({ where }) => where?.replace(/^Step /, ''));
        // One a step is enough.
        expect(wheres).toEqual([...new Set(proof.problems?.map(([where]) => where))]);
        return;
      }
      if (!read.ok) throw new Error(JSON.stringify(read.problems));
      const near = rows[index].estimate;
      if (near) {
        const tried = estimate(read.procedure, { seed: 7, worlds: 40_000 });
        for (const field of ['held', 'outs', 'failed'] as const)
          expect(Math.abs(tried[field].share - near[field])).toBeLessThan(0.012);
        return;
      }
      const { failures, complete, ...counts } = prove(read.procedure);
      const { failures: wanted, ...wantedCounts } = proof;
      expect({ ok: true, ...counts }).toEqual(wantedCounts);
      expect([complete, failures.slice(0, 20)]).toEqual([true, wanted]);
      const weighed = weigh(read.procedure);
      for (const [field, chance] of Object.entries(chances ?? {}))
        expect(weighed?.[field as 'held']).toBeCloseTo(chance, 8);
    },
  );
});
