import { DestroyRef, DOCUMENT, inject } from '@angular/core';

/** What has taken the keys while it is open; a drill takes them else. */
const OVER_ALL = '[role=menu], [role=dialog]';

/** The keys by which one of a few is chosen. */
const CHOOSES = ['ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown', ' '];

/**
 * Takes every key while the component that calls this is there, before anything else hears it: in a drill it would be a
 * shortcut, or the ask line would tell the answer. Tab, Enter on a button, arrows where one of a few is chosen and what is
 * pressed with Ctrl or Alt stay what they are.
 */
export const takeKeys = (take: (event: KeyboardEvent) => void): void => {
  const document = inject(DOCUMENT);
  const keys = (event: KeyboardEvent): void => {
    const target = event.target as Element;
    if (event.ctrlKey || event.metaKey || event.altKey || document.querySelector(OVER_ALL)) return;
    // A key that is held down answers once.
    if (event.repeat && event.key !== 'Backspace') {
      event.preventDefault();
      event.stopPropagation();
      return;
    }
    if (event.key === 'Tab' || (event.key === 'Enter' && target.closest('button, a'))) return;
    if (CHOOSES.includes(event.key) && target.closest('[role=radiogroup]')) return;
    event.stopPropagation();
    take(event);
  };
  document.addEventListener('keydown', keys, { capture: true });
  inject(DestroyRef).onDestroy(() => document.removeEventListener('keydown', keys, { capture: true }));
};
