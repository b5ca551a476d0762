import { computed, inject, Injectable, signal, untracked } from '@angular/core';
import { ParamMap } from '@angular/router';
import { Answer } from '@enumeron/core/learn';
import { Journal } from '../../storage/journal';
import { Clock } from '../../platform/clock';
import { LearnStore } from '../../nouns/learning/learn.store';
import { PRACTICE_PLACE } from './practice-row';
import { Given, Meeting, Question, Source, TakenBack } from './source';

/**
 * So much of an answer's time counts at most, so that a practice of five minutes is not over because a telephone rang;
 * and so much is added for going on. In milliseconds.
 */
const [LONGEST, GOING_ON] = [30_000, 500];

const MINUTE = 60_000;

/** A practice on its way: what is asked, how long it took, and what is asked next. */
@Injectable()
export class Practice {
  private readonly store = inject(LearnStore);
  private readonly source = inject(Source);
  private readonly journal = inject(Journal);
  private readonly clock = inject(Clock);

  /** What was answered in this practice and can be taken back, the newest first. */
  readonly given = signal<readonly Given[]>([]);
  readonly asked = signal<Question | undefined>(undefined);
  /** The card that is met for the first time: it is shown before it is asked. */
  readonly introduced = signal<Meeting | undefined>(undefined);
  /** Set after a wrong answer until the user goes on. */
  readonly wrong = signal<Given | undefined>(undefined);
  readonly ended = signal(false);
  /** Whether the memory image of what is asked has been looked at. */
  readonly hinted = signal(false);

  readonly left = computed(() => {
    const { length, spent } = this.store.practice();
    return Math.max(0, length - spent);
  });

  /** When the prompt was painted; undefined until it is. */
  private painted: number | undefined;
  private interrupted = false;

  /**
   * Begins, or goes on with the practice of this order that was left.
   *
   * @param query what the address of the practice says.
   */
  start(minutes: number, query: ParamMap): void {
    const left = untracked(this.store.left);
    this.given.set([]);
    this.source.begin(query);
    this.ended.set(false);
    this.wrong.set(undefined);
    this.introduced.set(undefined);
    if (left !== this.source.what) this.begin(minutes);
    this.ask();
  }

  /** The prompt has been painted: time runs from now. */
  async shown(): Promise<void> {
    const asked = this.asked();
    this.interrupted = false;
    this.hinted.set(false);
    this.painted = undefined;
    const painted = await this.clock.painted();
    // Another may be asked by then.
    if (this.asked() === asked) this.painted = painted;
  }

  /** Something came between: the time of this answer says nothing. */
  interrupt(): void {
    this.interrupted = true;
  }

  /** @param first when the first key of the answer was pressed, in the page's own time. */
  answer(said: Answer, first: number): void {
    const asked = this.asked();
    if (!asked) return;
    // What is typed before the prompt can be seen was typed at once.
    const ms = Math.max(0, first - (this.painted ?? first));
    const how = {
      ms,
      ...(this.interrupted ? { interrupted: true } : {}),
      ...(this.hinted() ? { hinted: true } : {}),
    };
    const given = this.source.give(asked, said, how, Math.min(ms, LONGEST) + GOING_ON);
    this.given.update((all) => [given, ...all]);
    if (given.right) this.ask();
    else this.wrong.set(given);
  }

  /** The card that was shown has been looked at. */
  meet(): void {
    this.introduced.set(undefined);
  }

  goOn(): void {
    this.wrong.set(undefined);
    this.ask();
  }

  /** Takes an answer back, which was the last one, and asks the same again. */
  async takeBack(last: Given): Promise<TakenBack> {
    const taken = await last.takeBack();
    if (taken !== 'taken back') return taken;
    this.given.update((all) => all.filter((each) => each !== last));
    this.wrong.set(undefined);
    this.ended.set(false);
    this.asked.set(this.source.again(last.question));
    return taken;
  }

  stop(): void {
    this.asked.set(undefined);
    this.ended.set(true);
    void this.journal.commit('practise', [PRACTICE_PLACE], ([row]) => [{ ...row, ended: true }]);
  }

  /** Begins a practice of so many minutes of the order in hand. */
  private begin(minutes: number): void {
    const [began, order] = [this.clock.now(), this.store.orderId()];
    void this.journal.commit('practise', [PRACTICE_PLACE], () => [
      {
        ...{ id: 'practice' as const, order, what: this.source.what, began, length: minutes * MINUTE },
        ...{ spent: 0, asked: 0, right: 0, ended: false },
      },
    ]);
    this.store.look();
  }

  private ask(): void {
    const next = untracked(() => (this.left() > 0 ? this.source.next() : undefined));
    if (!next) {
      this.stop();
      return;
    }
    this.introduced.set(next.meeting);
    this.asked.set(next);
  }
}
