import { Problem } from '../deck/problem';
import { SumKind } from '../learn/sums/sum';
import { Pattern } from '../reckon/patterns/pattern';
import { patternOf } from './asPattern';
import { sumKindOf } from './asSum';
import { readProcedure } from './readProcedure';
import { answering, instrument } from './watched';

/** What a procedure is elsewhere: a pattern of Reckon and a kind of sum, or what is in the way. */
export interface SentAs {
  readonly pattern?: Pattern;
  readonly sum?: SumKind;
  readonly problem?: Problem;
  /** What it finds, in the order of its steps: each may be its answer. */
  readonly findings: readonly string[];
  readonly answer?: string;
}

/**
 * A procedure sent to other rooms.
 *
 * @param value the procedure as it is written, right or wrong.
 * @param path the address of its pattern. @param answer what is the answer; what is found last unless told.
 */
export const sentAs = (value: unknown, path: string, answer?: string): SentAs => {
  const read = readProcedure(value);
  if (!read.ok) return { problem: read.problems[0], findings: [] };
  const { procedure } = read;
  const asked = { procedure, ...(answer !== undefined && { answer }) };
  const outcome = patternOf(asked, path);
  if (!outcome.ok) return { problem: outcome.problems[0], findings: [] };
  const sum = sumKindOf(asked, path);
  const { findings } = instrument(procedure);
  return {
    ...{ pattern: outcome.pattern, findings: [...new Set(findings.map(({ words }) => words))] },
    ...{ answer: answering(findings, answer)?.words, ...(sum && { sum }) },
  };
};
