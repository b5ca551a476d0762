import { sayProblem } from '@enumeron/core/deck';
import { textFile } from '../../testing/text-file';
import { readTextFile } from './read-file';

const file = (bytes: Uint8Array, size?: number): File => textFile('order.txt', bytes, size);

const said = async (of: File): Promise<string> => {
  const outcome = await readTextFile(of, 1_000_000, 'an order');
  return outcome.ok ? outcome.text : sayProblem(outcome.problems[0]);
};

test('text is read, its byte order mark left out', async () => {
  expect(await said(file(new TextEncoder().encode('\ufeff7♦ A♣')))).toBe('7♦ A♣');
});

test('an empty file, a huge one that is not read, and one that is no text', async () => {
  expect(await said(file(new Uint8Array()))).toContain('order.txt: The file is empty.');
  const huge = file(new Uint8Array(), 50_000_000);
  jest.spyOn(huge, 'arrayBuffer');
  expect(await said(huge)).toContain('The file has 50 MB, and a file with an order has at most 1 MB.');
  expect(huge.arrayBuffer).not.toHaveBeenCalled();
  expect(await said(file(Uint8Array.of(0xff, 0xfe, 0)))).toContain('not text');
  expect(await said(file(Uint8Array.of(65, 0, 66)))).toContain('not text');
});
