import { listOf, oneOf, optional, Part, shape, shouldBe, whole } from '../../deck/shape';
import { MEND_COSTS } from '../costs';
import { ID, text } from '../routine';
import { ROUTINE_ENDINGS, SORTS } from './done';

const [MOST_CHOICES, LONG, SHORT] = [4000, 4000, 80];

/** A number of seconds. */
export const SECONDS: Part = (value) =>
  typeof value === 'number' && value >= 0 && value < 1e7 ? undefined : shouldBe(value, 'a number of seconds');
/** A flag that is set, or not there. */
export const TRUE: Part = (value) => (value === true ? undefined : shouldBe(value, 'true'));
const VALUE = whole(-(2 ** 30), 2 ** 30);
/** A step as it is written; `end` for the end, empty for none. */
export const PATH: Part = (value) =>
  typeof value === 'string' && /^(\d+(\.\d+)*|end|)$/.test(value) && value.length <= 60
    ? undefined
    : shouldBe(value, 'the number of a step');

const ACTS = listOf(
  shape({ act: oneOf(...Object.keys(MEND_COSTS)), cards: optional(whole(0, 200)) }),
  0,
  200,
);
const TOOK = listOf(shape({ what: text(600), seconds: SECONDS, acts: optional(ACTS) }), 0, MOST_CHOICES);

const CHOSEN = shape({
  ...{ path: PATH, name: text(SHORT), value: VALUE },
  ...{ sort: optional(oneOf(...SORTS)), words: optional(text(200)), said: optional(text(LONG)) },
  ...{ from: optional(VALUE), to: optional(VALUE) },
  ...{ named: optional(TRUE), seen: optional(TRUE), inSecret: optional(TRUE) },
});

/** A routine as it was done, as it is stored. */
export const ROUTINE_DONE: Part = shape({
  ...{ id: ID, name: text(SHORT), how: oneOf(...ROUTINE_ENDINGS) },
  ...{ out: optional(text(LONG)), why: optional(text(LONG)), wrong: optional(text(LONG)) },
  slips: optional(listOf(text(200), 0, 50)),
  choices: listOf(CHOSEN, 0, MOST_CHOICES),
  ...{ steps: TOOK, mends: TOOK },
});
