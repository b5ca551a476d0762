/** So long is waited for a frame at most, in milliseconds: a window that lies behind another one may paint none. */
const LONGEST = 100;

/**
 * Resolves when what the user just did has been painted, so that the work behind it takes nothing from that frame;
 * at once where nothing is painted, and as soon as the page is left.
 */
export const afterPaint = async (): Promise<void> => {
  if (document.hidden) return;
  const seen = new AbortController();
  await new Promise<void>((resolve) => {
    const done = (): void => resolve();
    document.addEventListener('visibilitychange', done, { signal: seen.signal });
    requestAnimationFrame(() => setTimeout(done));
    setTimeout(done, LONGEST);
  });
  seen.abort();
};
