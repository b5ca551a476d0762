import { InjectionToken } from '@angular/core';
import { SpreadCounts } from '@enumeron/core/arrange';
import { Card } from '@enumeron/core/deck';
import { Observable } from 'rxjs';

/** A simulation on its way, and its result at the end. */
export interface SpreadProgress {
  /** From 0 to 1. */
  readonly done: number;
  readonly counts?: SpreadCounts;
  /** Set when the worker could not do it. */
  readonly failed?: true;
}

/** Counts what well-shuffled packs of these cards show. Unsubscribing stops the work at once. */
export type CountSpreads = (pack: readonly Card[], packs: number, seed: number) => Observable<SpreadProgress>;

/** The room provides the worker; tests put the same computation in its place without one. */
export const COUNT_SPREADS = new InjectionToken<CountSpreads>('count spreads');
