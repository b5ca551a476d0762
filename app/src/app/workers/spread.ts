import { InjectionToken } from '@angular/core';
import { proxy, Remote, wrap } from 'comlink';
import { Card, SpreadCounts } from '@enumeron/core';
import { Observable } from 'rxjs';
import type { SpreadWorker } from './spread.worker';

/** A simulation on its way, and its result at the end. */
export interface SpreadProgress {
  /** From 0 to 1. */
  readonly done: number;
  readonly counts?: SpreadCounts;
}

/** Counts what well-shuffled packs of these cards show. Unsubscribing stops the work at once. */
export type CountSpreads = (pack: readonly Card[], packs: number, seed: number) => Observable<SpreadProgress>;

/** Tests put the same computation in its place without a worker. */
export const COUNT_SPREADS = new InjectionToken<CountSpreads>('count spreads', {
  providedIn: 'root',
  factory: () => inWorker,
});

const inWorker: CountSpreads = (pack, packs, seed) =>
  new Observable((observer) => {
    const worker = new Worker(new URL('./spread.worker', import.meta.url), { type: 'module' });
    const remote: Remote<SpreadWorker> = wrap<SpreadWorker>(worker);
    const report = proxy((done: number) => observer.next({ done: done / packs }));
    remote
      .count([...pack], packs, seed, report)
      .then((counts) => {
        observer.next({ done: 1, counts });
        observer.complete();
      })
      .catch((error: unknown) => observer.error(error));
    return () => worker.terminate();
  });
