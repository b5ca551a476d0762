import {
  concat,
  distinctUntilChanged,
  fromEvent,
  map,
  merge,
  Observable,
  of,
  shareReplay,
  startWith,
  switchMap,
  timer,
} from 'rxjs';

/** So long nobody touches the page before it counts as left alone, in milliseconds. */
const LEFT_ALONE = 8000;

const TOUCHES = ['keydown', 'pointerdown', 'pointermove', 'wheel', 'touchstart'] as const;

/** Whether nobody has touched a page for a while, or it is not in sight. */
export const quiet = (page: Document, after = LEFT_ALONE): Observable<boolean> =>
  merge(
    ...TOUCHES.map((name) => fromEvent(page, name, { passive: true, capture: true })),
    fromEvent(page, 'visibilitychange'),
  ).pipe(
    startWith(undefined),
    map(() => page.visibilityState === 'hidden'),
    switchMap((hidden) => (hidden ? of(true) : concat(of(false), timer(after).pipe(map(() => true))))),
    distinctUntilChanged(),
    shareReplay({ bufferSize: 1, refCount: true }),
  );
