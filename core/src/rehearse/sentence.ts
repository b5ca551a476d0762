import { Form, slotsOf } from '../procedure/form';
import { formOf } from '../procedure/forms';
import { cardNamed } from '../procedure/laid';
import { byOf, Step } from '../procedure/procedure';
import { SLOTS, STEPS, StepSlot } from '../procedure/steps';
import { ALL_OF } from './phrases';
import { sayCard } from './sayCard';

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

/** How closely the parts of an expression hold together: what holds less closely stands in brackets inside another. */
const CLOSE: ReadonlyMap<string, number> = new Map([
  ['any', 1],
  ['all', 2],
  ['not', 3],
  ['equal', 4],
  ['less', 4],
  ['at most', 4],
  // What it lists has no end of its own: it would take up what comes behind it.
  ['least', 5],
  ['most', 5],
  ['remainder', 5],
  ['among', 5],
  ['around', 6],
  ['sum', 7],
  ['difference', 7],
  ['product', 8],
]);
const CLOSEST = 10;
/** What is listed stands in brackets unless it holds together more closely than this. */
const LISTED = 9;
const LISTS: ReadonlySet<string> = new Set([
  ...['least', 'most', 'remainder', 'how many of', 'first of', 'first among', 'among'],
]);

const closeness = (value: unknown): number => {
  if (typeof value !== 'object' || value === null) return CLOSEST;
  const name = Object.keys(value).find((field) => CLOSE.has(field));
  return (name === undefined ? undefined : CLOSE.get(name)) ?? CLOSEST;
};

/** An expression inside another that holds together so closely. */
const sayInside = (value: unknown, close: number): string => {
  const text = sayExpression(value);
  return closeness(value) > close ? text : `(${text})`;
};

/** What stands in a place of a step, in words. */
const sayPart = (value: unknown, between = ', '): string =>
  Array.isArray(value) ? value.map(sayExpression).join(between) : sayExpression(value);

/** A comparison is said of what is looked at, not of the number beside it. */
const TURNED: Readonly<Record<string, string>> = { less: 'is over', 'at most': 'is at least' };

const sayTurned = (fields: Readonly<Record<string, unknown>>): string | undefined => {
  const [name] = Object.keys(fields);
  const [first, second] = [fields[name]].flat();
  if (Object.hasOwn(TURNED, name) && typeof first === 'number' && typeof second !== 'number')
    return `${sayInside(second, 4)} ${TURNED[name]} ${sayExpression(first)}`;
  const inner = fields['not'];
  const [a, b] =
    name === 'not' && typeof inner === 'object' && inner !== null && 'equal' in inner
      ? [inner.equal].flat()
      : [];
  return a === undefined ? undefined : `${sayInside(a, 4)} is not ${sayInside(b, 4)}`;
};

/** An expression or a condition in words, which `readWords` reads again: `the stack number of c in home − 3`. */
export const sayExpression = (value: unknown): string => {
  if (typeof value === 'number') return value < 0 ? `−${-value}` : value.toString();
  if (typeof value === 'string') return value;
  if (typeof value !== 'object' || value === null) return '…';
  const fields = value as Readonly<Record<string, unknown>>;
  if (typeof fields['words'] === 'string') return fields['words'];
  const form = formOf(fields);
  if (form) return sayTurned(fields) ?? sayForm(form, fields);
  const card = typeof fields['card'] === 'string' ? cardNamed(fields['card']) : undefined;
  return card === undefined ? '…' : sayCard(card);
};

const sayForm = (form: Form, fields: Readonly<Record<string, unknown>>): string => {
  const slots = new Map(slotsOf(form));
  const says = withoutLeftOut(form.says, fields);
  // What ends the sentence, or is one of several, must not fall apart in another.
  const lists = Object.keys(fields).some((field) => LISTS.has(field));
  const close = lists ? LISTED : Math.min(closeness(fields), CLOSEST - 1);
  return says.replace(new RegExp(FIELD, 'g'), (found, field: string, between: string | undefined) => {
    const part = fields[field];
    if (Array.isArray(part)) return part.map((each) => sayInside(each, close)).join(between);
    if (slots.get(field) === 'these') return `${ALL_OF} ${sayExpression(part)}`;
    return says.endsWith(found) ? sayInside(part, close) : sayExpression(part);
  });
};

/** What is said without what is between brackets and has nothing in its field, or no. */
const withoutLeftOut = (says: string, fields: Readonly<Record<string, unknown>>): string =>
  says.replace(/\[([^\]]*)\]/g, (_, part: string) =>
    [undefined, false].includes(fields[FIELD.exec(part)?.[1] ?? ''] as undefined) ? '' : part,
  );

/** A step as one plain sentence behind who does it, its fields apart from the words between them. */
export const stepSentence = (step: Step): readonly SentencePart[] => {
  const fields = step as unknown as Readonly<Record<string, unknown>>;
  const slots = new Map(SLOTS[step.do]);
  return withoutLeftOut(STEPS[step.do].says, fields)
    .split(/(\{[^}]+\})/)
    .filter((piece) => piece !== '')
    .map((piece) => {
      const [, field, between] = FIELD.exec(piece) ?? [];
      const slot = slots.get(field);
      if (slot === 'flag') return { text: between };
      return slot ? { field, slot, text: sayPart(fields[field], between) } : { text: piece };
    });
};

/** What stands in the place of who does a step that nobody does, and the words of its sentence that it stands for. */
const LEADS: Readonly<Partial<Record<Step['do'], readonly [who: string, words: string]>>> = {
  if: ['if', 'if '],
  repeat: ['repeat', 'repeat '],
  require: ['asked', 'they were asked so that '],
  claim: ['must be', 'it must be so that '],
  'claim known': ['you know', 'you must know '],
  out: ['out', 'out: '],
};

/** Who does a step, or what kind it is where nobody does: a short word that its sentence goes on from. */
export const whoOf = (step: Step): string => sayWho(step) ?? LEADS[step.do]?.[0] ?? '';

export const sentenceBehindWho = (step: Step): readonly SentencePart[] => {
  const [first, ...others] = stepSentence(step);
  const lead = LEADS[step.do]?.[1] ?? '';
  const text =
    'field' in first || !first.text.startsWith(lead.trimEnd()) ? first.text : first.text.slice(lead.length);
  return 'field' in first ? [first, ...others] : [...(text === '' ? [] : [{ text }]), ...others];
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
