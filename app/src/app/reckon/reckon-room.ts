import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  Injector,
  signal,
  untracked,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router, RouterOutlet } from '@angular/router';
import { filter, map, startWith } from 'rxjs';
import { LatelyStore } from '../nouns/settings/lately.store';
import type { SentStore } from '../nouns/procedures/sent.store';
import { Scripts } from '../platform/scripts';
import { WayList } from './ways/way-list';
import { wayOfSent } from './ways/ways';

/** I saw this, they named that: what do I do? Each way in has the one shape: seen, known, wanted, do. */
@Component({
  selector: 'en-reckon-room',
  imports: [RouterOutlet, WayList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h1 class="spoken">Reckon</h1>
    <div class="sheet">
      <en-way-list [path]="path()" [lately]="lately.ways()" [sent]="sent()" />
      <router-outlet />
    </div>`,
  styles: `
    @media (max-width: 43.749em) {
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
  private readonly sentStore = signal<SentStore | undefined>(undefined);
  protected readonly sent = computed(() => this.sentStore()?.all()?.map(wayOfSent) ?? []);
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
    const [injector, scripts] = [inject(Injector), inject(Scripts)];
    // What was sent here comes behind the first painting.
    afterNextRender(() => {
      scripts
        .load(() => import('../nouns/procedures/sent.store'))
        .then((module) => {
          this.sentStore.set(injector.get(module.SentStore));
        })
        .catch(() => undefined);
    });
    effect(() => {
      const path = this.path();
      // Only a way that is opened here counts: following the list, two tabs would put theirs first for ever.
      untracked(() => this.lately.use(path));
    });
  }
}
