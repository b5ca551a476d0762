import { Card, Order, placeOf, speakCard } from '@enumeron/core/deck';
import { Face, faceOf } from '../../shared/face';
import { Mark, Marks } from '../../pack/marks';
import { RailGuesses } from '../../pack/rail-guess';

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
  /** Set while it is open what lies there: how strongly the card is shown, and what stands below it. */
  readonly guess?: { readonly chance: number; readonly below: string; readonly lookedFor: boolean };
}

const NONE: readonly Mark[] = [];

const speak = (place: number, card: Card, stackNumber: number | undefined, marks: readonly Mark[]): string =>
  [
    `place ${place}`,
    speakCard(card),
    stackNumber === undefined ? 'not in the stack' : `stack number ${stackNumber}`,
    ...marks.map((mark) => (mark === 'number' ? 'number wanted' : mark)),
  ].join(', ');

/** The slots of a pack, top first. @param breaks places after which the home order does not go on. */
export const slotsOf = (home: Order, now: Order, marks: Marks, breaks: readonly number[]): Slot[] =>
  now.map((card, index) => {
    const place = index + 1;
    const stackNumber = placeOf(home, card);
    const own = marks.get(place) ?? NONE;
    return {
      place,
      card,
      face: faceOf(card),
      stackNumber,
      marks: own,
      broken: breaks.includes(place),
      label: speak(place, card, stackNumber, own),
    };
  });

/** The slots while it is open how the pack lies. */
export const guessedSlots = (home: Order, { about, slots }: RailGuesses): Slot[] =>
  slots.map(({ card, chance, below, label }, index) => ({
    place: index + 1,
    card,
    face: faceOf(card),
    stackNumber: placeOf(home, card),
    marks: NONE,
    broken: false,
    label,
    guess: { chance, below, lookedFor: about !== undefined },
  }));
