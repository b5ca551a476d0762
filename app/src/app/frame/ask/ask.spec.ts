import { formatCard, parseCard } from '@enumeron/core/deck';
import { cut, deal } from '@enumeron/core/moves';
import { ALL_HANDLINGS, describeHandling, handlings, toleratedFirst } from '@enumeron/core/reckon';
import { Fact } from '@enumeron/core/reckon/facts';
import { sampleOrders } from '../../nouns/orders/sample';
import { ask, WORDS } from './ask';
import { Asked } from './reply';

const home = sampleOrders()[0].cards;
const turned: Asked = { home, now: cut(home, 3), tolerance: ALL_HANDLINGS, beside: 'Nine-five wheel' };
const card = (name: string): number => parseCard(name) as number;

test('a card is found, a place is looked up', () => {
  expect(ask('7d', turned)).toMatchObject({
    intent: { do: 'find', card: card('7D') },
    says: '7♦ lies at 17',
    note: 'from the face 36, stack number 20',
  });
  expect(ask(' 15 ', turned)).toMatchObject({ intent: { do: 'look', number: 15 }, says: 'J♠ lies at 15' });
});

test.each([
  ...['7D 15', '7♦ 15', '15 7d', '  7d   15 ', '7 of diamonds 15', '15 7 D'],
  ...['7D at 15', 'bring 7D to 15', 'bring the 7 of diamonds to 15'],
])('“%s” wants a card at a number', (text) => {
  expect(ask(text, turned)).toMatchObject({
    intent: { do: 'want', card: card('7D'), number: 15 },
    says: 'Move 2 cards from top to bottom',
  });
});

test('where a card is may be asked in words', () => {
  for (const text of ['where is 7D', 'where is the 7 of diamonds', 'where 7D lies'])
    expect(ask(text, turned).intent).toEqual({ do: 'find', card: card('7D') });
});

test('every card and number is answered with the best handling that the performer is happy with', () => {
  const plainOnly = { shift: 4, turnTheNext: false, fromTheFace: false, cut: true, hold: false };
  for (const tolerance of [ALL_HANDLINGS, plainOnly])
    for (const wanted of home)
      for (const number of [1, 26, 52]) {
        const [best] = toleratedFirst(handlings(turned.now, wanted, number), tolerance);
        expect(ask(`${formatCard(wanted)} ${number}`, { ...turned, tolerance }).says).toBe(
          describeHandling(best),
        );
      }
});

test('what was seen turns the pack, also from a pack out of step', () => {
  expect(ask('face kh', turned)).toMatchObject({
    intent: { do: 'see', at: 'face', card: card('KH') },
    note: 'in the home order, cut at 3',
  });
  const dealt: Asked = { home, now: deal(home, 10), tolerance: ALL_HANDLINGS };
  expect(ask('top 9D', dealt)).toMatchObject({ intent: { do: 'see', at: 'top', card: card('9D') } });
});

test('any move, as it is written in a recipe', () => {
  expect(ask('reverse 5 20', turned).intent).toEqual({
    do: 'move',
    move: { kind: 'reverse packet', from: 5, to: 20 },
  });
  expect(ask('unweave out', turned)).toMatchObject({
    intent: { do: 'move' },
    says: expect.stringContaining('Jog out') as string,
  });
  expect(ask('take 5', turned).intent).toMatchObject({ do: 'move', move: { kind: 'take', place: 5 } });
  expect(ask('heaps 99', turned).problem).toContain('more than the pack has');
  expect(ask('reverse', turned).hint).toContain('reverse 5 20: ');
  expect(ask('reverse 9 4', turned).problem).toContain('is not a move');
  expect(ask('7 of', turned).hint).toContain('suit');
  expect(ask('7 of hearts', turned).intent).toMatchObject({ do: 'find' });
});

test('moves, undo and rooms', () => {
  expect(ask('cut 12', turned).intent).toEqual({ do: 'move', move: { kind: 'cut', count: 12 } });
  expect(ask('deal 9', turned).intent).toEqual({ do: 'move', move: { kind: 'deal', count: 9 } });
  expect(ask('out', turned).intent).toEqual({ do: 'move', move: { kind: 'weave', weave: 'out' } });
  expect(ask('undo', turned).intent).toEqual({ do: 'undo' });
  expect(ask('Reckon', turned).intent).toMatchObject({ do: 'go', room: { path: 'reckon' } });
});

test('completions go on from what is typed', () => {
  const texts = (text: string): string[] =>
    ask(text, turned).completions.map((completion) => completion.text);
  expect(texts('7')).toEqual(['7C', '7D', '7H', '7S']);
  expect(texts('1')).toEqual(['TC', 'TD', 'TH', 'TS']);
  expect(texts('fa')).toEqual(['face ', 'false shuffle', 'faro']);
  expect(texts('face k')).toEqual(['face KC', 'face KD', 'face KH', 'face KS']);
  expect(texts('re').slice(0, 4)).toEqual(['redo', 'reckon', 'rehearse', 'record']);
  expect(texts('')).toEqual(['face ', 'cut ', 'in', 'help']);
});

test('each completion leads somewhere', () => {
  for (const start of ['7', 'k', 'f', 'to', 'c', 'd', 'u', 'a', '15 q'])
    for (const { text } of ask(start, turned).completions) expect(ask(text, turned).problem).toBeUndefined();
  for (const { usage } of WORDS) expect(ask(usage, turned).intent).toBeDefined();
});

test.each<[string, Fact]>([
  ['lift 9s', { kind: 'lift', face: card('9S') }],
  ['cuts jh 2d', { kind: 'cuts', first: card('JH'), second: card('2D') }],
  ['missing 4c', { kind: 'missing', card: card('4C') }],
  ['gap 3h 9d', { kind: 'gap', above: card('3H'), below: card('9D'), count: 1 }],
  ['gap top 9d', { kind: 'gap', above: card('KH'), below: card('9D'), count: 1 }],
  ['gap kh face', { kind: 'gap', above: card('KH'), below: card('9D'), count: 1 }],
  ['heap 2 of 3', { kind: 'heap', heaps: 3, heap: 2 }],
  ['heap 2 of 3 gathered 2 1 3', { kind: 'heap', heaps: 3, heap: 2, gather: [2, 1, 3] }],
  ['next 4 10', { kind: 'next ranks', first: 4, second: 10 }],
  ['short 7', { kind: 'short group', rank: 7 }],
  ['somewhere', { kind: 'cut' }],
])('“%s” tells a fact', (text, fact) => {
  expect(ask(text, turned).intent).toEqual({ do: 'tell', fact });
  expect(ask(text.split(' ')[0], turned).problem).toBeUndefined();
});

test('a fact goes on from what is typed, and says what is wrong with it', () => {
  expect(ask('cuts jh 2', turned).completions.map(({ text }) => text)).toContain('cuts jh 2D');
  expect(ask('lift', turned).hint).toContain('packet');
  expect(ask('cuts jh', turned).hint).toContain('deeper');
  for (const [text, says] of [
    ['lift 9x', 'A card goes there'],
    ['lift 9s 8s', 'is enough'],
    ['missing x1', 'not in this pack'],
    ['next 4 11', 'not a rank'],
    ['next 4 5 6', 'Two ranks'],
    ['short 1', 'not a rank'],
    ['heap 4 of 3', 'heap'],
    ['heap 2 of 3 gathered 2 1', 'gather'],
    ['heap x of three', 'Write heap 2 of 3'],
    ['somewhere 3', 'Nothing goes after'],
    ['riffled 9', '1 to 5'],
  ])
    expect(ask(text, turned).problem).toContain(says);
  expect(ask('riffled 2', turned).intent).toEqual({ do: 'riffled', riffles: 2 });
  expect(ask('riffled', turned).hint).toContain('1 to 5');
});

test('there is nothing to swap without a second pack', () => {
  expect(ask('swap', turned).says).toBe('Take Nine-five wheel in hand');
  expect(ask('swap', { home, now: home, tolerance: ALL_HANDLINGS }).problem).toContain(
    'There is no second pack',
  );
});

test.each(['odds', 'cut and gather', 'busy row', 'how you learn', 'settings'])(
  '“%s” opens a page',
  (text) => {
    expect(ask(text, turned).intent).toMatchObject({ do: 'open' });
  },
);

test.each(['recorder', 'mates', 'wings', 'asdf'])('“%s” is not told to be a bad card', (text) => {
  expect(ask(text, turned).problem).toContain('I don’t know');
});

test.each([
  ['11H', 'Ranks are A, 2 to 10'],
  ['x1', 'X1 is not in this pack'],
  ['53', 'from 1 to 52'],
  ['0', 'from 1 to 52'],
  ['7D 53', 'from 1 to 52'],
  ['7D x', 'is not a number'],
  ['11 of hearts', 'Ranks are A, 2 to 10'],
  ['cut 99', 'cut takes 1 to 52'],
  ['cut x', 'not a count of cards'],
  ['cut 1 2', 'One number after cut'],
  ['face 7Q', 'A card goes there'],
  ['face 11H', 'Ranks are'],
  ['face down', 'I don’t know “down”'],
  ['face 7D 8D', 'One card after face'],
  ['undo 3', 'Nothing goes after undo'],
  ['7D 8D 9D', 'more than one question'],
  ['hello', 'or help'],
  ['<script>', 'or help'],
])('“%s” is told what is wrong', (text, message) => {
  const reply = ask(text, turned);
  expect(reply.intent).toBeUndefined();
  expect(reply.problem).toContain(message);
});
