import { inject, Injectable, untracked } from '@angular/core';
import { ParamMap } from '@angular/router';
import { Card } from '@enumeron/core/deck';
import { Item, itemId } from '@enumeron/core/learn';
import { ItemQuestion, ItemSource } from '../drill/item-source';
import { Question } from '../drill/source';
import { PackStore } from '../../nouns/pack/pack.store';

/** The cards of the real pack from the top: what comes first, and what follows each. */
@Injectable()
export class DealSource extends ItemSource {
  override readonly what = 'dealing along';
  override readonly back = '/learn/busy';

  private readonly pack = inject(PackStore);
  private dealt: readonly Card[] = [];
  private dealtSoFar = 0;

  override begin(query: ParamMap): void {
    super.begin(query);
    const inStep = this.store.inHand() && this.pack.offset() !== undefined;
    // A pack that is out of step does not follow the order: then it is dealt as it was learnt.
    this.dealt = untracked(() => (inStep ? this.pack.now() : this.store.order()));
    this.dealtSoFar = 0;
  }

  override next(): ItemQuestion | undefined {
    this.store.look();
    const index = this.dealtSoFar++;
    if (index >= this.dealt.length) return undefined;
    const item: Item =
      index === 0
        ? { direction: 'card', card: this.dealt[0] }
        : { direction: 'after', card: this.dealt[index - 1] };
    const isNew = !this.store.memories().has(itemId(item));
    return {
      ...this.questionOf(item, isNew),
      meeting: undefined,
      given: `card ${index + 1} of ${this.dealt.length}`,
    };
  }

  override again(question: Question): Question {
    const { item } = question as ItemQuestion;
    // The deal goes on behind the card that is asked again.
    this.dealtSoFar = item.direction === 'card' ? 1 : this.dealt.indexOf(item.card) + 2;
    return { ...super.again(question), given: question.given };
  }
}
