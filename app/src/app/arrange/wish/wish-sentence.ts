import { ChangeDetectionStrategy, Component, computed, forwardRef, inject, input } from '@angular/core';
import { WishPath } from '@enumeron/core/file/wish/editWish';
import { wishPieces } from '@enumeron/core/file/wish/sayWish';
import { Slot } from '@enumeron/core/file/wish/slots';
import { Wish } from '@enumeron/core/file/wish/wish';
import { WishField } from './wish-field';
import { Wishing } from './wishing.store';

/** A piece with the path of what stands in it, and a key that stays while one types. */
interface Placed {
  readonly key: string;
  readonly path: WishPath;
  readonly text: string;
  readonly field?: string;
  readonly slot?: Slot;
  readonly inner?: Wish;
}

/** A wish as a sentence, each of its parts a field; a wish inside it goes on in the same sentence. */
@Component({
  selector: 'en-wish-sentence',
  imports: [WishField, forwardRef(() => WishSentence)],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@for (each of pieces(); track each.key) {
    @if (each.inner; as inner) {
      <en-wish-sentence [index]="index()" [wish]="inner" [path]="each.path" />
    } @else if (each.slot; as slot) {
      <en-wish-field
        [field]="each.field ?? ''"
        [slot]="slot"
        [text]="each.text"
        (written)="wishing.write(index(), each.path, $event)"
        (entered)="enter(each.path, slot.kind)"
      />
    } @else {
      <span>{{ each.text }}</span>
    }
  }`,
  styles: `
    :host {
      display: inline;
    }

    span {
      white-space: pre-wrap;
    }
  `,
})
export class WishSentence {
  /** Which wish of the list it is or stands in, from 0. */
  readonly index = input.required<number>();
  readonly wish = input.required<Wish>();
  /** Where it stands in that wish. */
  readonly path = input<WishPath>([]);

  protected readonly wishing = inject(Wishing);
  protected readonly pieces = computed<readonly Placed[]>(() =>
    wishPieces(this.wish()).map((piece, at): Placed => {
      const own = 'field' in piece ? [piece.field, ...(piece.index === undefined ? [] : [piece.index])] : [];
      const key = 'field' in piece ? own.join('.') : `text ${at}`;
      const lower = at === 0 && this.path().length > 0 && /^[A-Z][a-z]/.test(piece.text);
      const text = lower ? piece.text.charAt(0).toLowerCase() + piece.text.slice(1) : piece.text;
      return { ...piece, text, path: [...this.path(), ...own], key };
    }),
  );

  protected enter(path: WishPath, kind: string): void {
    this.wishing.picking.set({ wish: this.index(), path, kind });
  }
}
