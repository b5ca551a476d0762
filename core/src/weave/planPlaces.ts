import { finish, Job, JobRule } from '../job/job';
import { Move } from '../moves/move';
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

/** All orders of a few things. */
const arrangements = <Item>(items: readonly Item[]): Item[][] =>
  items.length === 0
    ? [[]]
    : items.flatMap((item, index) =>
        arrangements([...items.slice(0, index), ...items.slice(index + 1)]).map((rest) => [item, ...rest]),
      );

/** Weaves of an even pack keep mirror pairs: two cards as far from the top as from the face stay so. */
const keepsMirrors = (size: number, from: readonly number[], to: readonly number[]): boolean =>
  size % 2 === 1 ||
  from.every((a, one) =>
    from.every((b, other) => (a + b === size - 1) === (to[one] + to[other] === size - 1)),
  );

const arePlaces = (places: readonly number[], size: number): boolean =>
  new Set(places).size === places.length &&
  places.every((place) => Number.isInteger(place) && place >= 1 && place <= size);

/** What a search ends with. */
export interface PlacesPlan {
  /** The cheapest row, or undefined where there is none. */
  readonly row: readonly Move[] | undefined;
  /** How many states of the cards were looked at. */
  readonly looked: number;
}

/** Searches for the row of `planPlaces`, and yields how many states it has looked at. */
export function* searchPlaces({
  size,
  wanted,
  cuts,
  anyOrder,
  cutPrice = 1,
}: PlacesWish): Job<number, PlacesPlan> {
  const [from, to] = [wanted.map((each) => each.from), wanted.map((each) => each.to)];
  const isWish = wanted.length > 0 && wanted.length <= MOST_WANTED;
  if (!isWish || !arePlaces(from, size) || !arePlaces(to, size)) return { row: undefined, looked: 0 };
  const start = from.map((place) => place - 1);
  const goals = (anyOrder ? arrangements(to) : [to])
    .map((places) => places.map((place) => place - 1))
    .filter((goal) => cuts || keepsMirrors(size, start, goal));
  const search = new PlacesSearch(size, wanted.length, cuts ? cutPrice : undefined);
  const row = yield* search.run(start, goals);
  return { row, looked: search.looked };
}

/**
 * The cheapest row of in and out weaves, and of cuts where they are allowed, that brings several cards to several
 * places. Of rows as cheap one with the fewest weaves, and of those one with the fewest cuts.
 *
 * @returns undefined where there is no row: where weaves alone cannot do it, or what is wanted is not one to five
 * different cards at places of the pack.
 */
export const planPlaces = (wish: PlacesWish): Move[] | undefined => {
  const { row } = finish(searchPlaces(wish));
  return row && [...row];
};

/** The search as a job. */
export const PLACES: JobRule<PlacesWish, number, PlacesPlan> = { start: searchPlaces };
