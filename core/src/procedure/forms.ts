import { Card, cardOf, colourOf, mateOf, Rank, rankOf, Suit, suitOf } from '../deck/card';
import { mod } from '../deck/mod';
import { FACES } from './faces';
import {
  always,
  Form,
  form,
  Kind,
  knownCard,
  LARGEST,
  lookingUp,
  Made,
  making,
  NONE,
  Reader,
  World,
} from './form';
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
    return Object.assign(lookingUp(card, known, read), { looked: { known, index } });
  }
  return lookingUp(card, known, (world) => lookUp(world, known, card(world)));
};

const plain = (card: Card): boolean => card !== INDIFFERENT && rankOf(card) !== undefined;

/** Two numbers, and whether something holds of them. */
const holds = (field: string, says: string, is: (a: number, b: number) => boolean): Form =>
  form('condition', says, { [field]: 'twoNumbers' }, ({ [field]: [first, second] }) =>
    making([first, second], (a, b) => (a === NONE || b === NONE ? NONE : is(a, b) ? 1 : 0)),
  );

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

/** Two numbers taken together. */
const joined = (
  first: Reader,
  second: Reader,
  join: (a: number, b: number) => number,
  times?: Made['times'],
): Reader => {
  const of = (a: number, b: number): number => (a === NONE || b === NONE ? NONE : within(join(a, b)));
  if (first.looked && second.looked)
    return making([first, second], of, bothLooked(first.looked, second.looked, join), times);
  if (first.index !== undefined && second.index !== undefined) {
    const [one, other] = [first.index, second.index];
    return making([first, second], of, ({ values }) => within(join(values[one], values[other])), times);
  }
  return making([first, second], of, (world) => of(first(world), second(world)), times);
};

/** Several numbers, taken together two by two. */
const together = (
  field: string,
  says: string,
  join: (a: number, b: number) => number,
  slot: 'numbers' | 'twoNumbers' = 'numbers',
  times?: Made['times'],
): Form =>
  form('number', says, { [field]: slot }, ({ [field]: numbers }) =>
    numbers.reduce((all, each) => joined(all, each, join, times)),
  );

/** Two numbers of which one counts the other, which is none below 1. */
const counting = (field: string, says: string, read: (value: number, count: number) => number): Form =>
  form('number', says, { [field]: 'twoNumbers' }, ({ [field]: [first, second] }) => {
    const of = (value: number, count: number): number =>
      value === NONE || count === NONE || count < 1 ? NONE : read(value, count);
    return making([first, second], of, (world) => of(first(world), second(world)));
  });

/** Conditions one after the other, as long as what holds is this: 1 for all of them, 0 for any. */
const whileHeld = (goesOn: 0 | 1, conditions: readonly Reader[]): Reader => {
  const read = (world: World): number => {
    let held: number = goesOn;
    for (let index = 0; index < conditions.length && held === goesOn; index++)
      held = conditions[index](world);
    return held;
  };
  const of = (before: number, next: number): number => (before === goesOn ? next : before);
  const [first = always(goesOn), ...others] = conditions;
  const { made } = others.reduce((all, each) => making([all, each], of), first);
  return others.length === 0 ? first : Object.assign(read, { made });
};

const digitSum = (value: number): number =>
  [...value.toString()].reduce((sum, digit) => sum + Number(digit), 0);

/** Every kind of expression and condition. */
export const FORMS: readonly Form[] = [
  form('number', 'the size of {size of}', { 'size of': 'packet' }, ({ 'size of': packet }) => {
    const read = ({ table }: World): number => table.sizes[packet];
    return Object.assign(read, { seen: { what: 'size', packet } as const });
  }),
  form('card', 'the card at {card at} of {of}', { 'card at': 'number', of: 'packet' }, (parts) => {
    const { 'card at': at, of } = parts;
    const read = (world: World): number => {
      const place = at(world);
      return place < 1 || place > world.table.sizes[of] ? NONE : world.table.look(of, place);
    };
    return Object.assign(read, { seen: { what: 'card at', packet: of, place: at } as const });
  }),
  form('card', 'the top card of {top of}', { 'top of': 'packet' }, ({ 'top of': packet }) => {
    const read = ({ table }: World): number => (table.sizes[packet] === 0 ? NONE : table.lookTop(packet));
    return Object.assign(read, { seen: { what: 'top', packet } as const });
  }),
  form('card', 'the face card of {face of}', { 'face of': 'packet' }, ({ 'face of': packet }) => {
    const read = ({ table }: World): number => {
      const size = table.sizes[packet];
      return size === 0 ? NONE : table.look(packet, size);
    };
    return Object.assign(read, { seen: { what: 'face', packet } as const });
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
    const read = ({ table }: World): number => table.faceUpIn(packet);
    return Object.assign(read, { seen: { what: 'face up', packet } as const });
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
    ({ 'rank from': ranked, 'suit from': suited }) => {
      const of = (a: number, b: number): number =>
        a === NONE || b === NONE || !plain(a) || !plain(b)
          ? NONE
          : cardOf(rankOf(a) as Rank, suitOf(b) as Suit);
      return making([ranked, suited], of, (world) =>
        of(knownCard(world, ranked(world)), knownCard(world, suited(world))),
      );
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
    ({ 'card with stack number': number, in: { cards } }) => lookingUp(number, Int32Array.of(NONE, ...cards)),
  ),
  together('sum', '{sum| + }', (a, b) => a + b, 'numbers', 1),
  together('difference', '{difference| − }', (a, b) => a - b, 'twoNumbers', -1),
  together('product', '{product| × }', (a, b) => a * b),
  counting('remainder', 'the remainder of {remainder| by }', mod),
  counting('around', '{around| counted round }', (value, count) => mod(value - 1, count) + 1),
  form('number', 'the digit sum of {digit sum}', { 'digit sum': 'number' }, ({ 'digit sum': number }) =>
    making([number], (value) => (value < 0 ? NONE : digitSum(value))),
  ),
  form('number', 'whether ({whether})', { whether: 'condition' }, ({ whether }) => whether, { since: 2 }),
  ...FACES,
  together('least', 'the least of {least|, }', Math.min),
  together('most', 'the most of {most|, }', Math.max),
  form('condition', '{equal| is }', { equal: 'alike' }, ({ equal: [first, second] }) => {
    const of = (a: number, b: number): number => (a === NONE || b === NONE ? NONE : a === b ? 1 : 0);
    const read = (world: World): number => {
      const a = first(world);
      if (a === NONE) return NONE;
      const b = second(world);
      if (b === NONE) return NONE;
      return a < NONE || b < NONE ? world.table.areAlike(a, b) : a === b ? 1 : 0;
    };
    return Object.assign(read, { made: { parts: [first, second] as const, of, equal: true as const } });
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
  form('condition', 'not so: {not}', { not: 'condition' }, ({ not }) =>
    making([not], (held) => (held === NONE ? NONE : 1 - held)),
  ),
  form('condition', '{all| and }', { all: 'conditions' }, ({ all }) => whileHeld(1, all)),
  form('condition', '{any| or }', { any: 'conditions' }, ({ any }) => whileHeld(0, any)),
];

const BY_NAME: ReadonlyMap<string, Form> = new Map(FORMS.map((each) => [Object.keys(each.fields)[0], each]));

/** The form that a value has by the names of its fields, or undefined. */
export const formOf = (value: Readonly<Record<string, unknown>>): Form | undefined => {
  const name = Object.keys(value).find((field) => BY_NAME.has(field));
  return name === undefined ? undefined : BY_NAME.get(name);
};
