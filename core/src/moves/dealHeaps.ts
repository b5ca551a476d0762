import { mod } from '../deck/mod';
import { Arrangement, arranging, invertArrangement, range } from './arrangement';
import { Rule } from './rule';
import { countOfCards } from './wording';
import { eachOnce, listOf, Part, whole } from '../deck/shape';
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

/** How many cards a heap gets of a pack that is dealt round. */
const heapSize = (heap: number, heaps: number, size: number): number => Math.floor((size - heap) / heaps) + 1;

const describeUndeal = ({ heaps, gather }: UndealHeaps, size?: number): string => {
  const packets = gather.map((heap) =>
    size === undefined ? `heap ${heap}` : `${countOfCards(heapSize(heap, heaps, size))} for heap ${heap}`,
  );
  const last = size === undefined || size === 0 ? heaps : ((size - 1) % heaps) + 1;
  const turns = Array.from({ length: heaps }, (_, index) => mod(last - 1 - index, heaps) + 1);
  return (
    `Take the pack apart from the top (${packets.join(', ')}), then pick the heaps up card by card from heap ` +
    `${turns.join(', ')} and again, each card onto the one before, until all are gone.`
  );
};

/** Each heap once, from 1; beside it a field `heaps` says how many there are. */
export const GATHER: Part = (value, fields) => {
  const heaps = Number(fields['heaps']);
  return eachOnce(listOf(whole(1, heaps), heaps, heaps))(value, fields);
};

const SHAPE = { heaps: whole(1, MOST_HEAPS), gather: GATHER };

export const DEAL_HEAPS: Rule<DealHeaps, UndealHeaps> = {
  shape: SHAPE,
  written: {
    usage: 'heaps 4',
    says: 'the pack dealt round into heaps and gathered; heaps 4 2 1 3 4 says how',
    pattern: /^heaps (\d+)((?: \d+)*)$/,
    parse: ([count, named]) => {
      const heaps = Number(count);
      const gather = named.trim() === '' ? range(1, heaps + 1) : named.trim().split(' ').map(Number);
      const move = { kind: 'deal heaps', heaps, gather } as const;
      return heaps >= 2 && heaps <= MOST_HEAPS && GATHER(gather, { heaps }) === undefined ? move : undefined;
    },
  },
  ...arranging(arrangeDealHeaps),
  invert: (move) => ({ ...move, kind: 'undeal heaps' }),
  describe: ({ heaps, gather }) =>
    `Deal the pack round into ${heaps} heaps and gather them with heap ${gather.join(' on heap ')}.`,
};

export const UNDEAL_HEAPS: Rule<UndealHeaps, DealHeaps> = {
  shape: SHAPE,
  ...arranging<UndealHeaps>((move, size) =>
    invertArrangement(arrangeDealHeaps({ ...move, kind: 'deal heaps' }, size)),
  ),
  invert: (move) => ({ ...move, kind: 'deal heaps' }),
  describe: describeUndeal,
};
