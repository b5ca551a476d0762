import fc from 'fast-check';
import { numberOrder } from '../deck/order';
import { cut } from '../moves/cut';
import { checkPack } from './check';

const home = numberOrder();

test('a pack in order is in order for every turn, and so is every beginning of it', () => {
  for (let offset = 0; offset < 52; offset++) {
    const told = cut(home, offset);
    expect(checkPack(home, told)).toMatchObject({ odd: [], doubled: [], missing: [], offset });
    expect(checkPack(home, told.slice(0, 9)).odd).toEqual([]);
  }
  expect(checkPack(home, []).says).toEqual(['Nothing told yet.']);
  expect(checkPack(home, cut(home, 3)).says).toEqual(['The pack is in order, cut at 3.']);
});

test('two cards exchanged are found, wherever they are and however the pack is turned', () => {
  fc.assert(
    fc.property(fc.nat(51), fc.nat(51), fc.nat(51), (a, b, offset) => {
      fc.pre(a !== b);
      const told = [...cut(home, offset)];
      [told[a], told[b]] = [told[b], told[a]];
      const check = checkPack(home, told);
      expect(check.odd).toEqual([a + 1, b + 1].sort((x, y) => x - y));
      expect(check.offset).toBeUndefined();
    }),
  );
});

test('a card told twice, and the one that it hides', () => {
  const told = home.map((card) => (card === 20 ? 7 : card));
  expect(checkPack(home, told)).toMatchObject({ odd: [21], doubled: [7], missing: [20] });
  expect(checkPack(home, told).says).toEqual(['Out of step at 21.', 'There twice: 8♣.', 'Missing: 8♦.']);
});
