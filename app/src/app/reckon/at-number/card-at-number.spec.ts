import { TestBed } from '@angular/core/testing';
import { parseCard, placeOf } from '@enumeron/core/deck';
import { handlings } from '@enumeron/core/reckon';
import { freshApp } from '../../../testing/fresh';
import { render, Rendered } from '../../../testing/render';
import { RailMarks } from '../../nouns/pack/marks';
import { PackStore } from '../../nouns/pack/pack.store';
import { WantedStore } from '../../nouns/pack/wanted.store';
import { CardAtNumber } from './card-at-number';

const card = (name: string): number => parseCard(name) as number;

let room: Rendered<CardAtNumber>;
let pack: PackStore;
let wanted: WantedStore;

beforeEach(async () => {
  await freshApp();
  pack = TestBed.inject(PackStore);
  wanted = TestBed.inject(WantedStore);
  room = await render(CardAtNumber);
});

const demonstrate = async (): Promise<void> => {
  await pack.see({ at: 'face', card: card('KH') });
  await wanted.want({ card: card('7D'), number: 15 });
  await room.fixture.whenStable();
};

const facts = (): Record<string, string> =>
  Object.fromEntries(
    room.all('.facts div').map((row) => {
      const [words, value] = [...row.children].map((cell) => cell.textContent.replace(/\s+/g, ' ').trim());
      return [words, value];
    }),
  );

test('before anything is told it asks for a card and a number', async () => {
  expect(room.find('section').textContent).toContain('Name a card and a number.');
  await wanted.want({ card: card('7D') });
  await room.fixture.whenStable();
  expect(room.find('section').textContent).toMatch(/lies at 20. Name a number/);
});

test('what is known follows from what was seen', async () => {
  await demonstrate();
  expect(facts()).toMatchObject({
    'Cut at': '3',
    'On top': '9♦nine of diamonds, stack number 4',
    'At the face': 'K♥king of hearts, stack number 3',
    '7♦seven of diamonds lies at': '17',
    '… from the face': '36',
    'At 15 now': 'J♠jack of spades, stack number 18',
  });
  expect(room.all('en-hand-sum .amount').map((each) => each.textContent)).toEqual([
    '20',
    '−3',
    '17',
    '−15',
    '2',
  ]);
});

test('the answer is the best way, and another can be chosen', async () => {
  await demonstrate();
  expect(room.find('.says').textContent).toContain('Move 2 cards from top to bottom');
  expect(room.all('.ways li')).toHaveLength(3);
  await room.click('more ways');
  expect(room.all('.ways li')).toHaveLength(handlings(pack.now(), card('7D'), 15).length);
  await room.click('Let them arrive at 36');
  expect(room.find('.says').textContent).toContain('Let them arrive at 36');
  expect(room.all('.answer button')).toHaveLength(0);
});

test('done turns the pack, and the answer follows', async () => {
  await demonstrate();
  await room.click('Done');
  expect(pack.offset()).toBe(5);
  expect(placeOf(pack.now(), card('7D'))).toBe(15);
  await room.fixture.whenStable();
  expect(room.find('.says').textContent).toContain('Leave the pack as it is');
});

test('the rail is marked: the card, the number, what was seen; and no longer once the room is left', async () => {
  const { marks } = TestBed.inject(RailMarks);
  await demonstrate();
  expect([...marks()]).toEqual([
    [17, ['wanted']],
    [15, ['number']],
    [52, ['seen']],
  ]);
  await pack.apply({ kind: 'cut', count: 2 });
  await room.fixture.whenStable();
  expect([...marks()]).toEqual([[15, ['wanted', 'number']]]);
  room.fixture.destroy();
  expect(marks().size).toBe(0);
});

test('the pad fills what is lit, and goes on from the face to the card', async () => {
  expect(room.text()).toContain('Tap the card you saw at the face');
  await room.click('king of hearts');
  await room.fixture.whenStable();
  expect(pack.offset()).toBe(3);
  expect(room.text()).toContain('Tap the card they named');
  await room.click('seven of diamonds');
  await room.fixture.whenStable();
  expect(wanted.card()).toBe(card('7D'));
});

test('a pack out of step is said to be, and has a place but no sum from the stack', async () => {
  await pack.apply({ kind: 'deal', count: 9 });
  await wanted.want({ card: card('7D') });
  await room.fixture.whenStable();
  expect(facts()['Cut at']).toBe('out of step');
  expect(room.all('en-hand-sum li')).toHaveLength(1);
});

test('a number beyond a smaller pack is told', async () => {
  await wanted.want({ card: card('KH'), number: 40 });
  await pack.use({
    id: 'short',
    name: 'Short',
    cards: pack.home().slice(0, 20),
    sample: false,
    made: 0,
    changed: 0,
  });
  await room.fixture.whenStable();
  expect(room.find('section').textContent).toContain('The pack has 20 cards. Name a number from 1 to 20.');
  await wanted.want({ card: card('KD') });
  await room.fixture.whenStable();
  expect(room.text()).toContain('is not in this pack. Name another card.');
});
