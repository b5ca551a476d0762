import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Journal } from '../../storage/journal';
import { Undoing } from '../../storage/undoing';
import { PackStore } from '../../nouns/pack/pack.store';
import { WantedStore } from '../../nouns/pack/wanted.store';
import { ThumbPad } from '../../ui/form/thumb-pad';
import { Entry } from './entry';

/** The pad at the foot of a phone: it fills the entry that is lit, and does what the answer says. */
@Component({
  selector: 'en-thumb',
  imports: [ThumbPad],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'under-thumb' },
  template: `<en-thumb-pad
    role="group"
    [attr.aria-label]="'Pad: ' + entry.active()"
    [asks]="asks()"
    [pack]="pack.now()"
    [number]="wanted.number()"
    [largest]="pack.size()"
    (cardPicked)="entry.takeCard($event)"
    (numberPicked)="entry.takeNumber($event)"
  >
    <button
      side
      type="button"
      class="small"
      [disabled]="!journal.undoable('table')"
      (click)="undoing.undo('table')"
    >
      undo
    </button>
    <button
      sideNumber
      type="button"
      class="small undo"
      [disabled]="!journal.undoable('table')"
      (click)="undoing.undo('table')"
    >
      undo
    </button>
    <button sideNumber type="button" class="small half" (click)="entry.active.set('face')">seen …</button>
    <button sideNumber type="button" class="small half" (click)="entry.active.set('card')">card …</button>
    <button done type="button" class="small done" [disabled]="!ready()" (click)="wanted.carryOut()">
      done: cut the pack
    </button>
  </en-thumb-pad>`,
  styleUrl: './thumb.scss',
})
export class Thumb {
  protected readonly entry = inject(Entry);
  protected readonly wanted = inject(WantedStore);
  protected readonly pack = inject(PackStore);
  protected readonly journal = inject(Journal);
  protected readonly undoing = inject(Undoing);
  protected readonly asks = computed(() => (this.entry.active() === 'number' ? 'number' : 'card'));
  protected readonly ready = computed(() => this.wanted.chosen()?.move !== undefined);
}
