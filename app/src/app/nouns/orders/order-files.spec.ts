import fc from 'fast-check';
import { numberOrder, Order, parseOrder, seededRng, shuffled } from '@enumeron/core/deck';
import { fileNameFor, ORDER_FILES, OrderFileKind, readOrderFile } from './order-files';

const kind = (ending: string): OrderFileKind =>
  ORDER_FILES.find((each) => each.ending === ending) as OrderFileKind;
const anyOrder = fc.integer().map((seed): Order => shuffled(numberOrder(), seededRng(seed)));

test('every kind of file but the picture is read back, with the name where it has one', async () => {
  await fc.assert(
    fc.asyncProperty(anyOrder, fc.string({ unit: 'grapheme-ascii', minLength: 1 }), async (order, name) => {
      for (const each of ORDER_FILES.filter(({ ending }) => ending !== 'svg')) {
        const outcome = await readOrderFile(await each.make(name, order));
        if (!outcome.ok) throw new Error(`${each.name}: ${outcome.problems[0].what}`);
        expect(parseOrder(outcome.text)).toEqual({ ok: true, order });
        if (each.ending === 'enumeron.json') expect(outcome.name).toBe(name);
      }
    }),
    { numRuns: 40 },
  );
});

test('a name that a spreadsheet would run is made harmless, and comes back as it was', async () => {
  for (const name of ['=1+1', '+SUM(A1)', '-2', '@cmd', '=HYPERLINK("x","y")', '＝1', '＋2', '－3', '＠x']) {
    const csv = await kind('csv').make(name, numberOrder());
    expect(csv).not.toMatch(/(^|,|")[=+@＝＋－＠-]/m);
    const outcome = await readOrderFile(csv);
    expect(outcome.ok && outcome.name).toBe(name);
  }
});

test('a table is read whatever stands between its cells', async () => {
  for (const between of [',', ';', '\t']) {
    const rows = [
      ['Order', 'Place', 'Card'],
      ['Tide', '1', 'AC'],
      ['Tide', '2', '3H'],
    ];
    const outcome = await readOrderFile(rows.map((row) => row.join(between)).join('\r\n'));
    expect(outcome).toEqual({ ok: true, name: 'Tide', text: 'AC\n3H' });
  }
  // A text in which the word stands by itself is none.
  expect(await readOrderFile('my card order\nAC 3H')).toMatchObject({
    ok: true,
    text: 'my card order\nAC 3H',
  });
});

test('broken files say where', async () => {
  const said = async (text: string): Promise<string> => {
    const outcome = await readOrderFile(text);
    return outcome.ok ? '' : outcome.problems.map(({ where, what }) => `${where ?? ''}: ${what}`).join();
  };
  expect(await said('place,card\n1,AC\n2,3H,surplus')).toContain('Line 3, column 6: The table is broken');
  expect(await said('place;card\n1;AC\n2;3H;surplus')).toContain('Line 3, column 6: The table is broken');
  expect(await said('place,card\n1,AC\n2')).toContain('Line 3, column 2: The table is broken');
  expect(await said('{"format": ')).toBe('Line 1, column 12: The file is not JSON.');
  expect(await said('{\n  "format": oops\n}')).toBe('Line 2, column 13: The file is not JSON.');
  expect(await said('{\n  "name": "A",\n}')).toBe('Line 3, column 1: The file is not JSON.');
  expect(await said('{\n  "name": "A" // mine\n}')).toBe('Line 2, column 15: The file is not JSON.');
  expect(await said('{"format": "other"}')).toContain('not an order from Enumeron');
  expect(await said(`{"a": ${'['.repeat(20_000)}`)).toContain(
    'Line 1, column 46: The file is nested too deeply.',
  );
  expect(await said('{"format": "enumeron-order", "version": { "toString": 1 }}')).toContain('version');
  expect(await said('{"format": "enumeron-order", "version": 1, "name": [[]], "cards": {}}')).toContain(
    'missing',
  );
});

test('file names keep letters and digits', () => {
  expect(fileNameFor('Nine-five wheel', kind('csv'))).toBe('nine-five-wheel.csv');
  expect(fileNameFor('../../<x>', kind('enumeron.json'))).toBe('x.enumeron.json');
  expect(fileNameFor('♠', kind('svg'))).toBe('order.svg');
});
