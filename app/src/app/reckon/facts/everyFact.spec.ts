import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Field, Values } from '@enumeron/core/form';
import { numberOrder } from '@enumeron/core/deck';
import { deduce, describeFact, Fact, FACT_FORMS, parseFact } from '@enumeron/core/reckon/facts';
import { ask } from '../../frame/ask/ask';
import { FACT_WORDS } from '../../frame/ask/ask-facts';

/** One fact of each kind that is true of a pack in its own order. A kind that is not here does not compile. */
const SAMPLES: { readonly [Kind in Fact['kind']]: Extract<Fact, { kind: Kind }> } = {
  cut: { kind: 'cut' },
  seen: { kind: 'seen', at: 'face', card: 51 },
  lift: { kind: 'lift', face: 9, size: [8, 12] },
  cuts: { kind: 'cuts', first: 9, second: 30 },
  'next ranks': { kind: 'next ranks', first: 4, second: 5 },
  dealt: { kind: 'dealt', count: 9 },
  taken: { kind: 'taken', count: 1 },
  missing: { kind: 'missing', card: 12 },
  gap: { kind: 'gap', above: 3, below: 5, count: 1 },
  row: { kind: 'row', cards: [7, 8, 9] },
  'short group': { kind: 'short group', rank: 7 },
  heap: { kind: 'heap', heaps: 4, heap: 2 },
};

/** These have no word of their own: they are told as moves, or on Reckon's sheet alone. */
const WORDLESS: readonly Fact['kind'][] = ['seen', 'dealt', 'taken', 'row'];

const docs = readFileSync(join(__dirname, '../../../../../docs/code/reckoning.md'), 'utf8');
const pack = numberOrder();

/** A value that a field takes. */
const valueFor = ({ kind, start, least }: Field): Values[string] =>
  kind === 'cards' ? [3, 4] : kind === 'numbers' ? [1, 2, 3, 4] : (start ?? least ?? 3);

test.each(Object.values(SAMPLES).map((fact) => [fact.kind, fact] as const))(
  '%s is read, told, deduced from, and stands in the docs',
  (kind, fact) => {
    expect(parseFact(structuredClone(fact))).toEqual({ ok: true, fact });
    expect(describeFact(fact)).toMatch(/^[A-Z0-9].*[^.]$/);
    expect(deduce(pack, [fact])?.states ?? 0).toBeGreaterThan(0);
    expect(docs).toContain(`\`${kind}\``);
  },
);

test('each kind has a form that makes it, and a word or a reason to have none', () => {
  const made = FACT_FORMS.map(({ fields, make }) =>
    make(Object.fromEntries(fields.map((field) => [field.name, valueFor(field)]))),
  );
  for (const fact of made) expect(parseFact(fact)).toEqual({ ok: true, fact });
  expect(new Set(made.map(({ kind }) => kind))).toEqual(new Set(Object.keys(SAMPLES)));

  const asked = { home: pack, now: pack, tolerance: {} as never };
  const told = FACT_WORDS.flatMap(({ usage }) => {
    const { intent } = ask(usage, asked);
    return intent?.do === 'tell' ? [intent.fact.kind] : [];
  });
  expect(new Set([...told, ...WORDLESS])).toEqual(new Set(Object.keys(SAMPLES)));
});
