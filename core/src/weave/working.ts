import { upperOf, WeaveKind } from '../moves/weave';
import { wovenIndices } from './wovenIndices';

/** Where one weave takes a card, and the sum that tells it. */
export interface WorkedWeave {
  readonly weave: WeaveKind;
  /** Places from 1. */
  readonly from: number;
  readonly to: number;
  /** `number 14 of the lower part: 2 × 14 − 1 = 27`. */
  readonly says: string;
}

/**
 * A row of weaves followed for one card, each with its sum: the card that lies as the nth of its packet comes to 2n
 * where the other packet begins, and to 2n − 1 where its own does.
 *
 * @param size cards in the pack. @param from the card's place, from 1.
 */
export const workedWeaves = (
  size: number,
  from: number,
  row: readonly WeaveKind[],
): readonly WorkedWeave[] => {
  let place = from;
  return row.map((weave) => {
    const upper = upperOf(size, weave);
    const isUpper = place <= upper;
    const nth = isUpper ? place : place - upper;
    const begins = isUpper === (weave === 'out');
    const to = wovenIndices(size, weave)[place - 1] + 1;
    const says = `number ${nth} of the ${isUpper ? 'upper' : 'lower'} part: 2 × ${nth}${begins ? ' − 1' : ''} = ${to}`;
    const worked = { weave, from: place, to, says };
    place = to;
    return worked;
  });
};

/** One digit of the binary sum for the top card. */
export interface BinaryLine {
  /** What is halved. */
  readonly number: number;
  /** What is left over, 0 or 1. */
  readonly left: 0 | 1;
  readonly weave: WeaveKind;
}

/**
 * The binary sum in the head for the top card: the place less one is halved again and again; what is left over tells
 * the weaves, the last one first (1 in, 0 out).
 *
 * @param place from 1; nothing for 1.
 */
export const binaryLines = (place: number): readonly BinaryLine[] => {
  const lines: BinaryLine[] = [];
  for (let number = place - 1; number > 0; number >>= 1) {
    const left = number % 2 === 1 ? 1 : 0;
    lines.push({ number, left, weave: left === 1 ? 'in' : 'out' });
  }
  return lines;
};
