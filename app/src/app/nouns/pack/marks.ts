import { computed, DestroyRef, effect, inject, Injectable, signal } from '@angular/core';
import { PackStore } from './pack.store';

/** How a slot of the rail is marked. Each has a shape as well as a colour. */
export type Mark = 'wanted' | 'number' | 'seen' | 'bank' | 'face up' | 'missing' | 'slow';

export type Marks = ReadonlyMap<number, readonly Mark[]>;

/** What the room that is open marks on the rail, by place. What was seen is marked in every room. */
@Injectable({ providedIn: 'root' })
export class RailMarks {
  private readonly pack = inject(PackStore);
  private readonly ofRoom = signal<Marks>(new Map());

  readonly marks = computed<Marks>(() => {
    const seen = this.pack.seen();
    if (!seen) return this.ofRoom();
    const place = seen.at === 'face' ? this.pack.size() : 1;
    return new Map(this.ofRoom()).set(place, [...(this.ofRoom().get(place) ?? []), 'seen']);
  });

  set(marks: Marks): void {
    this.ofRoom.set(marks);
  }
}

/**
 * Marks places of the rail for as long as a component is there. Call it in the component's constructor.
 *
 * @param marked what to mark; read again whenever a signal in it changes.
 */
export const markOnRail = (
  marked: () => readonly { readonly place: number; readonly mark: Mark }[],
): void => {
  const rail = inject(RailMarks);
  effect(() => {
    const found = new Map<number, Mark[]>();
    for (const { place, mark } of marked()) found.set(place, [...(found.get(place) ?? []), mark]);
    rail.set(found);
  });
  inject(DestroyRef).onDestroy(() => rail.set(new Map()));
};
