import {
  ALL_KINDS,
  applyMove,
  findRow,
  numberOrder,
  parseMovesText,
  PlacesWish,
  RowWish,
  seededRng,
  shuffled,
  weave,
} from '../src/index';
import { searchPlaces } from '../src/weave/planPlaces';
import { finish } from '../src/job';
import { processorTime } from './processorTime';

/** As many rows as `planPlaces` looks through. */
const FEW = 3;

/** A rate in thousands a second. @param rate a millisecond. */
const million = (rate: number): string => `${(rate / 1000).toFixed(2)} M/s`;

/** Of every kind of wish so many by chance, after a tenth of them to warm it up. */
const WISHES = 60;

const wish = (size: number, count: number, rng: () => number): PlacesWish['wanted'] => {
  const places = (): number[] =>
    shuffled(
      Array.from({ length: size }, (_, index) => index + 1),
      rng,
    ).slice(0, count);
  const to = places();
  return places().map((from, index) => ({ from, to: to[index] }));
};

/** A plain loop over typed arrays that moves as many bytes as so many weaves of 52 cards: what memory allows. */
const plainLoop = (weaves: number): number => {
  const [from, to, source] = [0, 1, 2].map(() => Uint8Array.from({ length: 52 }, (_, index) => index));
  const began = processorTime();
  for (let count = 0; count < weaves; count++)
    for (let index = 0; index < 52; index++) to[index] = from[source[index]];
  return weaves / (processorTime() - began);
};

const WEAVES = 2_000_000;

const rateOf = (weaves: number, run: () => void): number => {
  const began = processorTime();
  run();
  return weaves / (processorTime() - began);
};

/** How long planning takes, in milliseconds, of 52 cards. */
export const benchPlaces = (): void => {
  plainLoop(WEAVES);
  const plain = plainLoop(WEAVES);
  const home = numberOrder();
  const woven = rateOf(WEAVES / 4, () => {
    for (let count = 0; count < WEAVES / 4; count++) weave(home, 'in');
  });
  console.log(
    `weaves of 52 cards: ${million(woven)}, a plain loop ${million(plain)}: ${(plain / woven).toFixed(1)} × as many`,
  );
  const rng = seededRng(9);
  for (const [count, cuts] of [
    [3, true],
    [4, true],
    [5, true],
    [3, false],
    [4, false],
  ] as const) {
    const times: number[] = [];
    let [looked, spent] = [0, 0];
    for (let number = -WISHES / 10; number < WISHES; number++) {
      const asked = { size: 52, wanted: wish(52, count, rng), cuts };
      const began = processorTime();
      const plan = finish(searchPlaces(asked, FEW));
      const took = processorTime() - began;
      if (number < 0) continue;
      times.push(took);
      looked += plan.looked;
      spent += took;
    }
    times.sort((a, b) => a - b);
    const name = `${count} cards to places, ${cuts ? 'with cuts' : 'weaves only'}`;
    console.log(
      `${name.padEnd(52)} median ${times[WISHES / 2].toFixed(2)} ms, worst ${times[WISHES - 1].toFixed(1)} ms, ` +
        `${million(looked / spent)} states, the plain loop ${(plain / (looked / spent)).toFixed(0)} × as many weaves`,
    );
  }
  benchRows(plain);
};

/** From order to order, cuts free: packs by chance, to which no row leads, and a row of six that is found again. */
const benchRows = (plain: number): void => {
  const from = numberOrder();
  const row =
    'cut 3, in, cut 7, out, cut 20, reverse 1 26, cut 9, unweave in, cut 5, reverse 1 13, cut 44, in';
  const wish = (to: readonly number[], longest: number): RowWish => ({
    ...{ from, goal: { kind: 'order', to }, kinds: ALL_KINDS, cuts: 'free', longest },
  });
  const six = parseMovesText(row, from).moves.reduce(applyMove, from);
  for (const [name, to, longest] of [
    ['no row of up to 5 moves', shuffled(numberOrder(), seededRng(3)), 5],
    ['no row of up to 5 moves', shuffled(numberOrder(), seededRng(4)), 5],
    ['no row of up to 6 moves', shuffled(numberOrder(), seededRng(5)), 6],
    ['a row of 6 moves', six, 6],
  ] as const) {
    const began = processorTime();
    const { looked } = findRow(wish(to, longest));
    const took = processorTime() - began;
    const rate = looked / took;
    console.log(
      `${name.padEnd(52)} ${took.toFixed(0)} ms, ${million(rate)} packs, the plain loop ${(plain / rate).toFixed(2)} × as many weaves`,
    );
  }
};
