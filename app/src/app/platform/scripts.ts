import { DOCUMENT, inject, Injectable, signal } from '@angular/core';
import { NavigationSkipped, NavigationStart, Router } from '@angular/router';
import { catchError, filter, OperatorFunction, of } from 'rxjs';

/** When the application last reloaded by itself, in the tab's session storage. */
const RELOADED = 'enumeron-reloaded';

/** It does so once in this time at most, in milliseconds: a script that is there and does not run would do it for ever. */
const ONCE_IN = 600_000;

/** The address of the script in a browser's message that it could not be loaded, where it names it. */
const scriptIn = (error: unknown): string | undefined =>
  error instanceof Error ? /https?:\/\/\S+\.m?js/.exec(error.message)?.[0] : undefined;

/** Whether it is a browser's message that a script could not be loaded. */
export const isScriptError = (error: unknown): boolean => scriptIn(error) !== undefined;

/**
 * Scripts that are loaded when they are wanted. A browser remembers one that could not be had for as long as the
 * page lives, so that only a reload helps; it is done when the script can be had, and never into nothing.
 */
@Injectable({ providedIn: 'root' })
export class Scripts {
  private readonly window = inject(DOCUMENT).defaultView;
  private told: unknown;
  private readonly lacking = signal<{ readonly script: string; readonly url: string } | undefined>(undefined);

  /** The address that the reload goes to while a script is lacking; else undefined. */
  readonly lacks = this.lacking.asReadonly();

  constructor() {
    inject(Router)
      .events.pipe(filter((event) => event instanceof NavigationStart || event instanceof NavigationSkipped))
      .subscribe(() => this.lacking.set(undefined));
  }

  /**
   * Loads a part of the application. Rejects when that cannot be had, which has been told then.
   *
   * @param load `() => import('…')`.
   */
  async load<Module>(load: () => Promise<Module>): Promise<Module> {
    try {
      return await load();
    } catch (error) {
      this.tell(error);
      throw error;
    }
  }

  /**
   * Takes note that a script is lacking, and reloads the page if that has not been done already.
   *
   * @param error what the import was rejected with.
   * @param url the address of a room that was asked for; else the one that is open is meant.
   */
  tell(error: unknown, url?: string): void {
    // What was told by whoever wanted it comes once more as what nobody has caught.
    if (error === this.told) return;
    this.told = error;
    console.warn(error);
    // A room that was asked for is still wanted when another part turns out to be lacking as well.
    const wanted = url ?? this.lacking()?.url ?? this.window?.location.pathname ?? '/';
    // Of a deferred part the address is not known: the page can be had where its own script can.
    const own = this.window?.document.querySelector<HTMLScriptElement>('script[src]')?.src;
    this.lacking.set({ script: scriptIn(error) ?? own ?? '/', url: wanted });
    if (this.mark()) void this.reload();
  }

  /** Tells that work in a worker failed, and goes on with what stands for that. */
  orElse<Value, Failed>(failed: Failed): OperatorFunction<Value, Value | Failed> {
    return catchError((error: unknown) => {
      this.tell(error);
      return of(failed);
    });
  }

  /** Reloads the page at the place that was wanted, if the script can be had now. */
  async reload(): Promise<void> {
    const lacking = this.lacking();
    if (!lacking || !this.window) return;
    try {
      // A script of an older build is gone (404), and the page knows the new one.
      await this.window.fetch(lacking.script, { cache: 'reload' });
    } catch {
      return;
    }
    this.window.location.assign(lacking.url);
  }

  /** Gives false when the page reloaded by itself a short time ago. */
  private mark(): boolean {
    try {
      const storage = this.window?.sessionStorage;
      if (!storage || Date.now() - Number(storage.getItem(RELOADED)) < ONCE_IN) return false;
      storage.setItem(RELOADED, Date.now().toString());
      return true;
    } catch {
      return false;
    }
  }
}
