import Joi from 'joi';
import { Outcome, Problem } from '@enumeron/core/deck';
import { joiParts } from './joi-parts';
import { Kind } from './kind';

/** This module brings Joi with it: load it with `import()`, through `Reader`. */

const PARTS = joiParts(Joi);

/** How many problems of one value are told. */
const FEW = 3;

const schemas = new Map<Kind, Joi.Schema>();

const schemaOf = (kind: Kind): Joi.Schema => {
  const known = schemas.get(kind);
  if (known) return known;
  const made = kind
    .schema(Joi, PARTS)
    .required()
    .messages({ craft: 'is wrong', 'array.max': 'holds more than {#limit} items' })
    .prefs({ convert: false, abortEarly: true });
  schemas.set(kind, made);
  return made;
};

const problemOf = ({ context, message, path }: Joi.ValidationErrorItem): Problem => {
  const { problem } = (context ?? {}) as { problem?: Problem };
  const where = [
    ...path.map((part) => (typeof part === 'number' ? part + 1 : part.slice(0, 40))),
    problem?.where,
  ];
  return {
    where: where.filter((part) => part !== undefined).join(' › ') || undefined,
    what: problem?.what ?? `${message.replaceAll('"', '').slice(0, 300)}.`,
    remedy: problem?.remedy ?? 'Mend or remove that part.',
  };
};

/** Reads a row of a kind, stored or out of a file. A value that makes the check itself fail is a problem like others. */
export const readRow = <Row>(kind: Kind<Row>, value: unknown): Outcome<{ readonly row: Row }> => {
  try {
    const { error, value: row } = schemaOf(kind).validate(value) as {
      error?: Joi.ValidationError;
      value: Row;
    };
    return error ? { ok: false, problems: error.details.slice(0, FEW).map(problemOf) } : { ok: true, row };
  } catch {
    // Nested so deep that a check cannot go down to its end.
    return { ok: false, problems: [{ what: `This is no ${kind.words[0]}.`, remedy: 'Remove it.' }] };
  }
};
