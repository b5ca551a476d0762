import { computed, inject, Injectable, signal, untracked } from '@angular/core';
import { Card } from '@enumeron/core/deck';
import { Item, itemId, parseItem, nextItem, Said, Standing } from '@enumeron/core/learn';
import { Clock } from '../../shared/clock';
import { Given, LearnStore } from '../learn.store';

/** What is asked now, and since when it can be seen. */
interface Asked {
  readonly item: Item;
  readonly isNew: boolean;
}

/** So much of an answer's time counts at most: a practice of five minutes is not over because a telephone rang. */
const LONGEST = 30_000;

/** A practice on its way: what is asked, how long it took, and what is asked next. */
@Injectable()
export class Practice {
  private readonly store = inject(LearnStore);
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

  private painted = 0;
  private interrupted = false;

  /** Begins, or goes on with the practice of this order that was left. */
  start(minutes: number): void {
    const { order, ended, length, spent } = untracked(this.store.practice);
    this.given.set([]);
    this.history.set([]);
    this.ended.set(false);
    this.wrong.set(undefined);
    this.introduced.set(undefined);
    if (ended || order !== untracked(this.store.orderId) || spent >= length) this.store.begin(minutes);
    this.ask();
  }

  /** The prompt has been painted: time runs from now. */
  async shown(): Promise<void> {
    this.interrupted = false;
    this.painted = await this.clock.painted();
  }

  /** Something came between: the time of this answer says nothing. */
  interrupt(): void {
    this.interrupted = true;
  }

  /** @param first when the first key of the answer was pressed, in the page's own time. */
  answer(said: Said, first: number): void {
    const asked = this.asked();
    if (!asked) return;
    const ms = Math.max(0, first - this.painted);
    const how = { ms, ...(this.interrupted ? { interrupted: true } : {}) };
    const given = this.store.answer(asked.item, said, how, Math.min(ms, LONGEST) + 500);
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

  /** Takes the last answer back and asks the same again. Gives whether that was done. */
  async takeBack(): Promise<boolean> {
    const [last] = this.given();
    if (!(last as Given | undefined) || !(await this.store.takeBack(last))) return false;
    this.given.update((all) => all.slice(1));
    this.history.update((all) => all.slice(1));
    this.wrong.set(undefined);
    this.ended.set(false);
    this.asked.set({ item: last.item, isNew: !this.store.memories().has(itemId(last.item)) });
    return true;
  }

  stop(): void {
    this.asked.set(undefined);
    this.ended.set(true);
    this.store.end();
  }

  private ask(): void {
    this.store.look();
    const next =
      untracked(this.left) > 0
        ? nextItem(this.store.plan(), this.store.memories(), this.store.standing(this.history()))
        : undefined;
    if (!next) this.stop();
    else {
      const known = [...this.store.memories().keys()].some((id) => parseItem(id)?.card === next.item.card);
      if (!known) this.introduced.set(next.item.card);
      this.asked.set({ item: next.item, isNew: next.why === 'new' });
    }
  }
}
