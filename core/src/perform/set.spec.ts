import vectors from '../../test/vectors/perform.json';
import { parseCard } from '../deck/notation';
import { numberOrder, Order } from '../deck/order';
import { randomInt, seededRng, shuffled } from '../deck/rng';
import { finish } from '../job/job';
import { applyMove, Move } from '../moves/move';
import { WORKED } from '../rehearse/worked/worked';
import { along, runAsTheyStand } from './along';
import { afterRoutine } from './afterRoutine';
import { behindOthers } from './behindOthers';
import { fromHere } from './fromHere';
import { laidFor, PackNeed } from './need';
import { DECLARED, declaredOf, declaredState, LIES, neededOf } from './declared';
import { FixedPoint, fixedPointsOf, isKept, sayPoint, withoutPoint, withPoint } from './fixedPoints';
import { glimpsed, Happened } from './glimpses';
import { pictureOfState } from './picture';
import { makeSetFile, readSetFile } from './setFile';
import { rulesOf } from './orderWish';
import { mend } from './mend';
import { OrderWish } from './orderWish';
import { resetPlan } from './reset';
import { newRoutine, newSet, ROUTINE, SET_LIST, withoutRoutine } from './routine';
import { bestRunningOrder } from './runningOrder';
import { NamedHome, sayMend, sayNeed, sayState, UNKNOWN_HOME, whyNoMend } from './say';
import { LyingCard, PackState } from './state';
import { NEED, STATE } from './stateShape';
import { packsIn, WORKED_OUT } from './workedOut';

const HOME: NamedHome = { name: 'Tidemark', cards: numberOrder() };
const card = (text: string): number => parseCard(text) as number;

const home = (more: Partial<Extract<PackState, { lies: 'home' }>>): PackState => ({
  ...{ lies: 'home', turn: 0, packets: [], out: [], extra: 0 },
  ...more,
});

test.each<readonly [PackNeed, string]>([
  [{ kind: 'home', turns: 'any' }, 'Tidemark, cut anywhere'],
  [{ kind: 'home', turns: 'any', known: true }, 'Tidemark, cut where you know'],
  [{ kind: 'home', turns: [0] }, 'Tidemark from the top'],
  [{ kind: 'home', turns: [13] }, 'Tidemark cut at 13, K♣ at the face'],
  [{ kind: 'home', turns: [3, 9], fewer: 1 }, 'Tidemark cut at 3 or 9; 1 card may be out'],
  [{ kind: 'bank', cards: [card('4S')], at: 'top', loose: false }, '4♠ on top'],
  [
    { kind: 'bank', cards: [0, 1, 2, 3, 4], at: 'face', loose: true },
    '5 cards (A♣ to 5♣) at the face, in any sequence',
  ],
  [{ kind: 'cards' }, 'all its cards, face down'],
])('what a routine needs is said: %j', (need, says) => {
  expect(sayNeed(need, HOME)).toBe(says);
  expect(NEED(need, {})).toBeUndefined();
});

const STRAY = { place: 1, count: 12, most: 12, reversed: true, faceUp: true, stays: false, behind: 9 };

test.each<readonly [PackState, string]>([
  [home({}), 'from the top'],
  [home({ turn: { seen: [] } }), 'cut where you saw'],
  [home({ turn: { plus: 0 } }), 'cut as it was'],
  [
    home({ turn: 'unseen', packets: [STRAY] }),
    'cut, nobody saw where; 12 cards face up, which belong below 9♣',
  ],
  [
    home({ out: [{ where: 'pocket', count: 1, most: 1, cards: [card('7D')] }] }),
    'from the top; 7♦ out (pocket)',
  ],
  [
    { lies: 'lost', faceUp: true, out: [{ where: 'gone', count: 1, most: 1, cards: [0] }], extra: 2 },
    'in no known order, with cards face up; A♣ gone for good; 2 cards in it that do not belong there',
  ],
  [
    { lies: 'bank', bank: { cards: [0, 1], at: 'top', loose: false }, out: [], extra: 0 },
    '2 cards of its bank on top',
  ],
])('how a pack lies is said: %#', (state, says) => {
  expect(sayState(state, HOME)).toBe(says);
  expect(STATE(state, {})).toBeUndefined();
});

test('what is stored of a state or a need is read strictly', () => {
  for (const state of [...vectors.states.map((row) => row.state), ...vectors.mends.map((row) => row.state)])
    if (state.lies !== 'ready') expect([state, STATE(state, {})]).toEqual([state, undefined]);
  for (const row of vectors.mends) expect(NEED(row.need, {})).toBeUndefined();
  expect(STATE({ lies: 'ready' }, {})).toMatchObject({ where: 'lies' });
  expect(STATE({ ...home({}), turn: -1 }, {})).toMatchObject({ where: 'turn' });
  expect(STATE({ ...home({}), turn: { plus: { seen: [''] } } }, {})).toBeDefined();
  expect(NEED({ kind: 'home', turns: [] }, {})).toBeDefined();
  expect(NEED({ kind: 'bank', cards: [1, 1], at: 'top', loose: false }, {})).toBeDefined();
});

test('a mend is said act by act, and why there is none', () => {
  const need: PackNeed = { kind: 'home', turns: [0] };
  const acts = (state: PackState): readonly string[] =>
    sayMend(mend(state, need, HOME.cards)?.parts ?? [], state, need, HOME);
  expect(acts(home({ packets: [STRAY] }))).toEqual(['Turn the 12 over', 'Put the 12 below 9♣']);
  expect(acts(home({ turn: 20 }))).toEqual(['Cut K♠ to the face']);
  expect(acts(home({ turn: 'unseen' }))).toEqual([
    'See the card at the face: it tells the cut',
    'Cut K♠ to the face',
  ]);
  const lost: PackState = { lies: 'lost', faceUp: false, out: [], extra: 0 };
  expect(acts(lost)).toEqual([]);
  expect(whyNoMend(lost, need, HOME)).toMatch(/^Its order is lost, .* Use a spare pack/);
  const gone: PackState = home({ out: [{ where: 'gone', count: 1, most: 1, cards: [0] }] });
  expect(whyNoMend(gone, need, HOME)).toBe('A♣ gone for good: the next routine needs all its cards.');
});

test.each(vectors.orders.map((row, index) => [index, row] as const))(
  'the packs along the best order cost what is told, example %i',
  (_, row) => {
    const wish = row.wish as unknown as OrderWish;
    const best = bestRunningOrder(wish);
    if (!best.ok) throw new Error('no order');
    const found = along(wish, best.running);
    expect(found.map(({ before }) => before)).toEqual(best.running.order);
    for (const { packs } of found)
      for (const { mends, each, others, ready } of packs) {
        const own = mends.filter(({ how }) => how === 'mend');
        const worst = Math.max(0, ...each.map(({ seconds }) => seconds));
        if (mends.length === 1 && own.length === 1 && own[0].price[0] === 0)
          expect(worst).toBe(own[0].price[2]);
        // What could be done instead is another way, and can be done.
        expect(others.filter(({ how }) => mends.some((each) => each.how === how))).toEqual([]);
        expect(others.every(({ price }) => price[0] === 0 && price[2] > 0)).toBe(true);
        expect(others.length === 0 || mends.length > 0).toBe(true);
        if (own.some(({ price }) => price[0] > 0)) expect(each.some(({ parts }) => !parts)).toBe(true);
        expect(ready.length).toBeGreaterThan(0);
      }
    // In its own order it costs the same, and no less in the one that it was given in.
    const routines = best.running.order.map((id) => wish.routines.find((each) => each.id === id));
    const again = runAsTheyStand({ ...wish, routines: routines as OrderWish['routines'] });
    expect(again).toMatchObject({
      running: { seconds: best.running.seconds, outOfSight: best.running.outOfSight },
    });
  },
);

/** A pack on which something of everything was done. */
const messed = (draw: () => number): LyingCard[] => {
  const rng = draw;
  let cards: Order = numberOrder();
  for (let each = randomInt(rng, 4); each > 0; each--) {
    const moves: readonly Move[] = [
      { kind: 'cut', count: 1 + randomInt(rng, 51) },
      { kind: 'deal', count: 2 + randomInt(rng, 20) },
      { kind: 'swap cards', one: 3, other: 4 + randomInt(rng, 40) },
    ];
    cards = applyMove(cards, moves[randomInt(rng, 3)]);
  }
  cards = cards.filter(() => randomInt(rng, 20) > 0);
  if (randomInt(rng, 2) === 0) cards = [...cards.slice(0, 9), 53, ...cards.slice(9)];
  const [from, count] = [randomInt(rng, 40), randomInt(rng, 12)];
  return cards.map((each, index) => ({ card: each, faceUp: index >= from && index < from + count }));
};

test('every way back ends at home, step after step, with no more in the pack than there was', () => {
  const draw = seededRng(28);
  for (let round = 0; round < 150; round++) {
    const now = messed(draw);
    const plan = resetPlan({ now, home: HOME.cards });
    let before: readonly LyingCard[] = now;
    for (const { kind, says, cards, after } of plan.steps) {
      expect(says).toMatch(/^[A-Z].*\.$/);
      expect(cards.length).toBeGreaterThan(0);
      const change = { 'take out': -cards.length, 'put back': cards.length, move: 0, 'turn over': 0 }[kind];
      expect(after.length).toBe(before.length + change);
      if (kind === 'move') expect(after.every(({ faceUp }) => !faceUp)).toBe(true);
      before = after;
    }
    expect(before).toEqual(HOME.cards.map((each) => ({ card: each, faceUp: false })));
    expect(plan.moves).toBe(plan.steps.filter(({ kind }) => kind === 'move').length);
    expect(plan.bound).toBeLessThanOrEqual(plan.moves);
  }
  const cut = applyMove(HOME.cards, { kind: 'cut', count: 5 }).map((each) => ({ card: each, faceUp: false }));
  expect(resetPlan({ now: cut, home: HOME.cards, rotated: true }).steps).toEqual([]);
  expect(resetPlan({ now: cut, home: HOME.cards }).steps.map(({ says }) => says)).toEqual([
    'Cut K♠ to the face.',
  ]);
});

/** Every pack that can come about, by really doing it. */
const packsAfter = (size: number, happened: Happened): ReadonlySet<string> => {
  const order = numberOrder().slice(0, size);
  const cuts = (pack: Order): Order[] =>
    Array.from({ length: size }, (_, count) => [...pack.slice(count), ...pack.slice(0, count)]);
  const cut = cuts(order);
  const dealt = cut.flatMap((pack) =>
    Array.from({ length: size - 2 }, (_, index) => applyMove(pack, { kind: 'deal', count: index + 2 })),
  );
  return new Set([...cut, ...(happened === 'cut' ? [] : dealt.flatMap(cuts))].map(String));
};

test.each<readonly [Happened, number]>([
  ['cut', 9],
  ['dealt', 7],
  ['dealt', 4],
  ['dealt', 12],
])('what glimpses leave of a pack that was %s is what doing it all leaves', (happened, size) => {
  const order = numberOrder().slice(0, size);
  const all = [...packsAfter(size, happened)].map((text) => text.split(',').map(Number));
  expect(glimpsed(order, happened, []).left).toBe(all.length);
  const draw = seededRng(4);
  for (let round = 0; round < 40; round++) {
    const pack = all[randomInt(draw, all.length)];
    const seen: { place: number; card: number }[] = [];
    for (;;) {
      const found = glimpsed(order, happened, seen);
      const fit = all.filter((each) => seen.every(({ place, card: one }) => each[place - 1] === one));
      expect(found.left).toBe(fit.length);
      if (found.pack) expect([found.pack, fit.length]).toEqual([pack, 1]);
      if (found.lookNext === undefined) break;
      seen.push({ place: found.lookNext, card: pack[found.lookNext - 1] });
    }
    expect(glimpsed(order, happened, seen).pack).toEqual(pack);
    expect(seen.length).toBeLessThan(size);
  }
  expect(glimpsed(order, happened, [{ place: 1, card: 40 }])).toEqual({
    ...{ left: 0, pack: undefined, lookNext: undefined },
  });
});

const workedNamed = (name: string) =>
  WORKED.map(({ procedure }) => procedure).find(
    (each) => each.name === name,
  ) as (typeof WORKED)[0]['procedure'];

test('what a worked procedure needs and leaves is worked out, with why', () => {
  const ask = (name: string) => {
    const procedure = workedNamed(name);
    return finish(WORKED_OUT.start({ procedure, packet: packsIn(procedure)[0] }));
  };
  expect(ask('A card made of two')).toMatchObject({
    ok: true,
    found: { needs: { kind: 'home', turns: 'any' }, failed: 0, complete: true },
  });
  expect(ask('Turned over twice, deeper')).toMatchObject({
    found: {
      needs: { kind: 'home', turns: [0] },
      why: [expect.stringMatching(/^No case fails from 1 of/), expect.any(String)],
    },
  });
  expect(ask('Dealt twice')).toMatchObject({
    found: { needs: { kind: 'bank', at: 'top', loose: false } },
  });
  expect(ask('A key card under two riffles')).toMatchObject({
    found: { endings: [], complete: false, why: ['It shuffles by chance: say yourself what it leaves.'] },
  });
  const choose = (name: string) => ({ do: 'choose', name, from: 1, to: 3000 }) as const;
  const many = {
    ...{ name: 'Many', packets: { pack: ['AC', '2C', '3C', '4C'] } },
    steps: [choose('one'), choose('other'), { do: 'claim', that: { less: [0, 'one'] } } as const],
  };
  expect(finish(WORKED_OUT.start({ procedure: many, packet: 'pack' }))).toMatchObject({
    found: { complete: false, why: [expect.stringMatching(/^Its cases are too many/), expect.any(String)] },
  });
  expect(ask('A packet counted in silence')).toMatchObject({
    found: { needs: { kind: 'cards' }, endings: [] },
  });
  const made = workedNamed('A card made of two');
  expect(
    finish(WORKED_OUT.start({ procedure: made, packet: 'pack', order: numberOrder().slice(1) })),
  ).toMatchObject({
    found: { needs: { kind: 'cards' }, why: [expect.stringMatching(/other cards than this order/)] },
  });
  const wrong = finish(
    WORKED_OUT.start({ procedure: { name: 'x', steps: [{ do: 'claim', that: 5 }] } as never, packet: 'a' }),
  );
  expect(wrong.ok).toBe(false);
});

test('a routine and a set are read strictly, and a set lets a routine go with all that was fixed about it', () => {
  const routine = { ...newRoutine('A number'), packs: { blue: { packet: 'pack', leaves: 'same' } } };
  expect(ROUTINE(routine, {})).toBeUndefined();
  expect(ROUTINE({ ...routine, name: ' ' }, {})).toBeDefined();
  expect(ROUTINE({ ...routine, cautions: ['noise'] }, {})).toMatchObject({
    where: 'cautions › 1',
  });
  expect(ROUTINE({ ...routine, packs: { '': {} } }, {})).toBeDefined();
  const set = {
    ...newSet('Friday'),
    ...{ order: ['a', 'b', 'c'], opener: 'a', closer: 'c', must: ['a', 'b'], interval: 2 },
    ...{ before: [['a', 'b']] as const, apart: [['b', 'c']] as const, directly: [['a', 'c']] as const },
  };
  expect(SET_LIST(set, {})).toBeUndefined();
  const { closer, ...left } = withoutRoutine(set, 'a');
  expect(closer).toBe('c');
  expect(left).toEqual({
    ...newSet('Friday'),
    ...{ order: ['b', 'c'], must: ['b'], apart: [['b', 'c']], interval: 1 },
  });
  expect(withoutRoutine(set, 'c').interval).toBe(2);
  expect(withoutRoutine({ ...set, interval: 1 }, 'a').interval).toBeUndefined();
  expect(SET_LIST({ ...set, order: ['a', 'a'] }, {})).toBeDefined();
});

test('a shuffled pack comes home, told by its cards', () => {
  const now = shuffled(HOME.cards, seededRng(3)).map((each) => ({ card: each, faceUp: false }));
  const { steps, moves, bound, shortest } = resetPlan({ now, home: HOME.cards });
  expect(steps).toHaveLength(moves);
  expect([moves <= 26, bound >= 15, shortest]).toEqual([true, true, false]);
});

const POINTS: readonly FixedPoint[] = [
  { kind: 'opener', id: 'a' },
  { kind: 'closer', id: 'c' },
  { kind: 'before', pair: ['c', 'b'] },
  { kind: 'directly', pair: ['a', 'b'] },
  { kind: 'apart', pair: ['b', 'c'] },
  { kind: 'choose' },
  { kind: 'must', id: 'b' },
  { kind: 'minutes', most: 20 },
];

const orders = (ids: readonly string[]): string[][] =>
  ids.length === 0
    ? [[]]
    : ids.flatMap((id) => orders(ids.filter((each) => each !== id)).map((rest) => [id, ...rest]));

test.each(POINTS.map((point) => [point.kind, point] as const))(
  'a fixed point (%s) is set, said, let go, and kept just where the best order keeps it',
  (_, point) => {
    const set = { ...newSet('Friday'), order: ['a', 'b', 'c', 'd'] };
    const fixed = withPoint(withPoint(set, point), point);
    expect(fixedPointsOf(fixed)).toEqual([point]);
    expect(SET_LIST(fixed, {})).toBeUndefined();
    expect(withoutPoint(fixed, point)).toEqual(set);
    expect(sayPoint(point, (id) => id.toUpperCase())).toMatch(/^[\w: ]+$/);
    for (const interval of [undefined, 2])
      for (const order of orders(['a', 'b', 'c', 'd'])) {
        const wish: OrderWish = {
          ...{ ...fixed, interval, packs: {}, choose: false },
          routines: order.map((id) => ({ id, minutes: 5, packs: {} })),
        };
        const rules = rulesOf(wish);
        const follows = order.every((__, index) => rules.mayFollow(2 ** index - 1, index - 1, index));
        const allowed = follows && rules.mayEnd(15, 3);
        const kept = isKept({ ...fixed, order, ...(interval && { interval }) }, point, () => 5);
        expect([order.join(''), interval, kept]).toEqual([order.join(''), interval, allowed]);
      }
  },
);

test('a state is drawn as it is known', () => {
  const cards = HOME.cards;
  expect(pictureOfState({ lies: 'ready' }, cards)).toEqual({ cards, strayed: [], seam: 0 });
  const turned = pictureOfState(home({ turn: 50 }), cards);
  expect([turned.cards.slice(0, 3), turned.seam]).toEqual([[cards[50], cards[51], cards[0]], 2]);
  expect(pictureOfState(home({ turn: 'unseen', packets: [STRAY] }), cards)).toMatchObject({
    ...{ seam: undefined, strayed: Array.from({ length: 12 }, (_, index) => index) },
  });
  const out = [{ where: 'pocket', count: 1, most: 1, cards: [cards[0]] }];
  expect(pictureOfState(home({ out }), cards).cards).toEqual(cards.slice(1));
  expect(new Set(pictureOfState({ lies: 'lost', faceUp: false, out, extra: 0 }, cards).cards)).toEqual(
    new Set([undefined]),
  );
  const bank = { cards: [3, 4], at: 'face', loose: false } as const;
  expect(pictureOfState({ lies: 'bank', bank, out: [], extra: 0 }, cards).cards.slice(-3)).toEqual([
    ...[undefined, 3, 4],
  ]);
});

test('what a routine would cost behind each other is what an order of the two costs', () => {
  for (const row of vectors.orders) {
    const wish = row.wish as unknown as OrderWish;
    const [routine, ...others] = wish.routines;
    const costs = behindOthers(wish, routine.id);
    expect(costs).toHaveLength(wish.routines.length);
    for (const other of others) {
      const packs = Object.fromEntries(
        Object.entries(wish.packs).map(([name, { home: cards }]) => [name, { home: cards }]),
      );
      const two = runAsTheyStand({ packs, routines: [other, routine] });
      if (!two.ok) throw new Error('no order');
      const { impossible, outOfSight, seconds } = two.running;
      expect(costs.find(({ behind }) => behind === other.id)?.price).toEqual([
        impossible,
        outOfSight,
        seconds,
      ]);
    }
  }
});

test('in a pack of no known order a bank is found, never cut to', () => {
  const bank = (name: string): PackNeed => ({ kind: 'bank', cards: [card(name)], at: 'top', loose: false });
  const wish: OrderWish = {
    packs: { red: { home: UNKNOWN_HOME.cards } },
    routines: ['4S', 'KD'].map((name) => ({
      ...{ id: name, minutes: 5 },
      packs: { red: { needs: bank(name), leaves: 'same' } },
    })),
  };
  const run = runAsTheyStand(wish);
  if (!run.ok) throw new Error('no order');
  expect(run.running).toMatchObject({ outOfSight: 1, seconds: 13 });
  const [red] = along(wish, run.running)[1].packs;
  expect(red.each[0].parts).toEqual([{ act: 'find bank', cards: 1 }]);
  // Its stand-ins are not named.
  expect(sayState(home({ turn: 13, packets: [STRAY] }), UNKNOWN_HOME)).toBe(
    'cut at 13; 12 cards face up, which belong below a card that you saw',
  );
  expect(sayMend([{ act: 'cut' }], home({}), { kind: 'home', turns: [0] }, UNKNOWN_HOME)).toEqual([
    'Cut it to begin from the top',
  ]);
});

test('from here: what an order of one more routine costs, the cheapest first', () => {
  for (const row of vectors.orders) {
    const wish = row.wish as unknown as OrderWish;
    const [first, ...others] = wish.routines;
    const states = Object.fromEntries(
      Object.entries(first.packs).map(([pack, { needs, leaves }]) => {
        const { home: cards } = wish.packs[pack];
        return [pack, { home: cards, states: afterRoutine([laidFor(needs, cards)], leaves, cards.length) }];
      }),
    );
    const found = fromHere(others, states);
    expect(
      found
        .map(({ id }) => id)
        .slice()
        .sort(),
    ).toEqual(
      others
        .map(({ id }) => id)
        .slice()
        .sort(),
    );
    for (const { id, price, lacks } of found) {
      const at = behindOthers(wish, id).find(({ behind }) => behind === first.id);
      expect([id, price]).toEqual([id, at?.price]);
      expect(lacks.length > 0).toBe(price.some((part) => part > 0));
    }
    const prices = found.map(({ price }) => price);
    expect(prices.slice().sort((a, b) => a[0] - b[0] || a[1] - b[1] || a[2] - b[2])).toEqual(prices);
  }
  // A pack that was not used is ready.
  expect(fromHere([{ id: 'a', packs: { red: { needs: { kind: 'cards' }, leaves: 'same' } } }], {})).toEqual([
    { id: 'a', price: [0, 0, 0], lacks: [] },
  ]);
});

test('a set goes into a file with all that it takes, and comes out of it the same; others are refused', () => {
  const procedure = workedNamed('A card made of two');
  const carried = {
    set: { ...newSet('Friday'), order: ['a', 'b'] },
    routines: [
      { id: 'a', routine: newRoutine('One'), procedure },
      { id: 'b', routine: newRoutine('Other') },
    ],
  };
  const file: unknown = JSON.parse(makeSetFile(carried));
  expect(readSetFile(file)).toMatchObject({ ok: true, carried: { set: carried.set } });
  const good = file as Record<string, unknown>;
  const [one] = carried.routines;
  for (const [wrong, says] of [
    [null, /no set/],
    [{ ...good, format: 'other' }, /no set/],
    [{ ...good, version: 2 }, /version/],
    [{ ...good, set: { ...carried.set, order: ['x'] } }, /“x” that is not/],
    [{ ...good, routines: [one, one] }, /one id/],
    [{ ...good, routines: 5 }, /no routines/],
    [{ ...good, routines: [{ ...one, id: '' }] }, /no id/],
    [{ ...good, routines: [{ ...one, more: 1 }] }, /“more”/],
    [{ ...good, routines: [{ ...one, procedure: { name: 'x' } }] }, /steps/],
  ] as const) {
    const read = readSetFile(wrong);
    expect(read.ok ? 'read' : read.problems.map(({ what }) => what).join(' ')).toMatch(says);
  }
});

test('what is declared by hand is the state that it says, and is told back so', () => {
  for (const lie of LIES)
    for (const out of [0, 2])
      for (const faceUp of [0, 1]) {
        const declared = { ...DECLARED, lie, out, faceUp };
        const state = declaredState(declared);
        expect(STATE(state, {})).toBeUndefined();
        expect(declaredOf(state)).toEqual(declared);
      }
  expect(declaredOf({ lies: 'ready' })).toBeUndefined();
  expect(declaredOf(home({ turn: 12 }))).toBeUndefined();
  expect(declaredOf(home({ packets: [STRAY] }))).toBeUndefined();
  expect([
    neededOf({ kind: 'home', turns: [0] }),
    neededOf({ kind: 'home', turns: [4] }),
    neededOf({ kind: 'home', turns: 'any', known: true }),
    neededOf({ kind: 'cards' }),
  ]).toEqual(['top', 'cut at', 'known', 'cards']);
});
