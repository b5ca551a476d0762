import { computed, inject, Injectable } from '@angular/core';
import type { WorkedOut, WorkedOutArgs } from '@enumeron/core/file/perform/workedOut';
import { Journal } from '../../storage/journal';
import { onlyPlace } from '../../storage/kind';
import { Rows } from '../../storage/rows';
import { hashText, stampOf } from '../procedures/verdicts.store';
import { KeptWorkedOut, MOST_WORKED_OUT, WORKED_OUT_PACKS } from './worked-out.kind';

const PLACE = onlyPlace(WORKED_OUT_PACKS);

/** Under which key a pack of a routine is kept. */
export const packKey = (routine: string, pack: string): string => hashText(`${routine} ${pack}`);

/** Tells what is asked from what was asked before: another when procedure, packet or order change. */
export const askedStamp = ({ procedure, packet, order, loose }: WorkedOutArgs): string =>
  `${stampOf(procedure)}.${hashText(JSON.stringify([packet, order, loose === true]))}`;

/** What was found of routines: kept until their procedures change. None of it is undone, or in a backup. */
@Injectable({ providedIn: 'root' })
export class WorkedOutStore {
  private readonly journal = inject(Journal);
  private readonly rows = inject(Rows);
  private readonly row = this.rows.only(PLACE);

  readonly isRead = computed(() => this.rows.isRead(PLACE));

  /** What was found under a key, if that was of what has this stamp. */
  of(key: string, stamp: string): KeptWorkedOut | undefined {
    const { packs } = this.row();
    return Object.hasOwn(packs, key) && packs[key].stamp === stamp ? packs[key] : undefined;
  }

  /** @param found undefined where its procedure cannot be read. */
  keep(key: string, stamp: string, found: WorkedOut | undefined): void {
    void this.journal.commit('note what routines need and leave', [PLACE], ([row]) => {
      const others = Object.entries(row.packs).filter(([each]) => each !== key);
      const kept: KeptWorkedOut = { stamp, ...(found && { found }) };
      return [{ ...row, packs: Object.fromEntries([...others.slice(1 - MOST_WORKED_OUT), [key, kept]]) }];
    });
  }
}
