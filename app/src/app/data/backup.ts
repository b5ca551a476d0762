import { inject, Injectable } from '@angular/core';
import { formatCard, formatOrder, Outcome, parseCard } from '@enumeron/core/deck';
import type { Backup, PackBackup } from './backup.schema';
import { DATABASE } from './db';
import { Journal, Write } from './journal';
import { LaidPack, OrderRow, PackRow, StateRow } from './rows';

const cardsOf = (text: string): number[] => text.split(' ').map((name) => parseCard(name) as number);

const writtenPack = ({ orderId, name, home, now, seen }: LaidPack): PackBackup => ({
  orderId,
  name,
  home: formatOrder(home),
  now: formatOrder(now),
  ...(seen && { seen: { at: seen.at, card: formatCard(seen.card) } }),
});

const readPack = ({ orderId, name, home, now, seen }: PackBackup): LaidPack => ({
  orderId,
  name,
  home: cardsOf(home),
  now: cardsOf(now),
  ...(seen && { seen: { at: seen.at, card: parseCard(seen.card) as number } }),
});

/** Writes all that the user has into one file, and takes such a file back. docs/formats.md describes it. */
@Injectable({ providedIn: 'root' })
export class BackupService {
  private readonly db = inject(DATABASE);
  private readonly journal = inject(Journal);

  /** The backup of this moment as the text of a file. */
  async make(made: Date): Promise<string> {
    const { readState } = await import('./schemas');
    const [orders, stored] = await Promise.all([this.db.orders.toArray(), this.db.state.toArray()]);
    const rows = stored.map(readState).filter((row) => row !== undefined);
    const find = <Id extends StateRow['id']>(id: Id): Extract<StateRow, { id: Id }> | undefined =>
      rows.find((row): row is Extract<StateRow, { id: Id }> => row.id === id);
    const [pack, beside] = [find('pack'), find('beside')];
    const [wanted, settings] = [find('wanted'), find('settings')];
    const backup: Backup = {
      format: 'enumeron-backup',
      version: 1,
      made: made.toISOString(),
      orders: orders.map(({ id, name, cards, sample, origin, made, changed }) => ({
        id,
        name,
        cards: formatOrder(cards),
        sample,
        ...(origin && { origin }),
        made: new Date(made).toISOString(),
        changed: new Date(changed).toISOString(),
      })),
      ...(pack && { pack: writtenPack(pack) }),
      ...(beside?.pack && { beside: writtenPack(beside.pack) }),
      ...(wanted && {
        wanted: {
          ...(wanted.card !== undefined && { card: formatCard(wanted.card) }),
          ...(wanted.number !== undefined && { number: wanted.number }),
        },
      }),
      ...(settings && {
        settings: {
          theme: settings.theme,
          suitTints: settings.suitTints,
          singleKeys: settings.singleKeys,
          ...(settings.tolerance && { tolerance: settings.tolerance }),
        },
      }),
    };
    return JSON.stringify(backup, null, 2) + '\n';
  }

  /** Reads a backup without changing anything. */
  async read(text: string): Promise<Outcome<{ backup: Backup }>> {
    const { parseBackup } = await import('./backup.schema');
    return parseBackup(text);
  }

  /** Puts everything as it was in the backup, as one action that can be undone. */
  async restore(backup: Backup): Promise<void> {
    const orders = backup.orders.map((order): OrderRow => ({
      ...order,
      cards: cardsOf(order.cards),
      made: Date.parse(order.made),
      changed: Date.parse(order.changed),
    }));
    const pack: PackRow | undefined = backup.pack && { id: 'pack', ...readPack(backup.pack) };
    const wanted = backup.wanted?.card;
    const state: (StateRow | undefined)[] = [
      pack,
      backup.wanted && {
        id: 'wanted',
        ...(wanted && { card: parseCard(wanted) as number }),
        number: backup.wanted.number,
      },
      backup.settings && { id: 'settings', ...backup.settings },
    ];
    const kept = new Set(orders.map(({ id }) => id));
    const gone = (await this.db.orders.toCollection().primaryKeys()).filter((id) => !kept.has(id));
    await this.journal.commit('restore a backup', [
      ...gone.map((key): Write => ({ table: 'orders', key, after: undefined })),
      ...orders.map((row): Write => ({ table: 'orders', key: row.id, after: row })),
      {
        table: 'state',
        key: 'beside',
        after: backup.beside && { id: 'beside', pack: readPack(backup.beside) },
      },
      ...state.flatMap((row): Write[] => (row ? [{ table: 'state', key: row.id, after: row }] : [])),
    ]);
  }
}

/** The name of a backup file: `enumeron-2026-11-25.json`. */
export const backupName = (made: Date): string => `enumeron-${made.toISOString().slice(0, 10)}.json`;
