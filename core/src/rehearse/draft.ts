import { Part, shouldBe } from '../deck/shape';
import { Step } from '../procedure/procedure';
import { SLOTS, STEPS, StepSlot } from '../procedure/steps';
import { countSteps, isTooLarge, MOST_STEPS } from './writtenParts';

type Fields = Readonly<Record<string, unknown>>;

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isText = (value: unknown): value is string => typeof value === 'string';
const isTexts = (value: unknown): boolean => Array.isArray(value) && value.every(isText);
const isEach = (value: unknown, is: (each: unknown) => boolean): boolean =>
  value === undefined || (isFields(value) && Object.values(value).every(is));

/** By slot: what must stand there for a step to be shown; what it means is read elsewhere. */
const SHOWN: Readonly<Partial<Record<StepSlot, (value: unknown) => boolean>>> = {
  name: isText,
  packet: isText,
  packets: isTexts,
  where: isText,
  weave: isText,
  text: isText,
  steps: (value) => isSteps(value),
  options: (value) =>
    Array.isArray(value) &&
    value.every((each) => isFields(each) && isText(each['words']) && isSteps(each['steps'])),
};

const isStep = (value: unknown): value is Step => {
  if (!isFields(value) || !isText(value['do']) || !Object.hasOwn(STEPS, value['do'])) return false;
  const kind = value['do'] as Step['do'];
  return SLOTS[kind].every(([field, slot]) => {
    const part = value[field];
    const optional = Object.hasOwn(STEPS[kind].more ?? {}, field);
    return (part === undefined && optional) || (SHOWN[slot]?.(part) ?? true);
  });
};

/** Whether a value is a list of steps that can be shown and mended, whatever is wrong with them. */
export const isSteps = (value: unknown): value is readonly Step[] =>
  !isTooLarge(value) && Array.isArray(value) && value.every(isStep);

const isLaid = (value: unknown): boolean =>
  Array.isArray(value) &&
  value.every(
    (part) =>
      isText(part) || (isFields(part) && ('indifferent' in part || ('first' in part && isTexts(part['of'])))),
  );

/** What a procedure that is being written must be: it can be shown and mended, and may be wrong in what it says. */
export const DRAFT: Part = (value) => {
  const so = 'a procedure of Enumeron: a name and a list of steps';
  if (!isFields(value) || isTooLarge(value) || !isText(value['name'])) return shouldBe(value, so);
  const { givens, packets, orders, steps } = value;
  for (const text of ['needs', 'set-up', 'reset', 'note'])
    if (value[text] !== undefined && !isText(value[text])) return shouldBe(value[text], 'a text');
  if (!isEach(givens, Number.isFinite)) return shouldBe(givens, 'numbers by name');
  if (!isEach(packets, isLaid)) return shouldBe(packets, 'cards by packet');
  if (!isEach(orders, isTexts)) return shouldBe(orders, 'cards by order');
  if (countSteps(steps) > MOST_STEPS) return shouldBe(steps, `a list of at most ${MOST_STEPS} steps`);
  return isSteps(steps) ? undefined : shouldBe(steps, 'a list of steps');
};
