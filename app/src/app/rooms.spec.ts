import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { TestBed } from '@angular/core/testing';
import { Route } from '@angular/router';
import { freshApp } from '../testing/fresh';
import { ROUTES } from './app.routes';
import { ARRANGE } from './arrange/room';
import { Boot } from './boot';
import { Database } from './storage/database';
import { ORDERS } from './nouns/orders/orders.kind';
import { SEEDED } from './storage/kinds/seeded';
import { ROOM_SAMPLES, sampleOf } from './storage/samples';
import { Storage } from './storage/storage';
import { ask } from './frame/ask/ask';
import { addressOf, FIRST_ROOM, lineAt, roomAt, ROOMS } from './rooms';
import { Told } from './room';

const PROJECT = join(__dirname, '../../..');
const read = (path: string): string => readFileSync(join(PROJECT, path), 'utf8');

describe.each(ROOMS.map((room) => [room.name, room] as const))('%s', (name, room) => {
  test('is looked at in the browser tests', () => {
    expect(read('e2e/tests/views.ts')).toMatch(new RegExp(`path: '/${room.path}[/']`));
  });

  test('stands in the README with its key and its question, and among the keys', () => {
    expect(read('README.md')).toMatch(new RegExp(`^\\| ${room.key} +\\| \\*\\*${name}\\*\\* +\\|`, 'm'));
    expect(read('README.md')).toContain(room.words);
    expect(read('docs/keyboard.md')).toMatch(new RegExp(`^\\|.*\`${room.key}\`.*\\|.*${name}`, 'm'));
  });

  test('has views, and one that its address opens', async () => {
    const [whole] = await room.load();
    expect((whole.children ?? [whole]).map(({ path }) => path)).toContain('');
  });

  test('opens by its name in the ask line, and each way into it by its words', () => {
    const asked = { home: [0, 1, 2], now: [0, 1, 2], tolerance: {} as never };
    expect(ask(name, asked).intent).toEqual({ do: 'go', room });
    for (const way of room.ways ?? [])
      expect(ask(way.words, asked).intent).toMatchObject({ do: 'open', room, way });
  });

  test('shows what can be told at addresses that it has', async () => {
    const [whole] = await room.load();
    const paths = (whole.children ?? []).map(({ path }) => path);
    for (const address of Object.values(room.shows ?? {}))
      expect(paths.includes(address) || paths.includes(':path')).toBe(true);
  });
});

test('each has a key, an address and a name of its own', () => {
  for (const of of ['key', 'path', 'name'] as const)
    expect(new Set(ROOMS.map((room) => room[of])).size).toBe(ROOMS.length);
  for (const { key } of ROOMS) expect(key).toMatch(/^[1-7]$/);
});

test('whatever can be told is shown in one room', () => {
  const told: Readonly<Record<Told, true>> = { wanted: true, facts: true, riffles: true };
  for (const each of Object.keys(told) as Told[]) {
    expect(ROOMS.filter(({ shows }) => shows?.[each] !== undefined)).toHaveLength(1);
    expect(roomAt(`/${addressOf(each).join('/')}`)).toBeDefined();
  }
});

test('each address belongs to its room; what is no room opens the first', () => {
  for (const room of ROOMS) expect(roomAt(`/${room.path}/anything?x#y`)).toBe(room);
  expect(roomAt('/settings')).toBeUndefined();
  expect(lineAt('/settings')).toBe(FIRST_ROOM.line);
  expect(ROUTES.find(({ path }: Route) => path === '**')?.redirectTo).toBe(FIRST_ROOM.path);
});

test('the frame names no room', () => {
  const frame = join(__dirname, 'frame');
  const sources = readdirSync(frame, { recursive: true, encoding: 'utf8' }).filter(
    (file) => /\.(ts|html)$/.test(file) && !file.endsWith('.spec.ts'),
  );
  expect(sources.length).toBeGreaterThan(20);
  for (const file of sources) {
    const words = readFileSync(join(frame, file), 'utf8').replace(/^import .*$/gm, '');
    for (const { name, path } of ROOMS)
      expect([file, new RegExp(`\\b${name}\\b|['"/]${path}['"/]`).exec(words)?.[0]]).toEqual([
        file,
        undefined,
      ]);
  }
});

describe('samples', () => {
  const NEW_ROOM = {
    path: 'new-room',
    samples: () =>
      Promise.resolve([
        sampleOf(ORDERS, [
          { id: 'sample-new', name: 'New', cards: [0, 1, 2], sample: true, made: 9, changed: 9 },
        ]),
      ]),
  };

  const seedAgain = async (db: Database): Promise<void> => {
    TestBed.resetTestingModule();
    await freshApp([{ provide: ROOM_SAMPLES, useValue: [ARRANGE, NEW_ROOM] }], db);
  };

  test('of a room that is new come to a database that has the others, once', async () => {
    const db = await freshApp();
    const { at } = (await db.rows(SEEDED).get('seeded')) ?? { at: 0 };
    // As it was written before rooms were noted.
    await db.rows(SEEDED).put({ id: 'seeded', at });
    await db.rows(ORDERS).delete('sample-tidemark');
    await seedAgain(db);
    expect(await db.rows(ORDERS).get('sample-new')).toBeDefined();
    expect(await db.rows(ORDERS).get('sample-tidemark')).toBeUndefined();
    expect(await db.rows(SEEDED).get('seeded')).toEqual({ id: 'seeded', at, rooms: ['arrange', 'new-room'] });
    await db.rows(ORDERS).delete('sample-new');
    await seedAgain(db);
    expect(await db.rows(ORDERS).get('sample-new')).toBeUndefined();
  });

  test('all come back when everything is erased', async () => {
    const db = await freshApp([{ provide: ROOM_SAMPLES, useValue: [ARRANGE, NEW_ROOM] }]);
    await db.rows(ORDERS).clear();
    await TestBed.inject(Boot).eraseAll(false);
    expect(await db.rows(ORDERS).get('sample-new')).toBeDefined();
    expect(await db.rows(ORDERS).get('sample-tidemark')).toBeDefined();
    expect(TestBed.inject(Storage).trouble()).toBeUndefined();
  });
});
