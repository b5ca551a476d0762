import { DOCUMENT, inject } from '@angular/core';

/** Has what is typed kept from the first painting on: what that takes comes behind it. Call it in an injection context. */
export const keepTypedTextsLater = (): void => {
  const document = inject(DOCUMENT);
  requestAnimationFrame(() =>
    setTimeout(() => {
      // Nothing on the screen lacks without it: the page is not reloaded for its sake.
      import('./typed-texts')
        .then(({ keepTypedTexts }) => keepTypedTexts(document))
        // Without it a reload loses what no room has taken yet.
        .catch((error: unknown) => console.warn(error));
    }),
  );
};
