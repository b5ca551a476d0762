import { Wish } from './wish';
import { WISHES } from './wishes';

/** Where a wish stands in the palette. */
export type WishGroup =
  | 'cards lie'
  | 'neighbours'
  | 'sums'
  | 'a hand dealt'
  | 'it spells'
  | 'it looks'
  | 'at every cut'
  | 'after moves'
  | 'one of several';

export const WISH_GROUPS: readonly WishGroup[] = [
  ...(['cards lie', 'neighbours', 'sums', 'a hand dealt', 'it spells'] as const),
  ...(['it looks', 'at every cut', 'after moves', 'one of several'] as const),
];

/** A wish that is offered, by words of its user, and what one begins with for a pack of so many cards. */
export interface OfferedWish {
  readonly group: WishGroup;
  readonly words: string;
  make(size: number): Wish;
}

const offer = (group: WishGroup, words: string, make: (size: number) => Wish): OfferedWish => ({
  group,
  words,
  make,
});

const half = (size: number): number => Math.max(1, Math.floor(size / 2));

/** Every k-th place from k on. */
const everyPlace = (step: number, size: number): readonly number[] =>
  Array.from({ length: Math.max(1, Math.floor(size / step)) }, (_, index) => (index + 1) * step);

/**
 * The place of the last card of an under-and-down deal: the top card goes under the pack, the next one down on the
 * table, until one is left. By so much as the pack has more than the largest power of two in it, twice, it lies below the
 * top card (Josephus, every second counted out).
 */
export const lastUnderAndDown = (size: number): number => 2 * (size - 2 ** Math.floor(Math.log2(size))) + 1;

/** All that is offered: every kind, and wishes that performers have, in their words. */
export const WISH_PALETTE: readonly OfferedWish[] = [
  offer('cards lie', 'a card at a place', () => WISHES['cards at'].begin),
  offer('cards lie', 'four aces among the first ten', () => WISHES['cards among'].begin),
  offer('cards lie', 'a heart at every 13th place', (size) => ({
    kind: 'cards among',
    of: { suits: ['H'] },
    places: everyPlace(13, size),
    least: everyPlace(13, size).length,
  })),
  offer('cards lie', 'two cards side by side', () => WISHES['side by side'].begin),
  offer('cards lie', 'a card so far before another', () => WISHES.before.begin),
  offer('cards lie', 'aces kept apart', () => WISHES.spaced.begin),
  offer('cards lie', 'mates half a pack apart', (size) => ({
    kind: 'mates apart',
    distance: half(size),
    round: true,
  })),
  offer('cards lie', 'the last card of an under-and-down deal', (size) => ({
    kind: 'cards at',
    cards: ['AS'],
    places: [lastUnderAndDown(size)],
  })),
  offer('cards lie', 'mirrored: mates as far from both ends', () => WISHES.mirrored.begin),
  offer('neighbours', 'nobody sees three of a colour running', () => ({
    kind: 'runs',
    of: 'colour',
    most: 2,
  })),
  offer('neighbours', 'no four of a colour in a row', () => WISHES.runs.begin),
  offer('neighbours', 'no two of a rank side by side', () => WISHES.neighbours.begin),
  offer('neighbours', 'colours alternate', () => WISHES['colours alternate'].begin),
  offer('neighbours', 'suits go round', () => WISHES['suits rotate'].begin),
  offer('neighbours', 'each four in a row are four suits', () => ({ kind: 'suits rotate' })),
  offer('neighbours', 'the rank goes up by a step', () => WISHES['ranks step'].begin),
  offer('neighbours', 'each suit together', () => WISHES.blocks.begin),
  offer('neighbours', 'four suits in every four cards', () => WISHES.packets.begin),
  offer('neighbours', 'as many reds in both halves', () => WISHES.balanced.begin),
  offer('sums', 'ranks add up to 14', () => WISHES['ranks add up'].begin),
  offer('sums', 'two cards make a third', () => WISHES['card made of two'].begin),
  offer('a hand dealt', 'dealt to four, my five cards are a flush', () => WISHES.hand.begin),
  offer('a hand dealt', 'a full house for the second of three', () => ({
    ...{ kind: 'hand', players: 3, cards: 5, player: 2, is: 'full house' },
  })),
  offer('it spells', 'a card comes on the last letter of its name', () => WISHES.spells.begin),
  offer('it spells', 'spelt from itself, it ends on another', () => ({
    ...{ kind: 'spells', cards: ['QH'], from: 'itself', target: 'AS' },
  })),
  offer('it looks', 'it looks shuffled', () => WISHES['looks shuffled'].begin),
  offer('it looks', 'the next six colours tell the place', () => WISHES.tells.begin),
  offer('it looks', 'made by a rule for the head', () => WISHES['by rule'].begin),
  offer('at every cut', 'two cards make the card at 14, wherever it is cut', () => WISHES['at cuts'].begin),
  offer('at every cut', 'the next two ranks give the cut, from 10 to 18', () => ({
    kind: 'at cuts',
    cuts: { from: 10, to: 18 },
    wish: { kind: 'ranks add up', places: [1, 2], makes: 'cut' },
  })),
  offer('after moves', 'after an out weave: no two of a rank side by side', () => WISHES.after.begin),
  offer('after moves', 'after two out weaves: colours in blocks', () => ({
    kind: 'after',
    moves: [
      { kind: 'weave', weave: 'out' },
      { kind: 'weave', weave: 'out' },
    ],
    wish: { kind: 'blocks', by: 'colour' },
  })),
  offer('one of several', 'a card on top or at the face', (size) => ({
    kind: 'some of',
    wishes: [
      { kind: 'cards at', cards: ['AS'], places: [1] },
      { kind: 'cards at', cards: ['AS'], places: [size] },
    ],
  })),
];

/** What is offered where one has begun to write: those that begin so, and then those that have a word that does. */
export const wishesBegun = (text: string): readonly OfferedWish[] => {
  const plain = text.trim().toLowerCase();
  if (plain === '') return [];
  const words = plain.split(/\s+/);
  const begins = WISH_PALETTE.filter(({ words: said }) => said.startsWith(plain));
  const has = WISH_PALETTE.filter(({ words: said, group }) =>
    words.every((word) => `${said} ${group}`.split(/[\s,:-]+/).some((each) => each.startsWith(word))),
  );
  return [...new Set([...begins, ...has])].slice(0, 8);
};
