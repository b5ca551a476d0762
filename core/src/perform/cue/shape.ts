import { cardList, FLAG, listOf, oneOf, optional, Part, shape, shouldBe, whole } from '../../deck/shape';
import { MEND_COSTS } from '../costs';
import { PATH, TRUE } from './doneShape';
import { byName, ID, NAME, text } from '../routine';
import { NEED, STATE } from '../stateShape';
import { ENDS, LEFT } from './plan';

/** The longest performance that is kept, and what stands in it. */
export const MOST_TAPS = 4000;
const [MOST_ROUTINES, MOST_PACKS, LONG, LONGEST_PROCEDURE] = [120, 20, 4000, 400_000];

const VALUE = whole(-(2 ** 30), 2 ** 30);

const TAP: Part = (value, fields) => {
  const tap = value as { readonly do?: unknown } | null;
  const kind = typeof tap === 'object' && tap ? tap.do : undefined;
  if (typeof kind !== 'string' || !Object.hasOwn(TAPS, kind))
    return { where: 'do', ...shouldBe(kind, `one of ${Object.keys(TAPS).join(', ')}`) };
  return shape(TAPS[kind], ['do'])(value, fields);
};

const TAPS: Readonly<Record<string, Readonly<Record<string, Part>>>> = {
  ...{ next: {}, spare: {}, answer: { value: VALUE }, at: { at: PATH } },
  ...{ end: { how: oneOf(...ENDS) }, left: { lies: oneOf(...LEFT) }, jump: { to: ID } },
};

/** A tap, and when it was, as it is stored. */
export const TIMED_TAP: Part = shape({ tap: TAP, at: whole(0, Number.MAX_SAFE_INTEGER) });

/** A procedure as it was when the performance began: what is wrong in it is told when it is read. */
const PROCEDURE: Part = (value) =>
  typeof value === 'object' &&
  value !== null &&
  Array.isArray((value as { readonly steps?: unknown }).steps) &&
  JSON.stringify(value).length <= LONGEST_PROCEDURE
    ? undefined
    : shouldBe(value, 'a procedure');

const LEAVES: Part = (value, fields) => (value === 'same' ? undefined : listOf(STATE, 0, 200)(value, fields));

const PACK = shape({
  ...{ packet: optional(text(80)), order: optional(cardList(1)), needs: NEED, leaves: LEAVES, isSaid: FLAG },
});

const ROUTINE = shape({
  ...{ id: ID, name: NAME, minutes: whole(0, 180), procedure: optional(PROCEDURE) },
  packs: byName(PACK, MOST_PACKS),
  says: listOf(shape({ to: text(80), words: text(LONG) }), 0, 20),
  ...{ outs: text(LONG), notes: text(LONG), clearUp: text(LONG) },
});

const HOME = shape({ name: text(200), cards: cardList(1), isUnknown: optional(TRUE) });

const AMOUNT: Part = (value) =>
  typeof value === 'number' && value >= 0 && value < 1e5 ? undefined : shouldBe(value, 'a number of seconds');

/** What each act takes. */
const COSTS = shape(
  Object.fromEntries(
    Object.keys(MEND_COSTS).map((act) => [act, shape({ seconds: AMOUNT, perCard: AMOUNT })]),
  ),
);

/** What is performed, as it is stored while it goes on. */
export const PLAN: Part = shape({
  ...{ name: text(200), order: listOf(ID, 0, MOST_ROUTINES), routines: listOf(ROUTINE, 0, MOST_ROUTINES) },
  packs: byName(shape({ home: HOME, hasHome: FLAG, spares: whole(0, 20) }), MOST_PACKS),
  start: byName(listOf(STATE, 1, 200), MOST_PACKS),
  costs: optional(COSTS),
  ...{ interval: optional(whole(1, 100)), intervalMinutes: optional(whole(0, 180)), audience: text(80) },
});
