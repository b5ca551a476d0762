import { computed, inject, Injectable, Signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { changedAt, type Night, tombstoneOf } from '@enumeron/core/file/record/night';
import { mergeNights, type Merged } from '@enumeron/core/file/record/merge';
import {
  debounceTime,
  finalize,
  from,
  map,
  merge,
  Observable,
  scan,
  share,
  skip,
  switchMap,
  take,
} from 'rxjs';
import { Clock } from '../../platform/clock';
import { newId } from '../../platform/new-id';
import { without } from '../../platform/without';
import type { Database } from '../../storage/database';
import { Committed, Journal } from '../../storage/journal';
import { placeOf } from '../../storage/kind';
import { changesOf } from '../../storage/live-rows';
import { Reader } from '../../storage/reader';
import { Rows } from '../../storage/rows';
import { Storage } from '../../storage/storage';
import { PERFORMANCES } from './performances.kind';

/** So many nights are read at once; between them the page goes on. */
const PART = 150;

/** What other tabs change, and undo, is read again when nothing more has changed for so long, in milliseconds. */
const CALM = 300;

type ById = ReadonlyMap<string, Night>;

/** Every night that is stored, read in parts: those that cannot be read are left out. */
export const readNights = async (db: Database, reader: Reader): Promise<readonly Night[]> => {
  const nights: Night[] = [];
  for (let last = ''; ;) {
    const part: Night[] = await db.rows(PERFORMANCES).where(':id').above(last).limit(PART).toArray();
    nights.push(...(await reader.reading(() => part.filter((row) => reader.read(PERFORMANCES, row).ok))));
    if (part.length < PART) return nights;
    last = part[part.length - 1].id;
  }
};

/** Every night, live while the room is open. */
@Injectable()
export class NightsStore {
  private readonly journal = inject(Journal);
  private readonly rows = inject(Rows);
  private readonly clock = inject(Clock);
  private readonly reader = inject(Reader);
  private readonly storage = inject(Storage);

  private readonly stored = this.follow();
  /** Every night, removed ones too, as they are with what is not stored yet. */
  private readonly byId = computed((): ById | undefined => {
    const stored = this.stored();
    const unstored = this.rows.unstored(PERFORMANCES);
    return stored && unstored.size > 0 ? laidOver(stored, unstored) : stored;
  });
  /** Every night, removed ones too. */
  readonly every = computed(() => {
    const byId = this.byId();
    return byId && [...byId.values()];
  });
  /** The nights that there are, the newest first; undefined until storage has been read. */
  readonly all = computed(() =>
    this.every()
      ?.filter(({ removed }) => !removed)
      .sort((a, b) => b.at - a.at),
  );
  readonly hasSample = computed(() => this.all()?.some(({ sample }) => sample) === true);

  /** Read once, then again when anything was changed elsewhere; what is stored from here is laid over at once. */
  private follow(): Signal<ById | undefined> {
    const changed$ = this.storage
      .live((db) =>
        Promise.all([
          db.rows(PERFORMANCES).orderBy('changed').last(),
          db.rows(PERFORMANCES).orderBy('at').last(),
          db.rows(PERFORMANCES).count(),
        ]),
      )
      .pipe(share());
    const read$ = merge(changed$.pipe(take(1)), changed$.pipe(skip(1), debounceTime(CALM))).pipe(
      switchMap(() => this.readAgain()),
    );
    type Change = (before: ById | undefined) => ById | undefined;
    const changes$ = merge(
      read$.pipe(
        map(
          (nights): Change =>
            () =>
              nights,
        ),
      ),
      this.rows.settled.pipe(
        map(
          (writes): Change =>
            (before) =>
              before && laidOver(before, changesOf(PERFORMANCES, writes)),
        ),
      ),
    );
    return toSignal(changes$.pipe(scan((nights: ById | undefined, change) => change(nights), undefined)));
  }

  /** All nights, with what is stored from here while they are read. */
  private readAgain(): Observable<ById> {
    const meanwhile = new Map<string, Night | undefined>();
    const noting = this.rows.settled.subscribe((writes) => {
      for (const [id, night] of changesOf(PERFORMANCES, writes)) meanwhile.set(id, night);
    });
    return from(this.storage.db().then((db) => readNights(db, this.reader))).pipe(
      map((nights) => laidOver(new Map(nights.map((night) => [night.id, night])), meanwhile)),
      finalize(() => noting.unsubscribe()),
    );
  }

  /** A night by its id; undefined where it is not there, or was removed. */
  find(id: string): Night | undefined {
    const night = this.rows.at(placeOf(PERFORMANCES, id))();
    return night?.removed ? undefined : night;
  }

  isRead(id: string): boolean {
    return this.rows.isRead(placeOf(PERFORMANCES, id));
  }

  /** Keeps a new night; gives its id. */
  add(night: Omit<Night, 'id' | 'changed'>, label: string): string {
    const row: Night = { ...night, id: newId(), changed: this.clock.now() };
    void this.journal.commit(label, [placeOf(PERFORMANCES, row.id)], () => [row]);
    return row.id;
  }

  /**
   * Changes a night as it is by then; one of the sample is the user’s own from then on.
   *
   * @param about what goes on with the same thing at once after is one change with it.
   */
  change(id: string, label: string, make: (night: Night) => Night, about?: string): Promise<Committed> {
    const now = this.clock.now();
    return this.journal.commit(
      label,
      [placeOf(PERFORMANCES, id)],
      ([row]) =>
        row && !row.removed
          ? [{ ...without(make(row), 'sample'), changed: Math.max(now, changedAt(row) + 1) }]
          : undefined,
      about === undefined || about === '' ? undefined : `${id} ${about}`,
    );
  }

  /** Keeps it once more, as a night of its own. */
  duplicate(night: Night, at: number): string {
    const bare = without(without(without(night, 'uid'), 'sample'), 'changed');
    return this.add({ ...bare, at }, `duplicate ${nameOf(night)}`);
  }

  /** Removes a night: what is left tells that to other devices. */
  remove(night: Night): Promise<Committed> {
    const now = this.clock.now();
    return this.journal.commit(`remove ${nameOf(night)}`, [placeOf(PERFORMANCES, night.id)], ([row]) => [
      // A sample was never anywhere else.
      row && !row.sample ? tombstoneOf(row, Math.max(now, changedAt(row) + 1)) : undefined,
    ]);
  }

  /**
   * Merges nights of another device or a file into those that are here, as one action.
   *
   * @throws when storage refuses; nothing has changed then.
   */
  async merge(coming: readonly Night[]): Promise<Merged> {
    const here = new Map(this.every()?.map((night) => [night.id, night]));
    const merged = mergeNights([...here.values()], coming);
    const written = merged.nights.filter((night) => here.get(night.id) !== night);
    if (written.length > 0)
      await this.journal.store(
        'merge nights',
        'record',
        written.map(({ id }) => placeOf(PERFORMANCES, id)),
        // As they are by then: another tab may have changed one meanwhile.
        (rows) =>
          written.map((night, index) => {
            const row = rows[index] as Night | undefined;
            return row ? mergeNights([row], [night]).nights[0] : night;
          }),
      );
    return merged;
  }
}

const laidOver = (nights: ById, changes: ReadonlyMap<string, Night | undefined>): ById => {
  if (changes.size === 0) return nights;
  const now = new Map(nights);
  for (const [id, night] of changes)
    if (night) now.set(id, night);
    else now.delete(id);
  return now;
};

const nameOf = ({ name }: Night): string => (name === '' ? 'a night' : `the night “${name}”`);
