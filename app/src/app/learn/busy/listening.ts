import { inject, Injectable } from '@angular/core';
import { dueItems, Item, itemId, itemsOf } from '@enumeron/core/learn';
import { LearnStore } from '../../nouns/learning/learn.store';

/** What is gone through while the hands are busy: nothing is answered, so that nothing is noted. */
@Injectable()
export class Listening {
  private readonly store = inject(LearnStore);

  /** The begun items, the weakest first, those that are due before the others; the whole order where none is begun. */
  items(): readonly Item[] {
    this.store.look();
    const [plan, memories, now] = [this.store.plan(), this.store.memories(), this.store.now()];
    const all = dueItems(plan, memories, now, Infinity);
    const due = new Set(dueItems(plan, memories, now, now).map(itemId));
    const begun = [
      ...all.filter((item) => due.has(itemId(item))),
      ...all.filter((item) => !due.has(itemId(item))),
    ];
    return begun.length > 0 ? begun : itemsOf(this.store.order(), ['card']);
  }
}
