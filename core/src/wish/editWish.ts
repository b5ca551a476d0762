import { without } from '../rehearse/editSteps';
import { WISHES } from './wishes';
import { ListedWish, Wish, WishOf } from './wish';

/** A wish as it stands in a list, without what it weighs there. */
export const withoutWeight = (wish: ListedWish): Wish => without(wish, 'weight');

/** Where a part of a wish stands: fields and indices from 0, from the outside in. */
export type WishPath = readonly (string | number)[];

type Node = Readonly<Record<string | number, unknown>>;

/** What stands at a path. */
export const partAt = (value: unknown, path: WishPath): unknown =>
  path.reduce<unknown>((now, step) => (now as Node | undefined)?.[step], value);

/** A value with another part at a path. */
export const withPart = <Value>(value: Value, path: WishPath, part: unknown): Value => {
  if (path.length === 0) return part as Value;
  const [step, ...rest] = path;
  const inner = withPart((value as Node)[step], rest, part);
  if (Array.isArray(value))
    return value.map((each: unknown, index) => (index === step ? inner : each)) as unknown as Value;
  return { ...value, [step]: inner };
};

/** A wish with one card or place put in or taken out where a field is a list: what is picked on the rail. */
export const picked = (
  wish: Wish,
  path: WishPath,
  kind: string,
  at: { readonly place: number; readonly card: string },
): Wish => {
  // What one begins with is an example: what is picked takes its place.
  const begun = partAt(WISHES[wish.kind].begin, path);
  const part = partAt(wish, path);
  const now = JSON.stringify(part) === JSON.stringify(begun) ? undefined : part;
  const toggled = <Item>(item: Item): readonly Item[] => {
    const items = (Array.isArray(now) ? now : []) as readonly Item[];
    const left = items.filter((each) => each !== item);
    return left.length < items.length && left.length > 0 ? left : [...left, item];
  };
  switch (kind) {
    case 'pairs':
      return wish.kind === 'cards at' ? withPair(wish, at) : wish;
    case 'card':
      return withPart(wish, path, at.card);
    case 'cards':
      return withPart(wish, path, toggled(at.card));
    case 'class':
      return withPart(wish, path, { cards: toggledCards(now, at.card) });
    case 'places':
      return withPart(wish, path, toggled(at.place));
    case 'cuts':
      // The card at the face of a cut that is picked: so many were cut.
      return withPart(wish, path, toggled(at.place));
    case 'number':
      return withPart(wish, path, at.place);
    default:
      return wish;
  }
};

/** A card at its place more, or less where it is there already; what one begins with goes. */
const withPair = (
  wish: WishOf<'cards at'>,
  { place, card }: { readonly place: number; readonly card: string },
): Wish => {
  const isBegun = JSON.stringify(wish) === JSON.stringify(WISHES['cards at'].begin);
  const pairs = isBegun ? [] : wish.cards.map((each, index) => [each, wish.places[index]] as const);
  const left = pairs.filter(([, at]) => at !== place);
  const isOff = left.length > 0 && pairs.some(([each, at]) => at === place && each === card);
  const next = isOff ? left : [...left, [card, place] as const];
  return { ...wish, cards: next.map(([each]) => each), places: next.map(([, at]) => at) };
};

const toggledCards = (now: unknown, card: string): readonly string[] => {
  const cards = (now as { readonly cards?: readonly string[] } | undefined)?.cards ?? [];
  const left = cards.filter((each) => each !== card);
  return left.length < cards.length && left.length > 0 ? left : [...left, card];
};
