import { InjectionToken } from '@angular/core';
import { RouteProgress } from '@enumeron/core/arrange';
import { Card } from '@enumeron/core/deck';
import { Move } from '@enumeron/core/moves';
import { Observable } from 'rxjs';

/** A search on its way; at its end the route found, or undefined when there is no short one. */
export type RouteState =
  | { readonly kind: 'searching'; readonly progress: RouteProgress }
  | { readonly kind: 'ended'; readonly route: readonly Move[] | undefined }
  | { readonly kind: 'failed' };

/** Searches for a short row of moves from one order to another. Unsubscribing stops the work at once. */
export type SearchRoute = (from: readonly Card[], to: readonly Card[]) => Observable<RouteState>;

/** The room provides the worker; tests put the same computation in its place without one. */
export const SEARCH_ROUTE = new InjectionToken<SearchRoute>('search route');
