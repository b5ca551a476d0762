import { Injectable } from '@angular/core';

/** The time of day and the page's own time. Tests put theirs in its place. */
@Injectable({ providedIn: 'root' })
export class Clock {
  /** Milliseconds since 1970. */
  now(): number {
    return Date.now();
  }

  /** What the clock on the wall is ahead of UTC by, in minutes. */
  offset(): number {
    return -new Date().getTimezoneOffset();
  }

  /** The page's own time, as events have it. */
  pageNow(): number {
    return performance.now();
  }

  /** When the frame that is being made has been painted, in the page's own time. */
  painted(): Promise<number> {
    return new Promise((resolve) =>
      requestAnimationFrame(() => {
        const channel = new MessageChannel();
        // A message that is sent in a frame comes when that frame has been painted.
        channel.port1.onmessage = () => resolve(this.pageNow());
        channel.port2.postMessage(undefined);
      }),
    );
  }

  wait(ms: number): Promise<void> {
    return new Promise((resolve) => setTimeout(resolve, ms));
  }

  /** When something happened, in the page's own time. */
  of(event: Event): number {
    return event.timeStamp;
  }
}
