import { Fact } from '@enumeron/core/reckon/facts';
import { Sent } from '../../nouns/procedures/sent.store';
import { WayIn } from '../../room';

/** One way in: something that was seen, and what is asked of it. */
export interface Way extends WayIn {
  /**
   * A small picture of it: one letter a card, from the top to the face: `s` seen, `w` wanted, `n` the number, `b` a
   * bank's, `u` face up, `m` missing, `.` any other.
   */
  readonly picture: string;
}

const faceOf = (fact: Fact): number | undefined =>
  fact.kind === 'seen' && fact.at === 'face' ? fact.card : undefined;

/** Every way into Reckon. */
export const WAYS: readonly Way[] = [
  {
    path: '',
    name: 'A card at a number',
    words: 'card at number',
    seen: 'the face or the top card',
    asked: 'a card and a number',
    picture: '..w...n....s',
  },
  {
    path: 'seen',
    name: 'Whatever was seen',
    words: 'anything seen',
    seen: 'anything, in any combination',
    asked: 'how the pack can lie, what to look at next',
    picture: '.s..m..ss..s',
  },
  {
    path: 'number-line',
    name: 'A number line',
    words: 'number line',
    seen: 'a key card at the face, where they say stop',
    asked: 'where the card lies, when to invite the next stop',
    picture: '...nnnwnn..s',
    take: (fact) => {
      const key = faceOf(fact);
      return key === undefined ? undefined : { key };
    },
  },
  {
    path: 'two-cards',
    name: 'Two cards at two numbers',
    words: 'two cards',
    seen: 'their card, their number and yours',
    asked: 'where to cut, which card to claim',
    picture: '.n..w...n.w.',
  },
  {
    path: 'two-cuts',
    name: 'Two cuts, one difference',
    words: 'two cuts',
    seen: 'the card at each of two cuts',
    asked: 'how many lie face up, how far to push off',
    picture: 'w..suuuus...',
    take: (fact) => (fact.kind === 'cuts' ? { first: fact.first, second: fact.second } : undefined),
  },
  {
    path: 'packet',
    name: 'Packet size to card',
    words: 'packet size',
    seen: 'how many cards they lifted',
    asked: 'the bank card at the packet’s face',
    picture: '...bbbwbb...',
    take: (fact) =>
      fact.kind === 'lift' && fact.size && fact.size[0] === fact.size[1] ? { size: fact.size[0] } : undefined,
  },
  {
    path: 'count-down',
    name: 'Face card to place',
    words: 'count down',
    seen: 'a bank card at the face after a cut',
    asked: 'where the selection below the bank lies',
    picture: 'bbw......bbs',
    take: (fact) => {
      const face = faceOf(fact);
      return face === undefined ? undefined : { face };
    },
  },
  {
    path: 'next-ranks',
    name: 'Next two ranks to packet size',
    words: 'next ranks',
    seen: 'the next two ranks at a cut',
    asked: 'how many they hold, where the digit sum ends',
    picture: '..w...|ss...',
    take: (fact) => (fact.kind === 'next ranks' ? { first: fact.first, second: fact.second } : undefined),
  },
  {
    path: 'composed-card',
    name: 'Rank of one, suit of the next',
    words: 'composed card',
    seen: 'the two cards laid aside at a cut',
    asked: 'where the card that they name lies',
    picture: 'ss.....w....',
  },
  {
    path: 'gap',
    name: 'Neighbours to missing cards',
    words: 'missing cards',
    seen: 'the cards above and below a gap',
    asked: 'what was taken from it',
    picture: '....sms.....',
    take: (fact) => (fact.kind === 'gap' ? { above: fact.above, below: fact.below } : undefined),
  },
  {
    path: 'short-group',
    name: 'Short group to missing card',
    words: 'short group',
    seen: 'a rank with only three cards',
    asked: 'the missing card, three cards that lead to it',
    picture: 'www..s.m.s.s',
    take: (fact) => (fact.kind === 'short group' ? { rank: fact.rank } : undefined),
  },
  {
    path: 'key-card',
    name: 'Key card and bank after riffles',
    words: 'key card',
    seen: 'a key card after riffles',
    asked: 'the bank card next to it, and how sure that is',
    picture: '..b.bw.s.b..',
  },
  {
    path: 'dealt-back',
    name: 'Dealt back and dealt again',
    words: 'dealt back',
    seen: 'how many were counted, round by round',
    asked: 'where a card ends',
    picture: '.w......n...',
  },
  {
    path: 'shuffled',
    name: 'A pack thought shuffled',
    words: 'moved card',
    seen: 'the pack, card by card',
    asked: 'which card was moved',
    picture: 'ss.ss.w.s.ss',
  },
  {
    path: 'map',
    name: 'Every card at every number',
    words: 'map of all',
    seen: 'the pack as it is cut',
    asked: 'which cards and numbers are easy',
    picture: 'nwnwnwnwnwnw',
  },
];

/** A procedure that was sent here, as a way in. */
export const wayOfSent = ({ path, name, as }: Sent): Way => ({
  ...{ path, name, words: name.toLowerCase(), picture: 's..s....w...' },
  seen: as?.pattern?.fields.map(({ label }) => label.toLowerCase()).join(', ') ?? '',
  asked: as?.findings.join(', ') ?? '',
});

/** The way at an address below the room's; the first where there is none. */
export const wayAt = (path: string): Way => WAYS.find((way) => way.path === path) ?? WAYS[0];
