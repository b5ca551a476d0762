import { onlyPlace } from '../../storage/kind';
import { PRACTICE, PracticeRow } from '../../nouns/learning/practice.kind';

export const PRACTICE_PLACE = onlyPlace(PRACTICE);

/** A practice with an answer more or less. @param spent what it adds to its time, in milliseconds. */
export const counted = (practice: PracticeRow, spent: number, right: boolean, by: 1 | -1): PracticeRow => ({
  ...practice,
  spent: practice.spent + Math.max(0, Math.round(spent)),
  asked: Math.max(0, practice.asked + by),
  right: Math.max(0, practice.right + (right ? by : 0)),
});
