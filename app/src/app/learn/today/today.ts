import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router } from '@angular/router';
import { bySuit } from '@enumeron/core/deck';
import { Direction, DIRECTION_WORDS, DIRECTIONS, MORE_DIRECTIONS } from '@enumeron/core/learn';
import { CardFace } from '../../shared/card-face';
import { LearnStore } from '../learn.store';
import { startByEnter } from '../start-by-enter';
import { NextDays } from './next-days';

const MINUTE = 60_000;

/** What is due today, how long it takes, and the start; below, how far each card is. */
@Component({
  selector: 'en-today',
  imports: [CardFace, MatButton, NextDays],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './today.html',
  styleUrl: './today.scss',
})
export class Today {
  protected readonly store = inject(LearnStore);
  private readonly router = inject(Router);

  protected readonly words = DIRECTION_WORDS;
  protected readonly allDirections = [...DIRECTIONS, ...MORE_DIRECTIONS];
  protected readonly lengths = [2, 5, 10, 20] as const;

  protected readonly due = computed(() => this.store.due().length);
  protected readonly takes = computed(() =>
    Math.max(1, Math.round(((this.due() + this.store.fresh().length) * this.store.usualTime()) / MINUTE)),
  );
  protected readonly nothing = computed(() => this.due() + this.store.fresh().length === 0);
  /** A practice of this order that was left before its end. */
  protected readonly left = computed(() => this.store.left() === 'items');

  /** Every card with how many of its items are held, in rows by suit, and what else the pack has. */
  protected readonly rows = computed(() => {
    const [held, begun] = [this.store.heldOf(), this.store.begun()];
    return bySuit(this.store.order()).map((row) =>
      row.map((card) => ({ card, held: held.get(card) ?? 0, begun: begun.has(card) })),
    );
  });
  protected readonly directions = computed(() => this.store.settings().directions.length);
  protected readonly heldItems = computed(() =>
    [...this.store.heldOf().values()].reduce((sum, count) => sum + count, 0),
  );
  protected readonly blocks = computed(() => this.store.plan().blocks.length);

  protected readonly blockSize = computed(() => {
    const { blocks } = this.store.settings();
    return blocks.kind === 'size' ? blocks.size : undefined;
  });

  constructor() {
    startByEnter(() => {
      if (!this.nothing()) void this.start();
    });
  }

  protected async start(): Promise<void> {
    await this.router.navigate(['/learn/practise']);
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
