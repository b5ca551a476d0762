import { Injector } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { freshApp, until } from '../../testing/fresh';
import { render, Rendered } from '../../testing/render';
import { LATELY } from '../nouns/settings/lately.kind';
import { LatelyStore } from '../nouns/settings/lately.store';
import { PackStore } from '../nouns/pack/pack.store';
import { Room } from '../room';
import { FIRST_ROOM, ROOMS } from '../rooms';
import { Database } from '../storage/database';
import { Journal } from '../storage/journal';
import { Undoing } from '../storage/undoing';
import { Welcome } from './welcome';

let line: Rendered<Welcome>;
let db: Database;

const greet = async (room: Room): Promise<void> => {
  line = await render(Welcome, { room });
  await until(() => TestBed.inject(LatelyStore).isRead());
  await line.fixture.whenStable();
};
const says = async (): Promise<void> => {
  await until(() => {
    line.fixture.detectChanges();
    return line.text() !== '';
  });
};
const isGone = async (room: Room): Promise<void> => {
  await until(() => TestBed.inject(LatelyStore).isGreeted(room.path));
  await line.fixture.whenStable();
  expect(line.text()).toBe('');
};

beforeEach(async () => {
  db = await freshApp();
});

test('asks for what was seen, then for what was named, and is gone for good once both are told', async () => {
  jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
  await greet(FIRST_ROOM);
  await says();
  const pack = TestBed.inject(PackStore);
  const third = pack.now()[2];
  await line.click('face KH');
  await until(() => pack.seen() !== undefined);
  expect(pack.now().at(-1)).toBe(third);
  await line.fixture.whenStable();
  expect(line.text()).not.toContain('face');
  await line.click('7D 15');
  await isGone(FIRST_ROOM);
  // Taking that back does not bring it again, and the note of it is no step of undo.
  await until(() => TestBed.inject(Journal).undoable('table')?.startsWith('want') === true);
  await TestBed.inject(Undoing).undo('table');
  await line.fixture.whenStable();
  expect(line.text()).toBe('');
});

test.each(ROOMS.map((room) => [room.name, room] as const))('%s can be left without it', async (_, room) => {
  await greet(room);
  await says();
  await line.click('Close the greeting');
  await isGone(room);
  expect(TestBed.inject(Journal).undoable('table')).toBeUndefined();
  const others = ROOMS.filter((each) => each !== room);
  for (const { path } of others) expect(TestBed.inject(LatelyStore).isGreeted(path)).toBe(false);
});

test.each(ROOMS.filter((room) => room !== FIRST_ROOM).map((room) => [room.name, room] as const))(
  '%s: one press leads to a page of its own, and the greeting is gone',
  async (_, room) => {
    const navigate = jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
    await greet(room);
    await says();
    const [first] = (await room.help()).tries(TestBed.inject(Injector));
    await line.click(first.label);
    await isGone(room);
    await until(() => navigate.mock.calls.length > 0);
    expect(navigate.mock.calls[0][0][0]).toBe(room.path);
  },
);

test('who was greeted before rooms were told apart is not greeted again', async () => {
  await db.rows(LATELY).put({ id: 'lately', ways: [], greeting: 'used' });
  await greet(FIRST_ROOM);
  expect(line.text()).toBe('');
  TestBed.inject(LatelyStore).greet('weave');
  await until(() => TestBed.inject(LatelyStore).isGreeted('weave'));
  expect(TestBed.inject(LatelyStore).isGreeted(FIRST_ROOM.path)).toBe(true);
});

test('a room that was left before its greeting came greets nobody in the next', async () => {
  const [left, opened] = ROOMS.filter((room) => room !== FIRST_ROOM);
  const late = await left.help();
  let come: (() => void) | undefined;
  await greet({ ...left, help: () => new Promise((resolve) => (come = () => resolve(late))) });
  line.fixture.componentRef.setInput('room', opened);
  await says();
  come?.();
  await Promise.resolve();
  await line.fixture.whenStable();
  expect(line.text()).toContain((await opened.help()).is);
});
