import { formatCard } from '../deck/notation';
import { Machine } from './machine';
import { INDIFFERENT } from './packets';
import { Program } from './program';
import { FACE_UP } from './run';
import type { SoughtFailure, Way } from './way';

/**
 * What lies in a packet behind each mix of a world that fails so: of all such worlds the first, where that order comes
 * first which, where two first differ from the top, has the card that lay higher before the mix.
 *
 * It is found card by card: the next card is the first that leaves a world which fails so, and where that one does in
 * which all others stay as they lie, it is found.
 *
 * @param steps how many may still be run for it; what was run is taken off.
 * @returns none where they were not found in so many steps.
 */
export const firstOrders = (
  program: Program,
  sought: SoughtFailure,
  { open }: Pick<Way, 'open'>,
  steps: { left: number },
): readonly (readonly string[])[] => {
  const found: number[][] = [];
  let pinned: number[] = [];
  /** Runs the worlds with these cards on top; undefined where there are no more steps, or no room, for that. */
  const run = (pins: readonly (readonly number[])[], isLeft: boolean): Machine | undefined => {
    const machine = new Machine(program, {
      fixed: sought,
      open: open ?? program.claims.map(() => new Set()),
    });
    machine.table.pins = pins;
    machine.table.isLeft = isLeft;
    let isDone = false;
    while (!isDone && !machine.full && machine.steps < steps.left) isDone = machine.run(steps.left);
    steps.left -= machine.steps;
    return isDone ? machine : undefined;
  };
  for (;;) {
    const asTheyLie = run([...found, pinned], true);
    if (!asTheyLie) return [];
    if (asTheyLie.isFound) return (asTheyLie.table.noted ?? []).map(({ after }) => [...after].map(written));
    const { before, from, count } = mixedBy(asTheyLie, found.length);
    if (pinned.length === count) {
      found.push(pinned);
      pinned = [];
      continue;
    }
    const next = candidates(before, from, count, pinned).find((index) => {
      const machine = run([...found, [...pinned, index]], false);
      return !machine || machine.isFound;
    });
    // Every world that fails so has some card there.
    if (next === undefined) throw new Error('No order fails so.');
    pinned = [...pinned, next];
  }
};

/** What lay in the packet of a mix before it, and which cards of it were mixed. */
const mixedBy = (
  { table }: Machine,
  mix: number,
): { readonly before: Uint8Array; readonly from: number; readonly count: number } => {
  const noted = table.noted?.at(mix);
  if (!noted) throw new Error('Nothing is mixed there.');
  return noted;
};

/** The cards that may lie next, by their index among those mixed; of cards alike the first. */
const candidates = (
  before: Uint8Array,
  from: number,
  count: number,
  pinned: readonly number[],
): readonly number[] => {
  const left = [...before.subarray(from, from + count).keys()].filter((index) => !pinned.includes(index));
  return left.filter(
    (index) => left.find((other) => before[from + other] === before[from + index]) === index,
  );
};

const written = (card: number): string => {
  const plain = card & (FACE_UP - 1);
  return plain === INDIFFERENT ? '-' : formatCard(plain);
};
