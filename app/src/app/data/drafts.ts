import { inject, Injectable } from '@angular/core';
import { DATABASE } from './db';
import { DraftRow } from './rows';

/** The longest text of an order that is read and kept. */
export const TEXT_LIMIT = 20_000;

/** What is being written, kept as it is typed so that nothing is lost by a reload. */
@Injectable({ providedIn: 'root' })
export class Drafts {
  private readonly db = inject(DATABASE);

  /** The draft for an order's id (or `new`), if there is one that can be read. */
  async find(id: string): Promise<DraftRow | undefined> {
    const [row, { check, draftSchema }] = await Promise.all([this.db.drafts.get(id), import('./schemas')]);
    const outcome = check<DraftRow>(draftSchema, row ?? null);
    return outcome.ok ? outcome.value : undefined;
  }

  async keep(draft: DraftRow): Promise<void> {
    if (draft.text.length <= TEXT_LIMIT) await this.db.drafts.put(draft);
  }

  async drop(id: string): Promise<void> {
    await this.db.drafts.delete(id);
  }
}
