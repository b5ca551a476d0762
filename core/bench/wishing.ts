import { plantedList } from '../test/plantedList';
import { FULL } from '../test/randomWish';
import { findOrder, type WishList } from '../src/wish';
import { timed } from './processorTime';

const at = (sorted: readonly number[], share: number): string =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))].toFixed(0);

const planted = (count: number): void => {
  const times: number[] = [];
  const open: number[] = [];
  let worst = [0, 0];
  for (let seed = 0; seed < count; seed++) {
    const list = plantedList(seed);
    const { ms, result } = timed(() => findOrder(list));
    times.push(ms);
    if (ms > worst[0]) worst = [ms, seed];
    if (result.end !== 'found') open.push(seed);
  }
  times.sort((a, b) => a - b);
  console.log(
    `${count} planted lists of 1 to 8 wishes, 52 cards: median ${at(times, 0.5)} ms, nine in ten ${at(times, 0.9)} ms, ` +
      `99 in 100 ${at(times, 0.99)} ms, worst ${worst[0].toFixed(0)} ms (list ${worst[1]}); not found: ${open.length} ${open.join(' ')}`,
  );
};

const PACK = FULL;
const COUNT = {
  kind: 'at cuts',
  cuts: { from: 10, to: 18 },
  wish: { kind: 'ranks add up', places: [1, 2], makes: 'cut' },
} as const;
const COMPOSED = {
  kind: 'at cuts',
  cuts: 'every',
  wish: { kind: 'card made of two', rankFrom: 1, suitFrom: 2, at: 14 },
} as const;
const MATES = { kind: 'mates apart', distance: 26, round: true } as const;
const NO_FOUR = { kind: 'runs', of: 'colour', most: 3, round: true } as const;
const SHUFFLED = { kind: 'looks shuffled', most: 75 } as const;

/** The examples whose figures were told with the design. */
const EXAMPLES: Readonly<Record<string, WishList>> = {
  'composed card, no four, looks shuffled': { pack: PACK, wishes: [COMPOSED, NO_FOUR, SHUFFLED] },
  'count, queen ninth, mates, no four, shuffled': {
    pack: PACK,
    wishes: [COUNT, { kind: 'cards at', cards: ['QH'], places: [9] }, MATES, NO_FOUR, SHUFFLED],
  },
  'the same with three cards': {
    pack: PACK,
    wishes: [
      COUNT,
      { kind: 'cards at', cards: ['QH'], places: [9] },
      MATES,
      NO_FOUR,
      SHUFFLED,
      { kind: 'cards at', cards: ['AS', '7H', '4C'], places: [3, 20, 41] },
    ],
  },
  'colours in blocks after two, suits after four': {
    pack: PACK,
    wishes: [
      {
        kind: 'after',
        moves: [
          { kind: 'weave', weave: 'out' },
          { kind: 'weave', weave: 'out' },
        ],
        wish: { kind: 'blocks', by: 'colour' },
      },
      {
        kind: 'after',
        moves: [
          { kind: 'weave', weave: 'out' },
          { kind: 'weave', weave: 'out' },
          { kind: 'weave', weave: 'out' },
          { kind: 'weave', weave: 'out' },
        ],
        wish: { kind: 'blocks', by: 'suit' },
      },
    ],
  },
  'rank row with the count': { pack: PACK, wishes: [{ kind: 'by rule', rule: 'rank row' }, COUNT] },
  'rank row with the composed card': {
    pack: PACK,
    wishes: [{ kind: 'by rule', rule: 'rank row' }, COMPOSED],
  },
  'rank row with mates apart': { pack: PACK, wishes: [{ kind: 'by rule', rule: 'rank row' }, MATES] },
  'six colours tell, suits and ranks apart, quarters': {
    pack: PACK,
    wishes: [
      { kind: 'tells', next: 6, by: 'colour' },
      { kind: 'neighbours', relation: 'other suit', round: true },
      { kind: 'neighbours', relation: 'other rank', round: true },
      { kind: 'balanced', by: 'suits', parts: 4, within: 1 },
    ],
  },
  'mates 20 apart': { pack: PACK, wishes: [{ kind: 'mates apart', distance: 20, round: true }] },
};

const SHUFFLED_START =
  'TS 4H 9D KC 2C JD 7S QH 3D AS 8C 5H 6S KD TC 2H 9S JC 4D QS 7H AC 3S 8D 5C 6H KS TD 2S 9H JH 4C QC 7D AD 3H 8S 5S 6D KH TH 2D 9C JS 4S QD 7C AH 3C 8H 5D 6C'.split(
    ' ',
  );

const NEAREST: Readonly<Record<string, WishList['wishes']>> = {
  'three cards': [{ kind: 'cards at', cards: ['AS', '7H', '4C'], places: [3, 20, 41] }],
  count: [COUNT],
  'four of a kind': [{ kind: 'hand', players: 4, cards: 5, player: 4, is: 'four of a kind' }],
  'no three of a colour, ranks apart': [
    { kind: 'runs', of: 'colour', most: 2 },
    { kind: 'neighbours', relation: 'other rank' },
  ],
  alternate: [{ kind: 'colours alternate' }],
};

const tell = (name: string, list: WishList): void => {
  const { ms, result } = timed(() => findOrder(list));
  const more =
    result.end === 'conflict'
      ? `${result.conflict.join(' ')} ${result.how}${result.smallest ? '' : ', perhaps not the smallest'} ${result.why ?? ''}`
      : result.end === 'found'
        ? result.changes === undefined
          ? ''
          : `${result.changes} changes${result.fewest ? ', proved' : ''}`
        : `${result.checks.filter(({ holds }) => !holds).length} do not hold`;
  console.log(`${name.padEnd(52)} ${result.end} in ${ms.toFixed(0)} ms ${more}`);
};

/** What finding an order takes. */
export const benchWishing = (): void => {
  for (const [name, list] of Object.entries(EXAMPLES)) tell(name, list);
  for (const [name, wishes] of Object.entries(NEAREST))
    tell(`fewest changes: ${name}`, { pack: PACK, start: SHUFFLED_START, wishes });
  planted(400);
};
