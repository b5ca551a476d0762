import { Injectable, untracked } from '@angular/core';
import { nextItem } from '@enumeron/core/learn';
import { ItemQuestion, ItemSource } from './item-source';

/** How long a card is seen, in milliseconds: as long as one has at a table. */
const FLASH = 500;

/** Items of which a card is seen for half a second only, like a glimpse of the face. */
@Injectable()
export class GlimpseSource extends ItemSource {
  override readonly what = 'glimpses';
  override readonly back = '/learn/busy';
  override readonly flash = FLASH;

  override next(): ItemQuestion | undefined {
    this.store.look();
    const plan = untracked(this.store.plan);
    const items = plan.items.filter(({ direction }) => direction !== 'card');
    const next = untracked(() =>
      nextItem({ ...plan, items }, this.store.memories(), this.store.standing(this.asked)),
    );
    return next && this.questionOf(next.item, next.why === 'new');
  }
}
