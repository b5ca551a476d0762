import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { Page, RoomPages } from '../shared/room-pages';

const PAGES: readonly Page[] = [['', 'Cards to places']];

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
  protected readonly pages = PAGES;
}
