import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  EnvironmentInjector,
  inject,
} from '@angular/core';
import { RouterOutlet } from '@angular/router';
import type { Night } from '@enumeron/core/file/record/night';
import { ByRecord } from '../nouns/procedures/by-record';
import { NightsStore } from '../nouns/performances/nights.store';
import { PERFORMANCES } from '../nouns/performances/performances.kind';
import { refresh } from '../nouns/performances/refresh-later';
import { makeSamples } from '../nouns/performances/sample';
import { laySetsOut } from '../nouns/sets/sample';
import { Clock } from '../platform/clock';
import { pathIn } from '../platform/sharing';
import { Scripts } from '../platform/scripts';
import { urlSignal } from '../platform/url';
import { SampleRoom } from '../storage/sample-room';
import { RoomPages } from '../ui/room-pages';
import { RECORD } from './room';
import { sayDay } from './say-day';

/** How long nights rest before what is weighed by them is worked out anew, in milliseconds. */
const CALM = 500;

/** How did it go? */
@Component({
  selector: 'en-record-room',
  imports: [RoomPages, RouterOutlet],
  // With the room that is open, and no longer: a record of thousands of nights is not followed while one performs.
  providers: [NightsStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h1 class="spoken">Record</h1>
    <div class="sheet">
      <en-room-pages room="record" [pages]="pages()" />
      <router-outlet />
    </div>`,
})
export class RecordRoom {
  private readonly nights = inject(NightsStore);
  private readonly url = urlSignal();

  /** The room's pages, and the night that is open. */
  protected readonly pages = computed(() => {
    const first = pathIn(this.url(), 1);
    const night =
      first === '' || RECORD.pages.some(({ path }) => path === first) ? undefined : this.nights.find(first);
    return night ? [...RECORD.pages, { path: first, tab: sayDay(night.at) }] : RECORD.pages;
  });

  constructor() {
    this.workOut();
    const clock = inject(Clock);
    void laySetsOut(inject(SampleRoom), inject(Scripts));
    // Where it cannot be laid out the room is empty, and works.
    inject(SampleRoom)
      .layOut('record', [PERFORMANCES], () => Promise.resolve(makeSamples(clock.now())))
      .catch((error: unknown) => console.warn(error));
  }

  /** What is weighed by the record is worked out anew when nights, or what is weighed, have changed. */
  private workOut(): void {
    const [byRecord, scripts, injector] = [inject(ByRecord), inject(Scripts), inject(EnvironmentInjector)];
    let waiting: readonly Night[] | undefined;
    const now = (): void => {
      if (waiting) void refresh(injector, scripts, waiting);
      waiting = undefined;
    };
    effect((onCleanup) => {
      const [nights, weighed] = [this.nights.all(), byRecord.all()];
      if (!nights || !weighed) return;
      waiting = nights;
      const timer = setTimeout(now, CALM);
      onCleanup(() => clearTimeout(timer));
    });
    // Whoever leaves the room at once finds it worked out.
    inject(DestroyRef).onDestroy(now);
  }
}
