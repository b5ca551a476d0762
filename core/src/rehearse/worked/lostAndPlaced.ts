import { Procedure, Step } from '../../procedure/procedure';
import { LEARNT } from './cards';
import type { Worked } from './worked';

/** Two packets turned over in front of theirs, and the other mate dealt to a number that you count. */
const fromTheTop: readonly Step[] = [
  {
    ...{ do: 'choose', name: 'few', from: 2, to: 10, likely: { around: 5, within: 2 } },
    caution: 'Two at least: with one card the other mate comes up.',
    says: 'Lift a few, and turn them over on the pack.',
  },
  { do: 'lift', count: 'few', from: 'pack', onto: 'hand', by: 'helper' },
  { do: 'turn', packet: 'hand', by: 'helper' },
  { do: 'put', packet: 'hand', where: 'on', other: 'pack', by: 'helper' },
  {
    ...{ do: 'choose', name: 'deeper', from: { sum: ['few', 1] }, to: 20, likely: { around: 14, within: 3 } },
    says: 'Cut deeper, and turn all that over.',
  },
  { do: 'lift', count: 'deeper', from: 'pack', onto: 'hand', by: 'helper' },
  { do: 'turn', packet: 'hand', by: 'helper' },
  { do: 'put', packet: 'hand', where: 'on', other: 'pack', by: 'helper' },
  {
    ...{ do: 'lift', count: { 'face up in': 'pack' }, from: 'pack', onto: 'aside', by: 'helper' },
    says: 'Put what lies face up aside, face down again. The next card is yours.',
  },
  { do: 'turn', packet: 'aside', by: 'helper' },
  { do: 'see', what: { 'top of': 'pack' }, name: 'their card', by: 'helper' },
  { do: 'lift', count: 1, from: 'pack', onto: 'aside', by: 'helper' },
  { do: 'mix', packet: 'aside', by: 'helper', says: 'Lose it among those.' },
  {
    ...{ do: 'choose', name: 'dealt', from: 6, to: 15, likely: { around: 10, within: 2 } },
    says: 'Deal some cards from the rest, and stop when you like.',
  },
  { do: 'deal', count: 'dealt', from: 'pack', onto: 'table', by: 'helper' },
  { do: 'see', what: { 'size of': 'table' }, name: 'count', note: 'You count in silence.' },
  { do: 'put', packet: 'aside', where: 'on', other: 'pack', by: 'helper' },
  { do: 'put', packet: 'table', where: 'on', other: 'pack', by: 'helper' },
  { do: 'claim', that: { equal: ['remembered', 'their card'] }, words: 'You name their card.' },
  {
    do: 'claim',
    that: { equal: [{ 'card at': 'count', of: 'pack' }, { 'mate of': 'their card' }] },
    words: 'Its mate lies at the number that you tell.',
  },
];

/** So many first packets and deeper cuts there are, each with ten numbers. */
const CASES =
  10 * Array.from({ length: 9 }, (_, index) => 20 - (index + 2)).reduce((sum, each) => sum + each, 0);

export const LOST_AND_PLACED: Worked = {
  procedure: {
    ...{ format: 'enumeron procedure', version: 2, name: 'A mate lost, a mate placed' },
    needs: 'Any pack of 52 with two mates on top; or a card and its copy.',
    'set-up': 'Two mates on top; remember the upper one.',
    reset: 'Bring the two mates to the top.',
    note: 'Holds for every few, every deeper cut and every number that they deal.',
    packets: { pack: ['9C', '9S', { indifferent: 50 }] },
    steps: [{ do: 'work out', name: 'remembered', what: { card: '9C' } }, ...fromTheTop],
  },
  proof: { held: CASES, outs: 0, failed: 0 },
};

const look: Step = { do: 'see', what: { 'mates together in': 'pack' }, name: 'together at' };
const mixAndLook: readonly Step[] = [
  { do: 'riffle', packet: 'pack', times: 7, by: 'helper', says: 'Mix them well.' },
  look,
];

const borrowed: Procedure = {
  ...{ format: 'enumeron procedure', version: 2, name: 'A mate lost, a mate placed, in a borrowed pack' },
  needs: 'Any pack of 52, which they mix.',
  'set-up': 'None.',
  reset: 'None.',
  note: 'Chance enters: two mates lie together 64 times in 100, and within three mixes 95 times.',
  packets: { pack: LEARNT },
  steps: [
    ...mixAndLook,
    {
      do: 'repeat',
      times: 2,
      steps: [{ do: 'if', that: { equal: ['together at', 0] }, then: mixAndLook }],
    },
    {
      do: 'if',
      that: { equal: ['together at', 0] },
      then: [{ do: 'out', words: 'No two mates lie together: another routine.' }],
    },
    {
      ...{ do: 'cut', packet: 'pack', count: { difference: ['together at', 1] } },
      note: 'You cut the two mates to the top.',
    },
    { do: 'see', what: { 'top of': 'pack' }, name: 'remembered' },
    ...fromTheTop,
  ],
};

export const LOST_AND_PLACED_BORROWED: Worked = { procedure: borrowed, chance: [0.93, 0.97] };
