import {
  applyMove,
  bestRunningOrder,
  Move,
  numberOrder,
  type Order,
  type OrderWish,
  type PackNeed,
  packsIn,
  type PackState,
  restoring,
  RUNNING_ORDER,
  seededRng,
  shuffled,
  WORKED_OUT,
} from '../src/index';
import { leaves } from '../src/perform';
import { WORKED } from '../src/rehearse/worked/worked';
import { processorTime, timed } from './processorTime';

const at = (sorted: readonly number[], share: number): string =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))].toFixed(2);

const home = (more: Partial<Extract<PackState, { lies: 'home' }>>): PackState => ({
  ...{ lies: 'home', turn: 0, packets: [], out: [], extra: 0 },
  ...more,
});

/** What routines need and leave, as they do it: a few ways of each, drawn by a seed. */
const NEEDS: readonly PackNeed[] = [
  { kind: 'home', turns: 'any' },
  { kind: 'home', turns: [0] },
  { kind: 'home', turns: 'any', known: true },
  { kind: 'cards' },
];
const LEAVES: readonly (readonly PackState[])[] = [
  [home({ turn: { seen: ['face'] } })],
  [home({ turn: 'unseen' })],
  [home({ turn: { plus: 13 } }), home({ turn: { plus: 26 } })],
  [home({ turn: { plus: 0 }, out: [{ where: 'pocket', count: 1, most: 1, cards: 'unseen' }] })],
  [
    home({
      packets: [
        {
          ...{ place: 1, count: { seen: ['count'] }, most: 20, behind: { seen: ['seen'] } },
          ...{ reversed: true, faceUp: true, stays: false },
        },
      ],
    }),
  ],
];

const wishOf = (count: number): OrderWish => {
  const draw = seededRng(12);
  const pick = <Item>(list: readonly Item[]): Item => list[Math.floor(draw() * list.length)];
  return {
    packs: { blue: { home: numberOrder(), spares: 1 }, red: { home: numberOrder() } },
    routines: Array.from({ length: count }, (_, index) => ({
      ...{ id: `routine ${index.toString()}`, minutes: 5 },
      packs: { [index % 3 === 2 ? 'red' : 'blue']: { needs: pick(NEEDS), leaves: pick(LEAVES) } },
    })),
    ...{ interval: Math.floor(count / 2), intervalMinutes: 15 },
  };
};

const benchOrders = (): void => {
  bestRunningOrder(wishOf(6));
  for (const count of [10, 12, 14]) {
    const wish = wishOf(count);
    let [last, widest] = [processorTime(), 0];
    const job = RUNNING_ORDER.start({ wish });
    const began = last;
    for (;;) {
      const { done } = job.next();
      widest = Math.max(widest, processorTime() - last);
      last = processorTime();
      if (done) break;
    }
    console.log(
      `best order of ${count.toString()}, two packs, a spare, an interval: ${((last - began) / 1000).toFixed(2)} s, told at least every ${widest.toFixed(0)} ms`,
    );
  }
};

const randomMove = (draw: () => number): Move => {
  const place = (): number => 1 + Math.floor(draw() * 52);
  const [from, to] = [place(), place()].sort((a, b) => a - b);
  const kind = Math.floor(draw() * 4);
  if (kind === 0) return { kind: 'cut', count: Math.min(51, from) };
  if (kind === 1) return { kind: 'reverse packet', from, to };
  if (kind === 2 && from < to) return { kind: 'swap cards', one: from, other: to };
  const after = draw() < 0.5 ? Math.floor(draw() * from) : to + Math.floor(draw() * (53 - to));
  return { kind: 'move packet', from, to, after, reversed: draw() < 0.5 };
};

const benchRestore = (): void => {
  const order = numberOrder();
  const draw = seededRng(28);
  for (const made of [3, 4, 6]) {
    const rounds = made === 3 ? 4000 : 200;
    let [longer, proved] = [0, 0];
    const times = Array.from({ length: rounds }, () => {
      let now: Order = order;
      for (let each = 0; each < made; each++) now = applyMove(now, randomMove(draw));
      const { ms, result } = timed(() => restoring(now, order));
      if (result.moves.length > made) longer++;
      if (result.shortest) proved++;
      return ms;
    }).sort((a, b) => a - b);
    console.log(
      `restore after ${made.toString()} moves: median ${at(times, 0.5)} ms, 99 in 100 ${at(times, 0.99)} ms, worst ${at(times, 1)} ms; longer than made ${longer.toString()} of ${rounds.toString()}, proved ${((100 * proved) / rounds).toFixed(0)} %`,
    );
  }
  const all = Array.from({ length: 20 }, (_, seed) =>
    timed(() => restoring(shuffled(order, seededRng(seed)), order)),
  );
  const moves = all.map(({ result }) => result.moves.length);
  const bounds = all.map(({ result }) => result.bound);
  console.log(
    `restore a shuffled pack: ${Math.min(...moves).toString()} to ${Math.max(...moves).toString()} moves, bound ${Math.min(...bounds).toString()} to ${Math.max(...bounds).toString()}, worst ${Math.max(...all.map(({ ms }) => ms)).toFixed(0)} ms`,
  );
};

const benchLeaves = (): void => {
  let worst = { name: '', ms: 0 };
  for (const { procedure, proof } of WORKED) {
    const [packet] = packsIn(procedure);
    const cases = proof ? proof.held + proof.outs + proof.failed : Infinity;
    if (cases > 3000 || (packet as string | undefined) === undefined) continue;
    const { ms } = timed(() => leaves(procedure, { pack: packet, home: numberOrder() }));
    if (ms > worst.ms) worst = { name: procedure.name, ms };
  }
  console.log(
    `what every worked procedure of up to 3,000 cases leaves: ${worst.ms.toFixed(0)} ms at most (${worst.name})`,
  );
  const two = WORKED.find(({ procedure }) => procedure.name.startsWith('Two cuts'));
  if (!two) return;
  const { ms } = timed(() => {
    const job = WORKED_OUT.start({ procedure: two.procedure, packet: 'pack' });
    while (!job.next().done);
  });
  console.log(`needs and leaves of two cuts, from every cut (66,300 cases): ${(ms / 1000).toFixed(1)} s`);
};

/** How long what Perform computes takes. */
export const benchPerforming = (): void => {
  benchOrders();
  benchRestore();
  benchLeaves();
};
