import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { fromEvent } from 'rxjs';

const KEY = 'enumeron-reload ';

/**
 * Keeps what a view shows while the page is reloaded, and gives it once to the same view of the page that comes. For
 * what is not worth keeping longer; what the user writes goes into drafts. Call it in an injection context.
 *
 * @param view its name. @param now what it shows at that moment.
 * @returns what it showed before a reload, as it was then: whoever takes it checks it. Undefined where there is none.
 */
export const overReload = (view: string, now: () => unknown): unknown => {
  fromEvent(window, 'pagehide')
    .pipe(takeUntilDestroyed())
    .subscribe(() => {
      try {
        sessionStorage.setItem(KEY + view, JSON.stringify(now()));
      } catch {
        // Without it a reloaded view begins anew.
      }
    });
  try {
    const text = sessionStorage.getItem(KEY + view);
    sessionStorage.removeItem(KEY + view);
    return text === null ? undefined : (JSON.parse(text) as unknown);
  } catch {
    return undefined;
  }
};

/** The fields of what was kept; none where it is no object. */
export const fieldsOf = (kept: unknown): Readonly<Record<string, unknown>> =>
  typeof kept === 'object' && kept !== null ? (kept as Readonly<Record<string, unknown>>) : {};

export const isNumbers = (value: unknown): value is readonly number[] =>
  Array.isArray(value) && value.every((each) => Number.isSafeInteger(each));
