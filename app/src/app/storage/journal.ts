import { computed, inject, Injectable, InjectionToken, Signal, signal } from '@angular/core';
import { takeUntilDestroyed, toSignal } from '@angular/core/rxjs-interop';
import { debounceTime, filter, firstValueFrom, fromEvent, merge, startWith, Subject, tap, timer } from 'rxjs';
import { sayProblem } from '@enumeron/core/deck';
import { afterPaint } from '../platform/after-paint';
import { Notices } from '../platform/notices';
import { Action, labelFrom, lineOf, Made, RowsAt } from './action';
import { Damage } from './damage';
import type { Database } from './database';
import { keepInFlight, leftAction, LeftAction, passOn } from './in-flight';
import { Line, Place } from './kind';
import { Reader } from './reader';
import { Rows } from './rows';
import { Storage } from './storage';
import { goTo, newest, oldestUndone, Readers, Step, storeActions, Stored } from './stored-actions';
import { LeftOver } from './left-over';
import { Unkept } from './unkept';

/** How long the hand rests before what was told tap by tap is stored, and how long that waits at most, in milliseconds. */
export const REST = new InjectionToken<readonly [rest: number, most: number]>('rest', {
  providedIn: 'root',
  factory: () => [400, 2000],
});

/** Whether an action may wait for storage until the hand rests. */
const mayWait = ({ places }: Action): boolean => places.every(({ kind }) => kind.told);

/** Whether an action is something that the user did: it can be undone, or what it changes belongs into a backup. */
const isOfUser = ({ line, places }: Action): boolean =>
  line !== undefined || places.some(({ kind }) => kind.inBackup);

/** By line what an action is called. */
type Labels = Readonly<Partial<Record<Line, string>>>;

/** What became of an action: it is stored; it shows and is not stored; or there was nothing to do. */
export type Committed = 'stored' | 'held' | 'nothing';

/**
 * Every change goes through here: one action, one transaction, a function of what is stored by then. Those that can
 * be undone are entered in the journal, which is stored with the data, so that undo survives a reload and is one
 * line for all tabs.
 */
@Injectable({ providedIn: 'root' })
export class Journal implements Readers {
  private readonly storage = inject(Storage);
  readonly reader = inject(Reader);
  private readonly rows = inject(Rows);
  readonly damage = inject(Damage);
  private readonly notices = inject(Notices);
  private readonly rest = inject(REST);
  private running: Promise<void> | undefined;
  /** Something more was begun; and what waits for the hand to rest shall wait no longer. */
  private readonly begun = new Subject<void>();
  private readonly hurried = new Subject<void>();
  private readonly waiting = new Map<Action, (committed: Committed) => void>();
  /** Actions that were taken back before they could be stored, the newest last. */
  private readonly takenBack = signal<readonly Action[]>([]);
  private readonly unkept = new Unkept();
  private readonly leftOver = new LeftOver();
  /** Keeps what is on its way in the browser's database at once. */
  private outbox: (actions: readonly LeftAction[]) => void = () => undefined;
  private readonly failure = signal<unknown>(undefined);

  /** By line what was stored last, until the journal has been read again: what undo says is the same all the while. */
  private readonly justStored = signal<Labels>({});
  private readonly newestDone = this.labelsOf(1);
  private readonly oldestUndone = this.labelsOf(0);
  /** How many actions show and could not be stored; 0 while all goes well. */
  readonly held = computed(() => (this.failure() === undefined ? 0 : this.pendingOfUser().length));
  /** Whether nothing has been done while nothing was kept. */
  readonly nothingDone = computed(() => this.unkept.count() + this.pendingOfUser().length === 0);
  /** What is on its way to storage and is the user's: notes that the application makes for itself are not. */
  private readonly pendingOfUser = computed(() => this.rows.pending().filter(isOfUser));

  constructor() {
    // Storage answers too late for a tab that is being closed. One that may be shown again goes on by itself.
    fromEvent<PageTransitionEvent>(window, 'pagehide')
      .pipe(
        filter(({ persisted }) => !persisted),
        takeUntilDestroyed(),
      )
      .subscribe(() => passOn([...this.leftOver.unfinished, ...this.leftPending()]));
  }

  /** What undo would take back on a line, or undefined when there is nothing. */
  undoable(line: Line): string | undefined {
    const pending = this.rows.pending().filter((action) => action.line === line);
    return pending.at(-1)?.label ?? this.justStored()[line] ?? this.newestDone[line]();
  }

  /** What redo would do again on a line, or undefined. */
  redoable(line: Line): string | undefined {
    return this.takenBackOn(line).at(-1)?.label ?? this.oldestUndone[line]();
  }

  private takenBackOn(line: Line): readonly Action[] {
    return this.takenBack().filter((action) => action.line === line);
  }

  /**
   * Does something: it shows at once, and is stored as soon as it can be.
   *
   * @param label what it is, for people: `cut 12 cards`.
   * @param places the rows that it reads or changes.
   * @param change what becomes of them: as many rows, undefined where one is taken away, or undefined where there is
   * nothing to do. It is called more than once, with whatever lies there by then, and gives the same for the same.
   * @param about what goes on with the same thing at once after is one action with this one.
   * @returns what became of it. Never rejects.
   */
  commit<const Places extends readonly Place[]>(
    label: string,
    places: Places,
    change: (rows: RowsAt<Places>) => Made<Places>,
    about?: string,
  ): Promise<Committed> {
    const action: Action = {
      label: labelFrom(label),
      line: lineOf(places),
      about: about?.slice(0, 200),
      places,
      change: (rows) => change(rows as RowsAt<Places>),
    };
    if (action.line !== undefined)
      this.takenBack.update((actions) => actions.filter(({ line }) => line !== action.line));
    this.leftOver.note(places);
    return this.begin(action);
  }

  /** All that was left over is done: what other tabs hand on from now on they did just now. */
  allFinished(): void {
    this.leftOver.allDone();
  }

  /**
   * Does something that shows only once it is stored: for what is too large to be shown before.
   *
   * @param line on which it is undone, whichever kinds it writes; undefined where it is not.
   * @throws when storage refuses; nothing has changed then.
   */
  async store(
    label: string,
    line: Line | undefined,
    places: readonly Place[],
    change: (rows: readonly unknown[]) => readonly unknown[],
  ): Promise<void> {
    await this.hurry();
    if (this.rows.pending().length > 0) throw new Error('what was done before is not stored yet');
    const action: Action = { label: labelFrom(label), line, places, change };
    const stored = await this.write([action]);
    for (const each of stored) if ('problem' in each) throw new Error(sayProblem(each.problem));
    this.settle(stored);
  }

  /** Tries again to store what is held. Gives whether all of it is stored. */
  async tryAgain(): Promise<boolean> {
    await this.hurry();
    return this.rows.pending().length === 0;
  }

  /** Takes over what this tab showed and could not store before it was left, or another: it is kept until `finish`. */
  takeOver(left: readonly LeftAction[]): void {
    this.leftOver.takeOver(left);
  }

  /** Has what is on its way kept at once, so that not even a browser that is killed loses it. */
  keepAtOnce(outbox: (actions: readonly LeftAction[]) => void): void {
    this.outbox = outbox;
  }

  /** Forgets what is kept for a reload: everything has been erased. */
  forgetLeft(): void {
    this.leftOver.forget();
    this.unkept.take();
    this.keep();
  }

  /** Does what was taken over, where the rows are as they were; resolves when that is stored. */
  async finish(): Promise<void> {
    await Promise.all(this.beginAll(await this.storage.db()));
    this.keep();
  }

  /** Begins what was taken over, so that whatever is done from now on comes on top of it. */
  beginLeft(db: Database): void {
    void Promise.all(this.beginAll(db));
  }

  private beginAll(db: Database): readonly Promise<Committed>[] {
    return this.leftOver.take(db).map((action) => this.begin(action));
  }

  /** Takes the newest action of a line back; one that is not stored yet just goes. */
  async undo(line: Line, overwrite = false): Promise<Step> {
    if (this.running) await this.hurry();
    const last = this.rows
      .pending()
      .filter((action) => action.line === line)
      .at(-1);
    if (!last) return this.step(line, 'before', overwrite);
    this.leftOver.noteLine(line);
    this.takenBack.update((actions) => [...actions, last]);
    this.drop(last, 'nothing');
    return { kind: 'done', label: last.label };
  }

  /** Does the last undone action of a line again. */
  async redo(line: Line, overwrite = false): Promise<Step> {
    if (this.running) await this.hurry();
    const last = this.takenBackOn(line).at(-1);
    if (!last) return this.step(line, 'after', overwrite);
    this.takenBack.update((actions) => actions.filter((each) => each !== last));
    void this.begin(last);
    return { kind: 'done', label: last.label };
  }

  /** Takes what was done in memory into the browser's database, which has answered late. */
  async keepLate(): Promise<void> {
    const actions = this.unkept.take();
    this.storage.useLate();
    await Promise.all(actions.map((action) => this.begin(action)));
  }

  private begin(action: Action): Promise<Committed> {
    // Throws at once, before anything shows, where the change itself is at fault.
    this.rows.tryOut(action);
    this.rows.pending.update((actions) => [...actions, action]);
    this.keep();
    return new Promise((resolve) => {
      this.waiting.set(action, resolve);
      this.begun.next();
      void (mayWait(action) ? this.run() : this.hurry());
    });
  }

  /** Stores what is pending, oldest first, until nothing is or one cannot be stored; the others wait behind it. */
  private run(): Promise<void> {
    this.running ??= this.drain();
    return this.running;
  }

  /** Stores what is pending now, whether or not the hand rests. */
  private hurry(): Promise<void> {
    const stored = this.run();
    this.hurried.next();
    return stored;
  }

  /** Resolves when the hand rests, at once where something does not wait for that. */
  private async rested(): Promise<void> {
    if (document.hidden || !this.rows.pending().every(mayWait)) return;
    const [rest, most] = this.rest;
    await firstValueFrom(
      merge(
        this.begun.pipe(startWith(undefined), debounceTime(rest)),
        timer(most),
        this.hurried,
        fromEvent(document, 'visibilitychange'),
      ),
    );
  }

  private async drain(): Promise<void> {
    // Not before `running` is set; and what was done shows first.
    await Promise.all([afterPaint(), this.rested()]);
    let stuck = false;
    for (;;) {
      const actions = this.rows.pending();
      if (actions.length === 0 || stuck) {
        // In the same step in which nothing more is found to do: what is begun after this runs anew.
        this.running = undefined;
        for (const each of actions) this.answer(each, 'held');
        return;
      }
      stuck = !(await this.stored(actions));
    }
  }

  /** Stores actions and takes them from what is pending; false when storage refuses them. */
  private async stored(actions: readonly Action[]): Promise<boolean> {
    try {
      const stored = await this.write(actions);
      this.failure.set(undefined);
      this.settle(stored);
      return true;
    } catch (error) {
      console.warn(error);
      this.failure.set(error);
      return false;
    }
  }

  private settle(stored: readonly Stored[]): void {
    for (const each of stored) {
      const { line, label } = each.action;
      if ('writes' in each && each.writes.length > 0 && line !== undefined)
        this.justStored.update((labels) => ({ ...labels, [line]: label }));
    }
    this.rows.settle(
      stored.map(({ action }) => action),
      stored.flatMap((each) => ('writes' in each ? each.writes : [])),
    );
    for (const each of stored) {
      const { action } = each;
      if ('problem' in each) void this.notices.stay(`Not done: ${action.label}. ${sayProblem(each.problem)}`);
      else if (this.storage.trouble() !== undefined && isOfUser(action))
        this.unkept.note(action, each.writes);
      this.answer(action, 'writes' in each && each.writes.length > 0 ? 'stored' : 'nothing');
    }
    this.keep();
  }

  private async write(actions: readonly Action[]): Promise<readonly Stored[]> {
    const db = await this.storage.db();
    return this.reader.reading(() => storeActions(db, actions, this, Date.now()));
  }

  private drop(action: Action, committed: Committed): void {
    this.rows.pending.update((actions) => actions.filter((each) => each !== action));
    if (this.rows.pending().length === 0) this.failure.set(undefined);
    this.keep();
    this.answer(action, committed);
  }

  private answer(action: Action, committed: Committed): void {
    this.waiting.get(action)?.(committed);
    this.waiting.delete(action);
    if (committed !== 'held') this.leftOver.ended(action);
  }

  private keep(): void {
    // What an older version made is nothing for the data of a newer one.
    const unkept = this.storage.trouble() === 'newer' ? [] : this.unkept.left();
    const pending = this.leftPending();
    const { unfinished } = this.leftOver;
    keepInFlight([...unfinished, ...unkept, ...pending]);
    // What is done in memory alone is nothing for the browser's database.
    if (this.storage.trouble() === undefined) this.outbox([...unfinished, ...pending]);
  }

  /** What is pending, as it is kept. */
  private leftPending(): readonly LeftAction[] {
    const steps = this.rows.steps();
    return this.rows
      .pending()
      .map(
        (action, index) =>
          this.leftOver.keptAs(action) ?? leftAction(action.label, action.about, steps[index]),
      )
      .filter(({ writes }) => writes.length > 0);
  }

  private async step(line: Line, to: 'before' | 'after', overwrite: boolean): Promise<Step> {
    const db = await this.storage.db();
    if (this.leftOver.unfinished.length > 0) await this.finish();
    this.leftOver.noteLine(line);
    const step = await this.reader.reading(() => goTo(db, line, to, overwrite, this, Date.now()));
    if (step.kind === 'done' && this.storage.trouble() !== undefined) {
      this.unkept.move(to);
      this.keep();
    }
    return step;
  }

  /** By line what undo (1) or redo (0) would go to, as it is stored. */
  private labelsOf(done: 0 | 1): Readonly<Record<Line, Signal<string | undefined>>> {
    return { table: this.labelOf('table', done), record: this.labelOf('record', done) };
  }

  private labelOf(line: Line, done: 0 | 1): Signal<string | undefined> {
    const label$ = this.storage
      .live(async (db): Promise<string | undefined> => {
        const row = done === 1 ? await newest(db, line) : await oldestUndone(db, line);
        const label: unknown = row?.label;
        return row && (typeof label === 'string' ? label : 'something that cannot be read');
      })
      .pipe(tap(() => this.justStored.update((labels) => ({ ...labels, [line]: undefined }))));
    return toSignal(label$);
  }
}
