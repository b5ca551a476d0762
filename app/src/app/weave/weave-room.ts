import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { SampleRoom } from '../storage/sample-room';
import { Clock } from '../platform/clock';
import { RoomPages } from '../ui/room-pages';
import { WEAVE } from './room';
import { SAMPLE_KINDS, weaveSamples } from '../nouns/weaves/sample';

/** What does this row of perfect shuffles do? Which row does what I need? */
@Component({
  selector: 'en-weave-room',
  imports: [RoomPages, RouterOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h1 class="spoken">Weave</h1>
    <div class="sheet">
      <en-room-pages room="weave" [pages]="pages" />
      <router-outlet />
    </div>`,
})
export class WeaveRoom {
  private readonly sample = inject(SampleRoom);
  private readonly clock = inject(Clock);
  protected readonly pages = WEAVE.pages;

  constructor() {
    // Where it cannot be laid out the room is empty, and works.
    this.sample
      .layOut('weave', SAMPLE_KINDS, () => Promise.resolve(weaveSamples(this.clock.now())))
      .catch((error: unknown) => console.warn(error));
  }
}
