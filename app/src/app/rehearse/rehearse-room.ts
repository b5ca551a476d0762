import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { SampleRoom } from '../storage/sample-room';
import { RoomPages } from '../ui/room-pages';
import { REHEARSE } from './room';
import { Scripts } from '../platform/scripts';
import { urlSignal } from '../platform/url';
import { ProceduresStore } from '../nouns/procedures/procedures.store';
import { layProceduresOut } from '../nouns/procedures/sample';

/** Does this routine work for everything a helper can do? */
@Component({
  selector: 'en-rehearse-room',
  imports: [RoomPages, RouterOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h1 class="spoken">Rehearse</h1>
    <div class="sheet">
      <en-room-pages room="rehearse" [pages]="pages()" />
      <router-outlet />
    </div>`,
})
export class RehearseRoom {
  private readonly procedures = inject(ProceduresStore);
  private readonly url = urlSignal();

  /** The room's pages, and the procedure that is open. */
  protected readonly pages = computed(() => {
    const id = this.url().split(/[?#]/)[0].split('/').at(2);
    const open = id === undefined ? undefined : this.procedures.find(id);
    return open
      ? [...REHEARSE.pages, { path: open.id, tab: open.procedure.name || 'Without a name' }]
      : REHEARSE.pages;
  });

  constructor() {
    void layProceduresOut(inject(SampleRoom), inject(Scripts));
  }
}
