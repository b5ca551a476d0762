import { InjectionToken } from '@angular/core';
import { Card, Deduction, Fact } from '@enumeron/core';
import { Observable } from 'rxjs';

/** Runs through every state of a pack that fits facts. Unsubscribing stops the work at once. */
export type DeduceLong = (now: readonly Card[], facts: readonly Fact[]) => Observable<Deduction>;

/** The room provides the worker; tests put the same computation in its place without one. */
export const DEDUCE_LONG = new InjectionToken<DeduceLong>('deduce long');
