import { LEARNT } from './cards';
import type { Worked } from './worked';

export const RIFFLED_KEY: Worked = {
  procedure: {
    name: 'A key card under two riffles',
    needs: 'Any pack of 52; you know its face card.',
    'set-up': 'None.',
    reset: 'None.',
    note: 'Chance enters: it leads to their card in nearly four tries of five.',
    packets: { pack: LEARNT },
    steps: [
      { do: 'see', what: { 'face of': 'pack' }, name: 'key' },
      { do: 'choose', name: 'lifted', from: 10, to: 42, likely: { around: 26, within: 5 } },
      { do: 'lift', count: 'lifted', from: 'pack', onto: 'hand', by: 'helper' },
      { do: 'see', what: { 'top of': 'hand' }, name: 'their card', by: 'helper' },
      // What was below goes on top: the key lies above their card.
      { do: 'put', packet: 'hand', where: 'under', other: 'pack', by: 'helper' },
      { do: 'riffle', packet: 'pack', times: 2, by: 'helper' },
      {
        do: 'claim',
        that: {
          all: [
            {
              less: [
                { 'place of': 'key', in: 'pack' },
                { 'place of': 'their card', in: 'pack' },
              ],
            },
            {
              'at most': [
                {
                  difference: [
                    { 'place of': 'their card', in: 'pack' },
                    { 'place of': 'key', in: 'pack' },
                  ],
                },
                6,
              ],
            },
          ],
        },
        words: 'Their card lies within six cards below the key.',
      },
    ],
  },
  chance: [0.75, 0.82],
};
