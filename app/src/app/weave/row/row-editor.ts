import { CountPipe } from '../../ui/count-pipe';
import { ChangeDetectionStrategy, Component, computed, ElementRef, inject, viewChild } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { WeavingStore } from '../../nouns/weaves/weaving.store';
import { PlayRow } from './play-row';
import { Stepper } from '../../ui/stepper';

/** Where the keys that step lead: backwards, forwards, to an end. */
const STEPS: Readonly<Record<string, (step: number, length: number) => number>> = {
  ArrowLeft: (step) => step - 1,
  ArrowRight: (step) => step + 1,
  Home: () => 0,
  End: (_, length) => length,
};

/** The row as one types it: it takes the keys while it has the focus, and Escape gives them back. */
@Component({
  selector: 'en-row-editor',
  imports: [Stepper, CountPipe, MatButton],
  providers: [PlayRow],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './row-editor.html',
  styleUrl: './row-editor.scss',
})
export class RowEditor {
  protected readonly store = inject(WeavingStore);
  protected readonly play = inject(PlayRow);
  private readonly box = viewChild.required<ElementRef<HTMLElement>>('box');

  protected readonly chips = computed(() =>
    this.store.row().map((move, index) => ({
      ...{ index, name: this.store.names()[index], done: index < this.store.step() },
      kind: move.kind === 'weave' ? move.weave : move.kind,
    })),
  );
  /** What is typed and is not whole yet. */
  protected readonly pending = computed(() => {
    const open = this.store.open();
    return this.store.row().length > 0 && /^[io]/.test(open) ? '' : open.replace(/^c/, 'cut ');
  });
  protected readonly said = computed(() => {
    const [step, length] = [this.store.step(), this.store.row().length];
    if (length === 0) return 'The row is empty.';
    return `${this.store.names().join(', ')}. After ${step.toString()} of ${length.toString()}.`;
  });

  protected type(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (this.take(event.key)) {
      event.preventDefault();
      event.stopPropagation();
    }
  }

  /** Cuts so many cards, where the pack has more; any other number is left alone. */
  protected cut(count: number): void {
    if (Number.isInteger(count) && count > 0 && count < this.store.size())
      this.store.add({ kind: 'cut', count });
  }

  /** A press on a move shows the pack after it; the arrow keys do the same. */
  protected goToClicked({ target }: Event): void {
    const chip = target instanceof Element ? target.closest<HTMLElement>('[data-move]') : null;
    if (chip) this.store.goTo(Number(chip.dataset['move']));
  }

  private take(key: string): boolean {
    if (Object.hasOwn(STEPS, key)) {
      this.store.close();
      this.play.stop();
      this.store.goTo(STEPS[key](this.store.step(), this.store.row().length));
      return true;
    }
    if (key === 'Escape') {
      this.store.close();
      this.box().nativeElement.blur();
      return true;
    }
    // No other key does anything else while the row has the focus: a digit too many opens no room.
    return this.store.type(key) || key.length === 1;
  }
}
