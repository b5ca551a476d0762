import { mod } from '../../deck/mod';
import { caseAt, rowsOf } from '../cases';
import { Faces } from '../find/faces';
import { onPlaces, rows } from '../find/sites';
import { pair, PairTable, tableOf } from '../find/terms/pair';
import { WishKind } from '../kind';
import { rankAt } from '../look';
import { number } from '../slots';
import { inSpan, roundFields, spanWrong } from './span';

/** From one place to the other the rank goes up by a step, round 13. */
export const stepTable = (faces: Faces, step: number): PairTable =>
  tableOf(
    faces,
    `step ${step}`,
    (a, b) => rankAt(a) > 0 && rankAt(b) > 0 && (rankAt(a) + step - 1) % 13 === rankAt(b) - 1,
  );

/** The rank goes up by a step from each card to the next. */
export const RANKS_STEP: WishKind<'ranks step'> = {
  begins: 'ranks step',
  says: (wish) => `The rank goes up by {step} each time${inSpan(wish)}`,
  fields: { step: number(1, 12), ...roundFields },
  begin: { kind: 'ranks step', step: 3 },
  whyNot: spanWrong,
  cases: (laid, { step, ...span }) =>
    rowsOf(span, laid.length, 2).map((row) =>
      caseAt(
        laid,
        row,
        ([a, b]) => rankAt(a) > 0 && rankAt(b) > 0 && mod(rankAt(b) - rankAt(a), 13) === step,
      ),
    ),
  terms: ({ step, ...span }, site) => {
    const table = stepTable(site.faces, step);
    return rows(site, span, 2).map((row) => onPlaces(site, row, ([a, b]) => pair(a, b, table)));
  },
};
