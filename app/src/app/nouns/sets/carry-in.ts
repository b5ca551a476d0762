import { inject, Injectable } from '@angular/core';
import { laterOf, textOf } from '@enumeron/core/file/deck/textOf';
import type { CarriedRoutine, CarriedSet } from '@enumeron/core/file/perform/setFile';
import { newId } from '../../platform/new-id';
import { Clock } from '../../platform/clock';
import type { Database } from '../../storage/database';
import { Journal } from '../../storage/journal';
import { Place, placeOf } from '../../storage/kind';
import { firstValueFrom, from } from 'rxjs';
import { Reader } from '../../storage/reader';
import { Storage } from '../../storage/storage';
import { stampOf } from '../procedures/verdicts.store';
import { PROCEDURES } from '../procedures/procedures.kind';
import { RoutineRow, ROUTINES } from './routines.kind';
import { SetRow, SETS } from './sets.kind';

/** A row that is written, and where. */
interface Made {
  readonly place: Place;
  readonly row: unknown;
}

/** What merging a set brings: how many routines are new or newer, and whether the set itself is. */
export interface Bringing {
  readonly set: boolean;
  readonly routines: number;
}

const changedAt = ({ changed, at }: { readonly changed?: number; readonly at: number }): number =>
  changed ?? at;

/** Keeps a set that was shared, with its routines and procedures, as one action; one that is here already is merged. */
@Injectable({ providedIn: 'root' })
export class CarryIn {
  private readonly journal = inject(Journal);
  private readonly storage = inject(Storage);
  private readonly clock = inject(Clock);
  private readonly reader = inject(Reader);

  /** What merging a set would bring; undefined where no set of its id is here. */
  async bringing(carried: CarriedSet): Promise<Bringing | undefined> {
    const { mine, routines } = await this.merging(carried);
    return mine && { set: this.setIsNewer(mine, carried), routines: routines.length };
  }

  /** Merges a set into the one of its id that is here: of each part the later state stays. @returns its id. */
  async merge(carried: CarriedSet): Promise<string> {
    const { db, mine, routines } = await this.merging(carried);
    if (!mine) return this.keep(carried);
    const made = await this.rowsOf(db, routines, (id) => id);
    if (this.setIsNewer(mine, carried))
      made.push({
        place: placeOf(SETS, mine.id),
        row: { id: mine.id, at: mine.at, changed: carried.changed ?? mine.at, set: carried.set },
      });
    await this.commit(`merge the set ${carried.set.name}`, made);
    return mine.id;
  }

  /**
   * Keeps it as a set of its own. Ids that are free here stay, so that what comes back is known again; a routine that is
   * here just so is used, and so is a procedure.
   *
   * @returns the id of the set.
   */
  async keep({ id, changed, set, routines }: CarriedSet): Promise<string> {
    const db = await this.storage.db();
    const [mine, here] = await this.here(db, { id, routines });
    const isSame = (each: CarriedRoutine): boolean => {
      const row = here.get(each.id);
      return row !== undefined && textOf(row.routine) === textOf(each.routine);
    };
    const ids = new Map(
      routines.map((each) => [each.id, isSame(each) || !here.has(each.id) ? each.id : newId()]),
    );
    const idOf = (of: string): string => ids.get(of) ?? of;
    const made = await this.rowsOf(
      db,
      routines.filter((each) => !isSame(each)),
      idOf,
    );
    const pairs = (all: typeof set.before) => all.map(([a, b]) => [idOf(a), idOf(b)] as const);
    const row: SetRow = {
      ...{ id: id === undefined || mine ? newId() : id, at: this.clock.now() },
      ...(changed !== undefined && { changed }),
      set: {
        ...set,
        ...{ order: set.order.map(idOf), must: set.must.map(idOf) },
        ...{ before: pairs(set.before), directly: pairs(set.directly), apart: pairs(set.apart) },
        ...(set.opener !== undefined && { opener: idOf(set.opener) }),
        ...(set.closer !== undefined && { closer: idOf(set.closer) }),
      },
    };
    made.push({ place: placeOf(SETS, row.id), row });
    await this.commit(`save the set ${set.name}`, made);
    return row.id;
  }

  private async here(
    db: Database,
    { id, routines }: Pick<CarriedSet, 'id' | 'routines'>,
  ): Promise<readonly [SetRow | undefined, ReadonlyMap<string, RoutineRow>]> {
    const mine = id === undefined ? undefined : await db.rows(SETS).get(id);
    const rows = await db.rows(ROUTINES).bulkGet(routines.map((each) => each.id));
    return [mine, new Map(rows.flatMap((row) => (row ? [[row.id, row] as const] : [])))];
  }

  /** Of a set that is here, the routines of which the later state comes. */
  private async merging(carried: CarriedSet) {
    const db = await this.storage.db();
    const [mine, here] = await this.here(db, carried);
    const routines = carried.routines.filter((each) => {
      const row = here.get(each.id);
      if (!row) return true;
      const coming = { changed: each.changed ?? 0, value: each.routine };
      const stays = laterOf({ changed: changedAt(row), value: row.routine }, coming);
      return stays === coming && textOf(row.routine) !== textOf(each.routine);
    });
    return { db, mine, routines };
  }

  private setIsNewer(mine: SetRow, { changed = 0, set }: CarriedSet): boolean {
    const coming = { changed, value: set };
    return (
      laterOf({ changed: changedAt(mine), value: mine.set }, coming) === coming &&
      textOf(mine.set) !== textOf(set)
    );
  }

  /** Rows of routines, and of the procedures that are not here yet. */
  private async rowsOf(
    db: Database,
    routines: readonly CarriedRoutine[],
    idOf: (id: string) => string,
  ): Promise<Made[]> {
    const at = this.clock.now();
    const stored = await firstValueFrom(
      from(db.rows(PROCEDURES).toArray()).pipe(this.reader.sound(PROCEDURES)),
    );
    const known = new Map(stored.map(({ id, procedure }) => [stampOf(procedure), id]));
    return routines.flatMap(({ id, routine, procedure, changed }): Made[] => {
      const made: Made[] = [];
      const stamp = procedure && stampOf(procedure);
      if (procedure && stamp !== undefined && !known.has(stamp)) {
        const own = newId();
        known.set(stamp, own);
        made.push({ place: placeOf(PROCEDURES, own), row: { id: own, procedure, at } });
      }
      const of = stamp === undefined ? undefined : known.get(stamp);
      const row: RoutineRow = {
        ...{ id: idOf(id), routine, at },
        ...(changed !== undefined && { changed }),
        ...(of !== undefined && { procedure: of }),
      };
      return [...made, { place: placeOf(ROUTINES, row.id), row }];
    });
  }

  private commit(label: string, made: readonly Made[]): Promise<unknown> {
    return this.journal.commit(
      label,
      made.map(({ place }) => place),
      () => made.map((each) => each.row) as never,
    );
  }
}
