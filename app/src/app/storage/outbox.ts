import { inject, Injectable } from '@angular/core';
import type { Transaction } from 'dexie';
import type { Database } from './database';
import { isLeftAction, LeftAction } from './in-flight';
import { Journal } from './journal';
import { DRAFTS, DraftRow } from './kinds/drafts';
import { Storage } from './storage';
import { Tab } from '../platform/tab';

/** What is on its way lies among the drafts, under the tab's id and this subject. */
const SUBJECT = 'in flight';
/** What is on its way is stored within a moment, in milliseconds. */
const MOMENT = 5000;

const idOf = (tab: string): string => `${tab} ${SUBJECT}`;

const actionsIn = ({ fields }: DraftRow): readonly LeftAction[] => {
  const { actions } = fields;
  return Array.isArray(actions) ? actions.filter(isLeftAction) : [];
};

/**
 * What was done and is not stored yet, in the browser's database at once: storing it with its entry of the journal takes
 * longer than one types, and session storage goes with a browser that is killed.
 */
@Injectable({ providedIn: 'root' })
export class Outbox {
  private readonly storage = inject(Storage);
  private readonly journal = inject(Journal);
  private readonly tab = inject(Tab);
  private isEmpty = true;

  /** Does what tabs that are gone had not stored, and keeps what is on its way from here from now on. */
  async begin(): Promise<void> {
    const db = await this.storage.db();
    const own = await this.tab.id;
    await this.takeOver(db, own);
    this.journal.keepAtOnce((actions) => this.keep(db, own, actions));
  }

  private async takeOver(db: Database, own: string): Promise<void> {
    const rows = await db.rows(DRAFTS).where('subject').equals(SUBJECT).toArray();
    const open = rows.length === 0 ? undefined : await this.tab.open();
    // Where the browser cannot tell which tabs are open, one that was used a moment ago may be.
    const isGone = ({ tab, at }: DraftRow): boolean => (open ? !open.has(tab) : Date.now() - at > MOMENT);
    const gone = rows.filter((row) => row.tab === own || isGone(row));
    if (gone.length === 0) return;
    this.journal.takeOver(gone.flatMap(actionsIn));
    await this.journal.finish();
    await db.rows(DRAFTS).bulkDelete(gone.map(({ id }) => id));
  }

  private keep(db: Database, tab: string, actions: readonly LeftAction[]): void {
    if (this.isEmpty && actions.length === 0) return;
    this.isEmpty = actions.length === 0;
    const row: DraftRow = { id: idOf(tab), tab, subject: SUBJECT, at: Date.now(), fields: { actions } };
    const write = (transaction: Transaction): unknown => {
      const written = this.isEmpty ? db.rows(DRAFTS).delete(row.id) : db.rows(DRAFTS).put(row);
      // Nothing more is asked: it is durable without waiting for the page.
      (transaction.idbtrans as Partial<IDBTransaction>).commit?.();
      return written;
    };
    // Where it is refused what was done shows all the same, and is told when it cannot be stored.
    db.transaction('rw', DRAFTS.table, write).catch(() => undefined);
  }
}
