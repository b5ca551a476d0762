import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Card, showCard, suitOf } from '@enumeron/core/deck';
import { PackStore } from '../../nouns/pack/pack.store';
import { EntryField } from '../../ui/form/entry-field';
import { cardCompleter, cardReader, numberReader, Reading } from '../../ui/form/reading';
import { PathSign } from '../row/path-sign';
import { WeavingStore } from '../../nouns/weaves/weaving.store';

/** The cards that are followed through the row, each with the place where it lies and where it is wanted. */
@Component({
  selector: 'en-wanted-cards',
  imports: [EntryField, MatButton, PathSign],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<ul>
    @for (each of rows(); track $index) {
      <li>
        @if (each.card !== undefined) {
          <en-path-sign [index]="$index" />
        } @else {
          <span></span>
        }
        <en-entry-field
          class="compact"
          [label]="each.card === undefined ? 'card' : from(each)"
          [value]="each.card"
          [suit]="each.suit"
          [show]="show"
          [read]="readers()[$index]"
          [complete]="complete()"
          (picked)="setCard($index, $event)"
        />
        @if (each.card !== undefined) {
          <en-entry-field
            class="compact"
            label="to"
            [value]="each.to"
            [show]="showNumber"
            [read]="readPlace()"
            (picked)="setPlace($index, $event)"
          />
          <button
            mat-button
            type="button"
            class="off"
            [attr.aria-label]="'No longer follow ' + show(each.card)"
            (click)="store.follow($index, undefined)"
          >
            ✕
          </button>
        }
      </li>
    }
  </ul>`,
  styles: `
    ul {
      margin: 8px 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: grid;
      grid-template-columns: 36px minmax(0, 1.3fr) minmax(0, 1fr) 44px;
      gap: 10px;
      align-items: end;
      padding: 4px 0 6px;
      border-bottom: 1px solid var(--line-faint);
    }
    en-path-sign,
    .off {
      margin-bottom: 4px;
    }
    .off {
      min-width: 44px;
      padding: 0;
    }
  `,
})
export class WantedCards {
  protected readonly store = inject(WeavingStore);
  private readonly pack = inject(PackStore);

  protected readonly show = showCard;
  protected readonly showNumber = (place: number): string => place.toString();
  protected readonly readPlace = computed(() => numberReader(this.store.size()));
  protected readonly complete = computed(() => cardCompleter(this.pack.now()));

  /** The cards, and an empty line for one more. */
  protected readonly rows = computed(() => [
    ...this.store.followed().map((each) => ({ ...each, suit: suitOf(each.card) })),
    ...(this.store.hasRoom() ? [{ card: undefined, to: undefined, path: undefined, suit: undefined }] : []),
  ]);
  /** Each line takes a card of the pack that no other line has. */
  protected readonly readers = computed(() => {
    const read = cardReader(this.pack.now());
    const cards = this.store.followed().map(({ card }) => card);
    return this.rows().map(({ card: own }) => (text: string): Reading => {
      const reading = read(text);
      const { value } = reading;
      return value !== undefined && value !== own && cards.includes(value)
        ? { problem: `${showCard(value)} is followed already.` }
        : reading;
    });
  });

  protected from({ path }: { readonly path: readonly number[] | undefined }): string {
    return path ? `from ${path[0].toString()}` : 'not in this pack';
  }

  protected setCard(index: number, card: Card | undefined): void {
    if (card === undefined) return;
    const to = this.store.followed().at(index)?.to;
    this.store.follow(index, { card, ...(to === undefined ? {} : { to }) });
  }

  protected setPlace(index: number, to: number | undefined): void {
    const followed = this.store.followed().at(index);
    if (followed) this.store.follow(index, { card: followed.card, ...(to === undefined ? {} : { to }) });
  }
}
