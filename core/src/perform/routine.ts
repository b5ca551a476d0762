import { CARD, eachOnce, FLAG, listOf, oneOf, optional, Part, shape, shouldBe, whole } from '../deck/shape';
import { Order } from '../deck/order';
import { parseName } from '../formats/name';
import { PackNeed } from './need';
import { PackState } from './state';
import { NEED, STATE } from './stateShape';

/** What a routine does with one of its packs. */
export interface RoutinePack {
  /** The packet of its procedure that is this pack. */
  readonly packet?: string;
  /** The order in the place of the procedure's own, or that plain notes mean; top card first. */
  readonly order?: { readonly name: string; readonly cards: Order };
  /** Whether the cards of its bank may lie in any sequence. */
  readonly loose?: true;
  /** What the user says it needs and leaves, in the place of what the procedure shows. */
  readonly needs?: PackNeed;
  readonly leaves?: readonly PackState[] | 'same';
}

/** What can hurt, harm or offend, and what the usual care is. */
export const CAUTIONS = {
  'can hurt': 'A prop that can hurt: check it, keep it from helpers, and put it away before you go on.',
  borrowed: 'Something borrowed: say what will happen to it, and give it back as it was.',
  'touches a helper': 'You touch a helper: ask first, aloud, and take no for an answer.',
  fire: 'Fire: house rules and local law go first; have somebody by with a blanket and an extinguisher.',
  blades: 'Blades: house rules and local law go first; cover them while they lie, and count them afterwards.',
} as const;

export type Caution = keyof typeof CAUTIONS;

/** When a routine is set up. */
export const SET_UP = ['none', 'before', 'during', 'borrowed'] as const;

/** A routine as a performer keeps it: a procedure of Rehearse, or plain notes. */
export interface Routine {
  readonly name: string;
  readonly minutes: number;
  /** How much it is worth to have it in, where not all can be: 1 to 9. */
  readonly value: number;
  readonly packs: Readonly<Record<string, RoutinePack>>;
  readonly props: string;
  /** What is said, by the audience that it is said to; empty for all. */
  readonly says: readonly { readonly to: string; readonly words: string }[];
  readonly outs: string;
  readonly clearUp: string;
  readonly notes: string;
  readonly setUp: (typeof SET_UP)[number];
  /** Whether the pack and the props could be examined afterwards. */
  readonly clean: boolean;
  /** Whether it can be done again at once. */
  readonly repeats: boolean;
  readonly cautions: readonly Caution[];
}

/** The longest texts, and the most of each. */
export const LONGEST = { name: 80, text: 4000, minutes: 180 } as const;
const [MOST_PACKS, MOST_SAYS] = [6, 8];

export const text =
  (most: number): Part =>
  (value) =>
    typeof value === 'string' && value.length <= most
      ? undefined
      : shouldBe(value, `a text of up to ${most} letters`);

export const NAME: Part = (value) => {
  const read = parseName(value);
  return read.ok ? undefined : read.problems[0];
};

/** Values by names; each must be right. */
export const byName =
  (inner: Part, most: number): Part =>
  (value, fields) => {
    if (typeof value !== 'object' || value === null || Array.isArray(value))
      return shouldBe(value, 'a group of values by their names');
    const names = Object.keys(value);
    if (names.length > most) return { what: `There are ${names.length}.`, remedy: `Take ${most} at most.` };
    for (const name of names) {
      const problem = NAME(name, fields) ?? inner((value as Record<string, unknown>)[name], fields);
      if (problem) return { ...problem, where: problem.where ? `${name} › ${problem.where}` : name };
    }
    return undefined;
  };

const ORDER = shape({ name: text(LONGEST.name), cards: eachOnce(listOf(CARD, 1, 108)) });

const PACK = shape({
  packet: optional(text(LONGEST.name)),
  order: optional(ORDER),
  loose: optional((value) => (value === true ? undefined : shouldBe(value, 'true'))),
  needs: optional(NEED),
  leaves: optional((value, fields) => (value === 'same' ? undefined : listOf(STATE, 1, 200)(value, fields))),
});

/** The fields of a routine that is stored or stands in a file. */
export const ROUTINE: Part = shape({
  name: NAME,
  minutes: whole(0, LONGEST.minutes),
  value: whole(1, 9),
  packs: byName(PACK, MOST_PACKS),
  props: text(LONGEST.text),
  says: listOf(shape({ to: text(LONGEST.name), words: text(LONGEST.text) }), 0, MOST_SAYS),
  ...{ outs: text(LONGEST.text), clearUp: text(LONGEST.text), notes: text(LONGEST.text) },
  setUp: oneOf(...SET_UP),
  ...{ clean: FLAG, repeats: FLAG },
  cautions: eachOnce(listOf(oneOf(...Object.keys(CAUTIONS)), 0, Object.keys(CAUTIONS).length)),
});

/** A routine that is begun. */
export const newRoutine = (name: string): Routine => ({
  ...{ name, minutes: 5, value: 1, packs: {}, props: '', says: [], outs: '', clearUp: '', notes: '' },
  ...{ setUp: 'none', clean: false, repeats: false, cautions: [] },
});

/** Two routines by their ids. */
export type RoutinePair = readonly [first: string, second: string];

/** A set: routines in turn, the packs that they use, and what is fixed about their order. */
export interface SetList {
  readonly name: string;
  /** The routines by their ids, in the order in which they are done. */
  readonly order: readonly string[];
  /** How many packs like it lie ready, by the pack's name. */
  readonly spares: Readonly<Record<string, number>>;
  readonly opener?: string;
  readonly closer?: string;
  readonly before: readonly RoutinePair[];
  readonly directly: readonly RoutinePair[];
  readonly apart: readonly RoutinePair[];
  readonly must: readonly string[];
  /** Whether the best order may leave routines out. */
  readonly choose: boolean;
  readonly minutes?: number;
  /** The interval comes after so many routines. */
  readonly interval?: number;
  readonly intervalMinutes?: number;
}

/** The most routines of one set: as many as are put in order. */
export const MOST_IN_SET = 16;
const MOST_PAIRS = 100;

export const ID: Part = (value) =>
  typeof value === 'string' && value !== '' && value.length <= 100
    ? undefined
    : shouldBe(value, 'the id of a routine');
const IDS = eachOnce(listOf(ID, 0, MOST_IN_SET));
const PAIRS = listOf(eachOnce(listOf(ID, 2, 2)), 0, MOST_PAIRS);

/** The fields of a set that is stored or stands in a file. */
export const SET_LIST: Part = shape({
  ...{ name: NAME, order: IDS, spares: byName(whole(0, 20), 20) },
  ...{ opener: optional(ID), closer: optional(ID), before: PAIRS, directly: PAIRS, apart: PAIRS, must: IDS },
  choose: FLAG,
  minutes: optional(whole(1, 600)),
  ...{ interval: optional(whole(1, MOST_IN_SET)), intervalMinutes: optional(whole(0, 180)) },
});

export const newSet = (name: string): SetList => ({
  ...{ name, order: [], spares: {}, before: [], directly: [], apart: [], must: [], choose: false },
});

/** A set without a routine, which may be no longer there: what was fixed about it goes with it. */
export const withoutRoutine = (set: SetList, id: string): SetList => {
  const { opener, closer, interval, ...rest } = set;
  const at = set.order.indexOf(id);
  // The interval stays between the routines that it stood between.
  const after = interval !== undefined && at >= 0 && at < interval ? interval - 1 : interval;
  const others = (pairs: readonly RoutinePair[]) => pairs.filter((pair) => !pair.includes(id));
  return {
    ...rest,
    ...(opener !== undefined && opener !== id && { opener }),
    ...(closer !== undefined && closer !== id && { closer }),
    ...(after !== undefined && after > 0 && { interval: after }),
    ...{ order: set.order.filter((each) => each !== id), must: set.must.filter((each) => each !== id) },
    ...{ before: others(set.before), directly: others(set.directly), apart: others(set.apart) },
  };
};
