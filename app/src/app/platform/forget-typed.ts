/** Where what was typed lies in session storage (`typed-texts.ts`). */
export const TYPED = 'enumeron-typed';

/** Forgets what was typed: everything has been erased. */
export const forgetTyped = (): void => {
  try {
    sessionStorage.removeItem(TYPED);
  } catch {
    // Where there is no session storage nothing was kept.
  }
};
