import { ApplicationRef, inject } from '@angular/core';
import { NavigationEnd, Router } from '@angular/router';
import { filter } from 'rxjs';

/**
 * Draws a room that was opened in the same task. Left to the next frame, the browser would lay out first what the room
 * before it has left behind.
 */
export const drawAtOnce = (): void => {
  const app = inject(ApplicationRef);
  inject(Router)
    .events.pipe(filter((event) => event instanceof NavigationEnd))
    .subscribe(() =>
      queueMicrotask(() => {
        if (!app.destroyed) app.tick();
      }),
    );
};
