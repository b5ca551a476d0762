import fc from 'fast-check';
import { fileName, makeName, NAME_LIMIT, nameProblem, parseName } from './name';

const anyText = fc.oneof(
  fc.string({ unit: 'grapheme', maxLength: 130 }),
  fc.string({ unit: 'binary', maxLength: 130 }),
  fc
    .array(
      fc.constantFrom(
        'a',
        ' ',
        '\u200d',
        '\u202e',
        '🎭',
        '👩‍🚀',
        '\ufeff',
        'e\u0301',
        '\u3164',
        '\ud800',
        '3️⃣',
      ),
    )
    .map((parts) => parts.join('')),
);

test('a name that is taken is kept as it was made, and read back', () => {
  fc.assert(
    fc.property(anyText, (text) => {
      const name = makeName(text);
      expect(makeName(name)).toBe(name);
      expect(parseName(name).ok).toBe(nameProblem(text) === undefined);
    }),
    { numRuns: 2000 },
  );
});

test.each([
  ['  Harbour \t wall\n', 'Harbour wall'],
  ['e\u0301te\u0301', 'été'],
  ['Quay\u202ework\u200b\ufeff', 'Quaywork'],
  ['👩‍🚀 crew', '👩‍🚀 crew'],
  ['❤️ hearts', '❤️ hearts'],
  ['a\u200db', 'ab'],
  ['\u3164\u2800\u00ad', ''],
])('%j is kept as %j', (text, name) => {
  expect(makeName(text)).toBe(name);
});

test('names that cannot be are told why', () => {
  expect(nameProblem(' \u200b ')).toContain('name');
  expect(nameProblem('x'.repeat(NAME_LIMIT + 1))).toContain('at most 120');
  expect(nameProblem('🎭'.repeat(NAME_LIMIT))).toBeUndefined();
  expect(nameProblem('<b>')).toContain('no < or >');
  expect(parseName(7).ok).toBe(false);
  expect(parseName(' padded ').ok).toBe(false);
});

test('a file name is one on every system', () => {
  fc.assert(
    fc.property(anyText, (text) => {
      const name = fileName(text, 'json');
      expect(name).not.toMatch(/[<>:"/\\|?*\s]|^[.-]|[. ]\.json$/u);
      expect(new TextEncoder().encode(name).length).toBeLessThan(200);
      expect(name.length).toBeGreaterThan('.json'.length);
    }),
  );
  for (const device of ['CON', 'nul', 'Com1', 'LPT9', 'aux'])
    expect(fileName(device, 'txt')).toBe(`order-${device.toLowerCase()}.txt`);
  expect(fileName('Salt Room: late!', 'csv')).toBe('salt-room-late.csv');
  expect(fileName('…', 'csv')).toBe('order.csv');
});
