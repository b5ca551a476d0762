import { computed, inject, Injectable, signal } from '@angular/core';
import type { Procedure } from '@enumeron/core/file/procedure/procedure';
import { DRAFT } from '@enumeron/core/file/rehearse/draft';
import { Committed, Journal } from '../../storage/journal';
import { placeOf } from '../../storage/kind';
import { ProcedureRow, PROCEDURES } from './procedures.kind';
import { fieldsOf, overReload } from '../../platform/over-reload';
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

  /** One that was begun, and is kept as soon as anything is written in it. */
  private readonly begun = signal<ProcedureRow | undefined>(
    begunIn(overReload('begun procedure', (): unknown => this.begun())),
  );

  /** A procedure by its id, live; undefined while it is not there. */
  find(id: string): ProcedureRow | undefined {
    return this.rows.at(placeOf(PROCEDURES, id))() ?? this.begunAs(id);
  }

  /** The procedure of an id that nothing was written in yet. */
  begunAs(id: string): ProcedureRow | undefined {
    const begun = this.begun();
    return begun?.id === id ? begun : undefined;
  }

  /** Begins a procedure; gives its id. */
  begin(procedure: Procedure): string {
    const row: ProcedureRow = { id: newId(), procedure, at: this.clock.now() };
    this.begun.set(row);
    return row.id;
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

  /** Keeps several new ones as one action. */
  addAll(procedures: readonly Procedure[], label: string): void {
    const rows = procedures.map((procedure): ProcedureRow => ({
      id: newId(),
      procedure,
      at: this.clock.now(),
    }));
    const places = rows.map(({ id }) => placeOf(PROCEDURES, id));
    void this.journal.commit(label, places, () => rows);
  }

  remove({ id, procedure: { name } }: ProcedureRow): Promise<Committed> {
    return this.journal.commit(`remove the procedure ${name}`, [placeOf(PROCEDURES, id)], () => [undefined]);
  }
}

/** What was begun before a reload; undefined where that is none. */
const begunIn = (kept: unknown): ProcedureRow | undefined => {
  const { id, procedure, at } = fieldsOf(kept);
  return typeof id === 'string' && typeof at === 'number' && DRAFT(procedure, {}) === undefined
    ? { id, procedure: procedure as Procedure, at }
    : undefined;
};

const order = (a: ProcedureRow, b: ProcedureRow): number => (a.sample ? a.at - b.at : b.at - a.at);
