import { effect, inject, Injectable, signal, untracked } from '@angular/core';
import type { Transaction } from 'dexie';
import { DRAFTS, DraftRow, DraftValue } from './kinds/drafts';
import { Reader } from './reader';
import { Storage } from './storage';
import { Tab } from '../platform/tab';
import { keepUnstored, tabsWithUnstored, Unstored, unstoredOf } from './unstored-drafts';

export type DraftFields = Readonly<Record<string, DraftValue>>;

/**
 * Says that nothing more will be asked of a transaction, so that it is durable without waiting for the page's thread,
 * which may be drawing what was typed.
 */
const commitNow = ({ idbtrans }: Transaction): void => (idbtrans as Partial<IDBTransaction>).commit?.();

const idOf = (tab: string, subject: string): string => `${tab} ${subject}`;

const rowOf = (tab: string, { subject, at, fields }: Unstored): DraftRow | undefined =>
  fields && { id: idOf(tab, subject), tab, subject, at, fields };

/**
 * What is being written, kept at every key so that nothing is lost by a reload or a crash: until the database has it,
 * local storage does. Each tab has its own draft of a subject; what a tab left that is gone is offered to the next.
 */
@Injectable({ providedIn: 'root' })
export class Drafts {
  private readonly storage = inject(Storage);
  private readonly reader = inject(Reader);
  private readonly tab = inject(Tab);
  /** This tab's id, once it is known. */
  private id: string | undefined;
  /** The newest of each subject that is not stored yet. */
  private readonly next = new Map<string, Unstored>();
  /** The newest of each subject that is stored in memory alone. */
  private readonly inMemory = new Map<string, Unstored>();
  private writing: Promise<void> | undefined;

  /** Whether what is being written cannot be stored. */
  readonly failed = signal(false);

  /** Resolves when what this tab had not stored before a reload is on its way. */
  private readonly begun = this.tab.id.then((id) => {
    this.id = id;
    for (const each of unstoredOf(id)) if (!this.next.has(each.subject)) this.next.set(each.subject, each);
    this.keepText();
    if (this.next.size > 0) void this.drained();
  });

  constructor() {
    effect(() => {
      if (this.storage.trouble() === undefined) untracked(() => this.takeFromMemory());
    });
  }

  /** This tab's draft of a subject, if there is one that can be read. */
  async find(subject: string): Promise<DraftFields | undefined> {
    await this.begun;
    await this.writing;
    const tab = await this.tab.id;
    const refused = this.next.get(subject);
    const row = refused
      ? rowOf(tab, refused)
      : await (await this.storage.db()).rows(DRAFTS).get(idOf(tab, subject));
    return (await this.readable([row])).at(0)?.fields;
  }

  /** What tabs that are gone left of a subject, the newest first. */
  async left(subject: string): Promise<readonly DraftRow[]> {
    const db = await this.storage.db();
    const [own, open] = [await this.tab.id, await this.tab.open()];
    const isGone = (tab: string): boolean => tab !== own && !open?.has(tab);
    for (const tab of tabsWithUnstored().filter(isGone)) await this.storeFor(tab);
    const rows = await this.readable(await db.rows(DRAFTS).where('subject').equals(subject).toArray());
    return rows.filter(({ tab }) => isGone(tab)).sort((a, b) => b.at - a.at);
  }

  /** Keeps what is being written. It is kept when this returns, and on its way to storage. */
  keep(subject: string, fields: DraftFields): Promise<void> {
    return this.write({ subject, at: Date.now(), fields });
  }

  /** Takes this tab's draft of a subject away. */
  drop(subject: string): Promise<void> {
    return this.write({ subject, at: Date.now() });
  }

  /** Throws away what another tab left. */
  async discard({ id }: DraftRow): Promise<void> {
    const db = await this.storage.db();
    await db.rows(DRAFTS).delete(id);
  }

  /** Forgets what is not stored yet, of every tab: everything has been erased. */
  forget(): void {
    this.next.clear();
    this.inMemory.clear();
    for (const tab of tabsWithUnstored()) keepUnstored(tab, []);
  }

  private write(unstored: Unstored): Promise<void> {
    this.next.set(unstored.subject, unstored);
    this.keepText();
    return this.drained();
  }

  /** Keeps what is in no database that lasts; before the tab's id is known there is no name for it. */
  private keepText(): void {
    const newest = new Map([...this.inMemory, ...this.next]);
    if (this.id !== undefined) keepUnstored(this.id, [...newest.values()]);
  }

  private drained(): Promise<void> {
    this.writing ??= this.drain();
    return this.writing;
  }

  /** Writes the newest of each subject, until there is none; what is typed meanwhile comes in the next round. */
  private async drain(): Promise<void> {
    await Promise.resolve();
    for (;;) {
      const unstored = [...this.next.values()].at(0);
      if (!unstored) {
        // In the same step in which nothing more is found to write: what is typed after this begins anew.
        this.writing = undefined;
        return;
      }
      try {
        await this.put(await this.tab.id, unstored);
        this.failed.set(false);
        this.settle(unstored);
      } catch (error) {
        // A full disk: what is typed stays on the screen, and the next key tries again.
        console.warn(error);
        this.failed.set(true);
        this.writing = undefined;
        return;
      }
    }
  }

  private settle(unstored: Unstored): void {
    const { subject } = unstored;
    if (this.storage.trouble() === undefined) this.inMemory.delete(subject);
    else this.inMemory.set(subject, unstored);
    if (this.next.get(subject) === unstored) this.next.delete(subject);
    this.keepText();
  }

  /** Stores what was written while there was no database but one in memory. */
  private takeFromMemory(): void {
    if (this.inMemory.size === 0) return;
    for (const [subject, each] of this.inMemory) if (!this.next.has(subject)) this.next.set(subject, each);
    this.inMemory.clear();
    void this.drained();
  }

  private async put(tab: string, unstored: Unstored): Promise<void> {
    const db = await this.storage.db();
    const row = rowOf(tab, unstored);
    await db.transaction('rw', DRAFTS.table, async (transaction) => {
      const written = row ? db.rows(DRAFTS).put(row) : db.rows(DRAFTS).delete(idOf(tab, unstored.subject));
      commitNow(transaction);
      await written;
    });
  }

  /** Stores what a tab that is gone had not, unless this is in memory alone: there it would be lost. */
  private async storeFor(tab: string): Promise<void> {
    if (this.storage.trouble() !== undefined) return;
    try {
      for (const unstored of unstoredOf(tab)) await this.put(tab, unstored);
      keepUnstored(tab, []);
    } catch (error) {
      // A full disk: it stays where it is.
      console.warn(error);
    }
  }

  private async readable(rows: readonly unknown[]): Promise<readonly DraftRow[]> {
    return this.reader.reading(() =>
      rows.flatMap((row) => {
        const outcome = row === undefined ? undefined : this.reader.read(DRAFTS, row);
        return outcome?.ok ? [outcome.row] : [];
      }),
    );
  }
}
