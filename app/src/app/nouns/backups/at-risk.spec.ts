import { TestBed } from '@angular/core/testing';
import { freshApp, until } from '../../../testing/fresh';
import { pass } from '../../../testing/pass';
import { Database } from '../../storage/database';
import { SEEDED } from '../../storage/kinds/seeded';
import { PackStore } from '../pack/pack.store';
import { BACKUPS } from './backups.kind';
import { BackupsStore } from './backups.store';

const DAY = 86_400_000;
let db: Database;

/** A first visit so many days ago, in a browser that keeps what is stored, may clear it, or does not say. */
const begin = async (days: number, persisted: boolean | undefined): Promise<void> => {
  Object.defineProperty(navigator, 'storage', {
    value: persisted === undefined ? undefined : { persisted: () => Promise.resolve(persisted) },
    configurable: true,
  });
  db = await freshApp();
  await db.rows(SEEDED).put({ id: 'seeded', at: Date.now() - days * DAY - 1000, rooms: [] });
};
const work = (): Promise<unknown> => TestBed.inject(PackStore).apply({ kind: 'cut', count: 3 });
const atRisk = (): number | undefined => TestBed.inject(BackupsStore).atRisk();
afterEach(() => Reflect.deleteProperty(navigator, 'storage'));

test('after a week of work that the browser may clear, a backup is asked for', async () => {
  await begin(8, false);
  await work();
  await until(() => atRisk() === 8);
});

test.each([
  ['the browser keeps it', 8, true, true],
  ['the browser does not say', 8, undefined, true],
  ['nothing was done', 8, false, false],
  ['it is not a week yet', 6, false, true],
])('none is asked for where %s', async (_, days, persisted, worked) => {
  await begin(days, persisted);
  if (worked) await work();
  expect(atRisk()).toBeUndefined();
  await pass(50);
  expect(atRisk()).toBeUndefined();
});

test('none is asked for once one was saved', async () => {
  await begin(30, false);
  await work();
  await db.rows(BACKUPS).put({ id: 'backups', saved: Date.now() });
  expect(atRisk()).toBeUndefined();
  await pass(50);
  expect(atRisk()).toBeUndefined();
});
