import { Expression, Step } from '../../procedure/procedure';
import { LEARNT } from './cards';
import type { Worked } from './worked';

/** They name a number, and a cut that nobody follows brings their card there. */
const toTheirNumber = (place: Expression): readonly Step[] => [
  { do: 'work out', name: 'place', what: place },
  {
    ...{ do: 'choose', name: 'number', from: 1, to: 52, told: true, likely: { around: 22, within: 9 } },
    says: 'Name a number up to fifty-two.',
  },
  // On a line of numbers: from theirs to where the card lies, counted round.
  { do: 'work out', name: 'adjustment', what: { around: [{ difference: ['place', 'number'] }, 52] } },
  { do: 'cut', packet: 'pack', count: 'adjustment' },
  {
    do: 'claim',
    that: { equal: [{ 'card at': 'number', of: 'pack' }, 'their card'] },
    words: 'Their card lies at their number.',
  },
];

export const KEY_AND_LINE: Worked = {
  procedure: {
    name: 'Key card, called list and their number',
    needs: 'Any pack of 52; you know its face card, the key.',
    'set-up': 'None.',
    reset: 'None.',
    note: 'Holds for every cut from 5 to 47 and every number.',
    packets: { pack: LEARNT },
    steps: [
      { do: 'see', what: { 'face of': 'pack' }, name: 'key' },
      { do: 'choose', name: 'lifted', from: 5, to: 47, likely: { around: 24, within: 6 } },
      { do: 'lift', count: 'lifted', from: 'pack', onto: 'hand', by: 'helper' },
      { do: 'see', what: { 'top of': 'hand' }, name: 'their card', by: 'helper' },
      { do: 'put', packet: 'hand', where: 'under', other: 'pack', by: 'helper' },
      // The list that they call: the key comes right before theirs.
      {
        ...{ do: 'see', what: { 'place of': 'key', in: 'pack' }, name: 'key place' },
        says: 'Call the cards from the top.',
      },
      ...toTheirNumber({ sum: ['key place', 1] }),
    ],
  },
  proof: { held: 43 * 52, outs: 0, failed: 0 },
};

/** So many cards lie below the key. */
const UNDER = 14;

export const KEY_IN_SHUFFLED: Worked = {
  procedure: {
    name: 'Fourteen under the key of a shuffled pack',
    needs: 'Any pack of 52, which they shuffle.',
    'set-up': 'Glimpse the fifteenth card from the face when you get it back: fourteen lie under it.',
    reset: 'None.',
    note: 'Holds for every shuffle, card, cut and number.',
    packets: { pack: LEARNT },
    steps: [
      { do: 'mix', packet: 'pack', by: 'helper', says: 'Shuffle, as long as you like.' },
      { do: 'see', what: { 'card at': 52 - UNDER, of: 'pack' }, name: 'key' },
      { do: 'choose', name: 'taken', from: 1, to: 52 - UNDER - 1, likely: { around: 18, within: 6 } },
      { do: 'see', what: { 'card at': 'taken', of: 'pack' }, name: 'their card', by: 'helper' },
      { do: 'take', place: 'taken', from: 'pack', onto: 'hand', by: 'helper' },
      { do: 'put', packet: 'hand', where: 'under', other: 'pack', by: 'helper' },
      { do: 'choose', name: 'cut', from: 1, to: 51, likely: { around: 26, within: 6 } },
      { do: 'cut', packet: 'pack', count: 'cut', by: 'helper' },
      {
        ...{ do: 'see', what: { 'place of': 'key', in: 'pack' }, name: 'key place' },
        says: 'Call the cards from the top.',
      },
      ...toTheirNumber({ around: [{ sum: ['key place', UNDER + 1] }, 52] }),
    ],
  },
  proof: { held: (52 - UNDER - 1) * 51 * 52, outs: 0, failed: 0 },
};
