import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DOCUMENT,
  effect,
  inject,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { ActivatedRoute, Router } from '@angular/router';
import { Card } from '@enumeron/core/deck';
import {
  NO_INPUT,
  isFluent,
  pickCard,
  Answer,
  showSaid,
  showTyped,
  Typed,
  typeKey,
} from '@enumeron/core/learn';
import { fromEvent } from 'rxjs';
import { hideRail } from '../../nouns/pack/rail-hidden';
import { CardText } from '../../ui/card-text';
import { Clock } from '../../platform/clock';
import { HandSum } from '../../ui/hand-sum';
import { LearnStore } from '../../nouns/learning/learn.store';
import { AnswerPad } from './answer-pad';
import { takeKeys } from './drill-keys';
import { Practice } from './practice';
import { Given, Question, Source, TakenBack } from './source';
import { StayOn } from '../../platform/stay-on';

const MINUTE = 60_000;

/** What is said of an answer that was to be taken back. */
const TAKEN: Readonly<Record<TakenBack, string>> = {
  'taken back': 'taken back.',
  'not stored yet': 'not taken back: the browser isn’t saving at the moment. Try again soon.',
  'answered since': 'not taken back, for it was answered again in another tab.',
};

const seconds = (ms: number): string => (ms / 1000).toFixed(1);

/** One question after the other, answered by keys or by the pad; the drill has every key until Escape. */
@Component({
  selector: 'en-drill',
  imports: [AnswerPad, CardText, HandSum, MatButton],
  providers: [StayOn],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './drill.html',
  styleUrl: './drill.scss',
})
export class Drill {
  protected readonly practice = inject(Practice);
  protected readonly store = inject(LearnStore);
  private readonly clock = inject(Clock);
  private readonly router = inject(Router);
  private readonly route = inject(ActivatedRoute);

  protected readonly source = inject(Source);

  protected readonly asked = this.practice.asked;
  /** What has been typed of the answer, and when its first key was pressed. */
  protected readonly typed = linkedSignal<Question | undefined, Typed>({
    source: this.asked,
    computation: () => NO_INPUT,
  });
  /** Whether the prompt was seen for its moment and is gone. */
  protected readonly gone = linkedSignal({ source: this.asked, computation: () => false });
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
    () => this.practice.given().filter((given) => this.isFluent(given)).length,
  );
  protected readonly within = computed(() => `${seconds(this.source.fluent())} s`);
  protected readonly right = computed(() => this.practice.given().filter(({ right }) => right).length);
  /** Said once to whoever cannot see that something was taken back, or could not be. */
  protected readonly note = signal('');

  constructor() {
    inject(StayOn);
    hideRail('The rail is hidden while you practise.');
    const orderId = this.store.orderId();
    effect(() => {
      // Another order is in hand, by another tab: what is asked here is not of it.
      if (this.store.orderId() !== orderId) untracked(() => this.leave());
      // The order was edited meanwhile, and what is asked is not so any more.
      const asked = this.asked();
      if (asked && !this.source.stands(asked)) untracked(() => this.practice.goOn());
    });
    const document = inject(DOCUMENT);
    // Not before all is read: what was answered before would be asked as if it were new.
    const begun = effect(() => {
      if (!this.source.isRead()) return;
      untracked(() => this.practice.start(this.minutes(), this.route.snapshot.queryParamMap));
      begun.destroy();
    });
    effect(() => {
      // Whatever is asked, the same again too; not while a new card or a mistake is looked at.
      if (!this.practice.asked() || this.practice.introduced() !== undefined || this.practice.wrong()) return;
      this.first = undefined;
      void this.practice.shown();
      this.flash();
    });
    takeKeys((event) => this.key(event));
    fromEvent(document, 'visibilitychange')
      .pipe(takeUntilDestroyed())
      .subscribe(() => this.practice.interrupt());
  }

  /** The order's share of the day's minutes, where several are learnt; else all of them. */
  private minutes(): number {
    const share = Number(this.route.snapshot.queryParamMap.get('minutes'));
    const { minutes } = this.store.settings();
    return Number.isInteger(share) && share >= 1 && share <= minutes ? share : minutes;
  }

  private isFluent({ ms, right, hinted, interrupted }: Given): boolean {
    return isFluent({ ms, right, hinted, interrupted }, { fluent: this.source.fluent(), quick: 0, slow: 0 });
  }

  /** A prompt that is seen for a moment only. */
  private flash(): void {
    const asked = this.asked();
    if (this.source.flash === undefined) return;
    setTimeout(() => {
      if (this.asked() === asked) this.gone.set(true);
    }, this.source.flash);
  }

  /** The answer as it grows: cards with their signs. */
  protected readonly shownTyped = computed(() => {
    const asked = this.asked();
    return asked ? showTyped(asked.asks, this.typed()) : '';
  });

  private key(event: KeyboardEvent): void {
    if (event.key === 'Escape') {
      event.preventDefault();
      this.leave();
    } else if (this.practice.ended()) this.endKey(event);
    else if (this.practice.introduced()) this.introKey(event);
    else if (this.practice.wrong()) this.wrongKey(event);
    else if (event.key === '?') this.hint();
    else this.answerKey(event.key, event);
  }

  /** Shows the user's own memory image; the answer counts as hard then. */
  protected hint(): void {
    if (this.asked()?.hint) this.practice.hinted.set(true);
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
    const asks = this.asked()?.asks;
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
    const asks = this.asked()?.asks;
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

  private give(said: Answer): void {
    const first = this.first ?? this.clock.pageNow();
    this.first = undefined;
    this.note.set('');
    this.practice.answer(said, first);
    this.typed.set(NO_INPUT);
  }

  protected async takeBack(): Promise<void> {
    this.first = undefined;
    const last = this.practice.given().at(0);
    if (last) this.note.set(`${last.question.prompt}: ${TAKEN[await this.practice.takeBack(last)]}`);
  }

  /** What became of an answer: `9♠ → 33 · 1.2 s`. */
  private sayGiven({ question, said, right, truth, ms }: Given): string {
    const wrong = right ? '' : `, not ${showSaid(said)}`;
    return `${question.prompt} → ${showSaid(truth)}${wrong} · ${seconds(ms)} s`;
  }

  /** What is said of a wrong answer: the truth is shown above it. */
  protected readonly mistake = computed(() => {
    const wrong = this.practice.wrong();
    if (!wrong) return undefined;
    const { question, said, truth, mixed, lines } = wrong;
    return { question, truth: showSaid(truth), said: showSaid(said), mixed, lines };
  });

  protected leave(): void {
    this.practice.stop();
    void this.router.navigate([this.source.back]);
  }
}
