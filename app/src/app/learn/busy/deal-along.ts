import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
  untracked,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { ActivatedRoute, Router } from '@angular/router';
import { saidCards, showSaid, truthOf } from '@enumeron/core/learn';
import { hideRail } from '../../nouns/pack/rail-hidden';
import { CardText } from '../../ui/card-text';
import { takeKeys } from '../drill/drill-keys';
import { ItemQuestion } from '../drill/item-source';
import { Practice } from '../drill/practice';
import { Source } from '../drill/source';
import { StayOn } from '../../platform/stay-on';
import { LearnStore } from '../../nouns/learning/learn.store';

/** Longer than any deal: it ends with the pack and not with the clock. In minutes. */
const NO_END = 600;

/** The screen asks, the user turns the next card of the real pack and marks: left is wrong, right is right. */
@Component({
  selector: 'en-deal-along',
  imports: [CardText, MatButton],
  providers: [StayOn],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './deal-along.html',
  styleUrls: ['../drill/drill.scss', './deal-along.scss'],
})
export class DealAlong {
  protected readonly store = inject(LearnStore);
  protected readonly practice = inject(Practice);
  protected readonly source = inject(Source);
  protected readonly stayOn = inject(StayOn);
  private readonly router = inject(Router);
  private readonly route = inject(ActivatedRoute);

  protected readonly asked = this.practice.asked;
  protected readonly right = computed(() => this.practice.given().filter(({ right }) => right).length);
  /** What the card before was, for whoever has turned it. */
  protected readonly last = computed(() => {
    const given = this.practice.given().at(0);
    return given && `${given.right ? 'right' : 'wrong'}: ${showSaid(given.truth)}`;
  });
  protected readonly note = signal('');

  constructor() {
    hideRail('The rail is hidden while you deal.');
    takeKeys((event) => this.key(event));
    const begun = effect(() => {
      if (!this.source.isRead()) return;
      begun.destroy();
      untracked(() => this.practice.start(NO_END, this.route.snapshot.queryParamMap));
    });
    effect(() => {
      if (this.practice.asked()) void this.practice.shown();
    });
  }

  protected mark(right: boolean): void {
    const asked = this.asked() as ItemQuestion | undefined;
    if (!asked) return;
    this.note.set('');
    // Turning a card takes its time: that says nothing about knowing it.
    this.practice.interrupt();
    const said = right ? truthOf(asked.item, this.store.order()) : saidCards();
    this.practice.answer(said, performance.now());
    if (!right) this.practice.goOn();
  }

  protected async takeBack(): Promise<void> {
    const last = this.practice.given().at(0);
    if (last) this.note.set(`${last.question.prompt}: ${await this.practice.takeBack(last)}.`);
  }

  private key(event: KeyboardEvent): void {
    if (event.key === 'Escape') this.leave();
    else if (this.practice.ended()) {
      if (event.key === 'Enter') this.leave();
    } else if (event.key === 'ArrowRight' || event.key === ' ') this.mark(true);
    else if (event.key === 'ArrowLeft') this.mark(false);
    else if (event.key === 'Backspace') void this.takeBack();
    else return;
    event.preventDefault();
  }

  protected leave(): void {
    this.practice.stop();
    void this.router.navigate([this.source.back]);
  }
}
