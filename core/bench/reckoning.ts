import {
  ALL_HANDLINGS,
  applyMove,
  deduce,
  Fact,
  handlingMap,
  cut,
  deal,
  formatOrder,
  handlings,
  handSum,
  layAll,
  Move,
  movedCards,
  numberOrder,
  parseOrder,
  seededRng,
  shuffled,
  spreadCounter,
  weaveDiagnosis,
  weavePaths,
} from '../src/index';
import { keyCardCounter } from '../src/reckon/patterns/keyCard';
import { processorTime } from './processorTime';

const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];

/** How long a thing takes, in microseconds: the median of eleven rounds, after one that warms it up. */
const microseconds = (run: () => unknown, about = 100): number => {
  const round = (): number => {
    const start = processorTime();
    let count = 0;
    do {
      run();
      count++;
    } while (processorTime() - start < about);
    return ((processorTime() - start) * 1000) / count;
  };
  round();
  return median(Array.from({ length: 11 }, round));
};

const measure = (name: string, run: () => unknown): void =>
  console.log(`${name.padEnd(52)} ${microseconds(run).toFixed(2).padStart(9)} µs`);

/** The same as millions a second, where one run does `many`. */
const rate = (name: string, many: number, run: () => unknown): void =>
  console.log(`${name.padEnd(52)} ${(many / microseconds(run)).toFixed(2).padStart(9)} M/s`);

/** What Reckon and the moves take. */
export const benchReckoning = (): void => {
  const home = shuffled(numberOrder(), seededRng(7));
  const now = cut(home, 20);
  const text = formatOrder(home);

  measure('read an order of 52 cards', () => parseOrder(text));
  measure('cut', () => cut(home, 20));
  measure('deal', () => deal(home, 20));
  measure('all handlings of a card at a number', () => handlings(now, home[30], 17));
  measure('the sum in the head', () => handSum(home, now, home[30], 17));

  measure('where a card goes in mirrored halves', () =>
    layAll({ kind: 'mirrored halves' }, home.slice(0, 30)),
  );

  // The table of what was made faster; a build before it is measured with the same lines.
  const MANY = 1000;
  const many = (run: () => unknown) => (): void => {
    for (let count = 0; count < MANY; count++) run();
  };
  rate(
    'weave 52 cards',
    MANY,
    many(() => applyMove(home, { kind: 'weave', weave: 'in' })),
  );
  rate(
    'reverse a packet of 52 cards',
    MANY,
    many(() => applyMove(home, { kind: 'reverse packet', from: 5, to: 30 })),
  );
  const keyCard = keyCardCounter(
    { now: home, bank: home.slice(0, 13), key: home[20], side: 'above', riffles: 1 },
    seededRng(3),
  );
  rate('riffle 52 cards and look for the key card', MANY, () => keyCard?.run(MANY));
  const counter = spreadCounter(home, seededRng(3));
  measure('shuffle and measure 20,000 packs', () => counter.run(20_000));
  const riffles: Move[] = [1, 2, 3].map((seed) => ({ kind: 'riffle', seed }));
  const lone: Move = { kind: 'move packet', from: 5, to: 5, after: 30, reversed: false };
  const riffled = [...riffles, { kind: 'cut', count: 9 } as const, lone].reduce(applyMove, home);
  measure('chances of the moved card, 3 riffles and a cut', () => movedCards(home, riffled, 3, true));

  const facts: Fact[] = [
    { kind: 'cut' },
    { kind: 'taken', count: 1 },
    { kind: 'cuts', first: home[20], second: home[33] },
  ];
  measure('deduce: offset × one card out × two cuts seen', () => deduce(home, facts));
  measure('deduce: offset × a packet × one card out', () =>
    deduce(home, [facts[0], { kind: 'lift', face: home[9] }, facts[1]]),
  );
  const pairs: Fact[] = [{ kind: 'lift' }, { kind: 'taken', count: 2 }];
  const worlds = processorTime();
  const all = deduce(home, pairs)?.states ?? 0;
  console.log(`worlds per second ${(all / (processorTime() - worlds) / 1000).toFixed(2)} million, of ${all}`);
  measure('every pair of a card and a number', () => handlingMap(home, ALL_HANDLINGS));

  // A weave that went wrong: cut at 25, and two cards fell together half-way.
  const slipped = [...home.slice(0, 25)].flatMap((card, index) => [card, home[25 + index]]);
  const woven = [...slipped.slice(0, 20), slipped[21], slipped[20], ...slipped.slice(22), home[50], home[51]];
  const everyCard = woven.map((card, index) => ({ place: index + 1, card }));
  const doubtful = { before: home, intended: 'out' } as const;
  measure('a weave explained by three glimpses', () =>
    weaveDiagnosis({ ...doubtful, seen: [everyCard[4], everyCard[24], everyCard[40]] }),
  );
  measure('a weave explained by the whole order', () => weaveDiagnosis({ ...doubtful, seen: everyCard }));
  measure('one card to one place, all shortest rows, 64 cards', () => weavePaths(64, 11, 37));
};
