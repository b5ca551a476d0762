import { Action, lineOf, orStandIn, sameRow } from './action';
import type { Database } from './database';
import { LeftAction } from './in-flight';
import { idOf, Line, Place, placeOf } from './kind';

/**
 * What tabs had not stored when they were left: it is done where the rows are as they were then, unless something was done
 * to them here meanwhile, for that may be what the user wants.
 */
export class LeftOver {
  /** What is not begun yet. */
  private waiting: readonly LeftAction[] = [];
  /** The rows that were changed and the lines that were gone back on before all of it was done. */
  private acted: Set<string> | undefined = new Set();
  /** What was begun, as it was kept: its rows may not have been read yet. */
  private readonly begun = new Map<Action, LeftAction>();

  get unfinished(): readonly LeftAction[] {
    return this.waiting;
  }

  takeOver(left: readonly LeftAction[]): void {
    this.waiting = [...this.waiting, ...left];
  }

  forget(): void {
    this.waiting = [];
  }

  /** Nothing that was left over is done to these rows any more. */
  note(places: readonly Place[]): void {
    for (const place of places) this.acted?.add(idOf(place));
  }

  noteLine(line: Line): void {
    this.acted?.add(line);
  }

  /** All of it is done: what other tabs hand on from now on they did just now. */
  allDone(): void {
    this.acted = undefined;
  }

  /** How an action was kept, where it was left over. */
  keptAs(action: Action): LeftAction | undefined {
    return this.begun.get(action);
  }

  ended(action: Action): void {
    this.begun.delete(action);
  }

  /** What is to be done of what waits; nothing waits then. What cannot be read is passed over. */
  take(db: Database): readonly Action[] {
    const left = this.waiting;
    this.waiting = [];
    return left.flatMap((each) => {
      const action = this.actionOf(db, each);
      if (action) this.begun.set(action, each);
      return action ?? [];
    });
  }

  private actionOf(db: Database, { label, about, writes }: LeftAction): Action | undefined {
    const kinds = writes.map(({ kind }) => db.kindNamed(kind));
    if (!kinds.every((kind) => kind !== undefined)) return undefined;
    const places = writes.map(({ key }, index) => placeOf(kinds[index], key));
    const lines = new Set(kinds.map(({ line }) => line));
    // An older version may have had other lines of undo.
    if (lines.size > 1 && !lines.has(undefined)) return undefined;
    const line = lineOf(places);
    if (places.some((place) => this.acted?.has(idOf(place))) || (line && this.acted?.has(line)))
      return undefined;
    return {
      ...{ label, line, about, places },
      change: (rows) =>
        rows.every((row, index) => sameRow(row, orStandIn(places[index], writes[index].before)))
          ? writes.map(({ after }) => after)
          : undefined,
    };
  }
}
