import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { numberOrder } from '../deck/order';
import { applyMove, describeMove, invertMove, Move, MOVE_RULES, parseMove, placeAfterMove } from './move';
import { parseMoveText } from './moveText';

/** One move of each kind. A kind that is not here fails the first test. */
const SAMPLES: { readonly [Kind in Move['kind']]: Extract<Move, { kind: Kind }> } = {
  cut: { kind: 'cut', count: 12 },
  deal: { kind: 'deal', count: 9 },
  'deal heaps': { kind: 'deal heaps', heaps: 4, gather: [2, 1, 4, 3] },
  'undeal heaps': { kind: 'undeal heaps', heaps: 4, gather: [2, 1, 4, 3] },
  'move packet': { kind: 'move packet', from: 5, to: 9, after: 30, reversed: true },
  'reverse packet': { kind: 'reverse packet', from: 5, to: 20 },
  'swap cards': { kind: 'swap cards', one: 3, other: 20 },
  weave: { kind: 'weave', weave: 'in', top: 21 },
  unweave: { kind: 'unweave', weave: 'out' },
  'weave packet': { kind: 'weave packet', weave: 'in', count: 10 },
  'unweave packet': { kind: 'unweave packet', weave: 'out', count: 10 },
  riffle: { kind: 'riffle', seed: 3 },
  overhand: { kind: 'overhand', seed: 3, chop: 0.2 },
  take: { kind: 'take', place: 5, card: 4 },
  put: { kind: 'put', place: 5, card: 52 },
};

/** Of these nobody knows how to take them back, or how to write them by hand. */
const BY_CHANCE = ['riffle', 'overhand'];
const UNWRITTEN = ['undeal heaps'];

const docs = readFileSync(join(__dirname, '../../../docs/code/arranging.md'), 'utf8');
const pack = numberOrder();

test('every kind of move has a sample, and a row in the docs', () => {
  expect(Object.keys(SAMPLES).sort()).toEqual(Object.keys(MOVE_RULES).sort());
  expect(Object.keys(MOVE_RULES).filter((kind) => !docs.includes(`\`${kind}\``))).toEqual([]);
});

test.each(Object.values(SAMPLES).map((move) => [move.kind, move]))(
  '%s is read, done, told, placed, taken back and written by hand',
  (kind, move) => {
    expect(parseMove(structuredClone(move))).toEqual({ ok: true, move });
    for (const size of [52, 53, 41]) {
      const before = pack.concat(53).slice(0, size);
      const after = applyMove(before, move);
      for (const [index, card] of before.entries()) {
        const place = placeAfterMove(move, index + 1, size);
        expect(place === undefined ? undefined : after[place - 1]).toBe(
          place === undefined ? undefined : card,
        );
        if (place === undefined) expect(after).not.toContain(card);
      }
      const back = invertMove(move, size);
      expect(back === undefined).toBe(BY_CHANCE.includes(kind));
      if (back) expect(applyMove(after, back)).toEqual(before);
    }
    expect(describeMove(move)).toMatch(/^[A-Z].*\.$/);
    const { written } = MOVE_RULES[move.kind];
    expect(written === undefined).toBe(UNWRITTEN.includes(kind));
    if (written) {
      const now = pack.filter((card) => card !== 19);
      expect(parseMoveText(written.usage, now).move?.kind).toBe(kind);
      expect(written.says).toMatch(/^[a-z].*[^.]$/);
    }
  },
);
