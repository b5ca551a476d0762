import { inject, Injectable } from '@angular/core';
import { Answered, gradeOf, Item, itemId, judge, Said, showSaid, Verdict } from '@enumeron/core/learn';
import { Committed, Journal } from '../../data/journal';
import { onlyPlace, placeOf } from '../../data/kind';
import { itemKey, ITEMS } from '../../data/kinds/items';
import { PRACTICE, PracticeRow } from '../../data/kinds/practice';
import { REVIEWS } from '../../data/kinds/reviews';
import { newId } from '../../data/new-id';
import { Clock } from '../../shared/clock';
import { LearnStore } from '../learn.store';

const PRACTICE_PLACE = onlyPlace(PRACTICE);

/** An answer as it was given: enough to take it back. */
export interface Given {
  /** The keys of its item and of its review. */
  readonly key: string;
  readonly review: string;
  readonly item: Item;
  readonly verdict: Verdict;
  readonly said: Said;
  readonly ms: number;
  readonly at: number;
  readonly stored: Promise<Committed>;
}

/** What became of an answer that was to be taken back. */
export type TakenBack = 'taken back' | 'not stored yet' | 'answered since';

/** A practice with an answer more or less. */
const counted = (practice: PracticeRow, spent: number, right: boolean, by: 1 | -1): PracticeRow => ({
  ...practice,
  spent: practice.spent + Math.max(0, Math.round(spent)),
  asked: Math.max(0, practice.asked + by),
  right: Math.max(0, practice.right + (right ? by : 0)),
});

/** Answers and the practice that they belong to, as they are stored. */
@Injectable()
export class Answers {
  private readonly journal = inject(Journal);
  private readonly store = inject(LearnStore);
  private readonly clock = inject(Clock);

  /**
   * Notes an answer: it shows at once, and is stored with its item and the practice.
   *
   * @param spent what it adds to the time of the practice, in milliseconds.
   */
  give(item: Item, said: Said, how: Omit<Answered, 'right' | 'first'>, spent: number): Given {
    const [at, orderId, order] = [this.clock.now(), this.store.orderId(), this.store.order()];
    const { schedule } = this.store;
    const verdict = judge(item, order, said);
    const [id, review] = [itemId(item), newId()];
    const key = itemKey(orderId, id);
    this.store.touch(key);
    const stored = this.journal.commit(
      `answer ${id}`,
      [placeOf(ITEMS, key), placeOf(REVIEWS, review), PRACTICE_PLACE],
      ([row, , practice]) => {
        const before = row?.memory;
        const grade = gradeOf({ ...how, right: verdict.right, first: !before });
        const memory = schedule.next(before ?? schedule.fresh(at), grade, at);
        const truth = showSaid(verdict.truth);
        return [
          { id: key, order: orderId, item: id, memory, truth, begun: row?.begun ?? at },
          {
            ...{ id: review, order: orderId, item: id, at, answered: showSaid(said) },
            ...{ right: verdict.right, ms: Math.round(how.ms), grade },
            ...(how.interrupted ? { interrupted: true as const } : {}),
            ...(before ? { before } : {}),
          },
          counted(practice, spent, verdict.right, 1),
        ];
      },
    );
    this.store.look();
    return { key, review, item, verdict, said, ms: how.ms, at, stored };
  }

  /**
   * Takes an answer back: the item is as it was before, and the answer stays in the history as withdrawn. Nothing
   * happens where the answer is not stored, or where another tab has answered the item since.
   */
  async takeBack({ key, review, item, verdict, at, stored }: Given): Promise<TakenBack> {
    // What is held may be stored at any later moment: taking it back would then come as a surprise.
    await stored;
    if (this.journal.held() > 0) return 'not stored yet';
    const done = await this.journal.commit(
      `take back ${itemId(item)}`,
      [placeOf(ITEMS, key), placeOf(REVIEWS, review), PRACTICE_PLACE],
      ([row, answer, practice]) => {
        if (!row || !answer || answer.withdrawn || row.memory.last !== at) return undefined;
        return [
          answer.before && { ...row, memory: answer.before },
          { ...answer, withdrawn: true as const },
          counted(practice, 0, verdict.right, -1),
        ];
      },
    );
    this.store.look();
    return done === 'stored' ? 'taken back' : done === 'held' ? 'not stored yet' : 'answered since';
  }

  /** Begins a practice of so many minutes of the order in hand. */
  begin(minutes: number): void {
    const [began, order] = [this.clock.now(), this.store.orderId()];
    this.changePractice(() => ({
      ...{ id: 'practice', order, began, length: minutes * 60_000 },
      ...{ spent: 0, asked: 0, right: 0, ended: false },
    }));
    this.store.look();
  }

  end(): void {
    this.changePractice((practice) => ({ ...practice, ended: true }));
  }

  private changePractice(make: (row: PracticeRow) => PracticeRow): void {
    void this.journal.commit('practise', [PRACTICE_PLACE], ([row]) => [make(row)]);
  }
}
