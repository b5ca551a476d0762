import { TestBed } from '@angular/core/testing';
import type { Night } from '@enumeron/core/file/record/night';
import { freshApp, until } from '../../testing/fresh';
import { pass } from '../../testing/pass';
import { render } from '../../testing/render';
import { redone, undone } from '../../testing/undo';
import { ByRecord } from '../nouns/procedures/by-record';
import { FITTED } from '../nouns/procedures/by-record.kind';
import { NightsStore } from '../nouns/performances/nights.store';
import { PERFORMANCES } from '../nouns/performances/performances.kind';
import { makeSamples } from '../nouns/performances/sample';
import { Refresh } from '../nouns/performances/refresh';
import { PROCEDURES } from '../nouns/procedures/procedures.kind';
import { makeSamples as makeSets } from '../nouns/sets/sample';
import { RoutinesStore } from '../nouns/sets/routines.store';
import { SetsStore } from '../nouns/sets/sets.store';
import { Clock } from '../platform/clock';
import { Scripts } from '../platform/scripts';
import type { Database } from '../storage/database';
import { Journal } from '../storage/journal';
import { datesCalendar, readDates } from './files/dates-calendar';
import { weeksOf } from './nights/weeks';
import { NightsLookedFor } from './nights/looked-for';
import { NightsPage } from './nights/nights-page';
import { Stated } from './stated';
import { RoutineRow } from './write/routine-row';

/** A Wednesday. */
const NOW = new Date(2026, 10, 25, 12).getTime();

let db: Database;
beforeEach(async () => {
  db = await freshApp([NightsStore, RoutinesStore, SetsStore, NightsLookedFor, Stated]);
  jest.spyOn(TestBed.inject(Clock), 'now').mockReturnValue(NOW);
});
afterEach(() => jest.restoreAllMocks());

const layOut = async (): Promise<void> => {
  for (const { kind, rows } of [...makeSamples(NOW), ...(await makeSets(TestBed.inject(Scripts)))])
    await db.rows(kind).bulkPut([...rows]);
};
const store = (): NightsStore => TestBed.inject(NightsStore);
const night = (more: Partial<Night> = {}): Omit<Night, 'id' | 'changed'> => ({
  ...{ at: NOW, real: true, name: 'Late', audience: '', done: [] },
  ...more,
});
const row = async (id: string): Promise<Night | undefined> => db.rows(PERFORMANCES).get(id);

test('the sample has eleven nights before now, and one of practice; its instruction works worse than was stated', async () => {
  await layOut();
  await until(() => store().all()?.length === 12);
  const real =
    store()
      .all()
      ?.filter((each) => each.real) ?? [];
  expect(real).toHaveLength(11);
  expect(real.every(({ at, sample }) => at < NOW && sample)).toBe(true);
  const page = await render(NightsPage);
  expect(page.find('.headline').textContent).toBe('86 of 104 hit');
  await page.type('input[type=search]', 'boathouse');
  expect(page.find('.headline').textContent).toBe('10 of 10 hit');
  await page.type('input[type=search]', 'no such thing');
  expect(page.text()).toContain('None of your 12 nights is like that.');
});

test('a removed night is an entry that tells it; undo and redo are as new as what they take back', async () => {
  const id = store().add(night({ note: 'Fog.' }), 'write a night down');
  await until(async () => (await row(id)) !== undefined);
  const first = await row(id);
  await store().change(id, 'rename', (each) => ({ ...each, name: 'Early' }));
  const renamed = await row(id);
  expect(renamed?.changed).toBeGreaterThan(first?.changed ?? Infinity);
  await store().remove(renamed as Night);
  const removed = await row(id);
  expect(removed).toMatchObject({ removed: true, name: '', done: [] });
  expect(store().find(id)).toBeUndefined();
  expect(await undone('record')).toBe('remove the night “Early”');
  const back = await row(id);
  expect(back).toMatchObject({ name: 'Early', note: 'Fog.' });
  expect(back?.changed).toBeGreaterThan(removed?.changed ?? Infinity);
  expect(await undone('record')).toBe('rename');
  expect(await undone('record')).toBe('write a night down');
  expect(await row(id)).toMatchObject({ removed: true });
  expect(await redone('record')).toBe('write a night down');
  expect(await row(id)).toMatchObject({ name: 'Late', note: 'Fog.' });
  // The other line of undo knows nothing of it.
  expect(TestBed.inject(Journal).undoable('table')).toBeUndefined();
});

test('what another tab changes, and a removal there, come in; nights that cannot be read are left out', async () => {
  const id = store().add(night(), 'write a night down');
  await until(async () => store().all()?.length === 1 && (await row(id)) !== undefined);
  await db.rows(PERFORMANCES).put({ ...((await row(id)) as Night), name: 'There', changed: NOW + 5 });
  await until(() => store().all()?.at(0)?.name === 'There');
  await db.rows(PERFORMANCES).put({ id: 'odd', at: NOW, changed: NOW + 6, real: 7 } as never);
  await db.rows(PERFORMANCES).put({ ...night(), id: 'second', changed: NOW + 7 });
  await until(() => store().all()?.length === 2);
  await db.rows(PERFORMANCES).delete(id);
  await until(() => store().all()?.length === 1);
});

test('merged nights are one action, undone as one; those that are here and newer stay', async () => {
  const id = store().add(night(), 'write a night down');
  await until(async () => (await row(id)) !== undefined);
  await until(() => store().all()?.length === 1);
  const mine = (await row(id)) as Night;
  const coming: readonly Night[] = [
    { ...mine, name: 'Older', changed: 1 },
    { ...night({ name: 'New' }), id: 'new-night', changed: NOW },
  ];
  const merged = await store().merge(coming);
  expect([merged.added.length, merged.changed.length]).toEqual([1, 0]);
  expect([(await row(id))?.name, (await row('new-night'))?.name]).toEqual(['Late', 'New']);
  expect(await undone('record')).toBe('merge nights');
  expect(await row('new-night')).toMatchObject({ removed: true });
  expect((await store().merge([])).added).toEqual([]);
});

test('a choice weighed by the record: the table is worked out, grows with it once, and is set back', async () => {
  await layOut();
  const [id, name] = ['sample-a-packet-counted-in-silence', 'lifted'];
  const { procedure } = (await db.rows(PROCEDURES).get(id)) ?? { procedure: undefined };
  if (!procedure) throw new Error('the sample lacks it');
  const byRecord = TestBed.inject(ByRecord);
  expect(byRecord.weighed(id, procedure)).toBe(procedure);
  await byRecord.weigh(id, name, { key: '“lift about half”', said: 'Lift about half.' });
  await TestBed.inject(Refresh).run();
  await until(() => byRecord.fitOf(id, name)?.n === 41);
  expect(byRecord.weighed(id, procedure).steps[0]).toMatchObject({
    likely: { table: expect.anything() as object },
  });
  // Made once: what is worked out by it is found again.
  expect(byRecord.weighed(id, procedure)).toBe(byRecord.weighed(id, procedure));
  expect(procedure.steps[0]).toMatchObject({ likely: { around: 26, within: 5 } });
  await db.rows(PERFORMANCES).delete('sample-night-2');
  await TestBed.inject(Refresh).run();
  await until(() => byRecord.fitOf(id, name)?.n === 37);
  expect(byRecord.fitOf(id, name)?.before).toBe(41);
  byRecord.told(id);
  await until(() => byRecord.fitOf(id, name)?.before === undefined);
  await TestBed.inject(Refresh).run();
  await pass(50);
  expect(byRecord.fitOf(id, name)?.before).toBeUndefined();
  // Timed mends move what set lists use.
  expect(byRecord.costs().cut.seconds).toBeGreaterThan(4);
  await byRecord.rename(id, name, 'taken');
  expect([byRecord.of(id, name), byRecord.of(id, 'taken')?.said]).toEqual([undefined, 'Lift about half.']);
  await byRecord.weigh(id, 'taken', undefined);
  expect(byRecord.weighed(id, procedure)).toBe(procedure);
  await TestBed.inject(Refresh).run();
  await until(async () => (await db.rows(FITTED).get('fitted'))?.choices.length === 0);
});

test('a routine is told by its keys; a value that cannot be is not kept', async () => {
  await layOut();
  await until(() => TestBed.inject(RoutinesStore).all() !== undefined);
  let done = { ...makeDone('sample-routine-counted', 'Counted in silence') };
  const row = await render(RoutineRow, { done, index: 0, audience: '' });
  const changes: string[] = [];
  row.component.changed.subscribe(({ label, make }) => {
    changes.push(label);
    done = make(done);
  });
  let went = 0;
  row.component.goesOn.subscribe(() => went++);
  await until(() => row.all('label').some((label) => label.textContent.includes('lifted, 1 to 51')));
  const key = (of: string): boolean =>
    row
      .find('.ends button')
      .dispatchEvent(new KeyboardEvent('keydown', { key: of, bubbles: true, cancelable: true }));
  key('x');
  expect([changes, went]).toEqual([[], 0]);
  key('Enter');
  expect([done.how, went]).toEqual(['hit', 1]);
  key('M');
  expect([done.how, went]).toEqual(['missed', 2]);
  await row.set('done', done);
  await row.type('label.wide input', 'lost it at 31');
  expect(done.why).toBe('lost it at 31');
  key('h');
  expect([done.how, done.why]).toEqual(['hit', undefined]);
  await row.set('done', done);
  const field = (label: string): string => {
    const index = row.all('.fields label').findIndex((each) => each.textContent.includes(label));
    return `.fields label:nth-of-type(${(index + 1).toString()}) input`;
  };
  await row.type(field('lifted, 1'), '52');
  expect(done.choices).toEqual([]);
  await row.type(field('lifted, 1'), '7D');
  expect(done.choices).toEqual([]);
  await row.type(field('lifted, 1'), '21');
  expect(done.choices).toEqual([
    { path: '1', name: 'lifted', value: 21, from: 1, to: 51, said: 'Lift about half.' },
  ]);
  await row.type(field('lifted, 1'), '');
  expect(done.choices).toEqual([]);
});

const makeDone = (id: string, name: string): Night['done'][number] => ({
  ...{ id, name, how: 'not noted', choices: [], steps: [], mends: [] },
});

test('dates go to a calendar and come back: nothing doubles, what a calendar does not know stays', () => {
  const nights: readonly Night[] = [
    {
      ...night({ place: 'Salt Room; upstairs', note: 'Fog,\nand rain.', seconds: 2640 }),
      id: 'one',
      changed: 5,
    },
    { ...night({ name: '', done: [makeDone('a', 'A')] }), id: 'two', changed: 5 },
  ];
  const here = new Map(nights.map((each) => [each.id, each]));
  const file = datesCalendar(nights, NOW);
  expect(file).toContain('UID:night-one@enumeron');
  expect(readDates(file, here, NOW)).toEqual({ ok: true, nights: [] });
  expect(readDates(file, new Map(), NOW)).toMatchObject({
    nights: [{ id: 'one' }, { id: 'two', name: 'A night' }],
  });
  const moved = file.replace('Late', 'Later');
  expect(readDates(moved, here, NOW)).toMatchObject({
    nights: [{ id: 'one', name: 'Later', note: 'Fog,\nand rain.', seconds: 2640, changed: NOW }],
  });
  const foreign = [
    ...['BEGIN:VCALENDAR', 'BEGIN:VEVENT', 'UID:x7@harbour.example', 'SUMMARY:Harbour night'],
    ...['DTSTART;VALUE=DATE:20261212', 'LOCATION:Pier', 'END:VEVENT', 'END:VCALENDAR', ''],
  ].join('\r\n');
  const read = readDates(foreign, here, NOW);
  if (!read.ok) throw new Error('it is a calendar');
  expect(read.nights).toMatchObject([
    { name: 'Harbour night', place: 'Pier', uid: 'x7@harbour.example', done: [] },
  ]);
  const again = new Map(read.nights.map((each) => [each.id, each]));
  expect(readDates(foreign, again, NOW + 1)).toEqual({ ok: true, nights: [] });
  expect(datesCalendar(read.nights, NOW)).toContain('UID:x7@harbour.example');
  expect(readDates('BEGIN:VCALENDAR\nnonsense', here, NOW).ok).toBe(false);
});

test('the weeks of a month begin on Monday, hold each of its days once, and are filled from those beside it', () => {
  for (let month = 0; month < 48; month++) {
    const weeks = weeksOf(2024, month);
    const inside = weeks.flat().filter((day) => day.isInside);
    const last = new Date(2024, month + 1, 0).getDate();
    expect(inside.map(({ day }) => day)).toEqual(Array.from({ length: last }, (_, index) => index + 1));
    for (const week of weeks)
      week.forEach(({ year, month: of, day }, index) =>
        expect((new Date(year, of, day).getDay() + 6) % 7).toBe(index),
      );
  }
});
