import { LARGEST_PACK } from '../deck/card';
import { Outcome, Problem } from '../deck/problem';
import { Quantity, Start, Step } from './step';

/** A quantity with its names looked up: a number, a value's index or a packet's index, and what is added. */
export interface Amount {
  readonly kind: 'number' | 'value' | 'size';
  readonly index: number;
  readonly plus: number;
}

/** Steps that have been checked, with packets and names as indices: what the interpreter runs. */
export interface Program {
  readonly steps: readonly Step[];
  readonly start: Start;
  readonly packets: readonly string[];
  readonly names: readonly string[];
  readonly amount: (quantity: Quantity) => Amount;
}

/** The packets that a step speaks of. */
const packetsOf = (step: Step): readonly string[] => {
  switch (step.do) {
    case 'cut':
    case 'flip':
    case 'deal heaps':
      return [step.packet];
    case 'lift':
    case 'deal':
    case 'take':
      return [step.from, step.onto];
    case 'put':
      return [step.packet, step.other];
    case 'insert':
      return [step.packet, step.into];
    case 'see':
      return [step.sight.packet];
    default:
      return [];
  }
};

/** The quantities that a step needs. */
const quantitiesOf = (step: Step): readonly Quantity[] => {
  switch (step.do) {
    case 'choose':
      return [step.from, step.to];
    case 'cut':
    case 'lift':
    case 'deal':
      return [step.count];
    case 'take':
    case 'insert':
      return [step.place];
    case 'see':
      return step.sight.of === 'size' ? [] : [step.sight.place];
    case 'require':
      return [step.number, step.from, step.to];
    case 'require remainder':
      return [step.number];
    default:
      return [];
  }
};

const nameGiven = (step: Step): string | undefined =>
  step.do === 'choose' || step.do === 'see' ? step.name : undefined;

/**
 * Checks steps and makes them ready to be run.
 *
 * @returns the program, or for each ill-formed step what is wrong: a name that nothing has given before, a
 *   packet put onto itself, or more cards than a table holds.
 */
export const compile = (start: Start, steps: readonly Step[]): Outcome<{ program: Program }> => {
  const packets = [...new Set([...Object.keys(start), ...steps.flatMap(packetsOf)])];
  const names: string[] = [];
  const problems: Problem[] = [];
  const cards = Object.values(start).reduce((sum, packet) => sum + packet.length, 0);
  if (cards > LARGEST_PACK)
    problems.push({ what: `There are ${cards} cards.`, remedy: `Take at most ${LARGEST_PACK}.` });
  steps.forEach((step, index) => {
    const where = `Step ${index + 1}`;
    for (const quantity of quantitiesOf(step)) {
      if (typeof quantity === 'number') continue;
      if ('name' in quantity && !names.includes(quantity.name))
        problems.push({
          where,
          what: `“${quantity.name}” is not known yet.`,
          remedy: 'Choose or see it first.',
        });
      if ('sizeOf' in quantity && !packets.includes(quantity.sizeOf))
        problems.push({
          where,
          what: `There is no packet “${quantity.sizeOf}”.`,
          remedy: 'Name one that is there.',
        });
    }
    const [one, ...others] = packetsOf(step);
    if (others.includes(one))
      problems.push({ where, what: `“${one}” would go onto itself.`, remedy: 'Name another packet.' });
    const name = nameGiven(step);
    if (name !== undefined && !names.includes(name)) names.push(name);
  });
  if (problems.length > 0) return { ok: false, problems };
  const amount = (quantity: Quantity): Amount => {
    if (typeof quantity === 'number') return { kind: 'number', index: 0, plus: quantity };
    return 'name' in quantity
      ? { kind: 'value', index: names.indexOf(quantity.name), plus: quantity.plus ?? 0 }
      : { kind: 'size', index: packets.indexOf(quantity.sizeOf), plus: quantity.plus ?? 0 };
  };
  return { ok: true, program: { steps, start, packets, names, amount } };
};
