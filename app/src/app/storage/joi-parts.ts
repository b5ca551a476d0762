import type Joi from 'joi';
import { cardList, isCard, parseCard, Part, Problem } from '@enumeron/core/deck';
import { parseOrigin } from '@enumeron/core/file/arrange/origin';
import { parseName } from '@enumeron/core/file/formats/name';

/** What the schemas of several kinds are made of. */
export interface JoiParts {
  /** A key: letters, digits, `_` and `-`. `new` is the address of an order that is being made, and no key. */
  readonly key: Joi.Schema;
  readonly name: Joi.Schema;
  /** Milliseconds since 1970, or such a time as ISO 8601 writes it. */
  readonly time: Joi.Schema;
  /** A card as its number, or as its short name. */
  readonly card: Joi.Schema;
  /** A whole pack or a part of one, each card once: numbers, or short names with blanks between them. */
  readonly cards: Joi.Schema;
  /** How an order was made. */
  readonly origin: Joi.Schema;
  /** How well an item is held: the state of its schedule. */
  readonly memory: Joi.ObjectSchema;
  /** What every stored answer has: whose it is, when and how it was given. */
  readonly answer: Readonly<Record<string, Joi.Schema>>;
  /** What core reads. */
  craft(part: Part): Joi.Schema;
}

/** The last moment that a `Date` can hold. */
const END_OF_TIME = 8.64e15;

/** The longest text that is read as cards. */
const CARDS_TEXT = 400;

const cardOf = (value: unknown): unknown => (typeof value === 'string' ? parseCard(value) : value);

const cardsOf = (value: unknown): unknown =>
  typeof value === 'string' && value.length <= CARDS_TEXT ? value.split(' ').map(cardOf) : value;

const timeOf = (value: unknown): unknown =>
  typeof value === 'string' && /^\d{4}-\d\d-\d\dT/.test(value) ? Date.parse(value) : value;

const memorySchema = (joi: Joi.Root): Joi.ObjectSchema => {
  const positive = joi.number().min(0).max(1e9).required();
  const moment = joi.number().integer().min(0).max(END_OF_TIME).required();
  // What was never answered has no memory that is stored.
  return joi.object({
    due: moment,
    stability: positive.greater(0),
    difficulty: joi.number().min(1).max(10).required(),
    state: joi.valid(1, 2, 3).required(),
    scheduled: positive,
    step: positive,
    reps: positive,
    lapses: positive,
    last: moment,
  });
};

export const joiParts = (joi: Joi.Root): JoiParts => {
  /** A value that a function takes or refuses; the problem comes out as it is. */
  const by = (read: (value: unknown) => { value: unknown } | { problem: Problem }): Joi.Schema =>
    joi.any().custom((value: unknown, helpers) => {
      const outcome = read(value);
      return 'problem' in outcome ? helpers.error('craft', { problem: outcome.problem }) : outcome.value;
    });
  const craft = (part: Part, make: (value: unknown) => unknown = (value) => value): Joi.Schema =>
    by((stored) => {
      const value = make(stored);
      const problem = part(value, {});
      return problem ? { problem } : { value };
    });
  const time = by((stored) => {
    const value = timeOf(stored);
    return Number.isSafeInteger(value) && (value as number) >= 0 && (value as number) <= END_OF_TIME
      ? { value }
      : {
          problem: { what: 'This is no time since 1970.', remedy: 'Write it as 2026-11-25T20:15:00.000Z.' },
        };
  }).required();
  const key = joi
    .string()
    .pattern(/^[\w-]{1,64}$/)
    .invalid('new')
    .required();
  return {
    craft,
    key,
    time,
    answer: {
      id: key,
      order: joi.string().max(64).required(),
      at: time,
      answered: joi.string().max(40).allow('').required(),
      right: joi.boolean().required(),
      ms: joi.number().min(0).max(1e9).required(),
      interrupted: joi.valid(true),
      withdrawn: joi.valid(true),
      sample: joi.valid(true),
    },
    name: by((value) => {
      const outcome = parseName(value);
      return outcome.ok ? { value } : { problem: outcome.problems[0] };
    }).required(),
    card: by((stored) => {
      const value = cardOf(stored);
      return isCard(value) ? { value } : { problem: { what: 'This is no card.', remedy: 'Write it as 7D.' } };
    }),
    cards: craft(cardList(1), cardsOf).required(),
    memory: memorySchema(joi),
    origin: craft((value) => {
      const outcome = parseOrigin(value);
      return outcome.ok ? undefined : outcome.problems[0];
    }),
  };
};
