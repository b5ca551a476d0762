import { TestBed } from '@angular/core/testing';
import { Route } from '@angular/router';
import { Observable, of, throwError } from 'rxjs';
import { PreloadWhenIdle } from './preload';
import { ROOMS } from './rooms';

const route: Route = { path: ROOMS[0].path };
const saveData = (value: boolean): void =>
  void Object.defineProperty(navigator, 'connection', { value: { saveData: value }, configurable: true });

/** What is emitted, in turn, after so many milliseconds. */
const after = (ms: number, load: () => Observable<unknown>): string[] => {
  const seen: string[] = [];
  TestBed.inject(PreloadWhenIdle)
    .preload(route, load)
    .subscribe({
      next: (value) => seen.push(String(value)),
      error: () => seen.push('failed'),
      complete: () => seen.push('end'),
    });
  jest.advanceTimersByTime(ms);
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

test('a room is loaded, with what it shows behind itself, when the first screen has had its time', () => {
  expect(after(1400, () => of('room'))).toEqual([]);
  expect(ROOMS[0].ahead).not.toHaveBeenCalled();
  expect(after(20_000, () => of('room'))).toEqual(['room']);
  expect(ROOMS[0].ahead).toHaveBeenCalledWith(expect.anything());
});

test('what cannot be had ahead is no failure', () => {
  expect(after(20_000, () => throwError(() => new Error('offline')))).toEqual(['end']);
});

test('nothing is loaded ahead for whoever saves data', () => {
  saveData(true);
  expect(after(20_000, () => of('room'))).toEqual(['end']);
  expect(ROOMS[0].ahead).not.toHaveBeenCalled();
});
