import { single } from '../../storage/kind';
import { NamedPack, namedPack, packInFile, sameCards, withCleanName } from './pack.kind';

/** Another pack of the set, as it lies beside the one in use. */
export interface BesideRow {
  readonly id: 'beside';
  readonly pack?: NamedPack;
}

export const BESIDE = single<BesideRow>({
  name: 'beside',
  standIn: { id: 'beside' },
  words: ['second pack', 'second packs'],
  line: 'table',
  inBackup: true,
  schema: (joi, parts) =>
    joi.object({ id: joi.valid('beside').required(), pack: namedPack(joi, parts).custom(sameCards) }),
  migrate: {
    2: (row) => {
      const { pack } = (row ?? {}) as { pack?: unknown };
      return pack === undefined ? row : { ...(row as object), pack: withCleanName(pack) };
    },
  },
  toFile: ({ id, pack }) => ({ id, ...(pack && { pack: packInFile(pack) }) }),
});
