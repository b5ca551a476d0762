import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { expectedNext } from '@enumeron/core/arrange';
import { Card, numberOrder, showCard } from '@enumeron/core/deck';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { LyingCard } from '@enumeron/core/file/perform/state';
import { OrdersStore } from '../../nouns/orders/orders.store';
import { PackStore } from '../../nouns/pack/pack.store';
import { previewOnRail } from '../../nouns/pack/rail-preview';
import { Mark } from '../../nouns/pack/marks';
import { fieldsOf, overReload } from '../../platform/over-reload';
import { answerOf, jobView } from '../../platform/workers/job-view';
import { CardText } from '../../ui/card-text';
import { Choice } from '../../ui/choice';
import { NextCard } from '../../ui/next-card';
import { OrderSheet } from '../../ui/order-sheet';
import { Glimpses } from './glimpses';

/** From where it is known how the pack lies. */
const SOURCES = ['rail', 'spread', 'glimpses'] as const;
type Source = (typeof SOURCES)[number];
const SOURCE_WORDS: Readonly<Record<Source, string>> = {
  ...{ rail: 'as on the rail', spread: 'I spread the cards', glimpses: 'a few glimpses' },
};

/** So many orders can be chosen from: the newest. */
const MOST_ORDERS = 100;

const JOKERS: readonly Card[] = [52, 53];

const faceDown = (cards: readonly Card[]): readonly LyingCard[] =>
  cards.map((card) => ({ card, faceUp: false }));

const isLying = (value: unknown): value is LyingCard[] =>
  Array.isArray(value) &&
  value.every((each) => {
    const { card, faceUp } = fieldsOf(each);
    return typeof card === 'number' && typeof faceUp === 'boolean';
  });

/** The pack brought back into an order: from how it lies, step by step with the pack in hand. */
@Component({
  selector: 'en-reset-page',
  imports: [CardText, Choice, Glimpses, MatButton, NextCard, OrderSheet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './reset-page.html',
  styleUrls: ['../../ui/page.scss', './reset-page.scss'],
})
export class ResetPage {
  protected readonly pack = inject(PackStore);
  private readonly store = inject(OrdersStore);
  private readonly kept = fieldsOf(
    overReload('reset', () => ({
      ...{ source: this.source(), told: this.told(), glimpsed: this.glimpsed(), at: this.at() },
      ...{ order: this.orderId(), rotated: this.rotated(), isTold: this.isTold() },
    })),
  );

  protected readonly sources = SOURCES;
  protected readonly sourceWords = (source: Source): string => SOURCE_WORDS[source];
  protected readonly showCard = showCard;
  protected readonly source = signal<Source>(
    SOURCES.find((source) => source === this.kept['source']) ?? 'rail',
  );
  protected readonly rotated = signal(this.kept['rotated'] === true);

  protected readonly orders = this.store.newest(MOST_ORDERS);
  /** The order wanted; empty for that of the pack in hand. */
  protected readonly orderId = signal(typeof this.kept['order'] === 'string' ? this.kept['order'] : '');
  private readonly order = computed(() => this.orders().find(({ id }) => id === this.orderId()));
  protected readonly home = computed(() => this.order()?.cards ?? this.pack.home());
  protected readonly homeName = computed(() => this.order()?.name ?? this.pack.pack().name);

  /** The cards told so far, top first; the next is told face up or down. */
  protected readonly told = signal<readonly LyingCard[]>(isLying(this.kept['told']) ? this.kept['told'] : []);
  protected readonly isTold = signal(this.kept['isTold'] === true);
  protected readonly faceUp = signal(false);
  protected readonly glimpsed = signal<readonly Card[] | undefined>(
    Array.isArray(this.kept['glimpsed']) ? (this.kept['glimpsed'] as Card[]) : undefined,
  );
  /** Whatever may turn up: a card that does not belong is told, too. */
  protected readonly anyCard = computed(() => [...new Set([...numberOrder(), ...JOKERS, ...this.home()])]);
  protected readonly expected = computed(() =>
    expectedNext(
      this.home(),
      this.told().map(({ card }) => card),
    ),
  );
  protected readonly cells = computed(() => this.told().map(({ card, faceUp }) => ({ card, odd: faceUp })));

  private readonly lies = computed((): readonly LyingCard[] | undefined => {
    switch (this.source()) {
      case 'rail':
        return faceDown(this.pack.now());
      case 'spread':
        return this.isTold() ? this.told() : undefined;
      case 'glimpses': {
        const cards = this.glimpsed();
        return cards && faceDown(cards);
      }
    }
  });
  private readonly finding = jobView('reset', () => {
    const now = this.lies();
    return now && { now, home: this.home(), rotated: this.rotated() };
  });
  protected readonly failed = computed(() => this.finding()?.kind === 'failed');
  protected readonly plan = computed(() => answerOf(this.finding()));
  protected readonly isFinding = computed(() => this.lies() !== undefined && !this.plan() && !this.failed());

  /** How many steps are done; from the start with another pack or order. */
  protected readonly at = linkedSignal<string, number>({
    // As a text: what is read again, and is the same, is no other way.
    source: () => JSON.stringify([this.lies(), this.home(), this.rotated()]),
    computation: (_, before) => {
      const kept = before === undefined ? this.kept['at'] : undefined;
      return typeof kept === 'number' ? kept : 0;
    },
  });
  protected readonly step = computed(() => this.plan()?.steps.at(this.at()));
  protected readonly isDone = computed(() => {
    const plan = this.plan();
    return plan !== undefined && this.at() >= plan.steps.length;
  });
  protected readonly says = computed(() => {
    const plan = this.plan();
    if (!plan) return '';
    const { moves, bound, shortest, steps } = plan;
    if (steps.length === 0) return `It lies in ${this.homeName()} already.`;
    const others = steps.length - moves;
    const more =
      others === 0 ? '' : `, with ${countOf(others, 'step')} more to turn over, take out or put back`;
    const proof =
      moves === 0
        ? ''
        : shortest
          ? '; no fewer are possible'
          : `; fewer than ${bound.toString()} are not possible`;
    return `${countOf(moves, 'move')}${more}${proof}.`;
  });
  /** How the pack lies before the step that is shown. */
  private readonly now = computed(() => {
    const [plan, at] = [this.plan(), this.at()];
    return at === 0 ? this.lies() : (plan?.steps.at(at - 1)?.after ?? this.lies());
  });

  constructor() {
    previewOnRail(() => {
      const [plan, now] = [this.plan(), this.now()];
      if (!plan || !now || (this.source() === 'rail' && this.at() === 0)) return undefined;
      const cards = new Set(this.step()?.cards);
      const marks = now.flatMap(({ card, faceUp }, index): [number, Mark[]][] => {
        const own: Mark[] = [
          ...(faceUp ? (['face up'] as const) : []),
          ...(cards.has(card) ? (['wanted'] as const) : []),
        ];
        return own.length > 0 ? [[index + 1, own]] : [];
      });
      return {
        ...{ home: this.home(), now: now.map(({ card }) => card), marks: new Map(marks) },
        label: `Reset, ${Math.min(this.at() + 1, plan.steps.length).toString()} of ${plan.steps.length.toString()}`,
      };
    });
  }

  protected tell(card: Card): void {
    this.told.update((told) => [...told, { card, faceUp: this.faceUp() }]);
    if (this.told().length >= this.home().length) this.isTold.set(true);
  }

  protected back(): void {
    this.told.update((told) => told.slice(0, -1));
  }

  /** What is seen is something else: it is told, and the way goes on from there. */
  protected tellAnew(): void {
    this.told.set([]);
    this.isTold.set(false);
    this.faceUp.set(false);
    this.source.set('spread');
  }

  /** The pack on the screen becomes as the one in hand is now. */
  protected note(): void {
    const cards = this.now()?.map(({ card }) => card);
    if (!cards) return;
    const order = this.order();
    if (order) void this.pack.use(order);
    // As it is cut, where that will do.
    if (!order || this.rotated()) void this.pack.become(cards, 'reset the pack');
    this.source.set('rail');
  }
}
