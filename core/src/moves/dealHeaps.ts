import { Arrangement, range } from './arrangement';
import { eachOnce, listOf, Part, ShapeOf, whole } from '../deck/shape';
import { MOST_HEAPS } from './counts';

/** The whole pack is dealt round and round into heaps, and the heaps are gathered. */
export interface DealHeaps {
  readonly kind: 'deal heaps';
  readonly heaps: number;
  /** The heaps' numbers, from 1 as they are dealt, in the order from the top of the gathered pack. */
  readonly gather: readonly number[];
}

/** Takes such a deal back: the gathered heaps are taken apart and picked up card by card. */
export interface UndealHeaps {
  readonly kind: 'undeal heaps';
  readonly heaps: number;
  readonly gather: readonly number[];
}

/** Place p falls to heap ((p − 1) mod m) + 1; within a heap the last card dealt lies on top. */
export const arrangeDealHeaps = ({ heaps, gather }: DealHeaps, size: number): Arrangement =>
  gather.flatMap((heap) =>
    range(0, size)
      .filter((index) => index % heaps === heap - 1)
      .reverse(),
  );

export const describeDealHeaps = ({ heaps, gather }: DealHeaps): string =>
  `Deal the pack round into ${heaps} heaps and gather them with heap ${gather.join(' on heap ')}.`;

export const describeUndealHeaps = ({ heaps, gather }: UndealHeaps): string =>
  `Take the pack apart into ${heaps} heaps, from the top ${gather.map((heap) => `heap ${heap}`).join(', ')}, ` +
  `then take the top card of the heaps in turn, last dealt first, each onto the last.`;

/** Each heap once, from 1; beside it a field `heaps` says how many there are. */
export const GATHER: Part = (value, fields) => {
  const heaps = Number(fields['heaps']);
  return eachOnce(listOf(whole(1, heaps), heaps, heaps))(value, fields);
};

export const DEAL_HEAPS_SHAPE: ShapeOf<DealHeaps> = { heaps: whole(1, MOST_HEAPS), gather: GATHER };
