import { Night, NightSort, sortOf } from './night';
import { RoutineEnding } from '../perform/cue/done';
import { sayTrouble } from './sayNight';

/** What is looked for among nights; what is not told lets all through. */
export interface NightWish {
  /** Words that stand anywhere in it, whatever their case: name, place, audience, note, why. */
  readonly words?: string;
  readonly sort?: NightSort;
  /** A routine by its id that was done; with an ending, that ended so. */
  readonly routine?: string;
  readonly ending?: RoutineEnding;
  readonly place?: string;
  readonly audience?: string;
  /** From this moment, and before that one; in milliseconds. */
  readonly from?: number;
  readonly before?: number;
}

/** What nights are sorted by. */
export const NIGHT_COLUMNS = ['date', 'place', 'name', 'audience', 'hits', 'time'] as const;
export type NightColumn = (typeof NIGHT_COLUMNS)[number];

const TEXTS = new WeakMap<Night, string>();

/** All that can be searched of a night, in small letters: put together once. */
const searchable = (night: Night): string => {
  const known = TEXTS.get(night);
  if (known !== undefined) return known;
  const { name, place, audience, note, done } = night;
  const parts = [name, place, audience, note, ...done.flatMap((each) => [sayTrouble(each), each.wrong])];
  const text = parts
    .filter((part) => part !== undefined)
    .join('\n')
    .toLowerCase();
  TEXTS.set(night, text);
  return text;
};

const same = (a = '', b = ''): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/** The nights that fit what is looked for, in the sequence in which they come. */
export const findNights = (nights: readonly Night[], wish: NightWish): readonly Night[] => {
  const words = (wish.words ?? '')
    .toLowerCase()
    .split(/\s+/)
    .filter((each) => each !== '');
  const { sort, routine, ending, place, audience, from = -Infinity, before = Infinity } = wish;
  return nights.filter((night) => {
    if (night.at < from || night.at >= before) return false;
    if (sort !== undefined && sortOf(night) !== sort) return false;
    if (place !== undefined && !same(night.place, place)) return false;
    if (audience !== undefined && !same(night.audience, audience)) return false;
    const isAsked = routine !== undefined || ending !== undefined;
    if (isAsked) {
      const fits = night.done.some(
        ({ id, how }) =>
          (routine === undefined || id === routine) && (ending === undefined || how === ending),
      );
      if (!fits) return false;
    }
    return words.length === 0 || words.every((word) => searchable(night).includes(word));
  });
};

const HITS = new WeakMap<Night, number>();

/** The share that hit; of a night on which nothing was done −1. */
const shareOf = (night: Night): number => {
  let share = HITS.get(night);
  if (share === undefined) {
    const done = night.done.filter(({ how }) => how !== 'left out' && how !== 'not noted');
    share = done.length === 0 ? -1 : done.filter(({ how }) => how === 'hit').length / done.length;
    HITS.set(night, share);
  }
  return share;
};

const VALUES: Readonly<Record<NightColumn, (night: Night) => string | number>> = {
  date: ({ at }) => at,
  place: ({ place = '' }) => place.toLowerCase(),
  name: ({ name }) => name.toLowerCase(),
  audience: ({ audience }) => audience.toLowerCase(),
  hits: shareOf,
  time: ({ seconds = -1 }) => seconds,
};

/** Nights by a column; those alike in it by date, the newest first. */
export const sortNights = (
  nights: readonly Night[],
  column: NightColumn,
  down: boolean,
): readonly Night[] => {
  const value = VALUES[column];
  const sign = down ? -1 : 1;
  return [...nights].sort((a, b) => {
    const [one, other] = [value(a), value(b)];
    return one < other ? -sign : one > other ? sign : b.at - a.at;
  });
};
