import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router, RouterLink, RouterOutlet } from '@angular/router';
import { filter, map, startWith } from 'rxjs';
import { once } from '../shared/once';
import { LearnStore } from './learn.store';
import { Orphans } from './orphans';
import { SampleLearning } from './sample/sample-learning';

/** What one does in this room, in the order of its days: address and name. */
const PAGES = [
  ['', 'Today'],
  ['sums', 'Sums'],
  ['run', 'Run'],
  ['busy', 'Hands busy'],
  ['standing', 'How it stands'],
  ['images', 'Images'],
  ['settings', 'How you learn'],
] as const;

/** Do I know it cold? What is due today, the practices, and what they show. */
@Component({
  selector: 'en-learn-room',
  imports: [RouterLink, RouterOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h1 class="spoken">Learn</h1>
    <div class="sheet">
      @if (!drilling()) {
        <nav aria-label="In this room">
          @for (page of pages; track page[0]) {
            <a
              [routerLink]="page[0] ? ['/learn', page[0]] : ['/learn']"
              [attr.aria-current]="path() === page[0] ? 'page' : null"
              >{{ page[1] }}</a
            >
          }
        </nav>
      }
      @if (store.hasSample() && !drilling()) {
        <p class="sample">
          Three weeks of practice are a sample, to look around in.
          <button type="button" (click)="takeAway()">Take the sample away</button>
        </p>
      }
      <router-outlet />
    </div>`,
  styles: `
    nav {
      display: flex;
      gap: 4px;
      overflow-x: auto;
      padding: 0 12px;
      border-bottom: 1px solid var(--line);
      scrollbar-width: none;
    }

    .sample {
      display: flex;
      flex-wrap: wrap;
      gap: 0 12px;
      align-items: center;
      margin: 0;
      padding: 6px 20px;
      border-bottom: 1px solid var(--line);
      background: var(--petrol-wash);
    }

    button {
      min-height: 44px;
      padding: 0;
      border: 0;
      background: none;
      color: var(--petrol);
      font: inherit;
      font-weight: 650;
      cursor: pointer;
    }

    a {
      display: grid;
      place-items: center;
      min-height: 44px;
      padding: 0 12px;
      border-bottom: 3px solid transparent;
      color: var(--muted);
      font-weight: 600;
      text-decoration: none;
      white-space: nowrap;

      /* The row clips what stands out of it. */
      &:focus-visible {
        outline-offset: -3px;
      }

      &[aria-current] {
        border-bottom-color: var(--petrol);
        color: var(--ink);
      }
    }
  `,
})
export class LearnRoom {
  private readonly sample = inject(SampleLearning);
  private readonly orphans = inject(Orphans);
  protected readonly store = inject(LearnStore);
  private readonly router = inject(Router);
  protected readonly pages = PAGES;
  private readonly url = toSignal(
    this.router.events.pipe(
      filter((event) => event instanceof NavigationEnd),
      startWith(undefined),
      map(() => this.router.url),
    ),
    { initialValue: this.router.url },
  );
  private readonly parts = computed(() => this.url().split(/[?#]/)[0].split('/').slice(2));
  protected readonly path = computed(() => this.parts().at(0) ?? '');
  /** In a drill nothing leads away but Escape. */
  protected readonly drilling = computed(() => this.parts().at(-1) === 'practise');

  protected readonly takeAway = once('take the sample away', () => this.sample.takeAway());

  constructor() {
    // Where it cannot be laid out the room is empty, and works.
    void this.sample
      .layOut()
      .then(() => this.orphans.sweep())
      .catch((error: unknown) => console.warn(error));
  }
}
