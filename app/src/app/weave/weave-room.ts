import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { SampleRoom } from '../data/sample-room';
import { Clock } from '../shared/clock';
import { once } from '../shared/once';
import { Page, RoomPages } from '../shared/room-pages';
import { KeptRows } from './kept.store';
import { SAMPLE_KINDS, weaveSamples } from './sample';

const PAGES: readonly Page[] = [
  ['', 'Cards to places'],
  ['orders', 'Order to order'],
  ['cycles', 'Cycles'],
  ['missing', 'A card missing'],
  ['wrong', 'What went wrong'],
];

/** What does this row of perfect shuffles do? Which row does what I need? */
@Component({
  selector: 'en-weave-room',
  imports: [RoomPages, RouterOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h1 class="spoken">Weave</h1>
    <div class="sheet">
      <en-room-pages room="weave" [pages]="pages" />
      @if (kept.hasSample()) {
        <p class="sample">
          Kept rows and the log of weaves are a sample, to look around in.
          <button type="button" (click)="takeAway()">Take the sample away</button>
        </p>
      }
      <router-outlet />
    </div>`,
  styleUrl: '../shared/sample-line.scss',
})
export class WeaveRoom {
  private readonly sample = inject(SampleRoom);
  private readonly clock = inject(Clock);
  protected readonly kept = inject(KeptRows);
  protected readonly pages = PAGES;

  protected readonly takeAway = once('take the sample away', () => this.sample.takeAway(SAMPLE_KINDS));

  constructor() {
    // Where it cannot be laid out the room is empty, and works.
    this.sample
      .layOut('weave', SAMPLE_KINDS, () => Promise.resolve(weaveSamples(this.clock.now())))
      .catch((error: unknown) => console.warn(error));
  }
}
