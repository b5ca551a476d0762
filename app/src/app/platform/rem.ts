import { Signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { distinctUntilChanged, fromEvent, map, startWith } from 'rxjs';

/**
 * How many pixels a `rem` has: 16 at the usual text size, more where the browser's is larger or the window has room.
 * Call it where a view is made.
 */
export const remSignal = (): Signal<number> =>
  toSignal(
    fromEvent(window, 'resize').pipe(
      startWith(undefined),
      map(() => parseFloat(getComputedStyle(document.documentElement).fontSize) || 16),
      distinctUntilChanged(),
    ),
    { requireSync: true },
  );
