import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router } from '@angular/router';
import {
  confusions,
  DIRECTION_WORDS,
  Attempt,
  Item,
  itemId,
  ItemPace,
  promptOf,
  showSaid,
  truthOf,
  weakest,
} from '@enumeron/core/learn';
import { CardText } from '../../ui/card-text';
import { LearnStore } from '../../nouns/learning/learn.store';

/** So many pairs are shown. */
const PAIRS = 8;

/** The ten weakest items, to be drilled in one press, and what is taken for what. */
@Component({
  selector: 'en-weak-spots',
  imports: [CardText, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h3>The weakest</h3>
    @if (weak().length === 0) {
      <p class="note">Nothing started yet.</p>
    } @else {
      <ol>
        @for (each of weak(); track each.id) {
          <li>
            <en-card-text [text]="each.says" /> <span class="note">{{ each.direction }}, {{ each.how }}</span>
          </li>
        }
      </ol>
      <button mat-flat-button type="button" (click)="drill()">Drill these {{ weak().length }}</button>
    }
    <h3>Taken for each other</h3>
    @if (pairs().length === 0) {
      <p class="note">Nothing yet.</p>
    } @else {
      <ul>
        @for (each of pairs(); track $index) {
          <li>
            <en-card-text [text]="each.says" />
            <span class="note">{{ each.direction }}, {{ each.count }} ×</span>
          </li>
        }
      </ul>
    }`,
  styleUrl: '../../ui/charts/chart.scss',
  styles: `
    ol,
    ul {
      margin: 0 0 0.6rem;
      padding: 0;
      list-style: none;
    }
    li {
      display: flex;
      flex-wrap: wrap;
      gap: 0 12px;
      align-items: baseline;
      padding: 4px 0;
      border-bottom: 1px solid var(--line);
      font: 600 1.05rem var(--mono);
    }
    .note {
      margin: 0;
      font: 0.95rem var(--text);
    }
  `,
})
export class WeakSpots {
  readonly answers = input.required<readonly Attempt[]>();
  readonly paces = input.required<ReadonlyMap<string, ItemPace>>();

  private readonly store = inject(LearnStore);
  private readonly router = inject(Router);

  private readonly items = computed(() => {
    const { items, schedule } = this.store.plan();
    const memories = this.store.memories();
    return weakest(items, this.paces(), { memories, schedule, now: this.store.now() });
  });
  protected readonly weak = computed(() =>
    this.items().map((item) => {
      const [id, order] = [itemId(item), this.store.order()];
      const pace = this.paces().get(id);
      const time = pace?.median === undefined ? 'no time yet' : `${(pace.median / 1000).toFixed(1)} s`;
      return {
        ...{ id, direction: DIRECTION_WORDS[item.direction].name },
        says: `${showSaid(promptOf(item, order))} → ${showSaid(truthOf(item, order))}`,
        how: pace && pace.wrong > 0 ? `${time}, ${pace.wrong.toString()} wrong` : time,
      };
    }),
  );
  protected readonly pairs = computed(() => {
    const order = this.store.order();
    const says = (item: Item): string => showSaid(promptOf(item, order));
    return confusions(this.answers(), order)
      .slice(0, PAIRS)
      .map(({ item, other, count }) => ({
        ...{ says: `${says(item)} · ${says(other)}`, count },
        direction: DIRECTION_WORDS[item.direction].name,
      }));
  });

  protected drill(): void {
    const items = this.items().map(itemId).join(',');
    void this.router.navigate(['/learn/standing/practise'], { queryParams: { items } });
  }
}
