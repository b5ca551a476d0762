import { DestroyRef, DOCUMENT, inject, Injectable, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { fromEvent } from 'rxjs';
import { secureOnly } from './secure-only';

/** Keeps the screen on while whatever provides this is there, where the browser can. */
@Injectable()
export class StayOn {
  private readonly document = inject(DOCUMENT);
  /** Whether the screen may go off. */
  readonly maySleep = signal(false);
  private lock: WakeLockSentinel | undefined;
  private gone = false;

  constructor() {
    void this.hold();
    // The browser lets go of it when the tab is hidden.
    fromEvent(this.document, 'visibilitychange')
      .pipe(takeUntilDestroyed())
      .subscribe(() => {
        if (this.document.visibilityState === 'visible') void this.hold();
      });
    inject(DestroyRef).onDestroy(() => {
      this.gone = true;
      void this.lock?.release();
    });
  }

  private async hold(): Promise<void> {
    try {
      this.lock = await secureOnly().wakeLock?.request('screen');
    } catch {
      // Saving power, or no right to it.
      this.lock = undefined;
    }
    this.maySleep.set(this.lock === undefined);
    if (this.gone) void this.lock?.release();
  }
}
