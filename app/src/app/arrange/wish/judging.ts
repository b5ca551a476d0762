import { computed, effect, Signal, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { textOf } from '@enumeron/core/file/deck/textOf';
import { WishCheck } from '@enumeron/core/file/wish/checkWish';
import { Wish } from '@enumeron/core/file/wish/wish';
import { startWith, switchMap, throttleTime } from 'rxjs';
import { jobView } from '../../platform/workers/job-view';

/** So often the best so far is judged while a better one is looked for, in milliseconds. */
const NOW_AND_THEN = 1500;

/** How an order meets wishes. */
export interface Judged {
  readonly order: readonly string[];
  readonly wishes: readonly Wish[];
  readonly checks: readonly WishCheck[];
}

const NOTHING: Judged = { order: [], wishes: [], checks: [] };

export const isSame = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && a.every((card, index) => card === b[index]);

/** By the text of a wish: how an order meets it, as far as that was judged; nothing where it was another order. */
const knownOf = (order: readonly string[], judged: Judged): readonly (readonly [string, WishCheck])[] =>
  isSame(order, judged.order) ? judged.wishes.map((wish, index) => [textOf(wish), judged.checks[index]]) : [];

/**
 * Judges the order that is shown by wishes, in a worker: only what is not known of it yet. Call it in an injection context.
 *
 * @param order the order that is shown. @param isFinding whether a better one is looked for.
 * @param wishes those that can be judged. @param found what was found, which has been judged.
 * @returns how the order meets a wish, undefined until that is known; while one is looked for that of the best a moment ago.
 */
export const judging = (
  order: Signal<readonly string[]>,
  isFinding: Signal<boolean>,
  wishes: Signal<readonly Wish[]>,
  found: Signal<Judged | undefined>,
): { readonly check: Signal<(wish: Wish) => WishCheck | undefined>; readonly failed: Signal<boolean> } => {
  const judged = signal<Judged>(NOTHING);
  const shown = toObservable(order);
  // Each order that is given up would take a worker with it: of many the last is judged now and then.
  const sampled = toSignal(
    toObservable(isFinding).pipe(
      switchMap((finding) =>
        finding
          ? shown.pipe(
              throttleTime(NOW_AND_THEN, undefined, { leading: false, trailing: true }),
              startWith(undefined),
            )
          : shown,
      ),
    ),
  );
  const known = (of: readonly string[] | undefined): ReadonlyMap<string, WishCheck> =>
    new Map(of ? [...knownOf(of, found() ?? NOTHING), ...knownOf(of, judged())] : []);
  const view = jobView('wish checks', () => {
    const of = sampled();
    const there = known(of);
    const asked = wishes().filter((wish) => !there.has(textOf(wish)));
    return of && asked.length > 0 ? { order: of, wishes: asked } : undefined;
  });
  effect(() => {
    const ended = view();
    if (ended?.kind !== 'ended') return;
    const { asked, result } = ended;
    judged.update((before) => {
      const last = isSame(before.order, asked.order) ? before : NOTHING;
      return {
        order: asked.order,
        wishes: [...last.wishes, ...asked.wishes],
        checks: [...last.checks, ...result],
      };
    });
  });
  const now = computed(() => known(isFinding() ? sampled() : order()));
  return {
    check: computed(() => {
      const checks = now();
      return (wish: Wish) => checks.get(textOf(wish));
    }),
    failed: computed(() => view()?.kind === 'failed'),
  };
};
