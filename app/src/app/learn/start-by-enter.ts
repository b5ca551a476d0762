import { DestroyRef, DOCUMENT, inject } from '@angular/core';

/** What Enter belongs to when it has the focus. */
const OWN_ENTER =
  'button, a, input, textarea, select, summary, [role=slider], [role=menu], [role=dialog], [role=combobox]';

/** Enter starts what the page is for, wherever the focus is on nothing that takes it itself. */
export const startByEnter = (start: () => void): void => {
  const document = inject(DOCUMENT);
  const enter = (event: KeyboardEvent): void => {
    if (event.key === 'Enter' && !(event.target as Element).closest(OWN_ENTER)) start();
  };
  document.addEventListener('keydown', enter);
  inject(DestroyRef).onDestroy(() => document.removeEventListener('keydown', enter));
};
