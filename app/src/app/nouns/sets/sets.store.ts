import { computed, inject, Injectable } from '@angular/core';
import { SetList } from '@enumeron/core/file/perform/routine';
import { newId } from '../../platform/new-id';
import { Clock } from '../../platform/clock';
import { Committed, Journal } from '../../storage/journal';
import { placeOf } from '../../storage/kind';
import { liveRows } from '../../storage/live-rows';
import { Rows } from '../../storage/rows';
import { SetRow, SETS } from './sets.kind';

/** The sets that the user has, live. */
@Injectable()
export class SetsStore {
  private readonly journal = inject(Journal);
  private readonly rows = inject(Rows);
  private readonly clock = inject(Clock);
  private readonly stored = liveRows(SETS);

  /** The newest first. Undefined until storage has been read. */
  readonly all = computed(() => {
    const stored = this.stored();
    return stored && [...stored].sort((a, b) => b.at - a.at);
  });

  /** A set by its id, live; undefined while it is not there. */
  find(id: string): SetRow | undefined {
    return this.rows.at(placeOf(SETS, id))();
  }

  isRead(id: string): boolean {
    return this.rows.isRead(placeOf(SETS, id));
  }

  /** Keeps a new set; gives its id. */
  add(set: SetList): string {
    const row: SetRow = { id: newId(), set, at: this.clock.now() };
    void this.journal.commit(`add the set ${set.name}`, [placeOf(SETS, row.id)], () => [row]);
    return row.id;
  }

  /** Changes a set as it is by then. */
  change(id: string, label: string, make: (set: SetList) => SetList): Promise<Committed> {
    const changed = this.clock.now();
    return this.journal.commit(
      label,
      [placeOf(SETS, id)],
      ([row]) => row && [{ ...row, set: make(row.set), changed }],
    );
  }

  remove({ id, set: { name } }: SetRow): Promise<Committed> {
    return this.journal.commit(`remove the set ${name}`, [placeOf(SETS, id)], () => [undefined]);
  }
}
