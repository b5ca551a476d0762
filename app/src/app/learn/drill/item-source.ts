import { computed, inject, Injectable, untracked } from '@angular/core';
import { ParamMap } from '@angular/router';
import { showCard } from '@enumeron/core/deck';
import {
  asksOf,
  DIRECTION_WORDS,
  gradeOf,
  Item,
  itemId,
  judge,
  nextItem,
  promptOf,
  Answer,
  sayConfused,
  showSaid,
  Standing,
  truthOf,
} from '@enumeron/core/learn';
import { Journal } from '../../storage/journal';
import { placeOf } from '../../storage/kind';
import { itemKey, ITEMS } from '../../nouns/learning/items.kind';
import { REVIEWS } from '../../nouns/learning/reviews.kind';
import { newId } from '../../platform/new-id';
import { Clock } from '../../platform/clock';
import { ImagesStore } from '../../nouns/learning/images.store';
import { LearnStore } from '../../nouns/learning/learn.store';
import { counted, PRACTICE_PLACE } from './practice-row';
import { Given, How, Meeting, Question, Source, TakenBack } from './source';

export interface ItemQuestion extends Question {
  readonly item: Item;
  readonly isNew: boolean;
}

/** An item and one answer to it, by their keys. */
interface ItemAnswer {
  readonly key: string;
  readonly review: string;
  readonly at: number;
}

/** So many of the last questions are kept, to plan by. */
const KEPT = 60;

/** Items of the order in hand, as the schedule wants them. */
@Injectable()
export class ItemSource extends Source {
  private readonly journal = inject(Journal);
  protected readonly store = inject(LearnStore);
  private readonly images = inject(ImagesStore);
  private readonly clock = inject(Clock);

  override readonly what: string = 'items';
  override readonly back: string = '/learn';
  override readonly title = this.store.name;
  override readonly isRead = computed(() => this.store.isRead() && this.images.isRead());
  override readonly fluent = computed(() => this.store.pace().fluent);

  /** What the address of the practice says. */
  protected query: ParamMap | undefined;
  private history: Standing['asked'] = [];

  /** What was asked in this practice, the newest first. */
  protected get asked(): Standing['asked'] {
    return this.history;
  }

  override begin(query: ParamMap): void {
    this.query = query;
    this.history = [];
  }

  override next(): ItemQuestion | undefined {
    this.store.look();
    const next = untracked(() =>
      nextItem(this.store.plan(), this.store.memories(), this.store.standing(this.history)),
    );
    return next && this.questionOf(next.item, next.why === 'new');
  }

  protected questionOf(item: Item, isNew: boolean): ItemQuestion {
    const order = this.store.order();
    return {
      ...{ item, isNew, asks: asksOf(item), question: DIRECTION_WORDS[item.direction].asks },
      prompt: showSaid(promptOf(item, order)),
      hint: this.images.hintFor(item, order),
      ...(this.store.begun().has(item.card) ? {} : { meeting: this.meetingOf(item) }),
    };
  }

  private meetingOf({ card }: Item): Meeting {
    const of = (direction: Item['direction']): string =>
      showSaid(truthOf({ direction, card }, this.store.order()));
    return { card: showCard(card), number: of('number'), before: of('before'), after: of('after') };
  }

  override stands(question: Question): boolean {
    return this.store.order().includes((question as ItemQuestion).item.card);
  }

  override again(question: Question): Question {
    const { item } = question as ItemQuestion;
    const isNew = !this.store.memories().has(itemId(item));
    return { ...this.questionOf(item, isNew), meeting: undefined };
  }

  override give(question: Question, said: Answer, how: How, spent: number): Given {
    const { item, isNew } = question as ItemQuestion;
    const order = this.store.order();
    const { right, truth, confused } = judge(item, order, said);
    const { stored, ...answer } = this.note(item, { said, right, truth, how, spent });
    this.history = [{ item, isNew, at: answer.at }, ...this.history].slice(0, KEPT);
    return {
      ...{ question, right, truth, said, lines: [], ms: how.ms, stored },
      ...{ hinted: how.hinted === true, interrupted: how.interrupted === true },
      mixed: sayConfused(item, order, said, confused),
      takeBack: async () => {
        const taken = await this.takeBack(item, answer, right, stored);
        if (taken === 'taken back')
          this.history = this.history.filter((each) => each.at !== answer.at || each.item !== item);
        return taken;
      },
    };
  }

  /** Notes an answer with its item and the practice. */
  private note(
    item: Item,
    given: { said: Answer; right: boolean; truth: Answer; how: How; spent: number },
  ): ItemAnswer & Pick<Given, 'stored'> {
    const { said, right, truth, how, spent } = given;
    const [at, orderId, id, review] = [this.clock.now(), this.store.orderId(), itemId(item), newId()];
    const key = itemKey(orderId, id);
    const [schedule, pace] = [this.store.schedule(), this.store.pace()];
    this.store.touch(key);
    const stored = this.journal.commit(
      `answer ${id}`,
      [placeOf(ITEMS, key), placeOf(REVIEWS, review), PRACTICE_PLACE],
      ([row, , practice]) => {
        const before = row?.memory;
        const grade = gradeOf({ ...how, right, first: !before }, pace);
        // Never before the last answer: a clock may have been put back.
        const memory = schedule.next(before ?? schedule.fresh(at), grade, Math.max(at, before?.last ?? 0));
        return [
          { id: key, order: orderId, item: id, memory, truth: showSaid(truth), begun: row?.begun ?? at },
          {
            ...{ id: review, order: orderId, item: id, at: memory.last ?? at, answered: showSaid(said) },
            ...{ right, ms: Math.round(how.ms), grade },
            ...(how.interrupted ? { interrupted: true as const } : {}),
            ...(how.hinted ? { hinted: true as const } : {}),
            ...(before ? { before } : {}),
          },
          counted(practice, spent, right, 1),
        ];
      },
    );
    this.store.look();
    return { key, review, at, stored };
  }

  /**
   * Takes an answer back: the item is as it was before, and the answer stays in the history as withdrawn. Nothing
   * happens where the answer is not stored, or where another tab has answered the item since.
   */
  private async takeBack(
    item: Item,
    { key, review }: ItemAnswer,
    right: boolean,
    stored: Given['stored'],
  ): Promise<TakenBack> {
    // What is held may be stored at any later moment: taking it back would then come as a surprise.
    await stored;
    if (this.journal.held() > 0) return 'not stored yet';
    const done = await this.journal.commit(
      `take back ${itemId(item)}`,
      [placeOf(ITEMS, key), placeOf(REVIEWS, review), PRACTICE_PLACE],
      ([row, answer, practice]) => {
        if (!row || !answer || answer.withdrawn || row.memory.last !== answer.at) return undefined;
        return [
          answer.before && { ...row, memory: answer.before },
          { ...answer, withdrawn: true as const },
          counted(practice, 0, right, -1),
        ];
      },
    );
    this.store.look();
    return done === 'stored' ? 'taken back' : done === 'held' ? 'not stored yet' : 'answered since';
  }
}
