import fc from 'fast-check';
import { Card } from '../deck/card';
import { MEND_COSTS } from './costs';
import { mend } from './mend';
import { meets, PackNeed } from './need';
import { OrderWish } from './orderWish';
import { packState } from './packState';
import { bestRunningOrder } from './runningOrder';
import { afterRoutine } from './afterRoutine';
import { LyingCard, Out, PackState } from './state';

/*
 * Counted once more from the text of docs/code/performing.md, slowly and plainly, and sharing nothing with what is quick.
 */

/** Packs as rows of signed stack numbers: -3 is the third card, face up. */
type Row = readonly number[];

const number = (signed: number): number => Math.abs(signed);

/** Section 1, 2: the pack divided into runs, from the top, each as long as can be. */
const slowRuns = (row: Row, short: readonly number[]): Row[] => {
  const next = (a: number): number => short[(short.indexOf(a) + 1) % short.length];
  const isRun = (part: Row): boolean => {
    const oneSide = part.every((card) => Math.sign(card) === Math.sign(part[0]));
    const up = part.every((card, index) => index === 0 || number(card) === next(number(part[index - 1])));
    const down = part.every((card, index) => index === 0 || number(part[index - 1]) === next(number(card)));
    return oneSide && (up || down);
  };
  const runs: Row[] = [];
  let rest = row;
  while (rest.length > 0) {
    let count = rest.length;
    while (!isRun(rest.slice(0, count))) count--;
    runs.push(rest.slice(0, count));
    rest = rest.slice(count);
  }
  return runs;
};

const isBackwards = (run: Row, short: readonly number[]): boolean =>
  run.length > 1 && short[(short.indexOf(number(run[0])) + 1) % short.length] !== number(run[1]);

const rotations = (ring: readonly number[]): readonly number[][] =>
  ring.map((_, turn) => [...ring.slice(turn), ...ring.slice(0, turn)]);

const subsets = <Item>(items: readonly Item[], count: number): Item[][] =>
  count === 0
    ? [[]]
    : items.flatMap((item, index) =>
        subsets(items.slice(index + 1), count - 1).map((rest) => [item, ...rest]),
      );

/** The nearest of some cards before another in a ring, going backwards. */
const before = (ring: readonly number[], from: number, among: readonly number[]): number => {
  for (let step = 1; step <= ring.length; step++) {
    const card = ring[(ring.indexOf(from) - step + ring.length * 2) % ring.length];
    if (among.includes(card)) return card;
  }
  throw new Error('none');
};

/** @param size of the home order, which is 1, 2, 3 … */
const slowState = (row: Row, size: number, start: number): object => {
  const home = Array.from({ length: size }, (_, index) => index + 1);
  const short = home.filter((card) => row.some((each) => number(each) === card));
  const gone = home.filter((card) => !short.includes(card));
  const cards = gone.map((card) => card - 1);
  const out = gone.length === 0 ? [] : [{ where: 'gone', count: gone.length, most: gone.length, cards }];
  const lost = { lies: 'lost', faceUp: row.some((card) => card < 0), out, extra: 0 };
  if (row.length === 0) return lost;
  const runs = slowRuns(row, short);
  const isPair = (run: Row): boolean => run.length === 2 && run[0] > 0 && isBackwards(run, short);
  const divided = runs.reduce<Row[][]>(
    (ways, run) =>
      ways.flatMap((way) =>
        isPair(run)
          ? [
              [...way, run],
              [...way, [run[0]], [run[1]]],
            ]
          : [[...way, run]],
      ),
    [[]],
  );
  const placeOf = (run: Row): number => row.indexOf(run[0]) + 1;
  for (let count = 0; count <= 3; count++) {
    const ways = divided.flatMap((way) => subsets(way, count).map((lifted) => ({ way, lifted })));
    const good = ways.filter(({ way, lifted }) => {
      const left = way.filter((run) => !lifted.includes(run));
      const kept = left.flat();
      return (
        kept.length > 0 &&
        kept.every((card) => card > 0) &&
        left.every((run) => !isBackwards(run, short)) &&
        rotations(short.filter((card) => kept.includes(card))).some((turned) => turned.join() === kept.join())
      );
    });
    const judged = good.map(({ lifted }) => {
      const kept = short.filter((card) => !lifted.flat().map(number).includes(card));
      const pack = row.map(number);
      const first = (run: Row): number => number(isBackwards(run, short) ? run[run.length - 1] : run[0]);
      const above = (run: Row): number => before(pack, number(run[0]), kept);
      const belongs = (run: Row): number => before(short, first(run), kept);
      const stays = lifted.map((run) => {
        if (above(run) !== belongs(run)) return false;
        const same = lifted.filter((each) => above(each) === belongs(each) && above(each) === above(run));
        const down = (ring: readonly number[], card: number): number =>
          (ring.indexOf(card) - ring.indexOf(above(run)) + ring.length) % ring.length;
        const byPack = [...same].sort((a, b) => down(pack, number(a[0])) - down(pack, number(b[0])));
        const byHome = [...same].sort((a, b) => down(short, first(a)) - down(short, first(b)));
        return byPack.every((each, index) => each === byHome[index]);
      });
      const key = [
        stays.filter((each) => !each).length,
        lifted.flat().length,
        ...lifted.map(placeOf),
        ...lifted.map((run) => run.length),
      ];
      return { lifted, stays, key, first };
    });
    judged.sort((a, b) => {
      const at = a.key.findIndex((each, index) => each !== b.key[index]);
      return at < 0 ? 0 : a.key[at] - b.key[at];
    });
    if (judged.length === 0) continue;
    const [{ lifted, stays, first }] = judged;
    const straightened = row.flatMap((card) => {
      const at = lifted.findIndex((run) => run.includes(card));
      if (at < 0) return [card];
      if (!stays[at] || lifted[at][0] !== card) return [];
      const run = lifted[at].map(number);
      return isBackwards(lifted[at], short) ? [...run].reverse() : run;
    });
    const turns = home
      .map((_, turn) => turn)
      .filter((turn) => {
        const turned = [...home.slice(turn), ...home.slice(0, turn)];
        return turned.filter((card) => straightened.includes(card)).join() === straightened.join();
      });
    turns.sort((a, b) => ((a - start + size) % size) - ((b - start + size) % size));
    return {
      ...{ lies: 'home', turn: turns[0], out, extra: 0 },
      packets: lifted.map((run, index) => ({
        ...{
          place: placeOf(run),
          count: run.length,
          most: run.length,
          stays: stays[index],
          faceUp: run[0] < 0,
        },
        reversed: run.length === 1 ? run[0] < 0 : isBackwards(run, short),
        behind: before(short, first(run), short),
      })),
    };
  }
  return lost;
};

const lying = (row: Row): readonly LyingCard[] =>
  row.map((card) => ({ card: number(card) - 1, faceUp: card < 0 }));

const orders = (cards: readonly number[]): number[][] =>
  cards.length === 0
    ? [[]]
    : cards.flatMap((card, index) =>
        orders(cards.filter((_, each) => each !== index)).map((rest) => [card, ...rest]),
      );

test('how every small pack lies, with every card either way up, is as the text says', () => {
  for (const size of [1, 2, 3, 4, 5]) {
    const home = Array.from({ length: size }, (_, index) => index);
    for (const row of orders(home.map((card) => card + 1)))
      for (let sides = 0; sides < 2 ** size; sides++) {
        const signed = row.map((card, index) => ((sides >> index) & 1 ? -card : card));
        expect([signed, packState(lying(signed), home)]).toEqual([signed, slowState(signed, size, 0)]);
      }
  }
});

test('and so is a pack of eight or ten after a few moves, with cards missing, from any turn', () => {
  const pack = fc
    .record({
      size: fc.constantFrom(8, 10),
      moves: fc.array(fc.tuple(fc.nat(9), fc.nat(9), fc.nat(9), fc.nat(3)), { maxLength: 4 }),
      less: fc.nat(3),
      start: fc.nat(9),
    })
    .map(({ size, moves, less, start }) => {
      let row = Array.from({ length: size }, (_, index) => index + 1);
      for (const [from, count, to, how] of moves) {
        const part = row.splice(from % row.length, 1 + (count % 4));
        const turned =
          how === 0
            ? part
            : how === 1
              ? [...part].reverse()
              : how === 2
                ? [...part].reverse().map((card) => -card)
                : part.map((card) => -card);
        row.splice(to % (row.length + 1), 0, ...turned);
      }
      row = row.slice(less);
      return { size, row, start: start % size };
    });
  fc.assert(
    fc.property(pack, ({ size, row, start }) => {
      const home = Array.from({ length: size }, (_, index) => index);
      expect(packState(lying(row), home, start)).toEqual(slowState(row, size, start));
    }),
    { numRuns: 1500 },
  );
});

/* Section 4: every act by itself, and the cheapest row of them found by trying all. */

type Touched = Exclude<PackState, { lies: 'ready' }>;
interface SlowAct {
  readonly hidden: number;
  readonly seconds: number;
  readonly state: Touched;
}

const slowRight = (reversed: boolean, faceUp: boolean, most: number): number =>
  (faceUp ? 5 : 0) + (reversed !== faceUp ? 3 + most : 0);

const slowActs = (state: Touched, need: PackNeed, home: readonly Card[]): SlowAct[] => {
  const acts: SlowAct[] = [];
  const add = (hidden: number, seconds: number, next: Touched): void =>
    void acts.push({ hidden, seconds, state: next });
  state.out.forEach((out, index) => {
    if (out.where === 'gone') return;
    const rest = { ...state, out: state.out.filter((_, each) => each !== index) };
    add(0, 5 * out.most, rest);
    if (out.packet) add(0, 6 + slowRight(out.reversed === true, out.faceUp === true, out.most), rest);
  });
  if (state.extra > 0) add(0, 5 * state.extra, { ...state, extra: 0 });
  if (state.lies === 'home') {
    state.packets.forEach((stray, index) => {
      const lost = [stray.place, stray.count, ...(stray.stays ? [] : [stray.behind])].includes('unseen');
      const seconds =
        (lost ? 6 : 0) + slowRight(stray.reversed, stray.faceUp, stray.most) + (stray.stays ? 0 : 6);
      add(lost ? 1 : 0, seconds, { ...state, packets: state.packets.filter((_, each) => each !== index) });
    });
    if (state.turn === 'unseen') add(0, 1, { ...state, turn: { seen: [] } });
    else if (state.packets.length === 0) home.forEach((_, turn) => add(0, 4, { ...state, turn }));
  }
  if (state.lies === 'lost' && state.faceUp) add(1, 11, { ...state, faceUp: false });
  const isClear =
    state.extra === 0 &&
    (state.lies !== 'home' || state.packets.length === 0) &&
    (state.lies !== 'lost' || !state.faceUp);
  if (need.kind === 'bank' && isClear) {
    const found: Touched = {
      lies: 'bank',
      bank: { cards: need.cards, at: need.at, loose: need.loose },
      out: state.out,
      extra: 0,
    };
    const may = state.out.every(
      ({ cards }) => Array.isArray(cards) && !need.cards.some((card) => (cards as Card[]).includes(card)),
    );
    if (may && state.out.reduce((sum, { most }) => sum + most, 0) <= (need.fewer ?? 0))
      add(1, 10 + 3 * need.cards.length, found);
  }
  return acts;
};

/** The least price by which a need can be met: as few hidden acts as can be, then the fewest seconds. */
const slowMend = (
  state: PackState,
  need: PackNeed,
  home: readonly Card[],
  interval: boolean,
): readonly number[] | undefined => {
  if (state.lies === 'ready') return [0, 0];
  const open: { state: Touched; hidden: number; seconds: number }[] = [{ state, hidden: 0, seconds: 0 }];
  const done = new Set<string>();
  while (open.length > 0) {
    open.sort((a, b) => a.hidden - b.hidden || a.seconds - b.seconds);
    const [now] = open.splice(0, 1);
    const key = JSON.stringify(now.state);
    if (done.has(key)) continue;
    done.add(key);
    if (meets(now.state, need, home)) return [now.hidden, now.seconds];
    for (const act of slowActs(now.state, need, home))
      open.push({
        state: act.state,
        hidden: now.hidden + (interval ? 0 : act.hidden),
        seconds: now.seconds + act.seconds,
      });
  }
  return undefined;
};

const HOME = [0, 1, 2, 3, 4, 5, 6, 7];
const told = (value: number) =>
  fc.constantFrom<number | 'unseen' | { seen: string[] }>(value, 'unseen', { seen: [] });
const anOut = (where: string) =>
  fc
    .record({
      most: fc.integer({ min: 1, max: 3 }),
      from: fc.nat(4),
      isTold: fc.boolean(),
      packet: fc.boolean(),
      reversed: fc.boolean(),
      faceUp: fc.boolean(),
    })
    .map(({ most, from, isTold, packet, reversed, faceUp }): Out => ({
      ...{ where, count: most, most, cards: isTold ? HOME.slice(from, from + most) : 'unseen' },
      ...(packet && where !== 'gone' ? { packet: true as const, reversed, faceUp, behind: 2 } : {}),
    }));
const outs = fc
  .tuple(fc.option(anOut('hand')), fc.option(anOut('pocket')), fc.option(anOut('gone')))
  .map((all) => all.filter((out) => out !== null));
const stray = fc.record({
  place: told(2),
  count: told(2),
  most: fc.integer({ min: 1, max: 4 }),
  reversed: fc.boolean(),
  faceUp: fc.boolean(),
  stays: fc.boolean(),
  behind: told(3),
});
const extra = fc.constantFrom(0, 0, 2);
const bank = fc.record({
  cards: fc.constantFrom([0, 1, 2], [2, 0, 1], [0, 1]),
  at: fc.constantFrom<'top' | 'face'>('top', 'face'),
  loose: fc.boolean(),
});
const states: fc.Arbitrary<PackState> = fc.oneof(
  fc.record({
    lies: fc.constant('home' as const),
    turn: fc.oneof(fc.nat(7), fc.constantFrom<'unseen' | { seen: string[] }>('unseen', { seen: [] })),
    packets: fc.array(stray, { maxLength: 2 }),
    out: outs,
    extra,
  }),
  fc.record({
    lies: fc.constant('bank' as const),
    bank,
    out: outs.map((all) => all.map(({ where, count, most, cards }) => ({ where, count, most, cards }))),
    extra: fc.constant(0),
  }),
  fc.record({
    lies: fc.constant('lost' as const),
    faceUp: fc.boolean(),
    out: outs.map((all) => all.map(({ where, count, most, cards }) => ({ where, count, most, cards }))),
    extra,
  }),
  fc.constant({ lies: 'ready' as const }),
);
const fewer = fc.constantFrom(0, 0, 1, 3);
const needs: fc.Arbitrary<PackNeed> = fc.oneof(
  fc.record({
    kind: fc.constant('home' as const),
    turns: fc.constantFrom<'any' | number[]>('any', [0], [3, 1]),
    known: fc.boolean(),
    fewer,
  }),
  fc.record({
    kind: fc.constant('bank' as const),
    cards: fc.constantFrom([0, 1, 2], [1, 0], [5, 6]),
    at: fc.constantFrom<'top' | 'face'>('top', 'face'),
    loose: fc.boolean(),
    fewer,
  }),
  fc.record({ kind: fc.constant('cards' as const), fewer }),
);

test('the cheapest mend of any state for any need is what trying every row of acts finds', () => {
  fc.assert(
    fc.property(states, needs, fc.boolean(), (state, need, interval) => {
      const found = mend(state, need, HOME, { interval });
      expect(found && [found.outOfSight, found.seconds]).toEqual(slowMend(state, need, HOME, interval));
      if (found) expect(meets(found.after, need, HOME)).toBe(true);
    }),
    { numRuns: 700 },
  );
});

/* Section 5: every allowed order, with every way to treat each pack at each junction. */

interface SlowEnd {
  readonly order: readonly number[];
  /** Impossible, less value, out of sight, seconds. */
  readonly price: readonly number[];
}

const slowLaid = (need: PackNeed, home: readonly Card[]): PackState => {
  const at = (turn: number): PackState => ({ lies: 'home', turn, packets: [], out: [], extra: 0 });
  if (need.kind === 'cards') return at(0);
  if (need.kind === 'home') return at(need.turns === 'any' ? 0 : Math.min(...need.turns));
  const turns = home.map((_, turn) => turn).filter((turn) => meets(at(turn), need, home));
  const { cards, at: end, loose } = need;
  return turns.length > 0
    ? at(turns[0])
    : { lies: 'bank', bank: { cards, at: end, loose }, out: [], extra: 0 };
};

interface SlowWay {
  readonly price: readonly [number, number, number];
  readonly states: readonly PackState[];
  readonly spares: number;
  readonly inside: number;
}

const slowWays = (
  states: readonly PackState[],
  need: PackNeed,
  home: readonly Card[],
  spares: number,
  inside: boolean,
): SlowWay[] => {
  const all = states.map((state) => mend(state, need, home, { interval: inside }));
  const laid = [slowLaid(need, home)];
  const worst = all
    .map((found) => [found?.outOfSight ?? 0, found?.seconds ?? 0])
    .sort((a, b) => b[0] - a[0] || b[1] - a[1])[0];
  const can = all.every((found) => found !== undefined);
  const seconds = can ? worst[1] : 0;
  const first: SlowWay = {
    price: can ? [0, worst[0], seconds] : [1, 0, 0],
    states: can ? all.map((found, index) => (states[index].lies === 'ready' ? laid[0] : found.after)) : laid,
    ...{ spares, inside: inside ? seconds : 0 },
  };
  const isFree = first.price.every((each) => each === 0);
  return isFree || spares === 0
    ? [first]
    : [first, { price: [0, inside ? 0 : 1, 5], states: laid, spares: spares - 1, inside: inside ? 5 : 0 }];
};

const slowBest = (wish: OrderWish): SlowEnd | undefined => {
  const names = Object.keys(wish.packs);
  const { routines } = wish;
  const index = (id: string | undefined): number => routines.findIndex((routine) => routine.id === id);
  const allowed = (order: readonly number[]): boolean => {
    const at = (id: string): number => order.indexOf(index(id));
    const both = ([a, b]: readonly [string, string]): boolean => at(a) >= 0 && at(b) >= 0;
    const split = wish.interval ?? -1;
    const next = (a: number, b: number): boolean => b === a + 1 && b !== split;
    return (
      order.length > 0 &&
      (wish.choose === true || order.length === routines.length) &&
      (wish.opener === undefined || order[0] === index(wish.opener)) &&
      (wish.closer === undefined || order[order.length - 1] === index(wish.closer)) &&
      (wish.must ?? []).every((id) => at(id) >= 0) &&
      (wish.before ?? []).every((pair) => !both(pair) || at(pair[0]) < at(pair[1])) &&
      (wish.directly ?? []).every((pair) => !both(pair) || next(at(pair[0]), at(pair[1]))) &&
      (wish.apart ?? []).every(
        (pair) => !both(pair) || (!next(at(pair[0]), at(pair[1])) && !next(at(pair[1]), at(pair[0]))),
      ) &&
      order.reduce((sum, each) => sum + routines[each].minutes, 0) <= (wish.minutes ?? Infinity) &&
      (wish.interval === undefined || (wish.interval >= 1 && order.length > wish.interval))
    );
  };
  const prefixes = orders(routines.map((_, each) => each + 1)).flatMap((order) =>
    order.map((_, count) => order.slice(0, count + 1).map((each) => each - 1)),
  );
  const candidates = [...new Map(prefixes.map((order) => [order.join(), order])).values()].filter(allowed);
  let best: SlowEnd | undefined;
  for (const order of candidates) {
    const value = order.reduce((sum, each) => sum + (routines[each].value ?? 1), 0);
    const go = (
      position: number,
      states: readonly (readonly PackState[])[],
      spares: readonly number[],
      price: readonly number[],
    ): void => {
      if (position === order.length) {
        const end = { order, price: [price[0], -value, price[1], price[2]] };
        const known = best?.price ?? [Infinity, 0, 0, 0];
        const diff = end.price.map((each, at) => each - known[at]).find((each) => each !== 0);
        const rows = best ? [end.order, best.order] : [];
        const at = best ? rows[0].findIndex((each, place) => each !== rows[1][place]) : -1;
        const isFirst = best
          ? at < 0
            ? rows[0].length < rows[1].length
            : at < rows[1].length && rows[0][at] < rows[1][at]
          : true;
        if (!best || (diff ?? 0) < 0 || (diff === undefined && isFirst)) best = end;
        return;
      }
      const routine = routines[order[position]];
      const isInterval = position === wish.interval;
      const limit = (wish.intervalMinutes ?? 0) * 60 || Infinity;
      const treat = (
        pack: number,
        used: number,
        next: readonly (readonly PackState[])[],
        left: readonly number[],
        sum: readonly number[],
      ): void => {
        if (used > limit) return;
        if (pack === names.length) {
          go(position + 1, next, left, sum);
          return;
        }
        const { home } = wish.packs[names[pack]];
        const now = states[pack];
        const first: { price: readonly number[]; states: readonly PackState[]; inside: number }[] = [
          { price: [0, 0, 0], states: now, inside: 0 },
        ];
        if (isInterval && now.some(({ lies }) => lies !== 'ready')) {
          const right = now.map((state) =>
            mend(state, { kind: 'home', turns: 'any', known: true }, home, { interval: true }),
          );
          const seconds = Math.max(...right.map((found) => found?.seconds ?? -1));
          if (right.every((found) => found !== undefined) && seconds > 0)
            first.push({
              price: [0, 0, seconds],
              states: right.map((found, at) =>
                now[at].lies === 'ready'
                  ? slowLaid({ kind: 'home', turns: 'any' }, home)
                  : (found as { after: PackState }).after,
              ),
              inside: seconds,
            });
          const isGone = now.some(
            (state) => state.lies !== 'ready' && state.out.some(({ where }) => where === 'gone'),
          );
          if (!isGone) first.push({ price: [0, 0, 240], states: [{ lies: 'ready' }], inside: 240 });
        }
        for (const one of first) {
          const part = Object.hasOwn(routine.packs, names[pack]) ? routine.packs[names[pack]] : undefined;
          const add = (a: readonly number[], b: readonly number[]): readonly number[] =>
            a.map((each, at) => each + b[at]);
          if (!part) {
            treat(pack + 1, used + one.inside, [...next, one.states], left, add(sum, one.price));
            continue;
          }
          for (const inside of isInterval ? [true, false] : [false])
            for (const way of slowWays(one.states, part.needs, home, spares[pack], inside))
              treat(
                ...([
                  pack + 1,
                  used + one.inside + way.inside,
                  [...next, afterRoutine(way.states, part.leaves, home.length)],
                ] as const),
                ...([
                  left.map((each, at) => (at === pack ? way.spares : each)),
                  add(add(sum, one.price), way.price),
                ] as const),
              );
        }
      };
      treat(0, 0, [], spares, price);
    };
    go(
      0,
      names.map((name) => [wish.packs[name].start ?? { lies: 'ready' }]),
      names.map((name) => wish.packs[name].spares ?? 0),
      [0, 0, 0],
    );
  }
  return best;
};

const leavesOf = fc.oneof(
  fc.constant('same' as const),
  fc.array(
    states.filter(({ lies }) => lies !== 'ready'),
    { minLength: 1, maxLength: 2 },
  ),
);
const parts = fc.record({ needs, leaves: leavesOf });
const IDS = ['a', 'b', 'c', 'd'];
const pair = fc.constantFrom<[string, string]>(['a', 'b'], ['c', 'a'], ['d', 'b'], ['b', 'c']);
const wishes: fc.Arbitrary<OrderWish> = fc
  .record({
    count: fc.integer({ min: 2, max: 4 }),
    blue: fc.array(fc.option(parts), { minLength: 4, maxLength: 4 }),
    red: fc.array(fc.option(parts, { freq: 1 }), { minLength: 4, maxLength: 4 }),
    minutes: fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 4, maxLength: 4 }),
    values: fc.array(fc.constantFrom(1, 1, 3), { minLength: 4, maxLength: 4 }),
    spares: fc.nat(1),
    fixed: fc.record(
      {
        opener: fc.constantFrom('a', 'b'),
        closer: fc.constantFrom('a', 'b'),
        before: fc.array(pair, { maxLength: 1 }),
        directly: fc.array(pair, { maxLength: 1 }),
        apart: fc.array(pair, { maxLength: 1 }),
        choose: fc.boolean(),
        minutes: fc.integer({ min: 5, max: 30 }),
        interval: fc.integer({ min: 1, max: 2 }),
        intervalMinutes: fc.constantFrom(0, 1, 5),
      },
      { requiredKeys: [] },
    ),
  })
  .map(({ count, blue, red, minutes, values, spares, fixed }) => {
    const ids = IDS.slice(0, count);
    const known = (pairs: readonly [string, string][] = []) =>
      pairs.filter(([a, b]) => ids.includes(a) && ids.includes(b));
    return {
      ...fixed,
      ...{ before: known(fixed.before), directly: known(fixed.directly), apart: known(fixed.apart) },
      packs: { blue: { home: HOME, spares }, red: { home: HOME } },
      routines: ids.map((id, each) => ({
        ...{ id, minutes: minutes[each], value: values[each] },
        packs: { ...(blue[each] && { blue: blue[each] }), ...(red[each] && { red: red[each] }) },
      })),
    };
  });

test('the best running order is that of all allowed orders with every way to treat each pack', () => {
  fc.assert(
    fc.property(wishes, (wish) => {
      const found = bestRunningOrder(wish);
      const slow = slowBest(wish);
      expect(found.ok).toBe(slow !== undefined);
      if (!found.ok || !slow) return;
      const { order, impossible, outOfSight, seconds, value, junctions } = found.running;
      expect([[impossible, -value, outOfSight, seconds], order]).toEqual([
        slow.price,
        slow.order.map((each) => IDS[each]),
      ]);
      const paid = junctions.flatMap(({ mends }) => mends.map(({ price }) => price));
      expect([0, 1, 2].map((at) => paid.reduce((sum, price) => sum + price[at], 0))).toEqual([
        impossible,
        outOfSight,
        seconds,
      ]);
    }),
    { numRuns: 400 },
  );
});

test('what an act costs is the table of the text', () => {
  expect(
    Object.entries(MEND_COSTS).map(([act, { seconds, perCard }]) => `${act} ${seconds} ${perCard}`),
  ).toEqual([
    ...['see 1 0', 'cut 4 0', 'flip packet 5 0', 'deal packet 3 1', 'move packet 6 0', 'find packet 6 0'],
    ...[
      'put packet back 6 0',
      'put back 0 5',
      'take out 0 5',
      'find bank 10 3',
      'change 5 0',
      'lay anew 240 0',
    ],
  ]);
});
