import { showValue } from '../deck/shape';
import { Form, Kind, Slot, slotsOf } from '../procedure/form';
import { formOf } from '../procedure/forms';
import {
  Fields,
  Found,
  found,
  isCardName,
  isFields,
  isName,
  isText,
  isWhole,
  LONGEST_NAME,
  missing,
  noCard,
} from './writtenParts';

/** What is known of a name: whether the performer knows it, and what it holds. */
export interface Named {
  readonly known: boolean;
  readonly kind: Kind | undefined;
}

/** What may be used at a step of a procedure that is read. */
export interface Known {
  readonly version: 1 | 2;
  readonly givens: Readonly<Record<string, number>>;
  readonly orders: ReadonlySet<string>;
  /** Every name that a step has given so far, and those that were given on every way to the step. */
  readonly names: ReadonlyMap<string, Named>;
  readonly scope: ReadonlySet<string>;
  /** Whether only what the performer knows may be used. */
  readonly restricted: boolean;
}

/** What is wrong in an expression, or what it gives, where that is clear. */
interface Read {
  readonly problem?: Found;
  readonly kind?: Kind;
}

/** What stands in each item of a list. */
const INSIDE = {
  ...{ numbers: 'number', twoNumbers: 'number', alike: 'value', conditions: 'condition', these: 'card' },
} as const satisfies Partial<Record<Slot, Slot>>;

const NOT_ALIKE = found('A card is not a number.', 'Compare two cards or two numbers.');

const fit = (kind: Kind | undefined, slot: Slot): { readonly problem?: Found; readonly kind?: Kind } => {
  if (slot === 'condition')
    return {
      problem: found(
        'This is a number or a card; a condition goes here, such as “cut < 20”.',
        'Write a condition.',
      ),
    };
  if (slot === 'value' || kind === undefined || slot === kind) return { kind };
  return {
    problem: found('A card is not a number.', slot === 'number' ? 'Write a number.' : 'Write a card.'),
  };
};

/**
 * Reads an expression or condition where one of a slot's kind must stand: what is wrong in it, or what it gives.
 *
 * @param known what may be used at the step in which it stands.
 */
export const readExpression = (value: unknown, slot: Slot, known: Known): Read => {
  switch (slot) {
    case 'numbers':
    case 'twoNumbers':
    case 'alike':
    case 'conditions':
      return readList(value, slot, known);
    case 'packet':
      return isName(value) ? {} : { problem: missing('a packet', 'Name a packet.') };
    case 'towards':
      return value === 'face' || value === 'top' ? {} : { problem: missing('towards', 'Write face or top.') };
    case 'these':
      if (Array.isArray(value)) return readList(value, slot, known);
      return readExpression(value, 'order', known);
    case 'order':
      return typeof value === 'string' && known.orders.has(value)
        ? {}
        : {
            problem: found(
              typeof value === 'string'
                ? `There is no order “${value.slice(0, LONGEST_NAME)}”.`
                : `This is ${showValue(value)}, and no order.`,
              'Name one that the procedure has.',
            ),
          };
  }
  if (typeof value === 'number') {
    if (!isWhole(value))
      return { problem: found('This number is not whole, or too large.', 'Write a whole number.') };
    return fit('number', slot);
  }
  if (typeof value === 'string') return readNameIn(value, slot, known);
  if (!isFields(value))
    return { problem: found('Something is missing here.', 'Write a number or what to look at.') };
  if ('card' in value && !formOf(value))
    return isCardName(value['card'])
      ? fit('card', slot)
      : {
          problem: found(noCard(value['card']), 'Write a card like 7D, TC or X1.'),
        };
  const form = formOf(value);
  if (!form && isText(value['words']))
    return {
      problem: value['words'].trim()
        ? found(
            `“${value['words']}” is not understood.`,
            'Write it another way, such as first cut − 1 or the rank of seen.',
          )
        : found('Something is missing here.', 'Write a number or what to look at.'),
    };
  if (!form)
    return {
      problem: found('This says nothing that is known here.', 'Choose what to look at or work out.'),
    };
  return readForm(form, value, slot, known);
};

const readForm = (form: Form, value: Fields, slot: Slot, known: Known): Read => {
  if (known.restricted && form.looks)
    return {
      problem: found(
        'The performer would look at the table here.',
        'See it in a step first, and use its name.',
      ),
    };
  if (form.since === 2 && known.version === 1)
    return {
      problem: found('This is known from version 2 of the language on.', 'Write “version”: 2 in the file.'),
    };
  for (const [field, inner] of slotsOf(form)) {
    if (value[field] === undefined && Object.hasOwn(form.more ?? {}, field)) continue;
    const { problem } = readExpression(value[field], inner, known);
    if (problem) return { problem };
  }
  if (form.gives === 'condition')
    return slot === 'condition'
      ? {}
      : {
          problem: found(
            'This is a yes-or-no condition; a number or a card goes here.',
            'Write a number or a card.',
          ),
        };
  return fit(form.gives, slot);
};

const readList = (value: unknown, slot: Slot, known: Known): Read => {
  const many = slot === 'numbers' || slot === 'conditions' || slot === 'these';
  if (!Array.isArray(value) || (many ? value.length === 0 : value.length !== 2))
    return {
      problem: found('This is no list of the right length.', many ? 'Write one or more.' : 'Write two.'),
    };
  const inner = INSIDE[slot as keyof typeof INSIDE];
  const read = value.map((each) => readExpression(each, inner, known));
  const problem = read.find((each) => each.problem)?.problem;
  if (problem) return { problem };
  const kinds = new Set(read.map(({ kind }) => kind).filter(Boolean));
  return slot === 'alike' && kinds.size > 1 ? { problem: NOT_ALIKE } : {};
};

const readNameIn = (name: string, slot: Slot, known: Known): Read => {
  if (Object.hasOwn(known.givens, name)) return fit('number', slot);
  const named = known.names.get(name);
  if (!named || !known.scope.has(name))
    return {
      problem: found(
        named ? `“${name}” is not given on every way that leads here.` : `“${name}” is not given.`,
        'Choose, see or work it out before known.',
      ),
    };
  if (known.restricted && !named.known)
    return { problem: found(`The performer does not know “${name}”.`, 'Let it be told or seen first.') };
  return fit(named.kind, slot);
};
