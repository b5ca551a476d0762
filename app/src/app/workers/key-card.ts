import { InjectionToken } from '@angular/core';
import { Estimate } from '@enumeron/core/odds';
import { Card } from '@enumeron/core/deck';
import { Observable } from 'rxjs';

/** Riffles so many packs and tells how often the key card still leads to the same bank card; ever surer. */
export type TryKeyCard = (
  now: readonly Card[],
  bank: readonly Card[],
  key: Card,
  riffles: number,
  packs: number,
  seed: number,
) => Observable<readonly Estimate[]>;

/** The room provides the worker; tests put the same computation in its place without one. */
export const TRY_KEY_CARD = new InjectionToken<TryKeyCard>('try key card');
