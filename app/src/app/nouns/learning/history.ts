import { inject, Injectable } from '@angular/core';
import { Database } from '../../storage/database';
import { ReviewRow, REVIEWS } from './reviews.kind';
import { Storage } from '../../storage/storage';

/** So many answers are read at once; between them the page goes on. */
const PART = 1000;

/** All answers to an order's items, read in parts. */
@Injectable()
export class History {
  private readonly storage = inject(Storage);

  /**
   * The answers and resets of an order that stand, the newest first.
   *
   * @param most how many are read at most. @param goesOn asked between parts: false stops it.
   */
  async read(orderId: string, most = Infinity, goesOn = (): boolean => true): Promise<ReviewRow[]> {
    const db = await this.storage.db();
    const found: ReviewRow[] = [];
    const seen = new Set<string>();
    let before = Infinity;
    while (found.length < most && goesOn()) {
      const rows = await this.part(db, orderId, before);
      const fresh = rows.filter(({ id }) => !seen.has(id));
      for (const row of fresh) {
        seen.add(row.id);
        if (!row.withdrawn && isSound(row)) found.push(row);
      }
      if (rows.length < PART || fresh.length === 0) break;
      before = rows[rows.length - 1].at;
    }
    return found.slice(0, most);
  }

  private part(db: Database, orderId: string, before: number): Promise<ReviewRow[]> {
    return db
      .rows(REVIEWS)
      .where('[order+at]')
      .between([orderId, 0], [orderId, before], true, true)
      .reverse()
      .limit(PART)
      .toArray();
  }
}

/** Rows that are what they should be as far as counting needs it: reading thousands through Joi takes too long. */
const isSound = (row: Partial<ReviewRow>): row is ReviewRow =>
  typeof row.item === 'string' &&
  typeof row.at === 'number' &&
  typeof row.ms === 'number' &&
  typeof row.right === 'boolean' &&
  typeof row.answered === 'string' &&
  [1, 2, 3, 4].includes(row.grade ?? 0) &&
  (row.before === undefined || typeof row.before.stability === 'number');
