import { DestroyRef, inject, Injectable, signal } from '@angular/core';

/** Whether the rail is blank: in a drill it would show every answer. */
@Injectable({ providedIn: 'root' })
export class RailHidden {
  /** Why it is, in a few words; undefined while it is shown. */
  readonly why = signal<string | undefined>(undefined);
}

/** Blanks the rail for as long as a component is there. Call it in the component's constructor. */
export const hideRail = (why: string): void => {
  const { why: shown } = inject(RailHidden);
  shown.set(why);
  inject(DestroyRef).onDestroy(() => shown.set(undefined));
};
