import { single } from '../../storage/kind';

/** What was found of a procedure as it was: whether it still is, its stamp tells. */
export interface KeptVerdict {
  readonly stamp: string;
  /** As `sayVerdict` says it. */
  readonly says: string;
  /** How its cases end, in two digits for each part of them. */
  readonly picture: string;
  readonly group: (typeof VERDICT_GROUPS)[number];
  /** The share of the cases in which it works, outs apart; where that is known. */
  readonly share?: number;
  /** How likely it works, by the likelihoods of its choices. */
  readonly chance?: number;
}

/** Whether it always works, has outs, fails, is left to chance, or cannot be judged yet. */
export const VERDICT_GROUPS = ['always', 'outs', 'fails', 'chance', 'unfinished'] as const;

/** What was found of procedures, by their ids, and of procedures done with orders; it can always be found anew. */
export interface VerdictsRow {
  readonly id: 'verdicts';
  readonly found: Readonly<Record<string, KeptVerdict>>;
}

/** How many are kept, and how long one may be. */
export const MOST_VERDICTS = 2000;
const [SAYS, PICTURE, STAMP] = [200, 100, 40];

export const VERDICTS = single<VerdictsRow>({
  name: 'verdicts',
  standIn: { id: 'verdicts', found: {} },
  words: ['note of what was found of procedures', 'notes of what was found of procedures'],
  line: undefined,
  told: true,
  inBackup: false,
  schema: (joi, { key }) =>
    joi.object({
      id: joi.valid('verdicts').required(),
      found: joi
        .object()
        .pattern(
          key,
          joi.object({
            stamp: joi.string().max(STAMP).required(),
            says: joi.string().max(SAYS).required(),
            picture: joi.string().max(PICTURE).allow('').required(),
            group: joi.valid(...VERDICT_GROUPS).required(),
            share: joi.number().min(0).max(1),
            chance: joi.number().min(0).max(1),
          }),
        )
        .max(MOST_VERDICTS)
        .required(),
    }),
});
