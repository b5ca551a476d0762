import {
  CdkFixedSizeVirtualScroll,
  CdkVirtualForOf,
  CdkVirtualScrollableWindow,
  CdkVirtualScrollViewport,
} from '@angular/cdk/scrolling';
import { ChangeDetectionStrategy, Component, computed, inject, input, viewChild } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { switchMap } from 'rxjs';
import { OrdersStore } from '../data/orders.store';
import { DamagedEntry } from './damaged-entry';
import { OrderEntry } from './order-entry';

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
  template: `<cdk-virtual-scroll-viewport scrollWindow [itemSize]="height">
    <div *cdkVirtualFor="let id of ids()" class="entry">
      @if (rows().get(id); as each) {
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
      height: 92px;
      overflow: hidden;
    }
  `,
})
export class LongList {
  private readonly store = inject(OrdersStore);
  readonly meant = input.required<boolean>();

  /** How high an entry is, in pixels. */
  protected readonly height = 92;
  protected readonly ids = computed(() => [...(this.store.ids() ?? [])]);
  private readonly viewport = viewChild.required(CdkVirtualScrollViewport);
  private readonly range = toSignal(
    toObservable(this.viewport).pipe(switchMap((viewport) => viewport.renderedRangeStream)),
    { initialValue: { start: 0, end: 0 } },
  );
  private readonly page = this.store.page(
    computed(() => this.ids().slice(this.range().start, this.range().end)),
  );
  protected readonly rows = computed(() => new Map(this.page().map((each) => [each.id, each])));
}
