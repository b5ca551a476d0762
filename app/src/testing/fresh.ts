import { EnvironmentProviders, Provider } from '@angular/core';
import { DeferBlockBehavior, TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { Boot } from '../app/boot';
import { databaseOf } from '../app/database';
import type { Database } from '../app/storage/database';
import { leftInFlight } from '../app/storage/in-flight';
import { Journal, REST } from '../app/storage/journal';
import { Reader } from '../app/storage/reader';
import { ARRANGE } from '../app/arrange/room';
import { ROOM_SAMPLES } from '../app/storage/samples';
import { MAKE_DATABASE } from '../app/storage/storage';
import { RUN_JOB } from '../app/platform/workers/jobs';
import { forgetActs } from '../app/platform/once';
import { runHere } from './jobs';
import { pass } from './pass';

let count = 0;

/** A database of its own in memory. */
export const newDatabase = (): Database => databaseOf(`test-${(count++).toString()}`);

/** The application's services over a database; another one is made where storage is in trouble. */
export const provideApp = (
  db: Database,
  providers: (Provider | EnvironmentProviders)[] = [],
): (Provider | EnvironmentProviders)[] => [
  provideRouter([]),
  { provide: ROOM_SAMPLES, useValue: [ARRANGE] },
  { provide: REST, useValue: [0, 0] },
  { provide: RUN_JOB, useValue: runHere },
  {
    provide: MAKE_DATABASE,
    useValue: (inMemory?: boolean) => Promise.resolve(inMemory ? newDatabase() : db),
  },
  ...providers,
];

/** A database laid out as on a first visit, and the application's services over it. */
export const freshApp = async (
  providers: (Provider | EnvironmentProviders)[] = [],
  db = newDatabase(),
  deferBlockBehavior = DeferBlockBehavior.Playthrough,
): Promise<Database> => {
  TestBed.configureTestingModule({ providers: provideApp(db, providers), deferBlockBehavior });
  // What the application of the test before still has to write is its own.
  await until(() => leftInFlight().length === 0);
  forgetActs();
  localStorage.setItem('enumeron-visited', '1');
  await TestBed.inject(Boot).run();
  await TestBed.inject(Reader).ready();
  TestBed.inject(Journal);
  return db;
};

/** What is still written, and read anew because of that, ends before its page is gone. */
afterAll(async () => {
  await until(() => leftInFlight().length === 0);
  await pass(50);
});

/** Waits until something is true, looking again after every turn of the event loop. */
export const until = async (holds: () => boolean | Promise<boolean>): Promise<void> => {
  for (let turn = 0; turn < 4000; turn++) {
    if (await holds()) return;
    await pass(5);
  }
  throw new Error(`never: ${holds.toString()}`);
};
