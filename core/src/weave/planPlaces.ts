import { finish, Job, JobRule } from '../job/job';
import { Move, placeAfterMove } from '../moves/move';
import { arrangements } from './arrangements';
import { LevelSearch, MOST_TURNS } from './levelSearch';
import { PlacesSearch } from './placesSearch';

/** A card at a place, from 1, and the place where it is wanted. */
export interface Wanted {
  readonly from: number;
  readonly to: number;
}

/** Which cards are wanted where, and what may be done. */
export interface PlacesWish {
  /** Cards in the pack. */
  readonly size: number;
  /** One to five cards. */
  readonly wanted: readonly Wanted[];
  /** Whether the pack may be cut. */
  readonly cuts: boolean;
  /** Whether it is all the same which of the cards comes to which of the places. */
  readonly anyOrder?: boolean;
  /** What a cut costs, where a weave costs one; 1 unless told. */
  readonly cutPrice?: 0 | 1 | 2;
}

/** The most cards that are planned for at once. */
export const MOST_WANTED = 5;

/** Weaves of an even pack keep mirror pairs: two cards as far from the top as from the face stay so. */
const keepsMirrors = (size: number, from: readonly number[], to: readonly number[]): boolean =>
  size % 2 === 1 ||
  from.every((a, one) =>
    from.every((b, other) => (a + b === size - 1) === (to[one] + to[other] === size - 1)),
  );

const arePlaces = (places: readonly number[], size: number): boolean =>
  new Set(places).size === places.length &&
  places.every((place) => Number.isInteger(place) && place >= 1 && place <= size);

/** So many rows that are as cheap are given at most. */
export const MOST_ROWS = 12;
/** Where one is asked for, so many are looked through for an easy one. */
const FEW_ROWS = 3;

/**
 * How many cuts of a row one can see: one of the wanted cards comes to the face or to the top by them.
 *
 * @param from where the wanted cards lie before the row, from 1.
 */
const seenCuts = (row: readonly Move[], from: readonly number[], size: number): number => {
  let [places, seen] = [from, 0];
  for (const move of row) {
    places = places.map((place) => placeAfterMove(move, place, size) ?? place);
    if (move.kind === 'cut' && places.some((place) => place === 1 || place === size)) seen++;
  }
  return seen;
};

const easierFirst = (
  rows: readonly (readonly Move[])[],
  from: readonly number[],
  size: number,
): readonly (readonly Move[])[] =>
  rows
    .map((row) => ({ row, seen: seenCuts(row, from, size) }))
    .sort((a, b) => b.seen - a.seen)
    .map(({ row }) => row);

/** What a search ends with. */
export interface PlacesPlan {
  /** The cheapest rows that were met, those that are easier to do first; none where there is no row. */
  readonly rows: readonly (readonly Move[])[];
  /** How many states of the cards were looked at. */
  readonly looked: number;
}

/** Searches for the rows of `planPlaces`, and yields how many states it has looked at. @param most rows are given. */
export function* searchPlaces(
  { size, wanted, cuts, anyOrder, cutPrice = 1 }: PlacesWish,
  most = MOST_ROWS,
): Job<number, PlacesPlan> {
  const [from, to] = [wanted.map((each) => each.from), wanted.map((each) => each.to)];
  const isWish = wanted.length > 0 && wanted.length <= MOST_WANTED;
  if (!isWish || !arePlaces(from, size) || !arePlaces(to, size)) return { rows: [], looked: 0 };
  const start = from.map((place) => place - 1);
  const goals = (anyOrder ? arrangements(to) : [to])
    .map((places) => places.map((place) => place - 1))
    .filter((goal) => cuts || keepsMirrors(size, start, goal));
  const search =
    cuts && cutPrice === 1 && size > 1 && size <= MOST_TURNS
      ? new LevelSearch(size, wanted.length)
      : new PlacesSearch(size, wanted.length, cuts ? cutPrice : undefined);
  const rows = yield* search.run(start, goals, most);
  return { rows: easierFirst(rows, from, size), looked: search.looked };
}

/**
 * The cheapest row of in and out weaves, and of cuts where they are allowed, that brings several cards to several
 * places. Of rows as cheap one with the fewest weaves, of those one with the fewest cuts, and of those that were met one
 * in which a wanted card comes to the face or the top by a cut, which is where one sees to cut.
 *
 * @returns undefined where there is no row: where weaves alone cannot do it, or what is wanted is not one to five
 * different cards at places of the pack.
 */
export const planPlaces = (wish: PlacesWish): Move[] | undefined => {
  const first = finish(searchPlaces(wish, FEW_ROWS)).rows.at(0);
  return first && [...first];
};

export const PLACES: JobRule<PlacesWish, number, PlacesPlan> = {
  start: (wish) => searchPlaces(wish),
};
