import { numberOrder } from '../src/deck/order';
import { formatCard } from '../src/deck/notation';
import { Machine } from '../src/procedure/machine';
import { Procedure, Step } from '../src/procedure/procedure';
import { compile } from '../src/procedure/compile';
import { runJob } from '../src/job/job';
import { knowing } from '../src/rehearse/knowing';
import { prove } from '../src/rehearse/prove';
import { STUDY } from '../src/rehearse/study';
import { WORKED } from '../src/rehearse/worked/worked';
import { readProcedure } from '../src/rehearse/readProcedure';
import { processorTime } from './processorTime';

const HOME = numberOrder().map(formatCard);

const cutAndTurn = (count: string, seen: string): Step[] => [
  { do: 'lift', count, from: 'pack', onto: 'hand', by: 'helper' },
  { do: 'turn', packet: 'hand', by: 'helper' },
  { do: 'see', what: { 'top of': 'hand' }, name: seen },
  { do: 'put', packet: 'hand', where: 'on', other: 'pack', by: 'helper' },
];

/** Two cuts, each turned over, both sights and the difference claimed. */
const TWO_CUTS: Procedure = {
  name: 'two cuts and their difference',
  packets: { pack: HOME },
  orders: { home: HOME },
  steps: [
    { do: 'choose', name: 'first', from: 1, to: 51 },
    ...cutAndTurn('first', 'seen first'),
    { do: 'choose', name: 'second', from: { sum: ['first', 1] }, to: 52 },
    ...cutAndTurn('second', 'seen second'),
    {
      do: 'claim',
      that: {
        equal: [
          {
            difference: [
              { 'stack number of': 'seen second', in: 'home' },
              { 'stack number of': 'seen first', in: 'home' },
            ],
          },
          { 'face up in': 'pack' },
        ],
      },
    },
  ],
};

/** The same as a loop that moves the cards. */
const twoCutsByHand = (): number => {
  const home = Uint8Array.from(numberOrder());
  const [first, second] = [new Uint8Array(52), new Uint8Array(52)];
  let held = 0;
  const turn = (from: Uint8Array, to: Uint8Array, count: number): number => {
    for (let index = 0; index < count; index++) to[index] = from[count - 1 - index] ^ 128;
    for (let index = count; index < 52; index++) to[index] = from[index];
    return to[0] & 127;
  };
  for (let a = 1; a <= 51; a++) {
    const seenFirst = turn(home, first, a);
    for (let b = a + 1; b <= 52; b++) {
      const seenSecond = turn(first, second, b);
      let up = 0;
      for (let index = 0; index < 52; index++) up += second[index] >> 7;
      if (seenSecond - seenFirst === up) held++;
    }
  }
  return held;
};

/** Orders in which four heaps can be gathered. */
const gathers = (heaps: readonly number[]): number[][] =>
  heaps.length === 0
    ? [[]]
    : heaps.flatMap((heap) => gathers(heaps.filter((each) => each !== heap)).map((rest) => [heap, ...rest]));
const ALL_GATHERS = gathers([1, 2, 3, 4]);

/** Lift, deal into four heaps, and all 24 gathers. */
const FOUR_HEAPS: Procedure = {
  name: 'four heaps and all gathers',
  packets: { pack: HOME },
  steps: [
    { do: 'choose', name: 'lifted', from: 1, to: 52 },
    { do: 'lift', count: 'lifted', from: 'pack', onto: 'hand', by: 'helper' },
    { do: 'deal round', from: 'hand', onto: ['1', '2', '3', '4'], by: 'helper' },
    {
      do: 'choose one',
      name: 'gather',
      of: ALL_GATHERS.map((order) => ({
        words: order.join(' '),
        steps: order.map((heap): Step => ({
          do: 'put',
          packet: heap.toString(),
          where: 'on',
          other: 'pack',
          by: 'helper',
        })),
      })),
    },
    { do: 'claim', that: { less: [0, { 'place of': { card: 'AC' }, in: 'pack' }] } },
  ],
};

const fourHeapsByHand = (): number => {
  const home = Uint8Array.from(numberOrder());
  const pack = new Uint8Array(52);
  const heaps = [0, 1, 2, 3].map(() => new Uint8Array(52));
  const sizes = [0, 0, 0, 0];
  let held = 0;
  for (let lifted = 1; lifted <= 52; lifted++) {
    sizes.fill(0);
    for (let index = 0; index < lifted; index++) heaps[index & 3][sizes[index & 3]++] = home[index];
    for (const order of ALL_GATHERS) {
      let at = 52;
      for (let index = 51; index >= lifted; index--) pack[--at] = home[index];
      // Dealt last lies on top.
      for (const heap of order)
        for (let index = 0; index < sizes[heap - 1]; index++) pack[--at] = heaps[heap - 1][index];
      if (pack.includes(0)) held++;
    }
  }
  return held;
};

/** 52 cuts × 51 numbers × 4 ways, each with a handling of its own. */
const BRANCHING: Procedure = {
  name: 'cuts, numbers and four ways',
  packets: { pack: HOME },
  steps: [
    { do: 'choose', name: 'cut', from: 1, to: 52 },
    { do: 'cut', packet: 'pack', count: 'cut', by: 'helper' },
    { do: 'choose', name: 'number', from: 1, to: 51, told: true },
    {
      do: 'choose one',
      name: 'way',
      of: [
        {
          words: 'dealt',
          steps: [
            { do: 'deal', count: 'number', from: 'pack', onto: 'table' },
            { do: 'put', packet: 'table', where: 'on', other: 'pack' },
            { do: 'work out', name: 'place', what: 1 },
          ],
        },
        {
          words: 'lifted',
          steps: [
            { do: 'lift', count: 'number', from: 'pack', onto: 'table' },
            { do: 'put', packet: 'table', where: 'under', other: 'pack' },
            { do: 'work out', name: 'place', what: 52 },
          ],
        },
        {
          words: 'turned over',
          steps: [
            { do: 'lift', count: 'number', from: 'pack', onto: 'table' },
            { do: 'turn', packet: 'table' },
            { do: 'put', packet: 'table', where: 'on', other: 'pack' },
            { do: 'work out', name: 'place', what: 1 },
          ],
        },
        { words: 'left', steps: [{ do: 'work out', name: 'place', what: 'number' }] },
      ],
    },
    {
      do: 'claim',
      that: {
        equal: [
          { 'card at': 'place', of: 'pack' },
          { 'card with stack number': { around: [{ sum: ['cut', 'number'] }, 52] }, in: 'home' },
        ],
      },
    },
  ],
  orders: { home: HOME },
};

const branchingByHand = (): number => {
  const home = Uint8Array.from(numberOrder());
  const [cutPack, pack] = [new Uint8Array(52), new Uint8Array(52)];
  let held = 0;
  for (let cut = 1; cut <= 52; cut++) {
    for (let index = 0; index < 52; index++) cutPack[index] = home[(index + cut) % 52];
    for (let number = 1; number <= 51; number++)
      for (let way = 0; way < 4; way++) {
        pack.set(cutPack);
        let place = number;
        if (way === 0 || way === 2) {
          const side = way === 2 ? 128 : 0;
          for (let index = 0; index < number; index++) pack[index] = cutPack[number - 1 - index] | side;
          place = 1;
        } else if (way === 1) {
          for (let index = 0; index < 52; index++) pack[index] = cutPack[(index + number) % 52];
          place = 52;
        }
        if ((pack[place - 1] & 127) === home[(cut + number - 1) % 52]) held++;
      }
  }
  return held;
};

/** 26 cards dealt freely in blocks of up to four into two heaps. */
const FREE_DEALING: Procedure = {
  name: '26 cards dealt freely into two heaps',
  packets: { pack: Array.from({ length: 26 }, (_, index) => (index === 12 ? 'QH' : '-')) },
  steps: [
    {
      do: 'repeat',
      while: { less: [0, { 'size of': 'pack' }] },
      by: 'helper',
      steps: [
        { do: 'choose', name: 'block', from: 1, to: { least: [4, { 'size of': 'pack' }] } },
        {
          do: 'choose one',
          name: 'heap',
          of: ['left', 'right'].map((onto) => ({
            words: onto,
            steps: [{ do: 'deal', count: 'block', from: 'pack', onto, by: 'helper' }],
          })),
        },
      ],
    },
    {
      do: 'claim',
      that: {
        any: [
          { less: [0, { 'place of': { card: 'QH' }, in: 'left' }] },
          { less: [0, { 'place of': { card: 'QH' }, in: 'right' }] },
        ],
      },
    },
  ],
};

/** A packet cut off behind a cut and counted; they may have mixed it. */
const counted = (isMixed: boolean): Procedure => ({
  name: `a packet that is counted${isMixed ? ', mixed before' : ''}`,
  packets: { pack: HOME },
  steps: [
    { do: 'choose', name: 'cut', from: 0, to: 51 },
    { do: 'cut', packet: 'pack', count: 'cut', by: 'helper' },
    { do: 'choose', name: 'lifted', from: 1, to: 52 },
    { do: 'lift', count: 'lifted', from: 'pack', onto: 'hand', by: 'helper' },
    ...(isMixed ? [{ do: 'mix', packet: 'hand', by: 'helper' } as const] : []),
    { do: 'work out', name: 'rank', what: { difference: [{ 'size of': 'hand' }, 18] } },
    { do: 'claim', that: { equal: ['rank', { difference: ['lifted', 18] }] } },
  ],
});

export const PROCEDURES = [TWO_CUTS, FOUR_HEAPS, BRANCHING];

const millions = (worlds: number, run: () => void): number => {
  for (let round = 0; round < 30; round++) run();
  const rates = Array.from({ length: 7 }, () => {
    const begun = processorTime();
    let rounds = 0;
    while (processorTime() - begun < 150) {
      run();
      rounds++;
    }
    return (worlds * rounds) / (processorTime() - begun) / 1000;
  });
  return rates.sort((a, b) => a - b)[3];
};

/** Worlds a second of procedures, beside the same written by hand as a loop that moves the cards. */
export const benchProcedures = (): void => {
  for (const [procedure, wanted, byHand] of [
    [TWO_CUTS, 10, twoCutsByHand],
    [FOUR_HEAPS, 3, fourHeapsByHand],
    [BRANCHING, 15, branchingByHand],
  ] as const) {
    const read = readProcedure(procedure);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    const program = compile(procedure);
    const { cases, held } = prove(procedure);
    if (held !== byHand()) throw new Error(`${procedure.name}: ${held}, by hand ${byHand()}`);
    const rate = millions(cases, () => new Machine(program).run(Number.POSITIVE_INFINITY));
    const hand = millions(cases, byHand);
    console.log(
      `${procedure.name}: ${rate.toFixed(1)} M worlds/s (at least ${wanted}), by hand ${hand.toFixed(1)} M/s`,
    );
  }
  const rates = [true, false, true, false].map((isMixed) => {
    const program = compile(counted(isMixed));
    return millions(52 * 52, () => new Machine(program).run(Number.POSITIVE_INFINITY));
  });
  const [mixed, plain] = [Math.max(rates[0], rates[2]), Math.max(rates[1], rates[3])];
  console.log(
    `${counted(true).name}: ${mixed.toFixed(1)} M worlds/s, without ${plain.toFixed(1)} (at most twice)`,
  );
  const begun = processorTime();
  const { cases, complete } = prove(FREE_DEALING);
  console.log(
    `${FREE_DEALING.name}: ${cases.toExponential(2)} ways, ${complete ? '' : 'not '}all, in ${(processorTime() - begun).toFixed(0)} ms (1000)`,
  );
  benchStudies();
};

/** How long a worked procedure takes, in milliseconds, the second time. */
const timeOf = (name: string, run: (procedure: Procedure) => unknown): string => {
  const found = WORKED.find(({ procedure }) => procedure.name === name);
  if (!found) throw new Error(name);
  run(found.procedure);
  const begun = processorTime();
  run(found.procedure);
  return `${(processorTime() - begun).toFixed(0)} ms`;
};

/** What is said of a procedure that is open: its study, and what can be known of the table in one case. */
const benchStudies = (): void => {
  for (const name of [
    'A bank at the face that counts down',
    'Fourteen under the key of a shuffled pack',
    'A number of the other pack',
  ])
    console.log(`study of “${name}”: ${timeOf(name, (procedure) => runJob(STUDY, { procedure }))}`);
  const chosen = Array.from({ length: 12 }, (_, index) => 3 + index);
  for (const name of ['Dealt as they please, and a second pack', 'A bank at the face that counts down'])
    console.log(
      `what can be known of “${name}”: ${timeOf(name, (procedure) => {
        if (!knowing({ procedure, chosen })) throw new Error(`not known: ${name}`);
      })}`,
    );
};
