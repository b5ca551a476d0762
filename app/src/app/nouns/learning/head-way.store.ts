import { inject, Injectable } from '@angular/core';
import { Journal } from '../../storage/journal';
import { placeOf } from '../../storage/kind';
import { LEARNING, usualLearning } from './learning.kind';
import { Rows } from '../../storage/rows';

/** In which way an order's stack numbers are worked out: chosen once, and followed by every room. */
@Injectable({ providedIn: 'root' })
export class HeadWayStore {
  private readonly journal = inject(Journal);
  private readonly rows = inject(Rows);

  /** The name of the way that was chosen for an order, live; undefined where none was. */
  chosen(orderId: string): string | undefined {
    return this.rows.at(placeOf(LEARNING, orderId))()?.way;
  }

  /** @param isComputed whether the order is worked out: then nothing of it is asked by heart unless the user wants it. */
  choose(orderId: string, way: string, isComputed: boolean): void {
    const usual = { ...usualLearning(orderId), ...(isComputed ? { directions: [] } : {}) };
    void this.journal.commit('choose how it is worked out', [placeOf(LEARNING, orderId)], ([row]) => [
      { ...(row ?? usual), way },
    ]);
  }
}
