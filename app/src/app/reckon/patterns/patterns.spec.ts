import { TestBed } from '@angular/core/testing';
import { Card, cardOf, parseCard, RANKS, showCard, sameOrder } from '@enumeron/core/deck';
import { cut } from '@enumeron/core/moves';
import { parseFact } from '@enumeron/core/reckon/facts';
import { freshApp, until } from '../../../testing/fresh';
import { undone } from '../../../testing/undo';
import { render, Rendered } from '../../../testing/render';
import type { Procedure } from '@enumeron/core/procedure';
import { WORKED } from '@enumeron/core/file/rehearse/worked/worked';
import { Database } from '../../storage/database';
import { PROCEDURES } from '../../nouns/procedures/procedures.kind';
import { OrdersStore } from '../../nouns/orders/orders.store';
import { sampleOrders } from '../../nouns/orders/sample';
import { SettingsStore } from '../../nouns/settings/settings.store';
import { RailGuess } from '../../nouns/pack/rail-guess';
import { FactsStore } from '../../nouns/pack/facts.store';
import { RailMarks } from '../../nouns/pack/marks';
import { Sent, SentStore } from '../../nouns/procedures/sent.store';
import { PackStore } from '../../nouns/pack/pack.store';
import { FACT_FORMS } from '@enumeron/core/reckon/facts';
import { FactsView } from '../facts/facts-view';
import { HandlingMap } from '../at-number/handling-map';
import { MovedView } from './moved-view';
import { PatternView } from './pattern-view';
import { PATTERNS } from '@enumeron/core/reckon/patterns';
import { WAYS } from '../ways/ways';

const [tidemark, , harbours, breakwater] = sampleOrders();
const card = (name: string): Card => parseCard(name) as Card;

let pack: PackStore;
let db: Database;

beforeEach(async () => {
  db = await freshApp();
  pack = TestBed.inject(PackStore);
  await until(() => TestBed.inject(OrdersStore).count() !== undefined);
});

const press = async (rendered: Rendered<unknown>, name: string): Promise<void> => {
  const found = rendered.all('en-card-pad button').find((each) => each.textContent === showCard(card(name)));
  found?.click();
  await rendered.fixture.whenStable();
};
/** The answer as it is seen: without what only a screen reader reads. */
const answer = (rendered: Rendered<unknown>): string => {
  const seen = rendered.find('.answer p').cloneNode(true) as HTMLElement;
  for (const spoken of seen.querySelectorAll('.spoken')) spoken.remove();
  return seen.textContent.replace(/\s+/g, ' ').trim();
};
const open = async (path: string): Promise<Rendered<PatternView>> => {
  // Its bank comes with the order, which is read when it is asked for.
  const orders = TestBed.inject(OrdersStore);
  await until(() => orders.find(pack.pack().orderId) !== undefined);
  return render(PatternView, { path });
};
const fill = async (rendered: Rendered<unknown>, index: number, text: string): Promise<void> => {
  const field = rendered.all('.fields input')[index] as HTMLInputElement;
  field.value = text;
  field.dispatchEvent(new Event('input', { bubbles: true }));
  await rendered.fixture.whenStable();
};

test('every pattern has a name, asks for something, and answers a pack of its kind', () => {
  const other = ['', 'seen', 'shuffled', 'map'];
  expect(PATTERNS.map(({ path }) => path)).toEqual(
    WAYS.map(({ path }) => path).filter((path) => !other.includes(path)),
  );
  for (const pattern of PATTERNS) {
    expect(pattern.fields.some(({ setup }) => !setup)).toBe(true);
    expect(pattern.lead).toMatch(/[.?]$/);
  }
  expect(new Set(FACT_FORMS.map(({ kind }) => kind)).size).toBe(FACT_FORMS.length);
});

describe('a pattern', () => {
  test('asks for what is lacking, field by field, and answers as soon as it can', async () => {
    const rendered = await open('two-cuts');
    expect(answer(rendered)).toBe('Which card was at the first cut?');
    await press(rendered, '9D');
    expect(answer(rendered)).toBe('Which card was at the deeper cut?');
    await press(rendered, 'QS');
    expect(answer(rendered)).toBe('Push off 3 cards: the next says 6');
    const marks = TestBed.inject(RailMarks).marks();
    expect(marks.get(4)).toContain('seen');
    expect(marks.get(7)).toEqual(['face up']);
    await fill(rendered, 3, '7');
    expect(answer(rendered)).toContain('6 is outside 7 to 27: too close together');
    expect(rendered.text()).toContain('Ask for the second cut again, between 11 and 31 cards deep.');
    rendered.fixture.destroy();
    expect(TestBed.inject(RailMarks).marks().size).toBe(0);
  });

  test('Enter goes on to the field that must still be told', async () => {
    const rendered = await open('two-cuts');
    await fill(rendered, 0, '9D');
    rendered
      .all('.fields input')[0]
      .dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
    expect(document.activeElement).toBe(rendered.all('.fields input')[1]);
  });

  test('keeps what was told, and is cleared', async () => {
    const first = await open('gap');
    await press(first, '3H');
    await press(first, '9D');
    expect(answer(first)).toBe('The card is K♥');
    first.fixture.destroy();
    const again = await open('gap');
    expect(answer(again)).toBe('The card is K♥');
    await again.click('Clear');
    expect(answer(again)).toBe('Which card lies above the gap?');
  });

  test('is applied to the pack, and that is one action', async () => {
    const rendered = await open('two-cards');
    await press(rendered, '7D');
    await fill(rendered, 1, '15');
    await fill(rendered, 2, '30');
    expect(answer(rendered)).toContain('claim');
    await rendered.click('Apply to the pack');
    expect(pack.now()[14]).toBe(card('7D'));
    expect(pack.offset()).toBe(5);
  });

  test('takes a card out of the pack and its order where the pattern says so', async () => {
    const rendered = await open('short-group');
    await fill(rendered, 0, '7');
    expect(answer(rendered)).toBe('One of 7♣ 7♦ 7♥ 7♠');
    for (const suit of ['clubs', 'hearts', 'spades']) await rendered.click(suit);
    expect(answer(rendered)).toMatch(/^7♦ is missing; bring/);
    await rendered.click('Apply to the pack');
    expect(pack.size()).toBe(51);
    expect(pack.home()).not.toContain(card('7D'));
  });

  test('that needs a bank says so, and works with one', async () => {
    const bare = await open('packet');
    expect(bare.text()).toContain('Tidemark has no bank.');
    bare.fixture.destroy();
    await pack.use(breakwater);
    const rendered = await open('packet');
    await fill(rendered, 0, '25');
    expect(answer(rendered)).toBe('The card is 5♥');
    await fill(rendered, 0, '12');
    expect(answer(rendered)).toContain('Too small: have them add 9 to 21 more');
    rendered.fixture.destroy();
    const down = await open('count-down');
    await press(down, '10H');
    expect(answer(down)).toBe('The selection lies at 4');
  });

  test('with riffles tells how sure it is, with an interval', async () => {
    await pack.use(breakwater);
    const rendered = await open('key-card');
    await press(rendered, '9H');
    await until(() => rendered.text().includes('times in 100'));
    expect(answer(rendered)).toBe('The next bank card below 9♥, towards the face, is 10♥');
    expect(rendered.all('en-known-list dt').map((each) => each.textContent.trim())).toContain(
      'After 5 riffles',
    );
  });

  test('takes a row of counts, ranks and a number line', async () => {
    const dealt = await open('dealt-back');
    await press(dealt, 'KH');
    await fill(dealt, 1, '9 9');
    expect(answer(dealt)).toBe('K♥ ends at 3');
    dealt.fixture.destroy();
    const ranks = await open('next-ranks');
    await fill(ranks, 0, '4');
    await fill(ranks, 1, '10');
    expect(answer(ranks)).toContain('They hold 14: counting 1 + 4 ends on');
    await fill(ranks, 0, '11');
    expect(ranks.text()).toContain('“11” is not a rank');
    ranks.fixture.destroy();
    const line = await open('number-line');
    // Nothing need be told: the key is at the face, K♦ with stack number 52, and the row begins 18 above it.
    expect(answer(line)).toMatch(/^Call .+, J♠ and on down your order, until they say stop$/);
    await press(line, 'KH');
    await press(line, '7D');
    expect(answer(line)).toBe('Run up a line from 1 to 18; say “stop when you like” from 7 on');
    expect(line.text()).toContain('Stopped from 11 to 18, at most 6 cards move.');
    await TestBed.inject(SettingsStore).tolerate({ shift: 2 });
    await line.fixture.whenStable();
    expect(line.text()).toContain('Stopped from 15 to 18, at most 2 cards move.');
    await fill(line, 2, '15');
    expect(answer(line)).toContain('Move 2 cards from top to bottom');
    line.fixture.destroy();
    const composed = await open('composed-card');
    await press(composed, 'AC');
    expect(answer(composed)).toContain('A♥ lies');
  });
});

describe('a procedure that was sent from Rehearse', () => {
  const worked = (name: string): Procedure => {
    const found = WORKED.find((each) => each.procedure.name === name)?.procedure;
    if (!found) throw new Error(name);
    return found;
  };
  const send = async (name: string, procedure = worked(name)): Promise<Sent> => {
    await db.rows(PROCEDURES).put({ id: 'mine', procedure, at: 1 });
    const store = TestBed.inject(SentStore);
    await until(() => store.isReady());
    store.send('mine', name);
    await until(() => store.of('mine')?.as !== undefined);
    return store.of('mine') as Sent;
  };

  test('is a pattern on the pack as it lies, and goes with its procedure', async () => {
    const { path } = await send('Two cuts and a packet of numbers');
    await pack.apply({ kind: 'cut', count: 20 });
    const rendered = await open(path);
    await press(rendered, showCard(pack.now()[7]));
    await press(rendered, showCard(pack.now()[39]));
    expect(answer(rendered)).toBe('Show the card alone');
    await rendered.click('Clear');
    await press(rendered, showCard(pack.now()[7]));
    await press(rendered, showCard(pack.now()[19]));
    expect(answer(rendered)).toBe('Difference 12');
    expect(TestBed.inject(RailMarks).marks().get(8)).toContain('seen');
    // In this order the cards are the other way about: nothing that they do shows that.
    await rendered.click('Clear');
    await press(rendered, showCard(pack.now()[19]));
    await press(rendered, showCard(pack.now()[7]));
    expect(answer(rendered)).toContain('Nothing that they can do shows that.');
    await rendered.click('Remove it from Reckon');
    await until(() => rendered.text().includes('It is not here any more'));
    expect(await undone()).toBe('remove Two cuts and a packet of numbers from Reckon');
    await until(() => !rendered.text().includes('It is not here any more'));
  });

  test('has the answer that is wanted, of all that it finds', async () => {
    const groups = [...'A23456789TJQK'].flatMap((rank) => [...'CHSD'].map((suit) => rank + suit));
    const { path } = await send('A group that is short', {
      ...{ name: 'A group that is short', packets: { pack: groups }, orders: { groups } },
      steps: [
        { do: 'choose', name: 'lifted', from: 17, to: 36 },
        { do: 'lift', count: 'lifted', from: 'pack', onto: 'hand', by: 'helper' },
        { do: 'see', what: { 'face of': 'hand' }, name: 'glimpsed' },
        { do: 'work out', name: 'theirs', what: { 'stack number of': 'glimpsed', in: 'groups' } },
        {
          ...{ do: 'work out', name: 'named' },
          what: { 'card with stack number': { sum: ['theirs', 1] }, in: 'groups' },
        },
        {
          ...{ do: 'work out', name: 'above' },
          what: { product: [4, { difference: [{ 'rank of': 'named' }, 1] }] },
        },
      ],
    });
    const ranks = RANKS.flatMap((rank) => [0, 1, 2, 3].map((suit) => cardOf(rank, suit as 0)));
    await pack.use({ ...tidemark, id: 'groups', name: 'Groups', cards: ranks });
    const rendered = await render(PatternView, { path });
    await press(rendered, '7D');
    expect(answer(rendered)).toBe('Above 24');
    const answers = rendered.find('.sent select') as HTMLSelectElement;
    answers.value = 'named';
    answers.dispatchEvent(new Event('change'));
    await until(() => answer(rendered) === 'Named 7♥');
  });

  test('says what is wrong when its procedure is changed so that it cannot be one', async () => {
    const { path } = await send('Two cuts and a packet of numbers');
    await db.rows(PROCEDURES).put({ id: 'mine', procedure: { name: 'Bare', steps: [] }, at: 1 });
    const rendered = await open(path);
    await until(() => rendered.text().includes('You see and are told nothing in it.'));
    expect(rendered.all('.fields input')).toHaveLength(0);
  });
});

describe('whatever was seen', () => {
  const tell = async (rendered: Rendered<FactsView>, kind: string): Promise<void> => {
    const select = rendered.find('select') as HTMLSelectElement;
    select.value = kind;
    select.dispatchEvent(new Event('change'));
    await rendered.fixture.whenStable();
  };
  const submit = async (rendered: Rendered<FactsView>): Promise<void> => {
    rendered.find('form').dispatchEvent(new Event('submit'));
    await rendered.fixture.whenStable();
  };

  test('one press a fact; what is settled is taken as the pack', async () => {
    const rendered = await render(FactsView);
    expect(answer(rendered)).toBe('What happened, and what did you see?');
    await tell(rendered, 'cut');
    await submit(rendered);
    expect(answer(rendered)).toBe('Glimpse the face: that settles it');
    await tell(rendered, 'face');
    await press(rendered, 'KH');
    expect(answer(rendered)).toBe('Cards cut 3, face K♥');
    await rendered.click('Apply to the pack');
    expect(sameOrder(pack.now(), cut(tidemark.cards, 3))).toBe(true);
    // The pack lies another way now: what was told is void.
    expect(TestBed.inject(FactsStore).facts()).toEqual([]);
  });

  test('what cannot be true together is shown, and taken back', async () => {
    const rendered = await render(FactsView);
    await tell(rendered, 'face');
    await press(rendered, 'KH');
    expect(answer(rendered)).toContain('does not fit this order');
    expect(rendered.all('.facts .odd')).toHaveLength(1);
    await rendered.click('Take back: K♥ at the face');
    expect(rendered.all('.facts li')).toHaveLength(0);
  });

  test('the rail shows what may lie where, or where one card may lie; few states are listed and one is taken', async () => {
    const rendered = await render(FactsView);
    const rail = TestBed.inject(RailGuess);
    expect(rail.guesses()).toBeUndefined();
    const facts = TestBed.inject(FactsStore);
    await facts.add({ kind: 'cut' });
    await rendered.fixture.whenStable();
    // Any card may lie at any place.
    expect(rail.guesses()?.slots.map(({ below }) => below)).toEqual(Array(52).fill('52'));
    expect(rail.guesses()?.slots[0].label).toContain('place 1, one of 52 cards');
    await facts.add({ kind: 'taken', count: 1 });
    await facts.add({ kind: 'row', cards: [tidemark.cards[3], tidemark.cards[5]] });
    await facts.add({ kind: 'seen', at: 3, card: tidemark.cards[5] });
    await rendered.fixture.whenStable();
    expect(answer(rendered)).toContain('out Q♣');
    await facts.clear();
    await facts.add({ kind: 'lift', size: [20, 22] });
    await rendered.fixture.whenStable();
    expect(rendered.all('.states li').map((each) => each.textContent)).toHaveLength(3);
    expect(rendered.find('.states li').textContent).toContain('Cards lifted 20');
    await facts.clear();
    await facts.add({ kind: 'cut' });
    await facts.add({ kind: 'seen', at: 'face', card: card('KH') });
    await rendered.fixture.whenStable();
    const look = rendered.all('.known en-entry-field input')[0] as HTMLInputElement;
    look.value = '7D';
    look.dispatchEvent(new Event('input', { bubbles: true }));
    await rendered.fixture.whenStable();
    const slots = rail.guesses()?.slots ?? [];
    expect(slots.map(({ below }) => below).join('')).toBe('100');
    expect(slots[16].label).toBe('place 17, seven of diamonds 100 %');
    expect(slots[0].label).toContain('cannot lie here');
    rendered.fixture.destroy();
    expect(rail.guesses()).toBeUndefined();
  });

  test('a form asks for all that it needs before it adds', async () => {
    const rendered = await render(FactsView);
    await tell(rendered, 'cuts');
    await submit(rendered);
    expect(TestBed.inject(FactsStore).facts()).toEqual([]);
    expect(document.activeElement).toBe(rendered.all('.fields input')[0]);
    await submit(rendered);
    await until(() => document.body.textContent.includes('Which card was at the first cut?'));
    await press(rendered, '9D');
    await press(rendered, '6D');
    await submit(rendered);
    expect(answer(rendered)).toBe('First cut 4, second cut 9, face K♦');
    await tell(rendered, 'lift');
    await fill(rendered, 1, '20');
    await submit(rendered);
    expect(TestBed.inject(FactsStore).facts()[1]).toEqual({ kind: 'lift', size: [20, 20] });
    await rendered.click('Take all back');
    expect(answer(rendered)).toBe('What happened, and what did you see?');
  });

  test('a cut that was not told is put before the rest by one press', async () => {
    const rendered = await render(FactsView);
    await tell(rendered, 'face');
    await press(rendered, 'KH');
    expect(answer(rendered)).toBe('“K♥ at the face” does not fit this order');
    await rendered.click('It was cut first');
    expect(answer(rendered)).toBe('Cards cut 3, face K♥');
    expect(await undone()).toBe('tell that the pack was cut first');
    await until(() => TestBed.inject(FactsStore).facts().length === 1);
  });

  test('every form makes a fact that is stored and read back', async () => {
    const facts = TestBed.inject(FactsStore);
    const values = {
      ...{ card: card('7D'), at: 20, face: card('9S'), from: 3, to: 9, first: 4, second: 10, count: 1 },
      ...{
        above: card('3H'),
        below: card('9D'),
        cards: [card('AC'), card('3H')],
        rank: 7,
        heaps: 4,
        heap: 2,
      },
    };
    for (const form of FACT_FORMS) {
      const fact = form.make(values);
      expect(parseFact(fact)).toEqual({ ok: true, fact });
      if (facts.facts().length < 12) expect(await facts.add(fact)).toBe(true);
    }
    expect(await facts.add({ kind: 'cut' })).toBe(false);
    await facts.clear();
    expect(facts.facts()).toEqual([]);
  });

  test('what is typed while a fact is being stored is kept for the next one', async () => {
    const rendered = await render(FactsView);
    await tell(rendered, 'lift');
    await fill(rendered, 1, '20');
    rendered.find('form').dispatchEvent(new Event('submit'));
    const typing = fill(rendered, 1, '30');
    await typing;
    await submit(rendered);
    expect(TestBed.inject(FactsStore).facts()).toEqual([
      { kind: 'lift', size: [20, 20] },
      { kind: 'lift', size: [30, 30] },
    ]);
  });

  test('the fact that is one too many is refused in words, and what was told of it stays', async () => {
    const facts = TestBed.inject(FactsStore);
    for (let told = 0; told < 12; told++) await facts.add({ kind: 'cut' });
    const rendered = await render(FactsView);
    await tell(rendered, 'lift');
    await fill(rendered, 1, '20');
    await submit(rendered);
    expect(facts.facts()).toHaveLength(12);
    expect((rendered.all('.fields input')[1] as HTMLInputElement).value).toBe('20');
    await until(() => document.body.textContent.includes('At most 12 facts can be told of one pack.'));
  });

  test('a long enumeration goes to the worker and its answer comes', async () => {
    await TestBed.inject(FactsStore).add({ kind: 'cut' });
    await TestBed.inject(FactsStore).add({ kind: 'taken', count: 2 });
    const rendered = await render(FactsView);
    await until(() => answer(rendered).startsWith('Glimpse'));
    expect(rendered.find('en-known-list').textContent).toContain(((52 * (52 * 51)) / 2).toString());
  });
});

test('a pack thought shuffled is told card by card and gives the moved card away', async () => {
  const rendered = await render(MovedView);
  expect(answer(rendered)).toContain('0 of 52 cards are told.');
  const order = pack.now().filter((each) => each !== card('QC'));
  const told = [...order.slice(0, 30), card('QC'), ...order.slice(30)];
  for (const each of told) await press(rendered, showCard(each));
  expect(answer(rendered)).toMatch(/^Q♣ was moved, \d+ % likely$/);
  await rendered.click('Back one card');
  expect(answer(rendered)).toContain('51 of 52 cards are told.');
  await rendered.click('Begin again');
  expect(rendered.all('en-order-sheet')).toHaveLength(0);
});

test('the map tells each pair in words, follows the keys, and takes the pair into Reckon', async () => {
  await pack.use({ ...harbours, cards: RANKS.map((rank) => cardOf(rank, 2)), id: 'small', name: 'Small' });
  const rendered = await render(HandlingMap);
  const counts = rendered.all('td').map((each) => Number(each.textContent));
  expect(counts.reduce((a, b) => a + b, 0)).toBe(169);
  expect(answer(rendered)).toContain('A♥ at 1: Leave the pack as it is');
  const svg = rendered.find('svg');
  for (const key of ['ArrowRight', 'ArrowRight', 'ArrowDown', 'ArrowUp', 'ArrowUp'])
    svg.dispatchEvent(new KeyboardEvent('keydown', { key }));
  await rendered.fixture.whenStable();
  expect(answer(rendered)).toContain('A♥ at 3: Move 2 cards from bottom to top');
  expect(rendered.all('path.need-nothing')[0].getAttribute('d')?.split('M')).toHaveLength(counts[0] + 1);
  // A press in the picture: each pair has a square of 10 by 10 here.
  const squares = rendered.find('svg g');
  squares.getBoundingClientRect = () => new DOMRect(100, 50, 130, 130);
  for (const [x, y, says] of [
    [101, 51, 'A♥ at 1'],
    [229, 51, 'A♥ at 13'],
    [125, 91, /^5♥ at 3/],
    [500, 999, 'K♥ at 13'],
  ] as const) {
    squares.dispatchEvent(new MouseEvent('pointerdown', { clientX: x, clientY: y, bubbles: true }));
    await rendered.fixture.whenStable();
    expect(answer(rendered)).toMatch(says);
  }
});
