import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { laySetsOut } from '../nouns/sets/sample';
import { SetsStore } from '../nouns/sets/sets.store';
import { Scripts } from '../platform/scripts';
import { pathIn } from '../platform/sharing';
import { WholeScreen } from '../platform/whole-screen';
import { urlSignal } from '../platform/url';
import { SampleRoom } from '../storage/sample-room';
import { RoomPages } from '../ui/room-pages';
import { PERFORM } from './room';

/** What comes next, and is the pack in the order it needs? */
@Component({
  selector: 'en-perform-room',
  imports: [RoomPages, RouterOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h1 class="spoken">Perform</h1>
    <div class="sheet">
      @if (!whole()) {
        <en-room-pages room="perform" [pages]="pages()" />
      }
      <router-outlet />
    </div>`,
})
export class PerformRoom {
  private readonly sets = inject(SetsStore);
  private readonly url = urlSignal();
  protected readonly whole = inject(WholeScreen).isTaken;

  /** The room's pages, and the set that is open. */
  protected readonly pages = computed(() => {
    const first = pathIn(this.url(), 1);
    const row =
      first === '' || PERFORM.pages.some(({ path }) => path === first) ? undefined : this.sets.find(first);
    return row ? [...PERFORM.pages, { path: first, tab: row.set.name }] : PERFORM.pages;
  });

  constructor() {
    void laySetsOut(inject(SampleRoom), inject(Scripts));
  }
}
