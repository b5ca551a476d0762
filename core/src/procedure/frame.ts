import { Possible } from './askedPools';
import { Choice } from './program';

/** A choice whose values are being tried. */
export interface Frame {
  at: number;
  choice: Choice;
  value: number;
  high: number;
  /** The chance of the value by its distance from `low`; undefined where each world counts one. */
  weights: Float64Array | undefined;
  low: number;
  /** Where the world as it was before the choice is kept. */
  saved: number;
  /** What it is remembered by, if it is. */
  key: string | undefined;
  /** What may lie where it was asked, where this is no choice: the value is an index of these. */
  possible: readonly Possible[] | undefined;
}
