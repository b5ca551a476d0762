import { Step } from '../../procedure/procedure';
import { run } from './cards';
import type { Worked } from './worked';

const CARDS = run('S').slice(0, 12);

const takeOut = (card: string, onto: string): Step => ({
  ...{ do: 'take', place: { 'place of': card, in: 'packet' }, from: 'packet', onto, by: 'helper' },
});
const lay = (from: string, place: string): Step => ({ do: 'insert', packet: from, into: 'packet', place });

export const TWO_AT_NUMBERS: Worked = {
  procedure: {
    name: 'Two cards at two numbers',
    needs: 'Twelve spades, ace to queen.',
    'set-up': 'In any order.',
    reset: 'None.',
    note: 'Holds for every two cards and every two numbers, if the one with the smaller number goes in first.',
    packets: { packet: CARDS },
    orders: { run: CARDS },
    steps: [
      { do: 'choose', name: 'one', from: 1, to: 12, told: true },
      { do: 'choose', name: 'other', from: 1, to: 12, told: true },
      { do: 'require', that: { not: { equal: ['one', 'other'] } }, words: 'Another card.' },
      { do: 'work out', name: 'one card', what: { 'card with stack number': 'one', in: 'run' } },
      { do: 'work out', name: 'other card', what: { 'card with stack number': 'other', in: 'run' } },
      { do: 'choose', name: 'one number', from: 1, to: 12, told: true },
      { do: 'choose', name: 'other number', from: 1, to: 12, told: true },
      { do: 'require', that: { not: { equal: ['one number', 'other number'] } }, words: 'Another number.' },
      takeOut('one card', 'hand'),
      takeOut('other card', 'other hand'),
      {
        do: 'if',
        that: { less: ['one number', 'other number'] },
        then: [lay('hand', 'one number'), lay('other hand', 'other number')],
        otherwise: [lay('other hand', 'other number'), lay('hand', 'one number')],
      },
      {
        do: 'claim',
        that: {
          all: [
            { equal: [{ 'card at': 'one number', of: 'packet' }, 'one card'] },
            { equal: [{ 'card at': 'other number', of: 'packet' }, 'other card'] },
          ],
        },
        words: 'Both lie at their numbers.',
      },
    ],
  },
  proof: { held: (12 * 11) ** 2, outs: 0, failed: 0 },
};
