import {
  ALL_HANDLINGS,
  deduce,
  Fact,
  handlingMap,
  cut,
  deal,
  findRoute,
  formatOrder,
  handlings,
  handSum,
  layAll,
  numberOrder,
  parseOrder,
  seededRng,
  shuffled,
  spreadCounter,
} from '../src/index';

/** Runs something for about a second and prints how often it went. */
const measure = (name: string, run: () => unknown): void => {
  const until = performance.now() + 200;
  while (performance.now() < until) run();
  const start = performance.now();
  let rounds = 0;
  while (performance.now() - start < 1000) {
    for (let round = 0; round < 100; round++) run();
    rounds += 100;
  }
  const micros = ((performance.now() - start) * 1000) / rounds;
  console.log(`${name.padEnd(44)} ${micros.toFixed(2).padStart(9)} µs`);
};

const home = shuffled(numberOrder(), seededRng(7));
const now = cut(home, 20);
const text = formatOrder(home);

measure('read an order of 52 cards', () => parseOrder(text));
measure('cut', () => cut(home, 20));
measure('deal', () => deal(home, 20));
measure('all handlings of a card at a number', () => handlings(now, home[30], 17));
measure('the sum in the head', () => handSum(home, now, home[30], 17));

measure('where a card goes in mirrored halves', () => layAll({ kind: 'mirrored halves' }, home.slice(0, 30)));

const began = performance.now();
findRoute(numberOrder(), home, 4);
console.log(`no row of up to four moves to an order ${(performance.now() - began).toFixed(0)} ms`);

const counter = spreadCounter(home, seededRng(3));
const start = performance.now();
counter.run(20_000);
console.log(`shuffle and measure 20,000 packs ${(performance.now() - start).toFixed(0)} ms`);

const facts: Fact[] = [
  { kind: 'cut' },
  { kind: 'taken', count: 1 },
  { kind: 'cuts', first: home[20], second: home[33] },
];
const run = performance.now();
const fitting = deduce(home, facts)?.states ?? 0;
console.log(
  `offset × one card out × two cuts, both seen ${(performance.now() - run).toFixed(1)} ms, ${fitting} states fit`,
);
const wide = performance.now();
const open = deduce(home, [facts[0], { kind: 'lift', face: home[9] }, facts[1]])?.states ?? 0;
console.log(
  `offset × a packet × one card out ${(performance.now() - wide).toFixed(1)} ms, ${open} states fit`,
);
const pairs: Fact[] = [{ kind: 'lift' }, { kind: 'taken', count: 2 }];
const worlds = performance.now();
const all = deduce(home, pairs)?.states ?? 0;
console.log(`worlds per second ${(all / (performance.now() - worlds) / 1000).toFixed(2)} million, of ${all}`);
measure('every pair of a card and a number', () => handlingMap(home, ALL_HANDLINGS));
