import { ChangeDetectionStrategy, Component, computed, effect, inject, output } from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { formatCard } from '@enumeron/core/deck';
import { LatelyStore } from '../nouns/settings/lately.store';
import { Icons } from '../ui/icons';
import { PackStore } from '../nouns/pack/pack.store';
import { WantedStore } from '../nouns/pack/wanted.store';
import { Intent } from './ask/reply';

/** The line of a first visit: what this is, and a way in that takes ten seconds. Once used it is gone. */
@Component({
  selector: 'en-welcome',
  imports: [MatButton, MatIcon, MatIconButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@if (shown()) {
    <div class="sign offer" role="status">
      <p>
        @if (pack.seen()) {
          The pack on the screen is now cut like yours. Next, someone names a card and a number:
        } @else {
          This is your pack. Say what you saw and what they named, and it tells you what to do. Try:
        }
      </p>
      @if (!pack.seen()) {
        <button mat-stroked-button type="button" (click)="asked.emit(first())">
          <code>face {{ formatCard(first().card) }}</code>
        </button>
      }
      <button mat-stroked-button type="button" (click)="asked.emit(second())">
        <code>{{ formatCard(second().card) }} {{ second().number }}</code>
      </button>
      <button mat-icon-button type="button" aria-label="Close" (click)="lately.greet('used')">
        <mat-icon svgIcon="close" />
      </button>
    </div>
  }`,
  styleUrl: '../ui/sign.scss',
  styles: `
    code {
      font: 700 1rem var(--mono);
    }
  `,
})
export class Welcome {
  protected readonly lately = inject(LatelyStore);
  protected readonly pack = inject(PackStore);
  private readonly wanted = inject(WantedStore);
  protected readonly formatCard = formatCard;

  readonly asked = output<Intent>();

  private readonly done = computed(
    () => this.wanted.card() !== undefined && this.wanted.number() !== undefined,
  );
  protected readonly shown = computed(
    () => this.lately.isRead() && this.lately.greeting() !== 'used' && !this.done(),
  );
  /** The third card at the face, the twentieth at 15: any pack has something like them. */
  protected readonly first = computed(() => ({
    do: 'see' as const,
    at: 'face' as const,
    card: this.pack.now()[Math.min(2, this.pack.size() - 1)],
  }));
  protected readonly second = computed(() => ({
    do: 'want' as const,
    card: this.pack.home()[Math.min(19, this.pack.size() - 1)],
    number: Math.min(15, this.pack.size()),
  }));

  constructor() {
    inject(Icons);
    effect(() => {
      if (this.lately.isRead() && this.done()) this.lately.greet('used');
    });
  }
}
