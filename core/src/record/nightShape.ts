import { listOf, oneOf, optional, Part, shape, shouldBe, whole } from '../deck/shape';
import { MEND_COSTS } from '../perform/costs';
import { ID, text } from '../perform/routine';
import { ROUTINE_ENDINGS, SORTS } from './night';

/** The most that stands in one night, and the longest texts. */
export const MOST_DONE = 200;
const [MOST_CHOICES, LONG, SHORT] = [4000, 4000, 80];

const SECONDS: Part = (value) =>
  typeof value === 'number' && value >= 0 && value < 1e7 ? undefined : shouldBe(value, 'a number of seconds');
const VALUE = whole(-(2 ** 30), 2 ** 30);
const PATH: Part = (value) =>
  typeof value === 'string' && /^(\d+(\.\d+)*|end|)$/.test(value) && value.length <= 60
    ? undefined
    : shouldBe(value, 'the number of a step');
const TRUE: Part = (value) => (value === true ? undefined : shouldBe(value, 'true'));
const FLAG: Part = (value) => (typeof value === 'boolean' ? undefined : shouldBe(value, 'true or false'));
const TIME: Part = (value) =>
  typeof value === 'number' && Number.isFinite(value) && Math.abs(value) <= 8.64e15
    ? undefined
    : shouldBe(value, 'a time in milliseconds');

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

/** A night, as it is stored or stands in a file. */
export const NIGHT: Part = shape({
  id: (value) =>
    typeof value === 'string' && /^[^\s]{1,100}$/.test(value)
      ? undefined
      : shouldBe(value, 'the id of a night'),
  ...{ at: TIME, changed: optional(TIME), real: FLAG, practice: optional(TRUE) },
  ...{ name: text(200), set: optional(text(100)), place: optional(text(200)), audience: text(SHORT) },
  size: optional(whole(0, 1_000_000)),
  done: listOf(ROUTINE_DONE, 0, MOST_DONE),
  ...{ seconds: optional(SECONDS), note: optional(text(LONG)), uid: optional(text(400)) },
  ...{ removed: optional(TRUE), sample: optional(TRUE) },
});
