import { EnvironmentProviders, Provider } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { Boot } from '../app/data/boot';
import { Database, DATABASE } from '../app/data/db';
import { leftInFlight } from '../app/data/in-flight';
import { provideIcons } from '../app/frame/icons';

let count = 0;

/** A database of its own in memory, laid out as on a first visit, and the application's services over it. */
export const freshApp = async (providers: (Provider | EnvironmentProviders)[] = []): Promise<Database> => {
  const db = new Database(`test-${(count++).toString()}`);
  TestBed.configureTestingModule({
    providers: [provideIcons(), provideRouter([]), { provide: DATABASE, useValue: db }, ...providers],
  });
  // What the application of the test before still has to write is its own.
  await until(() => (leftInFlight() as readonly unknown[]).length === 0);
  localStorage.setItem('enumeron-visited', '1');
  await TestBed.inject(Boot).run();
  return db;
};

/** What is still written, and read anew because of that, ends before its page is gone. */
afterAll(async () => {
  await until(() => (leftInFlight() as readonly unknown[]).length === 0);
  await new Promise((resolve) => setTimeout(resolve, 50));
});

/** Waits until something is true, looking again after every turn of the event loop. */
export const until = async (holds: () => boolean): Promise<void> => {
  for (let turn = 0; turn < 4000; turn++) {
    if (holds()) return;
    await new Promise((resolve) => setTimeout(resolve, 5));
  }
  throw new Error(`never: ${holds.toString()}`);
};
