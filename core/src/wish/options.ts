import { Wish, WishName } from './wish';

/** Something that may be said more of a wish, or less: `going round`. */
export interface WishOption {
  readonly says: string;
  isOn(wish: Wish): boolean;
  /** The wish with it, or without it. */
  turn(wish: Wish, size: number): Wish;
}

type Fields = Readonly<Record<string, unknown>>;

const fieldsOf = (wish: Wish): Fields => wish as unknown as Fields;

const without = (wish: Wish, ...names: readonly string[]): Wish =>
  Object.fromEntries(Object.entries(wish).filter(([name]) => !names.includes(name))) as unknown as Wish;

/** A field that is there or not; others go where it comes. */
const field = (
  name: string,
  says: string,
  begin: string | number | boolean | readonly string[] | ((size: number) => number),
  instead: readonly string[] = [],
): WishOption => ({
  says,
  isOn: (wish) => fieldsOf(wish)[name] !== undefined && fieldsOf(wish)[name] !== false,
  turn: (wish, size) => {
    const now = fieldsOf(wish)[name];
    if (now !== undefined && now !== false) return without(wish, name);
    const value = typeof begin === 'function' ? begin(size) : begin;
    return { ...without(wish, ...instead), [name]: value };
  },
});

const ROUND = field('round', 'going round', true, ['from', 'to']);
const FROM = field('from', 'from a place on', 1, ['round']);
const TO = field('to', 'up to a place', (size: number) => size, ['round']);
const SPAN = [ROUND, FROM, TO];

/** A card and a place more or less; one stays. */
const PAIRS: readonly WishOption[] = [
  {
    says: 'one card more',
    isOn: () => false,
    turn: (wish, size) => {
      if (wish.kind !== 'cards at') return wish;
      const free = Array.from({ length: size }, (_, index) => index + 1).find(
        (place) => !wish.places.includes(place),
      );
      return { ...wish, cards: [...wish.cards, 'KH'], places: [...wish.places, free ?? size] };
    },
  },
  {
    says: 'one card less',
    isOn: () => false,
    turn: (wish) =>
      wish.kind === 'cards at' && wish.cards.length > 1
        ? { ...wish, cards: wish.cards.slice(0, -1), places: wish.places.slice(0, -1) }
        : wish,
  },
];

const WORTH: WishOption = {
  says: 'digits of the ranks',
  isOn: (wish) => fieldsOf(wish)['by'] === 'digits',
  turn: (wish) =>
    fieldsOf(wish)['by'] === 'digits' ? without(wish, 'by') : ({ ...wish, by: 'digits' } as unknown as Wish),
};

const NO_OF: WishOption = {
  says: 'without “of”',
  isOn: (wish) => fieldsOf(wish)['of'] === false,
  turn: (wish) =>
    fieldsOf(wish)['of'] === false ? without(wish, 'of') : ({ ...wish, of: false } as unknown as Wish),
};

/** What more can be said of each kind; a kind that is not named says all in its sentence. */
const OPTIONS: Readonly<Partial<Record<WishName, readonly WishOption[]>>> = {
  'cards at': PAIRS,
  'cards among': [field('least', 'at least', 1), field('most', 'at most', 4)],
  'side by side': [field('inOrder', 'in this order', true), field('round', 'going round', true)],
  before: [
    field('exactly', 'exactly', 1, ['least', 'most']),
    field('least', 'at least', 1, ['exactly']),
    field('most', 'at most', 10, ['exactly']),
    field('round', 'going round', true),
  ],
  spaced: [field('round', 'going round', true)],
  'mates apart': [field('round', 'going round', true)],
  mirrored: [FROM, TO],
  neighbours: [field('distance', 'so far apart', 2), ...SPAN],
  runs: SPAN,
  'colours alternate': SPAN,
  'suits rotate': [field('suits', 'in this circle', ['C', 'D', 'H', 'S']), ...SPAN],
  'ranks step': SPAN,
  'ranks add up': [WORTH, field('more', 'and so many more', 1)],
  'card made of two': [
    {
      says: 'a certain card',
      isOn: (wish) => fieldsOf(wish)['is'] !== undefined,
      turn: (wish) =>
        fieldsOf(wish)['is'] === undefined
          ? ({ ...without(wish, 'at'), is: 'QH' } as unknown as Wish)
          : ({ ...without(wish, 'is'), at: 3 } as unknown as Wish),
    },
  ],
  blocks: [field('round', 'going round', true)],
  spells: [
    {
      says: 'from the card itself',
      isOn: (wish) => fieldsOf(wish)['from'] === 'itself',
      turn: (wish) =>
        fieldsOf(wish)['from'] === 'itself'
          ? without(wish, 'from', 'target')
          : ({ ...wish, from: 'itself', target: 'AS' } as unknown as Wish),
    },
    {
      says: 'right after the last letter',
      isOn: (wish) => fieldsOf(wish)['ends'] === 'behind',
      turn: (wish) =>
        fieldsOf(wish)['ends'] === 'behind'
          ? without(wish, 'ends')
          : ({ ...wish, ends: 'behind' } as unknown as Wish),
    },
    NO_OF,
  ],
  balanced: [field('within', 'nearly', 1)],
  procedure: [field('outs', 'outs count, too', true)],
};

export const optionsOf = ({ kind }: Wish): readonly WishOption[] => OPTIONS[kind] ?? [];

/** What may be said around any wish: it, and the wish that it then is. */
export const AROUND: readonly { readonly says: string; wrap(wish: Wish): Wish }[] = [
  { says: 'at every cut', wrap: (wish) => ({ kind: 'at cuts', cuts: 'every', wish }) },
  {
    says: 'after moves',
    wrap: (wish) => ({ kind: 'after', moves: [{ kind: 'weave', weave: 'out' }], wish }),
  },
  {
    says: 'or another',
    wrap: (wish) => ({ kind: 'some of', wishes: [wish, { kind: 'cards at', cards: ['AS'], places: [1] }] }),
  },
];

/** The wish inside one that holds a single one. */
export const innerOf = (wish: Wish): Wish | undefined =>
  wish.kind === 'at cuts' || wish.kind === 'after' ? wish.wish : undefined;
