import { Bank } from '@enumeron/core/arrange';
import { Order, Rank, Suit } from '@enumeron/core/deck';
import { Reckoned } from '@enumeron/core/reckon';
import {
  Estimate,
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
import { PatternPath } from './pattern-names';

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
  reckon(values: Values, pack: PatternPack): Reckoned;
}

const card = (name: string, label: string): Field => ({ name, label, kind: 'card' });
const optional = (field: Field): Field => ({ ...field, optional: true });
const number = (name: string, label: string, part: Partial<Field> = {}): Field => ({
  name,
  label,
  kind: 'number',
  ...part,
});

/** The value of a field that holds a number, card or rank; the fields are checked before a pattern is asked. */
const num = (values: Values, name: string): number => values[name] as number;
const maybe = (values: Values, name: string): number | undefined => values[name] as number | undefined;
const list = (values: Values, name: string): readonly number[] =>
  (values[name] as readonly number[] | undefined) ?? [];
const bankOf = ({ bank }: PatternPack): Bank => bank ?? { cards: [], places: [] };

export const PATTERNS: readonly Pattern[] = [
  {
    path: 'number-line',
    lead: 'You call cards until they say stop, then run along numbers until they say stop again.',
    fields: [
      optional(card('key', 'Key card at the face')),
      optional(card('stopped', 'Called when they said stop')),
      number('number', 'Number when they said stop', { optional: true }),
      number('below', 'No stack: cards below the key', { optional: true, least: 0 }),
      number('lead', 'The row and the line go from', { setup: true, start: 20 }),
      number('decoys', 'Cards called before the row', { setup: true, start: 2, least: 0, most: 3 }),
      number('before', 'Invite the stop before it by', { setup: true, start: 10, least: 0 }),
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
    fields: [card('card', 'Their card'), number('mine', 'Your number'), number('theirs', 'Their number')],
    reckon: (values, { now }) =>
      reckonTwoCards(now, num(values, 'card'), num(values, 'mine'), num(values, 'theirs')),
  },
  {
    path: 'two-cuts',
    lead: 'A packet is cut and turned over onto the pack, then a deeper one.',
    fields: [
      card('first', 'Seen at the first cut'),
      card('second', 'Seen at the deeper cut'),
      number('plain', 'Plain cards on the prediction', { setup: true, start: 4, least: 0 }),
      number('from', 'Numbers from', { setup: true, start: 5 }),
      number('to', 'Numbers to', { setup: true, start: 24 }),
      number('markEvery', 'One marked in (0: none)', { setup: true, start: 5, least: 0 }),
    ],
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
    fields: [number('size', 'Cards in the packet')],
    needsBank: true,
    reckon: (values, pack) => reckonBankPacket(pack.now, bankOf(pack), num(values, 'size')),
  },
  {
    path: 'count-down',
    lead: 'The selection lies behind a bank. A cut shows a bank card at the face: where is it now?',
    fields: [card('face', 'Seen at the face')],
    needsBank: true,
    reckon: (values, pack) => reckonCountDown(pack.now, bankOf(pack), num(values, 'face')),
  },
  {
    path: 'next-ranks',
    lead: 'The ranks of the next two cards at a cut add up to the cards in the packet.',
    fields: [
      { name: 'first', label: 'The next rank', kind: 'rank' },
      { name: 'second', label: 'And the one after', kind: 'rank' },
      number('prepared', 'Prepared place', { setup: true, start: 10 }),
    ],
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
    fields: [card('first', 'The first of the two')],
    reckon: (values, { now }) => reckonComposedCard(now, num(values, 'first')),
  },
  {
    path: 'gap',
    lead: 'One or two cards were taken; you see what lies above and below the gap.',
    fields: [card('above', 'Above the gap'), card('below', 'Below the gap')],
    reckon: (values, { now }) => reckonGap(now, num(values, 'above'), num(values, 'below')),
  },
  {
    path: 'short-group',
    lead: 'After a shuffle one group of like ranks is short. Which card is it, and which three lead to it?',
    fields: [
      { name: 'rank', label: 'The short rank', kind: 'rank' },
      { name: 'suits', label: 'Suits that are there', kind: 'suits', optional: true },
    ],
    reckon: (values, { now }) =>
      reckonShortGroup(now, num(values, 'rank') as Rank, list(values, 'suits') as readonly Suit[]),
  },
  {
    path: 'key-card',
    lead: 'The next bank card in front of the key leads to the selection. How sure is that?',
    fields: [
      card('key', 'The key card'),
      number('riffles', 'Riffles', { start: 1, most: 5 }),
      number('spread', 'Stops spread about the middle by', { setup: true, start: 6 }),
    ],
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
    fields: [card('card', 'The card'), { name: 'counts', label: 'Counted in each round', kind: 'numbers' }],
    reckon: (values, { now }) => reckonDealtBack(now, num(values, 'card'), list(values, 'counts')),
  },
];
