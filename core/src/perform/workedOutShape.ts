import { cardList, FLAG, listOf, optional, Part, shape, shouldBe, whole } from '../deck/shape';
import { NEED, STATE } from './stateShape';

const CASES = whole(0, Number.MAX_SAFE_INTEGER);
const SENTENCE: Part = (value) =>
  typeof value === 'string' && value.length <= 400 ? undefined : shouldBe(value, 'a sentence');

/** What was found of a procedure, as it is stored. */
export const WORKED_OUT_SHAPE: Part = shape({
  needs: NEED,
  home: optional(cardList(1)),
  endings: listOf(shape({ state: STATE, cases: CASES, outs: CASES }), 0, 200),
  failed: CASES,
  complete: FLAG,
  why: listOf(SENTENCE, 0, 6),
});
