import fc from 'fast-check';
import { ROWS } from '../../testing/kind-rows';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import rowsOf8 from '../../testing/rows-8.json';
import { readRow } from '../storage/check';
import { Kind, kindIn, migrated } from '../storage/kind';
import { DATA_VERSION, KINDS, kindNamed } from './kinds';

test('every kind has all its parts, and rows to be tried with', () => {
  expect(Object.keys(ROWS).sort()).toEqual(KINDS.map(({ name }) => name).sort());
  const stores = new Map<string, string>();
  for (const kind of KINDS) {
    expect(kind.words.every((word) => word.length > 2)).toBe(true);
    expect(kind.most > 0 || !kind.inBackup).toBe(true);
    expect(stores.get(kind.table) ?? kind.stores).toBe(kind.stores);
    stores.set(kind.table, kind.stores);
    expect(kindNamed(kind.name)).toBe(kind);
    expect(kindIn(KINDS, kind.table, kind.single?.key ?? 'any')).toBe(kind);
    if (kind.single) {
      const { key, standIn } = kind.single;
      expect(kind.keyOf(standIn)).toBe(key);
      expect(readRow(kind, standIn)).toEqual({ ok: true, row: standIn });
      expect(kind.glance?.(standIn) ?? true).toBe(true);
    }
  }
});

/** A value as it comes out of a file. */
const throughFile = (kind: Kind, row: unknown): unknown =>
  JSON.parse(JSON.stringify(kind.toFile?.(row) ?? row));

test.each(KINDS.map((kind) => [kind.name, kind]))(
  'what makes a row of %s makes one that is read back from storage and from a file, unchanged',
  (name, kind) => {
    fc.assert(
      fc.property(ROWS[name], (row) => {
        expect(readRow(kind, structuredClone(row))).toEqual({ ok: true, row });
        expect(kind.glance?.(row) ?? true).toBe(true);
        if (kind.inBackup) expect(readRow(kind, throughFile(kind, row))).toEqual({ ok: true, row });
      }),
    );
  },
);

// Written down once and never made anew: a field that is renamed in the code is still called so in every database.
test.each(Object.entries<unknown[]>(rowsOf8))('%s as version 8 stored it is read', (name, rows) => {
  const kind = kindNamed(name) as Kind;
  expect(rows.length).toBeGreaterThan(0);
  for (const row of rows)
    expect(readRow(kind, migrated(kind, row, 8, DATA_VERSION))).toMatchObject({ ok: true });
});

test.each(KINDS.map((kind) => [kind.name, kind]))(
  'anything else is no row of %s, and breaks nothing',
  (_, kind) => {
    let deep: unknown = [];
    for (let level = 0; level < 20_000; level++) deep = [deep];
    const odd = [
      undefined,
      null,
      7,
      'row',
      [],
      {},
      deep,
      { id: deep },
      { id: kind.single?.key ?? 'a', extra: deep },
    ];
    for (const value of odd) {
      expect(readRow(kind, value).ok).toBe(false);
      expect(() => kind.glance?.(value)).not.toThrow();
      for (const migrate of Object.values(kind.migrate ?? {})) expect(() => migrate?.(value)).not.toThrow();
    }
  },
);

test('a row of weaves keeps all cards, and has no more moves than it may', () => {
  const weaves = (row: unknown): string | undefined => {
    const outcome = readRow(kindNamed('weave rows') as Kind, { id: 'a', name: 'A', row, at: 1 });
    return outcome.ok ? undefined : outcome.problems[0].where;
  };
  const cut = { kind: 'cut', count: 3 };
  expect(weaves(Array(60).fill(cut))).toBeUndefined();
  expect(weaves(Array(61).fill(cut))).toBe('row');
  expect(weaves([cut, { kind: 'take', place: 3 }])).toContain('row');
  expect(weaves([{ kind: 'put', place: 3, card: 52 }])).toContain('row');
});

test.each<[string, Record<string, unknown>, string]>([
  ['a card twice', { cards: [1, 1] }, 'cards'],
  ['61 cards', { cards: Array.from({ length: 61 }, (_, card) => card) }, 'cards'],
  ['a time before 1970', { made: -1 }, 'made'],
  ['a time that cannot be', { made: 9e15 }, 'made'],
  ['the address of what is new', { id: 'new' }, 'id'],
  ['a name that is not clean', { name: 'a\u202eb' }, 'name'],
  ['a long name', { name: 'x'.repeat(121) }, 'name'],
  [
    'three signs',
    { origin: { kind: 'rule', rule: { kind: 'factory', suits: [0, 1, 2, 3], up: [true] } } },
    'origin › rule › up',
  ],
  ['a field too many', { more: 1 }, 'more'],
])('an order with %s is told with its place', (_, part, where) => {
  const row = { id: 'a', name: 'A', cards: [1, 2], sample: false, made: 1, changed: 1, ...part };
  const outcome = readRow(kindNamed('orders') as Kind, row);
  expect(outcome.ok ? '' : outcome.problems[0].where).toBe(where);
});

test('the docs say which version files have', () => {
  const docs = readFileSync(join(__dirname, '../../../../docs/formats.md'), 'utf8');
  expect(docs).toContain(`"version": ${DATA_VERSION.toString()},\n  "made"`);
});
