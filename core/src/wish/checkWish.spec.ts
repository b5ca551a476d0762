import vectors from '../../test/vectors/wish.json';
import { checkWish } from './checkWish';
import { Wish } from './wish';

const checks = vectors.checks as unknown as readonly {
  readonly order: string[];
  readonly wish: Wish;
  readonly holds: boolean;
  readonly broken: number;
  readonly of: number;
}[];

test.each(checks.map((each) => [each.wish.kind, each] as const))(
  'worked example: %s',
  (_, { order, wish, ...told }) => {
    const { holds, broken, of } = checkWish(order, wish);
    expect({ holds, broken, of }).toEqual(told);
  },
);
