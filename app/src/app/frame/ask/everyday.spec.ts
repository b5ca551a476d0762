import { parseCard } from '@enumeron/core/deck';
import { cut } from '@enumeron/core/moves';
import { ALL_HANDLINGS } from '@enumeron/core/reckon';
import { sampleOrders } from '../../nouns/orders/sample';
import { PLACES } from '../../rooms';
import * as glossary from '../help/glossary';
import { ask, WORDS } from './ask';
import { pageCalled } from './ask-pages';
import { inShort } from './everyday';
import { Asked } from './reply';

const home = sampleOrders()[0].cards;
const asked: Asked = { home, now: cut(home, 3), tolerance: ALL_HANDLINGS, beside: 'Twin harbours', glossary };
const SEVEN = parseCard('7D') as number;

const find = { do: 'find', card: SEVEN };
const want = { do: 'want', card: SEVEN, number: 15 };
const look = { do: 'look', number: 15 };
const see = { do: 'see', at: 'face', card: parseCard('KH') };
const go = (path: string) => ({ do: 'go', room: { path } });
const open = (path: string) => ({ do: 'open', way: { path } });
const settings = { do: 'open', room: { path: 'settings' } };
const tell = (find: string) => ({ do: 'help', find });
const move = (kind: string) => ({ do: 'move', move: { kind } });

/** What people type, and what is done. */
const TYPED: readonly (readonly [string, object])[] = [
  ['7D', find],
  ['seven of diamonds', find],
  ['the seven of diamonds', find],
  ['where is the 7 of diamonds?', find],
  ['where’s my seven of diamonds', find],
  ['find 7d', find],
  ['show me the 7D', find],
  ['7D at 15', want],
  ['7D to 15', want],
  ['7D, 15', want],
  ['put 7D at 15', want],
  ['bring the seven of diamonds to fifteen', want],
  ['they name 7D and 15', want],
  ['15th 7D', want],
  ['15', look],
  ['fifteen', look],
  ['what lies at 15?', look],
  ['card at 15', look],
  ['which card is 15th', look],
  ['what is the 15th card', look],
  ['KH at the face', see],
  ['I saw KH on the bottom', see],
  ['bottom card is the king of hearts', see],
  ['face is KH', see],
  ['cut 12', move('cut')],
  ['cut 12 cards', move('cut')],
  ['cut off 12', move('cut')],
  ['cut the pack at 12', move('cut')],
  ['deal 9 cards', move('deal')],
  ['out weave', move('weave')],
  ['in faro', move('weave')],
  ['out shuffle', move('weave')],
  ['glimpsed KH', see],
  ['bring 7D to the top', { do: 'want', card: SEVEN, number: 1 }],
  ['put the seven of diamonds on top', { do: 'want', card: SEVEN, number: 1 }],
  ['7D@15', want],
  ['undo', { do: 'undo' }],
  ['undo that', { do: 'undo' }],
  ['go back', { do: 'undo' }],
  ['oops', { do: 'undo' }],
  ['redo', { do: 'redo' }],
  ['other pack', { do: 'swap' }],
  ['?', { do: 'help' }],
  ['help', { do: 'help' }],
  ['help me', { do: 'help' }],
  ['how does this work?', { do: 'help' }],
  ['what can I do here', { do: 'help' }],
  ['keyboard', { do: 'help' }],
  ['help faro', tell('weave')],
  ['settings', settings],
  ['backup', settings],
  ['dark mode', settings],
  ['export', settings],
  ['open the settings', settings],
  ['faro', go('weave')],
  ['shuffle', go('weave')],
  ['go to learn', go('learn')],
  ['learn my order', go('learn')],
  ['print my order', go('arrange')],
  ['routines', go('rehearse')],
  ['print', go('arrange')],
  ['sorting', go('arrange')],
  ['practice', open('practise')],
  ['practise', open('practise')],
  ['drill', open('practise')],
  ['test me', open('practise')],
  ['arithmetic', open('sums')],
  ['progress', open('standing')],
  ['odds', open('odds')],
  ['what are the odds?', tell('odds')],
  ['probability', open('odds')],
  ['false shuffle', open('gather')],
  ['two cuts', open('two-cuts')],
  ['what is a gap', tell('gap')],
  ['what does seam mean?', tell('seam')],
  ['mates', tell('mate')],
  ['glimpse', tell('glimpse')],
  ['who is the helper', tell('helper')],
  ['indifferent cards', tell('indifferent card')],
];

test('seventy ordinary words and sentences at least are tried', () => {
  expect(new Set(TYPED.map(([text]) => text)).size).toBeGreaterThanOrEqual(70);
});

test.each(TYPED)('“%s” is understood', (text, intent) => {
  expect(ask(text, asked).intent).toMatchObject(intent);
});

test.each([
  'asdf',
  'wings',
  'recorder',
  'odd',
  'hello there',
  'what is love',
  'diamonds',
  'cards',
  '<script>',
  '7Q',
  'é',
])('“%s” is no bad card: what is not known is said to be so, or goes on', (text) => {
  const { intent, problem, completions } = ask(text, asked);
  expect(intent).toBeUndefined();
  expect(problem ?? '').not.toContain('is not a card');
  if (problem !== undefined) expect(problem).toContain('I don’t know');
  else expect(completions.length).toBeGreaterThan(0);
});

test('ranks in words go on to cards, and two moves at once are not half done', () => {
  for (const rank of ['ace', 'king', 'queen', 'jack', 'seven'])
    expect(ask(rank, asked).completions.length).toBeGreaterThanOrEqual(4);
  for (const several of ['in in out', 'out in', 'cut 3 cut 4'])
    expect(ask(several, asked).intent).toBeUndefined();
});

test('what is written much like a page or a room offers it, and Enter on a guess is not pressed for anybody', () => {
  expect(ask('setings', asked)).toMatchObject({
    problem: expect.any(String) as string,
    completions: [{ says: 'open Settings and data' }],
  });
  expect(ask('rehearce', asked).completions[0].says).toBe('open Rehearse');
});

test('every word of the glossary is told or opens a page, and its page opens', () => {
  for (const { names, page } of glossary.TERMS) {
    for (const name of names) {
      const { intent, completions } = ask(name, asked);
      const tells = (name: object | undefined): boolean =>
        (name as { do?: string } | undefined)?.do === 'help';
      const told = tells(intent) || completions.some((each) => tells(each.intent));
      expect([name, told]).toEqual([name, true]);
    }
    if (page !== undefined) expect([page, ask(page, asked).intent !== undefined]).toEqual([page, true]);
  }
});

test('a word that a page is also called by hides no other word', () => {
  const words = new Set([...WORDS.map(({ word }) => word), ...PLACES.map(({ name }) => name.toLowerCase())]);
  const also = PLACES.flatMap((place) => [
    ...(place.also ?? []),
    ...[...place.pages, ...(place.ways ?? [])].flatMap((page) => page.also ?? []),
  ]);
  expect(new Set(also).size).toBe(also.length);
  for (const each of also) {
    expect([each, words.has(each)]).toEqual([each, false]);
    expect(pageCalled(each)?.intent).toBeDefined();
    expect(parseCard(each)).toBeUndefined();
  }
});

test('numbers in words are read, one to fifty-nine', () => {
  expect(['one', 'ten', 'eleven', 'twenty', 'thirty-two', 'fifty-nine'].map(inShort)).toEqual([
    '1',
    '10',
    '11',
    '20',
    '32',
    '59',
  ]);
  expect(inShort('seventy')).toBe('seventy');
});
