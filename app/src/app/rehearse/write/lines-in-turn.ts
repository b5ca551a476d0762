import { computed, effect, Signal, signal } from '@angular/core';

/** More than a screen shows. */
const FIRST = 60;
/** So many take a fraction of a frame or two. */
const MORE = 80;

/**
 * Of many lines those that are drawn by now: a screenful at once, the others in turn behind the paint, so that a thousand
 * steps show as soon as ten do. Call it in an injection context.
 *
 * @param upTo how many must be drawn at once, however many that are.
 */
export const linesInTurn = <Line>(
  lines: Signal<readonly Line[]>,
  upTo: () => number = () => 0,
): Signal<readonly Line[]> => {
  const behind = signal(FIRST);
  const count = computed(() => Math.max(behind(), upTo()));
  effect((onCleanup) => {
    if (count() >= lines().length) return;
    const next = count() + MORE;
    const frame = requestAnimationFrame(() => {
      timer = setTimeout(() => behind.set(next));
    });
    let timer: ReturnType<typeof setTimeout> | undefined;
    onCleanup(() => {
      cancelAnimationFrame(frame);
      clearTimeout(timer);
    });
  });
  // The same list as long as all of them are drawn.
  return computed(() => (count() < lines().length ? lines().slice(0, count()) : lines()));
};
