import {
  createEnvironmentInjector,
  EnvironmentInjector,
  inject,
  Injectable,
  isDevMode,
  signal,
} from '@angular/core';
import { fromEvent, merge, timer } from 'rxjs';
import { secureOnly } from './secure-only';

/** So often it is asked whether there is a new version while a tab stays open, in milliseconds. */
const EVERY = 3_600_000;

const SCRIPT = 'ngsw-worker.js';

/**
 * The service worker, by which every room works without a network. It keeps the scripts of each tab until that is
 * reloaded; a new version waits until it is taken into use.
 */
@Injectable({ providedIn: 'root' })
export class Installed {
  private readonly injector = inject(EnvironmentInjector);
  private readonly newer = signal(false);
  private readonly lost = signal(false);
  private begun = false;

  /** Whether a new version is here and waits. */
  readonly waiting = this.newer.asReadonly();
  /** Whether what is kept of the application is no longer whole: only a reload with a network helps. */
  readonly broken = this.lost.asReadonly();

  /** Registers it, where the browser and the address have it. Call it once the first screen stands. */
  async begin(): Promise<void> {
    const workers = secureOnly().serviceWorker;
    if (!workers || isDevMode() || this.begun) return;
    this.begun = true;
    await workers.register(SCRIPT);
    const { provideServiceWorker, SwUpdate } = await import('@angular/service-worker');
    const own = createEnvironmentInjector([provideServiceWorker(SCRIPT)], this.injector);
    const updates = own.get(SwUpdate);
    updates.versionUpdates.subscribe(({ type }) => {
      if (type === 'VERSION_READY') this.newer.set(true);
    });
    updates.unrecoverable.subscribe(() => this.lost.set(true));
    // Whoever comes back to a tab that was left open is told as well.
    merge(timer(EVERY, EVERY), fromEvent(document, 'resume')).subscribe(
      () => void updates.checkForUpdate().catch(() => undefined),
    );
  }

  /** Whether every file is kept by now, so that no network is needed. */
  async isWhole(): Promise<boolean> {
    const worker = secureOnly().serviceWorker?.controller;
    if (!worker) return false;
    try {
      const { hashTable } = (await (await fetch('/ngsw.json')).json()) as { readonly hashTable: object };
      const kept = await Promise.all(
        Object.keys(hashTable).map((url) => caches.match(url, { ignoreVary: true })),
      );
      return !kept.includes(undefined);
    } catch {
      // Without a network nothing more can come: what this page is made of was there.
      return true;
    }
  }

  /** Takes the new version into use: in this tab, which is loaded anew. Others go on with theirs until they are. */
  useNewer(): void {
    location.reload();
  }
}
