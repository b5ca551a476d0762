import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { markOnRail } from '../../nouns/pack/marks';
import { PackStore } from '../../nouns/pack/pack.store';
import { WantedStore } from '../../nouns/pack/wanted.store';
import { Viewport } from '../../platform/viewport';
import { Entry } from './entry';
import { Known } from './known';
import { Seen } from './seen';
import { Thumb } from './thumb';
import { Wanted } from './wanted';

/** A card at a number: Seen, Known and Wanted beside each other. */
@Component({
  selector: 'en-card-at-number',
  imports: [Known, Seen, Thumb, Wanted],
  providers: [Entry],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div class="columns">
      <en-seen />
      <en-known />
      <en-wanted />
    </div>
    @if (phone()) {
      <en-thumb />
    }`,
  styleUrl: './card-at-number.scss',
})
export class CardAtNumber {
  protected readonly phone = inject(Viewport).phone;

  constructor() {
    const wanted = inject(WantedStore);
    const size = inject(PackStore).size;
    markOnRail(() => {
      const [place, number] = [wanted.place(), wanted.number()];
      return [
        ...(place === undefined ? [] : [{ place, mark: 'wanted' } as const]),
        ...(number === undefined || number > size() ? [] : [{ place: number, mark: 'number' } as const]),
      ];
    });
  }
}
