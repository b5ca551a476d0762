import { DestroyRef, DOCUMENT, inject, Injectable, signal } from '@angular/core';

/** Whether a page has the whole screen to itself, in the dim look: nothing of the frame stands about it, and no key of it acts. */
@Injectable({ providedIn: 'root' })
export class WholeScreen {
  readonly isTaken = signal(false);
}

/** Takes the whole screen for as long as a component is there. Call it in the component's constructor. */
export const takeWholeScreen = (): void => {
  const { isTaken } = inject(WholeScreen);
  const document = inject(DOCUMENT);
  isTaken.set(true);
  inject(DestroyRef).onDestroy(() => {
    isTaken.set(false);
    leaveFullScreen(document);
  });
};

/** Asks the browser for its own bars’ room, too. It may refuse, and then the page does without. Call it when a button is pressed. */
export const enterFullScreen = (document: Document): void => {
  try {
    void document.documentElement.requestFullscreen({ navigationUI: 'hide' }).catch(() => undefined);
  } catch {
    // A browser that cannot.
  }
};

const leaveFullScreen = (document: Document): void => {
  try {
    if (document.fullscreenElement) void document.exitFullscreen().catch(() => undefined);
  } catch {
    // A browser that cannot.
  }
};
