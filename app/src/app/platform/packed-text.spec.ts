import fc from 'fast-check';
import { packText, unpackText } from './packed-text';

test('any text is packed into letters of addresses, and unpacked', async () => {
  await fc.assert(
    fc.asyncProperty(fc.string({ unit: 'grapheme', maxLength: 3000 }), async (text) => {
      const packed = await packText(text);
      expect(packed).toMatch(/^z1\.[\w-]*$/);
      expect(await unpackText(packed)).toBe(text);
    }),
    { numRuns: 30 },
  );
});

test('what was cut off, is of another kind, or unpacks to too much is no text', async () => {
  const packed = await packText('AC 3H KH 9D QC 4C JH AS 6D QS TC 5H KS 7S 3C');
  for (const broken of ['', 'z1.', 'z2.abc', 'z1.%%%', packed.slice(0, -6), packed.slice(3)])
    expect(await unpackText(broken)).toBeUndefined();
  expect(await unpackText(await packText('x'.repeat(400_001)))).toBeUndefined();
  expect((await unpackText(await packText('x'.repeat(400_000))))?.length).toBe(400_000);
});
