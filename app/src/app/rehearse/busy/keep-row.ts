import { inject, Injectable } from '@angular/core';
import { Router } from '@angular/router';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { BusyHeap, BusyMove, busyProcedure } from '@enumeron/core/file/rehearse/busyRow';
import { ProceduresStore } from '../../nouns/procedures/procedures.store';

/** What is wanted, heap by heap, in the procedure that is kept. */
const WANTED = ['AC', 'AD', 'AH', 'AS', 'KH', 'KS'];

/** Keeps a row of moves as a procedure, and opens it. */
@Injectable()
export class KeepRow {
  private readonly procedures = inject(ProceduresStore);
  private readonly router = inject(Router);

  async keep(heaps: readonly BusyHeap[], moves: readonly BusyMove[]): Promise<void> {
    const wanted = heaps.reduce((sum, { wanted }) => sum + wanted.length, 0);
    const name = `A busy row of ${countOf(moves.length, 'move')}`;
    const procedure = busyProcedure(name, heaps, moves, WANTED.slice(0, wanted));
    await this.router.navigate(['/rehearse', this.procedures.add(procedure, 'keep a busy row')]);
  }
}
