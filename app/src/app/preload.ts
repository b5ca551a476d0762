import { inject, Injectable, Injector } from '@angular/core';
import { PreloadingStrategy, Route } from '@angular/router';
import { catchError, EMPTY, merge, Observable, switchMap } from 'rxjs';
import { ROOMS } from './rooms';

/** How long after the first screen, in milliseconds: until then the machine is busy with what that needs. */
const LATER = 1500;

/** Whether the user has asked for as little traffic as possible. */
const isThrifty = (): boolean =>
  (navigator as { connection?: { saveData?: boolean } }).connection?.saveData === true;

/** Emits when the browser has nothing better to do. */
const idle = (): Observable<void> =>
  new Observable((told) => {
    const go = (): void => {
      told.next();
      told.complete();
    };
    const timer = setTimeout(() => {
      if (typeof requestIdleCallback === 'function') requestIdleCallback(go, { timeout: 5000 });
      else go();
    }, LATER);
    return () => clearTimeout(timer);
  });

/**
 * Loads the rooms that are not open, and what their first views show behind themselves, while nothing else is to be
 * done, so that each opens at once. What cannot be had is asked for again when it is wanted.
 */
@Injectable({ providedIn: 'root' })
export class PreloadWhenIdle implements PreloadingStrategy {
  private readonly injector = inject(Injector);

  preload({ path }: Route, load: () => Observable<unknown>): Observable<unknown> {
    if (isThrifty()) return EMPTY;
    const room = ROOMS.find((each) => each.path === path);
    return idle().pipe(
      switchMap(() => merge(load(), room?.ahead?.(this.injector) ?? EMPTY)),
      catchError(() => EMPTY),
    );
  }
}
