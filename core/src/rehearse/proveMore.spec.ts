import { finish } from '../job/job';
import { Machine } from '../procedure/machine';
import { Procedure, Step } from '../procedure/procedure';
import { compile } from '../procedure/compile';
import { seededRng } from '../deck/rng';
import { randomProcedure } from '../../test/randomProcedure';
import { estimate } from './estimate';
import { hasChance, PROOF, prove, weigh } from './prove';
import { readProcedure } from './readProcedure';

const read = (value: unknown): Procedure => {
  const outcome = readProcedure(value);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.problems));
  return outcome.procedure;
};
const cards = (count: number): string[] =>
  Array.from({ length: count }, (_, index) => (index === 2 ? 'QH' : '-'));

/** Cards dealt in blocks of up to four, each to one of two heaps. */
const freely = (count: number, then: readonly Step[]): Procedure =>
  read({
    name: 'dealt freely',
    packets: { pack: cards(count) },
    steps: [
      {
        do: 'repeat',
        while: { less: [0, { 'size of': 'pack' }] },
        steps: [
          { do: 'choose', name: 'block', from: 1, to: { least: [4, { 'size of': 'pack' }] } },
          {
            do: 'choose one',
            name: 'heap',
            of: ['left', 'right'].map((onto) => ({
              words: onto,
              steps: [{ do: 'deal', by: 'helper', count: 'block', from: 'pack', onto }],
            })),
          },
        ],
      },
      ...then,
    ],
  });

test('cards dealt freely: as many ways as adding up gives, taken together where they are alike', () => {
  const queenLeft: Step = { do: 'claim', that: { less: [0, { 'place of': { card: 'QH' }, in: 'left' }] } };
  // ways[n] = 2 × the ways of what is left after a block of one to four.
  const ways = [1];
  for (let count = 1; count <= 26; count++)
    ways.push([1, 2, 3, 4].reduce((sum, block) => sum + (block <= count ? 2 * ways[count - block] : 0), 0));
  for (const count of [3, 5, 8, 26]) {
    const { cases, held, failed, complete } = prove(freely(count, [queenLeft]));
    // Left and right are alike.
    expect([count, complete, cases, held, failed]).toEqual([
      count,
      true,
      ways[count],
      ways[count] / 2,
      ways[count] / 2,
    ]);
  }
  expect(weigh(freely(26, [queenLeft]))).toEqual({ held: 0.5, outs: 0, failed: 0.5 });
});

test('failures are listed in the order of their cases, at most a thousand, also where worlds are alike', () => {
  const { failures, failed } = prove(freely(14, [{ do: 'claim', that: { less: [1, 0] } }]));
  expect(failed).toBeGreaterThan(100_000);
  expect(failures).toHaveLength(1000);
  const keys = failures.map(({ choices }) => choices.map(([, value]) => value.toString()).join(''));
  expect(keys).toEqual([...keys].sort());
  expect(new Set(keys).size).toBe(1000);
});

test('a budget ends a proof with what was found so far, also where a procedure would go on for ever', () => {
  const long = read({
    name: 'long',
    packets: { pack: cards(10) },
    steps: Array.from({ length: 8 }, (_, index) => ({ do: 'choose', name: `n${index}`, from: 1, to: 1000 })),
  });
  const { complete, cases, held } = prove(long, { budget: 50_000 });
  expect([complete, cases > 40_000, held === cases]).toEqual([false, true, true]);
  const nested = (depth: number): Step => ({
    do: 'repeat',
    times: 200,
    steps: depth === 0 ? [{ do: 'weave', packet: 'pack', kind: 'in' }] : [nested(depth - 1)],
  });
  const round = read({ name: 'round', packets: { pack: cards(10) }, steps: [nested(5)] });
  expect(prove(round, { budget: 100_000 })).toMatchObject({ complete: false, cases: 0 });
  expect(estimate(round, { seed: 1, worlds: 3, budget: 300_000 }).worlds).toBe(0);
});

test('a machine that is stopped at every few steps finds what one finds that is not', () => {
  for (let seed = 1; seed <= 60; seed++) {
    const outcome = readProcedure(randomProcedure(seededRng(seed)));
    if (!outcome.ok) continue;
    const program = compile(outcome.procedure);
    const [whole, halting] = [new Machine(program), new Machine(program)];
    whole.run(Number.POSITIVE_INFINITY);
    let before = 0;
    while (!halting.run(halting.steps + 3)) {
      const { progress } = halting;
      expect(progress).toBeGreaterThanOrEqual(before);
      before = progress;
    }
    expect([seed, halting.counts, halting.failures, halting.steps]).toEqual([
      seed,
      whole.counts,
      whole.failures,
      whole.steps,
    ]);
  }
});

test('a proof as a job tells how far it is, and stops when it is told to', () => {
  const job = PROOF.start({ procedure: freely(26, [{ do: 'turn', packet: 'left' }]) });
  const first = job.next();
  expect(first.done).toBe(false);
  const { share, held } = first.value as { share: number; held: number };
  expect([share >= 0, share < 1, held > 0]).toEqual([true, true, true]);
  expect(finish(job).complete).toBe(true);
});

test('any text may be a name, also what JavaScript has a meaning for', () => {
  const names = ['constructor', '__proto__', 'toString', 'hasOwnProperty'];
  for (const name of names) {
    const odd = read(
      JSON.parse(
        JSON.stringify({
          name,
          steps: [
            { do: 'choose', name: 'n', from: 1, to: 2 },
            { do: 'put', packet: 'PACKET', where: 'on', other: 'other' },
            { do: 'work out', name: 'NAME', what: { 'size of': 'PACKET' } },
            { do: 'claim', that: { equal: ['NAME', 0] } },
          ],
        })
          .replaceAll('PACKET', name)
          .replaceAll('NAME', name),
      ),
    );
    expect([name, prove(odd).held]).toEqual([name, 2]);
  }
});

test('chances that nothing weighs, and worlds that are all left out, are undefined', () => {
  const none = read({
    name: 'none',
    steps: [{ do: 'choose', name: 'n', from: 5, to: 7, likely: { table: { 1: 2 } } }],
  });
  expect(prove(none).held).toBe(3);
  expect(weigh(none)).toBeUndefined();
  expect(weigh(read({ name: 'out', steps: [{ do: 'require', that: { less: [1, 0] } }] }))).toBeUndefined();
  expect(estimate(none, { seed: 1, worlds: 50 })).toMatchObject({ worlds: 0, leftOut: 50 });
});

test('where chance enters it is estimated, and neither proved nor weighed', () => {
  const mixed = read({
    name: 'riffled',
    packets: { pack: ['AC', '7D', 'QH', 'KS'] },
    steps: [
      { do: 'if', that: { less: [0, 1] }, then: [{ do: 'riffle', packet: 'pack', times: 12 }] },
      { do: 'claim', that: { equal: [{ 'top of': 'pack' }, { card: 'QH' }] } },
      { do: 'claim known', what: 1 },
    ],
  });
  expect(hasChance(mixed)).toBe(true);
  expect(() => prove(mixed)).toThrow();
  expect(() => weigh(mixed)).toThrow();
  const found = estimate(mixed, { seed: 4, worlds: 4000 });
  expect(found.worlds).toBe(4000);
  expect(found.unjudged).toEqual(['3']);
  expect([found.held.low < 0.25, found.held.high > 0.25]).toEqual([true, true]);
  expect(estimate(mixed, { seed: 4, worlds: 4000 })).toEqual(found);
  expect(estimate(mixed, { seed: 5, worlds: 4000 }).held.share).not.toBe(found.held.share);
});

test('intervals hold the exact chance about 19 times in 20', () => {
  const cut = read({
    name: 'a cut near the middle',
    packets: { pack: cards(52) },
    steps: [
      { do: 'choose', name: 'cut', from: 1, to: 51, likely: { around: 26, within: 5 } },
      { do: 'require', that: { less: ['cut', 40] } },
      { do: 'claim', that: { all: [{ 'at most': [20, 'cut'] }, { 'at most': ['cut', 32] }] } },
    ],
  });
  const exact = weigh(cut)?.held ?? 0;
  let within = 0;
  for (let seed = 1; seed <= 200; seed++) {
    const { held } = estimate(cut, { seed, worlds: 300 });
    if (held.low <= exact && exact <= held.high) within++;
  }
  expect(within).toBeGreaterThan(180);
  expect(within).toBeLessThan(200);
});

test('kept cards stay where they are in a shuffle, and no card is lost', () => {
  for (const shuffle of ['riffle', 'overhand', 'mix']) {
    const kept = read({
      name: shuffle,
      packets: { pack: ['AC', '2C', '3C', '4C', '5C', '6C', '7C', '8C'] },
      steps: [
        { do: 'turn card', packet: 'pack', place: 4 },
        { do: shuffle, packet: 'pack', times: 3, 'keep top': 2, 'keep face': 1 },
        {
          do: 'claim',
          that: {
            all: [
              ...[
                ['AC', 1],
                ['2C', 2],
                ['8C', 8],
              ].map(([card, place]) => ({ equal: [{ 'place of': { card }, in: 'pack' }, place] })),
              ...['3C', '4C', '5C', '6C', '7C'].map((card) => ({
                less: [2, { 'place of': { card }, in: 'pack' }],
              })),
              { 'face up': { 'place of': { card: '4C' }, in: 'pack' }, of: 'pack' },
              { equal: [{ 'face up in': 'pack' }, 1] },
            ],
          },
        },
      ],
    });
    expect(estimate(kept, { seed: 2, worlds: 300 }).held.share).toBe(1);
    const more = read({
      name: '',
      packets: { pack: ['AC'] },
      steps: [{ do: shuffle, packet: 'pack', 'keep top': 1, 'keep face': 1 }],
    });
    expect(estimate(more, { seed: 2, worlds: 3 }).failed.share).toBe(1);
  }
});

test('nobody shuffles for ever, and a field that means nothing changes nothing', () => {
  const often = read({
    name: '',
    packets: { pack: ['AC', '2C'] },
    steps: [{ do: 'riffle', packet: 'pack', times: 1_000_000_000 }],
  });
  expect(estimate(often, { seed: 1, worlds: 2 }).failed.share).toBe(1);
  const sum = { sum: [1, 2], card: 'nothing' };
  expect(prove(read({ name: '', steps: [{ do: 'claim', that: { equal: [sum, 3] } }] })).held).toBe(1);
});

test('a riffle is the model of odds: the top card stays on top as often as it says', () => {
  const riffled = read({
    name: 'riffled',
    packets: { pack: ['AC', '2C', '3C', '4C', '5C', '6C'] },
    steps: [
      { do: 'riffle', packet: 'pack' },
      { do: 'claim', that: { equal: [{ 'top of': 'pack' }, { card: 'AC' }] } },
    ],
  });
  // Every card draws a side; the top card stays unless it falls behind one of another packet: 1/2 + 1/2 × (1/2)^5.
  const exact = 0.5 + 0.5 ** 6;
  const { held } = estimate(riffled, { seed: 9, worlds: 20_000 });
  expect([held.low < exact, exact < held.high]).toEqual([true, true]);
});
