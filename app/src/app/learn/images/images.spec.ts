import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import fc from 'fast-check';
import { formatCard } from '@enumeron/core/deck';
import { freshApp, until } from '../../../testing/fresh';
import { render } from '../../../testing/render';
import { Database } from '../../storage/database';
import { imageOf, IMAGES } from '../../nouns/learning/images.kind';
import { TIDEMARK } from '../../nouns/orders/tidemark';
import { Undoing } from '../../storage/undoing';
import { imagesCsv, parseImagesCsv } from '../files/images-csv';
import { ImagesStore } from '../../nouns/learning/images.store';
import { LearnStore } from '../../nouns/learning/learn.store';
import { Images } from './images';

const order = TIDEMARK.cards;

let db: Database;

beforeEach(async () => {
  db = await freshApp([provideRouter([{ path: '**', children: [] }]), LearnStore, ImagesStore]);
  await until(() => TestBed.inject(ImagesStore).isRead());
});

test('images are written in one table, kept, undone, and shown as hints of what is asked', async () => {
  const page = await render(Images);
  const images = TestBed.inject(ImagesStore);
  const [ofNumber, ofCard] = page.all('tbody input') as HTMLInputElement[];
  for (const [field, words] of [
    [ofNumber, ' a mooring post '],
    [ofCard, 'a lone gull'],
  ] as const) {
    field.value = words;
    field.dispatchEvent(new Event('input'));
  }
  await until(() => images.all().size === 2);
  const stored = async (): Promise<string[]> => (await db.rows(IMAGES).toArray()).map(({ words }) => words);
  await until(async () => (await stored()).length === 2);
  expect(await stored()).toEqual(['a lone gull', 'a mooring post']);
  const [card] = order;
  const hint = (direction: 'number' | 'card' | 'after'): string => images.hintFor({ direction, card }, order);
  expect(hint('number')).toBe('a lone gull · a mooring post');
  expect(hint('card')).toBe('a mooring post · a lone gull');
  expect(hint('after')).toBe('a lone gull');
  expect(images.hintFor({ direction: 'number', card: order[5] }, order)).toBe('');
  await TestBed.inject(Undoing).undo('table');
  await until(() => images.all().size === 1);
  // Empty words take one away.
  ofNumber.value = ' ';
  ofNumber.dispatchEvent(new Event('input'));
  await until(() => images.all().size === 0);
});

test('what is written as CSV is read back, whatever the words', () => {
  const name = fc.oneof(
    fc.integer({ min: 1, max: 52 }).map((place) => imageOf('number', place.toString())),
    fc.constantFrom(...order).map((card) => imageOf('card', formatCard(card))),
    fc.constant(imageOf('card', '7D*')),
  );
  const words = fc
    .string({ unit: 'grapheme', minLength: 1, maxLength: 30 })
    .map((text) => text.replace(/[\0\r\u2028]/g, '').trim())
    .filter((text) => text.length > 0 && text.length <= 120);
  fc.assert(
    fc.property(fc.uniqueArray(fc.tuple(name, words), { selector: ([id]) => id }), (rows) => {
      const images = new Map(rows);
      expect(parseImagesCsv(imagesCsv(images))).toEqual({ images, problems: [] });
    }),
    { numRuns: 50 },
  );
});

test('rows that cannot be read are told with their line, and the others are read', () => {
  const text =
    '\uFEFFof,words\n7♦,a lifebuoy\nten of nothing,x\n99999,y\n20,\n15,"a swan, white"\n\n3,' +
    'z'.repeat(200);
  const { images, problems } = parseImagesCsv(text);
  expect(images).toEqual(
    new Map([
      ['card-7D', 'a lifebuoy'],
      ['number-15', 'a swan, white'],
    ]),
  );
  expect(problems.map((problem) => /^Row (\d)/.exec(problem)?.[1])).toEqual(['3', '4', '5', '7']);
  expect(parseImagesCsv('')).toEqual({ images: new Map(), problems: [] });
});
