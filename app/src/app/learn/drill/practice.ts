import { computed, inject, Injectable, signal, untracked } from '@angular/core';
import { Card } from '@enumeron/core/deck';
import { Item, itemId, nextItem, Said, Standing } from '@enumeron/core/learn';
import { Clock } from '../../shared/clock';
import { LearnStore } from '../learn.store';
import { Answers, Given, TakenBack } from './answers';

/** What is asked now, and since when it can be seen. */
interface Asked {
  readonly item: Item;
  readonly isNew: boolean;
}

/**
 * So much of an answer's time counts at most, so that a practice of five minutes is not over because a telephone rang;
 * and so much is added for going on. In milliseconds.
 */
const [LONGEST, GOING_ON] = [30_000, 500];

/** A practice on its way: what is asked, how long it took, and what is asked next. */
@Injectable()
export class Practice {
  private readonly store = inject(LearnStore);
  private readonly answers = inject(Answers);
  private readonly clock = inject(Clock);

  /** What was answered in this practice and can be taken back, the newest first. */
  readonly given = signal<readonly Given[]>([]);
  private readonly history = signal<Standing['asked']>([]);
  readonly asked = signal<Asked | undefined>(undefined);
  /** The card that is met for the first time: it is shown before it is asked. */
  readonly introduced = signal<Card | undefined>(undefined);
  /** Set after a wrong answer until the user goes on. */
  readonly wrong = signal<Given | undefined>(undefined);
  readonly ended = signal(false);

  readonly left = computed(() => {
    const { length, spent } = this.store.practice();
    return Math.max(0, length - spent);
  });

  /** When the prompt was painted; undefined until it is. */
  private painted: number | undefined;
  private interrupted = false;

  /** Begins, or goes on with the practice of this order that was left. */
  start(minutes: number): void {
    const { order, ended, length, spent } = untracked(this.store.practice);
    this.given.set([]);
    this.history.set([]);
    this.ended.set(false);
    this.wrong.set(undefined);
    this.introduced.set(undefined);
    if (ended || order !== untracked(this.store.orderId) || spent >= length) this.answers.begin(minutes);
    this.ask();
  }

  /** The prompt has been painted: time runs from now. */
  async shown(): Promise<void> {
    const asked = this.asked();
    this.interrupted = false;
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
  answer(said: Said, first: number): void {
    const asked = this.asked();
    if (!asked) return;
    // What is typed before the prompt can be seen was typed at once.
    const ms = Math.max(0, first - (this.painted ?? first));
    const how = { ms, ...(this.interrupted ? { interrupted: true } : {}) };
    const given = this.answers.give(asked.item, said, how, Math.min(ms, LONGEST) + GOING_ON);
    this.given.update((all) => [given, ...all]);
    this.history.update((all) => [{ ...asked, at: given.at }, ...all].slice(0, 60));
    if (given.verdict.right) this.ask();
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
    const taken = await this.answers.takeBack(last);
    if (taken !== 'taken back') return taken;
    this.given.update((all) => all.filter((each) => each !== last));
    this.history.update((all) => all.filter(({ at, item }) => at !== last.at || item !== last.item));
    this.wrong.set(undefined);
    this.ended.set(false);
    this.asked.set({ item: last.item, isNew: !this.store.memories().has(itemId(last.item)) });
    return taken;
  }

  stop(): void {
    this.asked.set(undefined);
    this.ended.set(true);
    this.answers.end();
  }

  private ask(): void {
    this.store.look();
    const next =
      untracked(this.left) > 0
        ? nextItem(this.store.plan(), this.store.memories(), this.store.standing(this.history()))
        : undefined;
    if (!next) this.stop();
    else {
      if (!this.store.begun().has(next.item.card)) this.introduced.set(next.item.card);
      this.asked.set({ item: next.item, isNew: next.why === 'new' });
    }
  }
}
