import { inject, Injectable, signal } from '@angular/core';
import { Card } from '@enumeron/core/deck';
import { PackStore } from '../../nouns/pack/pack.store';
import { WantedStore } from '../../nouns/pack/wanted.store';

/** What a pad can fill. */
export type EntryName = 'face' | 'top' | 'card' | 'number';

/** Which entry of Reckon the pad fills now; after each one comes the one that is usually told next. */
@Injectable()
export class Entry {
  private readonly pack = inject(PackStore);
  private readonly wanted = inject(WantedStore);
  readonly active = signal<EntryName>('face');

  takeCard(card: Card | undefined): void {
    const active = this.active();
    if (active === 'face' || active === 'top') {
      if (card === undefined) return;
      void this.pack.see({ at: active, card });
      this.active.set('card');
    } else {
      void this.wanted.want({ card });
      if (card !== undefined) this.active.set('number');
    }
  }

  takeNumber(number: number | undefined): void {
    void this.wanted.want({ number });
  }
}
