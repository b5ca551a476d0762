import { ChangeDetectionStrategy, Component, DestroyRef, effect, inject } from '@angular/core';
import { Mark, RailMarks } from '../pack/marks';
import { PackStore } from '../pack/pack.store';
import { WantedStore } from '../pack/wanted.store';
import { Viewport } from '../shared/viewport';
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
    const marks = inject(RailMarks);
    const wanted = inject(WantedStore);
    const size = inject(PackStore).size;
    effect(() => {
      const [place, number] = [wanted.place(), wanted.number()];
      const found = new Map<number, Mark[]>();
      if (place !== undefined) found.set(place, ['wanted']);
      if (number !== undefined && number <= size())
        found.set(number, [...(found.get(number) ?? []), 'number']);
      marks.set(found);
    });
    inject(DestroyRef).onDestroy(() => marks.set(new Map()));
  }
}
