import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  DOCUMENT,
  effect,
  inject,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router } from '@angular/router';
import { Card, showCard } from '@enumeron/core/deck';
import {
  asksOf,
  Direction,
  DIRECTION_WORDS,
  EMPTY,
  isFluent,
  Item,
  pickCard,
  promptOf,
  Said,
  sayConfused,
  showSaid,
  truthOf,
  Typed,
  typeKey,
} from '@enumeron/core/learn';
import { fromEvent } from 'rxjs';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { hideRail } from '../../pack/rail-hidden';
import { CardText } from '../../shared/card-text';
import { Clock } from '../../shared/clock';
import { LearnStore } from '../learn.store';
import { AnswerPad } from './answer-pad';
import { Given, TakenBack } from './answers';
import { Practice } from './practice';

const MINUTE = 60_000;

/** What has taken the keys while it is open; the drill takes them else. */
const OVER_ALL = '[role=menu], [role=dialog]';

/** What is said of an answer that was to be taken back. */
const TAKEN: Readonly<Record<TakenBack, string>> = {
  'taken back': 'taken back.',
  'not stored yet': 'not taken back, for storage takes nothing just now. Try again in a moment.',
  'answered since': 'not taken back, for it was answered again in another tab.',
};

const seconds = (ms: number): string => (ms / 1000).toFixed(1);

/** One question after the other, answered by keys or by the pad; the drill has every key until Escape. */
@Component({
  selector: 'en-drill',
  imports: [AnswerPad, CardText, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './drill.html',
  styleUrl: './drill.scss',
})
export class Drill {
  protected readonly practice = inject(Practice);
  protected readonly store = inject(LearnStore);
  private readonly clock = inject(Clock);
  private readonly router = inject(Router);

  private readonly item = computed(() => this.practice.asked()?.item);
  protected readonly asks = computed(() => {
    const item = this.item();
    return item && asksOf(item);
  });
  protected readonly question = computed(() => {
    const item = this.item();
    return item ? DIRECTION_WORDS[item.direction].asks : '';
  });
  protected readonly prompt = computed(() => this.shownOf(this.item()));

  /** What has been typed of the answer, and when its first key was pressed. */
  protected readonly typed = linkedSignal<Item | undefined, Typed>({
    source: this.item,
    computation: () => EMPTY,
  });
  private first: number | undefined;

  protected readonly minutesLeft = computed(() => Math.ceil(this.practice.left() / MINUTE));
  protected readonly part = computed(() => {
    const { length } = this.store.practice();
    return length === 0 ? 0 : 1 - this.practice.left() / length;
  });
  protected readonly lastSays = computed(() => {
    const last = this.practice.given().at(0);
    return last && this.sayGiven(last);
  });
  protected readonly fluent = computed(
    () => this.practice.given().filter(({ ms, verdict }) => isFluent({ ms, right: verdict.right })).length,
  );
  protected readonly right = computed(
    () => this.practice.given().filter(({ verdict }) => verdict.right).length,
  );
  /** Said once to whoever cannot see that something was taken back, or could not be. */
  protected readonly note = signal('');

  constructor() {
    hideRail('The rail is hidden while you practise.');
    const orderId = this.store.orderId();
    effect(() => {
      // Another order is in hand, by another tab: what is asked here is not of it.
      if (this.store.orderId() !== orderId) untracked(() => this.leave());
      // The order was edited meanwhile, and the card is gone from it.
      const item = this.item();
      if (item && !this.store.order().includes(item.card)) untracked(() => this.practice.goOn());
    });
    const document = inject(DOCUMENT);
    // Not before all is read: what was answered before would be asked as if it were new.
    const begun = effect(() => {
      if (!this.store.isRead()) return;
      untracked(() => this.practice.start(this.store.settings().minutes));
      begun.destroy();
    });
    effect(() => {
      // Whatever is asked, the same again too; not while a new card or a mistake is looked at.
      if (!this.practice.asked() || this.practice.introduced() !== undefined || this.practice.wrong()) return;
      this.first = undefined;
      void this.practice.shown();
    });
    // Before anything else hears a key: in a drill it would be a shortcut, or the ask line would tell the answer.
    const keys = (event: KeyboardEvent): void => this.key(event);
    document.addEventListener('keydown', keys, { capture: true });
    inject(DestroyRef).onDestroy(() => document.removeEventListener('keydown', keys, { capture: true }));
    fromEvent(document, 'visibilitychange')
      .pipe(takeUntilDestroyed())
      .subscribe(() => this.practice.interrupt());
  }

  private shownOf(item: Item | undefined): string {
    return item ? showSaid(promptOf(item, this.store.order())) : '';
  }

  /** The answer as it grows: cards with their signs. */
  protected readonly shownTyped = computed(() => {
    const { text } = this.typed();
    return this.asks() === 'number' ? text : text.toUpperCase();
  });

  private key(event: KeyboardEvent): void {
    const target = event.target as Element;
    if (event.ctrlKey || event.metaKey || event.altKey || document.querySelector(OVER_ALL)) return;
    // A key that is held down answers once.
    if (event.repeat && event.key !== 'Backspace') {
      event.preventDefault();
      event.stopPropagation();
      return;
    }
    if (event.key === 'Tab' || (event.key === 'Enter' && target.closest('button, a'))) return;
    event.stopPropagation();
    if (event.key === 'Escape') {
      event.preventDefault();
      this.leave();
    } else if (this.practice.ended()) this.endKey(event);
    else if (this.practice.introduced() !== undefined) this.introKey(event);
    else if (this.practice.wrong()) this.wrongKey(event);
    else this.answerKey(event.key, event);
  }

  private endKey(event: KeyboardEvent): void {
    if (event.key === 'Enter') this.leave();
    else if (event.key === 'Backspace') void this.takeBack();
  }

  private introKey(event: KeyboardEvent): void {
    if (event.key !== 'Enter' && event.key !== ' ') return;
    event.preventDefault();
    this.practice.meet();
  }

  private wrongKey(event: KeyboardEvent): void {
    if (event.key === 'Backspace') void this.takeBack();
    else if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      this.practice.goOn();
    }
  }

  protected answerKey(key: string, event: Event): void {
    if (key === 'Backspace' && this.typed().text === '') {
      void this.takeBack();
      return;
    }
    const asks = this.asks();
    if (!asks) return;
    const before = this.typed();
    const next = typeKey(asks, before, key, this.store.order());
    if (next.text === before.text && !next.said) return;
    event.preventDefault();
    if (next.text.length > before.text.length) this.first ??= this.clock.of(event);
    this.take(next);
  }

  /** A card of the pad: the whole answer, or one of two. */
  protected pick(card: Card): void {
    const asks = this.asks();
    if (asks) this.take(pickCard(asks, this.typed(), card));
  }

  /** A tap on a pad begins where the finger comes down; a card of two taps with the first of them. */
  protected touch(event: PointerEvent): void {
    this.first ??= this.clock.of(event);
  }

  private take(next: Typed): void {
    this.typed.set(next);
    if (next.said) this.give(next.said);
  }

  private give(said: Said): void {
    const first = this.first ?? this.clock.pageNow();
    this.first = undefined;
    this.note.set('');
    this.practice.answer(said, first);
    this.typed.set(EMPTY);
  }

  protected async takeBack(): Promise<void> {
    this.first = undefined;
    const last = this.practice.given().at(0);
    if (last) this.note.set(`${this.shownOf(last.item)}: ${TAKEN[await this.practice.takeBack(last)]}`);
  }

  /** What became of an answer: `9♠ → 33 · 1.2 s`. */
  private sayGiven({ item, said, verdict, ms }: Given): string {
    const wrong = verdict.right ? '' : `, not ${showSaid(said)}`;
    return `${this.shownOf(item)} → ${showSaid(verdict.truth)}${wrong} · ${seconds(ms)} s`;
  }

  /** What is said of a wrong answer: the truth is shown above it. */
  protected readonly mistake = computed(() => {
    const wrong = this.practice.wrong();
    if (!wrong) return undefined;
    const { item, said, verdict } = wrong;
    const mixed = sayConfused(item, this.store.order(), said, verdict.confused);
    return { truth: showSaid(verdict.truth), said: showSaid(said), mixed };
  });

  /** All that is to be known of a card that is new. */
  protected readonly intro = computed(() => {
    const card = this.practice.introduced();
    if (card === undefined) return undefined;
    const of = (direction: Direction): string => showSaid(truthOf({ direction, card }, this.store.order()));
    return { card: showCard(card), number: of('number'), before: of('before'), after: of('after') };
  });

  protected leave(): void {
    this.practice.stop();
    void this.router.navigate(['/learn']);
  }
}
