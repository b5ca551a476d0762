import { computed, signal } from '@angular/core';
import { Action, Write } from './action';
import { leftAction, LeftAction } from './in-flight';

/** An action, and as it is kept for a reload of the page. */
interface Done {
  readonly action: Action;
  readonly left: LeftAction;
}

/** What was done while nothing was kept: for storage that answers late, and for a reload of the page. */
export class Unkept {
  private readonly done = signal<readonly Done[]>([]);
  /** What of it was undone, newest last. */
  private readonly undone = signal<readonly Done[]>([]);

  readonly count = computed(() => this.done().length);
  /** As it is kept for a reload, oldest first. */
  readonly left = computed(() => this.done().map(({ left }) => left));

  note(action: Action, writes: readonly Write[]): void {
    const left = leftAction(action.label, action.about, writes);
    this.done.update((all) => [...all, { action, left }]);
    this.undone.set([]);
  }

  /** The newest that can be undone was, or what was undone last is done again. */
  move(to: 'before' | 'after'): void {
    const [from, into] = to === 'before' ? [this.done, this.undone] : [this.undone, this.done];
    const last = from()
      .filter(({ action }) => action.line !== undefined)
      .at(-1);
    if (!last) return;
    from.update((all) => all.filter((each) => each !== last));
    into.update((all) => [...all, last]);
  }

  /** Gives all of it, oldest first, and forgets it. */
  take(): readonly Action[] {
    const actions = this.done().map(({ action }) => action);
    this.done.set([]);
    this.undone.set([]);
    return actions;
  }
}
