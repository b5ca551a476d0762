import { Freedom, freedomFits, Origin } from '@enumeron/core/arrange';
import { Card } from '@enumeron/core/deck';

/** What an order leaves free by the way in which it was made, when it leaves anything. */
export const freedomFor = (origin: Origin | undefined, order: readonly Card[]): Freedom | undefined => {
  const freedom: Freedom | undefined =
    origin?.kind === 'bank'
      ? { kind: 'bank', bank: origin.bank }
      : origin?.kind === 'rule' &&
          (origin.rule.kind === 'mirrored halves' || origin.rule.kind === 'palindrome')
        ? { kind: origin.rule.kind }
        : undefined;
  return freedom && freedomFits(freedom, order) ? freedom : undefined;
};
