import { inject, Injectable, signal } from '@angular/core';
import type { Transaction } from 'dexie';
import { DRAFTS, DraftRow, DraftValue } from './kinds/drafts';
import { Reader } from './reader';
import { Storage } from './storage';
import { Tab } from './tab';

export type DraftFields = Readonly<Record<string, DraftValue>>;

/**
 * Says that nothing more will be asked of a transaction, so that it is durable without waiting for the page's thread,
 * which may be drawing what was typed.
 */
const commitNow = ({ idbtrans }: Transaction): void => (idbtrans as Partial<IDBTransaction>).commit?.();

/**
 * What is being written, kept at every key so that nothing is lost by a reload or a crash. Each tab has its own
 * draft of a subject; what a tab left that is gone is offered to the next.
 */
@Injectable({ providedIn: 'root' })
export class Drafts {
  private readonly storage = inject(Storage);
  private readonly reader = inject(Reader);
  private readonly tab = inject(Tab);
  /** The newest of each subject that is not written yet; undefined takes the draft away. */
  private readonly next = new Map<string, DraftFields | undefined>();
  private writing: Promise<void> | undefined;

  /** Whether what is being written cannot be stored. */
  readonly failed = signal(false);

  /** This tab's draft of a subject, if there is one that can be read. */
  async find(subject: string): Promise<DraftFields | undefined> {
    await this.writing;
    const db = await this.storage.db();
    const id = await this.idOf(subject);
    const rows = await this.readable([await db.rows(DRAFTS).get(id)]);
    return rows.at(0)?.fields;
  }

  /** What tabs that are gone left of a subject, the newest first. */
  async left(subject: string): Promise<readonly DraftRow[]> {
    const db = await this.storage.db();
    const rows = await this.readable(await db.rows(DRAFTS).where('subject').equals(subject).toArray());
    const [own, open] = [await this.tab.id, await this.tab.open()];
    return rows.filter(({ tab }) => tab !== own && !open?.has(tab)).sort((a, b) => b.at - a.at);
  }

  /** Keeps what is being written. It is on its way to storage when this returns. */
  keep(subject: string, fields: DraftFields): Promise<void> {
    return this.write(subject, fields);
  }

  /** Takes this tab's draft of a subject away. */
  drop(subject: string): Promise<void> {
    return this.write(subject, undefined);
  }

  /** Throws away what another tab left. */
  async discard({ id }: DraftRow): Promise<void> {
    const db = await this.storage.db();
    await db.rows(DRAFTS).delete(id);
  }

  private write(subject: string, fields: DraftFields | undefined): Promise<void> {
    this.next.set(subject, fields);
    this.writing ??= this.drain();
    return this.writing;
  }

  /** Writes the newest of each subject, until there is none; what is typed meanwhile comes in the next round. */
  private async drain(): Promise<void> {
    await Promise.resolve();
    for (;;) {
      const next = [...this.next].at(0);
      if (!next) {
        // In the same step in which nothing more is found to write: what is typed after this begins anew.
        this.writing = undefined;
        return;
      }
      const [subject, fields] = next;
      this.next.delete(subject);
      try {
        await this.put(subject, fields);
        this.failed.set(false);
      } catch (error) {
        // A full disk: what is typed stays on the screen, and the next key tries again.
        console.warn(error);
        this.failed.set(true);
        if (!this.next.has(subject)) this.next.set(subject, fields);
        this.writing = undefined;
        return;
      }
    }
  }

  private async put(subject: string, fields: DraftFields | undefined): Promise<void> {
    const [db, id, tab] = [await this.storage.db(), await this.idOf(subject), await this.tab.id];
    const row: DraftRow | undefined = fields && { id, tab, subject, at: Date.now(), fields };
    await db.transaction('rw', DRAFTS.table, async (transaction) => {
      const written = row ? db.rows(DRAFTS).put(row) : db.rows(DRAFTS).delete(id);
      commitNow(transaction);
      await written;
    });
  }

  private async idOf(subject: string): Promise<string> {
    return `${await this.tab.id} ${subject}`;
  }

  private async readable(rows: readonly unknown[]): Promise<readonly DraftRow[]> {
    await this.reader.ready();
    return rows.flatMap((row) => {
      const outcome = row === undefined ? undefined : this.reader.read(DRAFTS, row);
      return outcome?.ok ? [outcome.row] : [];
    });
  }
}
