import { Outcome, Problem } from '../deck/problem';
import { Order } from '../deck/order';
import { PackNeed } from './need';
import { PackState } from './state';

/** What a routine does to a pack that it names. */
export interface PackPart {
  readonly needs: PackNeed;
  /** Its endings, or that it leaves the pack as it was. */
  readonly leaves: readonly PackState[] | 'same';
  /** How many cases end so, for each ending; one each unless told. */
  readonly cases?: readonly number[];
}

export interface OrderedRoutine {
  readonly id: string;
  readonly minutes: number;
  /** 1 unless told. */
  readonly value?: number;
  readonly packs: Readonly<Record<string, PackPart>>;
}

export interface WishedPack {
  readonly home: Order;
  /** Laid as its first routine needs it unless told. */
  readonly start?: PackState;
  /** How many packs like it lie ready; none unless told. */
  readonly spares?: number;
}

type Pair = readonly [first: string, second: string];

/** What is put in order, and what must hold of the order. Routines by their ids. */
export interface OrderWish {
  readonly packs: Readonly<Record<string, WishedPack>>;
  readonly routines: readonly OrderedRoutine[];
  readonly opener?: string;
  readonly closer?: string;
  /** The first of each pair earlier than the second, where both are in. */
  readonly before?: readonly Pair[];
  /** The second right after the first. */
  readonly directly?: readonly Pair[];
  /** Not next to each other. */
  readonly apart?: readonly Pair[];
  readonly must?: readonly string[];
  /** Whether routines may be left out. */
  readonly choose?: boolean;
  /** The routines' minutes together at most. */
  readonly minutes?: number;
  /** The interval comes after so many routines. */
  readonly interval?: number;
  readonly intervalMinutes?: number;
}

/** So many routines are put in order while one waits; more take minutes. */
export const MOST_ORDERED = 14;

/** More than these are not put in order exactly. */
export const MOST_ROUTINES = 16;

/** What is wrong with a wish before any order is tried. */
const problemsOf = ({ packs, routines, ...fixed }: OrderWish): readonly Problem[] => {
  const ids = routines.map(({ id }) => id);
  const named = [
    ...[fixed.opener, fixed.closer].flatMap((id) => id ?? []),
    ...(fixed.must ?? []),
    ...[...(fixed.before ?? []), ...(fixed.directly ?? []), ...(fixed.apart ?? [])].flat(),
  ];
  const unknown = named.find((id) => !ids.includes(id));
  const noPack = routines
    .flatMap((routine) => Object.keys(routine.packs))
    .find((name) => !Object.hasOwn(packs, name));
  const twice = ids.find((id, index) => ids.indexOf(id) < index);
  return [
    ...(ids.length === 0 ? [{ what: 'There is no routine to put in order.', remedy: 'Add one.' }] : []),
    ...(ids.length > MOST_ROUTINES
      ? [{ what: `There are ${ids.length} routines.`, remedy: `Take ${MOST_ROUTINES} at most.` }]
      : []),
    ...(twice === undefined
      ? []
      : [{ what: `“${twice}” is there twice.`, remedy: 'Give each routine an id of its own.' }]),
    ...(unknown === undefined
      ? []
      : [{ what: `There is no routine “${unknown}”.`, remedy: 'Take that fixed point away.' }]),
    ...(noPack === undefined
      ? []
      : [{ what: `There is no pack “${noPack}”.`, remedy: 'Add it, or take it out of the routine.' }]),
  ];
};

export const readOrderWish = (wish: OrderWish): Outcome<{ readonly wish: OrderWish }> => {
  const problems = problemsOf(wish);
  return problems.length > 0 ? { ok: false, problems } : { ok: true, wish };
};

/** The rules of an order by the indices of the routines. */
export interface OrderRules {
  readonly count: number;
  /** Whether a routine may come next. @param done a bit for each that was done. @param last -1 at the start. */
  mayFollow(done: number, last: number, next: number): boolean;
  /** Whether an order of these may end with the last. */
  mayEnd(done: number, last: number): boolean;
  /** Whether the interval lies before the routine that follows so many. */
  isInterval(position: number): boolean;
}

const bits = (mask: number): number => {
  let count = 0;
  for (let rest = mask; rest !== 0; rest &= rest - 1) count++;
  return count;
};

export const rulesOf = (wish: OrderWish): OrderRules => {
  const { routines, choose = false, minutes = Infinity, interval } = wish;
  const count = routines.length;
  const at = (id: string): number => routines.findIndex((routine) => routine.id === id);
  const pairs = (of: readonly Pair[] = []) => of.map(([a, b]) => [at(a), at(b)] as const);
  const [before, directly, apart] = [pairs(wish.before), pairs(wish.directly), pairs(wish.apart)];
  const [opener, closer] = [wish.opener, wish.closer].map((id) => (id === undefined ? -1 : at(id)));
  const must = [...(wish.must ?? []).map(at), opener, closer].reduce(
    (mask, each) => (each < 0 ? mask : mask | (1 << each)),
    0,
  );
  const all = 2 ** count - 1;
  const minutesOf = (mask: number): number =>
    routines.reduce((sum, routine, index) => sum + ((mask >> index) & 1 ? routine.minutes : 0), 0);
  const has = (mask: number, index: number): boolean => ((mask >> index) & 1) === 1;
  const isInterval = (position: number): boolean => interval !== undefined && position === interval;
  return {
    count,
    isInterval,
    mayFollow: (done, last, next) => {
      const isNext = last >= 0 && !isInterval(bits(done));
      return (
        !has(done, next) &&
        (last < 0 || last !== closer) &&
        (opener < 0 || last < 0 === (next === opener)) &&
        (next !== closer || choose || bits(done) === count - 1) &&
        before.every(([a, b]) => next !== a || !has(done, b)) &&
        directly.every(
          ([a, b]) =>
            (next !== a || !has(done, b)) && (next !== b || !has(done, a) || (last === a && isNext)),
        ) &&
        apart.every(([a, b]) => !isNext || !((next === a && last === b) || (next === b && last === a))) &&
        minutesOf(done | (1 << next)) <= minutes
      );
    },
    mayEnd: (done, last) =>
      (choose ? (done & must) === must : done === all) &&
      (closer < 0 || last === closer) &&
      (interval === undefined || (interval >= 1 && bits(done) > interval)),
  };
};
