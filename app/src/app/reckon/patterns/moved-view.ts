import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Card, sayProblem } from '@enumeron/core/deck';
import { applyMove } from '@enumeron/core/moves';
import { reckonMovedCard } from '@enumeron/core/reckon/patterns';
import { PackStore } from '../../nouns/pack/pack.store';
import { NextCard } from '../../ui/next-card';
import { OrderSheet } from '../../ui/order-sheet';
import { DoPanel } from '../answer/do-panel';
import { KnownList } from '../answer/known-list';
import { PatternsStore } from '../../nouns/pack/patterns.store';

const PATH = 'shuffled';

/** A pack that was riffled, perhaps cut, and had one card moved: told card by card, it gives the card away. */
@Component({
  selector: 'en-moved-view',
  imports: [DoPanel, KnownList, MatButton, NextCard, OrderSheet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './moved-view.html',
  styleUrl: './moved-view.scss',
})
export class MovedView {
  private readonly store = inject(PatternsStore);
  protected readonly pack = inject(PackStore);

  private readonly values = this.store.values(signal(PATH));
  protected readonly told = computed<readonly Card[]>(() => {
    const told = this.values()['told'];
    return Array.isArray(told) ? (told as readonly Card[]) : [];
  });
  protected readonly riffles = computed(() => Number(this.values()['riffles'] ?? 1));
  protected readonly cut = computed(() => this.values()['cut'] === true);
  protected readonly left = computed(() => this.pack.now().filter((card) => !this.told().includes(card)));

  private readonly outcome = computed(() =>
    reckonMovedCard(this.pack.now(), this.told(), this.riffles(), this.cut()),
  );
  protected readonly reckoning = computed(() => {
    const outcome = this.outcome();
    return outcome.ok ? outcome.reckoning : undefined;
  });
  protected readonly problem = computed(() => {
    const outcome = this.outcome();
    return outcome.ok ? '' : sayProblem(outcome.problems[0]);
  });

  protected set(name: 'riffles' | 'cut', value: number | boolean): void {
    void this.store.set(PATH, name, value);
  }

  protected tell(card: Card): void {
    void this.store.set(PATH, 'told', [...this.told(), card]);
  }

  protected back(): void {
    void this.store.set(PATH, 'told', this.told().slice(0, -1));
  }

  protected again(): void {
    void this.store.set(PATH, 'told', undefined);
  }

  /** The pack of the rail, riffled once, and a card taken from about a third of it to further down. */
  protected tryExample(): void {
    const riffled = applyMove(this.pack.now(), { kind: 'riffle', seed: 5 });
    const third = Math.ceil(riffled.length / 3);
    const move = { kind: 'move packet', from: third, to: third, after: 2 * third, reversed: false } as const;
    void this.store.set(PATH, 'told', [...applyMove(riffled, move)]);
  }

  protected async apply(): Promise<void> {
    await this.pack.become(this.told(), 'take the pack as it was told');
  }
}
