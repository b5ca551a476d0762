/**
 * Lets time pass that is itself what a test is about: a rest, a second click, a frame that must not come. Whoever waits
 * for something waits with `until`.
 *
 * @param ms milliseconds; 0 for what is done next.
 */
export const pass = (ms = 0): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));
