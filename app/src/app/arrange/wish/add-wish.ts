import {
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  output,
  signal,
  viewChild,
} from '@angular/core';
import {
  OfferedWish,
  WISH_GROUPS,
  WISH_PALETTE,
  WishGroup,
  wishesBegun,
} from '@enumeron/core/file/wish/palette';
import { Wishing } from './wishing.store';

/** Where a wish is added: by its words, or from the palette. */
@Component({
  selector: 'en-add-wish',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<input
      #box
      type="text"
      aria-label="Add a wish: begin its words"
      placeholder="add a wish: no four of a colour, a flush, mates …"
      autocomplete="off"
      autocapitalize="off"
      spellcheck="false"
      [value]="text()"
      (input)="text.set(box.value)"
      (keydown.enter)="addFirst($event)"
      (keydown.escape)="text.set(''); box.value = ''"
    />
    @if (nothing()) {
      <p class="problem" role="alert">No wish has these words. Look through the groups below.</p>
    }
    @if (offers().length > 0) {
      <div class="offers" role="group" aria-label="Wishes with these words">
        @for (each of offers(); track each.words) {
          <button type="button" class="offer" (click)="add(each)">{{ each.words }}</button>
        }
      </div>
    }
    <div class="palette" role="group" aria-label="Kinds of wishes">
      @for (each of groups; track each) {
        <button
          type="button"
          [attr.aria-expanded]="group() === each"
          (click)="group.set(group() === each ? undefined : each)"
        >
          {{ each }}
        </button>
      }
      <button type="button" (click)="procedure.emit()">a procedure holds</button>
    </div>
    @if (group()) {
      <div class="offers" role="group" [attr.aria-label]="group()">
        @for (each of inGroup(); track each.words) {
          <button type="button" class="offer" (click)="add(each)">{{ each.words }}</button>
        }
      </div>
    }`,
  styleUrls: ['../../ui/palette.scss', './add-wish.scss'],
})
export class AddWish {
  /** A procedure is to be chosen as a wish. */
  readonly procedure = output();
  private readonly wishing = inject(Wishing);
  private readonly box = viewChild.required<ElementRef<HTMLInputElement>>('box');

  protected readonly groups = WISH_GROUPS;
  protected readonly group = signal<WishGroup | undefined>(undefined);
  protected readonly text = signal('');
  protected readonly offers = computed(() => wishesBegun(this.text()));
  protected readonly nothing = computed(() => this.text().trim() !== '' && this.offers().length === 0);
  protected readonly inGroup = computed(() => WISH_PALETTE.filter(({ group }) => group === this.group()));

  protected add(offered: OfferedWish): void {
    this.wishing.add(offered.make(this.wishing.size()));
    this.text.set('');
    // What is typed next may come before the page is drawn again.
    this.box().nativeElement.value = '';
  }

  protected addFirst(event: Event): void {
    event.preventDefault();
    const first = this.offers().at(0);
    if (first) this.add(first);
  }
}
