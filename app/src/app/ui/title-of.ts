/** A title of the window: what is open, and where. */
export const titleOf = (...parts: readonly (string | undefined)[]): string =>
  [...parts.filter((part) => part !== undefined && part !== ''), 'Enumeron'].join(' · ');
