import { inject, Injectable, Injector } from '@angular/core';
import { PreloadingStrategy, Route } from '@angular/router';
import { catchError, defer, EMPTY, Observable, switchMap, tap } from 'rxjs';
import { Clock } from './platform/clock';
import { Room } from './room';
import { ROOMS } from './rooms';

/**
 * How long after the first screen the first room is run ahead, and how long after it each next part, in milliseconds. Until
 * then whoever opens a room waits for its scripts, which come out of the browser's cache.
 */
const [FIRST, NEXT] = [4000, 100] as const;
/** So long an idle moment is waited for. */
const LONGEST = 5000;

/** Whether the user has asked for as little traffic as possible. */
const isThrifty = (): boolean =>
  (navigator as { connection?: { saveData?: boolean } }).connection?.saveData === true;

/** Resolves when the browser has nothing better to do. */
const idle = (): Promise<void> =>
  new Promise((resolve) => {
    if (typeof requestIdleCallback === 'function') requestIdleCallback(() => resolve(), { timeout: LONGEST });
    else resolve();
  });

/**
 * Runs the rooms that are not open, their pages, and what their first views show behind themselves, so that each opens at
 * once: one after the other, each in an idle moment of its own. What cannot be had is asked for again when it is wanted.
 */
@Injectable({ providedIn: 'root' })
export class PreloadWhenIdle implements PreloadingStrategy {
  private readonly injector = inject(Injector);
  private readonly clock = inject(Clock);
  private turn: Promise<void> | undefined;

  preload({ path }: Route, load: () => Observable<unknown>): Observable<unknown> {
    if (isThrifty()) return EMPTY;
    const room = ROOMS.find((each) => each.path === path);
    return defer(() => this.next()).pipe(
      switchMap(load),
      tap(() => void this.goAhead(room)),
      catchError(() => EMPTY),
    );
  }

  /** Waits until it is the turn of what is run ahead next, and then for an idle moment. */
  private next(): Promise<void> {
    this.turn = this.turn ? this.turn.then(() => this.clock.wait(NEXT)) : this.clock.wait(FIRST);
    this.turn = this.turn.then(idle);
    return this.turn;
  }

  private async goAhead(room: Room | undefined): Promise<void> {
    await idle();
    // What cannot be had is asked for again when it is wanted.
    await room?.ahead?.(this.injector).catch(() => undefined);
  }
}
