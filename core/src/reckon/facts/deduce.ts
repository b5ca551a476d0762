import { Card, firstOf, LARGEST_PACK, secondOf } from '../../deck/card';
import { Order } from '../../deck/order';
import { oneStep } from '../../job/job';
import { formatCard } from '../../deck/notation';
import { MOST_CARDS } from '../../procedure/packets';
import { Machine } from '../../procedure/machine';
import { Step } from '../../procedure/procedure';
import { compile } from '../../procedure/compile';
import type { Program } from '../../procedure/program';
import { Fact } from './fact';
import { OUT, PACK, stepsOf, Unknown, unknownsOf } from './factSteps';

/** How often each value came up, the most frequent first. */
export type Tally = readonly { readonly value: number; readonly count: number }[];

/** What follows from facts. */
export interface Deduction {
  /** How many states of the pack fit. */
  readonly states: number;
  /** Each number or card that the facts left open, with what it may be. */
  readonly unknowns: readonly (Unknown & { readonly tally: Tally })[];
  /** The cards that may be out of the pack. */
  readonly out: Tally;
  /** By place (index 0 for place 1): the card that is there in every state, or undefined. */
  readonly certain: readonly (Card | undefined)[];
  /** How many cards the pack has now, where that is the same in every state. */
  readonly size: number | undefined;
  /** Which place to look at next, and how many states would then be left on average; none when one state fits. */
  readonly look: { readonly place: number; readonly left: number } | undefined;
  /** Where no state fits: the smallest set of facts (their indices) that cannot all be true. */
  readonly conflict: readonly number[];
  /** Where no state fits: whether one would, had the pack been cut before all of it. */
  readonly unlessCut: boolean;
}

/** What may lie at a place, each state being as likely. */
export interface Guess {
  /** How many different cards may lie there; the two copies of a card count as two. */
  readonly cards: number;
  readonly likeliest: Card;
  /** How likely that one is, above 0 up to 1. */
  readonly chance: number;
}

/** One state of the pack that fits, with what it makes of each number or card that the facts left open. */
export interface State {
  readonly values: readonly number[];
  readonly out: readonly Card[];
  readonly pack: Order;
}

/** All that may be: what follows from facts, and where each card may lie. */
export interface Possible {
  readonly deduction: Deduction;
  /** By place (index 0 for place 1); empty where the size of the pack is open or no state fits. */
  readonly guesses: readonly Guess[];
  /** All states, where they are at most MOST_LISTED; else none. */
  readonly listed: readonly State[];
  /** By index of place and card number: in how many states the card lies there. Read it with `chancesOf`. */
  readonly lies: Uint32Array;
}

/** The most states that are listed one by one. */
export const MOST_LISTED = 8;

/** Card numbers are below this: first copies, jokers, second copies. */
const CARDS = 108;

/** What is seen in a step; leaving it out leaves what happened. */
const isSight = (step: Step): boolean => step.do === 'require';

/** Whether the pack was cut again right after this cut: two cuts are one, and only the last is run through. */
const isCutAgain = (facts: readonly Fact[], index: number): boolean =>
  facts[index].kind === 'cut' && facts.at(index + 1)?.kind === 'cut';

/** @param told the indices of the facts whose sights count; the others only happened. */
const programFor = (now: Order, facts: readonly Fact[], told: ReadonlySet<number>): Program =>
  compile({
    name: 'facts',
    packets: { [PACK]: now.map(formatCard), [OUT]: [] },
    steps: facts.flatMap((fact, index) =>
      isCutAgain(facts, index)
        ? []
        : stepsOf(fact, facts.slice(0, index)).filter((step) => told.has(index) || !isSight(step)),
    ),
  });

const all = (facts: readonly Fact[]): ReadonlySet<number> => new Set(facts.keys());

/** Whether any world fits: the first is enough. */
const fits = (now: Order, facts: readonly Fact[], told: readonly number[]): boolean => {
  let fit = false;
  const machine = new Machine(programFor(now, facts, new Set(told)), { visit: () => (fit = true), most: 1 });
  machine.run(Number.POSITIVE_INFINITY);
  return fit;
};

const fitsWhole = (now: Order, facts: readonly Fact[]): boolean => fits(now, facts, [...facts.keys()]);

const CUT: Fact = { kind: 'cut' };

/** The smallest set of facts whose sights cannot all be true while everything else that was told happened. */
const conflictIn = (now: Order, facts: readonly Fact[]): number[] => {
  const indices = [...facts.keys()];
  for (let size = 0; size <= Math.min(3, facts.length); size++)
    for (const set of subsets(indices, size)) if (!fits(now, facts, set)) return set;
  // More than three together: take away whatever is not needed for the contradiction.
  return indices.reduce((kept, index) => {
    const without = kept.filter((each) => each !== index);
    return fits(now, facts, without) ? kept : without;
  }, indices);
};

function* subsets(items: readonly number[], size: number): Generator<number[]> {
  if (size === 0) yield [];
  else
    for (const [index, item] of items.entries())
      for (const rest of subsets(items.slice(index + 1), size - 1)) yield [item, ...rest];
}

const tallyOf = (counts: Uint32Array): Tally => {
  const tally: { value: number; count: number }[] = [];
  for (let value = 0; value < counts.length; value++)
    if (counts[value] > 0) tally.push({ value, count: counts[value] });
  return tally.sort((a, b) => b.count - a.count || a.value - b.value);
};

/** What all worlds of an enumeration have in common, counted world by world. */
interface Gathered {
  readonly visit: (world: Machine) => void;
  /** By index of place and card: in how many worlds the card lies there. */
  readonly lies: Uint32Array;
  readonly sizes: Uint32Array;
  readonly out: Uint32Array;
  readonly first: readonly State[];
  /** For each unknown: how often each value came up. */
  readonly values: readonly { readonly index: number; readonly counts: Uint32Array }[];
}

const gatherer = (program: Program, unknowns: readonly Unknown[]): Gathered => {
  const [pack, outPacket] = [program.packets.indexOf(PACK), program.packets.indexOf(OUT)];
  const lies = new Uint32Array(LARGEST_PACK * CARDS);
  const sizes = new Uint32Array(LARGEST_PACK + 1);
  const out = new Uint32Array(CARDS);
  const values = unknowns.map(({ name }) => ({
    index: program.names.indexOf(name),
    counts: new Uint32Array(CARDS),
  }));
  const first: State[] = [];
  const bytes = new Uint8Array(MOST_CARDS);
  const cardsOf = ({ table }: Machine, packet: number): Card[] => [
    ...bytes.subarray(0, table.write(packet, bytes, 0)),
  ];
  const visit = (world: Machine): void => {
    world.table.count(pack, lies, CARDS);
    sizes[world.table.sizes[pack]]++;
    const taken = world.table.write(outPacket, bytes, 0);
    for (let index = 0; index < taken; index++) out[bytes[index]]++;
    for (const { index, counts } of values) counts[world.values[index]]++;
    if (first.length < MOST_LISTED)
      first.push({
        values: values.map(({ index }) => world.values[index]),
        out: cardsOf(world, outPacket),
        pack: cardsOf(world, pack),
      });
  };
  return { visit, lies, sizes, out, first, values };
};

/**
 * How many states would be left on average after a look at a place: the sum of squares over the whole. The two
 * copies of a card look the same.
 */
const leftAfter = (lies: Uint32Array, index: number, states: number): number => {
  let squares = 0;
  for (let card = 0; firstOf(card) === card; card++) {
    const seen = lies[index * CARDS + card] + lies[index * CARDS + secondOf(card)];
    squares += seen ** 2;
  }
  return squares / states;
};

/** Looks are tried from the easiest: the face, the top, then from the top down. */
const bestLook = (lies: Uint32Array, size: number, states: number): Deduction['look'] => {
  const places = [size, ...Array.from({ length: size - 1 }, (_, index) => index + 1)];
  let best: Deduction['look'];
  for (const place of places) {
    const left = leftAfter(lies, place - 1, states);
    if (left < (best?.left ?? states) - 1e-9) best = { place, left };
  }
  return best;
};

const guessesFrom = (lies: Uint32Array, size: number, states: number): Guess[] =>
  Array.from({ length: size }, (_, index) => {
    const row = index * CARDS;
    let [cards, likeliest] = [0, 0];
    for (let card = 0; card < CARDS; card++) {
      if (lies[row + card] > 0) cards++;
      if (lies[row + card] > lies[row + likeliest]) likeliest = card;
    }
    return { cards, likeliest, chance: lies[row + likeliest] / states };
  });

/**
 * How likely a card lies at each place, each state being as likely: index 0 for place 1. Either copy of a card that
 * is there twice counts.
 */
export const chancesOf = ({ guesses, lies, deduction }: Possible, card: Card): number[] =>
  guesses.map(
    (_, index) =>
      (lies[index * CARDS + firstOf(card)] + lies[index * CARDS + secondOf(card)]) / deduction.states,
  );

/**
 * Everything that follows from facts about the pack: each state of it that fits them is run through.
 *
 * @param now the pack before the first fact, as the rail shows it.
 * @param budget how many steps may be done at once.
 * @returns undefined when the budget did not last: a worker may go on without one.
 */
export const deduce = (now: Order, facts: readonly Fact[], budget?: number): Deduction | undefined =>
  findPossible(now, facts, budget)?.deduction;

/** Like `deduce`, with where each card may lie and the states themselves where they are few. */
export const findPossible = (now: Order, facts: readonly Fact[], budget?: number): Possible | undefined => {
  const program = programFor(now, facts, all(facts));
  const unknowns = facts.flatMap((fact, index) =>
    isCutAgain(facts, index) ? [] : unknownsOf(fact, facts.slice(0, index)),
  );
  const gathered = gatherer(program, unknowns);
  const machine = new Machine(program, { visit: gathered.visit });
  if (!machine.run(budget ?? Number.POSITIVE_INFINITY)) return undefined;
  const states = machine.counts.held;
  const { lies, sizes } = gathered;
  const seenSizes = tallyOf(sizes);
  const size = seenSizes.length === 1 ? seenSizes[0].value : undefined;
  const certain = Array.from({ length: size ?? 0 }, (_, index) => {
    const row = lies.subarray(index * CARDS, (index + 1) * CARDS);
    const card = states === 0 ? -1 : row.indexOf(states);
    return card < 0 ? undefined : card;
  });
  const deduction: Deduction = {
    states,
    unknowns: unknowns.map((unknown, index) => ({
      ...unknown,
      tally: tallyOf(gathered.values[index].counts),
    })),
    out: tallyOf(gathered.out),
    certain,
    size,
    look: size === undefined || states < 2 ? undefined : bestLook(lies, size, states),
    conflict: states === 0 ? conflictIn(now, facts) : [],
    unlessCut: states === 0 && fitsWhole(now, [CUT, ...facts]),
  };
  return {
    deduction,
    guesses: size === undefined || states === 0 ? [] : guessesFrom(lies, size, states),
    listed: states <= MOST_LISTED ? gathered.first : [],
    lies,
  };
};

/** Runs through every state that fits, as a job. */
export const POSSIBLE = oneStep(({ now, facts }: { readonly now: Order; readonly facts: readonly Fact[] }) =>
  findPossible(now, facts),
);
