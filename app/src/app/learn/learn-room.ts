import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { once } from '../platform/once';
import { RoomPages } from '../ui/room-pages';
import { LEARN } from './room';
import { urlSignal } from '../platform/url';
import { LearnStore } from '../nouns/learning/learn.store';
import { Orphans } from '../nouns/learning/orphans';
import { SampleLearning } from '../nouns/learning/sample-learning';

/** Do I know it cold? What is due today, the practices, and what they show. */
@Component({
  selector: 'en-learn-room',
  imports: [RoomPages, RouterOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h1 class="spoken">Learn</h1>
    <div class="sheet">
      @if (!drilling()) {
        <en-room-pages room="learn" [pages]="pages" />
      }
      @if (store.hasSample() && !drilling()) {
        <p class="sample">
          You’re looking at three weeks of sample practice.
          <button type="button" (click)="takeAway()">Remove the sample</button>
        </p>
      }
      <router-outlet />
    </div>`,
  styleUrl: '../ui/sample-line.scss',
})
export class LearnRoom {
  private readonly sample = inject(SampleLearning);
  private readonly orphans = inject(Orphans);
  protected readonly store = inject(LearnStore);
  protected readonly pages = LEARN.pages;
  private readonly url = urlSignal();
  /** In a drill nothing leads away but Escape. */
  protected readonly drilling = computed(() => /\/practise(?:[?#]|$)/.test(this.url()));

  protected readonly takeAway = once('take the sample away', () => this.sample.takeAway());

  constructor() {
    // Where it cannot be laid out the room is empty, and works.
    void this.sample
      .layOut()
      .then(() => this.orphans.sweep())
      .catch((error: unknown) => console.warn(error));
  }
}
