import {
  CdkFixedSizeVirtualScroll,
  CdkVirtualForOf,
  CdkVirtualScrollableWindow,
  CdkVirtualScrollViewport,
} from '@angular/cdk/scrolling';
import { ChangeDetectionStrategy, Component, computed, inject, input, viewChild } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { switchMap } from 'rxjs';
import { OrdersStore } from '../../nouns/orders/orders.store';
import { remSignal } from '../../platform/rem';
import { DamagedEntry } from './damaged-entry';
import { OrderEntry } from './order-entry';

/** How many entries are read at first. */
const FIRST = 12;

/** Thousands of orders: only those that can be seen are read and drawn. The page scrolls, not a box in it. */
@Component({
  selector: 'en-long-list',
  imports: [
    CdkFixedSizeVirtualScroll,
    CdkVirtualForOf,
    CdkVirtualScrollableWindow,
    CdkVirtualScrollViewport,
    DamagedEntry,
    OrderEntry,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<cdk-virtual-scroll-viewport scrollWindow [itemSize]="height()">
    <div *cdkVirtualFor="let index of indices()" class="entry">
      @if (rows().get(index); as each) {
        @if ('order' in each) {
          <en-order-entry [order]="each.order" [meant]="meant()" />
        } @else {
          <en-damaged-entry [name]="each.name" [problem]="each.damaged" />
        }
      }
    </div>
  </cdk-virtual-scroll-viewport>`,
  styles: `
    .entry {
      height: 6.625rem;
      overflow: hidden;
    }
  `,
})
export class LongList {
  private readonly store = inject(OrdersStore);
  readonly meant = input.required<boolean>();

  private readonly rem = remSignal();
  /** How high an entry is, in pixels: as its style says in rem. */
  protected readonly height = computed(() => 6.625 * this.rem());
  protected readonly indices = computed(() =>
    Array.from({ length: this.store.count() ?? 0 }, (_, index) => index),
  );
  private readonly viewport = viewChild.required(CdkVirtualScrollViewport);
  private readonly rendered = toSignal(
    toObservable(this.viewport).pipe(switchMap((viewport) => viewport.renderedRangeStream)),
  );
  /** Those that can be seen; the first ones are read before it is known how many that are. */
  private readonly range = computed(() => {
    const rendered = this.rendered();
    return rendered && rendered.end > 0 ? rendered : { start: 0, end: FIRST };
  });
  private readonly page = this.store.page(this.range);
  protected readonly rows = computed(
    () => new Map(this.page().map((each, index) => [this.range().start + index, each])),
  );
}
