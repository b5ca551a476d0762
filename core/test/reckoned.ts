import { Reckoned, Reckoning } from '../src/reckon/reckoning';

/** The reckoning of an outcome that must be one. */
export const of = (outcome: Reckoned): Reckoning => {
  if (!outcome.ok) throw new Error(outcome.problems[0].what);
  return outcome.reckoning;
};

/** Why there is no reckoning; empty where there is one. */
export const refused = (outcome: Reckoned): string => (outcome.ok ? '' : outcome.problems[0].what);

/** What a sum comes to, each result on the way having been checked. */
export const summed = ({ sum }: Reckoning): number => {
  let total = 0;
  for (const { role, amount } of sum) {
    if (role === 'start') total = amount;
    else if (role === 'add') total += amount;
    else expect(amount).toBe(total);
  }
  return total;
};
