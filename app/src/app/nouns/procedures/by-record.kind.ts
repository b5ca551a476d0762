import { Kind, single } from '../../storage/kind';

/** By what of the record a choice is weighed. */
export interface WeighedBy {
  /** The key of the instruction (`instructionKey`), and its words as they are said. */
  readonly key: string;
  readonly said: string;
  /** Only before this audience; every one where none is told. */
  readonly audience?: string;
  /** Trials with a friend count, too. */
  readonly practice?: true;
}

/** The choices of a procedure that are weighed by the record: its text keeps what it states. */
export interface ByRecordRow {
  /** The procedure’s id. */
  readonly id: string;
  /** By the name of what is chosen. */
  readonly choices: Readonly<Record<string, WeighedBy>>;
  readonly sample?: true;
}

/** What a choice is weighed by, as it was worked out last. */
export interface FittedChoice {
  readonly procedure: string;
  readonly name: string;
  /** How many choices it stands on; how many it stood on before the record grew, until that was told. */
  readonly n: number;
  readonly before?: number;
  /** The first value, and the chance of each. */
  readonly from: number;
  readonly chances: readonly number[];
}

/** How long an act takes by the record. */
export interface FittedSeconds {
  readonly act: string;
  /** So many times what the table says. */
  readonly ratio: number;
  readonly n: number;
}

export interface FittedRow {
  readonly id: 'fitted';
  readonly choices: readonly FittedChoice[];
  readonly seconds: readonly FittedSeconds[];
}

const [MOST_CHOICES, MOST_VALUES, MOST_FITTED] = [100, 400, 2000];

export const BY_RECORD: Kind<ByRecordRow> = {
  name: 'by record',
  table: 'byRecord',
  stores: 'id',
  keyOf: ({ id }) => id,
  words: ['procedure weighed by the record', 'procedures weighed by the record'],
  line: 'table',
  inBackup: true,
  most: 10_000,
  schema: (joi, { key }) =>
    joi.object({
      id: key,
      choices: joi
        .object()
        .pattern(
          joi.string().max(80).required(),
          joi.object({
            ...{ key: joi.string().max(4200).required(), said: joi.string().max(4000).allow('').required() },
            ...{ audience: joi.string().max(80).allow(''), practice: joi.valid(true) },
          }),
        )
        .max(MOST_CHOICES)
        .required(),
      sample: joi.valid(true),
    }),
};

/** Worked out of the nights, and kept so that no other room reads them. */
export const FITTED = single<FittedRow>({
  name: 'fitted',
  standIn: { id: 'fitted', choices: [], seconds: [] },
  words: ['fit of the record', 'fits of the record'],
  line: undefined,
  inBackup: true,
  schema: (joi) =>
    joi.object({
      id: joi.valid('fitted').required(),
      choices: joi
        .array()
        .max(MOST_FITTED)
        .items(
          joi.object({
            ...{ procedure: joi.string().max(100).required(), name: joi.string().max(80).required() },
            ...{ n: joi.number().integer().min(0).required(), before: joi.number().integer().min(0) },
            from: joi.number().integer().required(),
            chances: joi.array().items(joi.number().min(0).max(1)).min(1).max(MOST_VALUES).required(),
          }),
        )
        .required(),
      seconds: joi
        .array()
        .max(MOST_CHOICES)
        .items(
          joi.object({
            ...{ act: joi.string().max(40).required(), ratio: joi.number().min(0).max(1e6).required() },
            n: joi.number().integer().min(0).required(),
          }),
        )
        .required(),
    }),
});
