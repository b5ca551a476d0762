import { Estimate } from '@enumeron/core/odds';
import { Bank, Order, Rank, Suit } from '@enumeron/core/deck';
import { Reckoned } from '@enumeron/core/reckon';
import {
  reckonBankPacket,
  reckonComposedCard,
  reckonCountDown,
  reckonDealtBack,
  reckonGap,
  reckonKeyCard,
  reckonNextRanks,
  reckonNumberLine,
  reckonShortGroup,
  reckonTwoCards,
  reckonTwoCuts,
} from '@enumeron/core/reckon/patterns';
import { Values } from '../pack/patterns.store';
import { Field, Form } from './field';
import { PatternPath } from './ways';

/** The pack that a pattern is asked of. */
export interface PatternPack {
  readonly home: Order;
  readonly now: Order;
  /** The bank of the order that the pack is in, where it has one. */
  readonly bank: Bank | undefined;
  /** How many cards the performer is happy to move. */
  readonly shift: number;
  /** How often a key card still leads to the same bank card, as far as it has been tried. */
  readonly estimates: readonly Estimate[];
}

/** A pattern of live computation: what it must be told, and how it answers. */
export interface Pattern extends Form {
  readonly path: PatternPath;
  /** What it is for, in one sentence. */
  readonly lead: string;
  readonly needsBank?: boolean;
  /** Values to try it with, for whoever has none yet. */
  example?(pack: PatternPack): Values;
  reckon(values: Values, pack: PatternPack): Reckoned;
}

const card = (name: string, label: string, asks: string, part: Partial<Field> = {}): Field => ({
  name,
  label,
  asks,
  kind: 'card',
  ...part,
});
const number = (name: string, label: string, asks: string, part: Partial<Field> = {}): Field => ({
  name,
  label,
  asks,
  kind: 'number',
  ...part,
});
const setup = (name: string, label: string, start: number, part: Partial<Field> = {}): Field =>
  number(name, label, `${label}?`, { setup: true, start, ...part });

/** The value of a field that holds a number, card or rank; the fields are checked before a pattern is asked. */
const num = (values: Values, name: string): number => values[name] as number;
const maybe = (values: Values, name: string): number | undefined => values[name] as number | undefined;
const list = (values: Values, name: string): readonly number[] =>
  (values[name] as readonly number[] | undefined) ?? [];
const bankOf = ({ bank }: PatternPack): Bank => bank ?? { cards: [], places: [] };

/** The card at a part of the pack from the top (0) to the face (1): one for an example. */
const cardAtPart = (now: Order, part: number): number => now[Math.round((now.length - 1) * part)];
/** A card of the bank, for an example. */
const ofBank = (pack: PatternPack): number => {
  const { cards } = bankOf(pack);
  return cards[Math.floor(cards.length / 2)];
};

export const PATTERNS: readonly Pattern[] = [
  {
    path: 'number-line',
    lead: 'You call cards until they say stop, then run along numbers until they say stop again.',
    fields: [
      card('key', 'Key card at the face', 'Which card is at the face?', { optional: true }),
      card('stopped', 'Called when they said stop', 'At which card did they say stop?', {
        optional: true,
      }),
      number('number', 'Number when they said stop', 'At which number did they say stop?', {
        optional: true,
      }),
      number('below', 'No stack: cards below the key', 'How many cards lie below the key?', {
        optional: true,
        least: 0,
      }),
      setup('lead', 'Row and line of', 20),
      setup('decoys', 'Cards called before the row', 2, { least: 0, most: 3 }),
      setup('before', 'Invite the stop before the card by', 10, { least: 0 }),
    ],
    reckon: (values, { home, now, shift }) =>
      reckonNumberLine(
        home,
        now,
        {
          lead: num(values, 'lead'),
          decoys: num(values, 'decoys'),
          before: num(values, 'before'),
          easy: shift,
        },
        {
          key: maybe(values, 'key'),
          stopped: maybe(values, 'stopped'),
          below: maybe(values, 'below'),
          number: maybe(values, 'number'),
        },
      ),
  },
  {
    path: 'two-cards',
    lead: 'Their card comes to your number; which card do you claim for theirs?',
    fields: [
      card('card', 'Their card', 'Which is their card?'),
      number('mine', 'Your number', 'Which is your number?'),
      number('theirs', 'Their number', 'Which is their number?'),
    ],
    example: ({ now }) => ({
      card: cardAtPart(now, 0.4),
      mine: Math.ceil(now.length / 4),
      theirs: now.length - 2,
    }),
    reckon: (values, { now }) =>
      reckonTwoCards(now, num(values, 'card'), num(values, 'mine'), num(values, 'theirs')),
  },
  {
    path: 'two-cuts',
    lead: 'A packet is cut and turned over onto the pack, then a deeper one.',
    fields: [
      card('first', 'At the first cut', 'Which card was at the first cut?'),
      card('second', 'At the deeper cut', 'Which card was at the deeper cut?'),
      setup('plain', 'Plain cards on the prediction', 4, { least: 0 }),
      setup('from', 'Numbers from', 5),
      setup('to', 'Numbers to', 24),
      setup('markEvery', 'One marked in (0: none)', 5, { least: 0 }),
    ],
    example: ({ now }) => ({ first: cardAtPart(now, 0.25), second: cardAtPart(now, 0.5) }),
    reckon: (values, { now }) =>
      reckonTwoCuts(now, num(values, 'first'), num(values, 'second'), {
        plain: num(values, 'plain'),
        from: num(values, 'from'),
        to: num(values, 'to'),
        markEvery: num(values, 'markEvery'),
      }),
  },
  {
    path: 'packet',
    lead: 'A packet is lifted and counted by fives: which bank card is at its face?',
    fields: [number('size', 'Cards in the packet', 'How many cards are in the packet?')],
    example: (pack) => ({ size: pack.now.indexOf(ofBank(pack)) + 1 }),
    needsBank: true,
    reckon: (values, pack) => reckonBankPacket(pack.now, bankOf(pack), num(values, 'size')),
  },
  {
    path: 'count-down',
    lead: 'The selection lies behind a bank. A cut shows a bank card at the face: where is it now?',
    fields: [card('face', 'At the face', 'Which card is at the face?')],
    example: (pack) => ({ face: ofBank(pack) }),
    needsBank: true,
    reckon: (values, pack) => reckonCountDown(pack.now, bankOf(pack), num(values, 'face')),
  },
  {
    path: 'next-ranks',
    lead: 'The ranks of the next two cards at a cut add up to the cards in the packet.',
    fields: [
      { name: 'first', label: 'The next rank', asks: 'What is the next rank?', kind: 'rank' },
      { name: 'second', label: 'And the one after', asks: 'What is the rank after it?', kind: 'rank' },
      setup('prepared', 'Prepared place', 10),
    ],
    example: () => ({ first: 4, second: 9 }),
    reckon: (values, { now }) =>
      reckonNextRanks(
        now,
        num(values, 'first') as Rank,
        num(values, 'second') as Rank,
        num(values, 'prepared'),
      ),
  },
  {
    path: 'composed-card',
    lead: 'Two cards are laid aside from the top of a cut: they name a third. Where does it lie?',
    fields: [card('first', 'The first of the two', 'Which is the first of the two cards?')],
    example: ({ now }) => ({ first: cardAtPart(now, 0.5) }),
    reckon: (values, { now }) => reckonComposedCard(now, num(values, 'first')),
  },
  {
    path: 'gap',
    lead: 'One or two cards were taken; you see what lies above and below the gap.',
    fields: [
      card('above', 'Above the gap', 'Which card lies above the gap?'),
      card('below', 'Below the gap', 'Which card lies below the gap?'),
    ],
    example: ({ now }) => ({ above: now[1], below: now[3 % now.length] }),
    reckon: (values, { now }) => reckonGap(now, num(values, 'above'), num(values, 'below')),
  },
  {
    path: 'short-group',
    lead: 'After a shuffle one group of like ranks is short. Which card is it, and which three lead to it?',
    fields: [
      { name: 'rank', label: 'The short rank', asks: 'Which rank is short?', kind: 'rank' },
      {
        name: 'suits',
        label: 'Suits that are there',
        asks: 'Which suits of it are there?',
        kind: 'suits',
        optional: true,
      },
    ],
    example: () => ({ rank: 7, suits: [0, 1, 3] }),
    reckon: (values, { now }) =>
      reckonShortGroup(now, num(values, 'rank') as Rank, list(values, 'suits') as readonly Suit[]),
  },
  {
    path: 'key-card',
    lead: 'The next bank card in front of the key leads to the selection. How sure is that?',
    fields: [
      card('key', 'The key card', 'Which is the key card?'),
      number('riffles', 'Riffles', 'How many riffles?', { start: 1, most: 5 }),
      setup('spread', 'Stops spread about the middle by', 6),
    ],
    example: (pack) => ({ key: ofBank(pack) }),
    needsBank: true,
    reckon: (values, pack) =>
      reckonKeyCard(
        pack.now,
        bankOf(pack),
        num(values, 'key'),
        num(values, 'riffles'),
        pack.estimates,
        num(values, 'spread'),
      ),
  },
  {
    path: 'dealt-back',
    lead: 'So many are counted singly and dropped back, in rounds. Where does the card end?',
    fields: [
      card('card', 'The card', 'Which card is followed?'),
      {
        name: 'counts',
        label: 'Counted in each round',
        asks: 'How many are counted in each round?',
        kind: 'numbers',
      },
    ],
    example: ({ now }) => ({ card: cardAtPart(now, 0.1), counts: [9, 14] }),
    reckon: (values, { now }) => reckonDealtBack(now, num(values, 'card'), list(values, 'counts')),
  },
];
