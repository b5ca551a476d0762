import { TestBed } from '@angular/core/testing';
import { numberOrder } from '@enumeron/core/deck';
import { newRoutine, newSet } from '@enumeron/core/file/perform/routine';
import { makeSetFile, readSetFile } from '@enumeron/core/file/perform/setFile';
import { WORKED } from '@enumeron/core/file/rehearse/worked/worked';
import { CarryIn } from '../nouns/sets/carry-in';
import { PROCEDURES } from '../nouns/procedures/procedures.kind';
import { RoutinesStore } from '../nouns/sets/routines.store';
import { ROUTINES } from '../nouns/sets/routines.kind';
import { makeSamples } from '../nouns/sets/sample';
import { SETS } from '../nouns/sets/sets.kind';
import { SetsStore } from '../nouns/sets/sets.store';
import { sayUsedIn } from '../nouns/sets/used-in';
import { Injector } from '@angular/core';
import { Scripts } from '../platform/scripts';
import type { Database } from '../storage/database';
import { Undoing } from '../storage/undoing';
import { NEVER } from 'rxjs';
import { RUN_JOB, RunJob } from '../platform/workers/jobs';
import { runHere } from '../../testing/jobs';
import { freshApp, until } from '../../testing/fresh';
import { Facts } from './facts';
import { afterwards, junctionWords, sayCost } from './sets/junction-words';
import { SetDesk } from './sets/set-desk';

const ORDER = { name: 'Tidemark', cards: numberOrder() };

/** Where nothing of what routines leave is asked, nothing is worked out. */
const NOTHING: RunJob = () => NEVER;

/** @param run what works out. @param only the routine that is there; all of the sample unless told. */
const open = async (run: RunJob = NOTHING, only?: string): Promise<Database> => {
  const db = await freshApp([
    ...[RoutinesStore, SetsStore, Facts, SetDesk],
    { provide: RUN_JOB, useValue: run },
  ]);
  for (const { kind, rows } of await makeSamples(TestBed.inject(Scripts)))
    await db.rows(kind).bulkPut([...rows]);
  if (only !== undefined)
    await db
      .rows(ROUTINES)
      .filter(({ id }) => id !== only)
      .delete();
  await until(() => TestBed.inject(RoutinesStore).all()?.length === (only === undefined ? 8 : 1));
  return db;
};

const openSet = async (id = 'sample-late-set'): Promise<SetDesk> => {
  const desk = TestBed.inject(SetDesk);
  desk.id.set(id);
  await until(() => desk.set() !== undefined);
  return desk;
};

const namesOf = (desk: SetDesk): readonly string[] => desk.lines().map(({ name }) => name);

test('the sample is one junction to mend on stage, an interval, and a better order', async () => {
  await open(runHere);
  const desk = await openSet();
  await until(() => !desk.isWaiting());
  const words = junctionWords(desk.junctions(), desk.homeOf);
  const running = desk.running();
  if (!running) throw new Error('no running order');
  expect(words).toHaveLength(7);
  expect(sayCost(running, words)).toBe('One mend, 15 s, in view, 5 s in the interval');
  const mended = words.flatMap(({ before, packs }) =>
    packs.filter(({ how }) => how !== 'fits').map(({ acts }) => [desk.nameOf(before), acts.join('. ')]),
  );
  expect(mended).toEqual([
    ['The harbour count', 'Turn the packet over. Put the packet where it belongs. Cut K♦ to the face'],
    ['A card made of two', 'Put 1 card back into place'],
  ]);
  expect(afterwards(desk.junctions(), desk.homeOf).map(({ pack }) => pack)).toEqual(['blue', 'red']);
  // Nothing changes until the best order is used; then one undo brings the other back.
  const before = namesOf(desk);
  desk.seeking.set(true);
  await until(() => desk.best() !== undefined);
  const best = desk.best();
  if (!best?.ok) throw new Error('no order');
  expect(best.running.seconds).toBeLessThan(running.seconds);
  expect(namesOf(desk)).toEqual(before);
  desk.useBest(best.running.order);
  await until(() => namesOf(desk).join() !== before.join());
  expect(desk.running()?.seconds).toBe(best.running.seconds);
  await TestBed.inject(Undoing).undo('table');
  await until(() => namesOf(desk).join() === before.join());
}, 90_000);

test('what was found stays until the procedure changes, and what is said by hand counts before it', async () => {
  const db = await open(runHere, 'sample-routine-made-of-two');
  const [facts, routines] = [TestBed.inject(Facts), TestBed.inject(RoutinesStore)];
  const row = () => routines.find('sample-routine-made-of-two');
  const own = () => {
    const found = row();
    return found && facts.of(found).at(0);
  };
  await until(() => own()?.isWaiting === false);
  expect(own()).toMatchObject({ mustSay: false, needs: { kind: 'home', turns: 'any' } });
  await until(() => facts.working() === undefined);
  void routines.change('sample-routine-made-of-two', 'say it', (each) => ({
    ...each,
    routine: { ...each.routine, packs: { blue: { ...each.routine.packs['blue'], leaves: 'same' } } },
  }));
  await until(() => own()?.leaves === 'same');
  // It is no other question: nothing is worked out anew.
  expect(facts.working()).toBeUndefined();
  const first = JSON.stringify(own()?.found);
  const procedure = WORKED.find(({ procedure: each }) => each.name === 'A card made of two')?.procedure;
  await db.rows(PROCEDURES).update('sample-a-card-made-of-two', {
    procedure: { ...procedure, steps: procedure?.steps.slice(0, 2) ?? [] },
  });
  await until(() => own()?.found !== undefined && JSON.stringify(own()?.found) !== first);
  // A procedure that is gone leaves what is said by hand.
  await db.rows(PROCEDURES).delete('sample-a-card-made-of-two');
  await until(() => own()?.found === undefined);
  expect(own()).toMatchObject({ leaves: 'same', mustSay: true });
}, 90_000);

test('a set is changed in turn, with nothing that no reader would take', async () => {
  await open();
  const desk = await openSet();
  const [first, second] = desk.lines();
  desk.move(second.id, -5);
  await until(() => desk.lines()[0].id === second.id);
  desk.move(second.id, 99);
  await until(() => desk.lines()[6].id === second.id);
  desk.fix({ kind: 'opener', id: first.id });
  await until(() => desk.points().some(({ point }) => point.kind === 'opener'));
  desk.setInterval(undefined);
  await until(() => desk.set()?.interval === undefined);
  desk.setInterval(2);
  await until(() => desk.set()?.interval === 2);
  desk.takeOut(first.id);
  await until(() => desk.lines().length === 6);
  expect(desk.points().some(({ point }) => point.kind === 'opener')).toBe(false);
  // Twice is once.
  desk.add(first.id);
  desk.add(first.id);
  await until(() => desk.lines().length === 7);
});

test('a pack of two orders is told, and so is a routine that is not there any more', async () => {
  const db = await open();
  const other = { name: 'Other', cards: [...numberOrder()].reverse() };
  const routine = (id: string, order: typeof ORDER) => ({
    ...{ id, at: 1 },
    routine: {
      ...newRoutine(id),
      packs: { blue: { order, needs: { kind: 'home', turns: 'any' } as const, leaves: 'same' as const } },
    },
  });
  await db.rows(ROUTINES).bulkPut([routine('one', ORDER), routine('two', other)]);
  await db.rows(SETS).put({ id: 'clash', at: 1, set: { ...newSet('Clash'), order: ['one', 'two', 'none'] } });
  const desk = await openSet('clash');
  await until(() => desk.packs().length === 1 && desk.packs()[0].clash !== undefined);
  expect(desk.packs()[0].clash).toEqual(['one', 'two']);
  expect(namesOf(desk)[2]).toBe('A routine that was removed');
  expect(desk.running()?.order).toEqual(['one', 'two', 'none']);
  const injector = TestBed.inject(Injector);
  expect(await sayUsedIn(injector, ({ id }) => id === 'one')).toBe(' It is used in Clash.');
  expect(await sayUsedIn(injector, ({ id }) => id === 'x')).toBe('');
});

test('a set that was shared is kept as one action, with the ids that are free and the procedures that are here', async () => {
  const db = await open();
  const procedure = WORKED.find(({ procedure: each }) => each.name === 'A card made of two')?.procedure;
  const file: unknown = JSON.parse(
    makeSetFile({
      set: { ...newSet('Shared'), order: ['a', 'b'], opener: 'a', before: [['a', 'b']] },
      routines: [
        { id: 'a', routine: newRoutine('One'), procedure },
        { id: 'b', routine: newRoutine('Two'), procedure: { name: 'Not here', steps: [] } },
      ],
    }),
  );
  const read = readSetFile(file);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  const procedures = await db.rows(PROCEDURES).count();
  const id = await TestBed.inject(CarryIn).keep(read.carried);
  const row = await db.rows(SETS).get(id);
  const [one, two] = row?.set.order ?? [];
  expect([one, two]).toEqual(['a', 'b']);
  expect(row?.set).toMatchObject({ name: 'Shared', opener: one, before: [[one, two]] });
  expect((await db.rows(ROUTINES).get(one))?.procedure).toBe('sample-a-card-made-of-two');
  expect(await db.rows(PROCEDURES).count()).toBe(procedures + 1);
  await TestBed.inject(Undoing).undo('table');
  await until(async () => (await db.rows(SETS).get(id)) === undefined);
  expect(await db.rows(PROCEDURES).count()).toBe(procedures);
});

test('a set that comes back is merged: of each part the later state stays; as another it takes only what is free', async () => {
  const db = await open();
  const carrying = TestBed.inject(CarryIn);
  const set = { ...newSet('Travelling'), order: ['a', 'b'] };
  const [one, two] = [newRoutine('One'), newRoutine('Two')];
  const carried = {
    ...{ id: 'travelling', changed: 10, set },
    routines: [
      { id: 'a', routine: one, changed: 10 },
      { id: 'b', routine: two, changed: 10 },
    ],
  };
  expect(await carrying.bringing(carried)).toBeUndefined();
  expect(await carrying.keep(carried)).toBe('travelling');
  expect(await carrying.bringing(carried)).toEqual({ set: false, routines: 0 });
  // Here the first routine was changed later than there, the second and the set earlier.
  await db.rows(ROUTINES).put({ id: 'a', routine: { ...one, minutes: 9 }, at: 1, changed: 30 });
  const back = {
    ...{ ...carried, changed: 20, set: { ...set, name: 'Travelled', order: ['b', 'a', 'c'] } },
    routines: [
      { id: 'a', routine: { ...one, minutes: 7 }, changed: 20 },
      { id: 'b', routine: { ...two, minutes: 8 }, changed: 20 },
      { id: 'c', routine: newRoutine('Three'), changed: 20 },
    ],
  };
  expect(await carrying.bringing(back)).toEqual({ set: true, routines: 2 });
  expect(await carrying.merge(back)).toBe('travelling');
  const minutes = async (id: string) => (await db.rows(ROUTINES).get(id))?.routine.minutes;
  expect([await minutes('a'), await minutes('b')]).toEqual([9, 8]);
  expect((await db.rows(SETS).get('travelling'))?.set).toMatchObject({
    name: 'Travelled',
    order: ['b', 'a', 'c'],
  });
  expect(await carrying.bringing(back)).toEqual({ set: false, routines: 0 });
  await TestBed.inject(Undoing).undo('table');
  await until(async () => (await db.rows(SETS).get('travelling'))?.set.name === 'Travelling');
  const other = await carrying.keep(back);
  expect(other).not.toBe('travelling');
  const order = (await db.rows(SETS).get(other))?.set.order ?? [];
  expect([order.includes('a'), order.includes('b'), order.includes('c')]).toEqual([false, false, true]);
});
