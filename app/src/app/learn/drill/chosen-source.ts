import { Injectable } from '@angular/core';
import { ParamMap } from '@angular/router';
import { Item, itemId, parseItem, Answer } from '@enumeron/core/learn';
import { ItemQuestion, ItemSource } from './item-source';
import { Given, How, Question } from './source';

/** So many others come before one that was wrong. */
const LATER = 3;

/** Items that were chosen, such as the ten weakest: each until it is right, due or not. */
@Injectable()
export class ChosenSource extends ItemSource {
  override readonly what = 'chosen items';
  override readonly back = '/learn/standing';
  private queue: readonly Item[] = [];

  override begin(query: ParamMap): void {
    super.begin(query);
    this.queue = (this.query?.get('items') ?? '').split(',').flatMap((text) => parseItem(text) ?? []);
  }

  override next(): ItemQuestion | undefined {
    this.store.look();
    this.queue = this.queue.filter(({ card }) => this.store.order().includes(card));
    const item = this.queue.at(0);
    this.queue = this.queue.slice(1);
    return item && this.questionOf(item, !this.store.memories().has(itemId(item)));
  }

  override give(question: Question, said: Answer, how: How, spent: number): Given {
    const given = super.give(question, said, how, spent);
    const { item } = question as ItemQuestion;
    if (!given.right) this.queue = [...this.queue.slice(0, LATER), item, ...this.queue.slice(LATER)];
    return {
      ...given,
      takeBack: async () => {
        const taken = await given.takeBack();
        if (taken === 'taken back') this.queue = this.queue.filter((each) => each !== item);
        return taken;
      },
    };
  }
}
