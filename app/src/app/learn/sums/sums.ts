import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import { LEVELS, SumKind, TARGET } from '@enumeron/core/learn';
import { startByEnter } from '../start-by-enter';
import { LearnStore } from '../../nouns/learning/learn.store';
import { KindStanding, SumsStore } from '../../nouns/learning/sums.store';
import { Choice } from '../../ui/choice';
import { WhereUsed, whereUsed } from './where-used';

/** What a level is called: how many things make a sum hard. */
const LEVEL_WORDS = ['plain', 'one thing', 'two things', 'three things'] as const;

/** Which sums are practised, how fluent each kind is, and the start. */
@Component({
  selector: 'en-sums',
  imports: [Choice, MatButton, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './sums.html',
  styleUrl: './sums.scss',
})
export class Sums {
  protected readonly store = inject(LearnStore);
  protected readonly sums = inject(SumsStore);
  private readonly router = inject(Router);

  protected readonly levels = LEVELS;
  protected readonly words = LEVEL_WORDS;
  protected readonly times: readonly number[] = [2000, 3000, 4000, 6000, 10_000];
  protected readonly inSeconds = (time: number): string => `${(time / 1000).toString()} s`;
  protected readonly target = Math.round(TARGET * 100);
  protected readonly left = computed(() => this.store.left() === 'sums');
  protected readonly ready = computed(() => this.sums.isRead() && this.sums.orderRead());

  constructor() {
    void this.sums.load();
    startByEnter(() => this.start());
  }

  protected start(): void {
    if (this.sums.kinds().length > 0) void this.router.navigate(['/learn/sums/practise']);
  }

  protected isChosen(kind: SumKind): boolean {
    return this.sums.chosen().includes(kind);
  }

  protected toggle(kind: SumKind): void {
    const chosen = this.sums.chosen();
    const next = this.sums
      .kinds()
      .filter((each) => (each === kind ? !chosen.includes(each) : chosen.includes(each)));
    if (next.length > 0) this.set({ kinds: next.map(({ name }) => name) });
  }

  protected only(kind: SumKind): void {
    this.set({ kinds: [kind.name] });
  }

  protected all(): void {
    this.set({ kinds: this.sums.kinds().map(({ name }) => name) });
  }

  protected set(part: { kinds?: readonly string[]; wanted?: number }): void {
    const kinds = this.sums.chosen().map(({ name }) => name);
    this.store.set({ sums: { kinds, wanted: this.sums.wanted(), ...part } });
  }

  protected used(kind: SumKind): WhereUsed | undefined {
    return whereUsed(kind, this.store.orderId());
  }

  protected percent(standing: KindStanding, level: number): string {
    return `${Math.round(standing.fluency[level] * 100)}`;
  }

  protected seconds(ms: number | undefined): string {
    return ms === undefined ? '–' : `${(ms / 1000).toFixed(1)} s`;
  }
}
