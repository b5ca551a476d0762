import { numberOrder } from '../deck/order';
import { weave } from '../moves/weave';
import { diagnoseWeave } from './diagnose';
import { sayExplanation, upperPlaces } from './explanationWords';

test.each([
  [{ cut: 26, began: false, slips: [] }, 'out', 'Cut at 26; a clean out weave.'],
  [{ cut: 25, began: false, slips: [15] }, 'in', 'Cut at 25; two cards fell together at 14 and 15.'],
  [
    { cut: 27, began: true, slips: [3, 4, 40] },
    'out',
    'Cut at 27; it began with the lower packet; three cards fell together at 2 to 4 and two cards fell together at 39 and 40.',
  ],
  [{ cut: 26, began: true, slips: [] }, 'in', 'Cut at 26; it began with the upper packet.'],
] as const)('%o, meant as %s', (explanation, intended, says) => {
  expect(sayExplanation(explanation, intended)).toBe(says);
});

test('the upper packet stripped out and put on top takes every weave back', () => {
  const before = numberOrder();
  const after = weave(before, 'in');
  const seen = [4, 20, 33].map((place) => ({ place, card: after[place - 1] }));
  for (const explanation of diagnoseWeave({ before, intended: 'in', seen })) {
    const places = upperPlaces(before, explanation);
    const stripped = places.map((place) => explanation.after[place - 1]);
    const rest = explanation.after.filter((_, index) => !places.includes(index + 1));
    expect([...stripped, ...rest]).toEqual(before);
  }
});
