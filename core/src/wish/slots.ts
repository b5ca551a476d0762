import { LARGEST_PACK } from '../deck/card';
import { formatCard, parseCard } from '../deck/notation';
import { eachOnce, FLAG, listOf, oneOf, optional, Part, shape, shouldBe, whole } from '../deck/shape';
import { cardNamed } from '../procedure/laid';
import { lookNamed } from './cardClass';
import { RELATIONS, showLook } from './look';
import { HANDS, Places, Span } from './wish';

export type SlotKind =
  'number' | 'card' | 'cards' | 'places' | 'class' | 'choice' | 'flag' | 'suits' | 'cuts' | 'moves' | 'other';

/** What stands in a field of a wish: what it must be, how it is said, and how it is read where one writes it. */
export interface Slot {
  readonly kind: SlotKind;
  readonly part: Part;
  /** A value that `part` found right, in words. */
  say(value: unknown): string;
  /** What a text stands for; undefined where it stands for nothing of the kind. */
  read?(text: string): unknown;
  /** All that it may be and how that is said, where that is a few things. */
  readonly options?: readonly (readonly [value: string, says: string])[];
  /** What each part of a list is, where the sentence tells them one by one. */
  readonly each?: Slot;
}

/** A slot that may be left out. */
export const maybe = (slot: Slot): Slot => ({ ...slot, part: optional(slot.part) });

const part =
  (should: string, holds: (value: unknown) => boolean): Part =>
  (value) =>
    holds(value) ? undefined : shouldBe(value, should);

const readWhole = (text: string): number | undefined =>
  /^[-−]?\d{1,4}$/.test(text.trim()) ? Number(text.trim().replace('−', '-')) : undefined;

const sayNumber = (value: unknown): string => `${value as number}`.replace('-', '−');

export const number = (from: number, to: number): Slot => ({
  kind: 'number',
  part: whole(from, to),
  say: sayNumber,
  read: readWhole,
});

/** A number with decimals from one to another. */
export const share = (from: number, to: number): Slot => ({
  kind: 'number',
  part: part(
    `a number from ${from} to ${to}`,
    (value) => typeof value === 'number' && value >= from && value <= to,
  ),
  say: sayNumber,
  read: (text) =>
    /^\d{1,3}([.,]\d{1,3})?$/.test(text.trim()) ? Number(text.trim().replace(',', '.')) : undefined,
});

/** A share from 0 to 1, said of 100. */
export const OF_100: Slot = {
  ...share(0, 1),
  say: (value) => `${Math.round((value as number) * 1000) / 10}`,
  read: (text) => {
    const of100 = share(0, 100).read?.(text) as number | undefined;
    return of100 === undefined ? undefined : of100 / 100;
  },
};

/** The farthest place that can be named: beyond every pack, so that a wish is read whatever pack it is for. */
export const FARTHEST = 999;

export const PLACE = number(1, FARTHEST);

/** One of a few things, each with how it is said. */
export const choiceOf = (says: Readonly<Record<string, string>>): Slot => ({
  kind: 'choice',
  part: oneOf(...Object.keys(says)),
  say: (value) => says[value as string],
  read: (text) => Object.keys(says).find((option) => text.trim() === says[option] || text.trim() === option),
  options: Object.entries(says),
});

export const choice = (...options: readonly string[]): Slot =>
  choiceOf(Object.fromEntries(options.map((option) => [option, option])));

export const FLAG_SLOT: Slot = { kind: 'flag', part: FLAG, say: () => '' };

export const RELATION = choiceOf(
  Object.fromEntries(
    RELATIONS.map((relation) => {
      const [how, by] = relation.split(' ');
      const many = `${by}s`;
      return [
        relation,
        relation === 'mates' ? relation : how === 'like' ? `of one ${by}` : `of different ${many}`,
      ];
    }),
  ),
);
export const TRAIT = choice('colour', 'suit', 'rank');
export const HAND = choiceOf(
  Object.fromEntries(HANDS.map((hand) => [hand, /^(four|three|two|one)/.test(hand) ? hand : `a ${hand}`])),
);

export const CARD_PART = part(
  'a card such as 7D, X1 or -',
  (value) => typeof value === 'string' && cardNamed(value) !== undefined,
);

export const sayCard = (card: unknown): string => showLook(lookNamed(card as string));

export const readCard = (text: string): string | undefined => {
  const plain = text.trim();
  if (plain === '-') return plain;
  const card = parseCard(plain);
  return card === undefined ? undefined : formatCard(card);
};

export const CARD_SLOT: Slot = { kind: 'card', part: CARD_PART, say: sayCard, read: readCard };

/** The pieces of a list as one writes it: with commas, or with blanks where nothing has blanks in it. */
const piecesOf = (text: string): readonly string[] => {
  const byCommas = text.split(',').map((piece) => piece.trim());
  const pieces = byCommas.length > 1 || readCard(text) !== undefined ? byCommas : text.trim().split(/\s+/);
  return pieces.filter((piece) => piece !== '');
};

/** Each piece as it is read; undefined where one of them is not, or there is none. */
export const readEach = <Value>(
  pieces: readonly string[],
  read: (piece: string) => Value | undefined,
): readonly Value[] | undefined => {
  const values = pieces.map(read);
  return values.length > 0 && values.every((value) => value !== undefined) ? values : undefined;
};

export const CARDS: Slot = {
  kind: 'cards',
  part: listOf(CARD_PART, 1, LARGEST_PACK),
  say: (value) => (value as readonly string[]).map(sayCard).join(', '),
  read: (text) => readEach(piecesOf(text), readCard),
  each: CARD_SLOT,
};

const PLACE_PART = whole(1, FARTHEST);
const PLACES_PART = eachOnce(listOf(PLACE_PART, 1, LARGEST_PACK));
const SPAN_PART = shape({ from: optional(PLACE_PART), to: optional(PLACE_PART) });

/** A span whose end comes before its beginning names nothing. */
export const spanProblem = ({ from, to }: Span): string | undefined =>
  from !== undefined && to !== undefined && from > to ? `It goes from ${from} to ${to}.` : undefined;

export const readPlaces = (text: string): readonly number[] | undefined =>
  readEach(piecesOf(text.replace(/\band\b/g, ',')), readWhole);

/** Places as a list only. */
export const PLACE_LIST: Slot = {
  kind: 'places',
  part: PLACES_PART,
  say: (value) => (value as readonly number[]).join(', '),
  read: readPlaces,
  each: PLACE,
};

export const PLACES: Slot = {
  kind: 'places',
  part: (value, fields) =>
    Array.isArray(value)
      ? PLACES_PART(value, fields)
      : (SPAN_PART(value, fields) ??
        (spanProblem(value as Span) === undefined
          ? undefined
          : shouldBe(value, 'from a place to a later one'))),
  say: (value) => {
    const places = value as Places;
    if (Array.isArray(places)) return (places as readonly number[]).join(', ');
    const { from, to } = places as Span;
    return `${from ?? 1} to ${to ?? 'the face'}`;
  },
  read: (text) => {
    const span = /^(\d+) *(?:to|-|–) *(\d+|the face)$/.exec(text.trim());
    if (!span) return readPlaces(text);
    return { from: Number(span[1]), ...(span[2] === 'the face' ? {} : { to: Number(span[2]) }) };
  },
};

/** The letters of cards’ names in another language or wording, by card. */
export const LETTERS: Slot = {
  kind: 'other',
  part: (value, fields) => {
    if (typeof value !== 'object' || value === null || Array.isArray(value))
      return shouldBe(value, 'letters by card');
    const names = Object.keys(value);
    const bad = names.find((name) => cardNamed(name) === undefined);
    if (bad !== undefined) return CARD_PART(bad, fields);
    return shape(Object.fromEntries(names.map((name) => [name, whole(1, FARTHEST)])))(value, fields);
  },
  say: (value) =>
    Object.entries(value as Readonly<Record<string, number>>)
      .map(([card, count]) => `${sayCard(card)} ${count}`)
      .join(', '),
};

/** What something adds up to: a number, or the number of cards cut. */
export const MAKES: Slot = {
  kind: 'number',
  part: (value, fields) => (value === 'cut' ? undefined : whole(0, FARTHEST)(value, fields)),
  say: (value) => (value === 'cut' ? 'the cut' : sayNumber(value)),
  read: (text) => (/^(the )?cut$/.test(text.trim()) ? 'cut' : readWhole(text)),
};
