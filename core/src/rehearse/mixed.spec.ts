import { proveSlowly } from '../../test/slowProcedure';
import { randomInt, Rng, seededRng } from '../deck/rng';
import { runJob } from '../job/job';
import { PROOF, WEIGHT } from './prove';
import { readProcedure } from './readProcedure';
import { Procedure } from '../procedure/procedure';

type Json = Record<string, unknown>;

const read = (value: unknown): Procedure => {
  const outcome = readProcedure(value);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.problems));
  return outcome.procedure;
};

const PACKETS = ['pack', 'hand'];
const CARDS = ['AC', 'AS', '7D', '7H', '7D*', 'X1', '-', '-'];

/** Few cards that are mixed again and again, in part, of both sides, and looked at in between. */
const mixedOften = (rng: Rng): Json => {
  const pick = <Item>(items: readonly Item[]): Item => items[randomInt(rng, items.length)];
  const often = (chance: number): boolean => rng() < chance;
  const card = (): Json => ({ card: pick(CARDS) });
  const these = (): unknown => (often(0.3) ? 'home' : [card(), card()].slice(randomInt(rng, 2)));
  const packet = (): string => (often(0.7) ? 'pack' : 'hand');
  const towards = (): string => pick(['face', 'top']);
  const number = (): unknown =>
    pick<() => unknown>([
      () => ({ 'place of': card(), in: packet() }),
      () => ({ 'how many of': these(), in: packet() }),
      () => ({ 'face up in': packet() }),
      () => ({ 'mates together in': packet() }),
      () => ({ whether: { 'face up': 1 + randomInt(rng, 2), of: packet() } }),
      () => ({ 'rank of': { 'top of': packet() } }),
    ])();
  const seen = (): unknown =>
    pick<() => unknown>([
      () => ({ 'first of': these(), 'not in': packet() }),
      () => ({ 'first among': these(), in: packet(), towards: towards() }),
      () => ({
        ...{ 'next after': card(), in: packet(), towards: towards() },
        ...(often(0.5) ? { among: these() } : {}),
      }),
      () => ({ 'card at': 1 + randomInt(rng, 3), of: packet() }),
      () => ({ 'face of': packet() }),
    ])();
  let given = 0;
  const by = 'helper';
  const step = (): Json =>
    pick<() => Json>([
      () => ({ do: 'mix', packet: packet() }),
      () => ({
        ...{ do: 'mix', packet: packet(), times: randomInt(rng, 3) },
        ...{ 'keep top': randomInt(rng, 2), 'keep face': randomInt(rng, 2) },
      }),
      () => ({ do: 'lift', by, count: 'some', from: 'pack', onto: 'hand' }),
      () => ({ do: 'deal', count: 1, from: 'hand', onto: 'pack' }),
      () => ({ do: 'turn', packet: packet() }),
      () => ({ do: 'turn card', packet: packet(), place: 1 + randomInt(rng, 2) }),
      () => ({
        do: 'take',
        card: card(),
        ...pick([
          { from: 'pack', onto: 'hand' },
          { from: 'hand', onto: 'pack' },
        ]),
      }),
      () => ({ do: 'put', packet: 'hand', where: pick(['on', 'under']), other: 'pack' }),
      () => ({ do: 'weave', packet: 'pack', kind: 'in' }),
      () => ({ do: 'see', what: number(), name: `n${given++}`, by: often(0.5) ? 'helper' : 'performer' }),
      () => ({ do: 'see', what: seen(), name: `n${given++}`, by: often(0.5) ? 'helper' : 'performer' }),
      () => ({ do: 'require', that: { not: { equal: [number(), randomInt(rng, 3)] } } }),
      () => ({
        ...{ do: 'if', by, that: { less: [number(), 2] } },
        then: [{ do: 'choose', name: `n${given++}`, from: 0, to: number() }],
        otherwise: often(0.3) ? [{ do: 'out', words: 'so' }] : [],
      }),
      () => ({ do: 'claim known', what: often(0.5) ? number() : seen() }),
      () => ({ do: 'repeat', by, times: 2, steps: [{ do: 'mix', packet: packet(), 'keep top': 1 }] }),
    ])();
  return {
    ...{ name: 'mixed', version: 2, orders: { home: ['7D', 'AS', '-'] } },
    packets: Object.fromEntries(
      PACKETS.map((name, index) => [name, Array.from({ length: 4 - 2 * index }, () => pick(CARDS))]),
    ),
    steps: [
      { do: 'choose', name: 'some', from: 1, to: 2 },
      ...(often(0.4) ? [{ do: 'turn card', packet: 'pack', place: 2 }] : []),
      { do: 'mix', packet: 'pack' },
      ...Array.from({ length: 2 + randomInt(rng, 6) }, step),
      { do: 'claim', that: { less: [number(), 2] } },
    ],
  };
};

test('few cards mixed again and again: a plain second reading finds the same', () => {
  let [run, ordered] = [0, 0];
  const from = Number(process.env['FROM'] ?? 1);
  for (let seed = from; seed < from + Number(process.env['N'] ?? 250); seed++) {
    const value = mixedOften(seededRng(seed));
    const slow = proveSlowly(value, 1500);
    if (!slow) continue;
    run++;
    const args = { procedure: read(value), often: seed % 2 === 0 ? 0 : undefined };
    const { complete, cases, failures, ...counts } = runJob(PROOF, args);
    const { failures: all, weights, cards, ...expected } = slow;
    expect([seed, complete, counts]).toEqual([seed, true, expected]);
    expect([seed, failures]).toEqual([seed, all]);
    expect([seed, cards.size, cases]).toEqual([seed, 1, counts.held + counts.outs + counts.failed]);
    const sum = weights.held + weights.outs + weights.failed;
    const chances = runJob(WEIGHT, args);
    for (const field of ['held', 'outs', 'failed'] as const)
      if (sum > 0)
        expect([seed, field, chances?.[field].toFixed(9)]).toEqual([
          seed,
          field,
          (weights[field] / sum).toFixed(9),
        ]);
    ordered += all.filter(({ orders }) => (orders?.length ?? 0) > 1).length;
  }
  expect(run).toBeGreaterThan(150);
  expect(ordered).toBeGreaterThan(50);
});
