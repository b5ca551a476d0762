import { computed, inject, Injectable } from '@angular/core';
import { Journal } from '../../storage/journal';
import { onlyPlace } from '../../storage/kind';
import { LATELY, LatelyRow } from './lately.kind';
import { Rows } from '../../storage/rows';

const PLACE = onlyPlace(LATELY);

/** The only room that greeted before it was noted which one did. */
const GREETED_FIRST = 'reckon';

const greetedIn = ({ greeted = [], greeting }: LatelyRow): readonly string[] =>
  greeting === 'used' ? [...greeted, GREETED_FIRST] : greeted;

/** What was used lately. None of it is undone, and none of it is in a backup. */
@Injectable({ providedIn: 'root' })
export class LatelyStore {
  private readonly journal = inject(Journal);
  private readonly rows = inject(Rows);
  private readonly row = this.rows.only(PLACE);

  /** Addresses of ways into Reckon, the last used first. */
  readonly ways = computed(() => this.row().ways);

  /** Whether it is known by now what is stored. */
  readonly isRead = computed(() => this.rows.isRead(PLACE));

  /** Notes that a way was used. */
  use(path: string): void {
    if (this.ways().at(0) === path) return;
    this.change((row) => ({ ...row, ways: [path, ...row.ways.filter((each) => each !== path)] }));
  }

  /** Whether the greeting of a room, by its address, was used or closed. */
  isGreeted(room: string): boolean {
    return greetedIn(this.row()).includes(room);
  }

  /** Notes that a room's greeting was used or closed. */
  greet(room: string): void {
    if (this.isGreeted(room)) return;
    this.change((row) => ({ ...row, greeted: [...(row.greeted ?? []), room] }));
  }

  private change(make: (row: LatelyRow) => LatelyRow): void {
    void this.journal.commit('note what was used', [PLACE], ([row]) => [make(row)]);
  }
}
