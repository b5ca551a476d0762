import fc from 'fast-check';
import stacks from '../../../test/vectors/stacks.json';
import { Card, rankOf, secondOf } from '../../deck/card';
import { parseCard, showCard } from '../../deck/notation';
import { Order } from '../../deck/order';
import { cut } from '../../moves/cut';
import { deal } from '../../moves/deal';
import { chancesOf, deduce, Deduction, findPossible, Possible } from './deduce';
import { describeFact, Fact } from './fact';
import { describeState } from './sayDeduction';

const tidemark = stacks.tidemark.map((name) => parseCard(name) as Card);
const from = (facts: readonly Fact[], now: Order = tidemark): Deduction => {
  const deduction = deduce(now, facts);
  if (!deduction) throw new Error('no budget was set');
  return deduction;
};
/** What an unknown may be. */
const values = ({ unknowns }: Deduction, words: string): number[] =>
  unknowns
    .find((each) => each.words === words)
    ?.tally.map(({ value }) => value)
    .sort((a, b) => a - b) ?? [];
const outOf = ({ out }: Deduction): Card[] => out.map(({ value }) => value);

test('a glimpse after a cut: the pack lies in one way, for every cut and place', () => {
  for (let count = 0; count < 52; count++) {
    const now = cut(tidemark, count);
    for (const at of ['face', 'top', 17] as const) {
      const card = now[at === 'face' ? 51 : at === 'top' ? 0 : at - 1];
      const deduction = from([{ kind: 'cut' }, { kind: 'seen', at, card }]);
      expect(deduction).toMatchObject({ states: 1, size: 52, certain: now, look: undefined, conflict: [] });
      expect(values(deduction, 'Cards cut')).toEqual([count]);
    }
  }
});

test('a packet lifted: its size is where its face card lies, for every size', () => {
  for (let size = 1; size < 52; size++) {
    const deduction = from([{ kind: 'lift', face: tidemark[size - 1] }]);
    expect([deduction.states, values(deduction, 'Cards lifted')]).toEqual([1, [size]]);
    // It was put back.
    expect(deduction.certain).toEqual(tidemark);
  }
  expect(values(from([{ kind: 'lift', size: [20, 24] }]), 'Cards lifted')).toEqual([20, 21, 22, 23, 24]);
});

test('a packet lifted from a pack cut nobody knows where: one more glimpse is asked for, and settles it', () => {
  const facts: Fact[] = [{ kind: 'cut' }, { kind: 'lift', face: tidemark[30] }];
  const open = from(facts);
  expect(open.states).toBe(51);
  expect(open.look).toMatchObject({ left: 1 });
  const now = cut(tidemark, 9);
  const look = open.look?.place as number;
  const settled = from([...facts, { kind: 'seen', at: look, card: now[look - 1] }]);
  expect([settled.states, values(settled, 'Cards lifted')]).toEqual([1, [22]]);
});

test('two cuts, the second deeper: both depths from the two cards, over all pairs', () => {
  for (let first = 1; first < 51; first++)
    for (let second = first + 1; second < 52; second++) {
      const deduction = from([{ kind: 'cuts', first: tidemark[first - 1], second: tidemark[second - 1] }]);
      expect(deduction.states).toBe(1);
      expect([values(deduction, 'First cut'), values(deduction, 'Second cut')]).toEqual([[first], [second]]);
      expect(deduction.certain).toEqual(tidemark);
    }
});

test('the next two ranks at a cut: all places where they stand side by side', () => {
  for (let place = 2; place < 52; place++) {
    const [a, b] = [rankOf(tidemark[place - 1]), rankOf(tidemark[place])];
    if (!a || !b) continue;
    const expected = tidemark.flatMap((card, index) =>
      index > 0 && index < 51 && rankOf(card) === a && rankOf(tidemark[index + 1]) === b ? [index] : [],
    );
    expect(values(from([{ kind: 'next ranks', first: a, second: b }]), 'Cut at')).toEqual(expected);
  }
});

test('cards dealt and dropped back, followed by a glimpse', () => {
  for (let count = 1; count <= 52; count++)
    expect(from([{ kind: 'dealt', count }]).certain).toEqual(deal(tidemark, count));
});

test('one or two cards from between two that are seen: which they were, for every gap', () => {
  for (const count of [1, 2] as const)
    for (let place = 2; place + count <= 52; place++) {
      const [above, below] = [tidemark[place - 2], tidemark[place + count - 1]];
      const deduction = from([{ kind: 'gap', above, below, count }]);
      expect(deduction).toMatchObject({ states: 1, size: 52 - count });
      expect(outOf(deduction).sort((a, b) => a - b)).toEqual(
        tidemark.slice(place - 1, place - 1 + count).sort((a, b) => a - b),
      );
    }
});

test('a row with a card gone from it, in a pack cut unseen', () => {
  const row = [9, 10, 12, 13].map((place) => tidemark[place - 1]);
  const deduction = from([{ kind: 'cut' }, { kind: 'taken', count: 1 }, { kind: 'row', cards: row }]);
  expect(outOf(deduction)).toEqual([tidemark[10]]);
  // The row may lie anywhere: 48 places where it is whole.
  expect(deduction.states).toBe(48);
});

test('a short group leaves its four cards, and a card missing by name is out', () => {
  expect(outOf(from([{ kind: 'short group', rank: 7 }])).map((card) => rankOf(card))).toEqual([7, 7, 7, 7]);
  const four = parseCard('4C') as Card;
  const missing = from([{ kind: 'missing', card: four }]);
  expect(outOf(missing)).toEqual([four]);
  expect(missing.certain).toEqual(tidemark.filter((card) => card !== four));
});

test('a heap that is not there leaves nothing, whatever the number of heaps', () => {
  for (let heaps = 2; heaps <= 13; heaps++)
    for (let heap = 1; heap <= 26; heap++) {
      const { states } = from([{ kind: 'heap', heaps, heap }]);
      const falls = tidemark.filter((_, index) => (index % heaps) + 1 === heap).length;
      expect(states).toBe(falls);
    }
});

test('a heap leaves every m-th card', () => {
  const deduction = from([{ kind: 'heap', heaps: 4, heap: 4 }]);
  expect(values(deduction, 'Thought of')).toEqual(
    tidemark.filter((_, index) => index % 4 === 3).sort((a, b) => a - b),
  );
});

test('what is told of what really happened is never a contradiction, and what really is, is among the states', () => {
  fc.assert(
    fc.property(
      fc.nat(51),
      fc.integer({ min: 1, max: 51 }),
      fc.nat(50),
      fc.constantFrom('face' as const, 'top' as const, 30),
      (count, lifted, taken, at) => {
        const turned = cut(tidemark, count);
        const now = turned.filter((_, index) => index !== taken);
        const card = now[at === 'face' ? 50 : at === 'top' ? 0 : at - 1];
        const deduction = from([
          { kind: 'cut' },
          { kind: 'lift', face: turned[lifted - 1] },
          { kind: 'taken', count: 1 },
          { kind: 'seen', at, card },
        ]);
        expect(deduction.states).toBeGreaterThan(0);
        expect(outOf(deduction)).toContain(turned[taken]);
        expect(values(deduction, 'Cards cut')).toContain(count);
        deduction.certain.forEach((each, index) => {
          if (each !== undefined) expect(each).toBe(now[index]);
        });
      },
    ),
    { numRuns: 25 },
  );
});

test('what cannot be true together is told as the smallest set', () => {
  const [king, nine, seven] = ['KH', '9D', '7D'].map((name) => parseCard(name) as Card);
  const facts: Fact[] = [
    { kind: 'cut' },
    { kind: 'seen', at: 'face', card: king },
    { kind: 'lift', size: [1, 20] },
    { kind: 'seen', at: 'top', card: seven },
    { kind: 'seen', at: 2, card: parseCard('QC') as Card },
  ];
  expect(from(facts)).toMatchObject({ states: 0, conflict: [1, 3] });
  // Without a cut told, one glimpse alone is against the order.
  expect(from([{ kind: 'seen', at: 'top', card: nine }])).toMatchObject({ states: 0, conflict: [0] });
  // What happened is itself impossible.
  expect(from([{ kind: 'dealt', count: 60 }])).toMatchObject({ states: 0, conflict: [] });
});

test('four that cannot all be true, though any three can: three cards are out, and four gaps were seen', () => {
  const small = tidemark.slice(0, 16);
  const gapAfter = (place: number): Fact => ({ kind: 'row', cards: [small[place - 1], small[place + 1]] });
  const facts: Fact[] = [
    { kind: 'taken', count: 2 },
    { kind: 'taken', count: 1 },
    ...[2, 5, 8, 11].map(gapAfter),
  ];
  expect(from(facts, small)).toMatchObject({ states: 0, conflict: [2, 3, 4, 5] });
  expect(outOf(from(facts.slice(0, 5), small)).sort()).toEqual([small[2], small[5], small[8]].sort());
});

test('a gap at the top or the face: the pack goes round', () => {
  for (let count = 1; count <= 2; count++)
    for (let place = 1; place <= 52; place++) {
      const round = (at: number): Card => tidemark[(((at - 1) % 52) + 52) % 52];
      const taken = Array.from({ length: count }, (_, index) => round(place + index));
      const deduction = from([{ kind: 'gap', above: round(place - 1), below: round(place + count), count }]);
      expect(deduction.states).toBe(1);
      expect(deduction.certain).toEqual(tidemark.filter((card) => !taken.includes(card)));
    }
  // No gap holds the cards on both sides of it.
  expect(from([{ kind: 'gap', above: 1, below: 2, count: 3 }], [1, 2, 3, 4]).states).toBe(0);
});

test('one card thought of, dealt into heaps again and again: what dealing real cards leaves, gathered any way', () => {
  const gathers = [
    [1, 2, 3],
    [3, 1, 2],
    [2, 1, 3],
  ];
  for (const size of [20, 27])
    for (const thought of tidemark.slice(0, size)) {
      let pack = tidemark.slice(0, size);
      let possible = pack;
      const facts: Fact[] = [];
      for (const gather of gathers) {
        const heapOf = (card: Card): number => (pack.indexOf(card) % 3) + 1;
        const heap = heapOf(thought);
        possible = possible.filter((card) => heapOf(card) === heap);
        facts.push({ kind: 'heap', heaps: 3, heap, gather });
        // Dealt card by card, each onto its heap, then the heaps are put together.
        const heaps: Card[][] = [[], [], []];
        pack.forEach((card, index) => heaps[index % 3].unshift(card));
        pack = gather.flatMap((number) => heaps[number - 1]);
        const deduction = from(facts, tidemark.slice(0, size));
        expect(values(deduction, 'Thought of')).toEqual([...possible].sort((a, b) => a - b));
        expect(deduction.certain).toEqual(pack);
      }
      expect(possible).toEqual([thought]);
    }
});

test('heaps that cannot hold one card, one after the other, are told as such', () => {
  const twice: Fact[] = [
    { kind: 'heap', heaps: 4, heap: 1 },
    { kind: 'heap', heaps: 4, heap: 2 },
    { kind: 'heap', heaps: 3, heap: 1, gather: [2, 1, 3] },
  ];
  expect(from(twice)).toMatchObject({ states: 0, conflict: [0, 1] });
});

test('the best look does not tell the two copies of a card apart', () => {
  const pack = [...tidemark, ...tidemark.slice(0, 8).map(secondOf)];
  // 44 cards are there once, 8 twice: (44 + 8 · 4) / 60 states are left on average.
  expect(from([{ kind: 'cut' }], pack).look?.left).toBeCloseTo(76 / 60);
});

test('jokers, small packs and duplicates', () => {
  const pack = [...tidemark.slice(0, 6), 52, secondOf(tidemark[0])];
  for (let count = 0; count < pack.length; count++) {
    const now = cut(pack, count);
    const deduction = from([{ kind: 'cut' }, { kind: 'seen', at: 'face', card: now[7] }], pack);
    // Either copy of the duplicate may have been seen.
    expect(deduction.states).toBe([0, 54].includes(now[7]) ? 2 : 1);
    if (deduction.states === 2) expect(deduction.look?.left).toBe(1);
  }
});

test('cut upon cut is one cut, however often; with a glimpse between them they are two', () => {
  const often: Fact[] = Array.from({ length: 9 }, () => ({ kind: 'cut' }));
  expect(from(often)).toMatchObject({ states: 52, certain: Array(52).fill(undefined), conflict: [] });
  expect(values(from(often), 'Cards cut')).toHaveLength(52);
  for (const count of [0, 20, 51]) {
    const now = cut(tidemark, count);
    const told: Fact[] = [...often, { kind: 'seen', at: 'face', card: now[51] }];
    expect(from(told)).toMatchObject({ states: 1, certain: now });
    const again = cut(now, 11);
    const toldAgain: Fact[] = [...told, { kind: 'cut' }, { kind: 'seen', at: 'top', card: again[0] }];
    expect(from(toldAgain)).toMatchObject({ states: 1, certain: again });
    expect(from(toldAgain).unknowns).toHaveLength(2);
    // A contradiction is still told by the facts as they stand.
    expect(from([...told, { kind: 'seen', at: 'top', card: again[0] }]).conflict).toEqual([9, 10]);
  }
});

test('what may lie where: the guesses, the chances of every card and the listed states are those of trying all', () => {
  const small = [...tidemark.slice(0, 9), secondOf(tidemark[2])];
  // A cut, then one card out: 10 · 10 states.
  const packs: Order[] = [];
  for (let count = 0; count < 10; count++)
    for (let place = 0; place < 10; place++)
      packs.push(cut(small, count).filter((_, index) => index !== place));
  const told: Fact[] = [{ kind: 'cut' }, { kind: 'taken', count: 1 }];
  const looks = packs.filter((pack) => [tidemark[2], secondOf(tidemark[2])].includes(pack[8]));
  for (const [facts, tried] of [
    [told, packs],
    [[...told, { kind: 'seen', at: 'face', card: tidemark[2] } as const], looks],
  ] as const) {
    const possible = findPossible(small, facts) as Possible;
    expect(possible.deduction).toEqual(from(facts, small));
    expect(possible.deduction.states).toBe(tried.length);
    possible.guesses.forEach(({ cards, likeliest, chance }, index) => {
      const there = tried.map((pack) => pack[index]);
      expect(cards).toBe(new Set(there).size);
      const most = Math.max(...there.map((card) => there.filter((each) => each === card).length));
      expect(there.filter((each) => each === likeliest)).toHaveLength(most);
      expect(chance).toBeCloseTo(most / tried.length);
    });
    for (const card of tidemark.slice(0, 9))
      expect(chancesOf(possible, card)).toEqual(
        possible.guesses.map(
          (_, index) => tried.filter((pack) => pack[index] % 54 === card).length / tried.length,
        ),
      );
    expect(possible.listed).toEqual([]);
  }
  const few = findPossible(small, [
    { kind: 'cut' },
    { kind: 'seen', at: 'face', card: tidemark[2] },
  ]) as Possible;
  expect(few.listed.map(({ pack }) => pack)).toEqual([cut(small, 0), cut(small, 3)].map((pack) => pack));
  expect(few.listed.map((state) => describeState(few.deduction, state))).toEqual([
    `Cards cut 0, face ${showCard(small[9])}`,
    `Cards cut 3, face ${showCard(small[2])}`,
  ]);
  // No state, and a pack whose size is open, show nothing.
  expect(findPossible(small, [{ kind: 'dealt', count: 40 }])?.guesses).toEqual([]);
});

test('a budget that does not last gives nothing', () => {
  const facts: Fact[] = [{ kind: 'cut' }, { kind: 'taken', count: 2 }];
  expect(deduce(tidemark, facts, 1000)).toBeUndefined();
});

test('every fact is a phrase', () => {
  const all: Fact[] = [
    { kind: 'cut' },
    { kind: 'seen', at: 'face', card: 0 },
    { kind: 'seen', at: 5, card: 0 },
    { kind: 'lift', face: 0, size: [5, 9] },
    { kind: 'lift', size: [5, 5] },
    { kind: 'cuts', first: 0, second: 1 },
    { kind: 'next ranks', first: 1, second: 13 },
    { kind: 'dealt', count: 9 },
    { kind: 'taken', count: 1 },
    { kind: 'missing', card: 3 },
    { kind: 'gap', above: 1, below: 2, count: 1 },
    { kind: 'row', cards: [1, 2] },
    { kind: 'short group', rank: 7 },
    { kind: 'heap', heaps: 4, heap: 2 },
    { kind: 'heap', heaps: 3, heap: 1, gather: [2, 1, 3] },
  ];
  expect(all.map(describeFact)).toEqual([
    'Cut somewhere',
    'A♣ at the face',
    'A♣ at 5',
    'A packet lifted, A♣ at its face, 5 to 9 cards, put back as it was',
    'A packet lifted, 5 cards, put back as it was',
    'Two cuts, A♣ then deeper 2♣, put back as they were',
    'A cut, then A and K next, put back as it was',
    '9 cards dealt and dropped back',
    '1 card taken out unseen',
    '4♣ taken out',
    '1 card taken from between 2♣ and 3♣',
    '2♣ 3♣ side by side',
    'One seven taken out',
    'A card thought of, in heap 2 of 4',
    'A card thought of, in heap 1 of 3, gathered 2 on 1 on 3',
  ]);
});
