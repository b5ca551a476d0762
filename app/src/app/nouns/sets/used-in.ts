import { Injector } from '@angular/core';
import { firstValueFrom, from } from 'rxjs';
import { Reader } from '../../storage/reader';
import { Storage } from '../../storage/storage';
import { RoutineRow, ROUTINES } from './routines.kind';
import { SETS } from './sets.kind';

/**
 * Which sets use what is removed, as a sentence with a blank before it; empty where none does.
 *
 * @param uses whether a routine uses it.
 */
export const sayUsedIn = async (injector: Injector, uses: (row: RoutineRow) => boolean): Promise<string> => {
  const db = await injector.get(Storage).db();
  const reader = injector.get(Reader);
  const [routines, sets] = await Promise.all([
    firstValueFrom(from(db.rows(ROUTINES).toArray()).pipe(reader.sound(ROUTINES))),
    firstValueFrom(from(db.rows(SETS).toArray()).pipe(reader.sound(SETS))),
  ]);
  const ids = new Set(routines.filter(uses).map(({ id }) => id));
  const names = sets.filter(({ set }) => set.order.some((id) => ids.has(id))).map(({ set }) => set.name);
  return names.length === 0 ? '' : ` It is used in ${names.join(' and ')}.`;
};
