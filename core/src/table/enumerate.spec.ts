import fc from 'fast-check';
import deeper from '../../test/vectors/cut-deeper.json';
import stacks from '../../test/vectors/stacks.json';
import { Card } from '../deck/card';
import { parseCard } from '../deck/notation';
import { numberOrder } from '../deck/order';
import { applyMove, Move } from '../moves/move';
import { enumerate } from './enumerate';
import { compile } from './program';
import { Start, Step } from './step';
import { cardInWorld, faceUpIn, packetInWorld } from './world';

/** Every world that is left, as its packets by name and its named numbers. */
const worldsOf = (
  start: Start,
  steps: readonly Step[],
): { packets: Record<string, Card[]>; names: Record<string, number> }[] => {
  const outcome = compile(start, steps);
  if (!outcome.ok) throw new Error(outcome.problems[0].what);
  const { program } = outcome;
  const worlds: { packets: Record<string, Card[]>; names: Record<string, number> }[] = [];
  enumerate(program, (world) =>
    worlds.push({
      packets: Object.fromEntries(program.packets.map((name, index) => [name, packetInWorld(world, index)])),
      names: Object.fromEntries(program.names.map((name, index) => [name, world.values[index]])),
    }),
  );
  return worlds;
};

const small = [5, 17, 30, 2, 44, 9, 51];

test('a free choice is every number of its range, one after the other', () => {
  const worlds = worldsOf({ pack: small }, [
    { do: 'choose', name: 'a', from: 1, to: { sizeOf: 'pack', plus: -1 } },
    { do: 'choose', name: 'b', from: { name: 'a', plus: 1 }, to: { sizeOf: 'pack' } },
  ]);
  expect(worlds).toHaveLength(21);
  expect(new Set(worlds.map(({ names }) => `${names['a']} ${names['b']}`)).size).toBe(21);
  expect(worlds.every(({ names }) => names['a'] < names['b'])).toBe(true);
});

test('steps do what the moves of the same name do', () => {
  fc.assert(
    fc.property(
      fc.shuffledSubarray([...numberOrder()], { minLength: 4, maxLength: 52 }),
      fc.nat(),
      (pack, seed) => {
        const count = seed % (pack.length + 1);
        const place = (seed % pack.length) + 1;
        const after = (...steps: Step[]): Card[] => worldsOf({ pack }, steps)[0].packets['pack'];
        const moved = (move: Move): unknown => applyMove(pack, move);
        expect(after({ do: 'cut', packet: 'pack', count })).toEqual(moved({ kind: 'cut', count }));
        expect(
          after(
            { do: 'deal', count, from: 'pack', onto: 'table' },
            { do: 'put', packet: 'table', where: 'on', other: 'pack' },
          ),
        ).toEqual(moved({ kind: 'deal', count }));
        expect(
          after(
            { do: 'lift', count, from: 'pack', onto: 'hand' },
            { do: 'put', packet: 'hand', where: 'under', other: 'pack' },
          ),
        ).toEqual(moved({ kind: 'cut', count }));
        expect(after({ do: 'take', place, from: 'pack', onto: 'out' })).toEqual(
          moved({ kind: 'take', place }),
        );
        expect(
          after(
            { do: 'take', place, from: 'pack', onto: 'out' },
            { do: 'insert', packet: 'out', into: 'pack', place },
          ),
        ).toEqual(pack);
        expect(after({ do: 'flip', packet: 'pack' })).toEqual([...pack].reverse());
      },
    ),
  );
});

const PACKETS = ['pack', 'hand', 'table'] as const;
const anyPacket = fc.constantFrom(...PACKETS);
const anyCount = fc.oneof(
  fc.integer({ min: 0, max: 9 }),
  fc.constant({ name: 'n' }),
  fc.constant({ sizeOf: 'pack', plus: -2 }),
);
const anyStep: fc.Arbitrary<Step> = fc.oneof(
  fc.record({ do: fc.constant('cut' as const), packet: anyPacket, count: anyCount }),
  fc.record({ do: fc.constant('lift' as const), count: anyCount, from: anyPacket, onto: anyPacket }),
  fc.record({ do: fc.constant('deal' as const), count: anyCount, from: anyPacket, onto: anyPacket }),
  fc.record({
    do: fc.constant('put' as const),
    packet: anyPacket,
    where: fc.constantFrom('on' as const, 'under' as const),
    other: anyPacket,
  }),
  fc.record({ do: fc.constant('flip' as const), packet: anyPacket }),
  fc.record({ do: fc.constant('take' as const), place: anyCount, from: anyPacket, onto: anyPacket }),
  fc.record({ do: fc.constant('insert' as const), packet: anyPacket, into: anyPacket, place: anyCount }),
);

test('no step loses or doubles a card, whatever is done, and a choice leaves no trace in the next', () => {
  fc.assert(
    fc.property(fc.array(anyStep, { maxLength: 8 }), (steps) => {
      const all: Step[] = [{ do: 'choose', name: 'n', from: 0, to: 3 }, ...steps];
      const outcome = compile({ pack: small, table: [1] }, all);
      if (!outcome.ok) return;
      const worlds = worldsOf({ pack: small, table: [1] }, all);
      for (const { packets } of worlds)
        expect(
          Object.values(packets)
            .flat()
            .sort((a, b) => a - b),
        ).toEqual([...small, 1].sort((a, b) => a - b));
      // Each choice alone gives the same worlds as all of them together.
      const alone = [0, 1, 2, 3].flatMap((n) =>
        worldsOf({ pack: small, table: [1] }, [{ do: 'choose', name: 'n', from: n, to: n }, ...steps]),
      );
      expect(worlds).toEqual(alone);
    }),
  );
});

test('two cuts, the second deeper: the worked examples', () => {
  const pack = stacks.tidemark.map((name) => parseCard(name) as Card);
  for (const row of deeper.rows) {
    const steps: Step[] = [row.firstCut, row.secondCut].flatMap((count): Step[] => [
      { do: 'lift', count, from: 'pack', onto: 'hand' },
      { do: 'flip', packet: 'hand' },
      { do: 'see', sight: { of: 'card', packet: 'hand', place: 1 }, name: `seen ${count}` },
      { do: 'put', packet: 'hand', where: 'on', other: 'pack' },
    ]);
    const outcome = compile({ pack }, steps);
    if (!outcome.ok) throw new Error();
    const { program } = outcome;
    enumerate(program, (world) => {
      const index = program.packets.indexOf('pack');
      expect(Array.from(world.values)).toEqual([parseCard(row.firstSeen), parseCard(row.secondSeen)]);
      expect(faceUpIn(world, index)).toBe(row.faceUp);
      expect(cardInWorld(world, index, row.faceUp + 1)).toBe(parseCard(row.firstFaceDown));
    });
  }
});

test('a sight leaves worlds out, also by rank, suit, size and remainder; either copy of a card looks the same', () => {
  const pack = [5, 59, 18, 31];
  const placeOf = (...steps: Step[]): number[] =>
    worldsOf({ pack }, [{ do: 'choose', name: 'p', from: 1, to: 4 }, ...steps]).map(
      ({ names }) => names['p'],
    );
  const at = { packet: 'pack', place: { name: 'p' } } as const;
  expect(placeOf({ do: 'see', sight: { of: 'card', ...at }, is: 5 })).toEqual([1, 2]);
  expect(placeOf({ do: 'see', sight: { of: 'rank', ...at }, is: 6 })).toEqual([1, 2, 3, 4]);
  expect(placeOf({ do: 'see', sight: { of: 'suit', ...at }, is: 1 })).toEqual([3]);
  expect(placeOf({ do: 'require remainder', number: { name: 'p' }, by: 3, is: 1 })).toEqual([1, 4]);
  expect(
    placeOf({ do: 'require', number: { name: 'p' }, from: 2, to: { sizeOf: 'pack', plus: -1 } }),
  ).toEqual([2, 3]);
  expect(
    placeOf(
      { do: 'lift', count: { name: 'p' }, from: 'pack', onto: 'hand' },
      { do: 'see', sight: { of: 'size', packet: 'hand' }, is: 3 },
    ),
  ).toEqual([3]);
});

test('ill-formed steps are refused with the step named, and a budget or enough worlds end a run', () => {
  const problems = (...steps: Step[]): string[] => {
    const outcome = compile({ pack: small }, steps);
    return outcome.ok ? [] : outcome.problems.map(({ where, what }) => `${where ?? ''}: ${what}`);
  };
  expect(problems({ do: 'cut', packet: 'pack', count: { name: 'n' } })).toEqual([
    'Step 1: “n” is not known yet.',
  ]);
  expect(problems({ do: 'cut', packet: 'pack', count: { sizeOf: 'heap' } })[0]).toContain('no packet “heap”');
  expect(problems({ do: 'lift', count: 1, from: 'pack', onto: 'pack' })[0]).toContain('onto itself');
  expect(compile({ pack: numberOrder(), other: numberOrder() }, []).ok).toBe(false);
  const outcome = compile({ pack: small }, [
    { do: 'choose', name: 'a', from: 1, to: 500 },
    { do: 'cut', packet: 'pack', count: 1 },
  ]);
  if (!outcome.ok) throw new Error();
  expect(enumerate(outcome.program, () => undefined, 100)).toBeUndefined();
  expect(enumerate(outcome.program, () => undefined)).toBe(500);
  const shown: number[] = [];
  expect(enumerate(outcome.program, ({ values }) => shown.push(values[0]), 10, 3)).toBe(3);
  expect(shown).toEqual([1, 2, 3]);
});
