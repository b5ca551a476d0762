import { Step } from '../../procedure/procedure';
import { run } from './cards';
import type { Worked } from './worked';

const KEY = '4S';
/** Behind the key, in any order. */
const BANK = ['9S', 'AS', 'JS', '6S', '2S', 'KS', '7S', 'TS', '3S', 'QS'];
/** Spades in the rest would mislead: the two that are left over are among the three loose cards. */
const LOOSE = ['5S', '-', '8S'];

const dealtKey = (name: string, note: string, riffles: readonly Step[]): Worked['procedure'] => ({
  ...{ format: 'enumeron procedure', version: 2, name },
  needs: 'Any pack of 52; you put the spades together.',
  'set-up':
    'Three loose cards on top, the 5♠ and the 8♠ among them; then your key, the 4♠; then the ten other spades in any order.',
  reset: 'Put the spades on top, the key first, and three loose cards on them.',
  note,
  packets: { pack: [...LOOSE, KEY, ...BANK, { indifferent: 38 }] },
  orders: { spades: run('S') },
  steps: [
    {
      ...{ do: 'deal', count: 4, from: 'pack', onto: 'table' },
      note: 'Four are enough to show it; put back, they lie the other way about, the key on top.',
      says: 'Deal like this, singly and without a sound.',
    },
    { do: 'put', packet: 'table', where: 'on', other: 'pack' },
    {
      ...{ do: 'choose', name: 'stopped at', from: 4, to: 51, likely: { around: 9, within: 3 } },
      note: 'You watch until four lie there, and turn away.',
      says: 'Stop whenever you like.',
    },
    { do: 'deal', count: 'stopped at', from: 'pack', onto: 'table', by: 'helper' },
    {
      ...{ do: 'see', what: { 'top of': 'pack' }, name: 'their card', by: 'helper' },
      says: 'Look at the next card, and drop what you dealt on it.',
    },
    { do: 'put', packet: 'table', where: 'on', other: 'pack', by: 'helper' },
    ...riffles,
    {
      ...{ do: 'see', what: { 'first among': 'spades', in: 'pack', towards: 'top' }, name: 'last spade' },
      note: 'You spread the faces towards you, from the face up.',
    },
    {
      do: 'if',
      that: { equal: ['last spade', { card: KEY }] },
      then: [
        { do: 'out', words: 'No spade lies beyond the key, they dealt past them: have it named, and go on.' },
      ],
    },
    {
      do: 'see',
      what: { 'next after': { card: KEY }, among: 'spades', in: 'pack', towards: 'face' },
      name: 'named',
    },
    { do: 'take', card: 'named', from: 'pack', onto: 'table' },
    { do: 'claim', that: { equal: ['named', 'their card'] }, words: 'It is the next spade beyond the key.' },
  ],
});

const riffled = (times: number): readonly Step[] => [
  { do: 'riffle', packet: 'pack', times, by: 'helper', says: 'Shuffle once or twice.' },
];

export const DEALT_KEY: Worked = {
  procedure: dealtKey(
    'The key is dealt first',
    'Holds where they stop from 4 to 13; beyond that you see it in time.',
    [],
  ),
  proof: { held: 10, outs: 38, failed: 0 },
};

export const DEALT_KEY_ONE: Worked = {
  procedure: dealtKey(
    'The key is dealt first, and they riffle once',
    'Chance enters, and hardly ever misleads: it holds 93 times in 100, and else you see in time that they dealt past.',
    riffled(1),
  ),
  chance: [0.91, 0.95],
};

export const DEALT_KEY_TWO: Worked = {
  procedure: dealtKey(
    'The key is dealt first, and they riffle twice',
    'Chance enters: it holds 83 times in 100; ten times another spade falls between the key and theirs.',
    riffled(2),
  ),
  chance: [0.8, 0.85],
};
