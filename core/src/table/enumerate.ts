import { firstOf, rankOf, secondOf, suitOf } from '../deck/card';
import { mod } from '../deck/mod';
import { Arrangement } from '../moves/arrangement';
import { arrangeDealHeaps } from '../moves/dealHeaps';
import { Amount, Program } from './program';
import { Quantity, Step } from './step';
import { baseOf, cardInWorld, copyWorld, emptyWorld, FACE_UP, World } from './world';

/** Does a step to a world, in place; false when it cannot be done there. */
type Action = (world: World) => boolean;

/** A step ready to be run: an action, or a choice with its range and the value that it gives. */
type Ready =
  | { readonly choice: false; readonly act: Action; readonly moves: boolean }
  | {
      readonly choice: true;
      readonly from: Reader;
      readonly to: Reader;
      readonly value: number;
      /** The sight right behind the choice, where that alone tells which values are worth going on with. */
      readonly promise: Kept | undefined;
    };

/** A card that must lie at the chosen place: only values at which it does need be gone on with. */
interface Kept {
  /** Where place 0 of the packet is in a world's cards. */
  readonly base: number;
  /** The bytes under which the card may be there: either copy, either side up, as far as the program has them. */
  readonly bytes: readonly number[];
}

/** Looks a quantity up in a world. */
type Reader = (world: World) => number;

const readerOf = ({ kind, index, plus }: Amount): Reader => {
  if (kind === 'number') return () => plus;
  return kind === 'value' ? (world) => world.values[index] + plus : (world) => world.sizes[index] + plus;
};

const reverse = (cards: Uint8Array, from: number, to: number): void => {
  for (let low = from, high = to - 1; low < high; low++, high--)
    [cards[low], cards[high]] = [cards[high], cards[low]];
};

/** Opens `count` slots at an index from 0 of a packet; its cards from there on go down. */
const openAt = (world: World, packet: number, index: number, count: number): void => {
  const base = baseOf(packet);
  world.cards.copyWithin(base + index + count, base + index, base + world.sizes[packet]);
  world.sizes[packet] += count;
};

const closeAt = (world: World, packet: number, index: number, count: number): void => {
  const base = baseOf(packet);
  world.cards.copyWithin(base + index, base + index + count, base + world.sizes[packet]);
  world.sizes[packet] -= count;
};

/** Moves `count` cards from an index of one packet to an index of another. */
const move = (world: World, from: number, at: number, count: number, to: number, index: number): void => {
  openAt(world, to, index, count);
  world.cards.copyWithin(baseOf(to) + index, baseOf(from) + at, baseOf(from) + at + count);
  closeAt(world, from, at, count);
};

const cutPacket = ({ cards }: World, packet: number, count: number, size: number): void => {
  const base = baseOf(packet);
  reverse(cards, base, base + count);
  reverse(cards, base + count, base + size);
  reverse(cards, base, base + size);
};

/** A place as it is, or taken round the packet. */
const placed = (place: number, size: number, round: true | undefined): number =>
  round && size > 0 ? mod(place - 1, size) + 1 : place;

/** Dealing into heaps moves the cards of a packet of each size in one way, worked out once. */
const dealing = ({ heaps, gather }: Extract<Step, { do: 'deal heaps' }>, packet: number): Action => {
  const arrangements = new Map<number, Arrangement>();
  return ({ cards, sizes }) => {
    const size = sizes[packet];
    const arrangement =
      arrangements.get(size) ?? arrangeDealHeaps({ kind: 'deal heaps', heaps, gather }, size);
    arrangements.set(size, arrangement);
    const before = cards.slice(baseOf(packet), baseOf(packet) + size);
    for (let index = 0; index < size; index++) cards[baseOf(packet) + index] = before[arrangement[index]];
    return true;
  };
};

const actionOf = (step: Exclude<Step, { do: 'choose' }>, program: Program): Action => {
  const packet = (name: string): number => program.packets.indexOf(name);
  const amount = (quantity: Quantity): Reader => readerOf(program.amount(quantity));
  switch (step.do) {
    case 'cut': {
      const [index, count] = [packet(step.packet), amount(step.count)];
      return (world) => {
        const [n, size] = [count(world), world.sizes[index]];
        if (n < 0 || n > size) return false;
        cutPacket(world, index, n, size);
        return true;
      };
    }
    case 'lift':
    case 'deal': {
      const [from, onto, count] = [packet(step.from), packet(step.onto), amount(step.count)];
      const reversed = step.do === 'deal';
      return (world) => {
        const n = count(world);
        if (n < 0 || n > world.sizes[from]) return false;
        move(world, from, 0, n, onto, 0);
        if (reversed) reverse(world.cards, baseOf(onto), baseOf(onto) + n);
        return true;
      };
    }
    case 'put': {
      const [index, other, on] = [packet(step.packet), packet(step.other), step.where === 'on'];
      return (world) => {
        move(world, index, 0, world.sizes[index], other, on ? 0 : world.sizes[other]);
        return true;
      };
    }
    case 'flip': {
      const index = packet(step.packet);
      return (world) => {
        const [base, end] = [baseOf(index), baseOf(index) + world.sizes[index]];
        reverse(world.cards, base, end);
        for (let at = base; at < end; at++) world.cards[at] ^= FACE_UP;
        return true;
      };
    }
    case 'deal heaps':
      return dealing(step, packet(step.packet));
    case 'take': {
      const [from, onto, place] = [packet(step.from), packet(step.onto), amount(step.place)];
      const { round } = step;
      return (world) => {
        const at = placed(place(world), world.sizes[from], round);
        if (at < 1 || at > world.sizes[from]) return false;
        move(world, from, at - 1, 1, onto, 0);
        return true;
      };
    }
    case 'insert': {
      const [index, into, place] = [packet(step.packet), packet(step.into), amount(step.place)];
      return (world) => {
        const at = place(world);
        if (world.sizes[index] === 0 || at < 1 || at > world.sizes[into] + 1) return false;
        move(world, index, 0, 1, into, at - 1);
        return true;
      };
    }
    case 'see':
      return seeing(step, program);
    case 'require': {
      const [number, from, to] = [amount(step.number), amount(step.from), amount(step.to)];
      return (world) => {
        const n = number(world);
        return n >= from(world) && n <= to(world);
      };
    }
    case 'require remainder': {
      const number = amount(step.number);
      return (world) => number(world) % step.by === step.is;
    }
  }
};

const seeing = ({ sight, is, name }: Extract<Step, { do: 'see' }>, program: Program): Action => {
  const index = program.packets.indexOf(sight.packet);
  const value = name === undefined ? -1 : program.names.indexOf(name);
  const place = sight.of === 'size' ? undefined : readerOf(program.amount(sight.place));
  const round = sight.of === 'size' ? undefined : sight.round;
  const wanted = is !== undefined && sight.of === 'card' ? firstOf(is) : is;
  const look = (world: World): number | undefined => {
    if (!place) return world.sizes[index];
    const at = placed(place(world), world.sizes[index], round);
    if (at < 1 || at > world.sizes[index]) return undefined;
    const card = cardInWorld(world, index, at);
    return sight.of === 'card' ? card : sight.of === 'rank' ? (rankOf(card) ?? 0) : (suitOf(card) ?? -1);
  };
  return (world) => {
    const seen = look(world);
    if (seen === undefined) return false;
    if (value >= 0) world.values[value] = seen;
    return wanted === undefined || (sight.of === 'card' ? firstOf(seen) : seen) === wanted;
  };
};

/** Whether a step changes packets, so that the world before it must be kept. */
const changesPackets = ({ do: kind }: Step): boolean =>
  kind !== 'see' && kind !== 'require' && kind !== 'require remainder';

const promiseOf = (name: string, next: Step | undefined, program: Program): Kept | undefined => {
  if (next?.do !== 'see' || next.sight.of !== 'card' || next.is === undefined) return undefined;
  const { place, packet, round } = next.sight;
  if (round || typeof place === 'number' || !('name' in place) || place.name !== name) return undefined;
  const base = baseOf(program.packets.indexOf(packet)) + (place.plus ?? 0) - 1;
  const cards = new Set(Object.values(program.start).flat());
  const flips = program.steps.some((step) => step.do === 'flip');
  const copies = [firstOf(next.is), secondOf(next.is)].filter((card) => cards.has(card));
  return { base, bytes: flips ? copies.flatMap((card) => [card, card | FACE_UP]) : copies };
};

/** The first value from `low` up to `high` at which the card lies; above `high` where there is none. */
const nextKept = ({ base, bytes }: Kept, cards: Uint8Array, low: number, high: number): number => {
  let next = high + 1;
  for (const byte of bytes) {
    const at = cards.indexOf(byte, base + low) - base;
    if (at >= low && at < next) next = at;
  }
  return next;
};

const ready = (program: Program): readonly Ready[] =>
  program.steps.map((step, index): Ready =>
    step.do === 'choose'
      ? {
          choice: true,
          from: readerOf(program.amount(step.from)),
          to: readerOf(program.amount(step.to)),
          value: program.names.indexOf(step.name),
          promise: promiseOf(step.name, program.steps.at(index + 1), program),
        }
      : { choice: false, act: actionOf(step, program), moves: changesPackets(step) },
  );

/**
 * Runs a program through every combination of its choices, depth first, and shows each world that is left at
 * the end. The world shown is used again: copy what is to be kept.
 *
 * @param budget how many steps may be done; the run ends when there are more.
 * @param most how many worlds are wanted; the run ends when they have been shown.
 * @returns how many worlds were shown, or undefined when the budget did not last.
 */
export const enumerate = (
  program: Program,
  visit: (world: World) => void,
  budget = Number.POSITIVE_INFINITY,
  most = Number.POSITIVE_INFINITY,
): number | undefined => {
  const steps = ready(program);
  // One world for each step that changes packets: what is before it stays for the next choice.
  const worlds = steps.map(() => emptyWorld(program.packets.length, program.names.length));
  let [shown, done] = [0, 0];
  const run = (from: number, before: World): void => {
    let world = before;
    for (let index = from; index < steps.length; index++) {
      const step = steps[index];
      if (step.choice) {
        const [low, high] = [step.from(world), step.to(world)];
        const { promise } = step;
        for (let value = low; done <= budget && shown < most; value++) {
          if (promise) value = nextKept(promise, world.cards, value, high);
          if (value > high) break;
          world.values[step.value] = value;
          run(index + 1, world);
        }
        return;
      }
      done++;
      if (step.moves) {
        copyWorld(world, worlds[index]);
        world = worlds[index];
      }
      if (!step.act(world)) return;
    }
    shown++;
    visit(world);
  };
  run(0, startWorld(program));
  return done > budget ? undefined : shown;
};

const startWorld = ({ packets, names, start }: Program): World => {
  const world = emptyWorld(packets.length, names.length);
  packets.forEach((name, packet) => {
    const cards = name in start ? start[name] : [];
    world.cards.set(cards, baseOf(packet));
    world.sizes[packet] = cards.length;
  });
  return world;
};
