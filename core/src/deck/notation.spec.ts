import fc from 'fast-check';
import { Card, colourOf, FULL_PACK, mateOf, rankOf, suitOf } from './card';
import {
  formatCard,
  isCardBegun,
  parseCard,
  parseRank,
  parseSuit,
  showCard,
  speakCard,
  whyNotCard,
} from './notation';

const anyCard = fc.integer({ min: 0, max: 107 });
const CARDS = Array.from({ length: 108 }, (_, card) => card);

/** The Unicode card characters as the standard's own table lists them, knights left out. */
const UNICODE_ROWS = ['🂡🂢🂣🂤🂥🂦🂧🂨🂩🂪🂫🂭🂮', '🂱🂲🂳🂴🂵🂶🂷🂸🂹🂺🂻🂽🂾', '🃁🃂🃃🃄🃅🃆🃇🃈🃉🃊🃋🃍🃎', '🃑🃒🃓🃔🃕🃖🃗🃘🃙🃚🃛🃝🃞'];

test('every card is read back from its short name and from the name people read', () => {
  for (const card of CARDS) {
    expect(parseCard(formatCard(card))).toBe(card);
    expect(parseCard(showCard(card))).toBe(card);
  }
  expect(new Set(CARDS.map(formatCard)).size).toBe(108);
});

test.each([
  ['7D', '7d', '7♦', '7♢', ' 7♦️ ', '🃇', '7 D', '7 of diamonds', 'seven of Diamonds', '7 diamond', '"7D"'],
  ['TH', '10h', '10H', 'th', '10♥', '🂺', '10  ♥️', 'ten hearts', '“10H”'],
  ['AS', 'as', 'A♠', '🂡'],
  ['QC', 'qc', 'q♣', '🃝'],
  ['X1', 'x1', '🃏'],
  ['X2', 'x2', '🂿', '🃟'],
  ['7D*', '7d*', '7♦²', '7♦️²', '🃇²'],
])('%s is read in every usual way', (name, ...ways) => {
  for (const way of ways) expect(formatCard(parseCard(way) as Card)).toBe(name);
});

test('all Unicode card characters are read in suit and rank order', () => {
  const read = UNICODE_ROWS.map((row) => [...row].map((character) => parseCard(character) as Card));
  read.forEach((cards, row) => {
    expect(cards.map(rankOf)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13]);
    expect(new Set(cards.map(suitOf))).toEqual(new Set([[3, 2, 1, 0][row]]));
  });
});

test.each([
  '',
  '11H',
  '1H',
  'H',
  '7',
  '7DD',
  '0C',
  'X3',
  'X',
  '🂬',
  '🂠',
  'seven',
  'seven of',
  '7 of',
  '17 of hearts',
  '7 heartsy',
  '7D 8D',
  'é♦',
  '*',
  '7*',
  '7D**',
])('“%s” is not a card', (text) => expect(parseCard(text)).toBeUndefined());

test('reading never fails on any text, and only reads what it can write', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme' }), (text) => {
      const card = parseCard(text);
      expect(card === undefined || parseCard(formatCard(card)) === card).toBe(true);
    }),
  );
});

test('a wrong card is told what would be right', () => {
  expect(whyNotCard('11H')).toContain('Ranks are');
  expect(whyNotCard('1H')).toContain('ace is written A');
  expect(whyNotCard('7')).toContain('suit is missing');
  for (const text of ['D7', 'd10', 'DT']) expect(whyNotCard(text)).toMatch(/The rank comes first: [7T]D\./);
  expect(whyNotCard('1X')).not.toContain('comes first');
  expect(whyNotCard('7Q')).toContain('Suits are');
  expect(whyNotCard('hello')).toContain('rank and a suit');
});

test('ranks and suits are read alone', () => {
  expect(['a', '10', 'T', 'k', '1', '11'].map(parseRank)).toEqual([1, 10, 10, 13, undefined, undefined]);
  expect(['c', '♦', 'H', '♤', 'x', ''].map(parseSuit)).toEqual([0, 1, 2, 3, undefined, undefined]);
});

test('cards are spoken', () => {
  expect(['7D', 'AS', 'TH', 'X1'].map((name) => speakCard(parseCard(name) as Card))).toEqual([
    'seven of diamonds',
    'ace of spades',
    'ten of hearts',
    'first joker',
  ]);
});

test('a mate is another card of the same rank and colour, and its mate is the card again', () => {
  fc.assert(
    fc.property(anyCard, (card) => {
      const mate = mateOf(card);
      expect(mate).not.toBe(card);
      expect(mateOf(mate)).toBe(card);
      expect([rankOf(mate), colourOf(mate)]).toEqual([rankOf(card), colourOf(card)]);
    }),
  );
});

test('a card in words is begun by each of its beginnings, and by nothing else', () => {
  for (let card = 0; card < FULL_PACK; card++) {
    const rank = formatCard(card).charAt(0);
    const spoken = speakCard(card);
    for (const text of [spoken, spoken.replace(' of', ''), spoken.replace(/^\w+/, rank)])
      for (let length = 1; length < text.length; length++) {
        const start = text.slice(0, length);
        if (length > 1) expect([start, isCardBegun(start)]).toEqual([start, true]);
      }
  }
  for (const text of ['seb', 'seven or', 'seven of x', 'zero of c', 'D7', '17 of', 'ace of spadess', '7D 1'])
    expect([text, isCardBegun(text)]).toEqual([text, false]);
});
