import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router, RouterOutlet } from '@angular/router';
import { filter, map, startWith } from 'rxjs';
import { PatternBar } from './pattern-bar';

/** I saw this, they named that: what do I do? Each pattern in the one shape: seen, known, wanted, do. */
@Component({
  selector: 'en-reckon-room',
  imports: [PatternBar, RouterOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h1 class="spoken">Reckon</h1>
    <div class="sheet">
      <en-pattern-bar [path]="path()" />
      <router-outlet />
    </div>`,
  styles: `
    .sheet {
      position: relative;
    }
    /* In the head of the last column. */
    en-pattern-bar {
      position: absolute;
      z-index: 1;
      top: 14px;
      right: 20px;
    }
    @media (max-width: 699.98px) {
      .sheet {
        border: 0;
        background: none;
      }
      en-pattern-bar {
        position: static;
      }
    }
  `,
})
export class ReckonRoom {
  private readonly router = inject(Router);
  private readonly url = toSignal(
    this.router.events.pipe(
      filter((event) => event instanceof NavigationEnd),
      startWith(undefined),
      map(() => this.router.url),
    ),
    { initialValue: this.router.url },
  );
  protected readonly path = computed(() => this.url().split(/[/?#]/)[2] ?? '');
}
