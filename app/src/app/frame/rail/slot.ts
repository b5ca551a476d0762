import { Card, Order, placeOf, speakCard } from '@enumeron/core/deck';
import { Face, faceOf } from '../../ui/face';
import { Mark, Marks } from '../../nouns/pack/marks';
import { RailGuesses } from '../../nouns/pack/rail-guess';

/** One card's width of the rail. */
export interface Slot {
  readonly place: number;
  readonly card: Card;
  readonly face: Face;
  /** From 1, or undefined for a card that is not in the home order. */
  readonly stackNumber: number | undefined;
  readonly marks: readonly Mark[];
  /** Whether the home order does not go on after this card. */
  readonly broken: boolean;
  readonly label: string;
  /** Its classes: one text for each slot, since all 52 may change at once. */
  readonly look: string;
  /** Set while it is open what lies there: how strongly the card is shown, and what stands below it. */
  readonly guess?: { readonly chance: number; readonly below: string; readonly lookedFor: boolean };
}

/** Marks whose class is not their name. */
const MARK_CLASSES: Partial<Record<Mark, string>> = { 'face up': 'face-up', slow: 'hatched' };

const NONE: readonly Mark[] = [];

/** The classes of a slot: how it is ruled and marked, and how sure a guess is. */
const lookOf = ({
  place,
  marks,
  broken,
  guess,
}: Pick<Slot, 'place' | 'marks' | 'broken' | 'guess'>): string =>
  [
    'slot',
    ...(place % 5 === 0 || place === 1 ? ['fifth'] : []),
    ...marks.map((mark) => MARK_CLASSES[mark] ?? mark),
    ...(broken ? ['broken'] : []),
    ...(guess ? ['guess'] : []),
    ...(guess?.lookedFor ? ['looked-for'] : []),
    ...(guess?.chance === 1 ? ['sure'] : guess?.chance === 0 ? ['none'] : []),
  ].join(' ');

const speak = (place: number, card: Card, stackNumber: number | undefined, marks: readonly Mark[]): string =>
  [
    `place ${place}`,
    speakCard(card),
    stackNumber === undefined ? 'not in your order' : `stack number ${stackNumber}`,
    ...marks.map((mark) => (mark === 'number' ? 'number wanted' : mark)),
  ].join(', ');

/** The slots of a pack, top first. @param breaks places after which the home order does not go on. */
export const slotsOf = (home: Order, now: Order, marks: Marks, breaks: readonly number[]): Slot[] =>
  now.map((card, index) => {
    const place = index + 1;
    const stackNumber = placeOf(home, card);
    const own = marks.get(place) ?? NONE;
    const broken = breaks.includes(place);
    return {
      place,
      card,
      face: faceOf(card),
      stackNumber,
      marks: own,
      broken,
      label: speak(place, card, stackNumber, own),
      look: lookOf({ place, marks: own, broken }),
    };
  });

/** The slots while it is open how the pack lies. */
export const guessedSlots = (home: Order, { about, slots }: RailGuesses): Slot[] =>
  slots.map(({ card, chance, below, label }, index) => {
    const place = index + 1;
    const guess = { chance, below, lookedFor: about !== undefined };
    return {
      place,
      card,
      face: faceOf(card),
      stackNumber: placeOf(home, card),
      marks: NONE,
      broken: false,
      label,
      look: lookOf({ place, marks: NONE, broken: false, guess }),
      guess,
    };
  });
