import { showCard } from '../deck/notation';
import { formOf } from '../procedure/forms';
import { cardNamed } from '../procedure/laid';
import { byOf, Step } from '../procedure/procedure';
import { SLOTS, STEPS, StepSlot } from '../procedure/steps';
import { INDIFFERENT } from '../procedure/table';

/** A piece of a step's sentence: words, or a field of the step with what is in it. */
export type SentencePart =
  { readonly text: string } | { readonly field: string; readonly slot: StepSlot; readonly text: string };

/** Steps that nobody does: where a routine branches, and what must be so. */
const NOBODY: ReadonlySet<Step['do']> = new Set(['if', 'repeat', 'require', 'claim', 'claim known', 'out']);

/** Who does a step, as it begins its sentence; undefined where nobody does. */
export const sayWho = (step: Step): 'they' | 'you' | 'all' | undefined => {
  if (NOBODY.has(step.do)) return undefined;
  const by = byOf(step);
  return by === 'helper' ? 'they' : by === 'all' ? 'all' : 'you';
};

const FIELD = /\{([^}|]+)(?:\|([^}]*))?\}/;

/** What stands in a place of an expression or a step, in words. */
const sayPart = (value: unknown, between = ', '): string =>
  Array.isArray(value) ? value.map((each) => sayInside(each)).join(between) : sayInside(value, true);

/** Where one list stands in another, brackets tell which belongs to which. */
const sayInside = (value: unknown, alone = false): string => {
  const text = sayExpression(value);
  if (alone || typeof value !== 'object' || value === null) return text;
  const joins = Object.keys(value).some((name) => JOINED.has(name));
  return joins ? `(${text})` : text;
};

const JOINED: ReadonlySet<string> = new Set(['sum', 'difference', 'product', 'around', 'all', 'any']);

/** An expression or a condition in words: `stack number of c in home − 3`. */
export const sayExpression = (value: unknown): string => {
  if (typeof value === 'number') return value < 0 ? `−${-value}` : value.toString();
  if (typeof value === 'string') return value;
  if (typeof value !== 'object' || value === null) return '…';
  const fields = value as Readonly<Record<string, unknown>>;
  const form = formOf(fields);
  if (form)
    return form.says.replace(new RegExp(FIELD, 'g'), (_, field: string, between: string | undefined) =>
      sayPart(fields[field], between),
    );
  const card = typeof fields['card'] === 'string' ? cardNamed(fields['card']) : undefined;
  return card === undefined ? '…' : card === INDIFFERENT ? 'an indifferent card' : showCard(card);
};

/** A step as one plain sentence behind who does it, its fields apart from the words between them. */
export const stepSentence = (step: Step): readonly SentencePart[] => {
  const fields = step as unknown as Readonly<Record<string, unknown>>;
  const slots = new Map(SLOTS[step.do]);
  const says = STEPS[step.do].says.replace(/\[([^\]]*)\]/g, (_, part: string) =>
    fields[FIELD.exec(part)?.[1] ?? ''] === undefined ? '' : part,
  );
  return says
    .split(/(\{[^}]+\})/)
    .filter((piece) => piece !== '')
    .map((piece) => {
      const [, field, between] = FIELD.exec(piece) ?? [];
      const slot = slots.get(field);
      return slot ? { field, slot, text: sayPart(fields[field], between) } : { text: piece };
    });
};

/** A step as one line of text. */
export const sayStep = (step: Step): string =>
  [
    sayWho(step) ?? [],
    stepSentence(step)
      .map(({ text }) => text)
      .join(''),
  ]
    .flat()
    .join(' ');
