import { Card, FULL_PACK, isCard } from '../../deck/card';
import { countOf } from '../../deck/countOf';
import { formatCard, parseCard, showCard } from '../../deck/notation';
import { numberOrder, Order } from '../../deck/order';
import { readEntries } from '../../deck/orderText';
import { Outcome, Problem } from '../../deck/problem';
import { seededRng, shuffled } from '../../deck/rng';
import { cardList, optional, SEED, whole, CARD } from '../../deck/shape';
import { OrderRule, refuse } from './orderRule';

/** A run of cards at equal distances, with what is left of the pack between them. */
export interface SpacedRun {
  readonly kind: 'spaced run';
  /** The cards of the run, in turn. */
  readonly run: readonly Card[];
  /** The place of its first card, and how far on each next one lies. */
  readonly first: number;
  readonly every: number;
  /** A card that belongs to the run and lies elsewhere, and its place. */
  readonly apart?: Card;
  readonly apartAt?: number;
  /** The cards that are left out of the pack. */
  readonly out: readonly Card[];
  /** How the others are mixed; 0 leaves them suit by suit. */
  readonly seed: number;
}

const LARGEST_SEED = 2 ** 31 - 1;

const cardsIn = (text: string): Outcome<{ cards: readonly Card[] }> => {
  const entries = readEntries(text);
  const wrong = entries.find(({ card }) => card === undefined);
  return wrong
    ? refuse(`“${wrong.text}” is not a card.`, 'Write cards such as 7D or TH.')
    : { ok: true, cards: entries.flatMap(({ card }) => card ?? []) };
};

const wholeIn = (text: string): number => (/^\d{1,9}$/.test(text.trim()) ? Number(text) : NaN);

/** A card and its place, `8D 17`; nothing where the field is empty. */
const apartIn = (text: string): Outcome<{ aside: Pick<SpacedRun, 'apart' | 'apartAt'> }> => {
  if (text.trim() === '') return { ok: true, aside: {} };
  const [word, place = '', ...more] = text.trim().split(/[\s,]+/);
  const [apart, apartAt] = [parseCard(word), wholeIn(place)];
  return apart === undefined || Number.isNaN(apartAt) || more.length > 0
    ? refuse(`“${text.trim()}” is not a card and its place.`, 'Write both, such as 8D 17, or nothing.')
    : { ok: true, aside: { apart, apartAt } };
};

const placesOf = ({ run, first, every }: SpacedRun): readonly number[] =>
  run.map((_, index) => first + every * index);

/** Why there is no such order; undefined where there is. */
const problemOf = (rule: SpacedRun): Problem | undefined => {
  const { run, first, every, apart, apartAt, out } = rule;
  const named = [...run, ...(apart === undefined ? [] : [apart]), ...out];
  const strange = named.find((card) => !isCard(card) || card >= FULL_PACK);
  if (strange !== undefined)
    return { what: 'One of the cards is not of the 52.', remedy: 'Name cards from ace to king, no jokers.' };
  const twice = named.find((card, index) => named.indexOf(card) !== index);
  if (twice !== undefined)
    return { what: `${showCard(twice)} is named twice.`, remedy: 'Name each card once over all fields.' };
  if (run.length < 2)
    return { what: `The run has ${countOf(run.length, 'card')}.`, remedy: 'Name two cards or more.' };
  if (!Number.isInteger(first) || first < 1)
    return { what: 'The first place is not a place.', remedy: 'Write a whole number from 1.' };
  if (!Number.isInteger(every) || every < 1)
    return { what: 'The distance is not a number of places.', remedy: 'Write a whole number from 1.' };
  if ((apart === undefined) !== (apartAt === undefined))
    return { what: 'The card that lies elsewhere has no place.', remedy: 'Name both, or neither.' };
  const size = FULL_PACK - out.length;
  const places = placesOf(rule);
  const past = places.findIndex((place) => place > size);
  if (past >= 0)
    return {
      what: `${showCard(run[past])} would lie at ${places[past]}, and the pack has ${countOf(size, 'card')}.`,
      remedy: 'Begin higher, go on in smaller steps, or leave fewer cards out.',
    };
  if (apartAt !== undefined && (apartAt < 1 || apartAt > size))
    return { what: `There is no place ${apartAt} among ${size}.`, remedy: `Write one from 1 to ${size}.` };
  if (apartAt !== undefined && places.includes(apartAt))
    return {
      what: `Place ${apartAt} is one of the run.`,
      remedy: 'Put the card that lies elsewhere at another place.',
    };
  return undefined;
};

const orderOf = (rule: SpacedRun): Outcome<{ order: Order }> => {
  const problem = problemOf(rule);
  if (problem) return { ok: false, problems: [problem] };
  const { run, apart, apartAt, out, seed } = rule;
  const placed = new Map(placesOf(rule).map((place, index) => [place, run[index]]));
  if (apart !== undefined && apartAt !== undefined) placed.set(apartAt, apart);
  const fixed = new Set([...placed.values(), ...out]);
  const others = numberOrder().filter((card) => !fixed.has(card));
  const left = seed === 0 ? others : shuffled(others, seededRng(seed));
  let next = 0;
  const order = Array.from(
    { length: FULL_PACK - out.length },
    (_, index) => placed.get(index + 1) ?? left[next++],
  );
  return { ok: true, order };
};

const show = (cards: readonly Card[]): string => cards.map(formatCard).join(' ');

/** Twelve diamonds at every fourth place of 48 cards, the thirteenth where it is seen. */
const [APART, APART_AT] = [20, 17];
const START = {
  run: show(
    numberOrder()
      .slice(13, 26)
      .filter((card) => card !== APART),
  ),
  apart: `${formatCard(APART)} ${APART_AT}`,
  out: 'KC QC KH KS',
};

export const SPACED_RUN: OrderRule<SpacedRun> = {
  name: 'Spaced run',
  says: 'A run of cards, every fourth say, with the rest of the pack between them; cards may be left out.',
  shape: {
    run: cardList(2, FULL_PACK),
    first: whole(1, FULL_PACK),
    every: whole(1, FULL_PACK),
    apart: optional(CARD),
    apartAt: optional(whole(1, FULL_PACK)),
    out: cardList(0, FULL_PACK),
    seed: SEED,
  },
  fields: [
    { name: 'run', label: 'The run, in turn', start: START.run, lines: 2 },
    { name: 'place', label: 'Its first place', start: '2' },
    { name: 'every', label: 'Then every', start: '4', hint: '4: every fourth place' },
    {
      name: 'apart',
      label: 'One that lies elsewhere',
      start: START.apart,
      hint: 'its card and its place, or nothing',
    },
    { name: 'out', label: 'Left out of the pack', start: START.out },
    {
      ...{ name: 'seed', label: 'The others', start: '1', hint: '0: suit by suit; another number: mixed' },
      another: { says: 'Mix the others again', make: (seed) => seed.toString() },
    },
  ],
  read: (texts) => {
    const [run, out, apart] = [cardsIn(texts['run']), cardsIn(texts['out']), apartIn(texts['apart'])];
    if (!run.ok) return run;
    if (!out.ok) return out;
    if (!apart.ok) return apart;
    const seed = wholeIn(texts['seed']);
    if (Number.isNaN(seed) || seed > LARGEST_SEED)
      return refuse(
        `“${texts['seed'].trim()}” does not say how the others lie.`,
        'Write 0, or a whole number.',
      );
    const [first, every] = [wholeIn(texts['place']), wholeIn(texts['every'])];
    return {
      ok: true,
      rule: { kind: 'spaced run', run: run.cards, first, every, ...apart.aside, out: out.cards, seed },
    };
  },
  order: orderOf,
  describe: ({ run, every }) => `${countOf(run.length, 'card')}, one every ${every}`,
};
