import type { WorkedOut } from '@enumeron/core/file/perform/workedOut';
import { WORKED_OUT_SHAPE } from '@enumeron/core/file/perform/workedOutShape';
import { single } from '../../storage/kind';

/** What was found of a pack of a routine as its procedure was: whether it still is, the stamp tells. */
export interface KeptWorkedOut {
  readonly stamp: string;
  /** What it needs and leaves; undefined where its procedure cannot be read. */
  readonly found?: WorkedOut;
}

/** What was found of the packs of routines; it can always be found anew. */
export interface WorkedOutRow {
  readonly id: 'worked-out';
  readonly packs: Readonly<Record<string, KeptWorkedOut>>;
}

/** How many are kept, and how long a stamp may be. */
export const MOST_WORKED_OUT = 400;
const STAMP = 60;

export const WORKED_OUT_PACKS = single<WorkedOutRow>({
  name: 'worked out',
  standIn: { id: 'worked-out', packs: {} },
  words: ['note of what routines need and leave', 'notes of what routines need and leave'],
  line: undefined,
  told: true,
  inBackup: false,
  schema: (joi, { key, craft }) =>
    joi.object({
      id: joi.valid('worked-out').required(),
      packs: joi
        .object()
        .pattern(
          key,
          joi.object({ stamp: joi.string().max(STAMP).required(), found: craft(WORKED_OUT_SHAPE) }),
        )
        .max(MOST_WORKED_OUT)
        .required(),
    }),
});
