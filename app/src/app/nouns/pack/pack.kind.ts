import { LAID_PACK, LaidPack, Problem, shape } from '@enumeron/core/deck';
import { makeName } from '@enumeron/core/file/formats/name';
import type Joi from 'joi';
import { inFile } from '../../storage/in-file';
import type { JoiParts } from '../../storage/joi-parts';
import { single } from '../../storage/kind';
import { TIDEMARK } from '../orders/tidemark';

/** A pack as it lies and the order that it came from. */
export interface NamedPack extends LaidPack {
  readonly orderId: string;
  readonly name: string;
}

/** The live pack. The last card seen is untrue after a move, which takes it away. */
export interface PackRow extends NamedPack {
  readonly id: 'pack';
}

/** What the fields of a pack must be, in hand or beside; `sameCards` holds over all of them. */
export const namedPack = (joi: Joi.Root, { card, cards, key, name }: JoiParts): Joi.ObjectSchema =>
  joi.object({
    orderId: key,
    name,
    home: cards,
    now: cards,
    seen: joi.object({ at: joi.valid('face', 'top').required(), card: card.required() }),
  });

/** The pack holds the cards of its home order. */
export const sameCards = (pack: NamedPack, helpers: Joi.CustomHelpers): unknown => {
  const problem = laidProblem(pack);
  return problem ? helpers.error('craft', { problem }) : pack;
};

const laidProblem = ({ home, now, seen }: LaidPack): Problem | undefined =>
  shape(LAID_PACK)({ home, now, seen }, {});

export const packInFile = ({ home, now, seen, ...pack }: NamedPack): unknown => ({
  ...pack,
  home: inFile.formatOrder(home),
  now: inFile.formatOrder(now),
  ...(seen && { seen: { ...seen, card: inFile.formatCard(seen.card) } }),
});

/** A pack whose name is as version 2 keeps names. */
export const withCleanName = (row: unknown): unknown => {
  const { name } = (row ?? {}) as { name?: unknown };
  return typeof name === 'string' ? { ...(row as object), name: makeName(name) } : row;
};

const { id: orderId, name, cards } = TIDEMARK;

export const PACK = single<PackRow>({
  name: 'pack',
  standIn: { id: 'pack', orderId, name, home: cards, now: cards },
  words: ['pack', 'packs'],
  line: 'table',
  inBackup: true,
  schema: (joi, parts) =>
    namedPack(joi, parts)
      .keys({ id: joi.valid('pack').required() })
      .custom(sameCards),
  glance: (row) => laidProblem((row ?? {}) as LaidPack) === undefined,
  migrate: { 2: withCleanName },
  toFile: packInFile,
});
