import type { Worked } from './worked';

/** Behind every lift from 8 to 20 the next two ranks add up to it; no two next to each other are alike. */
const RUN = ['3S', '5D', '4C', '6H', '5S', '7D', '6C', '8H', '7S', '9D', '8C', 'TH', '9S', 'JD'];
const TARGET = RUN[1];

export const RUN_IN_DIGITS: Worked = {
  procedure: {
    ...{ format: 'enumeron procedure', version: 2, name: 'Dealt to its digit sum' },
    needs: 'Fourteen cards that count, below eight others.',
    'set-up':
      'Eight indifferent cards; 3, 5, 4, 6, 5, 7 … as they lie there; the rest. The tenth card is your target.',
    reset: 'Put the cards back in their order; one look through.',
    note: 'Holds for every lift from 10 to 19; on either side you tell the number alone.',
    packets: { pack: [{ indifferent: 8 }, ...RUN, { indifferent: 30 }] },
    steps: [
      {
        ...{ do: 'choose', name: 'lifted', from: 8, to: 20, likely: { around: 14, within: 2 } },
        says: 'Lift a packet, not too large.',
      },
      { do: 'lift', count: 'lifted', from: 'pack', onto: 'hand', by: 'helper' },
      {
        ...{ do: 'see', what: { 'rank of': { 'card at': 1, of: 'pack' } }, name: 'first rank' },
        note: 'You take the rest away, and glimpse the next two in turning round.',
      },
      { do: 'see', what: { 'rank of': { 'card at': 2, of: 'pack' } }, name: 'second rank' },
      { do: 'work out', name: 'sum', what: { sum: ['first rank', 'second rank'] } },
      {
        ...{ do: 'deal', count: 'lifted', from: 'hand', onto: 'table', by: 'helper' },
        says: 'Count how many you have, singly, on the table.',
      },
      {
        do: 'claim',
        that: { equal: ['sum', { 'size of': 'table' }] },
        words: 'You know how many they have.',
      },
      {
        ...{
          do: 'see',
          what: { whether: { less: [9, { 'size of': 'table' }] } },
          name: 'two digits',
          by: 'all',
        },
        says: 'Has the number two digits? Yes or no.',
      },
      {
        do: 'if',
        that: { any: [{ equal: ['two digits', 0] }, { less: [19, 'sum'] }] },
        then: [{ do: 'out', words: 'Tell the number, and leave it at that.' }],
      },
      {
        ...{
          do: 'see',
          what: { 'card at': { 'digit sum': 'lifted' }, of: 'table' },
          name: 'their card',
          by: 'helper',
        },
        says: 'Add its digits, look at the card at that number, and mix everything.',
      },
      { do: 'put', packet: 'table', where: 'on', other: 'pack', by: 'helper' },
      { do: 'mix', packet: 'pack', by: 'helper' },
      { do: 'claim', that: { equal: ['their card', { card: TARGET }] }, words: 'It is your target.' },
    ],
  },
  proof: { held: 10, outs: 3, failed: 0 },
};
