import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { numberOrder } from '../deck/order';
import { freedomFits } from './laying';
import { parseOrigin } from './origin';
import {
  describeRule,
  headRecipe,
  ORDER_RULES,
  orderByRule,
  parseRule,
  Rule,
  stackNumberByRule,
} from './rule';
import { RuleField } from './rules/orderRule';

const docs = readFileSync(join(__dirname, '../../../docs/code/arranging.md'), 'utf8');
const KINDS = Object.keys(ORDER_RULES) as Rule['kind'][];

const startsOf = (fields: readonly RuleField[]): Record<string, string> =>
  Object.fromEntries(fields.map(({ name, start }) => [name, start]));

const ruleOf = (kind: Rule['kind']): Rule => {
  const { fields, read } = ORDER_RULES[kind];
  const outcome = read(startsOf(fields));
  if (!outcome.ok) throw new Error(outcome.problems[0].what);
  return outcome.rule;
};

test.each(KINDS)('%s is given, read, computed, told and described in the docs', (kind) => {
  const { fields, name, says } = ORDER_RULES[kind];
  const rule = ruleOf(kind);
  expect(rule.kind).toBe(kind);
  expect(parseRule(structuredClone(rule))).toEqual({ ok: true, rule });
  expect(parseOrigin({ kind: 'rule', rule }).ok).toBe(true);
  const outcome = orderByRule(rule);
  if (!outcome.ok) throw new Error(outcome.problems[0].what);
  const out = rule.kind === 'spaced run' ? rule.out : [];
  expect([...outcome.order, ...out].sort((a, b) => a - b)).toEqual(numberOrder());
  expect(describeRule(rule)).not.toBe('');
  expect(says).toMatch(/^[A-Z].*\.$/);
  expect(docs.toLowerCase()).toContain(name.toLowerCase());
  expect(new Set(fields.map((field) => field.name)).size).toBe(fields.length);
});

test.each(KINDS)('%s: whatever is written is read or refused in words, and never breaks it', (kind) => {
  const { fields, read } = ORDER_RULES[kind];
  for (const { name } of fields)
    for (const text of ['', ' ', '0', '-1', '1e9', 'QQ', '7D', '+', 'D S H C C', 'X1', 'x'.repeat(500)]) {
      const outcome = read({ ...startsOf(fields), [name]: text });
      const computed = outcome.ok ? orderByRule(outcome.rule) : outcome;
      if (!computed.ok) {
        expect(computed.problems[0].what).toMatch(/\S.*\.$/);
        expect(computed.problems[0].remedy).toMatch(/\S.*\.$/);
      } else if (outcome.ok) expect(parseRule(outcome.rule).ok).toBe(true);
    }
});

test.each(KINDS)('%s: what is put at random is another rule of the kind', (kind) => {
  const { fields, read } = ORDER_RULES[kind];
  for (const { name, another, start } of fields)
    for (const seed of another ? [2, 3, 40] : []) {
      const text = another?.make(seed) ?? '';
      expect(text).not.toBe(start);
      const outcome = read({ ...startsOf(fields), [name]: text });
      expect(outcome.ok && orderByRule(outcome.rule).ok).toBe(true);
    }
});

test.each(KINDS)('%s: its sum and its freedom are true of its order', (kind) => {
  const { head, matesFree } = ORDER_RULES[kind];
  const rule = ruleOf(kind);
  const outcome = orderByRule(rule);
  if (!outcome.ok) throw new Error('no order');
  for (const [index, card] of outcome.order.entries()) {
    expect(headRecipe(rule, card) === undefined).toBe(head === undefined);
    if (rule.kind === 'rotating' || rule.kind === 'rank row')
      expect(stackNumberByRule(rule, card)).toBe(index + 1);
  }
  for (const free of ['mirrored halves', 'palindrome'] as const)
    if (free === kind) expect(matesFree && freedomFits({ kind: free }, outcome.order)).toBe(true);
});

test('fields of one name are one field, whichever rule is given it', () => {
  const all = KINDS.flatMap((kind) => ORDER_RULES[kind].fields);
  for (const field of all) expect(all.find(({ name }) => name === field.name)).toBe(field);
});
