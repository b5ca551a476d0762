import { computed, inject, Injectable, Signal, signal, untracked, WritableSignal } from '@angular/core';
import { from, Subject, switchMap } from 'rxjs';
import { Action, orStandIn, sameRow, stepsOf, Write, writesOf } from './action';
import { Damage } from './damage';
import { idOf, Kind, onlyPlace, OnlyPlace, Place } from './kind';
import { Reader } from './reader';
import { Storage } from './storage';

/** A row as it is stored: not read yet, or read. A row that is not there or damaged is undefined. */
interface Stored {
  readonly read: boolean;
  readonly row?: unknown;
}

const UNREAD: Stored = { read: false };
const UNFOLLOWED = signal(UNREAD).asReadonly();

/**
 * The rows that are shown: those stored, live in every tab, and over them what was done and is on its way to
 * storage. What is done shows at once and stays, whether or not it can be stored.
 */
@Injectable({ providedIn: 'root' })
export class Rows {
  private readonly storage = inject(Storage);
  private readonly reader = inject(Reader);
  private readonly damage = inject(Damage);
  private readonly stored = new Map<string, WritableSignal<Stored>>();
  private readonly followed = new Set<string>();
  private readonly live = new Map<string, Signal<unknown>>();

  /** What has just been stored from here: lists carry it on until they have been read again. */
  readonly settled = new Subject<readonly Write[]>();
  /** What was done and is not stored yet, oldest first. */
  readonly pending = signal<readonly Action[]>([]);
  /** What each of them changes. */
  readonly steps = computed(() => stepsOf(this.pending(), (place) => this.follow(place)().row));
  private readonly over: Signal<ReadonlyMap<string, Write>> = computed(
    () =>
      new Map(this.steps().flatMap((writes) => writes.map((write) => [idOf(write.place), write] as const))),
  );

  /** A kind's only row, live. */
  only<Row>(place: OnlyPlace<Row>): Signal<Row> {
    const row = this.at(place);
    return computed(() => orStandIn(place as Place, row()) as Row);
  }

  /** A row, live; undefined while it is not there or not read yet. */
  at<Row>(place: Place<Row>): Signal<Row | undefined> {
    const id = idOf(place);
    const known = this.live.get(id);
    if (known) return known as Signal<Row | undefined>;
    const stored = this.follow(place);
    const row = computed(() => this.shown(place as Place, stored), { equal: sameRow });
    this.live.set(id, row);
    return row as Signal<Row | undefined>;
  }

  /** Whether storage has been asked for a row. */
  isRead(place: Place): boolean {
    return this.follow(place)().read;
  }

  /** Rows of a kind that differ from what is stored, by key; undefined is one that is taken away. */
  unstored<Row>(kind: Kind<Row>): ReadonlyMap<string, Row | undefined> {
    const writes = [...this.over().values()].filter(({ place }) => place.kind === (kind as Kind));
    return new Map(writes.map(({ place, after }) => [place.key, after as Row | undefined]));
  }

  /** Whether a row is stored, as far as it has been read. */
  isStored(place: Place): boolean {
    return this.follow(place)().row !== undefined;
  }

  /** What an action would change of what is shown. */
  tryOut(action: Action): readonly Write[] {
    return untracked(() => writesOf(action, (place) => this.shown(place, this.follow(place))));
  }

  /** What has been stored: shown from now on without waiting for it to be read again. */
  settle(actions: readonly Action[], writes: readonly Write[]): void {
    this.storage.noteWritten();
    for (const { place, after } of writes) this.stored.get(idOf(place))?.set({ read: true, row: after });
    this.settled.next(writes);
    const done = new Set(actions);
    this.pending.update((pending) => pending.filter((each) => !done.has(each)));
  }

  /** Reads what the first screen shows, before Joi is there: only rows that pass a glance. */
  async glance(): Promise<void> {
    const db = await this.storage.db();
    const seen = db.kinds.filter(({ glance, single }) => glance && single);
    for (const kind of seen) {
      const place = onlyPlace(kind as Kind & { single: { key: string; standIn: unknown } });
      const row: unknown = await db.rows(kind).get(place.key);
      if (row !== undefined && kind.glance?.(row)) this.signalFor(place).set({ read: true, row });
    }
  }

  private shown(place: Place, stored: Signal<Stored>): unknown {
    const write = this.over().get(idOf(place));
    return write ? write.after : stored().row;
  }

  /** The signal of a row, which follows storage from the first time that it is asked for. */
  private follow(place: Place): Signal<Stored> {
    if (place.kind.appended) return UNFOLLOWED;
    const id = idOf(place);
    const known = this.stored.get(id);
    if (known && this.followed.has(id)) return known;
    const shown = this.signalFor(place);
    this.followed.add(id);
    untracked(() => this.listen(place, shown));
    return shown;
  }

  private listen(place: Place, shown: WritableSignal<Stored>): void {
    this.storage
      .live((db) => db.rows(place.kind).get(place.key))
      .pipe(switchMap((row) => from(this.reader.reading(() => this.damage.read(place, row)))))
      // Rejects only where the reader cannot be had, which has been told.
      .subscribe({ next: (row) => shown.set({ read: true, row }), error: () => undefined });
  }

  private signalFor(place: Place): WritableSignal<Stored> {
    const id = idOf(place);
    const shown = this.stored.get(id) ?? signal(UNREAD, { equal: sameRow });
    this.stored.set(id, shown);
    return shown;
  }
}
