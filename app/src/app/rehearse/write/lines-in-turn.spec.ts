import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { linesInTurn } from './lines-in-turn';

const lines = (count: number): readonly number[] => Array.from({ length: count }, (_, index) => index);

test('a screenful is drawn at once, then more in turn until all are; up to where one is at once', async () => {
  const [all, upTo] = [signal(lines(1000)), signal(0)];
  const drawn = TestBed.runInInjectionContext(() => linesInTurn(all, upTo));
  expect(drawn()).toEqual(lines(1000).slice(0, drawn().length));
  expect(drawn().length).toBeLessThan(100);
  upTo.set(700);
  expect(drawn()).toHaveLength(700);
  const lengths = new Set<number>();
  for (let frame = 0; frame < 200 && drawn().length < 1000; frame++) {
    TestBed.tick();
    lengths.add(drawn().length);
    await new Promise((resolve) => requestAnimationFrame(resolve));
  }
  expect(drawn()).toBe(all());
  expect(lengths.size).toBeGreaterThan(2);
  // One step more, and one less, is no reason to begin anew.
  all.set(lines(999));
  expect(drawn()).toBe(all());
});
