/** How long after one press the next is taken for a part of it, in milliseconds: the second click of a double click. */
const PRESS = 450;

/** When each named act ended last; Infinity while it is on its way. */
const acts = new Map<string, number>();

/**
 * An act that a button does: one press, one act. A press while it is on its way, or right after it, does nothing,
 * even on another button that has come to stand where the first one was.
 *
 * @param name what is done; acts of the same name keep each other off.
 */
export const once =
  <Arguments extends readonly unknown[]>(
    name: string,
    act: (...given: Arguments) => Promise<unknown>,
  ): ((...given: Arguments) => Promise<void>) =>
  async (...given) => {
    if (Date.now() - (acts.get(name) ?? -Infinity) < PRESS) return;
    acts.set(name, Infinity);
    try {
      await act(...given);
    } finally {
      acts.set(name, Date.now());
    }
  };

/** Forgets which acts were done: for tests, which press faster than people do. */
export const forgetActs = (): void => acts.clear();
