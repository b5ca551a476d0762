import { InjectionToken } from '@angular/core';
import { Card } from '@enumeron/core/deck';
import { Fact, Possible } from '@enumeron/core/reckon/facts';
import { Observable } from 'rxjs';

/** Runs through every state of a pack that fits facts. Unsubscribing stops the work at once. */
export type DeduceLong = (now: readonly Card[], facts: readonly Fact[]) => Observable<Possible>;

/** The room provides the worker; tests put the same computation in its place without one. */
export const DEDUCE_LONG = new InjectionToken<DeduceLong>('deduce long');
