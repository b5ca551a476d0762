import vectors from '../../test/vectors/procedures.json';
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
}

describe('the worked examples', () => {
  const rows = vectors.rows as unknown as readonly Row[];
  test.each(rows.map((row, index) => [(row.procedure as Procedure).name, index] as const))(
    '%s (%i)',
    (_, index) => {
      const { procedure, proof, chances } = rows[index];
      const read = readProcedure(procedure);
      if (!proof.ok) {
        expect(read.ok).toBe(false);
        const wheres = read.ok ? [] : read.problems.map(({ where }) => where?.replace(/^Step /, ''));
        expect(wheres).toEqual(proof.problems?.map(([where]) => where));
        return;
      }
      if (!read.ok) throw new Error(JSON.stringify(read.problems));
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
