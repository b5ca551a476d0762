import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { BusyHeap, FEWEST_HEAPS, MOST_HEAPS } from '@enumeron/core/file/rehearse/busyRow';
import { BUSY_PLACE, busyWishIn, DEEPEST, depthsCode } from '../../nouns/pack/busy-told';
import { PatternsStore } from '../../nouns/pack/patterns.store';
import { Choice } from '../../ui/choice';
import { readDepths, showDepths } from '../../ui/form/depths';
import { EntryField } from '../../ui/form/entry-field';
import { numberReader } from '../../ui/form/reading';
import { DrawnRow } from './drawn-row';
import { TrackHeaps } from './track-heaps';

/** How the moves come about, as it is kept: by its index. */
const WAYS = ['drawn for me', 'as I make them up'] as const;
type Way = (typeof WAYS)[number];

/** Heaps with cards that are wanted, and a row of single-card moves: drawn, or tracked while it is made up. */
@Component({
  selector: 'en-busy-page',
  imports: [Choice, DrawnRow, EntryField, TrackHeaps],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './busy-page.html',
  styleUrls: ['../../ui/page.scss', './busy-page.scss'],
})
export class BusyPage {
  private readonly told = inject(PatternsStore);
  private readonly values = this.told.values(computed(() => BUSY_PLACE));

  protected readonly counts = Array.from(
    { length: MOST_HEAPS - FEWEST_HEAPS + 1 },
    (_, index) => FEWEST_HEAPS + index,
  );
  protected readonly ways = WAYS;
  protected readonly show = (value: number): string => value.toString();
  protected readonly readCards = numberReader(DEEPEST);
  protected readonly readDepths = readDepths;
  protected readonly showDepths = showDepths;
  protected readonly codeOf = ({ wanted }: BusyHeap): number => depthsCode(wanted);

  protected readonly wish = computed(() => busyWishIn(this.values()));
  protected readonly way = computed<Way>(() => WAYS[this.values()['way'] === 1 ? 1 : 0]);

  protected setHeaps(count: number): void {
    void this.told.set(BUSY_PLACE, 'heaps', count);
  }

  protected setWay(way: Way): void {
    void this.told.set(BUSY_PLACE, 'way', WAYS.indexOf(way));
  }

  protected setHeap(name: 'cards' | 'depths', index: number, value: number | undefined): void {
    if (value === undefined) return;
    const now = this.wish().heaps.map(({ cards, wanted }) => (name === 'cards' ? cards : depthsCode(wanted)));
    const changed = now.map((each, heap) => (heap === index ? value : each));
    void this.told.set(BUSY_PLACE, name, changed);
  }
}
