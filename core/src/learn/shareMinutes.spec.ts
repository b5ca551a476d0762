import fc from 'fast-check';
import { shareMinutes } from './shareMinutes';

test('minutes are shared by what is due: none is lost, and whoever has something has a minute', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 60 }),
      fc.array(fc.nat(100), { minLength: 1, maxLength: 5 }),
      (minutes, due) => {
        const shares = shareMinutes(minutes, due);
        expect(shares).toHaveLength(due.length);
        const some = due.filter((count) => count > 0).length;
        due.forEach((count, index) => {
          if (some > 0) expect([count, shares[index] >= 1]).toEqual([count, count > 0]);
        });
        const sum = shares.reduce((total, share) => total + share, 0);
        expect(sum).toBe(Math.max(minutes, some));
      },
    ),
  );
  expect(shareMinutes(10, [30, 10])).toEqual([7, 3]);
  expect(shareMinutes(10, [0, 0])).toEqual([10, 0]);
  expect(shareMinutes(10, [0, 50])).toEqual([0, 10]);
  expect(shareMinutes(10, [1, 500, 500])).toEqual([1, 4, 5]);
});
