import { TestBed } from '@angular/core/testing';
import { Route } from '@angular/router';
import { Observable, of, throwError } from 'rxjs';
import { PreloadWhenIdle } from './preload';
import { ROOMS } from './rooms';

const route: Route = { path: ROOMS[0].path };
const saveData = (value: boolean): void =>
  void Object.defineProperty(navigator, 'connection', { value: { saveData: value }, configurable: true });

/** What is emitted, in turn, after so many milliseconds. */
const after = async (ms: number, load: () => Observable<unknown>): Promise<string[]> => {
  const seen: string[] = [];
  TestBed.inject(PreloadWhenIdle)
    .preload(route, load)
    .subscribe({
      next: (value) => seen.push(String(value)),
      error: () => seen.push('failed'),
      complete: () => seen.push('end'),
    });
  await jest.advanceTimersByTimeAsync(ms);
  return seen;
};

beforeEach(() => {
  jest.useFakeTimers();
  jest.spyOn(ROOMS[0], 'ahead').mockReturnValue(Promise.resolve());
});
afterEach(() => {
  saveData(false);
  jest.restoreAllMocks();
  jest.useRealTimers();
});

test('a room is run, with what it shows behind itself, when the first screen has had its time', async () => {
  expect(await after(3900, () => of('room'))).toEqual([]);
  expect(ROOMS[0].ahead).not.toHaveBeenCalled();
  await jest.advanceTimersByTimeAsync(20_000);
  expect(ROOMS[0].ahead).toHaveBeenCalledWith(expect.anything());
});

test('what is run ahead comes one by one, each in an idle moment of its own', async () => {
  const begun: number[] = [];
  const start = Date.now();
  const load = (): Observable<unknown> => {
    begun.push(Date.now() - start);
    return of('room');
  };
  void after(0, load);
  void after(0, load);
  await after(20_000, load);
  expect(begun).toHaveLength(3);
  expect(begun[0]).toBeGreaterThanOrEqual(4000);
  for (const [index, at] of begun.slice(1).entries()) expect(at - begun[index]).toBeGreaterThanOrEqual(100);
});

test('what cannot be had ahead is no failure', async () => {
  expect(await after(20_000, () => throwError(() => new Error('offline')))).toEqual(['end']);
});

test('nothing is loaded ahead for whoever saves data', async () => {
  saveData(true);
  expect(await after(20_000, () => of('room'))).toEqual(['end']);
  expect(ROOMS[0].ahead).not.toHaveBeenCalled();
});
