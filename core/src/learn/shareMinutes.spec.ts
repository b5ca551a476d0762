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
        due.forEach((count, index) => {
          if (count > 0 || index === 0)
            expect(shares[index] >= 1 || due.every((each) => each === 0)).toBe(true);
          else expect(shares[index]).toBe(0);
        });
        const sum = shares.reduce((total, share) => total + share, 0);
        if (minutes > due.length) expect(Math.abs(sum - minutes)).toBeLessThanOrEqual(due.length);
      },
    ),
  );
  expect(shareMinutes(10, [30, 10])).toEqual([7, 3]);
  expect(shareMinutes(10, [0, 0])).toEqual([10, 0]);
});
