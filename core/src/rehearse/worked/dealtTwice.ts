import { Procedure } from '../../procedure/procedure';
import type { Worked } from './worked';

const dealtTwice = (name: string, least: number, note: string): Procedure => ({
  name,
  needs: 'Eighteen cards with two nines of hearts among them.',
  'set-up': 'One nine on top of the packet, the other in an envelope.',
  reset: 'Put the nine back on top.',
  note,
  packets: { packet: ['9H', { indifferent: 17 }], envelope: ['9H*'] },
  steps: [
    {
      ...{ do: 'choose', name: 'number', from: least, to: 18, told: true, likely: { around: 10, within: 4 } },
      says: 'Name a number, up to how many there are.',
    },
    { do: 'deal', count: 'number', from: 'packet', onto: 'table', by: 'helper' },
    { do: 'put', packet: 'table', where: 'on', other: 'packet', by: 'helper' },
    { do: 'deal', count: 'number', from: 'packet', onto: 'table', by: 'helper' },
    {
      do: 'claim',
      that: {
        all: [
          { equal: [{ 'rank of': { 'top of': 'table' } }, { 'rank of': { 'top of': 'envelope' } }] },
          { equal: [{ 'suit of': { 'top of': 'table' } }, { 'suit of': { 'top of': 'envelope' } }] },
        ],
      },
      words: 'The card that they end on looks like the one in the envelope.',
    },
  ],
});

export const DEALT_TWICE_FROM_NONE: Worked = {
  procedure: dealtTwice(
    'Dealt twice, when they name 0',
    0,
    'Meant to fail: someone who names 0 deals nothing, and there is no card to turn over.',
  ),
  proof: { held: 18, outs: 0, failed: 1 },
  fails: { when: 'number is 0', mended: 'Dealt twice' },
};

export const DEALT_TWICE: Worked = {
  procedure: dealtTwice('Dealt twice', 1, 'Holds for every number from 1 to 18.'),
  proof: { held: 18, outs: 0, failed: 0 },
  restore: [{ do: 'put', packet: 'table', where: 'on', other: 'packet' }],
};
