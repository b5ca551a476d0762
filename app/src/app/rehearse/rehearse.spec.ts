import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { WORKED } from '@enumeron/core/file/rehearse/worked/worked';
import type { Procedure } from '@enumeron/core/file/procedure/procedure';
import { concat, NEVER, of } from 'rxjs';
import { freshApp, until } from '../../testing/fresh';
import { runHere } from '../../testing/jobs';
import { render, Rendered } from '../../testing/render';
import { textFile } from '../../testing/text-file';
import { undone } from '../../testing/undo';
import { Database } from '../storage/database';
import { Journal } from '../storage/journal';
import { placeOf } from '../storage/kind';
import { SENT } from '../nouns/procedures/sent.kind';
import { PROCEDURES, ProcedureRow } from '../nouns/procedures/procedures.kind';
import { SentStore } from '../nouns/procedures/sent.store';
import { RailPreview } from '../nouns/pack/rail-preview';
import { RUN_JOB, RunJob } from '../platform/workers/jobs';
import { DeskPage } from './desk/desk-page';
import { ProcedureList } from './list/procedure-list';
import { stampOf, VerdictsStore } from '../nouns/procedures/verdicts.store';
import { ProceduresStore } from '../nouns/procedures/procedures.store';
import { RehearseRoom } from './rehearse-room';
import { ScriptPage } from './script/script-page';
import { pass } from '../../testing/pass';

/** Jobs are done at once, unless proofs go on and on. */
let runs: 'at once' | 'on and on' = 'at once';
const SO_FAR = { held: 1198, outs: 0, failed: 2, leftOut: 0, share: 0.4 };
const goOnAndOn = (() => concat(of({ kind: 'running', progress: SO_FAR }), NEVER)) as unknown as RunJob;
const runOrGoOn: RunJob = (name, ...asked) =>
  name === 'study' && runs === 'on and on' ? goOnAndOn(name, ...asked) : runHere(name, ...asked);

let db: Database;
let store: ProceduresStore;

beforeEach(async () => {
  runs = 'at once';
  db = await freshApp([
    ...[provideRouter([{ path: '**', children: [] }]), ProceduresStore],
    { provide: RUN_JOB, useValue: runOrGoOn },
  ]);
  store = TestBed.inject(ProceduresStore);
});

const worked = (name: string): Procedure => {
  const found = WORKED.find(({ procedure }) => procedure.name === name);
  if (!found) throw new Error(name);
  return found.procedure;
};
const TWO_CUTS = worked('Two cuts and a packet of numbers');
const ANY_SIZE = worked('Four heaps and their aces, any size');

/** A procedure on its desk, when what writes it has come and it has been proved. */
const open = async (procedure: Procedure): Promise<Rendered<DeskPage> & { readonly id: string }> => {
  const id = store.add(procedure, 'begin');
  const page = await render(DeskPage, { id });
  await until(() => page.all('en-add-step').length === 1);
  await settled(page);
  return { ...page, id };
};
const settled = async (page: Rendered<unknown>): Promise<void> => {
  await pass(260);
  await page.fixture.whenStable();
};
const kept = (id: string): Procedure => store.find(id)?.procedure ?? { name: 'gone', steps: [] };
const answer = (page: Rendered<unknown>): string => page.find('#proof-title').textContent.trim();

const press = async (page: Rendered<unknown>, selector: string, init: KeyboardEventInit): Promise<void> => {
  page
    .find(selector)
    .dispatchEvent(new KeyboardEvent('keydown', { bubbles: true, cancelable: true, ...init }));
  await page.fixture.whenStable();
};

/** Adds a step by the beginning of its sentence. */
const add = async (page: Rendered<unknown>, text: string): Promise<void> => {
  await page.type('en-add-step input', text);
  await press(page, 'en-add-step input', { key: 'Enter' });
};
const write = async (page: Rendered<unknown>, field: string, text: string): Promise<void> => {
  await page.type(`en-step-fields [data-field="${field}"]`, text);
  await press(page, `en-step-fields [data-field="${field}"]`, { key: 'Enter' });
};

test('the worked procedures are laid out once, and go with one press', async () => {
  const router = TestBed.inject(Router);
  await router.navigateByUrl('/rehearse');
  await render(RehearseRoom);
  await until(() => store.all()?.length === WORKED.length);
  expect(store.all()?.map(({ procedure }) => procedure.name)).toEqual(
    WORKED.map(({ procedure }) => procedure.name),
  );
  const list = await render(ProcedureList);
  expect(list.all('.rows li')).toHaveLength(WORKED.length);
  await list.click('Remove the sample');
  await until(() => store.all()?.length === 0);
  await list.fixture.whenStable();
  expect(list.text()).toContain('None yet. Write');
});

test('a worked one that was changed is the user’s own, and stays when the sample goes; a copy leaves it as it was', async () => {
  const router = TestBed.inject(Router);
  const sample: ProcedureRow = { id: 'worked', procedure: TWO_CUTS, at: 1, sample: true };
  await db.rows(PROCEDURES).put(sample);
  const page = await render(DeskPage, { id: 'worked' });
  await until(() => page.all('.name').length > 0);
  await page.click('Duplicate');
  await until(() => router.url.startsWith('/rehearse/'));
  expect(kept(router.url.split('/')[2]).name).toBe('Two cuts and a packet of numbers copy');
  expect(store.find('worked')).toEqual(sample);
  await page.type('.name', 'Mine');
  expect(store.find('worked')).toEqual({ id: 'worked', procedure: { ...TWO_CUTS, name: 'Mine' }, at: 1 });
});

test('it is sent to Reckon with one press, or says why it cannot be; undo takes it back', async () => {
  const page = await open(TWO_CUTS);
  await page.click('Send to Reckon');
  const sent = TestBed.inject(SentStore);
  await until(() => sent.of(page.id)?.as !== undefined && page.text().includes('In Reckon'));
  expect(sent.of(page.id)?.as?.pattern?.fields.map(({ label }) => label)).toEqual([
    'First seen',
    'Second seen',
  ]);
  expect(sent.sums().map(({ name }) => name)).toEqual([TWO_CUTS.name]);
  expect(page.find('.tools a').getAttribute('href')).toBe(`/reckon/${sent.of(page.id)?.path ?? ''}`);
  // One that is called alike is another kind of sum.
  const twin = store.add(TWO_CUTS, 'begin');
  sent.send(twin, TWO_CUTS.name);
  await until(() => sent.sums().length === 2);
  expect(new Set(sent.sums().map(({ name }) => name)).size).toBe(2);
  // What another tab has sent as well is one thing, and goes as one.
  const other = store.add(TWO_CUTS, 'begin');
  await db.rows(SENT).bulkPut([
    { id: 'twice', procedure: page.id, at: 9e12 },
    { id: 'other', procedure: other, at: 9e12 },
  ]);
  await until(() => sent.all()?.length === 3);
  const mine = sent.of(page.id);
  if (mine) await sent.takeBack(mine);
  await until(() => sent.of(page.id) === undefined);
  expect(await undone()).toBe(`remove ${TWO_CUTS.name} from Reckon`);
  await until(() => sent.of(page.id) !== undefined);
  expect(await undone()).toBe('begin');
  expect(await undone()).toBe(`send ${TWO_CUTS.name} to Reckon`);
  await until(() => sent.of(twin) === undefined);
  const heaps = await open(ANY_SIZE);
  await heaps.click('Send to Reckon');
  await until(() =>
    document.body.textContent.includes('It cannot be sent. You see and are told nothing in it.'),
  );
  expect(sent.of(heaps.id)).toBeUndefined();
});

test('what storage refuses to take of it is shown as sent all the same, and stored when there is room', async () => {
  const page = await open(TWO_CUTS);
  const full = jest.spyOn(db.table('sent'), 'put').mockRejectedValue(new Error('no room'));
  const fullToo = jest.spyOn(db.table('sent'), 'bulkPut').mockRejectedValue(new Error('no room'));
  const warn = jest.spyOn(console, 'warn').mockImplementation(() => undefined);
  await page.click('Send to Reckon');
  await until(() => page.text().includes('In Reckon'));
  await until(() => TestBed.inject(Journal).held() > 0);
  expect(await db.rows(SENT).count()).toBe(0);
  full.mockRestore();
  fullToo.mockRestore();
  await page.type('.name', 'Mine');
  await until(() => TestBed.inject(Journal).held() === 0);
  expect(await db.rows(SENT).toArray()).toMatchObject([{ procedure: page.id }]);
  warn.mockRestore();
});

test('as a script it has what is said to an audience, the outs, the reset and what the proof found', async () => {
  const id = store.add({ ...TWO_CUTS, givens: { bank: 12 } }, 'begin');
  const page = await render(ScriptPage, { id });
  await until(() => page.find('.proof').textContent.startsWith('Works 88 times in 100; 759 of 1,275 cases'));
  expect(page.all('li')).toHaveLength(16);
  expect(page.all('em').map((each) => each.textContent)).toEqual([
    '“Cut off a small packet and turn it over.”',
    'Too many: “Rather fewer: I need some left for the second cut.”',
    '“Now cut deeper, and turn that over too.”',
  ]);
  const who = page.find('select') as HTMLSelectElement;
  who.value = 'performers';
  who.dispatchEvent(new Event('change'));
  await page.fixture.whenStable();
  expect(page.find('em').textContent).toBe('“A small packet, turned over.”');
  for (const text of [
    'bank 12',
    'out Show the card alone.',
    'must be The number taken is how many',
    'Put the number back.',
  ])
    expect(page.text()).toContain(text);
  const wrong = await render(ScriptPage, {
    id: store.add({ name: 'x', steps: [{ do: 'cut', packet: 'pack', count: 'no such' }] }, 'begin'),
  });
  expect(wrong.find('.proof').textContent).toBe('It is not right yet: something in it is wrong.');
  const chance = await render(ScriptPage, { id: store.add(worked('A key card under two riffles'), 'begin') });
  await until(() => /^It works in 7\d\.\d % to/.test(chance.find('.proof').textContent));
  const none = await render(ScriptPage, { id: 'none' });
  await until(() => none.text().includes('There is no such procedure'));
});

test('one is begun, and one that was removed comes back', async () => {
  const router = TestBed.inject(Router);
  const list = await render(ProcedureList);
  await until(() => store.all() !== undefined);
  await list.click('Write a procedure');
  await until(() => router.url.startsWith('/rehearse/'));
  const id = router.url.split('/')[2];
  expect(kept(id).packets?.['pack']).toHaveLength(52);
  // Nothing is written in it yet.
  const desk = await render(DeskPage, { id });
  expect(desk.text()).toContain('No step yet');
  expect(store.all()).toEqual([]);
  await desk.type('.name', 'Mine');
  await until(() => store.all()?.length === 1);
  expect(kept(id)).toMatchObject({ name: 'Mine', packets: { pack: expect.anything() as unknown } });
  await list.fixture.whenStable();
  (list.find('[aria-label="More of Mine"]') as HTMLButtonElement).click();
  await until(() => document.querySelectorAll('[mat-menu-item]').length > 0);
  [...document.querySelectorAll<HTMLButtonElement>('[mat-menu-item]')]
    .find(({ textContent }) => textContent.includes('Remove'))
    ?.click();
  await until(() => store.all()?.length === 0);
  await undone();
  await until(() => store.find(id)?.procedure.name === 'Mine');
});

test('the list tells what was found of each, keeps it, and is searched', async () => {
  store.add(TWO_CUTS, 'begin');
  store.add(worked('Dealt twice, when they name 0'), 'begin');
  store.add({ name: 'Begun', steps: [] }, 'begin');
  const list = await render(ProcedureList);
  await until(() => list.text().includes('Works 88 times in 100; 759 of 1,275 cases'));
  await until(() => list.text().includes('Works 99.6 times in 100') && list.text().includes('No step yet'));
  const kept = TestBed.inject(VerdictsStore);
  await until(
    () => store.all()?.every(({ id, procedure }) => kept.of(id, stampOf(procedure)) !== undefined) ?? false,
  );
  const names = (): readonly string[] => list.all('.rows strong').map(({ textContent }) => textContent);
  await list.click('fail');
  expect(names()).toEqual(['Dealt twice, when they name 0']);
  await list.click('all');
  await list.type('.search', 'cuts numbers');
  expect(names()).toEqual(['Two cuts and a packet of numbers']);
  await list.type('.search', 'zyx');
  expect(list.text()).toContain('None of your 3 procedures is like that.');
  // What is changed is found anew.
  const [row] = store.all() ?? [];
  expect(kept.of(row.id, stampOf({ ...row.procedure, name: 'Another' }))).toBeUndefined();
});

test('two procedures alike are both told', async () => {
  store.add(TWO_CUTS, 'begin');
  store.add({ ...TWO_CUTS }, 'begin');
  const list = await render(ProcedureList);
  await until(() => list.text().match(/Works 88 times in 100; 759 of 1,275 cases/g)?.length === 2);
});

test.each([
  ['no JSON', '{', /Line 1|closed|JSON/],
  ['another format', '{"format":"other","name":"a","steps":[]}', /no procedure of Enumeron/],
  ['a wrong step', '{"name":"a","steps":[{"do":"turn","packet":"p"},{"do":"juggle"}]}', /Step 2.*no step/],
])('a file that is wrong is refused with what is wrong: %s', async (_, text, says) => {
  const list = await render(ProcedureList);
  const field = list.find('input[type=file]') as HTMLInputElement;
  Object.defineProperty(field, 'files', { value: [textFile('a.json', text)] });
  field.dispatchEvent(new Event('change'));
  await until(() => list.all('.problems').length > 0);
  expect(list.text()).toMatch(says);
  expect(list.text()).toContain('a.json is not opened');
  expect(await db.rows(PROCEDURES).count()).toBe(0);
});

test('a file that is right is opened', async () => {
  const router = TestBed.inject(Router);
  const list = await render(ProcedureList);
  const field = list.find('input[type=file]') as HTMLInputElement;
  Object.defineProperty(field, 'files', { value: [textFile('a.json', JSON.stringify(TWO_CUTS))] });
  field.dispatchEvent(new Event('change'));
  await until(() => router.url.startsWith('/rehearse/'));
  expect(kept(router.url.split('/')[2])).toEqual(TWO_CUTS);
});

test('a procedure is written by the beginnings of its sentences, and proved as it grows', async () => {
  const page = await open({ name: 'A', packets: { pack: ['AC', '3H', 'KH', '9D', 'QC'] }, steps: [] });
  expect(answer(page)).toBe('No step yet');
  await add(page, 'they cut and');
  await write(page, 'name', 'turned');
  expect(kept(page.id).steps).toEqual([
    { do: 'choose', name: 'turned', from: 1, to: { difference: [{ 'size of': 'pack' }, 1] } },
    { do: 'cut', packet: 'pack', count: 'turned', by: 'helper' },
  ]);
  await add(page, 'I see the f');
  await add(page, 'it must');
  await write(page, 'that', 'seen is not 3H');
  expect(kept(page.id).steps[3]).toEqual({ do: 'claim', that: { not: { equal: ['seen', { card: '3H' }] } } });
  await settled(page);
  expect(answer(page)).toBe('It fails in 1 of 4 cases: always when turned is 2');
  await page.click('Ask for this range');
  await settled(page);
  expect(answer(page)).toBe('It works in all 2 cases');
});

test('what is not understood stays as it was written, with its problem at the step, and nothing is proved', async () => {
  const page = await open(TWO_CUTS);
  page.find('[data-line="11"]').click();
  await page.fixture.whenStable();
  await page.type('[data-line="11"] [data-field="what"]', 'stack numbr of second seen');
  expect(page.find('[data-line="11"] .problem').textContent).toContain('“stack numbr of second seen”');
  expect(answer(page)).toBe('One thing to mend first');
  expect(kept(page.id).steps[10]).toMatchObject({ what: { words: 'stack numbr of second seen' } });
  await undone();
  await until(() => JSON.stringify(kept(page.id)) === JSON.stringify(TWO_CUTS));
});

test('what the performer cannot know is told at the step that uses it', async () => {
  const page = await open(TWO_CUTS);
  page.find('[data-line="11"]').click();
  await page.fixture.whenStable();
  await page.type('[data-line="11"] [data-field="what"]', 'second cut - first cut');
  expect(page.find('[data-line="11"] .problem').textContent).toMatch(/know/);
});

test('steps are moved, cut, copied and pasted by keys, and undone', async () => {
  const steps: Procedure['steps'] = [
    { do: 'out', words: 'a' },
    { do: 'if', that: { less: [1, 2] }, then: [{ do: 'out', words: 'b' }] },
    { do: 'out', words: 'c' },
  ];
  const page = await open({ name: 'A', steps });
  page.find('[data-line="1"]').click();
  await page.fixture.whenStable();
  await press(page, '[data-line="1"]', { key: 'ArrowDown', altKey: true });
  expect(kept(page.id).steps).toHaveLength(2);
  expect(page.find('[aria-current]').dataset['line']).toBe('1.1.1');
  await press(page, '[data-line="1.1.1"]', { key: 'ArrowUp', altKey: true });
  expect(kept(page.id).steps).toEqual(steps);
  await press(page, '[data-line="1"]', { key: 'ArrowDown', shiftKey: true });
  expect(page.all('.chosen')).toHaveLength(2);
  const clipboard = new Map<string, string>();
  const send = async (type: string): Promise<void> => {
    const event = new Event(type, { bubbles: true, cancelable: true });
    Object.defineProperty(event, 'clipboardData', {
      value: {
        setData: (kind: string, text: string) => clipboard.set(kind, text),
        getData: () => clipboard.get('text/plain'),
      },
    });
    page.find('[aria-current]').dispatchEvent(event);
    await page.fixture.whenStable();
  };
  await send('cut');
  expect(kept(page.id).steps).toEqual([steps[2]]);
  await send('paste');
  expect(kept(page.id).steps).toEqual([steps[2], steps[0], steps[1]]);
  clipboard.set('text/plain', '[{"do":"juggle"}]');
  await send('paste');
  expect(kept(page.id).steps).toHaveLength(3);
  await undone();
  await undone();
  await until(() => JSON.stringify(kept(page.id).steps) === JSON.stringify(steps));
  await page.fixture.whenStable();
  await press(page, '[aria-current]', { key: 'Delete' });
  expect(kept(page.id).steps).toHaveLength(2);
});

test('a line that is chosen in one procedure is not chosen in the next', async () => {
  const page = await open(TWO_CUTS);
  page.find('[data-line="1"]').click();
  await page.fixture.whenStable();
  const other = store.add(ANY_SIZE, 'begin');
  await page.set('id', other);
  await until(() => page.all('[data-line="1"]').length === 1 && page.all('en-step-fields').length === 0);
  expect(page.all('[aria-current]')).toEqual([]);
});

test('a key goes into the step in which one writes, though another tab has taken one out above it', async () => {
  const outs = ['a', 'b', 'c'].map((words) => ({ do: 'out', words }) as const);
  const page = await open({ name: 'A', steps: outs });
  page.find('[data-line="3"]').click();
  await page.fixture.whenStable();
  const field = page.find('en-step-fields [data-field="words"]') as HTMLInputElement;
  const type = async (text: string): Promise<void> => {
    field.value = text;
    field.dispatchEvent(new Event('input', { bubbles: true }));
    await page.fixture.whenStable();
  };
  // What the other tab stored is not shown here yet, when the key comes.
  const row = (await db.rows(PROCEDURES).get(page.id)) as ProcedureRow;
  const elsewhere = { ...row, procedure: { ...row.procedure, steps: outs.slice(1) }, numbers: [2, 3] };
  await db.rows(PROCEDURES).put(elsewhere);
  await type('cd');
  await until(() => kept(page.id).steps.length === 2);
  expect(kept(page.id).steps).toEqual([outs[1], { do: 'out', words: 'cd' }]);
  // It is shown by now, and the field is the same one still.
  await page.fixture.whenStable();
  expect(page.find('[aria-current]').dataset['line']).toBe('2');
  expect(page.find('[data-line="2"]').contains(field)).toBe(true);
  await type('cde');
  expect(kept(page.id).steps[1]).toEqual({ do: 'out', words: 'cde' });
  expect((await db.rows(PROCEDURES).get(page.id))?.numbers).toEqual([2, 3]);

  // Where the step itself is gone, nothing is written into another.
  await TestBed.inject(Journal).commit('elsewhere', [placeOf(PROCEDURES, page.id)], ([now]) => [
    now && { ...now, procedure: { ...now.procedure, steps: [outs[1]] }, numbers: [2] },
  ]);
  await page.fixture.whenStable();
  expect(kept(page.id).steps).toEqual([outs[1]]);
  expect(field.isConnected).toBe(false);
});

test('a way of a choice is named, and ways are added and taken away', async () => {
  const page = await open({ name: 'A', steps: [] });
  await add(page, 'they choose one');
  await page.type('[data-line="1.1"] .option', 'They point left.');
  await page.click('Add an option');
  expect(kept(page.id).steps[0]).toMatchObject({
    of: [{ words: 'They point left.' }, { words: 'The other.' }, { words: 'Another.' }],
  });
  await page.click('Remove the last option');
  await page.type('en-add-step input', '');
  await settled(page);
  expect(answer(page)).toBe('Nothing is claimed yet');
});

test('likelihoods, who does it and what is said are written beside the sentence', async () => {
  const page = await open({ ...TWO_CUTS, steps: TWO_CUTS.steps.slice(0, 1) });
  page.find('[data-line="1"]').click();
  await page.fixture.whenStable();
  const choose = async (selector: string, value: string): Promise<void> => {
    const select = page.find(selector) as HTMLSelectElement;
    select.value = value;
    select.dispatchEvent(new Event('change', { bubbles: true }));
    await page.fixture.whenStable();
  };
  await choose('en-likely-field select', 'table');
  const rows = page.find('en-likely-field .table') as HTMLInputElement;
  rows.value = '12: 3, 13: 5';
  rows.dispatchEvent(new Event('input', { bubbles: true }));
  await page.fixture.whenStable();
  expect(kept(page.id).steps[0]).toMatchObject({ likely: { table: { 12: 3, 13: 5 } } });
  await choose('en-likely-field select', 'alike');
  expect(kept(page.id).steps[0]).not.toHaveProperty('likely');
  await choose('en-step-fields .also select', 'performer');
  expect(kept(page.id).steps[0]).toMatchObject({ by: 'performer' });
  await page.type('en-step-fields .words textarea', 'lay: Cut.\nperformers: Cut deep.');
  expect(kept(page.id).steps[0]).toMatchObject({ says: { lay: 'Cut.', performers: 'Cut deep.' } });
});

test('the set-up: a packet in words, an order of mine, a number, and what is no card is told and changes nothing', async () => {
  const page = await open({ name: 'A', packets: { pack: ['AC'] }, givens: { bank: 2 }, steps: [] });
  await page.unfold('en-set-up details');
  await page.type('.cards textarea', 'bank indifferent\n7D 11H');
  expect(page.text()).toContain('“11H” is no card.');
  expect(kept(page.id).packets).toEqual({ pack: ['AC'] });
  await page.type('.cards textarea', 'bank indifferent\n7D 10h');
  expect(kept(page.id).packets).toEqual({ pack: [{ indifferent: 'bank' }, '7D', 'TH'] });
  await page.type('.given input', '3');
  expect(kept(page.id).givens).toEqual({ bank: 3 });
  const select = page.find('.cards select') as HTMLSelectElement;
  select.value = 'pack';
  select.dispatchEvent(new Event('change', { bubbles: true }));
  await page.fixture.whenStable();
  expect(kept(page.id).packets?.['pack']).toHaveLength(52);
});

test('helpers are led: the range for a wanted chance is asked for, and one who is off is told so', async () => {
  const page = await open(TWO_CUTS);
  page.find('[data-line="1"]').click();
  await until(() => page.all('en-lead-field').length === 1);
  expect(page.find('.led').textContent).toBe('they choose 7 to 17 (83.4 %)');
  await page.type('en-lead-field input', '95');
  expect(page.find('.led').textContent).toContain('5 to 20');
  await page.click('Ask for this range');
  expect(kept(page.id).steps[0]).toMatchObject({ from: 5, to: 20 });
  await settled(page);
  await page.type('.asked input', '21');
  page.find('.asked form').dispatchEvent(new Event('submit'));
  await page.fixture.whenStable();
  expect(page.find('.off').textContent).toBe(
    '21 is too many. Say: “Rather fewer: I need some left for the second cut.”',
  );
  await page.type('.asked input', '20');
  page.find('.asked form').dispatchEvent(new Event('submit'));
  await page.fixture.whenStable();
  expect(page.all('.off')).toHaveLength(0);
  expect(await undone()).toBe('ask for 5 to 20');
});

test('a case is acted out step by step, the rail shows its pack, and the performer knows what can be known', async () => {
  const page = await open(TWO_CUTS);
  await page.type('.asked input', '14');
  page.find('.asked form').dispatchEvent(new Event('submit', { cancelable: true }));
  await page.fixture.whenStable();
  expect(page.find('en-act-panel .where').textContent).toBe('Step 1 of 5');
  await press(page, '.table', { key: 'End' });
  expect(page.text()).toContain('second cut, 15 to 51');
  expect(TestBed.inject(RailPreview).preview()?.now).toHaveLength(52);
  expect(page.all('en-table-packets .up')).toHaveLength(14);
  // The first card seen tells the whole pack.
  expect(page.all('en-table-packets .down')).toHaveLength(0);
  await page.click('All at random');
  await press(page, '.table', { key: 'End' });
  expect(page.text()).toMatch(/It works in this case|It ends in the out/);
  const view = page.find('.view select') as HTMLSelectElement;
  view.value = 'room';
  view.dispatchEvent(new Event('change'));
  await page.fixture.whenStable();
  expect(page.all('en-table-packets .known')).toHaveLength(0);
  await page.click('Start over');
  expect(page.find('en-act-panel .where').textContent).toBe('Step 0 of 0');
  expect(TestBed.inject(RailPreview).preview()).toBeUndefined();
});

test('the smallest case that fails is one press away, and told where it fails', async () => {
  const page = await open(ANY_SIZE);
  expect(answer(page)).toBe('Works 99.994 times in 100; 3,094 of 3,332 cases');
  expect(page.text()).toContain('238 cases fail, always when second heap is 1.');
  await page.click('Act it out');
  expect(page.text()).toContain('It fails at step 12: it cannot be done.');
  expect(page.find('.here.line').dataset['line']).toBe('12');
});

test('what cannot be told apart stands side by side', async () => {
  const page = await open({
    name: 'A',
    packets: { pack: ['AC', '3H', 'AC', '9D'] },
    steps: [
      { do: 'choose', name: 'cut', from: 1, to: 4 },
      { do: 'cut', packet: 'pack', count: 'cut', by: 'helper' },
      { do: 'see', what: { 'face of': 'pack' }, name: 'seen' },
      { do: 'claim known', what: { 'top of': 'pack' } },
    ],
  });
  expect(page.find('.apart').textContent.replace(/\s+/g, ' ')).toMatch(/at step 4.*cut 1: 3♥.*cut 3: 9♦/);
});

test('where chance enters it is tried until that is known as closely as asked', async () => {
  const page = await open(worked('A key card under two riffles'));
  await until(() => page.text().includes('It works in about'));
  expect(page.text()).toMatch(/Between \d+\.\d and \d+\.\d %, nineteen times in twenty/);
});

test('a long proof tells how far it is, is stopped, and goes on', async () => {
  runs = 'on and on';
  const page = await open(TWO_CUTS);
  expect(page.text()).toContain('1,200 cases so far, 2 of them fail');
  await page.click('Stop');
  await settled(page);
  expect(answer(page)).toBe('Stopped');
  runs = 'at once';
  await page.click('Try all cases');
  await settled(page);
  expect(answer(page)).toContain('759 of 1,275 cases');
});

test('what was found of one procedure, and acted out in it, is not shown of the next', async () => {
  const page = await open(TWO_CUTS);
  await page.type('en-act-panel input[type=number]', '14');
  await page.click('Choose it');
  expect(answer(page)).toContain('759');
  expect(page.find('en-act-panel').textContent).toContain('Step 1 of');
  runs = 'on and on';
  await page.set('id', store.add(worked('Turned over twice, not asked deeper'), 'begin'));
  // At once, while it is read, and when it is on its way.
  for (const wait of [0, 20, 400]) {
    await pass(wait);
    await page.fixture.whenStable();
    expect(page.text()).not.toContain('759');
    expect(page.text()).not.toContain('Step 1 of');
  }
  expect(page.text()).toContain('1,200 cases so far, 2 of them fail');
  expect(page.find('en-act-panel').textContent).toContain('Step 0 of');
});

test('a row that cannot be shown says so, and so does an address without a procedure', async () => {
  const row: ProcedureRow = {
    id: 'odd',
    procedure: { name: 'Odd', steps: [{ do: 'juggle' }] as never },
    at: 1,
  };
  await db.rows(PROCEDURES).put(row);
  const page = await render(DeskPage, { id: 'odd' });
  await until(() => page.text().includes('It cannot be shown'));
  await page.set('id', 'none');
  await until(() => page.text().includes('There is no such procedure'));
});
