import { computed, inject, Injectable } from '@angular/core';
import { makeName } from '@enumeron/core/file/formats/name';
import { Move } from '@enumeron/core/moves';
import { Committed, Journal } from '../../storage/journal';
import { placeOf } from '../../storage/kind';
import { WEAVE_ROWS, WeaveRowRow } from './weave-rows.kind';
import { liveRows } from '../../storage/live-rows';
import { newId } from '../../platform/new-id';
import { Clock } from '../../platform/clock';

/** The rows that were kept under a name, live. */
@Injectable()
export class KeptRows {
  private readonly journal = inject(Journal);
  private readonly clock = inject(Clock);
  private readonly stored = liveRows(WEAVE_ROWS);

  /** The newest first. */
  readonly all = computed(() => [...(this.stored() ?? [])].sort((a, b) => b.at - a.at));
  readonly hasSample = computed(() => this.all().some(({ sample }) => sample));

  keep(name: string, row: readonly Move[]): Promise<Committed> {
    const kept: WeaveRowRow = { id: newId(), name: makeName(name), row, at: this.clock.now() };
    return this.journal.commit(`keep the row ${kept.name}`, [placeOf(WEAVE_ROWS, kept.id)], () => [kept]);
  }

  remove({ id, name }: WeaveRowRow): Promise<Committed> {
    return this.journal.commit(`remove the row ${name}`, [placeOf(WEAVE_ROWS, id)], () => [undefined]);
  }
}
