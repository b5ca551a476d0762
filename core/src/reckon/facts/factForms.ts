import { Card, Rank } from '../../deck/card';
import { Form, Values } from '../../form/field';
import { cardField, maybe, num } from '../../form/fields';
import { Fact } from './fact';

/** How a kind of fact is told: its name, what must be told, and the fact that it makes. */
export interface FactForm extends Form {
  readonly kind: string;
  readonly name: string;
  make(values: Values): Fact;
}

export const FACT_FORMS: readonly FactForm[] = [
  { kind: 'cut', name: 'the pack was cut somewhere', fields: [], make: () => ({ kind: 'cut' }) },
  {
    kind: 'face',
    name: 'the face card',
    fields: [cardField('card', 'At the face', 'Which card is at the face?')],
    make: (values) => ({ kind: 'seen', at: 'face', card: num(values, 'card') }),
  },
  {
    kind: 'top',
    name: 'the top card',
    fields: [cardField('card', 'On top', 'Which card is on top?')],
    make: (values) => ({ kind: 'seen', at: 'top', card: num(values, 'card') }),
  },
  {
    kind: 'place',
    name: 'the card at a place',
    fields: [
      { name: 'at', label: 'Place', asks: 'At which place?', kind: 'number' },
      cardField('card', 'The card there', 'Which card lies there?'),
    ],
    make: (values) => ({ kind: 'seen', at: num(values, 'at'), card: num(values, 'card') }),
  },
  {
    kind: 'lift',
    name: 'a packet lifted: its face or its size',
    fields: [
      cardField('face', 'At its face', 'Which card is at its face?', { optional: true }),
      {
        name: 'from',
        label: 'Cards, from',
        asks: 'How many cards at least?',
        kind: 'number',
        optional: true,
      },
      { name: 'to', label: 'to', asks: 'How many cards at most?', kind: 'number', optional: true },
    ],
    make: (values) => {
      const [face, from] = [maybe(values, 'face'), maybe(values, 'from')];
      const to = maybe(values, 'to') ?? from;
      return {
        kind: 'lift',
        ...(face === undefined ? {} : { face }),
        ...(from === undefined || to === undefined ? {} : { size: [from, to] as const }),
      };
    },
  },
  {
    kind: 'cuts',
    name: 'two cuts, the second deeper',
    fields: [
      cardField('first', 'At the first cut', 'Which card was at the first cut?'),
      cardField('second', 'At the deeper cut', 'Which card was at the deeper cut?'),
    ],
    make: (values) => ({ kind: 'cuts', first: num(values, 'first'), second: num(values, 'second') }),
  },
  {
    kind: 'next ranks',
    name: 'the next two ranks at a cut',
    fields: [
      { name: 'first', label: 'The next rank', asks: 'What is the next rank?', kind: 'rank' },
      { name: 'second', label: 'And the one after', asks: 'What is the rank after it?', kind: 'rank' },
    ],
    make: (values) => ({
      kind: 'next ranks',
      first: num(values, 'first') as Rank,
      second: num(values, 'second') as Rank,
    }),
  },
  {
    kind: 'dealt',
    name: 'cards dealt and dropped back, counted',
    fields: [{ name: 'count', label: 'Cards dealt', asks: 'How many cards were dealt?', kind: 'number' }],
    make: (values) => ({ kind: 'dealt', count: num(values, 'count') }),
  },
  {
    kind: 'taken',
    name: 'cards taken out unseen',
    fields: [
      {
        name: 'count',
        label: 'How many (1 or 2)',
        asks: 'How many cards were taken?',
        kind: 'number',
        most: 2,
        start: 1,
      },
    ],
    make: (values) => ({ kind: 'taken', count: num(values, 'count') as 1 | 2 }),
  },
  {
    kind: 'missing',
    name: 'a card that is out',
    fields: [cardField('card', 'The card', 'Which card is out?')],
    make: (values) => ({ kind: 'missing', card: num(values, 'card') }),
  },
  {
    kind: 'gap',
    name: 'the cards on both sides of a gap',
    fields: [
      cardField('above', 'Above the gap', 'Which card lies above the gap?'),
      cardField('below', 'Below the gap', 'Which card lies below the gap?'),
      {
        name: 'count',
        label: 'Cards taken',
        asks: 'How many cards were taken?',
        kind: 'number',
        most: 9,
        start: 1,
      },
    ],
    make: (values) => ({
      kind: 'gap',
      above: num(values, 'above'),
      below: num(values, 'below'),
      count: num(values, 'count'),
    }),
  },
  {
    kind: 'row',
    name: 'a row of cards side by side',
    fields: [
      { name: 'cards', label: 'The row, top first', asks: 'Which cards lie side by side?', kind: 'cards' },
    ],
    make: (values) => ({ kind: 'row', cards: values['cards'] as readonly Card[] }),
  },
  {
    kind: 'short group',
    name: 'a group of one rank is one card short',
    fields: [{ name: 'rank', label: 'The rank', asks: 'Which rank is short?', kind: 'rank' }],
    make: (values) => ({ kind: 'short group', rank: num(values, 'rank') as Rank }),
  },
  {
    kind: 'heap',
    name: 'the heap of a card thought of',
    fields: [
      {
        name: 'heaps',
        label: 'Heaps dealt',
        asks: 'How many heaps were dealt?',
        kind: 'number',
        least: 2,
        most: 13,
        start: 4,
      },
      {
        name: 'heap',
        label: 'It fell to heap',
        asks: 'In which heap did it fall?',
        kind: 'number',
        most: 13,
      },
      {
        name: 'gather',
        label: 'Gathered, top heap first',
        asks: 'In which order were the heaps gathered?',
        kind: 'numbers',
        optional: true,
      },
    ],
    make: (values) => ({
      kind: 'heap',
      heaps: num(values, 'heaps'),
      heap: num(values, 'heap'),
      ...(values['gather'] === undefined ? {} : { gather: values['gather'] as readonly number[] }),
    }),
  },
];
