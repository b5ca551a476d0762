import { Card, firstOf, secondOf } from '../deck/card';
import { numberOrder, Order } from '../deck/order';
import { randomInt, seededRng, shuffled } from '../deck/rng';
import { weave, WeaveKind } from '../moves/weave';
import { diagnoseWeave, SeenCard, weaveDiagnosis } from './diagnose';

interface Woven {
  readonly after: Order;
  readonly cut: number;
  readonly faults: number;
  readonly slips: readonly number[];
}

/** An interleaving of a cut pack, a bit for each place (1: from the lower packet), with its faults counted. */
const interleave = (before: Order, cut: number, bits: readonly number[], intended: WeaveKind): Woven => {
  const packets = [before.slice(0, cut), before.slice(cut)];
  const after = bits.map((bit) => packets[bit].shift() as number);
  const slips = bits.flatMap((bit, index) => (index > 0 && bit === bits[index - 1] ? [index + 1] : []));
  const wrong = bits[0] === (intended === 'out' ? 1 : 0) ? 1 : 0;
  return { after, cut, faults: slips.length + wrong, slips };
};

/** Every interleaving of every cut within six cards of the middle. */
const everyWeave = (before: Order, intended: WeaveKind): Woven[] =>
  Array.from({ length: before.length + 1 }, (_, cut) => cut)
    .filter((cut) => Math.abs(cut - before.length / 2) <= 6)
    .flatMap((cut) =>
      Array.from({ length: 2 ** before.length }, (_, number) =>
        Array.from({ length: before.length }, (_, place) => (number >> place) & 1),
      )
        .filter((bits) => bits.reduce((sum, bit) => sum + bit, 0) === before.length - cut)
        .map((bits) => interleave(before, cut, bits, intended)),
    );

const fits = ({ after }: Woven, seen: readonly SeenCard[]): boolean =>
  seen.every(({ place, card }) => after[place - 1] === card);

test.each<[number, WeaveKind]>([
  [1, 'out'],
  [2, 'in'],
  [5, 'out'],
  [7, 'in'],
  [8, 'out'],
  [9, 'in'],
])('%i cards, %s: all explanations of what was seen, by trying every interleaving', (size, intended) => {
  const rng = seededRng(size);
  const before = shuffled(numberOrder(), rng).slice(0, size);
  const all = everyWeave(before, intended);
  for (let round = 0; round < 30; round++) {
    const { after } = all[randomInt(rng, all.length)];
    const places = shuffled(
      after.map((_, index) => index + 1),
      rng,
    ).slice(0, randomInt(rng, Math.min(size, 4) + 1));
    const seen = places.map((place) => ({ place, card: after[place - 1] }));
    const fitting = all.filter((woven) => fits(woven, seen));
    const { explanations, ties, look } = weaveDiagnosis({ before, intended, seen });

    const key = ({ faults, cut, slips }: Pick<Woven, 'faults' | 'cut' | 'slips'>): number =>
      faults * 1e4 + Math.abs(2 * cut - size) * 100 + (slips.at(0) ?? 0);
    const keys = fitting.map(key).sort((a, b) => a - b);
    const given = explanations.map(key);
    expect(given.map((each) => Math.floor(each / 100))).toEqual(
      keys.slice(0, 20).map((each) => Math.floor(each / 100)),
    );
    for (const { after: told, cut, faults, slips } of explanations)
      expect(fitting).toContainEqual({ after: told, cut, faults, slips });
    expect(new Set(explanations.map(({ after: told, cut }) => `${told.join()} ${cut}`)).size).toBe(
      explanations.length,
    );

    const least = Math.min(...fitting.map(({ faults }) => faults));
    const tied = fitting.filter(({ faults }) => faults === least);
    expect(ties).toBe(tied.length);
    // What one more glimpse leaves on the average, place by place.
    const left = before.map((_, index) => {
      const counts = new Map<number, number>();
      for (const woven of tied) counts.set(woven.after[index], (counts.get(woven.after[index]) ?? 0) + 1);
      return counts.size < 2 ? Infinity : [...counts.values()].reduce((sum, count) => sum + count * count, 0);
    });
    const best = Math.min(...left);
    expect(look).toBe(best === Infinity ? undefined : left.indexOf(best) + 1);
  }
});

test('of the same cut the earliest slip comes first', () => {
  const before = numberOrder().slice(0, 12);
  const found = diagnoseWeave({ before, intended: 'out', seen: [{ place: 1, card: before[0] }] });
  for (let index = 1; index < found.length; index++) {
    const [one, other] = [found[index - 1], found[index]];
    if (one.faults === other.faults && one.cut === other.cut && one.began === other.began)
      expect((one.slips.at(0) ?? 0) <= (other.slips.at(0) ?? 0)).toBe(true);
  }
});

test.each<WeaveKind>(['in', 'out'])(
  'a perfect %s weave of any size is explained by itself alone',
  (intended) => {
    for (let size = 2; size <= 64; size++) {
      const before = Array.from({ length: size }, (_, index) => index);
      const after = weave(before, intended);
      const [first] = diagnoseWeave({
        ...{ before, intended },
        seen: after.map((card, index) => ({ place: index + 1, card })),
      });
      expect([first.faults, first.slips, first.began, first.after]).toEqual([0, [], false, after]);
    }
  },
);

test('a slip of 52 cards is found from the whole order; three glimpses leave what fits', () => {
  const rng = seededRng(7);
  const before = shuffled(numberOrder(), rng);
  for (let round = 0; round < 25; round++) {
    // Cut at 25 to 27, alternating but for up to three places.
    const cut = 25 + randomInt(rng, 3);
    const bits: number[] = [];
    const left = [cut, 52 - cut];
    while (bits.length < 52) {
      const next = bits.length === 0 ? 0 : 1 - bits[bits.length - 1];
      const bit = randomInt(rng, 20) === 0 || left[next] === 0 ? 1 - next : next;
      const packet = left[bit] === 0 ? 1 - bit : bit;
      bits.push(packet);
      left[packet]--;
    }
    const woven = interleave(before, cut, bits, 'out');
    const seen = woven.after.map((card, index) => ({ place: index + 1, card }));
    const whole = diagnoseWeave({ before, intended: 'out', seen });
    expect(whole[0].after).toEqual(woven.after);
    expect(whole[0].faults).toBeLessThanOrEqual(woven.faults);
    const few = [seen[4], seen[20], seen[43]];
    const some = weaveDiagnosis({ before, intended: 'out', seen: few });
    expect(some.explanations.length).toBeLessThanOrEqual(20);
    expect(some.explanations[0].faults).toBeLessThanOrEqual(woven.faults);
    for (const { after } of some.explanations) {
      expect(few.every(({ place, card }) => after[place - 1] === card)).toBe(true);
      expect([...after].sort((a, b) => a - b)).toEqual(numberOrder());
    }
  }
});

test.each<[string, SeenCard[]]>([
  ['a card that is not in the pack', [{ place: 3, card: 52 }]],
  ['a place that is none', [{ place: 53, card: 4 }]],
  [
    'two cards at one place',
    [
      { place: 3, card: 4 },
      { place: 3, card: 5 },
    ],
  ],
  [
    'one card at two places',
    [
      { place: 3, card: 4 },
      { place: 4, card: 4 },
    ],
  ],
  ['the bottom card on top of the middle', [{ place: 1, card: 51 }]],
])('nothing explains %s', (_, seen) => {
  const before = numberOrder();
  expect(weaveDiagnosis({ before, intended: 'in', seen })).toEqual({
    ...{ explanations: [], ties: 0, look: undefined },
  });
});

test.each<[number, WeaveKind]>([
  [6, 'out'],
  [8, 'in'],
])('%i cards with second copies, %s: a glimpse is of either copy', (size, intended) => {
  const rng = seededRng(size);
  const look = (card: Card): Card => firstOf(card);
  for (let round = 0; round < 20; round++) {
    const firsts = shuffled(numberOrder(), rng).slice(0, size / 2);
    const before = shuffled([...firsts, ...firsts.map(secondOf)], rng);
    const all = everyWeave(before, intended);
    const { after } = all[randomInt(rng, all.length)];
    const places = shuffled(
      after.map((_, index) => index + 1),
      rng,
    ).slice(0, 1 + randomInt(rng, 4));
    // What is seen is told as the first copy, whichever it was.
    const seen = places.map((place) => ({ place, card: look(after[place - 1]) }));
    const fitting = all.filter((woven) =>
      seen.every(({ place, card }) => look(woven.after[place - 1]) === card),
    );
    const least = Math.min(...fitting.map(({ faults }) => faults));
    const { explanations, ties } = weaveDiagnosis({ before, intended, seen });
    expect([explanations[0].faults, ties]).toEqual([
      least,
      fitting.filter(({ faults }) => faults === least).length,
    ]);
    for (const { after: told, cut, faults, slips } of explanations)
      expect(fitting).toContainEqual({ after: told, cut, faults, slips });
  }
});
