import { Expression } from '../../procedure/procedure';
import { LEARNT, run } from './cards';
import type { Worked } from './worked';

const KEY = '7S';
const OTHERS = LEARNT.filter((card) => !card.endsWith('H') && card !== KEY);

const placeOf = (card: Expression): Expression => ({ 'place of': card, in: 'pack' });

export const RIFFLED_BANK: Worked = {
  procedure: {
    name: 'Key and suit bank under two riffles',
    needs: 'Any pack of 52.',
    'set-up': 'The hearts on top, from ace to king; the seven of spades, your key, at the face.',
    reset: 'Put the hearts in order on top, and the key at the face.',
    note: 'Chance enters: their card lies below the key and above the ace of hearts, in most tries close to both.',
    packets: { pack: [...run('H'), ...OTHERS, KEY] },
    steps: [
      { do: 'choose', name: 'taken', from: 14, to: 51, likely: { around: 30, within: 7 } },
      { do: 'see', what: { 'card at': 'taken', of: 'pack' }, name: 'their card', by: 'helper' },
      { do: 'take', place: 'taken', from: 'pack', onto: 'hand', by: 'helper' },
      { do: 'put', packet: 'hand', where: 'on', other: 'pack', by: 'helper' },
      { do: 'choose', name: 'cut', from: 14, to: 40, likely: { around: 26, within: 4 } },
      {
        do: 'cut',
        packet: 'pack',
        count: 'cut',
        by: 'helper',
        says: 'Cut about the middle, and complete the cut.',
      },
      { do: 'riffle', packet: 'pack', times: 2, by: 'helper' },
      {
        do: 'claim',
        that: {
          all: [
            { less: [placeOf({ card: KEY }), placeOf('their card')] },
            { less: [placeOf('their card'), placeOf({ card: 'AH' })] },
            { 'at most': [{ difference: [placeOf({ card: 'AH' }), placeOf({ card: KEY })] }, 12] },
          ],
        },
        words: 'Their card lies between the key and the ace of hearts, which are at most twelve apart.',
      },
    ],
  },
  chance: [0.7, 0.79],
};
