import { Procedure, Step } from '../../procedure/procedure';
import { LEARNT } from './cards';
import type { Worked } from './worked';

const cutAndTurn = (name: string, to: number): readonly Step[] => [
  { do: 'choose', name, from: 1, to },
  { do: 'lift', count: name, from: 'pack', onto: 'hand', by: 'helper' },
  { do: 'turn', packet: 'hand', by: 'helper' },
  { do: 'put', packet: 'hand', where: 'on', other: 'pack', by: 'helper' },
];

const turnedTwice = (name: string, asked: readonly Step[], note: string): Procedure => ({
  name,
  needs: 'Any pack of 52; you know its top card.',
  'set-up': 'The card that they shall come to lies on top.',
  reset: 'Turn the cards laid aside face down and put them under the pack: the card is on top again.',
  note,
  packets: { pack: LEARNT },
  orders: { home: LEARNT },
  steps: [
    ...cutAndTurn('first cut', 51),
    ...cutAndTurn('second cut', 51),
    ...asked,
    // They spread down to the first card that lies face down.
    { do: 'work out', name: 'spread', what: 0, by: 'helper' },
    {
      do: 'repeat',
      while: { 'face up': 1, of: 'pack' },
      most: 60,
      by: 'helper',
      steps: [{ do: 'deal', count: 1, from: 'pack', onto: 'aside', by: 'helper' }],
    },
    {
      do: 'claim',
      that: { equal: [{ 'top of': 'pack' }, { 'card with stack number': 1, in: 'home' }] },
      words: 'The first card that lies face down was the top card.',
    },
  ],
});

export const TURNED_TWICE: Worked = {
  procedure: turnedTwice(
    'Turned over twice, not asked deeper',
    [],
    'Meant to fail: they may cut less deep the second time, and nobody asked them to cut deeper.',
  ),
  proof: { held: 1326, outs: 0, failed: 1275 },
  fails: { when: 'second cut is less than first cut', mended: 'Turned over twice, deeper' },
};

export const TURNED_TWICE_DEEPER: Worked = {
  procedure: turnedTwice(
    'Turned over twice, deeper',
    [{ do: 'require', that: { less: ['first cut', 'second cut'] }, words: 'Cut deeper.' }],
    'Holds wherever they cut, as long as the second cut is deeper than the first.',
  ),
  proof: { held: 1275, outs: 0, failed: 0 },
};
