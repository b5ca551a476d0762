import type { Procedure } from '@enumeron/core/file/procedure/procedure';
import { actSeconds } from '@enumeron/core/file/record/actSeconds';
import { fitFor, nightsCounted } from '@enumeron/core/file/record/counted';
import { instructionsOf, statedIn, type Instruction } from '@enumeron/core/file/record/instructions';
import { type Night, sortOf } from '@enumeron/core/file/record/night';
import { ByRecordRow, FittedChoice, FittedRow, FittedSeconds } from '../procedures/by-record.kind';

/** A chance as it is kept: what is less than a millionth is none. */
const rounded = (chance: number): number => Math.round(chance * 1e6) / 1e6;

const isSame = (a: FittedChoice | undefined, b: FittedChoice): boolean =>
  a?.n === b.n &&
  a.from === b.from &&
  a.chances.length === b.chances.length &&
  a.chances.every((chance, index) => chance === b.chances[index]);

/**
 * What the nights say, for all that is weighed by them.
 *
 * @param before what was worked out before: where the record grew since, that is told once.
 */
export const workOut = (
  nights: readonly Night[],
  weighed: readonly ByRecordRow[],
  procedures: ReadonlyMap<string, Procedure>,
  before: FittedRow,
): FittedRow => {
  const found = new Map<string, readonly Instruction[]>();
  const instructions = (audience: string | undefined, practice: boolean): readonly Instruction[] => {
    const key = JSON.stringify([audience, practice]);
    const known = found.get(key) ?? instructionsOf(nightsCounted(nights, { audience, practice }));
    found.set(key, known);
    return known;
  };
  const choices = weighed.flatMap(({ id, choices: own }) => {
    const procedure = procedures.get(id);
    const stated = procedure ? statedIn(procedure) : [];
    return Object.entries(own).flatMap(([name, { key, audience, practice }]): FittedChoice[] => {
      const choice = stated.find((each) => each.name === name);
      if (!choice) return [];
      const fit = fitFor(
        choice,
        instructions(audience, practice === true).find((each) => each.key === key),
      );
      const now: FittedChoice = {
        ...{ procedure: id, name, n: fit.n, from: fit.from, chances: fit.chances.map(rounded) },
      };
      const last = before.choices.find((each) => each.procedure === id && each.name === name);
      if (last && isSame(last, now)) return [last];
      const grewFrom = last?.before ?? last?.n;
      return [{ ...now, ...(grewFrom !== undefined && grewFrom !== fit.n && { before: grewFrom }) }];
    });
  });
  return { id: 'fitted', choices, seconds: secondsOf(nights) };
};

/** Before an audience and in run-throughs a mend takes the same. */
const secondsOf = (nights: readonly Night[]): readonly FittedSeconds[] =>
  actSeconds(nights.filter((night) => sortOf(night) !== 'practice'))
    .filter(({ n }) => n > 0)
    .map(({ act, seconds, stated, n }) => ({ act, n, ratio: Math.round((seconds / stated) * 1e4) / 1e4 }));
