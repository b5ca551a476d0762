import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { ActivatedRoute, Router } from '@angular/router';
import { orderByRule } from '@enumeron/core/arrange';
import { mateOf, Order, showCard } from '@enumeron/core/deck';
import { recipeSteps } from '@enumeron/core/file/arrange/recipe';
import { describeMove, Move } from '@enumeron/core/moves';
import {
  LONGEST_MATES,
  LONGEST_ROW_SEARCHED,
  RowGoal,
  RowKinds,
  RowWish,
  wayPoints,
} from '@enumeron/core/weave';
import { dequal } from 'dequal/lite';
import { OrdersStore } from '../../nouns/orders/orders.store';
import { PackStore } from '../../nouns/pack/pack.store';
import { FACTORIES } from '../../nouns/orders/factories';
import { Strip } from '../../ui/strip';
import { answerOf, jobView } from '../../platform/workers/job-view';
import { counted, tookWords } from '../search-words';
import { tookSince } from '../took';
import { WeavingStore } from '../../nouns/weaves/weaving.store';
import { Inverse } from './inverse';
import { Choice } from '../../ui/choice';

/** What a row may end in beside an order. */
const GOALS = [
  ['home', 'the home order'],
  ['turned', 'the home order, cut or not'],
  ['colours', 'the colours apart'],
  ['suits', 'the suits apart'],
  ['mates', 'mates side by side'],
  ['together', 'the followed cards together'],
] as const;

const KINDS: readonly (readonly [keyof RowKinds, string])[] = [
  ['weaves', 'weaves'],
  ['unweaves', 'weaves taken back'],
  ['reversals', 'reversals'],
];

/** The most moves of a row, where cuts are free and where they are not. */
const [MOST_FREE, MOST_ELSE] = [LONGEST_ROW_SEARCHED, 12];

/** From an order to another, or to one that has what is wanted: the row with the fewest moves. */
@Component({
  selector: 'en-orders-page',
  imports: [Choice, Inverse, MatButton, MatProgressBar, Strip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './orders-page.html',
  styleUrls: ['../../ui/page.scss', '../plan/plan.scss', './orders-page.scss'],
})
export class OrdersPage {
  private readonly orders = inject(OrdersStore);
  private readonly router = inject(Router);
  protected readonly pack = inject(PackStore);
  protected readonly store = inject(WeavingStore);

  protected readonly names = this.orders.names();
  protected readonly goals = GOALS;
  protected readonly kindNames = KINDS;
  protected readonly cuttings = ['free', 'counted', 'none'] as const;
  protected readonly factories = FACTORIES;

  /** The pack after the row, where one comes from there to keep the order. */
  protected readonly from = signal(inject(ActivatedRoute).snapshot.queryParamMap.get('from') ?? 'pack');
  protected readonly to = signal('home');
  protected readonly kinds = signal<RowKinds>({ weaves: true, unweaves: true, reversals: true });
  protected readonly cuts = signal<RowWish['cuts']>('free');
  protected readonly most = signal(5);

  private orderNamed(name: string): Order | undefined {
    if (name === 'pack') return this.pack.now();
    if (name === 'row') return this.store.orders().at(-1);
    const factory = FACTORIES.find((each) => each.name === name);
    const made = factory && orderByRule(factory.rule);
    return made ? (made.ok ? made.order : undefined) : this.orders.find(name)?.cards;
  }
  protected readonly start = computed(() => this.orderNamed(this.from()));
  private readonly goal = computed<RowGoal | undefined>(() => {
    const to = this.to();
    switch (to) {
      case 'home':
        return { kind: 'order', to: this.pack.home() };
      case 'turned':
        return { kind: 'order', to: this.pack.home(), turned: true };
      case 'colours':
      case 'suits':
      case 'mates':
        return { kind: to };
      case 'together':
        return {
          kind: 'together',
          cards: this.store.followed().flatMap(({ card }) => (this.start()?.includes(card) ? [card] : [])),
        };
      default: {
        const order = this.orderNamed(to);
        return order && { kind: 'order', to: order };
      }
    }
  });

  protected readonly largest = computed(() =>
    this.to() === 'mates' ? LONGEST_MATES : this.cuts() === 'free' ? MOST_FREE : MOST_ELSE,
  );
  protected readonly counts = computed(() => Array.from({ length: this.largest() }, (_, index) => index + 1));
  protected readonly longest = computed(() => Math.min(this.most(), this.largest()));

  /** Why nothing is searched for, or undefined. */
  protected readonly lacks = computed(() => {
    const [from, goal] = [this.start(), this.goal()];
    if (!from || !goal) return 'This order is not there any more. Choose another one.';
    if (goal.kind === 'together' && goal.cards.length < 2)
      return 'Follow two cards or more first, under Cards to places: these are brought together.';
    const alone = goal.kind === 'mates' ? from.find((card) => !from.includes(mateOf(card))) : undefined;
    if (alone !== undefined)
      return `${showCard(alone)} has no mate in this pack, so that not all can lie beside theirs.`;
    if (goal.kind !== 'order') return undefined;
    const odd = from.find((card) => !goal.to.includes(card)) ?? goal.to.find((card) => !from.includes(card));
    return odd === undefined
      ? undefined
      : `${showCard(odd)} is in one of the two orders only: no row of moves adds a card.`;
  });
  /** What is searched for: the same one as long as nothing of it changes. */
  private readonly wish = computed<RowWish | undefined>(
    () => {
      const [from, goal] = [this.start(), this.goal()];
      if (!from || !goal || this.lacks() !== undefined) return undefined;
      return { from, goal, kinds: this.kinds(), cuts: this.cuts(), longest: this.longest() };
    },
    { equal: dequal },
  );

  private readonly stoppedWish = signal<RowWish | undefined>(undefined);
  protected readonly stopped = computed(
    () => this.stoppedWish() !== undefined && this.stoppedWish() === this.wish(),
  );
  private readonly search = jobView('row', () => (this.stopped() ? undefined : this.wish()));
  protected readonly progress = computed(() => {
    const search = this.search();
    return search?.kind === 'running' ? search.progress : undefined;
  });
  protected readonly failed = computed(() => this.search()?.kind === 'failed');
  private readonly found = computed(() => answerOf(this.search()));
  private readonly took = tookSince(this.wish, this.found);

  protected readonly words = computed(() => {
    const found = this.found();
    if (!found) return undefined;
    if (!found.row)
      return `No row of up to ${counted(found.proved, 'move', 'moves').toLowerCase()} leads there`;
    if (found.row.length === 0) return 'It is like that already';
    return found.proved === 0 ? 'One cut' : `${counted(found.proved, 'move', 'moves')}, and no fewer`;
  });
  protected readonly tooLong = computed(() => {
    const found = this.found();
    return found && !found.row && found.proved < this.longest()
      ? 'With these moves there are too many longer rows to search.'
      : undefined;
  });
  protected readonly size = computed(() => {
    const found = this.found();
    return found && found.looked > 0
      ? `${found.looked.toLocaleString('en')} packs looked at, ${tookWords(this.took())}.`
      : '';
  });
  protected readonly row = computed(() => this.found()?.row ?? []);
  /** The order that the inverse recipe ends in: the one that was chosen, or the home order. */
  protected readonly target = computed<Order>(() => {
    const goal = this.goal();
    return goal?.kind === 'order' ? goal.to : this.pack.home();
  });

  /** Each move with what can be pointed at after it. */
  protected readonly steps = computed(() => {
    const from = this.start() ?? [];
    const orders = recipeSteps({ base: from, moves: this.row() });
    return this.row().map((move, index) => ({
      ...{ says: describeMove(move, from.length), order: orders[index + 1] },
      points: wayPoints(orders[index + 1], this.target()).join(', '),
    }));
  });
  protected toggle(kind: keyof RowKinds): void {
    this.kinds.update((kinds) => ({ ...kinds, [kind]: !kinds[kind] }));
  }

  protected stop(): void {
    this.stoppedWish.set(this.wish());
  }

  protected goOn(): void {
    this.stoppedWish.set(undefined);
  }

  protected use(row: readonly Move[]): void {
    this.store.use(row, 'take the row between two orders');
    void this.router.navigate(['/weave']);
  }
}
