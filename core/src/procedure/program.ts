import type { Card } from '../deck/card';
import { NONE, Reader } from './form';
import type { Likely } from './procedure';
import type { Lookahead } from './lookahead';
import type { Act } from './steps';

/** How a world ends, or that it goes on elsewhere. Every instruction gives the next one's index, or one of these. */
export const HELD = -1;
export const OUT = -2;
export const CLAIM = -3;
export const CANNOT = -4;
export const UNKNOWN = -5;
export const LEFT_OUT = -6;

/** The value of a name that nothing has given yet. */
export const UNSET = NONE + 1;

/** A free choice: the values of a name from one number to another. */
export interface Choice {
  readonly name: string;
  readonly value: number;
  readonly from: Reader;
  readonly to: Reader;
  readonly likely: Likely | undefined;
  /** A card that must lie at the chosen place: only values at which it does are gone on with. */
  readonly promise: Lookahead | undefined;
}

/** What the machine does at one point of a program, and in which of its fields it is said. */
export const enum Do {
  /** Cards move. */
  Act,
  /** The value gets what is read. */
  Give,
  /** Goes on where what is read holds, at `to` where it does not. */
  Test,
  /** Goes on where what is read holds; elsewhere the world ends, `to` being how. */
  Must,
  Jump,
  Choose,
  /** Goes on at one of `ways`, by the value from 1. */
  Branch,
  /** Begins so many rounds as are read, of at most `to`; the value counts them. */
  Rounds,
  /** Does a round less, or goes on at `to` when there are none left. */
  Round,
  /** Claims that what is read is known; `to` is which claim it is. */
  Known,
  /** The world ends; `to` is how. */
  End,
  /** As many cards as the value says, or else is read, go from one packet onto another, dealt where `to` is 1. */
  Lift,
  Turn,
  /** A packet goes on another, or under it where `to` is 1. */
  Put,
  /** The value gets the top card of a packet. */
  Top,
  /** The value becomes `to`. */
  Set,
  /** As many cards as the value says, or else is read, go from the top of a packet to its bottom. */
  Cut,
  /** As `Lift`, and the packet that they come onto is turned over, which the next instruction would do by itself. */
  LiftOver,
}

/** All have the same fields, so that the machine finds them without a detour. */
export interface Instruction {
  readonly kind: Do;
  readonly value: number;
  to: number;
  readonly read: Reader;
  readonly act: Act;
  /** The packets of a move that the machine does itself. */
  readonly packet: number;
  readonly other: number;
  readonly choice: Choice | undefined;
  ways: readonly number[];
}

const nothing = (): number => NONE;
export const instruction = (kind: Do, part: Partial<Instruction> = {}): Instruction => ({
  kind,
  value: part.value ?? -1,
  to: part.to ?? 0,
  read: part.read ?? nothing,
  act: part.act ?? (() => false),
  packet: part.packet ?? -1,
  other: part.other ?? -1,
  choice: part.choice,
  ways: part.ways ?? [],
});

/** A procedure made ready to be run: instructions with packets and names as indices. */
export interface Program {
  readonly code: readonly Instruction[];
  /** By instruction: the path of its step. */
  readonly paths: readonly string[];
  /** By instruction: the values that it reads, and the one that it gives. */
  readonly reads: readonly (readonly number[])[];
  readonly gives: readonly (number | undefined)[];
  readonly packets: readonly string[];
  readonly start: readonly (readonly Card[])[];
  /** How many pools of mixed cards there may be at once; 0 where nothing is mixed. */
  readonly pools: number;
  /** How many values a world has: names, and what repeats count. */
  readonly values: number;
  readonly names: readonly string[];
  /** The values of names that the performer knows. */
  readonly sights: readonly number[];
  /** What repeats count that are not the helper's. */
  readonly rounds: readonly number[];
  /** The paths of the steps that claim something to be known. */
  readonly claims: readonly string[];
}
