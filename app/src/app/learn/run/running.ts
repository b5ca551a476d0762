import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DOCUMENT,
  effect,
  inject,
  signal,
  untracked,
} from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { ActivatedRoute, Router } from '@angular/router';
import { Card, looksLike, showCard } from '@enumeron/core/deck';
import { NO_INPUT, pickCard, RUN_WAYS, runSequence, showTyped, Typed, typeKey } from '@enumeron/core/learn';
import { fromEvent } from 'rxjs';
import { Journal } from '../../storage/journal';
import { placeOf } from '../../storage/kind';
import { RunRow, RUNS } from '../../nouns/learning/runs.kind';
import { newId } from '../../platform/new-id';
import { hideRail } from '../../nouns/pack/rail-hidden';
import { CardText } from '../../ui/card-text';
import { Clock } from '../../platform/clock';
import { AnswerPad } from '../drill/answer-pad';
import { takeKeys } from '../drill/drill-keys';
import { StayOn } from '../../platform/stay-on';
import { LearnStore } from '../../nouns/learning/learn.store';
import { clockTime } from './run';

/** One run on its way: card after card, typed, or said with a key or a tap for each. */
@Component({
  selector: 'en-running',
  imports: [AnswerPad, CardText, MatButton],
  providers: [StayOn],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './running.html',
  styleUrls: ['../drill/drill.scss', './running.scss'],
})
export class Running {
  protected readonly store = inject(LearnStore);
  protected readonly stayOn = inject(StayOn);
  private readonly journal = inject(Journal);
  private readonly clock = inject(Clock);
  private readonly router = inject(Router);
  private readonly query = inject(ActivatedRoute).snapshot.queryParamMap;

  private readonly way = RUN_WAYS.find((each) => each === this.query.get('way')) ?? 'forwards';
  protected readonly aloud = this.query.get('said') !== null;
  /** The cards to be said, once the order is read. */
  private readonly cards = signal<readonly Card[]>([]);
  private from = 1;

  protected readonly splits = signal<readonly number[]>([]);
  private readonly wrong = signal<readonly number[]>([]);
  protected readonly empty = NO_INPUT;
  protected readonly typed = signal<Typed>(NO_INPUT);
  protected readonly shownTyped = computed(() => showTyped('card', this.typed()));
  protected readonly size = computed(() => this.cards().length);
  protected readonly ended = computed(() => this.size() > 0 && this.splits().length === this.size());
  protected readonly wrongCount = computed(() => this.wrong().length);
  protected readonly time = computed(() => clockTime(this.splits().at(-1) ?? 0));
  protected readonly shown = computed(() => {
    const [cards, said] = [this.cards(), this.splits().length];
    const last = cards.at(said - 1);
    const missed = said > 0 && this.wrong().includes(this.numberOf(said - 1));
    return {
      first: cards.length > 0 ? showCard(cards[0]) : '',
      last: said > 0 && last !== undefined ? `${missed ? 'no: ' : ''}${showCard(last)}` : '',
    };
  });
  private readonly id = newId();
  private began: number | undefined;
  /** Whether something came between: such a run says nothing, and is not kept. */
  protected readonly interrupted = signal(false);

  constructor() {
    hideRail('The rail is hidden while you run the order.');
    takeKeys((event) => this.key(event));
    fromEvent(inject(DOCUMENT), 'visibilitychange')
      .pipe(takeUntilDestroyed())
      .subscribe(() => this.interrupted.set(true));
    const begun = effect(() => {
      if (!this.store.isRead()) return;
      begun.destroy();
      untracked(() => this.begin());
    });
  }

  private begin(): void {
    const order = this.store.order();
    const from = Number(this.query.get('from'));
    this.from = Number.isInteger(from) && from >= 1 && from <= order.length ? from : 1;
    this.cards.set(runSequence(order.length, this.way, this.from).map((number) => order[number - 1]));
    void this.clock.painted().then((at) => (this.began ??= at));
  }

  private numberOf(index: number): number {
    return runSequence(this.size(), this.way, this.from)[index];
  }

  private key(event: KeyboardEvent): void {
    if (event.key === 'Escape' || (this.ended() && event.key === 'Enter')) this.leave();
    else if (this.ended()) return;
    else if (this.aloud) {
      if (event.key === ' ' || event.key === 'Enter') this.say(event);
      else if (event.key === 'x') this.missed();
      else return;
    } else this.take(typeKey('card', this.typed(), event.key, this.store.order()), event);
    event.preventDefault();
  }

  /** A key of the pad. */
  protected press(key: string, event: Event): void {
    this.take(typeKey('card', this.typed(), key, this.store.order()), event);
  }

  protected pick(card: Card): void {
    this.take(pickCard('card', this.typed(), card));
  }

  private take(next: Typed, event?: Event): void {
    const { said } = next;
    if (said?.kind !== 'cards') {
      this.typed.set(next);
      return;
    }
    this.typed.set(NO_INPUT);
    const card = this.cards()[this.splits().length];
    if (!looksLike(said.cards[0], card))
      this.wrong.update((all) => [...all, this.numberOf(this.splits().length)]);
    this.split(event ? this.clock.of(event) : this.clock.pageNow());
  }

  /** One card was said. */
  protected say(event: Event): void {
    this.split(this.clock.of(event));
  }

  /** The card that was said last was wrong. */
  protected missed(): void {
    const last = this.splits().length - 1;
    if (last < 0) return;
    const number = this.numberOf(last);
    this.wrong.update((all) => (all.includes(number) ? all : [...all, number]));
    if (this.ended()) this.keep();
  }

  private split(at: number): void {
    if (this.ended() || this.size() === 0) return;
    const ms = Math.max(0, Math.round(at - (this.began ?? at)));
    this.splits.update((all) => [...all, ms]);
    if (this.ended()) this.keep();
  }

  private keep(): void {
    if (this.interrupted()) return;
    const row: RunRow = {
      ...{ id: this.id, order: this.store.orderId(), at: this.clock.now(), way: this.way, from: this.from },
      ...{ splits: this.splits(), wrong: this.wrong() },
      ...(this.aloud ? { said: true as const } : {}),
    };
    void this.journal.commit('run the order', [placeOf(RUNS, row.id)], () => [row]);
  }

  protected leave(): void {
    void this.router.navigate(['/learn/run']);
  }
}
