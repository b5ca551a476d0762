import { computed, inject, Injectable } from '@angular/core';
import { Routine } from '@enumeron/core/file/perform/routine';
import { newId } from '../../platform/new-id';
import { Clock } from '../../platform/clock';
import { Committed, Journal } from '../../storage/journal';
import { placeOf } from '../../storage/kind';
import { liveRows } from '../../storage/live-rows';
import { Rows } from '../../storage/rows';
import { RoutineRow, ROUTINES } from './routines.kind';

/** The routines that the user has, live. */
@Injectable()
export class RoutinesStore {
  private readonly journal = inject(Journal);
  private readonly rows = inject(Rows);
  private readonly clock = inject(Clock);
  private readonly stored = liveRows(ROUTINES);

  /** By their names. Undefined until storage has been read. */
  readonly all = computed(() => {
    const stored = this.stored();
    return stored && [...stored].sort((a, b) => a.routine.name.localeCompare(b.routine.name, 'en'));
  });
  private readonly byId = computed(() => new Map(this.all()?.map((row) => [row.id, row])));

  /** A routine by its id, live; undefined while it is not there. */
  find(id: string): RoutineRow | undefined {
    return this.byId().get(id) ?? this.rows.at(placeOf(ROUTINES, id))();
  }

  isRead(id: string): boolean {
    return this.rows.isRead(placeOf(ROUTINES, id));
  }

  /** Keeps a new routine; gives its id. */
  add(routine: Routine, procedure?: string): string {
    const row: RoutineRow = {
      ...{ id: newId(), routine, at: this.clock.now() },
      ...(procedure !== undefined && { procedure }),
    };
    void this.journal.commit(`add the routine ${routine.name}`, [placeOf(ROUTINES, row.id)], () => [row]);
    return row.id;
  }

  /** Changes a routine as it is by then. */
  change(id: string, label: string, make: (row: RoutineRow) => RoutineRow): Promise<Committed> {
    const changed = this.clock.now();
    return this.journal.commit(label, [placeOf(ROUTINES, id)], ([row]) => row && [{ ...make(row), changed }]);
  }

  remove({ id, routine: { name } }: RoutineRow): Promise<Committed> {
    return this.journal.commit(`remove the routine ${name}`, [placeOf(ROUTINES, id)], () => [undefined]);
  }
}
