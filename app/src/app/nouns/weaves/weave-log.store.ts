import { computed, inject, Injectable } from '@angular/core';
import { Committed, Journal } from '../../storage/journal';
import { placeOf } from '../../storage/kind';
import { WEAVES_DONE, WeaveDoneRow } from './weaves.kind';
import { liveRows } from '../../storage/live-rows';
import { newId } from '../../platform/new-id';
import { Clock } from '../../platform/clock';

/** So many weaves are shown: the latest. */
const SHOWN = 500;

/** The weaves that were practised, live. */
@Injectable()
export class WeaveLogStore {
  private readonly journal = inject(Journal);
  private readonly clock = inject(Clock);
  private readonly stored = liveRows(WEAVES_DONE, (db) =>
    db.rows(WEAVES_DONE).orderBy('at').reverse().limit(SHOWN).toArray(),
  );

  /** The latest first. */
  readonly all = computed(() => [...(this.stored() ?? [])].sort((a, b) => b.at - a.at));

  readonly hasSample = computed(() => this.all().some(({ sample }) => sample));

  add(weave: Omit<WeaveDoneRow, 'id' | 'at'>): Promise<Committed> {
    const row = { id: newId(), at: this.clock.now(), ...weave };
    return this.journal.commit('note a weave', [placeOf(WEAVES_DONE, row.id)], () => [row]);
  }

  remove({ id }: WeaveDoneRow): Promise<Committed> {
    return this.journal.commit('remove a weave from the log', [placeOf(WEAVES_DONE, id)], () => [undefined]);
  }
}
