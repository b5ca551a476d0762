import { countOf } from '../deck/countOf';
import { RoutinePair, SetList } from './routine';

/** What is fixed about the order of a set. Routines by their ids. */
export type FixedPoint =
  | { readonly kind: 'opener' | 'closer' | 'must'; readonly id: string }
  | { readonly kind: 'before' | 'directly' | 'apart'; readonly pair: RoutinePair }
  | { readonly kind: 'minutes'; readonly most: number }
  | { readonly kind: 'choose' };

const PAIRED = ['before', 'directly', 'apart'] as const;
const samePair = (a: RoutinePair, b: RoutinePair): boolean => a[0] === b[0] && a[1] === b[1];

/** All that is fixed about a set, in the sequence in which it is shown. */
export const fixedPointsOf = (set: SetList): readonly FixedPoint[] => [
  ...(set.opener === undefined ? [] : [{ kind: 'opener', id: set.opener } as const]),
  ...(set.closer === undefined ? [] : [{ kind: 'closer', id: set.closer } as const]),
  ...PAIRED.flatMap((kind) => set[kind].map((pair): FixedPoint => ({ kind, pair }))),
  ...(set.choose ? [{ kind: 'choose' } as const] : []),
  ...set.must.map((id): FixedPoint => ({ kind: 'must', id })),
  ...(set.minutes === undefined ? [] : [{ kind: 'minutes', most: set.minutes } as const]),
];

/** A set with a fixed point more; one of its kind that cannot stand beside it gives way. */
export const withPoint = (set: SetList, point: FixedPoint): SetList => {
  switch (point.kind) {
    case 'opener':
    case 'closer':
      return { ...set, [point.kind]: point.id };
    case 'must':
      return { ...set, must: [...set.must.filter((id) => id !== point.id), point.id] };
    case 'minutes':
      return { ...set, minutes: point.most };
    case 'choose':
      return { ...set, choose: true };
    default: {
      const others = set[point.kind].filter((pair) => !samePair(pair, point.pair));
      return { ...set, [point.kind]: [...others, point.pair] };
    }
  }
};

/** A set without a fixed point. */
export const withoutPoint = (set: SetList, point: FixedPoint): SetList => {
  switch (point.kind) {
    case 'opener':
    case 'closer':
    case 'minutes':
      // What is not told is not there at all, so that it is read back as it was written.
      return Object.fromEntries(
        Object.entries(set).filter(([name]) => name !== point.kind),
      ) as unknown as SetList;
    case 'must':
      return { ...set, must: set.must.filter((id) => id !== point.id) };
    case 'choose':
      return { ...set, choose: false };
    default:
      return { ...set, [point.kind]: set[point.kind].filter((pair) => !samePair(pair, point.pair)) };
  }
};

/** A fixed point in a few words. @param nameOf what a routine is called. */
export const sayPoint = (point: FixedPoint, nameOf: (id: string) => string): string => {
  switch (point.kind) {
    case 'opener':
      return `opens: ${nameOf(point.id)}`;
    case 'closer':
      return `closes: ${nameOf(point.id)}`;
    case 'must':
      return `always in: ${nameOf(point.id)}`;
    case 'before':
      return `${nameOf(point.pair[0])} before ${nameOf(point.pair[1])}`;
    case 'directly':
      return `${nameOf(point.pair[1])} right after ${nameOf(point.pair[0])}`;
    case 'apart':
      return `${nameOf(point.pair[0])} not next to ${nameOf(point.pair[1])}`;
    case 'minutes':
      return `at most ${countOf(point.most, 'minute')}`;
    case 'choose':
      return 'choose from these';
  }
};

/** Whether a set keeps a fixed point in the order in which it stands. @param minutesOf a routine's minutes. */
export const isKept = (set: SetList, point: FixedPoint, minutesOf: (id: string) => number): boolean => {
  const { order, interval } = set;
  const at = (id: string): number => order.indexOf(id);
  if ('id' in point) {
    const place = at(point.id);
    const places = {
      opener: place === 0,
      closer: place >= 0 && place === order.length - 1,
      must: place >= 0,
    };
    return places[point.kind];
  }
  if (point.kind === 'choose') return true;
  if (point.kind === 'minutes') return order.reduce((sum, id) => sum + minutesOf(id), 0) <= point.most;
  const [first, second] = point.pair.map(at);
  if (first < 0 || second < 0) return true;
  // Across the interval nothing is next to anything.
  const isNext = (a: number, b: number): boolean => b === a + 1 && b !== interval;
  if (point.kind === 'before') return first < second;
  if (point.kind === 'directly') return isNext(first, second);
  return !isNext(first, second) && !isNext(second, first);
};
