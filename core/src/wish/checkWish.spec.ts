import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { checkWish } from './checkWish';
import { Wish } from './wish';

const { checks } = JSON.parse(readFileSync(join(__dirname, '../../test/vectors/wish.json'), 'utf8')) as {
  checks: readonly { order: string[]; wish: Wish; holds: boolean; broken: number; of: number }[];
};

test.each(checks.map((each) => [each.wish.kind, each] as const))('worked example: %s', (_, { order, wish, ...told }) => {
  const { holds, broken, of } = checkWish(order, wish);
  expect({ holds, broken, of }).toEqual(told);
});
