import { computed, inject, Injectable } from '@angular/core';
import { type StatedChoice, statedIn } from '@enumeron/core/file/record/instructions';
import type { Procedure } from '@enumeron/core/file/procedure/procedure';
import { PROCEDURES } from '../nouns/procedures/procedures.kind';
import { RoutinesStore } from '../nouns/sets/routines.store';
import { liveRows } from '../storage/live-rows';

/** What the procedures of routines state of their choices. */
@Injectable()
export class Stated {
  private readonly routines = inject(RoutinesStore);
  private readonly stored = liveRows(PROCEDURES);

  /** Every procedure, the user’s own first. */
  readonly procedures = computed(() => this.stored() ?? []);
  private readonly byId = computed(
    () => new Map(this.procedures().map(({ id, procedure }) => [id, procedure])),
  );
  private readonly known = new WeakMap<Procedure, readonly StatedChoice[]>();

  /** The procedure of a routine, by the routine’s id; undefined where it has none that is there. */
  procedureOf(routine: string): Procedure | undefined {
    const id = this.routines.find(routine)?.procedure;
    return id === undefined ? undefined : this.byId().get(id);
  }

  /** The choices of a procedure, found once. */
  choicesOf(procedure: Procedure): readonly StatedChoice[] {
    const known = this.known.get(procedure) ?? statedIn(procedure);
    this.known.set(procedure, known);
    return known;
  }
}
