import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  DOCUMENT,
  effect,
  inject,
  signal,
  untracked,
} from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { Router } from '@angular/router';
import { DIRECTION_WORDS, Item, promptOf, showSaid, speakSaid, truthOf } from '@enumeron/core/learn';
import { fromEvent } from 'rxjs';
import { hideRail } from '../../nouns/pack/rail-hidden';
import { CardText } from '../../ui/card-text';
import { Clock } from '../../platform/clock';
import { takeKeys } from '../drill/drill-keys';
import { StayOn } from '../../platform/stay-on';
import { LearnStore } from '../../nouns/learning/learn.store';
import { Listening } from './listening';
import { Voice } from './voice';
import { Choice } from '../../ui/choice';

/** Between two questions, in milliseconds. */
const BETWEEN = 1200;

/** Questions are spoken, then after a pause their answers; without a voice of this device they stand there large. */
@Component({
  selector: 'en-spoken',
  imports: [Choice, CardText],
  providers: [Listening, StayOn, Voice],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './spoken.html',
  styleUrls: ['../../ui/page.scss', '../drill/drill.scss', './spoken.scss'],
})
export class Spoken {
  protected readonly store = inject(LearnStore);
  protected readonly stayOn = inject(StayOn);
  private readonly listening = inject(Listening);
  private readonly voices = inject(Voice);
  private readonly clock = inject(Clock);
  private readonly router = inject(Router);
  private readonly document = inject(DOCUMENT);

  protected readonly pauses: readonly number[] = [1, 2, 3, 5, 8];
  protected readonly inSeconds = (seconds: number): string => `${seconds.toString()} s`;
  /** Seconds between a question and its answer. */
  protected readonly pause = signal(3);
  protected readonly paused = signal(false);
  protected readonly voice = signal<SpeechSynthesisVoice | undefined | 'looking'>('looking');
  protected readonly noVoice = computed(() => this.voice() === undefined);
  private readonly item = signal<Item | undefined>(undefined);
  protected readonly answered = signal(false);
  protected readonly count = signal(0);

  protected readonly question = computed(() => {
    const item = this.item();
    return item ? DIRECTION_WORDS[item.direction].asks : '';
  });
  protected readonly prompt = computed(() => {
    const item = this.item();
    return item ? showSaid(promptOf(item, this.store.order())) : '';
  });
  protected readonly truth = computed(() => {
    const item = this.item();
    return item ? showSaid(truthOf(item, this.store.order())) : '';
  });

  /** Each going through has a number: one that was left says nothing more. */
  private turn = 0;
  private queue: readonly Item[] = [];

  constructor() {
    hideRail('The rail is hidden while you listen.');
    takeKeys((event) => this.key(event));
    const begun = effect(() => {
      if (!this.store.isRead()) return;
      begun.destroy();
      untracked(() => void this.begin());
    });
    // A call or another tab: it waits until it is told to go on.
    fromEvent(this.document, 'visibilitychange')
      .pipe(takeUntilDestroyed())
      .subscribe(() => {
        if (this.document.visibilityState === 'hidden') this.hold();
      });
    inject(DestroyRef).onDestroy(() => this.hold());
  }

  private async begin(): Promise<void> {
    this.voice.set(await this.voices.find());
    void this.go();
  }

  /** Goes on from where it is, until it is held. */
  private async go(): Promise<void> {
    const turn = ++this.turn;
    const goesOn = (): boolean => this.turn === turn;
    while (goesOn()) {
      const item = this.next();
      if (!item) return;
      this.item.set(item);
      this.answered.set(false);
      const order = this.store.order();
      await this.say(`${speakSaid(promptOf(item, order))}. ${this.question()}`);
      if (goesOn()) await this.clock.wait(this.pause() * 1000);
      if (!goesOn()) return;
      this.answered.set(true);
      this.count.update((count) => count + 1);
      await this.say(speakSaid(truthOf(item, order)));
      if (goesOn()) await this.clock.wait(this.voice() ? BETWEEN : BETWEEN + 1000);
    }
  }

  private next(): Item | undefined {
    if (this.queue.length === 0) this.queue = this.listening.items();
    const order = this.store.order();
    this.queue = this.queue.filter(({ card }) => order.includes(card));
    const item = this.queue.at(0);
    this.queue = this.queue.slice(1);
    return item;
  }

  private async say(text: string): Promise<void> {
    const voice = this.voice();
    if (voice !== undefined && voice !== 'looking') await this.voices.say(text, voice);
  }

  private hold(): void {
    this.turn++;
    this.paused.set(true);
    this.voices.hush();
  }

  protected toggle(): void {
    if (this.paused()) {
      this.paused.set(false);
      void this.go();
    } else this.hold();
  }

  private key(event: KeyboardEvent): void {
    if (event.key === 'Escape') this.leave();
    else if (event.key === ' ' || event.key === 'Enter') this.toggle();
    else {
      const seconds = Number(event.key);
      if (seconds >= 1 && seconds <= 9) this.pause.set(seconds);
      return;
    }
    event.preventDefault();
  }

  protected leave(): void {
    void this.router.navigate(['/learn/busy']);
  }
}
