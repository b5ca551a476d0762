import { Injectable, signal } from '@angular/core';
import type { WishList } from '@enumeron/core/file/wish/wish';

/** The wishes that are being written, so that they can be shared; undefined while none are open. */
@Injectable({ providedIn: 'root' })
export class OpenWishes {
  readonly list = signal<WishList | undefined>(undefined);
}
