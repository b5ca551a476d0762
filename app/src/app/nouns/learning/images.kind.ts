import { Kind } from '../../storage/kind';

/** The user's own memory image of a card or of a number: a few words. */
export interface ImageRow {
  /** `card-7D` or `number-15`. */
  readonly id: string;
  readonly words: string;
  readonly sample?: true;
}

/** The row of a card's or a number's image. */
export const imageOf = (of: 'card' | 'number', name: string): string => `${of}-${name.replace('*', '_')}`;

/** The longest memory image. */
export const LONGEST_IMAGE = 120;

export const IMAGES: Kind<ImageRow> = {
  name: 'images',
  table: 'images',
  stores: 'id',
  keyOf: ({ id }) => id,
  words: ['memory image', 'memory images'],
  line: 'table',
  inBackup: true,
  most: 1000,
  schema: (joi, { key }) =>
    joi.object({
      id: key,
      words: joi.string().min(1).max(LONGEST_IMAGE).required(),
      sample: joi.valid(true),
    }),
};
