import { computed, Injector } from '@angular/core';
import { toObservable } from '@angular/core/rxjs-interop';
import { fileName } from '@enumeron/core/file/formats/name';
import { CarriedRoutine, makeSetFile } from '@enumeron/core/file/perform/setFile';
import { PROCEDURES } from '../nouns/procedures/procedures.kind';
import { ROUTINES } from '../nouns/sets/routines.kind';
import { SETS } from '../nouns/sets/sets.kind';
import { filter, firstValueFrom } from 'rxjs';
import { pathIn, Shared, Sharing } from '../platform/sharing';
import { Place, placeOf } from '../storage/kind';
import { Rows } from '../storage/rows';

/** A row as it is shown, once storage has been asked for it. */
const readRow = async <Row>(injector: Injector, place: Place<Row>): Promise<Row | undefined> => {
  const rows = injector.get(Rows);
  const isRead = toObservable(
    computed(() => rows.isRead(place as Place)),
    { injector },
  );
  await firstValueFrom(isRead.pipe(filter((read) => read)));
  return rows.at(place)();
};

/** A set as it is shared: with all that it takes, as in a file. */
export const PERFORM_SHARING: Sharing = {
  of: async (injector, url): Promise<Shared | undefined> => {
    const id = pathIn(url, 1);
    const row = id === '' ? undefined : await readRow(injector, placeOf(SETS, id));
    if (!row) return undefined;
    const routines: CarriedRoutine[] = [];
    for (const each of row.set.order) {
      const routine = await readRow(injector, placeOf(ROUTINES, each));
      if (!routine) continue;
      const of = routine.procedure;
      const procedure =
        of === undefined ? undefined : (await readRow(injector, placeOf(PROCEDURES, of)))?.procedure;
      routines.push({
        ...{ id: each, routine: routine.routine, changed: routine.changed ?? routine.at },
        ...(procedure && { procedure }),
      });
    }
    const there = new Set(routines.map((each) => each.id));
    const set = { ...row.set, order: row.set.order.filter((each) => there.has(each)) };
    return {
      what: set.name,
      path: '/perform/shared',
      fileName: fileName(set.name, 'enumeron.json'),
      packed: makeSetFile({ id, changed: row.changed ?? row.at, set, routines }),
    };
  },
};
