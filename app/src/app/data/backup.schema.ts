import Joi from 'joi';
import { LARGEST_PACK, Outcome, parseCard } from '@enumeron/core/deck';
import { Tolerance } from '@enumeron/core/reckon';
import { nameProblem, Origin } from './rows';
import { readJson } from './read-json';
import { check, originSchema, toleranceSchema } from './schemas';

/** A pack as it lies. */
export interface PackBackup {
  readonly orderId: string;
  readonly name: string;
  readonly home: string;
  readonly now: string;
  readonly seen?: { readonly at: 'face' | 'top'; readonly card: string };
}

/** What a backup file holds; cards are written as in core's short names, times as ISO 8601. */
export interface Backup {
  readonly format: 'enumeron-backup';
  readonly version: 1;
  readonly made: string;
  readonly orders: readonly {
    readonly id: string;
    readonly name: string;
    readonly cards: string;
    readonly sample: boolean;
    /** Cards, suits and ranks in it are numbers, as docs/words.md numbers them. */
    readonly origin?: Origin;
    readonly made: string;
    readonly changed: string;
  }[];
  readonly pack?: PackBackup;
  /** The second pack of the set. */
  readonly beside?: PackBackup;
  readonly wanted?: { readonly card?: string; readonly number?: number };
  readonly settings?: {
    readonly theme: 'system' | 'paper' | 'wings';
    readonly suitTints: boolean;
    readonly singleKeys: boolean;
    readonly tolerance?: Tolerance;
  };
}

const sentence = (rule: (value: string) => string | undefined): Joi.StringSchema =>
  Joi.string()
    .custom((value: string, helpers) => {
      const problem = rule(value);
      return problem === undefined ? value : helpers.message({ custom: problem });
    })
    .required();

const cardsProblem = (text: string): string | undefined => {
  const names = text.split(' ');
  const wrong = names.find((name) => parseCard(name) === undefined);
  if (wrong !== undefined) return `“${wrong.slice(0, 20)}” is not a card`;
  const cards = names.map(parseCard);
  const doubled = names.find((_, index) => cards.indexOf(cards[index]) !== index);
  return doubled === undefined ? undefined : `${doubled} is there twice`;
};

const sameCards = (pack: { home: string; now: string }, helpers: Joi.CustomHelpers): unknown => {
  const sorted = (text: string): string => text.split(' ').sort().join(' ');
  return sorted(pack.home) === sorted(pack.now)
    ? pack
    : helpers.message({ custom: 'the pack holds other cards than its order' });
};

const cards = sentence(cardsProblem);
const card = sentence((text) =>
  parseCard(text) === undefined ? `“${text.slice(0, 20)}” is not a card` : undefined,
);
const name = sentence(nameProblem);
const key = Joi.string()
  .pattern(/^[\w-]{1,64}$/)
  .required();
const time = sentence((text) => (Number.isNaN(Date.parse(text)) ? 'this is not a time' : undefined));

const pack = Joi.object({
  orderId: key,
  name,
  home: cards,
  now: cards,
  seen: Joi.object({ at: Joi.valid('face', 'top').required(), card }),
}).custom(sameCards);

const backupSchema = Joi.object({
  format: Joi.valid('enumeron-backup').required(),
  version: Joi.valid(1).required(),
  made: time,
  orders: Joi.array()
    .items(
      Joi.object({
        id: key,
        name,
        cards,
        sample: Joi.boolean().required(),
        origin: originSchema,
        made: time,
        changed: time,
      }),
    )
    .unique('id')
    .max(5000)
    .required(),
  pack,
  beside: pack,
  wanted: Joi.object({ card: card.optional(), number: Joi.number().integer().min(1).max(LARGEST_PACK) }),
  settings: Joi.object({
    theme: Joi.valid('system', 'paper', 'wings').required(),
    suitTints: Joi.boolean().required(),
    singleKeys: Joi.boolean().required(),
    tolerance: toleranceSchema,
  }),
});

const refuse = (what: string, remedy: string): Outcome<{ backup: Backup }> => ({
  ok: false,
  problems: [{ what, remedy }],
});

const CHOOSE = 'Choose a file that Enumeron saved as a backup.';

/** Reads the text of a backup file. Everything in it is checked before anything of it is given out. */
export const parseBackup = async (text: string): Promise<Outcome<{ backup: Backup }>> => {
  const json = await readJson(text, CHOOSE);
  if (!json.ok) return json;
  const { value } = json;
  const { format, version } = (value ?? {}) as { format?: unknown; version?: unknown };
  if (format !== 'enumeron-backup') return refuse('The file is not a backup of Enumeron.', CHOOSE);
  if (typeof version === 'number' && version > 1)
    return refuse(
      `The backup was made by a newer Enumeron (version ${version} of the format, this one reads 1).`,
      'Reload to update Enumeron, then restore it.',
    );
  const outcome = check<Backup>(backupSchema, value);
  return outcome.ok ? { ok: true, backup: outcome.value } : outcome;
};
