import { Card } from '../deck/card';
import { Rng, seededRng } from '../deck/rng';
import { Kind, NONE } from '../procedure/form';
import { Machine } from '../procedure/machine';
import type { Why } from '../procedure/way';
import { Procedure } from '../procedure/procedure';
import { compileStepwise } from '../procedure/compile';
import { Choice, Do, Program, UNSET } from '../procedure/program';
import { FACE_UP } from '../procedure/run';
import { MOST_CARDS } from '../procedure/packets';
import { kindsOf } from '../procedure/walk';
import { End } from './cases';

/** A card as it lies on the table. */
export interface Lying {
  readonly card: Card;
  readonly faceUp: boolean;
}

/** A packet on the table, top card first; it may be empty. */
export interface Packet {
  readonly name: string;
  readonly cards: readonly Lying[];
}

/** What a name holds. */
export interface Held {
  readonly name: string;
  readonly value: number;
  readonly kind: Kind;
  readonly known: boolean;
}

/** The table behind a step. */
export interface Scene {
  /** The path of the step that was done last; empty before the first. */
  readonly path: string;
  readonly packets: readonly Packet[];
  readonly names: readonly Held[];
  /** The instruction that comes next and all values, as a machine has them. */
  readonly at: number;
  readonly values: readonly number[];
}

/** A choice that the routine waits for. */
export interface Asked {
  readonly path: string;
  readonly name: string;
  readonly from: number;
  readonly to: number;
}

/** One world as it goes, from the beginning to its end or to a choice that has not been made. */
export interface Acted {
  readonly scenes: readonly Scene[];
  /** The choices that were made, in their order. */
  readonly choices: readonly (readonly [name: string, value: number])[];
  readonly asked?: Asked;
  readonly end?: End | 'left out';
  /** Where and why it failed. */
  readonly failure?: { readonly at: string; readonly why: Why };
  /** Whether it was ended because it went on for too long. */
  readonly tooLong: boolean;
}

/** More steps than this are not acted out. */
export const MOST_SCENES = 2000;

/** What changes nothing and nobody does. */
const UNSEEN: ReadonlySet<Do> = new Set([Do.Jump, Do.Branch, Do.End]);

const packetsNow = ({ table, program }: Machine): readonly Packet[] => {
  const cards = new Uint8Array(MOST_CARDS);
  return program.packets.map((name, packet) => ({
    name,
    cards: Array.from(cards.subarray(0, table.write(packet, cards, 0)), (each) => ({
      card: each & (FACE_UP - 1),
      faceUp: each >= FACE_UP,
    })),
  }));
};

const namesNow = (
  { values }: Machine,
  { names, sights }: Program,
  kinds: ReadonlyMap<string, Kind>,
): Held[] =>
  names.flatMap((name, index) => {
    const value = values[index];
    if (value === UNSET || value === NONE) return [];
    return [{ name, value, kind: kinds.get(name) ?? 'number', known: sights.includes(index) }];
  });

/** Makes a choice: any value from one number to another; undefined where it is waited for. */
export type MakeChoice = (choice: Choice, low: number, high: number) => number | undefined;

/** How a world is acted out. */
export interface ActWay {
  /** What is chosen, in the order of the choices; a value outside its range is not made, and what comes behind it is forgotten. */
  readonly chosen?: readonly number[];
  /** Of what is shuffled by chance. */
  readonly seed?: number;
  /** Makes every other choice; without it they are waited for. */
  readonly make?: MakeChoice;
  /** What is claimed to be known and is not: by claim, the sights that leave it open. Without it that is not judged. */
  readonly open?: readonly ReadonlySet<string>[];
}

/**
 * Acts a procedure out in one world.
 *
 * @param procedure one that `readProcedure` found right.
 * @param chosen what is chosen, in the order of the choices; a value outside its range is waited for anew, and what
 *   comes behind it is forgotten.
 * @param seed of what is shuffled by chance.
 * @param draw makes every other choice by chance, each value as likely; without it they are waited for.
 */
export const actOut = (procedure: Procedure, chosen: readonly number[], seed = 1, draw?: Rng): Acted =>
  actOutBy(procedure, {
    ...{ chosen, seed },
    ...(draw && { make: (_, low, high) => low + Math.floor(draw() * (high - low + 1)) }),
  });

/**
 * Acts a procedure out in one world, its choices made in any way.
 *
 * @param procedure one that `readProcedure` found right.
 */
export const actOutBy = (procedure: Procedure, { chosen = [], seed = 1, make, open }: ActWay): Acted => {
  const program = compileStepwise(procedure);
  const kinds = kindsOf(procedure);
  const choices: [string, number][] = [];
  let kept = true;
  const machine = new Machine(program, {
    ...{ rng: seededRng(seed), open },
    chosen: (choice, low, high) => {
      const value = chosen.slice(choices.length).at(0);
      const isMeant = kept && value !== undefined && value >= low && value <= high;
      // What comes behind a choice that cannot be made so was meant for another.
      kept = isMeant;
      const made = isMeant ? value : make?.(choice, low, high);
      if (made !== undefined) choices.push([choice.name, made]);
      return made;
    },
  });
  const scene = (path: string, at: number): Scene => ({
    ...{ path, at, packets: packetsNow(machine) },
    ...{ names: namesNow(machine, program, kinds), values: [...machine.values] },
  });
  const scenes = [scene('', 0)];
  const waits = (): boolean => machine.asked !== undefined;
  const isTooLong = (): boolean => scenes.length >= MOST_SCENES || machine.steps >= 50 * MOST_SCENES;
  let done = false;
  while (!done && !waits() && !machine.full && !isTooLong()) {
    const { here } = machine;
    done = machine.run(machine.steps + 1);
    if (waits() || (UNSEEN.has(program.code[here].kind) && !done)) continue;
    const path = program.paths[here];
    // The end of all steps is none itself.
    if (path !== '') scenes.push(scene(path, done ? here : machine.here));
  }
  const { asked } = machine;
  const { held, outs, failed, leftOut } = machine.counts;
  const ended = held ? 'held' : outs ? 'outs' : failed ? 'failed' : leftOut ? 'left out' : undefined;
  const failure = machine.failures.at(0);
  return {
    ...{ scenes, choices, tooLong: !done && !asked },
    ...(asked && {
      asked: { name: asked.choice.name, path: program.paths[machine.here], from: asked.low, to: asked.high },
    }),
    ...(ended && { end: ended }),
    ...(failure && { failure: { at: failure.at, why: failure.why } }),
  };
};
