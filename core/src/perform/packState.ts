import { Card } from '../deck/card';
import { mod } from '../deck/mod';
import { Order } from '../deck/order';
import { noPackets } from './afterRoutine';
import { LyingCard, Out, PackState, Stray } from './state';

/** At most so many runs are lifted, and so many strangers and cards out leave an order that is known. */
const [MOST_LIFTED, MOST_STRANGERS, MOST_OUT] = [3, 12, 12];

/** A row of neighbours of the home order, all forwards or all backwards, that show one side. Indices from 0. */
interface Run {
  readonly from: number;
  readonly count: number;
  readonly backwards: boolean;
  readonly faceUp: boolean;
}

/** A pack without strangers: each card by its index in home short, top first. */
interface Lying {
  readonly ring: readonly number[];
  readonly faceUp: readonly boolean[];
}

const follows = (a: number, b: number, size: number): boolean => mod(b - a, size) === 1;

/** The longest run that begins at an index. */
const runFrom = ({ ring, faceUp }: Lying, from: number): Run => {
  const size = ring.length;
  const reach = (backwards: boolean): number => {
    let to = from;
    while (
      to + 1 < size &&
      faceUp[to + 1] === faceUp[from] &&
      (backwards ? follows(ring[to + 1], ring[to], size) : follows(ring[to], ring[to + 1], size))
    )
      to++;
    return to - from + 1;
  };
  const [forwards, back] = [reach(false), reach(true)];
  const backwards = back > forwards;
  return { from, count: Math.max(forwards, back), backwards, faceUp: faceUp[from] };
};

/** The pack divided from the top into runs, each as long as can be. */
const runsOf = (lying: Lying): Run[] => {
  const runs: Run[] = [];
  for (let from = 0; from < lying.ring.length; from += runs[runs.length - 1].count)
    runs.push(runFrom(lying, from));
  return runs;
};

/** A pair that lies backwards, face down, may as well be two single cards. */
const isLoosePair = ({ count, backwards, faceUp }: Run): boolean => count === 2 && backwards && !faceUp;

const apart = ({ from, faceUp }: Run): Run[] =>
  [from, from + 1].map((each) => ({ from: each, count: 1, backwards: false, faceUp }));

/** The runs, in every way to take loose pairs apart. */
const waysToDivide = (runs: readonly Run[]): readonly (readonly Run[])[] =>
  runs
    .filter(isLoosePair)
    .reduce<readonly (readonly Run[])[]>(
      (ways, pair) => [
        ...ways,
        ...ways.map((way) => way.flatMap((run) => (run === pair ? apart(pair) : [run]))),
      ],
      [runs],
    );

/**
 * So many runs there are at most where so many are lifted: between neighbours that are left lay a lifted one, or one of
 * them belongs there.
 */
const mostRuns = (lifted: number): number => 3 * lifted + 1;

const MUST = ({ backwards, faceUp }: Run): boolean => backwards || faceUp;

/** Whether what is left, in turn, is a rotation of the ring of just these cards: it goes up, and once over the end. */
const isRotation = (left: readonly number[]): boolean => {
  let descents = 0;
  for (let index = 0; index < left.length; index++)
    if (left[(index + 1) % left.length] < left[index]) descents++;
  return left.length > 0 && descents <= 1;
};

const without = (ring: readonly number[], lifted: readonly Run[]): readonly number[] => {
  const kept: number[] = [];
  for (let index = 0; index < ring.length; index++)
    if (!lifted.some(({ from, count }) => index >= from && index < from + count)) kept.push(ring[index]);
  return kept;
};

/** Every way to choose so many of the runs, with those that must be. */
const choices = (runs: readonly Run[], count: number): readonly (readonly Run[])[] => {
  const must = runs.filter(MUST);
  if (must.length > count) return [];
  const free = runs.filter((run) => !MUST(run));
  const choose = (from: number, left: number): readonly (readonly Run[])[] => {
    if (left === 0) return [[]];
    const ways: (readonly Run[])[] = [];
    for (let index = from; index <= free.length - left; index++)
      for (const rest of choose(index + 1, left - 1)) ways.push([free[index], ...rest]);
    return ways;
  };
  return choose(0, count - must.length).map((more) => [...must, ...more].sort((a, b) => a.from - b.from));
};

/** The first card of a run in the direction of home, as its index in home short. */
const firstOf = (ring: readonly number[], { from, count, backwards }: Run): number =>
  ring[backwards ? from + count - 1 : from];

/** For each lifted run, the nearest card above it that was not lifted, and the nearest such card before its first at home. */
const anchorsOf = (
  ring: readonly number[],
  lifted: readonly Run[],
): readonly { readonly above: number; readonly before: number }[] => {
  const size = ring.length;
  const gone = new Set(lifted.flatMap(({ from, count }) => ring.slice(from, from + count)));
  const back = (start: number, at: (index: number) => number): number => {
    let index = start;
    do index = mod(index - 1, size);
    while (gone.has(at(index)));
    return at(index);
  };
  return lifted.map((run) => ({
    above: back(run.from, (index) => ring[index]),
    before: back(firstOf(ring, run), (index) => index),
  }));
};

/** Which of the lifted runs lie where they belong. */
const stayingOf = (ring: readonly number[], lifted: readonly Run[]): readonly boolean[] => {
  const size = ring.length;
  const anchors = anchorsOf(ring, lifted);
  const stays = anchors.map(({ above, before }) => above === before);
  return lifted.map((_, each) => {
    if (!stays[each]) return false;
    const anchor = anchors[each].above;
    const together = lifted.flatMap((__, index) =>
      stays[index] && anchors[index].above === anchor ? [index] : [],
    );
    const place = ring.indexOf(anchor);
    const byPlace = [...together].sort(
      (a, b) => mod(lifted[a].from - place, size) - mod(lifted[b].from - place, size),
    );
    const byHome = [...together].sort(
      (a, b) => mod(firstOf(ring, lifted[a]) - anchor, size) - mod(firstOf(ring, lifted[b]) - anchor, size),
    );
    return byPlace.every((index, at) => index === byHome[at]);
  });
};

/** A way to lift runs, by what it is judged by: the smaller the better, one after the other. */
interface Way {
  readonly lifted: readonly Run[];
  readonly stays: readonly boolean[];
  readonly judged: readonly number[];
}

const wayOf = (ring: readonly number[], lifted: readonly Run[]): Way => {
  const stays = stayingOf(ring, lifted);
  const cards = lifted.reduce((sum, { count }) => sum + count, 0);
  return {
    ...{ lifted, stays },
    judged: [
      stays.filter((each) => !each).length,
      cards,
      ...lifted.map(({ from }) => from),
      ...lifted.map(({ count }) => count),
    ],
  };
};

const isBefore = (a: readonly number[], b: readonly number[]): boolean => {
  const at = a.findIndex((each, index) => each !== b[index]);
  return at >= 0 && a[at] < b[at];
};

/** The fewest runs lifted so that the rest is a rotation of home short without them, and of those ways the best. */
const bestWay = (lying: Lying): Way | undefined => {
  const runs = runsOf(lying);
  if (runs.length > mostRuns(MOST_LIFTED)) return undefined;
  const divided = waysToDivide(runs);
  for (let count = 0; count <= MOST_LIFTED; count++) {
    let best: Way | undefined;
    for (const way of divided.filter(({ length }) => length <= mostRuns(count)))
      for (const lifted of choices(way, count)) {
        if (!isRotation(without(lying.ring, lifted))) continue;
        const found = wayOf(lying.ring, lifted);
        if (!best || isBefore(found.judged, best.judged)) best = found;
      }
    if (best) return best;
  }
  return undefined;
};

/** The pack with what stays righted where it lies and what does not taken away, as indices in home short. */
const righted = (ring: readonly number[], { lifted, stays }: Way): readonly number[] => {
  const row: number[] = [];
  for (let index = 0; index < ring.length;) {
    const at = lifted.findIndex(({ from }) => from === index);
    if (at < 0) {
      row.push(ring[index]);
      index++;
      continue;
    }
    const { from, count, backwards } = lifted[at];
    const cards = ring.slice(from, from + count);
    if (stays[at]) row.push(...(backwards ? cards.reverse() : cards));
    index += count;
  }
  return row;
};

/** Of all turns of home that have these cards in this row, the nearest at or after a turn. */
const turnOf = (row: readonly Card[], home: Order, start: number): number => {
  const size = home.length;
  const inRow = new Set(row);
  for (let step = 0; step < size; step++) {
    const turn = mod(start + step, size);
    const turned = [...home.slice(turn), ...home.slice(0, turn)].filter((card) => inRow.has(card));
    if (turned.every((card, index) => card === row[index])) return turn;
  }
  throw new Error('no turn has these cards in this row');
};

/** The cards that the order has, without strangers, and how many of those there are. */
const known = (
  now: readonly LyingCard[],
  home: Order,
): { readonly own: readonly LyingCard[]; readonly extra: number } => {
  const left = new Set(home);
  const own = now.filter(({ card }) => left.delete(card));
  return { own, extra: now.length - own.length };
};

/** What is missing, as one group that is gone. */
const gone = (own: readonly LyingCard[], home: Order): readonly Out[] => {
  const there = new Set(own.map(({ card }) => card));
  const cards = home.filter((card) => !there.has(card));
  return cards.length === 0 ? [] : [{ where: 'gone', count: cards.length, most: cards.length, cards }];
};

/** How a pack lies of which the strangers and what is out are known already. */
export const stateOf = (
  own: readonly LyingCard[],
  home: Order,
  start: number,
  out: readonly Out[],
  extra: number,
): PackState => {
  const lost: PackState = {
    lies: 'lost',
    faceUp: own.some(({ faceUp }) => faceUp),
    out: noPackets(out),
    extra,
  };
  const loose = out.reduce((sum, { most, packet }) => sum + (packet ? 0 : most), 0);
  if (own.length === 0 || extra > MOST_STRANGERS || loose > MOST_OUT) return lost;
  const cards = own.map(({ card }) => card);
  const there = new Set(cards);
  const short = home.filter((card) => there.has(card));
  const indexOf = new Map(short.map((card, index) => [card, index]));
  const ring = cards.map((card) => indexOf.get(card) ?? 0);
  const way = bestWay({ ring, faceUp: own.map(({ faceUp }) => faceUp) });
  if (!way) return lost;
  const stackNumber = new Map(home.map((card, index) => [card, index + 1]));
  const packets = way.lifted.map((run, index): Stray => ({
    ...{ place: run.from + 1, count: run.count, most: run.count },
    ...{
      reversed: run.count === 1 ? run.faceUp : run.backwards,
      faceUp: run.faceUp,
      stays: way.stays[index],
    },
    behind: stackNumber.get(short[mod(firstOf(ring, run) - 1, short.length)]) ?? 0,
  }));
  const row = righted(ring, way).map((index) => short[index]);
  return { lies: 'home', turn: turnOf(row, home, start), packets, out, extra };
};

/**
 * How a pack lies, by the rules of docs/code/performing.md, 1.
 *
 * @param now the pack, top first. @param home the order that it belongs to, each card once.
 * @param start of several turns that fit the nearest at or after this one is told, 0 to one less than the pack.
 */
export const packState = (now: readonly LyingCard[], home: Order, start = 0): PackState => {
  const { own, extra } = known(now, home);
  return stateOf(own, home, start, gone(own, home), extra);
};
