import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { MatProgressBar } from '@angular/material/progress-bar';
import { orderByRule, suitLayout } from '@enumeron/core/arrange';
import { Card } from '@enumeron/core/deck';
import { describeMove } from '@enumeron/core/moves';
import { of, switchMap } from 'rxjs';
import { CardText } from '../shared/card-text';
import { Scripts } from '../shared/scripts';
import { RouteState, SEARCH_ROUTE } from '../workers/route';
import { FACTORIES } from './factories';

/** From a new pack to the order: suit by suit, or by a short row of weaves, cuts and reversals. */
@Component({
  selector: 'en-factory-guide',
  imports: [CardText, MatButton, MatFormField, MatInput, MatLabel, MatProgressBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './factory-guide.html',
  styleUrl: './factory-guide.scss',
})
export class FactoryGuide {
  private readonly searchRoute = inject(SEARCH_ROUTE);
  private readonly scripts = inject(Scripts);
  readonly order = input.required<readonly Card[]>();

  protected readonly factories = FACTORIES;
  protected readonly factory = signal(FACTORIES[0]);
  protected readonly layout = computed(() => suitLayout(this.order()));

  /** The pack as it comes, and whether the search for a row of moves is on. */
  protected readonly searching = signal(false);
  private readonly asked = computed(() => {
    const outcome = orderByRule(this.factory().rule);
    return this.searching() && outcome.ok ? { from: outcome.order, to: this.order() } : undefined;
  });
  protected readonly search = toSignal<RouteState | undefined>(
    toObservable(this.asked).pipe(
      switchMap((asked) =>
        asked
          ? this.searchRoute(asked.from, asked.to).pipe(
              this.scripts.orElse<RouteState, RouteState>({ kind: 'failed' }),
            )
          : of(undefined),
      ),
    ),
  );
  protected readonly progress = computed(() => {
    const search = this.search();
    return search?.kind === 'searching' ? search.progress : undefined;
  });
  protected readonly route = computed(() => {
    const search = this.search();
    return search?.kind === 'ended' ? { moves: search.route?.map(describeMove) } : undefined;
  });

  constructor() {
    // It can be begun again.
    effect(() => {
      if (this.search()?.kind === 'failed') this.searching.set(false);
    });
  }

  protected choose(name: string): void {
    this.searching.set(false);
    this.factory.set(FACTORIES.find((each) => each.name === name) ?? FACTORIES[0]);
  }
}
