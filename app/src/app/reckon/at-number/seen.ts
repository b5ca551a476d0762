import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Card, showCard, suitOf } from '@enumeron/core/deck';
import { PackStore } from '../../nouns/pack/pack.store';
import { EntryField } from '../../ui/form/entry-field';
import { cardCompleter, cardReader } from '../../ui/form/reading';
import { Viewport } from '../../platform/viewport';
import { Entry } from './entry';
import { LitPad } from '../../ui/form/lit-pad';

/** What the pack has shown since it was last in order. */
@Component({
  selector: 'en-seen',
  imports: [EntryField, LitPad, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './seen.html',
  styleUrl: './seen.scss',
})
export class Seen {
  protected readonly pack = inject(PackStore);
  protected readonly entry = inject(Entry);
  protected readonly phone = inject(Viewport).phone;
  protected readonly read = computed(() => cardReader(this.pack.now()));
  protected readonly complete = computed(() => cardCompleter(this.pack.now()));
  protected readonly show = showCard;
  protected readonly fields = [
    { at: 'face', label: 'Face of the pack' },
    { at: 'top', label: 'Top of the pack' },
  ] as const;

  protected readonly padLabel = computed(() => {
    const active = this.entry.active();
    return active === 'face'
      ? 'Tap the card you saw at the face'
      : active === 'top'
        ? 'Tap the card you saw on top'
        : 'Tap the card they named';
  });
  protected readonly selected = computed(() => {
    const active = this.entry.active();
    return active === 'face' || active === 'top' ? this.seenAt(active) : undefined;
  });

  protected seenAt(at: 'face' | 'top'): Card | undefined {
    const seen = this.pack.seen();
    return seen?.at === at ? seen.card : undefined;
  }

  protected suitAt(at: 'face' | 'top'): number | undefined {
    const card = this.seenAt(at);
    return card === undefined ? undefined : suitOf(card);
  }

  protected take(at: 'face' | 'top', card: Card | undefined): void {
    this.entry.active.set(at);
    this.entry.takeCard(card);
  }
}
