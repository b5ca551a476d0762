import Joi from 'joi';
import { formatOrder, isCard, LARGEST_PACK, Outcome, Problem } from '@enumeron/core/deck';
import { TEXT_LIMIT } from './drafts';
import { nameProblem, OrderRow, StateRow } from './rows';

/**
 * What is checked of everything that comes from storage or from a file. This module brings Joi with it: load
 * it with `import()`.
 */

const card = Joi.number()
  .integer()
  .custom((value: unknown, helpers) => (isCard(value) ? value : helpers.error('any.invalid')));

const cards = Joi.array()
  .items(card)
  .unique()
  .min(1)
  .max(LARGEST_PACK)
  .messages({ 'array.unique': 'card {#pos} is there twice', 'array.max': 'there are more than 60 cards' });

const name = Joi.string()
  .required()
  .custom((value: string) => {
    const problem = nameProblem(value);
    if (problem) throw new Error(problem);
    return value;
  })
  .messages({ 'any.custom': '{#error.message}' });

const key = Joi.string()
  .pattern(/^[\w-]{1,64}$/)
  .required();

const time = Joi.number().integer().min(0).required();

const suits = Joi.array()
  .items(Joi.valid(0, 1, 2, 3))
  .unique()
  .length(4)
  .required();
const half = Joi.array().items(card).unique().length(26).required();
const ruleSchema = Joi.alternatives().conditional('.kind', {
  switch: [
    {
      is: 'rotating',
      then: Joi.object({
        kind: Joi.required(),
        first: card.required(),
        step: Joi.number().integer().min(1).max(12).required(),
        suits,
      }),
    },
    {
      is: 'rank row',
      then: Joi.object({
        kind: Joi.required(),
        ranks: Joi.array().items(Joi.number().integer().min(1).max(13)).unique().length(13).required(),
        suits,
      }),
    },
    { is: Joi.valid('mirrored halves', 'palindrome'), then: Joi.object({ kind: Joi.required(), half }) },
    {
      is: 'factory',
      then: Joi.object({
        kind: Joi.required(),
        suits,
        up: Joi.array().items(Joi.boolean()).length(4).required(),
      }),
    },
  ],
  otherwise: Joi.forbidden(),
});

const count = Joi.number().integer().min(0).max(120).required();
const weaveKind = Joi.valid('in', 'out').required();
const kindOf = (...kinds: string[]): Joi.Schema => Joi.valid(...kinds).required();
const moveSchema = Joi.alternatives().try(
  Joi.object({ kind: kindOf('cut', 'deal'), count }),
  Joi.object({ kind: kindOf('weave', 'unweave'), weave: weaveKind, top: count.optional() }),
  Joi.object({ kind: kindOf('weave packet', 'unweave packet'), weave: weaveKind, count }),
  Joi.object({ kind: kindOf('reverse packet'), from: count, to: count }),
  Joi.object({
    kind: kindOf('move packet'),
    from: count,
    to: count,
    after: count,
    reversed: Joi.boolean().required(),
  }),
  Joi.object({
    kind: kindOf('deal heaps', 'undeal heaps'),
    heaps: count,
    gather: Joi.array().items(count).unique().length(Joi.ref('heaps')).required(),
  }),
  Joi.object({ kind: kindOf('riffle'), seed: Joi.number().integer().required() }),
  Joi.object({
    kind: kindOf('overhand'),
    seed: Joi.number().integer().required(),
    chop: Joi.number().greater(0).max(1).required(),
  }),
  Joi.object({ kind: kindOf('take'), place: count, card }),
  Joi.object({ kind: kindOf('put'), place: count, card: card.required() }),
);

export const originSchema = Joi.alternatives().try(
  Joi.object({ kind: kindOf('rule'), rule: ruleSchema.required() }),
  Joi.object({
    kind: kindOf('bank'),
    bank: Joi.object({
      cards: cards.required(),
      places: Joi.array().items(count).unique().length(Joi.ref('cards.length')).required(),
      loose: Joi.boolean(),
    }).required(),
  }),
  Joi.object({
    kind: kindOf('random'),
    seed: Joi.number().integer().required(),
    conditions: Joi.object({
      ranksApart: Joi.boolean().required(),
      suitsApart: Joi.boolean().required(),
      colourRun: Joi.number().integer().min(1).max(60),
    }).required(),
  }),
  Joi.object({
    kind: kindOf('recipe'),
    base: cards.required(),
    moves: Joi.array().items(moveSchema).max(200).required(),
  }),
);

export const orderSchema = Joi.object<OrderRow>({
  id: key,
  name,
  cards: cards.required(),
  sample: Joi.boolean().required(),
  origin: originSchema,
  made: time,
  changed: time,
});

const samePack = (value: { home: number[]; now: number[] }, helpers: Joi.CustomHelpers): unknown =>
  formatOrder([...value.home].sort()) === formatOrder([...value.now].sort())
    ? value
    : helpers.message({ custom: 'the pack holds other cards than its order' });

const glimpse = Joi.object({ at: Joi.valid('face', 'top').required(), card: card.required() });

const laidPack = Joi.object({
  orderId: key,
  name,
  home: cards.required(),
  now: cards.required(),
  seen: glimpse,
});

export const packSchema = laidPack.keys({ id: Joi.valid('pack').required() }).custom(samePack);

export const besideSchema = Joi.object({
  id: Joi.valid('beside').required(),
  pack: laidPack.custom(samePack),
});

export const wantedSchema = Joi.object({
  id: Joi.valid('wanted').required(),
  card,
  number: Joi.number().integer().min(1).max(LARGEST_PACK),
});

const rank = Joi.number().integer().min(1).max(13).required();
const factSchema = Joi.alternatives().try(
  Joi.object({ kind: kindOf('cut') }),
  Joi.object({
    kind: kindOf('seen'),
    at: Joi.alternatives(
      Joi.valid('face', 'top'),
      Joi.number().integer().min(1).max(LARGEST_PACK),
    ).required(),
    card: card.required(),
  }),
  Joi.object({
    kind: kindOf('lift'),
    face: card,
    size: Joi.array().items(Joi.number().integer().min(0).max(LARGEST_PACK)).length(2),
  }),
  Joi.object({ kind: kindOf('cuts'), first: card.required(), second: card.required() }),
  Joi.object({ kind: kindOf('next ranks'), first: rank, second: rank }),
  Joi.object({ kind: kindOf('dealt'), count }),
  Joi.object({ kind: kindOf('taken'), count: Joi.valid(1, 2).required() }),
  Joi.object({ kind: kindOf('missing'), card: card.required() }),
  Joi.object({
    kind: kindOf('gap'),
    above: card.required(),
    below: card.required(),
    count: Joi.number().integer().min(1).max(9).required(),
  }),
  Joi.object({ kind: kindOf('row'), cards: Joi.array().items(card).min(2).max(LARGEST_PACK).required() }),
  Joi.object({ kind: kindOf('short group'), rank }),
  Joi.object({
    kind: kindOf('heap'),
    heaps: Joi.number().integer().min(2).max(13).required(),
    heap: Joi.number().integer().min(1).max(Joi.ref('heaps')).required(),
  }),
);

export const factsSchema = Joi.object({
  id: Joi.valid('facts').required(),
  pack: cards.required(),
  facts: Joi.array().items(factSchema).max(12).required(),
});

const fieldValue = Joi.alternatives(
  Joi.number().integer(),
  Joi.boolean(),
  Joi.array().items(Joi.number().integer()).max(LARGEST_PACK),
);

export const patternsSchema = Joi.object({
  id: Joi.valid('patterns').required(),
  values: Joi.object()
    .pattern(Joi.string().max(40), Joi.object().pattern(Joi.string().max(40), fieldValue))
    .required(),
});

export const toleranceSchema = Joi.object({
  shift: Joi.number().integer().min(0).max(LARGEST_PACK).required(),
  turnTheNext: Joi.boolean().required(),
  fromTheFace: Joi.boolean().required(),
  cut: Joi.boolean().required(),
  hold: Joi.boolean().required(),
});

export const settingsSchema = Joi.object({
  id: Joi.valid('settings').required(),
  theme: Joi.valid('system', 'paper', 'wings').required(),
  suitTints: Joi.boolean().required(),
  singleKeys: Joi.boolean().required(),
  tolerance: toleranceSchema,
});

const seededSchema = Joi.object({ id: Joi.valid('seeded').required(), at: time });

const stateSchema = Joi.alternatives()
  .conditional('.id', {
    switch: [
      { is: 'pack', then: packSchema },
      { is: 'beside', then: besideSchema },
      { is: 'wanted', then: wantedSchema },
      { is: 'facts', then: factsSchema },
      { is: 'patterns', then: patternsSchema },
      { is: 'settings', then: settingsSchema },
      { is: 'seeded', then: seededSchema },
    ],
  })
  .required();

/** Actions that a tab could not store before it was left. */
export const actionsSchema = Joi.array().items(
  Joi.object({
    label: Joi.string().max(300).required(),
    writes: Joi.array()
      .items(
        Joi.object({ table: Joi.valid('orders').required(), key, after: orderSchema }),
        Joi.object({ table: Joi.valid('state').required(), key, after: stateSchema.optional() }),
      )
      .required(),
  }),
);

export const draftSchema = Joi.object({
  id: key,
  name: Joi.string().allow('').max(1000).required(),
  text: Joi.string().allow('').max(TEXT_LIMIT).required(),
});

/** Checks a value without changing its types; the problems say which part is wrong. */
export const check = <Value>(schema: Joi.Schema, value: unknown): Outcome<{ value: Value }> => {
  const { error, value: checked } = schema.validate(value, { convert: false, abortEarly: false }) as {
    error?: Joi.ValidationError;
    value: Value;
  };
  if (!error) return { ok: true, value: checked };
  const problems = error.details.slice(0, 5).map(({ message, path }): Problem => ({
    where: path.join(' › ') || undefined,
    what: message.replaceAll('"', '').replace(/[^.]$/, '$&.'),
    remedy: 'Mend or remove that part.',
  }));
  return { ok: false, problems };
};

/** A row of the state table, or undefined when it is not one that this version writes. */
export const readState = (row: unknown): StateRow | undefined => {
  const outcome = check<StateRow>(stateSchema, row);
  return outcome.ok ? outcome.value : undefined;
};
