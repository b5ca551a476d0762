import { Injectable, signal } from '@angular/core';
import { fieldsOf, overReload } from '../../platform/over-reload';

const isTexts = (value: unknown): value is readonly string[] =>
  Array.isArray(value) && value.every((each) => typeof each === 'string');

const read = (kept: unknown): Readonly<Record<string, readonly string[]>> =>
  Object.fromEntries(
    Object.entries(fieldsOf(kept)).flatMap(([set, ids]) => (isTexts(ids) ? [[set, ids] as const] : [])),
  );

/** What was ticked off of each set's checklist: it stays while one looks at another room, and over a reload. */
@Injectable()
export class Ticks {
  private readonly bySet = signal<Readonly<Record<string, readonly string[]>>>(
    read(overReload('before you go on', (): unknown => this.bySet())),
  );

  of(set: string): ReadonlySet<string> {
    const ticked = this.bySet();
    return new Set(Object.hasOwn(ticked, set) ? ticked[set] : []);
  }

  toggle(set: string, id: string): void {
    const ticked = this.of(set);
    const others = [...ticked].filter((each) => each !== id);
    this.bySet.update((all) => ({ ...all, [set]: ticked.has(id) ? others : [...others, id] }));
  }

  clear(set: string): void {
    this.bySet.update((all) => ({ ...all, [set]: [] }));
  }
}
