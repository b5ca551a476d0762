import { Card, cardOf, colourOf, mateOf, Rank, rankOf, Suit, suitOf } from '../deck/card';
import { mod } from '../deck/mod';
import { FACES } from './faces';
import { Form, form, Kind, knownCard, LARGEST, NONE, Reader, World } from './form';
import { INDIFFERENT } from './packets';

const within = (value: number): number => (value > LARGEST || value < -LARGEST ? NONE : value);

/** A form of one card: what is read of it, NONE where it has none. */
const ofCard = (what: string, says: string, gives: Kind, read: (card: Card) => number): Form => {
  const known = Int32Array.from({ length: 128 }, (_, card) => read(card));
  return form(gives, says, { [what]: 'card' }, ({ [what]: card }) => looked(known, card));
};

/** What a table says of a card that may have to be found out first. */
const lookUp = (world: World, known: Int32Array, card: number): number => {
  const found = knownCard(world, card);
  return found === NONE ? NONE : known[found];
};

/** What a table says of a card; NONE where there is none. */
const looked = (known: Int32Array, card: Reader): Reader => {
  const { index } = card;
  if (index !== undefined) {
    const read = (world: World): number => {
      const seen = world.values[index];
      return seen < NONE ? lookUp(world, known, seen) : known[seen];
    };
    return Object.assign(read, { looked: { known, index } });
  }
  return (world) => lookUp(world, known, card(world));
};

const plain = (card: Card): boolean => card !== INDIFFERENT && rankOf(card) !== undefined;

/** Two numbers, and whether something holds of them. */
const holds = (field: string, says: string, is: (a: number, b: number) => boolean): Form =>
  form('condition', says, { [field]: 'twoNumbers' }, ({ [field]: [first, second] }) => (world) => {
    const a = first(world);
    if (a === NONE) return NONE;
    const b = second(world);
    return b === NONE ? NONE : is(a, b) ? 1 : 0;
  });

/** Two things looked up of cards that are named, taken together: what is worked out most often, without a call. */
const bothLooked =
  (
    one: NonNullable<Reader['looked']>,
    other: NonNullable<Reader['looked']>,
    join: (a: number, b: number) => number,
  ): Reader =>
  (world) => {
    const first = world.values[one.index];
    const second = world.values[other.index];
    const isKnown = first >= NONE && second >= NONE;
    const a = isKnown ? one.known[first] : lookUp(world, one.known, first);
    const b = isKnown ? other.known[second] : lookUp(world, other.known, second);
    return a === NONE || b === NONE ? NONE : within(join(a, b));
  };

/** Several numbers, taken together two by two. */
const together = (
  field: string,
  says: string,
  join: (a: number, b: number) => number,
  slot: 'numbers' | 'twoNumbers' = 'numbers',
): Form =>
  form('number', says, { [field]: slot }, ({ [field]: [first, ...others] }) => {
    if (others.length === 1) {
      const [second] = others;
      if (first.looked && second.looked) return bothLooked(first.looked, second.looked, join);
      if (first.index !== undefined && second.index !== undefined) {
        const [one, other] = [first.index, second.index];
        return ({ values }) => within(join(values[one], values[other]));
      }
      return (world) => {
        const a = first(world);
        const b = second(world);
        return a === NONE || b === NONE ? NONE : within(join(a, b));
      };
    }
    return (world) => {
      let value = first(world);
      for (let index = 0; index < others.length && value !== NONE; index++) {
        const other = others[index](world);
        value = other === NONE ? NONE : within(join(value, other));
      }
      return value;
    };
  });

/** Two numbers of which one counts the other, which is none below 1. */
const counting = (field: string, says: string, read: (value: number, count: number) => number): Form =>
  form('number', says, { [field]: 'twoNumbers' }, ({ [field]: [first, second] }) => (world) => {
    const value = first(world);
    const count = second(world);
    return value === NONE || count === NONE || count < 1 ? NONE : read(value, count);
  });

const digitSum = (value: number): number =>
  [...value.toString()].reduce((sum, digit) => sum + Number(digit), 0);

/** Every kind of expression and condition. */
export const FORMS: readonly Form[] = [
  form('number', 'the size of {size of}', { 'size of': 'packet' }, ({ 'size of': packet }) => {
    return ({ table }) => table.sizes[packet];
  }),
  form('card', 'the card at {card at} of {of}', { 'card at': 'number', of: 'packet' }, (parts) => {
    const { 'card at': at, of } = parts;
    return (world) => {
      const place = at(world);
      return place < 1 || place > world.table.sizes[of] ? NONE : world.table.look(of, place);
    };
  }),
  form('card', 'the top card of {top of}', { 'top of': 'packet' }, ({ 'top of': packet }) => {
    return ({ table }) => (table.sizes[packet] === 0 ? NONE : table.lookTop(packet));
  }),
  form('card', 'the face card of {face of}', { 'face of': 'packet' }, ({ 'face of': packet }) => {
    return ({ table }) => {
      const size = table.sizes[packet];
      return size === 0 ? NONE : table.look(packet, size);
    };
  }),
  form('number', 'the place of {place of} in {in}', { 'place of': 'card', in: 'packet' }, (parts) => {
    const { 'place of': card, in: packet } = parts;
    return (world) => {
      const sought = card(world);
      return sought === NONE ? NONE : world.table.placeOf(packet, sought);
    };
  }),
  form('number', 'how many lie face up in {face up in}', { 'face up in': 'packet' }, (parts) => {
    const packet = parts['face up in'];
    return ({ table }) => table.faceUpIn(packet);
  }),
  ofCard('rank of', 'the rank of {rank of}', 'number', (card) => (plain(card) ? (rankOf(card) as Rank) : 0)),
  ofCard('suit of', 'the suit of {suit of}', 'number', (card) => (plain(card) ? (suitOf(card) as Suit) : -1)),
  ofCard('colour of', 'the colour of {colour of}', 'number', (card) =>
    plain(card) ? (colourOf(card) === 'red' ? 1 : 0) : -1,
  ),
  ofCard('mate of', 'the mate of {mate of}', 'card', (card) => (card === INDIFFERENT ? NONE : mateOf(card))),
  form(
    'card',
    'the card of the rank of {rank from} and the suit of {suit from}',
    { 'rank from': 'card', 'suit from': 'card' },
    ({ 'rank from': ranked, 'suit from': suited }) =>
      (world) => {
        const a = knownCard(world, ranked(world));
        const b = knownCard(world, suited(world));
        return a === NONE || b === NONE || !plain(a) || !plain(b)
          ? NONE
          : cardOf(rankOf(a) as Rank, suitOf(b) as Suit);
      },
  ),
  form(
    'number',
    'the stack number of {stack number of} in {in}',
    { 'stack number of': 'card', in: 'order' },
    ({ 'stack number of': card, in: { numbers } }) => looked(numbers, card),
  ),
  form(
    'card',
    'the card with stack number {card with stack number} in {in}',
    { 'card with stack number': 'number', in: 'order' },
    ({ 'card with stack number': number, in: { cards } }) =>
      (world) => {
        const wanted = number(world);
        return wanted < 1 || wanted > cards.length ? NONE : cards[wanted - 1];
      },
  ),
  together('sum', '{sum| + }', (a, b) => a + b),
  together('difference', '{difference| − }', (a, b) => a - b, 'twoNumbers'),
  together('product', '{product| × }', (a, b) => a * b),
  counting('remainder', 'the remainder of {remainder| by }', mod),
  counting('around', '{around| counted round }', (value, count) => mod(value - 1, count) + 1),
  form(
    'number',
    'the digit sum of {digit sum}',
    { 'digit sum': 'number' },
    ({ 'digit sum': number }) =>
      (world) => {
        const value = number(world);
        return value < 0 ? NONE : digitSum(value);
      },
  ),
  form('number', 'whether ({whether})', { whether: 'condition' }, ({ whether }) => whether, { since: 2 }),
  ...FACES,
  together('least', 'the least of {least|, }', Math.min),
  together('most', 'the most of {most|, }', Math.max),
  form('condition', '{equal| is }', { equal: 'alike' }, ({ equal: [first, second] }) => (world) => {
    const a = first(world);
    if (a === NONE) return NONE;
    const b = second(world);
    if (b === NONE) return NONE;
    return a < NONE || b < NONE ? world.table.areAlike(a, b) : a === b ? 1 : 0;
  }),
  holds('less', '{less| is under }', (a, b) => a < b),
  holds('at most', '{at most| is at most }', (a, b) => a <= b),
  form(
    'condition',
    'the card at {face up} of {of} lies face up',
    { 'face up': 'number', of: 'packet' },
    (parts) => {
      const { 'face up': at, of } = parts;
      return (world) => {
        const place = at(world);
        if (place < 1 || place > world.table.sizes[of]) return NONE;
        return world.table.faceUpAt(of, place);
      };
    },
  ),
  form('condition', 'not so: {not}', { not: 'condition' }, ({ not }) => (world) => {
    const held = not(world);
    return held === NONE ? NONE : 1 - held;
  }),
  form('condition', '{all| and }', { all: 'conditions' }, ({ all }) => (world) => {
    let held = 1;
    for (let index = 0; index < all.length && held === 1; index++) held = all[index](world);
    return held;
  }),
  form('condition', '{any| or }', { any: 'conditions' }, ({ any }) => (world) => {
    let held = 0;
    for (let index = 0; index < any.length && held === 0; index++) held = any[index](world);
    return held;
  }),
];

const BY_NAME: ReadonlyMap<string, Form> = new Map(FORMS.map((each) => [Object.keys(each.fields)[0], each]));

/** The form that a value has by the names of its fields, or undefined. */
export const formOf = (value: Readonly<Record<string, unknown>>): Form | undefined => {
  const name = Object.keys(value).find((field) => BY_NAME.has(field));
  return name === undefined ? undefined : BY_NAME.get(name);
};
