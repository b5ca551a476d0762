import { isDeepStrictEqual } from 'node:util';
import fc from 'fast-check';
import { ROWS } from '../../testing/kind-rows';
import { KINDS } from '../nouns/kinds';
import { readRow } from './check';
import { Kind } from './kind';
import { passesQuickly } from './quick';

const ODD: readonly unknown[] = [
  ...[undefined, null, true, false, 0, -0, -1, 1, 1.5, 60, 61, 107, 108, 1e9, 9e15, 1e16, NaN, Infinity],
  ...['', ' ', 'new', '7D', 'AC KH', 'x'.repeat(3000), 'a\u202eb', '2026-11-25T20:15:00.000Z'],
  ...[[], [undefined], [1, 1], [null], {}, { kind: 'cut' }, { id: 'a' }],
];

/** The row with something in it put in the place of something else, left out, added or doubled. */
const changed = (row: unknown, random: (most: number) => number): unknown => {
  const odd = (): unknown => ODD[random(ODD.length - 1)];
  if (typeof row !== 'object' || row === null || random(5) === 0) return odd();
  const goDown = random(3) > 0;
  if (Array.isArray(row)) {
    const list = [...(row as readonly unknown[])];
    const at = random(Math.max(0, list.length - 1));
    if (goDown && list.length > 0) list[at] = changed(list[at], random);
    else if (random(1) === 0) list.push(random(1) === 0 ? list[at] : odd());
    else list.splice(at, 1);
    return list;
  }
  const entries = Object.entries(row as Record<string, unknown>);
  if (entries.length === 0) return { more: odd() };
  const [name, value] = entries[random(entries.length - 1)];
  if (goDown) return { ...row, [name]: changed(value, random) };
  const way = random(2);
  if (way === 0) return { ...row, [['more', 'sample', 'id', 'kind', 'at'][random(4)]]: odd() };
  if (way === 1) return { ...row, [name]: odd() };
  return Object.fromEntries(entries.filter(([each]) => each !== name));
};

/** What both say of a value: Joi takes it as it is, and so does the quick check; or neither. */
const compare = (kind: Kind, made: unknown): void => {
  const value = structuredClone(made);
  const outcome = readRow(kind, structuredClone(value));
  // What Joi changes is not as it is stored: cards by their names, a time as a text.
  const isAsStored = outcome.ok && isDeepStrictEqual(outcome.row, value);
  expect([value, passesQuickly(kind, value)]).toEqual([value, isAsStored]);
};

test.each(KINDS.map((kind) => [kind.name, kind]))(
  '%s: the quick check takes what Joi takes as it is, and nothing else',
  (name, kind) => {
    for (const value of ODD) compare(kind, value);
    fc.assert(
      fc.property(ROWS[name], fc.infiniteStream(fc.nat(1e6)), fc.nat(3), (row, numbers, times) => {
        const random = (most: number): number => (numbers.next().value as number) % (most + 1);
        let value: unknown = row;
        for (let time = 0; time < times; time++) value = changed(value, random);
        compare(kind, value);
        if (kind.inBackup) compare(kind, kind.toFile?.(row) ?? row);
      }),
      { numRuns: 300 },
    );
  },
);

test('a name that a copy loses is left to Joi', () => {
  const found: unknown = JSON.parse(
    '{"__proto__": {"stamp": "a", "says": " ", "picture": "", "group": "always"}}',
  );
  const row = { id: 'verdicts', found };
  for (const kind of KINDS.filter(({ name }) => name === 'verdicts')) {
    compare(kind, row);
    expect(passesQuickly(kind, row)).toBe(false);
  }
  expect.assertions(2);
});

test('what goes down without end is refused', () => {
  let deep: unknown = [];
  for (let level = 0; level < 20_000; level++) deep = [deep];
  for (const kind of KINDS)
    for (const value of [deep, { id: deep }, { id: kind.single?.key ?? 'a', more: deep }])
      expect(passesQuickly(kind, value)).toBe(false);
});
