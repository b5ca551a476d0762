import { Domains } from '../domains';
import { Laying, Term } from '../term';

const brokenOf = (terms: readonly Term[], laying: Laying): number => {
  let sum = 0;
  for (const term of terms) sum += term.broken(laying);
  return sum;
};

/** Whether a group of terms may still hold: each is tried, and what it takes away is put back. */
const mayHold = (domains: Domains, terms: readonly Term[]): boolean => {
  const mark = domains.mark();
  let may = true;
  for (const { narrow } of terms)
    if (narrow && !narrow(domains)) {
      may = false;
      break;
    }
  domains.undo(mark);
  return may;
};

/** Of groups of terms, at least so many hold as a whole. */
export const someOf = (groups: readonly (readonly Term[])[], least: number): Term => {
  const all = groups.flat();
  const dear = all.some((term) => term.dear === true);
  return {
    key: `some ${least} ${groups.map((terms) => `(${terms.map(({ key }) => key).join(';')})`).join(' ')}`,
    places: [...new Set(all.flatMap(({ places }) => places))],
    broken: (laying) => {
      const each = groups.map((terms) => brokenOf(terms, laying)).sort((a, b) => a - b);
      return each.slice(0, least).reduce((sum, broken) => sum + broken, 0);
    },
    narrow: (domains) => {
      const left = groups.filter((terms) => mayHold(domains, terms));
      if (left.length < least) return false;
      if (left.length > least) return true;
      return left.every((terms) => terms.every(({ narrow }) => narrow?.(domains) ?? true));
    },
    cost: all.reduce((sum, { cost = 1 }) => sum + cost, 1),
    ...(dear && { dear }),
  };
};
