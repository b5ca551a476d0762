import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { cardAt, formatCard as nameOf, Order, parseCard, placeOf } from '@enumeron/core/deck';
import { applyMove, Move, parseMovesText, weave } from '@enumeron/core/moves';
import { NEVER } from 'rxjs';
import { runHere } from '../../testing/jobs';
import { undone } from '../../testing/undo';
import { freshApp, until } from '../../testing/fresh';
import { render, Rendered } from '../../testing/render';
import { Database } from '../storage/database';
import { forgetActs } from '../platform/once';
import { RUN_JOB, RunJob } from '../platform/workers/jobs';
import { ORDERS } from '../nouns/orders/orders.kind';
import { WEAVE_ROWS } from '../nouns/weaves/weave-rows.kind';
import { WEAVES_DONE } from '../nouns/weaves/weaves.kind';
import { WeavingRow } from '../nouns/weaves/weaving.kind';
import { Journal } from '../storage/journal';
import { RailMarks } from '../nouns/pack/marks';
import { PackStore } from '../nouns/pack/pack.store';
import { RailPreview } from '../nouns/pack/rail-preview';
import { CyclesPage } from './cycles/cycles-page';
import { KeptRows } from '../nouns/weaves/kept.store';
import { WeaveLogStore } from '../nouns/weaves/weave-log.store';
import { MissingPage } from './missing/missing-page';
import { OrdersPage } from './orders/orders-page';
import { bumpLine, columnX, placeY, spreadLabels } from './row/chart.geometry';
import { RowPage } from './row/row-page';
import { planWords, searchWords } from './plan/plan-words';
import { WeaveRoom } from './weave-room';
import { WeavingStore } from '../nouns/weaves/weaving.store';
import { WrongPage } from './wrong/wrong-page';
import { pass } from '../../testing/pass';

const card = (name: string): number => parseCard(name) as number;

/** Jobs are done at once, unless they are to wait for a while. */
let waits = false;
const runOrWait: RunJob = (...asked) => (waits ? NEVER : runHere(...asked));

let db: Database;
let store: WeavingStore;
let pack: PackStore;

beforeEach(async () => {
  waits = false;
  db = await freshApp([
    ...[provideRouter([{ path: '**', children: [] }]), WeavingStore, KeptRows, WeaveLogStore],
    { provide: RUN_JOB, useValue: runOrWait },
  ]);
  store = TestBed.inject(WeavingStore);
  pack = TestBed.inject(PackStore);
});

const shown = (): Order | undefined => TestBed.inject(RailPreview).preview()?.now;
const woven = (text: string): Order => parseMovesText(text, pack.now()).moves.reduce(applyMove, pack.now());

/** Presses keys one after the other while an element has the focus. */
const press = async (page: Rendered<unknown>, selector: string, keys: readonly string[]): Promise<void> => {
  for (const key of keys) {
    page.find(selector).dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
    await page.fixture.whenStable();
  }
};

const chips = (page: Rendered<unknown>): string[] => page.all('.chip').map((each) => each.textContent.trim());

/** Waits until a table holds so many rows. */
const storedRows = async (table: string, count: number): Promise<void> => {
  for (let turn = 0; turn < 400 && (await db.table(table).count()) !== count; turn++) await pass(5);
  expect(await db.table(table).count()).toBe(count);
};

/** Fills one of the fields with a label. */
const fill = async (page: Rendered<unknown>, label: string, at: number, text: string): Promise<void> => {
  const found = page
    .all('en-entry-field')
    .filter((each) => each.querySelector('label')?.textContent.startsWith(label))
    .at(at);
  const field = found?.querySelector('input');
  if (!field) throw new Error(`no field ${label} ${at.toString()}`);
  field.value = text;
  field.dispatchEvent(new Event('input', { bubbles: true }));
  await page.fixture.whenStable();
};

describe('the row', () => {
  test('is typed, shown on a copy of the pack, stepped through, and applied as one action', async () => {
    const before = pack.now();
    const page = await render(RowPage);
    expect(shown()).toBeUndefined();
    await press(page, '.row[role=application]', ['i', 'o', 'c', '1', '2', 'r', 'i']);
    expect(chips(page)).toEqual(['in', 'out', 'cut 12', 'unweave in']);
    expect(shown()).toEqual(woven('in, out, cut 12, unweave in'));
    expect(pack.now()).toBe(before);
    await press(page, '.row[role=application]', ['ArrowLeft', 'ArrowLeft', 'ArrowLeft']);
    expect(shown()).toEqual(weave(before, 'in'));
    expect(page.text()).toContain('After 1 of 4');
    await press(page, '.row[role=application]', ['Home']);
    expect(shown()).toBeUndefined();
    await press(page, '.row[role=application]', ['End', 'Backspace']);
    expect(chips(page)).toEqual(['in', 'out', 'cut 12']);
    await page.click('Apply to the pack');
    await until(() => store.row().length === 0);
    expect(pack.now()).toEqual(parseMovesText('in, out, cut 12', before).moves.reduce(applyMove, before));
    // One press of undo brings pack and row back.
    expect(await undone()).toContain('weave the pack: in, out, cut 12');
    await until(() => store.row().length === 3 && pack.now().join() === before.join());
    page.fixture.destroy();
    expect(shown()).toBeUndefined();
  });

  test('takes only its own keys: a digit opens no room, Tab and Ctrl Z go on', async () => {
    const page = await render(RowPage);
    const [outside, told]: string[][] = [[], []];
    const listen = (event: KeyboardEvent): void => void outside.push(event.key);
    document.addEventListener('keydown', listen);
    await press(page, '.row[role=application]', ['4', '/', 'x', 'i', 'Tab', 'Escape']);
    document.removeEventListener('keydown', listen);
    expect(outside).toEqual(['Tab']);
    expect(told).toEqual([]);
    expect(chips(page)).toEqual(['in']);
  });

  test('a number that is begun is kept when the focus leaves, and a move for a larger pack is told', async () => {
    const page = await render(RowPage);
    await press(page, '.row[role=application]', ['c', '5']);
    expect(chips(page)).toContain('cut 5');
    page.find('.row[role=application]').dispatchEvent(new FocusEvent('blur'));
    await page.fixture.whenStable();
    expect([store.open(), store.names()]).toEqual(['', ['cut 5']]);
    store.use([{ kind: 'cut', count: 40 }], 'try');
    await pack.become(pack.now().slice(0, 30), 'fewer cards');
    await page.fixture.whenStable();
    expect(page.text()).toContain('cut 40 names more cards than this pack has: 30.');
  });

  test('cuts by a number on a pad, and no number that the pack does not have', async () => {
    const page = await render(RowPage);
    const field = page.find('form.cut input') as HTMLInputElement;
    for (const number of ['12', '52', '0', '-3', '']) {
      field.value = number;
      await page.click('Cut');
      if (number === '12') expect(field.value).toBe('');
    }
    expect(store.names()).toEqual(['cut 12']);
  });

  test('on a turned pack it begins where the pack lies', async () => {
    await pack.apply({ kind: 'cut', count: 5 });
    const page = await render(RowPage);
    await press(page, '.row[role=application]', ['c', '7', 'Enter']);
    expect(shown()).toEqual(woven('cut 7'));
    expect(page.text()).toContain('home order, cut at 12.');
    await press(page, '.row[role=application]', ['c', '4', '0']);
    expect(page.text()).toContain('Then the pack is in its home order, Tidemark.');
  });

  test('storage that refuses loses nothing: the row shows, and is stored when there is room', async () => {
    const put = jest
      .spyOn(db.table('state'), 'bulkPut')
      .mockRejectedValue(new DOMException('no room', 'QuotaExceededError'));
    const page = await render(RowPage);
    await press(page, '.row[role=application]', ['i', 'o']);
    await until(() => TestBed.inject(Journal).held() > 0);
    expect(chips(page)).toEqual(['in', 'out']);
    put.mockRestore();
    expect(await TestBed.inject(Journal).tryAgain()).toBe(true);
    expect(await db.table('state').get('weaving')).toMatchObject({
      row: [{ weave: 'in' }, { weave: 'out' }],
    });
  });

  test('what another tab has added by then stays', async () => {
    const page = await render(RowPage);
    await press(page, '.row[role=application]', ['i']);
    const stored = async (): Promise<WeavingRow | undefined> =>
      (await db.table('state').get('weaving')) as WeavingRow | undefined;
    for (let turn = 0; turn < 200 && !(await stored()); turn++) await pass(5);
    const row = (await stored()) as WeavingRow;
    await db.table('state').put({ ...row, row: [...row.row, { kind: 'cut', count: 3 }] });
    store.add({ kind: 'weave', weave: 'out' });
    await until(() => store.row().length === 3);
    expect(store.names()).toEqual(['in', 'cut 3', 'out']);
  });

  test('a full row takes no more, and says so', async () => {
    const page = await render(RowPage);
    store.use(Array<Move>(60).fill({ kind: 'cut', count: 3 }), 'try');
    await press(page, '.row[role=application]', ['i', '5', 'c', '9', 'o']);
    expect(new Set(store.names())).toEqual(new Set(['cut 3']));
    expect(store.row()).toHaveLength(60);
    expect(page.text()).toContain('A row has at most 60 moves.');
  });

  test('moves in words: a whole row is read, what cannot be is told, cards are kept', async () => {
    const page = await render(RowPage);
    await page.type('#moves-written', 'out 16, weave 10 in, take 3');
    expect(page.text()).toContain('A row keeps all cards');
    await page.type('#moves-written', 'out 16, nonsense');
    expect(page.text()).toContain('is not a move');
    await page.type('#moves-written', 'out 16, weave 10 in');
    await page.click('Add');
    expect(store.names()).toEqual(['out 16', 'weave 10 in']);
    await page.click('Draw one move large');
    await page.unfold('en-weave-drawing details');
    expect(page.all('en-weave-drawing table tbody tr')).toHaveLength(52);
  });

  test('plays itself, and stops at the end', async () => {
    const page = await render(RowPage);
    await press(page, '.row[role=application]', ['i', 'o']);
    await page.click('Play');
    expect(store.step()).toBe(0);
    await until(() => (TestBed.tick(), store.step() === 2));
    expect(page.text()).toContain('Play');
  });

  test('is kept under a name, taken up again, and removed', async () => {
    const page = await render(RowPage);
    await press(page, '.row[role=application]', ['i', 'o']);
    await page.click('Save this row');
    expect(page.text()).toContain('Give it a name.');
    forgetActs();
    await page.type('en-kept-list input', ' Harbour  lights ');
    await page.click('Save this row');
    await until(() => (TestBed.tick(), page.text().includes('Harbour lights')));
    await storedRows(WEAVE_ROWS.table, 1);
    expect(await db.rows(WEAVE_ROWS).toCollection().first()).toMatchObject({ name: 'Harbour lights' });
    store.use([], 'empty it');
    await page.fixture.whenStable();
    await page.click('Harbour lights');
    expect(store.names()).toEqual(['in', 'out']);
    await page.click('Remove Harbour lights');
    await until(() => (TestBed.tick(), page.text().includes('None yet.')));
  });

  test('makes an order in Arrange, with its recipe', async () => {
    const page = await render(RowPage);
    await press(page, '.row[role=application]', ['i']);
    const before = pack.now();
    await page.type('.as-order input', 'Woven tide');
    await page.click('Save the order');
    await until(() => TestBed.inject(Router).url.startsWith('/arrange/'));
    const saved = (await db.rows(ORDERS).toArray()).find(({ name }) => name === 'Woven tide');
    expect(saved?.cards).toEqual(weave(before, 'in'));
    expect(saved?.origin).toMatchObject({ kind: 'recipe', moves: [{ kind: 'weave', weave: 'in' }] });
  });
});

describe('cards to places', () => {
  test('the shortest row comes by itself, is put into the row, and its paths are drawn and told', async () => {
    const page = await render(RowPage);
    await fill(page, 'card', 0, 'QC');
    await fill(page, 'to', 0, '41');
    await fill(page, 'card', 0, '7H');
    await fill(page, 'to', 1, '1');
    expect(page.find('.words').textContent).toMatch(/moves?, and no fewer/);
    await page.click('Put it into the row');
    const after = store.orders().at(-1) ?? [];
    expect([placeOf(after, card('QC')), placeOf(after, card('7H'))]).toEqual([41, 1]);
    expect(page.text()).toContain('shown in the row');
    const drawn = (): string => page.find('en-path-chart svg').getAttribute('aria-label') ?? '';
    await until(() => (TestBed.tick(), drawn().includes('queen of clubs goes from 5 to 41')));
    await page.unfold('en-path-chart details');
    expect(page.all('en-path-chart tbody tr')).toHaveLength(2);
    // Wanted and where it is wanted are marked on the rail, on the copy.
    expect(TestBed.inject(RailPreview).preview()?.marks?.get(41)).toEqual(['wanted', 'number']);
    expect(TestBed.inject(RailMarks).marks().size).toBeGreaterThan(0);
  });

  test('while another wish is searched for, the answer to the one before is not shown', async () => {
    const page = await render(RowPage);
    await fill(page, 'card', 0, 'QC');
    await fill(page, 'to', 0, '41');
    expect(page.all('.words')).toHaveLength(1);
    waits = true;
    await fill(page, 'to', 0, '17');
    expect(page.all('.words')).toHaveLength(0);
    waits = false;
    await fill(page, 'to', 0, '18');
    await page.click('Put it into the row');
    expect(placeOf(store.orders().at(-1) ?? [], card('QC'))).toBe(18);
  });

  test('one card by weaves alone: all the shortest rows, and the binary sum', async () => {
    const page = await render(RowPage);
    await fill(page, 'card', 0, 'AC');
    await fill(page, 'to', 0, '7');
    await page.click('not allowed');
    expect(page.find('.words').textContent).toContain('Three weaves, and no fewer');
    expect(page.find('en-head-row').textContent).toContain('halve 6');
    await page.click('Put it into the row');
    expect(cardAt(store.orders().at(-1) ?? [], 7)).toBe(card('AC'));
  });

  test('what cannot be is told: two cards at one place, mirror pairs, a card that is gone', async () => {
    const page = await render(RowPage);
    await fill(page, 'card', 0, 'QC');
    await fill(page, 'to', 0, '41');
    await fill(page, 'card', 0, 'QC');
    expect(page.text()).toContain('Q♣ is followed already.');
    await fill(page, 'card', 0, '7H');
    await fill(page, 'to', 1, '41');
    expect(page.text()).toContain('Two cards are wanted at 41.');
    // 5 and 48 are as far from the top as from the face; 41 and 20 are not.
    store.follow(1, { card: pack.now()[47], to: 20 });
    await page.click('not allowed');
    expect(page.find('.words').textContent).toContain('No row gets there');
    await pack.become(
      pack.now().filter((each) => each !== card('QC')),
      'one is gone',
    );
    await page.fixture.whenStable();
    expect(page.text()).toContain('not in this pack');
    expect(store.followed()[0].path).toBeUndefined();
    await page.click('No longer follow Q♣');
    expect(store.followed()).toHaveLength(1);
  });

  test.each([
    [[], 1, 'They are there already'],
    [['weave'], 'none', 'One weave, and no fewer'],
    [['weave', 'cut', 'weave'], 1, 'Three moves, and no fewer'],
    [['weave', 'cut', 'weave'], 0, 'Two weaves, and no fewer, with cuts between'],
    [['weave', 'cut', 'weave'], 2, 'Three moves; no row costs less than 4'],
  ] as const)('%j with cuts %s: %s', (kinds, cuts, words) => {
    const row = kinds.map((kind) => (kind === 'cut' ? { kind, count: 3 } : { kind, weave: 'in' as const }));
    expect(planWords(row, cuts)).toBe(words);
  });

  test('a search tells its size and time', () => {
    expect(searchWords({ looked: 18_204 }, 3, 40.2)).toBe('18,204 states of 3 cards looked at, 40 ms.');
    expect(searchWords({ looked: 1 }, 1, 1234)).toBe('1 state of one card looked at, 1.2 s.');
  });
});

test('a row, and the cards that are followed, live through another start, and another tab sees them', async () => {
  store.use(parseMovesText('in, out', pack.now()).moves, 'try');
  store.follow(0, { card: card('7D'), to: 3 });
  await until(() => TestBed.inject(WeavingStore).row().length === 2);
  const stored = async (): Promise<unknown> => (await db.table('state').get('weaving')) as unknown;
  for (let turn = 0; turn < 200 && (await stored()) === undefined; turn++) await pass(5);
  expect(await stored()).toMatchObject({ row: [{ weave: 'in' }, { weave: 'out' }], followed: [{ to: 3 }] });
  await db.table('state').put({ id: 'weaving', row: [], followed: [], cuts: 'none' });
  await until(() => store.row().length === 0);
  expect(store.wishes()).toEqual({ cuts: 'none', anyOrder: false });
});

describe('order to order', () => {
  test('the way back from the row, by weaves alone, is added to it', async () => {
    store.use(parseMovesText('out, out, out, out, out, out', pack.now()).moves, 'try');
    const page = await render(OrdersPage);
    const [from] = page.all('select') as HTMLSelectElement[];
    from.value = 'row';
    from.dispatchEvent(new Event('change'));
    for (const name of ['weaves taken back', 'reversals', 'none']) await page.click(name);
    expect(page.find('.words').textContent).toContain('Two moves, and no fewer');
    expect(page.all('.steps li').at(1)?.textContent).toContain('in sequence');
    await page.click('Add it to the row');
    expect(store.row()).toHaveLength(8);
    expect(store.orders().at(-1)).toEqual(pack.home());
  });

  test('no row, orders of other cards, and the arrangement that ends in an order', async () => {
    store.use(parseMovesText('in, cut 5', pack.now()).moves, 'try');
    const page = await render(OrdersPage);
    expect(page.find('.words').textContent).toContain('It is like that already');
    // The inverse recipe begins with another strip than it ends with, and ends in sequence.
    expect(page.find('en-inverse').textContent).toContain('in, cut 5 end in this order');
    expect(page.all('en-inverse .points').at(-1)?.textContent).toContain('in sequence');
    const to = page.all('select').at(1) as HTMLSelectElement;
    to.value = 'together';
    to.dispatchEvent(new Event('change'));
    await page.fixture.whenStable();
    expect(page.text()).toContain('Follow two cards or more first');
    store.follow(0, { card: pack.now()[0] });
    store.follow(1, { card: pack.now()[26] });
    await page.fixture.whenStable();
    expect(page.find('.words').textContent).toContain('One move, and no fewer');
    await pack.become(pack.now().slice(0, 51), 'one is gone');
    // The orders come from storage, and an order that is not listed yet cannot be taken.
    await until(() => [...to.options].some(({ value }) => value === 'sample-tidemark'));
    to.value = 'sample-tidemark';
    to.dispatchEvent(new Event('change'));
    await until(() => (TestBed.tick(), page.text().includes('is in one of the two orders only')));
  });
});

test('cycles: any size, the rings, what lives through a weave', async () => {
  const page = await render(CyclesPage);
  expect(page.find('.words').textContent.replace(/\s+/g, ' ')).toContain('8 out weaves bring 52 cards back');
  await page.click('in');
  expect(page.find('.words').textContent.replace(/\s+/g, ' ')).toContain('52 in weaves bring 52 cards back');
  expect(page.all('en-cycle-ring')).toHaveLength(1);
  expect(page.find('en-cycle-ring svg').getAttribute('aria-label')).toMatch(/^1 to 2 to 4 to 8 /);
  await fill(page, 'Cards in the pack', 0, '9');
  expect(page.find('.words').textContent.replace(/\s+/g, ' ')).toContain('6 in weaves bring 9 cards back');
  await fill(page, 'Cards in the pack', 0, '1');
  expect(page.text()).toContain('is not a number from 2 to 64');
  expect(page.text()).toContain('What survives a weave');
});

test('a card missing: the break names it, a joker in its place, a joker too many', async () => {
  store.use(parseMovesText('out, in', pack.now()).moves, 'try');
  const page = await render(MissingPage);
  await fill(page, 'The card', 0, '7D');
  const place = placeOf(pack.home(), card('7D')) ?? 0;
  expect(page.text()).toContain('7♦');
  expect(page.find('.why').textContent).toContain('the break names it');
  expect(page.text()).toContain('lie 4 places apart');
  expect(shown()).toHaveLength(51);
  await page.click('a joker is in its place');
  expect(page.text()).toContain('Every other card lies where it would lie');
  await page.click('a joker too many before it');
  expect(shown()).toHaveLength(53);
  expect(page.find('.words').textContent).toContain(' at ');
  await fill(page, 'The card', 0, 'X1');
  expect(page.text()).toContain('is not in this pack');
  expect(place).toBeGreaterThan(0);
});

describe('what went wrong', () => {
  /** Cut at 26, an out weave in which two cards fell together at 20 and 21. */
  const slipped = (): Order => {
    const after = [...weave(pack.now(), 'out')];
    [after[20], after[21]] = [after[21], after[20]];
    return after;
  };

  test('glimpses are explained, the pack is taken so, and the slip is noted', async () => {
    const after = slipped();
    const page = await render(WrongPage);
    for (const [index, place] of [21, 22, 40].entries()) {
      await fill(page, 'at', index, place.toString());
      await fill(page, 'card', index, nameOf(after[place - 1]));
    }
    expect(page.find('.words').textContent).toMatch(/Cut at 2\d; .*fell together/);
    expect(shown()).toHaveLength(52);
    expect(page.text()).toContain('jog out the cards at');
    await page.click('Note it in the log');
    await until(() => (TestBed.tick(), page.find('en-weave-log').textContent.includes('0 of 1 clean')));
    await storedRows(WEAVES_DONE.table, 1);
    const chosen = shown();
    await page.click('The pack lies so');
    await until(() => pack.now() === chosen || pack.now().join() === chosen?.join());
    await page.fixture.whenStable();
    expect(page.text()).toContain('Begin with one place and its card');
    expect(await undone()).toContain('take the pack as the weave left it');
  });

  test('what was explained of other glimpses is not shown, and cannot be taken', async () => {
    const page = await render(WrongPage);
    await fill(page, 'at', 0, '1');
    await fill(page, 'card', 0, nameOf(pack.now()[0]));
    expect(page.text()).toContain('The pack lies so');
    waits = true;
    await page.click('in');
    expect(page.text()).not.toContain('The pack lies so');
    expect(shown()).toBeUndefined();
  });

  test('the whole order, what nothing explains, and an order that cannot be read', async () => {
    const page = await render(WrongPage);
    const field = async (text: string): Promise<void> => page.type('textarea', text);
    await field(weave(pack.now(), 'out').map(nameOf).join(' '));
    expect(page.find('.words').textContent).toContain('Cut at 26; a clean out weave.');
    expect(page.text()).toContain('The shortest row to the home order');
    await field(pack.now().map(nameOf).reverse().join(' '));
    expect(page.find('.words').textContent).toContain('Nothing explains this');
    await field('AC 2C');
    expect(page.find('[role=alert]').textContent).toContain(
      '50 of the pack’s cards are lacking, 3♥ among them.',
    );
    await field('AC X1');
    expect(page.find('[role=alert]').textContent).toContain('is not in this pack');
    await field('AC nonsense');
    expect(page.find('[role=alert]').textContent).toContain('nonsense');
  });

  test('a part of a pack, with a joker and a second copy', async () => {
    await pack.become([...pack.now().slice(0, 20), card('X1'), card('7D*')], 'another pack');
    const page = await render(WrongPage);
    await page.type('textarea', weave(pack.now(), 'in').map(nameOf).join(' '));
    await page.click('in');
    expect(page.find('.words').textContent).toContain('Cut at 11; a clean in weave.');
  });

  test('clean weaves are noted and taken away again', async () => {
    const page = await render(WrongPage);
    await page.click('A clean in weave');
    await until(() => (TestBed.tick(), page.text().includes('1 of 1 clean')));
    await page.click('Remove the weave');
    await until(() => (TestBed.tick(), page.text().includes('None yet.')));
  });
});

test('the sample is laid out when the room is opened first, and goes with one press', async () => {
  const room = await render(WeaveRoom);
  const page = await render(WrongPage);
  await until(() => (TestBed.tick(), page.text().includes('hold a sample')));
  await until(() => TestBed.inject(WeaveLogStore).all().length > 10);
  await page.click('Remove the sample');
  await until(() => (TestBed.tick(), !page.text().includes('hold a sample')));
  await storedRows(WEAVES_DONE.table, 0);
  room.fixture.destroy();
  // It does not come back.
  await render(WeaveRoom);
  await pass(30);
  await storedRows(WEAVE_ROWS.table, 0);
});

describe('the chart', () => {
  const frame = { width: 760, height: 440, left: 74, right: 686, top: 16 };

  test('columns and places keep their ends, in a pack of any size and a row of any length', () => {
    for (const moves of [1, 2, 7, 60])
      expect([columnX(frame, 0, moves), columnX(frame, moves, moves)]).toEqual([74, 686]);
    expect(columnX(frame, 0, 0)).toBe(74);
    for (const size of [2, 9, 52, 60])
      expect([placeY(frame, 1, size), placeY(frame, size, size)]).toEqual([16, 456]);
    expect(placeY(frame, 1, 1)).toBe(16);
    expect(bumpLine({ x: 0, y: 0 }, { x: 10, y: 4 })).toMatch(/^M0,0C.*10,4$/);
  });

  test('labels never stand on each other, keep their order and stay inside', () => {
    let seed = 7;
    for (let round = 0; round < 300; round++) {
      const wanted = Array.from({ length: 1 + (round % 5) }, () => {
        seed = (seed * 48271) % 2147483647;
        return 16 + (seed % 441);
      });
      const at = spreadLabels(wanted, 17, 456);
      const order = wanted.map((_, index) => index).sort((a, b) => wanted[a] - wanted[b]);
      for (let index = 1; index < order.length; index++)
        expect(at[order[index]] - at[order[index - 1]]).toBeGreaterThanOrEqual(17 - 1e-9);
      expect(Math.max(...at)).toBeLessThanOrEqual(456);
    }
    expect(spreadLabels([100, 200], 17, 456)).toEqual([100, 200]);
  });
});
