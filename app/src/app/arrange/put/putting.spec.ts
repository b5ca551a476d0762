import { TestBed } from '@angular/core/testing';
import { orderByRule } from '@enumeron/core/arrange';
import { findRow } from '@enumeron/core/weave';
import {
  Card,
  formatCard,
  mateOf,
  numberOrder,
  parseCard,
  seededRng,
  showCard,
  shuffled,
} from '@enumeron/core/deck';
import { applyMove, cut } from '@enumeron/core/moves';
import { Observable, of, Subscription } from 'rxjs';
import { freshApp, until } from '../../../testing/fresh';
import { render, Rendered } from '../../../testing/render';
import { OrdersStore } from '../../nouns/orders/orders.store';
import { sampleOrders } from '../../nouns/orders/sample';
import { PackStore } from '../../nouns/pack/pack.store';
import { ArgsOf, JobState, ProgressOf, ResultOf, RUN_JOB } from '../../platform/workers/jobs';
import { CompareView } from '../order/compare-view';
import { FACTORIES } from '../../nouns/orders/factories';
import { FactoryGuide } from './factory-guide';
import { FreeGuide } from './free-guide';
import { GlimpseCheck } from './glimpse-check';
import { OrderDesk } from '../make/order-desk';
import { OrderEditor } from '../make/order-editor';
import { OrderQuestion } from '../order/order-question';
import { PutInOrder } from './put-in-order';

const [tidemark, wheel, harbours, breakwater] = sampleOrders();

/** The worker's computation, done here and at once. */
type SearchRow = (
  args: ArgsOf<'row'>,
  held?: Observable<boolean>,
) => Observable<JobState<ProgressOf<'row'>, ResultOf<'row'>>>;
const searchHere: SearchRow = (wish) => of({ kind: 'ended', result: findRow({ ...wish, longest: 2 }) });
let search: SearchRow = searchHere;

beforeEach(async () => {
  search = searchHere;
  await freshApp([
    {
      provide: RUN_JOB,
      useValue: (_: string, ...asked: Parameters<SearchRow>) => search(...asked),
    },
  ]);
});

const press = async (rendered: Rendered<unknown>, card: Card): Promise<void> => {
  const suits = [...rendered.all('en-card-pad button')];
  const found = suits.find((each) => each.textContent === showCard(card));
  found?.click();
  await rendered.fixture.whenStable();
};

const noticed = (says: string): Promise<void> =>
  until(() => document.querySelector('mat-snack-bar-container')?.textContent.includes(says) === true);

describe('as the cards come', () => {
  test('a shuffled pack is laid into mirrored halves by what is said, and the pack on the screen lies so', async () => {
    const rendered = await render(PutInOrder, { order: harbours });
    const heaps: Record<string, Card[]> = { A: [], B: [] };
    for (const card of shuffled(numberOrder(), seededRng(9))) {
      await press(rendered, card);
      const says = rendered.find('.heap').textContent.replace(/\s+/g, ' ').trim();
      const [heap, under = '0'] = says.split(' under ');
      heaps[heap].splice(Number(under), 0, card);
    }
    expect(rendered.text()).toContain('Put heap A on heap B.');
    await rendered.click('The pack is gathered so');
    const { pack, home } = TestBed.inject(PackStore);
    await noticed('The pack is in Twin harbours now.');
    expect(pack()).toMatchObject({ name: 'Twin harbours', now: [...heaps['A'], ...heaps['B']] });
    home()
      .slice(0, 26)
      .forEach((card, index) => expect(home()[index + 26]).toBe(mateOf(card)));
  });

  test('one card back', async () => {
    const origin = breakwater.origin;
    const rendered = await render(FreeGuide, {
      order: breakwater.cards,
      freedom: { kind: 'bank', bank: origin?.kind === 'bank' ? origin.bank : { cards: [], places: [] } },
    });
    await press(rendered, parseCard('5H') as Card);
    await press(rendered, parseCard('9H') as Card);
    expect(rendered.find('.heap').textContent).toMatch(/bank\s+under 1/);
    await rendered.click('Back one card');
    await press(rendered, parseCard('7S') as Card);
    expect(rendered.find('.heap').textContent).toContain('rest');
    expect(rendered.text()).toContain('2 of 52');
  });

  test('an order that leaves no freedom is sorted into heaps', async () => {
    const rendered = await render(PutInOrder, { order: tidemark });
    expect(rendered.text()).not.toContain('as the cards come');
    await rendered.click('The pack is in this order now');
    await noticed('The pack is in Tidemark now.');
    expect(TestBed.inject(PackStore).pack().name).toBe('Tidemark');
  });
});

describe('from a new pack', () => {
  const fresh = orderByRule(FACTORIES[0].rule);
  const factory = fresh.ok ? fresh.order : [];

  test('a short row is searched for and told', async () => {
    const woven = applyMove(applyMove(factory, { kind: 'weave', weave: 'out' }), { kind: 'cut', count: 7 });
    const rendered = await render(FactoryGuide, { order: woven });
    await rendered.click('Search for a row');
    expect(rendered.all('section li').map((each) => each.textContent)).toEqual([
      'Weave the pack perfectly; the top card stays on top (out).',
      'Cut 7 cards from the top to the bottom.',
    ]);
    await rendered.set('order', factory);
    expect(rendered.text()).toContain('The pack comes in this order: nothing to do.');
    await rendered.set('order', tidemark.cards);
    expect(rendered.text()).toContain('No row of up to six');
  });

  test('a search says how far it is, is stopped and goes on, and ends with another pack', async () => {
    let stopped = false;
    let ended = false;
    search = (_, held) =>
      new Observable((observer) => {
        observer.next({ kind: 'running', progress: { moves: 3, part: 0.25 } });
        const holding = held?.subscribe((hold) => (stopped = hold)) ?? new Subscription();
        holding.add(() => (ended = true));
        return holding;
      });
    const rendered = await render(FactoryGuide, { order: tidemark.cards });
    await rendered.click('Search for a row');
    expect(rendered.text()).toContain('Trying every row of 3 moves');
    await rendered.click('Stop the search');
    expect(stopped).toBe(true);
    expect(rendered.text()).not.toContain('Trying');
    await rendered.click('Go on searching');
    expect([stopped, ended]).toEqual([false, false]);
    expect(rendered.text()).toContain('Trying every row of 3 moves');
    rendered.find('select').dispatchEvent(new Event('change'));
    await rendered.fixture.whenStable();
    expect(ended).toBe(true);
    expect(rendered.text()).not.toContain('Trying');
  });

  test('the suits are cut where the order goes by steps of one', async () => {
    const rendered = await render(FactoryGuide, { order: wheel.cards });
    expect(rendered.find('.rows').textContent).toContain('Lay the clubs in a ring, ace to king.');
    expect(rendered.find('.rows').textContent).toContain('each suit in turn: ♦ ♠ ♥ ♣');
  });
});

describe('by a few glimpses', () => {
  const check = async (): Promise<Rendered<GlimpseCheck>> => render(GlimpseCheck, { order: tidemark.cards });

  test('what agrees is said, and where to look next', async () => {
    const rendered = await check();
    expect(rendered.text()).toContain('Begin at the face: 52');
    await press(rendered, parseCard('KH') as Card);
    expect(rendered.text()).toContain('It fits a pack in order, cut at 3.');
    await press(rendered, tidemark.cards[28]);
    expect(rendered.text()).toContain('All 2 fit a pack in order, cut at 3.');
    await rendered.type('.place input', '1');
    await press(rendered, parseCard('2S') as Card);
    expect(rendered.text()).toContain('2 of 3 fit a pack in order, cut at 3; not 2♠two of spades at 1.');
    await rendered.click('Remove');
    expect(rendered.all('ul li')).toHaveLength(2);
  });
});

test('two orders side by side', async () => {
  const orders = TestBed.inject(OrdersStore);
  await until(() => orders.count() !== undefined);
  const rendered = await render(CompareView, { order: wheel });
  await until(() => rendered.all('.abilities').length > 0);
  expect(rendered.text()).toContain('Neither is a cut of the other.');
  expect(rendered.find('.abilities').textContent).toContain('12 from the top');
  expect(rendered.all('.places li')).toHaveLength(52);
  const select = rendered.find('select') as HTMLSelectElement;
  select.value = harbours.id;
  select.dispatchEvent(new Event('change'));
  await until(() => orders.find(harbours.id) !== undefined);
  await rendered.fixture.whenStable();
  const mates = rendered.all('.abilities tbody tr').find((row) => row.textContent.includes('mates 26 apart'));
  expect([...(mates?.querySelectorAll('td') ?? [])].map((each) => each.textContent)).toEqual([
    '✓ yes',
    '✓ yes',
  ]);
});

test('two orders side by side tell what they share in words: places, neighbours, a turn, cards of only one', async () => {
  const store = TestBed.inject(OrdersStore);
  await until(() => store.count() !== undefined);
  const beside = async (cards: readonly Card[]): Promise<string> => {
    const id = await store.add(`Beside ${cards.length} ${cards[0]} ${cards[1]}`, cards);
    await until(() => store.find(id) !== undefined);
    const rendered = await render(CompareView, { order: tidemark });
    const listed = (): boolean => rendered.all('option').some((each) => each.getAttribute('value') === id);
    await until(listed);
    const select = rendered.find('select') as HTMLSelectElement;
    select.value = id;
    select.dispatchEvent(new Event('change'));
    await rendered.fixture.whenStable();
    return rendered.find('section').textContent.replace(/\s+/g, ' ');
  };
  expect(await beside(tidemark.cards)).toContain('They are the same order.');
  const turned = await beside(cut(tidemark.cards, 9));
  expect(turned).toContain('The second is the first, cut at 9.');
  expect(turned).toContain('No card lies at the same place in both.');
  expect(turned).toContain('52 cards followed by the same card in both');
  // The first two exchanged: fifty places are the same, and all but three cards keep the one after them.
  const [first, second, ...rest] = tidemark.cards;
  const exchanged = await beside([second, first, ...rest]);
  expect(exchanged).toContain('50 cards at the same place in both: 3, 4, 5');
  expect(exchanged).toContain('49 cards followed by the same card in both');
  const reversed = await beside([...tidemark.cards].reverse());
  expect(reversed).toContain('No card lies at the same place in both.');
  expect(reversed).toContain('No card is followed by the same card in both.');
  const short = await beside(rest);
  expect(short).toMatch(/Only in the first: A♣.*3♥/);
});

describe('a question of every cut', () => {
  test('is answered, each cut can be seen, and it may be asked after some moves', async () => {
    const rendered = await render(OrderQuestion, { order: harbours.cards });
    expect(rendered.find('.says').textContent).toContain('It holds for every cut.');
    expect(rendered.all('.cuts .ok')).toHaveLength(52);
    await rendered.click('cut 7, holds');
    expect(rendered.find('.case').textContent).toMatch(/Cut 7: 6♣.* and 6♠/s);
    await rendered.type('input[placeholder]', 'cut 9, cut 3');
    expect(rendered.find('.says').textContent).toContain('It holds for every cut.');
    await rendered.type('input[placeholder]', 'out');
    expect(rendered.find('.says').textContent).not.toContain('every cut');
    await rendered.type('input[placeholder]', 'shuffle');
    expect(rendered.text()).toContain('is not a move');
  });

  test('of every kind, and what is wrong with it is told', async () => {
    const rendered = await render(OrderQuestion, { order: wheel.cards });
    const kind = rendered.find('select') as HTMLSelectElement;
    const ask = async (value: string): Promise<void> => {
      kind.value = value;
      kind.dispatchEvent(new Event('change'));
      await rendered.fixture.whenStable();
    };
    await ask('composed card');
    expect(rendered.find('.says').textContent).toContain('It holds for every cut.');
    await ask('sum');
    expect(rendered.find('.says').textContent).toMatch(/holds for (no cut|\d+ of 52)/);
    await ask('together');
    expect(rendered.text()).toContain('Name the cards');
    await rendered.type('.wide input', 'AS 9D');
    expect(rendered.find('.says').textContent).toContain('It holds for 51 of 52 cuts.');
    await ask('apart');
    await rendered.type('input', '52');
    expect(rendered.text()).toContain('from 1 to 51');
  });
});

describe('on the desk', () => {
  const texts: string[] = [];
  const desk = async (...words: string[]): Promise<Rendered<OrderDesk>> => {
    const entries = words.map((text, index) => ({
      text,
      card: parseCard(text),
      line: 1,
      column: 3 * index + 1,
    }));
    const rendered = await render(OrderDesk, { entries });
    texts.length = 0;
    rendered.component.written.subscribe((text) => texts.push(text));
    return rendered;
  };
  const keyOn = (rendered: Rendered<OrderDesk>, index: number, key: string, altKey = false): void => {
    rendered
      .all('[data-cell]')
      [index].dispatchEvent(new KeyboardEvent('keydown', { key, altKey, bubbles: true }));
  };

  test('cards go to the end, or behind the one pressed', async () => {
    const rendered = await desk('7D', '8D');
    await press(rendered, parseCard('KH') as Card);
    rendered.all('.desk button')[0].click();
    await rendered.fixture.whenStable();
    expect(rendered.text()).toContain('goes to place 2');
    await press(rendered, parseCard('KH') as Card);
    expect(texts).toEqual(['7D 8D KH', '7D KH 8D']);
    expect(rendered.all('en-card-pad button:disabled').length).toBe(2);
  });

  test('keys move a card and take it out; what cannot be read stays as it was written', async () => {
    const rendered = await desk('7D', '11H', 'AC');
    keyOn(rendered, 0, 'ArrowRight', true);
    keyOn(rendered, 2, 'ArrowLeft', true);
    keyOn(rendered, 1, 'Delete');
    keyOn(rendered, 2, 'ArrowRight', true);
    expect(texts).toEqual(['11H 7D AC', '7D AC 11H', '7D AC']);
    expect(rendered.all('.desk .odd')).toHaveLength(1);
  });

  test('the editor takes what is laid on the desk', async () => {
    await until(() => TestBed.inject(OrdersStore).count() !== undefined);
    const editor = await render(OrderEditor, { id: 'new' });
    await editor.click('Lay it card by card');
    await until(() => editor.all('en-card-pad button').length > 0);
    for (const name of ['AC', '7D', 'KH']) {
      await press(editor, parseCard(name) as Card);
      await editor.fixture.whenStable();
    }
    expect((editor.find('textarea') as HTMLTextAreaElement).value).toBe('AC 7D KH');
    expect(formatCard(0)).toBe('AC');
  });
});
