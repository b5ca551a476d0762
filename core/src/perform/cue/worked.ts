import { StepOf } from '../../procedure/procedure';
import { namesRead } from '../../procedure/walk';
import { Moment } from './search';

const minus = (value: number): string => (value < 0 ? `− ${(-value).toString()}` : `+ ${value.toString()}`);

/** A sum in one line; empty where what is worked out is none. */
export const sayAmounts = (amounts: readonly number[], total: number): string => {
  if (amounts.length < 2) return '';
  const [first, ...others] = amounts;
  const round = total - amounts.reduce((sum, amount) => sum + amount, 0);
  const parts = [...others, ...(round === 0 ? [] : [round])].map(minus);
  return `${first < 0 ? `−${(-first).toString()}` : first.toString()} ${parts.join(' ')} = ${total.toString()}`;
};

/** Something that the performer worked out, behind its step. */
export interface WorkedStep {
  readonly path: string;
  readonly step: StepOf<'see' | 'work out'>;
  readonly moment: Moment;
}

/** What was worked out, apart: what these names are not made of, and what they are. */
export const madeOf = (
  worked: readonly WorkedStep[],
  names: readonly string[],
): readonly [others: readonly WorkedStep[], own: readonly WorkedStep[]] => {
  const read = new Set(names);
  const own = new Set<WorkedStep>();
  for (const each of [...worked].reverse())
    if (read.has(each.step.name)) {
      own.add(each);
      for (const name of namesRead(each.step.what)) read.add(name);
    }
  return [worked.filter((each) => !own.has(each)), worked.filter((each) => own.has(each))];
};
