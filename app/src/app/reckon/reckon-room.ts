import { ChangeDetectionStrategy, Component, computed, effect, inject, untracked } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router, RouterOutlet } from '@angular/router';
import { filter, map, startWith } from 'rxjs';
import { LatelyStore } from '../data/lately.store';
import { WayList } from './ways/way-list';

/** I saw this, they named that: what do I do? Each way in has the one shape: seen, known, wanted, do. */
@Component({
  selector: 'en-reckon-room',
  imports: [RouterOutlet, WayList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h1 class="spoken">Reckon</h1>
    <div class="sheet">
      <en-way-list [path]="path()" [lately]="lately.ways()" />
      <router-outlet />
    </div>`,
  styles: `
    @media (max-width: 699.98px) {
      .sheet {
        border: 0;
        background: none;
      }
    }
  `,
})
export class ReckonRoom {
  private readonly router = inject(Router);
  protected readonly lately = inject(LatelyStore);
  private readonly url = toSignal(
    this.router.events.pipe(
      filter((event) => event instanceof NavigationEnd),
      startWith(undefined),
      map(() => this.router.url),
    ),
    { initialValue: this.router.url },
  );
  protected readonly path = computed(() => this.url().split(/[/?#]/)[2] ?? '');

  constructor() {
    effect(() => {
      const path = this.path();
      // Only a way that is opened here counts: following the list, two tabs would put theirs first for ever.
      untracked(() => this.lately.use(path));
    });
  }
}
