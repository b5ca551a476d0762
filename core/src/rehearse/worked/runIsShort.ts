import { Step } from '../../procedure/procedure';
import { LEARNT, run } from './cards';
import type { Worked } from './worked';

const DIAMONDS = run('D');
/** Lies on the first pack, and in the second at an odd place, where it is seen and goes with the first heap. */
const FORCED = '8D';
const SEEN_AT = 17;

/** Twelve diamonds at every fourth place from the second on, the thirteenth elsewhere. */
const SECOND = (() => {
  const left = DIAMONDS.filter((card) => card !== FORCED);
  return Array.from({ length: 48 }, (_, index) =>
    index % 4 === 1 ? left[(index - 1) / 4] : index + 1 === SEEN_AT ? FORCED : '-',
  );
})();

/** Dealt on two heaps: whichever they point at, the one dealt first goes. */
const elimination = (name: string): readonly Step[] => [
  { do: 'deal round', from: 'packet', onto: ['first dealt', 'second dealt'], by: 'helper' },
  {
    ...{ do: 'choose one', name, told: true, says: 'Point at a heap.' },
    of: [
      { words: 'They point at the one dealt first: it goes.', steps: [] },
      { words: 'They point at the other: it stays.', steps: [] },
    ],
  },
  { do: 'put', packet: 'first dealt', where: 'on', other: 'away' },
  { do: 'put', packet: 'second dealt', where: 'on', other: 'packet' },
];

export const RUN_IS_SHORT: Worked = {
  procedure: {
    ...{ format: 'enumeron procedure', version: 2, name: 'The run is short of theirs' },
    needs: 'Two packs; of the second 48 cards.',
    'set-up': `Second pack: twelve diamonds in order at every fourth place from the second, the 8♦ at place ${SEEN_AT}. First pack: the 8♦ on top.`,
    reset: 'Put the twelve back at every fourth place, and the 8♦ on top of the first pack.',
    note: 'Holds wherever they stop and whatever they point at. They may mix the first pack but for its top card.',
    packets: { pack: [FORCED, ...LEARNT.filter((card) => card !== FORCED)], packet: SECOND },
    orders: { diamonds: DIAMONDS },
    steps: [
      {
        ...{ do: 'mix', packet: 'pack', 'keep top': 1 },
        note: 'They may mix it, and put the part with the top card back last.',
      },
      { do: 'choose', name: 'stop', from: 5, to: 40, likely: { around: 18, within: 6 }, says: 'Call stop.' },
      {
        ...{
          do: 'lift',
          count: 1,
          from: 'pack',
          onto: 'hand',
          note: 'Wherever they stop, you give the top card.',
        },
      },
      { do: 'see', what: { 'top of': 'hand' }, name: 'their card', by: 'helper' },
      ...elimination('pointed at'),
      ...elimination('pointed at again'),
      {
        do: 'claim',
        that: { equal: [{ 'how many of': 'diamonds', in: 'packet' }, { 'size of': 'packet' }] },
        words: 'Twelve diamonds are left.',
      },
      { do: 'see', what: { 'first of': 'diamonds', 'not in': 'packet' }, name: 'missing', by: 'all' },
      { do: 'claim', that: { equal: ['missing', 'their card'] }, words: 'The run is short of their card.' },
    ],
  },
  proof: { held: 36 * 2 * 2, outs: 0, failed: 0 },
};
