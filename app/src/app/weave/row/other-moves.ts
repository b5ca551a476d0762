import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { parseMovesText } from '@enumeron/core/moves';
import { WeavingStore } from '../../nouns/weaves/weaving.store';

/** Moves that have no key of their own, written in words; and what the keys of the row do. */
@Component({
  selector: 'en-other-moves',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './other-moves.html',
  styleUrl: './row-editor.scss',
})
export class OtherMoves {
  private readonly store = inject(WeavingStore);
  protected readonly written = signal('');
  protected readonly reading = computed(() => {
    const { moves, problem } = parseMovesText(this.written(), this.store.orders()[this.store.row().length]);
    if (problem !== undefined) return { moves: [], problem };
    const other = moves.some(({ kind }) => kind === 'take' || kind === 'put');
    return other ? { moves: [], problem: 'A row keeps all cards: no take and no put.' } : { moves, problem };
  });

  protected addWritten(): void {
    const { moves, problem } = this.reading();
    if (problem !== undefined || moves.length === 0) return;
    this.store.use([...this.store.row(), ...moves], 'add moves to the row');
    this.written.set('');
  }
}
