import { ChangeDetectionStrategy, Component, inject, output, signal, viewChild } from '@angular/core';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { showCard } from '@enumeron/core/deck';
import { PackStore } from '../../nouns/pack/pack.store';
import { WantedStore } from '../../nouns/pack/wanted.store';
import { Slot } from './slot';

/** What can be done with one slot of the rail. It opens where its host element stands. */
@Component({
  selector: 'en-slot-menu',
  imports: [MatMenu, MatMenuItem, MatMenuTrigger],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './slot-menu.html',
  host: { 'aria-hidden': 'true' },
})
export class SlotMenu {
  protected readonly pack = inject(PackStore);
  protected readonly wanted = inject(WantedStore);
  private readonly trigger = viewChild.required(MatMenuTrigger);

  readonly closed = output<Slot>();
  protected readonly slot = signal<Slot | undefined>(undefined);
  protected readonly showCard = showCard;

  open(slot: Slot): void {
    this.slot.set(slot);
    this.trigger().openMenu();
  }

  protected leave(): void {
    const slot = this.slot();
    if (slot) this.closed.emit(slot);
  }
}
