import { effect, inject, Signal, signal, untracked } from '@angular/core';
import { Clock } from '../platform/clock';

/**
 * How long a search took, in milliseconds, from when it was asked for until it ended. Call it in an injection context.
 *
 * @param asked what is asked, anew for each search. @param ended whether that search has ended.
 */
export const tookSince = (asked: Signal<unknown>, ended: Signal<unknown>): Signal<number> => {
  const clock = inject(Clock);
  const took = signal(0);
  let began = clock.pageNow();
  effect(() => {
    asked();
    began = clock.pageNow();
  });
  effect(() => {
    if (ended()) untracked(() => took.set(clock.pageNow() - began));
  });
  return took.asReadonly();
};
