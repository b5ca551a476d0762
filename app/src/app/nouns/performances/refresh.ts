import { inject, Injectable } from '@angular/core';
import type { Night } from '@enumeron/core/file/record/night';
import { Reader } from '../../storage/reader';
import { Storage } from '../../storage/storage';
import { PROCEDURES } from '../procedures/procedures.kind';
import { ByRecord } from '../procedures/by-record';
import { BY_RECORD, FITTED } from '../procedures/by-record.kind';
import { readNights } from './nights.store';
import { workOut } from './work-out';

/** Works out anew what the record says of all that is weighed by it. This module brings the fit: load it with `import()`. */
@Injectable({ providedIn: 'root' })
export class Refresh {
  private readonly storage = inject(Storage);
  private readonly reader = inject(Reader);
  private readonly byRecord = inject(ByRecord);
  private asked = 0;

  /** @param nights as they are; read from storage where they are not given. Of several at once the last one counts. */
  async run(nights?: readonly Night[]): Promise<void> {
    const asked = ++this.asked;
    const db = await this.storage.db();
    const weighed = await db.rows(BY_RECORD).toArray();
    const before = (await db.rows(FITTED).get(FITTED.single.key)) ?? FITTED.single.standIn;
    const all = nights ?? (await readNights(db, this.reader)).filter(({ removed }) => !removed);
    const rows = await db.rows(PROCEDURES).bulkGet(weighed.map(({ id }) => id));
    if (asked !== this.asked) return;
    const procedures = new Map(rows.flatMap((row) => (row ? [[row.id, row.procedure] as const] : [])));
    const now = workOut(all, weighed, procedures, before);
    if (JSON.stringify(now) !== JSON.stringify(before)) await this.byRecord.keep(now);
  }
}
