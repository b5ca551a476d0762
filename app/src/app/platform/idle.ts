/** So long a part that comes when the browser is idle waits at most, in milliseconds. */
const LONGEST = 2000;

/**
 * Angular's deferred parts wait for an idle browser without end, and one that has been resized, or is busy with other
 * tabs, may never say that it is. From now on it says so within two seconds. Call it before anything is deferred.
 */
export const idleInTime = (): void => {
  const own = window.requestIdleCallback as typeof requestIdleCallback | undefined;
  if (!own) return;
  window.requestIdleCallback = (callback, options) =>
    own.call(window, callback, { timeout: LONGEST, ...options });
};
