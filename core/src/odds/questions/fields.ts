import { Problem } from '../../deck/problem';
import { Field, Values } from '../../form/field';
import { num, numberField } from '../../form/fields';
import { cutChances } from '../cutChances';

/** Fields that several questions have. */
export const sizeField = (start: number, most = 104): Field =>
  numberField('size', 'Cards in the pack', 'How many cards are in the pack?', { start, least: 2, most });

export const ABOUT = numberField('about', 'They cut about', 'About how many cards do they cut?', {
  start: 26,
  most: 104,
});

export const WITHIN = numberField('within', 'Two in three cut within', 'How near do two in three cut?', {
  start: 6,
  most: 52,
});

/** The chance of each cut, by how many cards it takes. */
export const cutsOf = (values: Values): number[] =>
  cutChances(num(values, 'size'), num(values, 'within'), num(values, 'about'));

/** What is wrong with where they cut. */
export const whereProblem = (values: Values): Problem | undefined => {
  const [size, about] = [num(values, 'size'), num(values, 'about')];
  return about >= size
    ? { what: `They cannot cut about ${about} of ${size} cards.`, remedy: `Take 1 to ${size - 1}.` }
    : undefined;
};
