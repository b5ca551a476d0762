import { Injectable } from '@angular/core';
import { PreloadingStrategy, Route } from '@angular/router';
import { Observable, of, switchMap } from 'rxjs';

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

/** Loads the rooms that are not open while nothing else is to be done, so that each opens at once. */
@Injectable({ providedIn: 'root' })
export class PreloadWhenIdle implements PreloadingStrategy {
  preload(_: Route, load: () => Observable<unknown>): Observable<unknown> {
    return isThrifty() ? of(undefined) : idle().pipe(switchMap(load));
  }
}
