import { FLAG, listOf, optional, Part, shape, shouldBe, whole } from '../deck/shape';
import { ROUTINE_DONE, SECONDS, TRUE } from '../perform/cue/doneShape';
import { text } from '../perform/routine';

/** The most that stands in one night, and the longest texts. */
const [MOST_DONE, LONG, SHORT] = [200, 4000, 80];

const TIME: Part = (value) =>
  typeof value === 'number' && Number.isFinite(value) && Math.abs(value) <= 8.64e15
    ? undefined
    : shouldBe(value, 'a time in milliseconds');

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
