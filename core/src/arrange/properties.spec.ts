import composed from '../../test/vectors/composed-card.json';
import stacks from '../../test/vectors/stacks.json';
import { Card, mateOf } from '../deck/card';
import { parseCard, showCard } from '../deck/notation';
import { cut } from '../moves/cut';
import { weave } from '../moves/weave';
import { properties } from './properties';
import { Property } from './property';
import { Order } from '../deck/order';
import { orderByRule } from './rule';

const read = (names: readonly string[]): Order => names.map((name) => parseCard(name) as Card);
const rotating = read(stacks.rotating.order);
const mirrored = read(stacks.mirroredHalves);
const tidemark = read(stacks.tidemark);

const find = (order: Order, id: string): Property => {
  const found = properties(order).find((property) => property.id === id);
  if (!found) throw new Error(id);
  return found;
};

test('the composed card of the worked examples: 12 from the top and from the face, for every cut', () => {
  expect(find(rotating, 'rank then suit')).toMatchObject({
    holds: true,
    count: 52,
    says: expect.stringContaining(' 12 from the top') as string,
  });
  expect(find(rotating, 'suit then rank')).toMatchObject({
    holds: true,
    says: expect.stringContaining(' 12 from the face') as string,
  });
  for (const row of composed.rows) {
    const [line] = find(rotating, 'rank then suit').evidence.filter((each) =>
      each.startsWith(`cut ${row.cutAt % 52}:`),
    );
    expect(line).toContain('12 from the top');
  }
  const named = composed.rows.map((row) => showCard(parseCard(row.rankThenSuit) as Card));
  expect(
    find(rotating, 'rank then suit').evidence.filter((line) =>
      named.some((name) => line.includes(`name ${name}`)),
    ),
  ).toHaveLength(52);
});

test('what holds, holds for every turn of the order, and each has evidence', () => {
  for (const order of [tidemark, rotating, mirrored])
    for (const property of properties(order)) {
      if (property.holds) expect(property.evidence.length).toBeGreaterThan(0);
      if (['palindrome', 'ranks give the count', 'ranks give the place'].includes(property.id)) continue;
      if (property.id.includes('weave')) continue;
      for (const offset of [1, 17, 51]) {
        const turned = find(cut(order, offset), property.id);
        expect([turned.holds, turned.count]).toEqual([property.holds, property.count]);
      }
    }
});

test('the demo orders do what they are made for', () => {
  expect(find(mirrored, 'mates apart')).toMatchObject({
    holds: true,
    count: 26,
    says: 'mates 26 apart, wherever it is cut',
  });
  expect(find(rotating, 'suits cycle').holds).toBe(true);
  expect(find(rotating, 'ranks apart').holds).toBe(true);
  expect(find(tidemark, 'mates apart').holds).toBe(false);
  const half = mirrored.slice(0, 26);
  const outcome = orderByRule({ kind: 'palindrome', half });
  expect(outcome.ok && find(outcome.order, 'palindrome').holds).toBe(true);
});

test('a mirror about the middle lives through every weave, at any even or odd size; halves do not', () => {
  for (let pairs = 2; pairs <= 26; pairs++) {
    const half = mirrored.slice(0, pairs);
    const mates = half.map(mateOf);
    for (const order of [
      [...half, ...mates.reverse()],
      [...half, 52, ...half.map(mateOf).reverse()],
    ])
      for (const kind of ['in', 'out'] as const) {
        expect(find(order, `${kind} weave`)).toMatchObject({ holds: true, count: order.length });
        // Round the pack, each card and its mate lie as far from one axis.
        const after = weave(order, kind);
        const sums = order.flatMap((card) =>
          card === 52 ? [] : [(after.indexOf(card) + after.indexOf(mateOf(card))) % order.length],
        );
        expect(new Set(sums).size).toBe(1);
      }
    const halves = find([...half, ...half.map(mateOf)], 'out weave');
    expect(halves.holds).toBe(pairs === 2);
  }
  expect(find(mirrored, 'in weave').evidence[0]).toBe('before it: mates 26 apart');
  expect(find(tidemark, 'out weave')).toMatchObject({
    holds: false,
    evidence: ['its mates are not mirrored'],
  });
});

test('where it fails, the evidence says where', () => {
  const sorted = Array.from({ length: 52 }, (_, index) => index);
  const apart = find(sorted, 'suits apart');
  expect(apart.holds).toBe(false);
  expect(apart.count).toBe(4);
  expect(apart.evidence).toContain('1: A♣ 2♣');
  expect(find(sorted, 'colour runs').evidence).toEqual(['the longest run is 26']);
  expect(find(sorted, 'ranks apart').holds).toBe(true);
});

test('packs of other sizes and with jokers are looked at too', () => {
  for (const order of [rotating.slice(0, 7), [52, ...rotating, 53], [3], []])
    expect(properties(order).every(({ count, of }) => count <= Math.max(of, order.length))).toBe(true);
});
