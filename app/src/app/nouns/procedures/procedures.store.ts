import { computed, inject, Injectable } from '@angular/core';
import type { Procedure } from '@enumeron/core/file/procedure/procedure';
import { Committed, Journal } from '../../storage/journal';
import { placeOf } from '../../storage/kind';
import { ProcedureRow, PROCEDURES } from './procedures.kind';
import { liveRows } from '../../storage/live-rows';
import { newId } from '../../platform/new-id';
import { Rows } from '../../storage/rows';
import { Clock } from '../../platform/clock';

/** The procedures that the user has, live. */
@Injectable()
export class ProceduresStore {
  private readonly journal = inject(Journal);
  private readonly rows = inject(Rows);
  private readonly clock = inject(Clock);
  private readonly stored = liveRows(PROCEDURES);

  /** The user's own, the newest first, and then those of the sample. Undefined until storage has been read. */
  readonly all = computed(() => {
    const stored = this.stored();
    return (
      stored &&
      [...stored].sort((a, b) => Number(a.sample ?? false) - Number(b.sample ?? false) || order(a, b))
    );
  });
  readonly hasSample = computed(() => this.all()?.some(({ sample }) => sample) === true);

  /** A procedure by its id, live; undefined while it is not there. */
  find(id: string): ProcedureRow | undefined {
    return this.rows.at(placeOf(PROCEDURES, id))();
  }

  /** Whether storage has been asked for a procedure. */
  isRead(id: string): boolean {
    return this.rows.isRead(placeOf(PROCEDURES, id));
  }

  /** Keeps a new procedure; gives its id. */
  add(procedure: Procedure, label: string): string {
    const row: ProcedureRow = { id: newId(), procedure, at: this.clock.now() };
    void this.journal.commit(label, [placeOf(PROCEDURES, row.id)], () => [row]);
    return row.id;
  }

  remove({ id, procedure: { name } }: ProcedureRow): Promise<Committed> {
    return this.journal.commit(`remove the procedure ${name}`, [placeOf(PROCEDURES, id)], () => [undefined]);
  }
}

const order = (a: ProcedureRow, b: ProcedureRow): number => (a.sample ? a.at - b.at : b.at - a.at);
