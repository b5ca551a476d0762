import { Step } from '../../procedure/procedure';
import { run } from './cards';
import type { Worked } from './worked';

const RUN = run('H').slice(1, 9);
/** A card of another suit, which takes the place of theirs. */
const STRANGER = '7S';

/** Dealt alternately into two heaps, of which the one with the hearts stays, whichever they point at. */
const elimination = (name: string, heaps: readonly string[]): readonly Step[] => [
  { do: 'deal round', from: 'packet', onto: heaps, by: 'helper' },
  {
    do: 'choose one',
    name,
    told: true,
    of: [
      { words: 'They point at the heap with the hearts: it stays.', steps: [] },
      { words: 'They point at the other heap: it goes.', steps: [] },
    ],
  },
  { do: 'put', packet: 'kept', where: 'on', other: 'packet' },
];

export const TWO_ELIMINATIONS: Worked = {
  procedure: {
    name: 'Two eliminations and a gap in the run',
    needs: 'Eight hearts in order, 2 to 9, and twenty-four other cards.',
    'set-up': `The hearts by themselves; the ${STRANGER} on top of the others.`,
    reset: 'Put the hearts in order again and theirs in its place.',
    note: 'Holds for each of the eight cards, whichever heap they point at.',
    packets: { run: RUN, others: [STRANGER, { indifferent: 24 }] },
    orders: { run: RUN },
    steps: [
      { do: 'choose', name: 'taken', from: 1, to: 8, says: 'Take one, and let another card take its place.' },
      { do: 'see', what: { 'card at': 'taken', of: 'run' }, name: 'their card', by: 'helper' },
      { do: 'take', place: 'taken', from: 'run', onto: 'pocket', by: 'helper' },
      { do: 'insert', packet: 'others', into: 'run', place: 'taken', by: 'helper' },
      // Woven twice, every fourth card is one of the eight.
      { do: 'lift', count: 8, from: 'others', onto: 'packet' },
      { do: 'put', packet: 'run', where: 'under', other: 'packet' },
      { do: 'weave', packet: 'packet', kind: 'out' },
      { do: 'lift', count: 16, from: 'others', onto: 'rest' },
      { do: 'put', packet: 'packet', where: 'under', other: 'rest' },
      { do: 'put', packet: 'rest', where: 'on', other: 'packet' },
      { do: 'weave', packet: 'packet', kind: 'out' },
      ...elimination('pointed at', ['away', 'kept']),
      // Dealing has turned the packet round: the hearts fall first.
      ...elimination('pointed at again', ['kept', 'away']),
      { do: 'see', what: { 'place of': { card: STRANGER }, in: 'packet' }, name: 'gap' },
      { do: 'work out', name: 'named', what: { 'card with stack number': 'gap', in: 'run' } },
      { do: 'claim', that: { equal: ['named', 'their card'] }, words: 'The gap in the run is their card.' },
    ],
  },
  proof: { held: 8 * 2 * 2, outs: 0, failed: 0 },
};
