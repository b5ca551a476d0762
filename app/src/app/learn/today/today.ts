import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router } from '@angular/router';
import { Card, isJoker, isSecond } from '@enumeron/core/deck';
import { Direction, DIRECTION_WORDS, DIRECTIONS, MORE_DIRECTIONS, parseItem } from '@enumeron/core/learn';
import { CardFace } from '../../shared/card-face';
import { LearnStore } from '../learn.store';
import { NextDays } from './next-days';

const MINUTE = 60_000;

/** What is due today, how long it takes, and the start; below, how far each card is. */
@Component({
  selector: 'en-today',
  imports: [CardFace, MatButton, NextDays],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './today.html',
  styleUrl: './today.scss',
  host: { '(document:keydown.enter)': 'enter($event)' },
})
export class Today {
  protected readonly store = inject(LearnStore);
  private readonly router = inject(Router);

  protected readonly words = DIRECTION_WORDS;
  protected readonly allDirections = [...DIRECTIONS, ...MORE_DIRECTIONS];
  protected readonly lengths = [2, 5, 10, 20] as const;

  protected readonly due = computed(() => this.store.due().length);
  /** New cards come with as many items as there are directions. */
  private readonly fresh = computed(() => this.store.newCards() * this.store.settings().directions.length);
  protected readonly takes = computed(() =>
    Math.max(1, Math.round(((this.due() + this.fresh()) * this.store.usualTime()) / MINUTE)),
  );
  protected readonly nothing = computed(() => this.due() + this.fresh() === 0);
  /** A practice of this order that was left before its end. */
  protected readonly left = computed(() => {
    const { order, ended, spent, length } = this.store.practice();
    return !ended && order === this.store.orderId() && spent > 0 && spent < length;
  });

  /** Every card with how many of its items are held, in rows by suit, and what else the pack has. */
  protected readonly rows = computed(() => {
    const [order, held] = [this.store.order(), this.store.heldOf()];
    const known = new Set(this.store.plan().items.map(({ card }) => card));
    const cell = (card: Card): { card: Card; held: number; begun: boolean } => ({
      card,
      held: held.get(card) ?? 0,
      begun: this.begun().has(card),
    });
    const inOrder = order.filter((card) => known.has(card));
    return [3, 2, 0, 1]
      .map((suit) =>
        inOrder.filter((card) => card < 52 && Math.floor(card / 13) === suit).sort((a, b) => a - b),
      )
      .concat([inOrder.filter((card) => isJoker(card) || isSecond(card))])
      .filter((cards) => cards.length > 0)
      .map((cards) => cards.map(cell));
  });
  protected readonly directions = computed(() => this.store.settings().directions.length);
  protected readonly heldItems = computed(() =>
    [...this.store.heldOf().values()].reduce((sum, count) => sum + count, 0),
  );
  private readonly begun = computed(
    () => new Set([...this.store.memories().keys()].flatMap((id) => parseItem(id)?.card ?? [])),
  );
  protected readonly blocks = computed(() => this.store.plan().blocks.length);

  protected readonly blockSize = computed(() => {
    const { blocks } = this.store.settings();
    return blocks.kind === 'size' ? blocks.size : undefined;
  });

  protected async start(): Promise<void> {
    await this.router.navigate(['/learn/practise']);
  }

  protected enter(event: Event): void {
    const target = event.target as Element;
    if (target.closest('button, a, input, textarea, select, [role=menu], [role=dialog]')) return;
    if (!this.nothing()) void this.start();
  }

  protected toggle(direction: Direction): void {
    const { directions } = this.store.settings();
    const next = directions.includes(direction)
      ? directions.filter((each) => each !== direction)
      : this.allDirections.filter((each) => each === direction || directions.includes(each));
    if (next.length > 0) this.store.set({ directions: next });
  }

  protected setNew(text: string): void {
    const count = Number(text);
    if (/^\d{1,2}$/.test(text) && count <= 60) this.store.set({ newCards: count });
  }

  protected setBlocks(size: string): void {
    this.store.set({ blocks: size === 'own' ? { kind: 'own' } : { kind: 'size', size: Number(size) } });
  }
}
