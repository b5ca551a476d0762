import { DestroyRef, inject, Injectable, signal } from '@angular/core';
import { Subscription, takeWhile, timer } from 'rxjs';
import { WeavingStore } from '../../nouns/weaves/weaving.store';

/** Between two moves, in milliseconds. */
const PACE = 900;

/** Does the row move by move before one's eyes. */
@Injectable()
export class PlayRow {
  private readonly store = inject(WeavingStore);
  private run: Subscription | undefined;
  readonly on = signal(false);

  constructor() {
    inject(DestroyRef).onDestroy(() => this.stop());
  }

  start(): void {
    this.stop();
    this.on.set(true);
    if (this.store.step() === this.store.row().length) this.store.goTo(0);
    this.run = timer(PACE / 3, PACE)
      .pipe(takeWhile(() => this.store.step() < this.store.row().length))
      .subscribe({
        next: () => {
          this.store.goTo(this.store.step() + 1);
          if (this.store.step() === this.store.row().length) this.stop();
        },
        complete: () => this.on.set(false),
      });
  }

  stop(): void {
    this.run?.unsubscribe();
    this.on.set(false);
  }
}
