import { randomInt } from '../../deck/rng';
import { num, numberField } from '../../form/fields';
import { riffled } from '../../moves/riffle';
import { OddsQuestion } from '../question';
import { sayShare } from '../sayShare';
import { sizeField } from './fields';

/**
 * The chance that the card right behind a key card is still right behind it after riffles (Gilbert–Shannon–Reeds),
 * wherever the two lie. k riffles are one shuffle out of a = 2^k packets: each place of the shuffled pack draws one of
 * a packets, whose cards lie there in their order (Bayer and Diaconis, 1992). The two stay together where both come
 * from one packet with nothing between, or from two with nothing of the d − 1 packets between them anywhere. Summed
 * over all pairs of packets that lie d apart, what depends on the place falls out, and ((a − d) / a)^(N − 1) / a is left.
 *
 * @param size cards, 2 or more. @param riffles 0 or more.
 */
export const keyStaysChance = (size: number, riffles: number): number => {
  const packets = 2 ** riffles;
  let sum = 0;
  for (let left = 1; left <= packets; left++) sum += (left / packets) ** (size - 1);
  return sum / packets;
};

export const KEY_STAYS: OddsQuestion = {
  path: 'key-card',
  name: 'A key card that still leads',
  asks: 'The pack is riffled. How often does their card still lie right below the key card?',
  takes:
    'Riffles as people do them: cut near the middle, and cards fall from either packet by its size. A cut afterwards changes nothing unless it falls between the two.',
  source: 'Exact: several riffles are one shuffle out of 2, 4, 8 … packets (Bayer and Diaconis, 1992).',
  fields: [
    sizeField(52),
    numberField('riffles', 'Riffles', 'How many riffles?', { start: 2, least: 0, most: 10 }),
  ],
  chance: (values) => keyStaysChance(num(values, 'size'), num(values, 'riffles')),
  says: (values) => {
    const riffles = num(values, 'riffles');
    const times = riffles === 1 ? 'one riffle' : `${riffles} riffles`;
    return `After ${times} of ${num(values, 'size')} cards, their card still lies right below the key card.`;
  },
  notes: (values) => {
    const alone = 1 / num(values, 'size');
    return [
      'It does not matter where in the pack the two lie.',
      `In a pack that is well shuffled it would be ${sayShare(alone)}.`,
    ];
  },
  trial: (values) => {
    const [size, riffles] = [num(values, 'size'), num(values, 'riffles')];
    const pack = Array.from({ length: size }, (_, index) => index);
    return (rng) => {
      const key = 1 + randomInt(rng, size - 1);
      let now: number[] = pack;
      for (let times = 0; times < riffles; times++) now = riffled(now, rng);
      return now[now.indexOf(key - 1) + 1] === key;
    };
  },
  over: { field: 'riffles', range: () => [0, 10] },
};
