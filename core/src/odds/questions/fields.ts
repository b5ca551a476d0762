import { Field } from '../../form/field';
import { numberField } from '../../form/fields';

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
