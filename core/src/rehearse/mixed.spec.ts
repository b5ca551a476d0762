import { proveSlowly } from '../../test/slowProcedure';
import { randomInt, Rng, seededRng } from '../deck/rng';
import { runJob } from '../job/job';
import { PROOF, prove, weigh, WEIGHT } from './prove';
import { LEARNT } from './worked/cards';
import { readProcedure } from './readProcedure';
import { Procedure, Step } from '../procedure/procedure';

type Json = Record<string, unknown>;

const read = (value: unknown): Procedure => {
  const outcome = readProcedure(value);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.problems));
  return outcome.procedure;
};

/** So many are tried, each of at most so many worlds. */
const [RUNS, MOST] = [250, 1500];

const PACKETS = ['pack', 'hand'];
const CARDS = ['AC', 'AS', '7D', '7H', '7D*', 'X1', '-', '-'];

/** Few cards that are mixed again and again, in part, of both sides, and looked at in between. */
const mixedOften = (rng: Rng): Json => {
  const pick = <Item>(items: readonly Item[]): Item => items[randomInt(rng, items.length)];
  const often = (chance: number): boolean => rng() < chance;
  /** Cards that were seen: most of them need not be known. */
  const named: string[] = [];
  const card = (): unknown => (named.length > 0 && often(0.5) ? pick(named) : { card: pick(CARDS) });
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
  const look = (): Json => {
    const what = seen();
    const name = `n${given++}`;
    named.push(name);
    return { do: 'see', what, name, by: often(0.7) ? 'helper' : 'performer' };
  };
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
        by,
        card: card(),
        ...pick([
          { from: 'pack', onto: 'hand' },
          { from: 'hand', onto: 'pack' },
        ]),
      }),
      () => ({ do: 'put', packet: 'hand', where: pick(['on', 'under']), other: 'pack' }),
      () => ({ do: 'weave', packet: 'pack', kind: 'in' }),
      () => ({ do: 'see', what: number(), name: `n${given++}`, by: often(0.5) ? 'helper' : 'performer' }),
      look,
      look,
      () => ({ do: 'claim', that: { not: { equal: [seen(), card()] } } }),
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
      ...(often(0.5) ? [look()] : []),
      ...Array.from({ length: 2 + randomInt(rng, 6) }, step),
      { do: 'claim', that: { less: [number(), 2] } },
    ],
  };
};

test('few cards mixed again and again: a plain second reading finds the same', () => {
  let [run, ordered] = [0, 0];
  for (let seed = 1; seed <= RUNS; seed++) {
    const value = mixedOften(seededRng(seed));
    const slow = proveSlowly(value, MOST);
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

describe('a whole pack that was mixed', () => {
  const four = LEARNT.filter((card) => card.endsWith('S'))
    .slice(0, 4)
    .map((card) => ({ card }));
  const shuffled = (...steps: readonly Step[]): Procedure =>
    read({
      name: 'x',
      version: 2,
      packets: { pack: LEARNT },
      steps: [{ do: 'mix', packet: 'pack' }, ...steps],
    });

  test('of four cards each is met first as often', () => {
    const what = { 'first among': four, in: 'pack', towards: 'face' };
    const procedure = shuffled(
      { do: 'see', what, name: 'met' },
      { do: 'claim', that: { equal: ['met', four[0]] } },
    );
    expect(weigh(procedure)?.held).toBeCloseTo(1 / 4, 12);
    expect(prove(procedure)).toMatchObject({ cases: 1, failed: 1, complete: true });
  });

  test('where no steps are left for what lay how, a failure is told without it', () => {
    const procedure = shuffled({
      do: 'claim',
      that: { not: { equal: [{ 'top of': 'pack' }, { card: LEARNT[51] }] } },
    });
    const [whole] = prove(procedure).failures;
    expect(whole.orders?.at(0)).toHaveLength(52);
    const ended = [...Array(12).keys()]
      .map((power) => prove(procedure, { budget: 2 ** power }))
      .filter(({ complete }) => complete);
    expect(ended[0].failures).toEqual([{ choices: whole.choices, at: whole.at, why: whole.why }]);
    expect(ended[ended.length - 1].failures).toEqual([whole]);
  });

  test('how many of four lie among ten is told by the hypergeometric law', () => {
    const ways = (n: number, k: number): number => (k === 0 ? 1 : (ways(n - 1, k - 1) * n) / k);
    for (const most of [0, 1, 2, 3]) {
      const procedure = shuffled(
        { do: 'lift', count: 10, from: 'pack', onto: 'hand' },
        { do: 'claim', that: { 'at most': [{ 'how many of': four, in: 'hand' }, most] } },
      );
      const law = Array.from({ length: most + 1 }, (_, k) => (ways(4, k) * ways(48, 10 - k)) / ways(52, 10));
      expect(weigh(procedure)?.held).toBeCloseTo(
        law.reduce((sum, each) => sum + each, 0),
        12,
      );
    }
  });

  test('a card that was looked at is found again wherever it goes, and need not be known', () => {
    const procedure = shuffled(
      { do: 'choose', name: 'first', from: 1, to: 52 },
      { do: 'see', what: { 'card at': 'first', of: 'pack' }, name: 'theirs', by: 'helper' },
      { do: 'take', place: 'first', from: 'pack', onto: 'hand', by: 'helper' },
      { do: 'put', packet: 'hand', where: 'on', other: 'pack', by: 'helper' },
      { do: 'choose', name: 'cut', from: 0, to: 51 },
      { do: 'cut', packet: 'pack', count: 'cut', by: 'helper' },
      {
        do: 'claim',
        that: {
          equal: [{ 'place of': 'theirs', in: 'pack' }, { around: [{ difference: [1, 'cut'] }, 52] }],
        },
      },
    );
    expect(prove(procedure)).toMatchObject({ cases: 52 * 52, held: 52 * 52, complete: true });
  });
});
