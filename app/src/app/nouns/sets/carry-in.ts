import { inject, Injectable } from '@angular/core';
import type { CarriedSet } from '@enumeron/core/file/perform/setFile';
import { newId } from '../../platform/new-id';
import { Clock } from '../../platform/clock';
import { Journal } from '../../storage/journal';
import { Place, placeOf } from '../../storage/kind';
import { firstValueFrom, from } from 'rxjs';
import { Reader } from '../../storage/reader';
import { Storage } from '../../storage/storage';
import { stampOf } from '../procedures/verdicts.store';
import { PROCEDURES } from '../procedures/procedures.kind';
import { RoutineRow, ROUTINES } from './routines.kind';
import { SetRow, SETS } from './sets.kind';

/** Keeps a set that was shared, with its routines and procedures, as one action. */
@Injectable({ providedIn: 'root' })
export class CarryIn {
  private readonly journal = inject(Journal);
  private readonly storage = inject(Storage);
  private readonly clock = inject(Clock);
  private readonly reader = inject(Reader);

  /** Everything gets ids of its own; a procedure that is there already is used. @returns the id of the set. */
  async keep({ set, routines }: CarriedSet): Promise<string> {
    const at = this.clock.now();
    const db = await this.storage.db();
    const stored = await firstValueFrom(
      from(db.rows(PROCEDURES).toArray()).pipe(this.reader.sound(PROCEDURES)),
    );
    const known = new Map(stored.map(({ id, procedure }) => [stampOf(procedure), id]));
    const ids = new Map(routines.map(({ id }) => [id, newId()]));
    const idOf = (id: string): string => ids.get(id) ?? id;
    const made: { place: Place; row: unknown }[] = [];
    for (const { id, routine, procedure } of routines) {
      const stamp = procedure && stampOf(procedure);
      if (procedure && stamp !== undefined && !known.has(stamp)) {
        const own = newId();
        known.set(stamp, own);
        made.push({ place: placeOf(PROCEDURES, own), row: { id: own, procedure, at } });
      }
      const of = stamp === undefined ? undefined : known.get(stamp);
      const row: RoutineRow = { id: idOf(id), routine, at, ...(of !== undefined && { procedure: of }) };
      made.push({ place: placeOf(ROUTINES, row.id), row });
    }
    const pairs = (all: typeof set.before) => all.map(([a, b]) => [idOf(a), idOf(b)] as const);
    const row: SetRow = {
      ...{ id: newId(), at },
      set: {
        ...set,
        ...{ order: set.order.map(idOf), must: set.must.map(idOf) },
        ...{ before: pairs(set.before), directly: pairs(set.directly), apart: pairs(set.apart) },
        ...(set.opener !== undefined && { opener: idOf(set.opener) }),
        ...(set.closer !== undefined && { closer: idOf(set.closer) }),
      },
    };
    made.push({ place: placeOf(SETS, row.id), row });
    await this.journal.commit(
      `save the set ${set.name}`,
      made.map(({ place }) => place),
      () => made.map((each) => each.row) as never,
    );
    return row.id;
  }
}
