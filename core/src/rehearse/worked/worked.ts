import { Procedure } from '../../procedure/procedure';
import { COUNT_DOWN } from './countDown';
import { COUNTED_PACKET } from './countedPacket';
import { DEALT_FREELY } from './dealtFreely';
import { DEALT_TWICE, DEALT_TWICE_FROM_NONE } from './dealtTwice';
import { FOUR_HEAPS, FOUR_HEAPS_ASKED } from './fourHeaps';
import { RIFFLED_KEY } from './riffledKey';
import { TURNED_TWICE, TURNED_TWICE_DEEPER } from './turnedTwice';
import { TWO_CUTS } from './twoCuts';

/** A procedure that comes with the application, and what is stated of it: a test proves it. */
export interface Worked {
  readonly procedure: Procedure;
  /** How many cases there are, and how they end; undefined where chance enters. */
  readonly proof?: { readonly held: number; readonly outs: number; readonly failed: number };
  /** The plain rule of the cases that fail, for one that is meant to fail, and the one that mends it. */
  readonly fails?: { readonly when: string; readonly mended: string };
  /** Between what the chance lies that it holds, where chance enters. */
  readonly chance?: readonly [low: number, high: number];
}

/** To add one: its file, and a row here. */
export const WORKED: readonly Worked[] = [
  TWO_CUTS,
  TURNED_TWICE,
  TURNED_TWICE_DEEPER,
  FOUR_HEAPS,
  FOUR_HEAPS_ASKED,
  DEALT_TWICE_FROM_NONE,
  DEALT_TWICE,
  COUNTED_PACKET,
  COUNT_DOWN,
  DEALT_FREELY,
  RIFFLED_KEY,
];
