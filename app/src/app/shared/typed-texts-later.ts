import { DOCUMENT, inject } from '@angular/core';
import { Scripts } from './scripts';

/** Has what is typed kept from the first painting on: what that takes comes behind it. Call it in an injection context. */
export const keepTypedTextsLater = (): void => {
  const [scripts, document] = [inject(Scripts), inject(DOCUMENT)];
  requestAnimationFrame(() =>
    setTimeout(() => {
      scripts
        .load(() => import('./typed-texts'))
        .then(({ keepTypedTexts }) => keepTypedTexts(document))
        // Without it a reload loses what no room has taken yet.
        .catch((error: unknown) => console.warn(error));
    }),
  );
};
