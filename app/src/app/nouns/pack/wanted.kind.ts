import { Card, isCard, LARGEST_PACK } from '@enumeron/core/deck';
import { inFile } from '../../storage/in-file';
import { single } from '../../storage/kind';

/** The card and the number that were named. */
export interface WantedRow {
  readonly id: 'wanted';
  readonly card?: Card;
  /** A place from 1. */
  readonly number?: number;
}

export const WANTED = single<WantedRow>({
  name: 'wanted',
  standIn: { id: 'wanted' },
  words: ['wanted card', 'wanted cards'],
  line: 'table',
  told: true,
  inBackup: true,
  schema: (joi, { card }) =>
    joi.object({
      id: joi.valid('wanted').required(),
      card,
      number: joi.number().integer().min(1).max(LARGEST_PACK),
    }),
  glance: (row) => {
    const { card, number } = (row ?? {}) as WantedRow;
    return (card === undefined || isCard(card)) && (number === undefined || Number.isSafeInteger(number));
  },
  toFile: ({ card, ...row }) => (card === undefined ? row : { ...row, card: inFile.formatCard(card) }),
});
