import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Injector } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
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
import { nearestPages } from './frame/nearest-pages';
import { addressOf, FIRST_ROOM, lineAt, PLACES, roomAt, ROOMS } from './rooms';
import { pageRoutes, WhatIsTold } from './room';

const PROJECT = join(__dirname, '../../..');
const ASKED = { home: [0, 1, 2], now: [0, 1, 2], tolerance: {} as never };
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

  test('opens by its name in the ask line', () => {
    expect(ask(name, ASKED).intent).toEqual({ do: 'go', room });
  });

  test('helps in two sentences, with three things to try that lead to pages of it', async () => {
    const help = await room.help();
    await freshApp();
    expect(help.is.match(/[.?](?= |$)/g)).toHaveLength(2);
    const navigate = jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
    const tries = help.tries(TestBed.inject(Injector));
    expect(tries).toHaveLength(3);
    expect(new Set(tries.map(({ label }) => label)).size).toBe(3);
    const all = await room.load();
    const paths = (all[0].children ?? all).map(({ path = '' }) => path.split('/'));
    for (const { label, says, go } of tries) {
      expect([label, says]).toEqual([label, expect.stringMatching(/^[A-Z].*\.$/)]);
      await go(TestBed.inject(Injector));
    }
    for (const [[path, ...parts]] of navigate.mock.calls as unknown as [[string, ...string[]]][]) {
      const below = parts.length === 0 ? [''] : parts;
      expect(path).toBe(room.path);
      const fits = (route: readonly string[]): boolean => route[0] === below[0] || route[0].startsWith(':');
      expect([below, paths.some(fits)]).toEqual([below, true]);
    }
    expect(navigate.mock.calls.length).toBeGreaterThanOrEqual(2);
  });

  test('shows what can be told at addresses that it has', async () => {
    const [whole] = await room.load();
    const paths = (whole.children ?? []).map(({ path }) => path);
    for (const address of Object.values(room.shows ?? {}))
      expect(paths.includes(address) || paths.includes(':path')).toBe(true);
  });
});

describe.each(PLACES.map((place) => [place.name, place] as const))('the pages of %s', (_name, place) => {
  test('open in the ask line by their words and by their names', () => {
    for (const { path, name, words } of [...place.pages, ...(place.ways ?? [])])
      for (const text of [name, words])
        if (text !== undefined)
          expect(ask(text, ASKED).intent).toMatchObject({
            do: 'open',
            room: { path: place.path },
            way: { path },
          });
  });

  test('have a route each, a title unless they are called as what is open, and views that come', async () => {
    const all = await place.load();
    const routes = all[0].children ?? all;
    for (const { path, name, load, children } of place.pages) {
      const route = routes.find((each) => each.path === path);
      expect([path, route !== undefined]).toEqual([path, true]);
      if (name !== undefined) expect(route?.title).toContain(name);
      if (load) expect(await load()).toBeInstanceOf(Function);
      if (children) expect((await children()).length).toBeGreaterThan(0);
    }
  });

  test('are looked at in the browser tests', () => {
    const looked = [...read('e2e/tests/views.ts').matchAll(/path: '([^']+)'/g)].map(([, path]) => path);
    for (const { path } of place.pages) {
      const parts = ['', place.path, ...path.split('/').filter((part) => part !== '')];
      const address = new RegExp(
        `^${parts.map((part) => (part.startsWith(':') ? '[^/]+' : part)).join('/')}$`,
      );
      expect([address.source, looked.some((each) => address.test(each))]).toEqual([address.source, true]);
    }
  });
});

test('each page that has a name has a title of its own', () => {
  const titled = PLACES.flatMap((place) =>
    pageRoutes(place).flatMap(({ path = '', title }) =>
      typeof title === 'string' ? [{ title, address: `${place.path}/${path}` }] : [],
    ),
  );
  expect(titled.length).toBeGreaterThan(25);
  expect(new Set(titled.map(({ title }) => title)).size).toBe(titled.length);
  for (const { title } of titled) expect(title).toMatch(/^\S.* · Enumeron$/);
});

test.each([
  ['/learn/sum', '/learn/sums'],
  ['/weave/cycle', '/weave/cycles'],
  ['/setings', '/settings'],
  ['/gather', '/rehearse/gather'],
])('of %s the nearest page is %s', (address, nearest) => {
  expect(nearestPages(address)[0].address).toBe(nearest);
});

test('each has a key, an address and a name of its own', () => {
  for (const of of ['key', 'path', 'name'] as const)
    expect(new Set(ROOMS.map((room) => room[of])).size).toBe(ROOMS.length);
  for (const { key } of ROOMS) expect(key).toMatch(/^[1-7]$/);
});

test('whatever can be told is shown in one room', () => {
  const told: Readonly<Record<WhatIsTold, true>> = { wanted: true, facts: true, riffles: true };
  for (const each of Object.keys(told) as WhatIsTold[]) {
    expect(ROOMS.filter(({ shows }) => shows?.[each] !== undefined)).toHaveLength(1);
    expect(roomAt(`/${addressOf(each).join('/')}`)).toBeDefined();
  }
});

test('each address belongs to its room; what is no page says so', () => {
  for (const room of ROOMS) expect(roomAt(`/${room.path}/anything?x#y`)).toBe(room);
  expect(roomAt('/settings')).toBeUndefined();
  expect(lineAt('/settings')).toBe(FIRST_ROOM.line);
  expect(ROUTES.at(-1)?.path).toBe('**');
});

test('the frame names no room', () => {
  const frame = join(__dirname, 'frame');
  const sources = readdirSync(frame, { recursive: true, encoding: 'utf8' }).filter(
    (file) => /\.(ts|html)$/.test(file) && !file.endsWith('.spec.ts'),
  );
  expect(sources.length).toBeGreaterThan(20);
  for (const file of sources) {
    const words = readFileSync(join(frame, file), 'utf8')
      .replace(/^import .*$/gm, '')
      // The language has a type of this name.
      .replaceAll('Record<', '');
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
