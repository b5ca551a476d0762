import { DestroyRef, effect, inject, Injectable, signal } from '@angular/core';
import { Card } from '@enumeron/core/deck';
import { Marks } from './marks';

/** An order that the rail shows in the pack's place while it is being made, and what it is. */
export interface Preview {
  readonly home: readonly Card[];
  readonly now: readonly Card[];
  readonly label: string;
  readonly marks?: Marks;
  /** Takes the place, from 1, of a slot that is pressed; without it a press does nothing. */
  readonly pick?: (place: number) => void;
}

/** What a room shows on the rail instead of the pack. The pack stays as it lies. */
@Injectable({ providedIn: 'root' })
export class RailPreview {
  private readonly shown = signal<Preview | undefined>(undefined);
  readonly preview = this.shown.asReadonly();

  show(preview: Preview | undefined): void {
    this.shown.set(preview);
  }
}

/**
 * Shows what a component makes on the rail for as long as it is there. Call it in the component's constructor.
 *
 * @param made what to show, or undefined for the pack itself; read again whenever a signal in it changes.
 */
export const previewOnRail = (made: () => Preview | undefined): void => {
  const rail = inject(RailPreview);
  effect(() => rail.show(made()));
  inject(DestroyRef).onDestroy(() => rail.show(undefined));
};
