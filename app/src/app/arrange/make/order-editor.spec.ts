import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { formatOrder } from '@enumeron/core/deck';
import { freshApp, until } from '../../../testing/fresh';
import { render, Rendered } from '../../../testing/render';
import { textFile } from '../../../testing/text-file';
import { Database } from '../../storage/database';
import { Drafts } from '../../storage/drafts';
import { DRAFTS, DraftRow } from '../../storage/kinds/drafts';
import { OrdersStore } from '../../nouns/orders/orders.store';
import { sampleOrders } from '../../nouns/orders/sample';
import { OrderEditor } from './order-editor';
import { pass } from '../../../testing/pass';

const [tidemark] = sampleOrders();
const text = formatOrder(tidemark.cards);

let db: Database;
let orders: OrdersStore;

beforeEach(async () => {
  db = await freshApp();
  orders = TestBed.inject(OrdersStore);
  await until(() => orders.count() !== undefined);
  jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
});

const area = ({ find }: Rendered<OrderEditor>): HTMLTextAreaElement =>
  find('textarea') as HTMLTextAreaElement;
/** The only draft that is stored. */
const kept = async (): Promise<DraftRow | undefined> => (await db.rows(DRAFTS).toArray()).at(0);
const settled = (): Promise<void> => pass(60);

test('what is typed before the draft has been read is not replaced by it', async () => {
  await TestBed.inject(Drafts).keep('new', { name: 'Old draft', text: 'KH' });
  const editor = await render(OrderEditor, { id: 'new' });
  await editor.type('textarea', '7D 8D');
  await settled();
  expect(area(editor).value).toBe('7D 8D');
});

test('nor by an order that is read late', async () => {
  TestBed.resetTestingModule();
  await freshApp();
  const editor = await render(OrderEditor, { id: 'new' });
  await editor.type('input[matInput]', 'Short pack');
  await editor.type('textarea', '7D 8D');
  await until(() => TestBed.inject(OrdersStore).count() !== undefined);
  await settled();
  expect(area(editor).value).toBe('7D 8D');
  expect((editor.find('input[matInput]') as HTMLInputElement).value).toBe('Short pack');
});

test('a draft comes back, and goes once it is saved', async () => {
  await TestBed.inject(Drafts).keep('new', { name: 'Low water', text });
  const editor = await render(OrderEditor, { id: 'new' });
  await until(() => area(editor).value === text);
  await editor.fixture.whenStable();
  expect(editor.text()).toContain('52 cards, each of them once.');
  await editor.click('Save the order');
  await until(() => orders.count() === 6);
  await settled();
  await until(async () => (await kept()) === undefined);
});

test('a sample gives its cards to a new order and stays as it is', async () => {
  const editor = await render(OrderEditor, { id: tidemark.id });
  await until(() => area(editor).value === text);
  await editor.type('input[matInput]', 'My tide');
  await editor.click('Save the order');
  await until(() => orders.count() === 6);
  await until(() => orders.find(tidemark.id) !== undefined);
  expect(orders.find(tidemark.id)).toEqual(tidemark);
});

test('many missing cards are one thing to mend, few are told one by one', async () => {
  const editor = await render(OrderEditor, { id: 'new' });
  await settled();
  await editor.type('textarea', 'AC 2C');
  expect(editor.text()).toContain('1 thing is wrong');
  expect(editor.text()).toContain('50 cards are missing:');
  await editor.type('textarea', text.replace('AC ', '').replace('7D ', ''));
  expect(editor.all('.problems li')).toHaveLength(2);
});

test('pressing a problem selects the text that it is about', async () => {
  const editor = await render(OrderEditor, { id: 'new' });
  await settled();
  await editor.type('textarea', `AC 3H\nKH 11H, 9D`);
  await editor.click('“11H” is not a card');
  const { selectionStart, selectionEnd, value } = area(editor);
  expect(value.slice(selectionStart, selectionEnd)).toBe('11H');
});

test('nothing is saved while anything is wrong', async () => {
  const editor = await render(OrderEditor, { id: 'new' });
  await settled();
  await editor.type('textarea', `${text} 7D`);
  await editor.click('Save the order');
  expect(editor.text()).toContain('Give it a name.');
  expect(editor.text()).toContain('is there twice');
  expect(orders.count()).toBe(5);
});

/** Chooses a file, as the browser's dialog does. */
const choose = async (editor: Rendered<OrderEditor>, file: File): Promise<void> => {
  const field = editor.find('input[type=file]') as HTMLInputElement;
  Object.defineProperty(field, 'files', { configurable: true, value: { item: () => file } });
  field.dispatchEvent(new Event('change'));
  await settled();
  await editor.fixture.whenStable();
};

test('a file fills the field, and gives its name only where none was written', async () => {
  const editor = await render(OrderEditor, { id: 'new' });
  await settled();
  await choose(editor, textFile('Slack water.txt', text));
  expect(area(editor).value).toBe(text);
  const name = editor.find('input[matInput]') as HTMLInputElement;
  expect(name.value).toBe('Slack water');
  await editor.type('input[matInput]', 'Mine');
  await choose(editor, textFile('two.csv', 'place,card\n1,AC\n2,3H'));
  expect(area(editor).value).toBe('AC\n3H');
  expect(name.value).toBe('Mine');
});

test('a file that cannot be read says why and leaves what was written', async () => {
  const editor = await render(OrderEditor, { id: 'new' });
  await settled();
  await editor.type('textarea', '7D 8D');
  await choose(editor, textFile('broken.json', '{\n  "format": oops'));
  expect(editor.text()).toContain('Line 2, column 13');
  expect(area(editor).value).toBe('7D 8D');
  await choose(editor, textFile('huge.txt', 'AC', 50_000_000));
  expect(editor.text()).not.toContain('Line 2, column 13');
  expect(editor.text()).toContain('The file has 50 MB');
  expect(area(editor).value).toBe('7D 8D');
});

test('a text of a book is not taken for an order', async () => {
  const editor = await render(OrderEditor, { id: 'new' });
  await settled();
  await editor.type('textarea', 'word '.repeat(5000));
  expect(editor.text()).toContain('far more than an order');
});

test('left without saving, the draft is gone and nothing was added', async () => {
  const editor = await render(OrderEditor, { id: 'new' });
  await settled();
  await editor.type('textarea', '7D 8D');
  await until(() => area(editor).value === '7D 8D');
  await settled();
  expect((await kept())?.fields).toMatchObject({ text: '7D 8D' });
  await editor.click('Discard changes');
  await settled();
  expect(await kept()).toBeUndefined();
  expect(orders.count()).toBe(5);
});
