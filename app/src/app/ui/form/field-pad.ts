import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { Field, FieldValue } from '@enumeron/core/form';
import { Order } from '@enumeron/core/deck';
import { ThumbPad } from './thumb-pad';

/** The pad at the foot of a phone for the field that is lit. */
@Component({
  selector: 'en-field-pad',
  imports: [ThumbPad],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'under-thumb' },
  template: `<en-thumb-pad
    role="group"
    [attr.aria-label]="'Pad: ' + field().label"
    [asks]="asks()"
    [pack]="pack()"
    [number]="number()"
    [largest]="field().most ?? pack().length"
    (cardPicked)="told.emit($event)"
    (rankPicked)="told.emit($event)"
    (numberPicked)="told.emit($event)"
  >
    <button side type="button" class="small" (click)="next.emit()">next</button>
    <button sideNumber type="button" class="small wide" (click)="next.emit()">next</button>
    <button done type="button" class="small done" [disabled]="!ready()" (click)="done.emit()">
      {{ does() }}
    </button>
    <button done type="button" class="small" (click)="cleared.emit()">clear</button>
  </en-thumb-pad>`,
  styles: `
    .small {
      color: var(--petrol);
      font-size: 0.85rem;
    }
    .done {
      grid-column: span 2;
    }
    .wide {
      grid-column: span 3;
    }
  `,
})
export class FieldPad {
  readonly field = input.required<Field>();
  readonly value = input<FieldValue>();
  readonly pack = input.required<Order>();
  /** What the large key does, and whether it can be done now. */
  readonly does = input.required<string>();
  readonly ready = input(false);
  readonly told = output<number | undefined>();
  /** On to the next field. */
  readonly next = output();
  readonly done = output();
  /** Empties all fields. */
  readonly cleared = output();

  protected readonly asks = computed(() => {
    const { kind } = this.field();
    return kind === 'card' || kind === 'cards' ? 'card' : kind === 'rank' ? 'rank' : 'number';
  });
  protected readonly number = computed(() => {
    const value = this.value();
    return this.field().kind === 'number' && typeof value === 'number' ? value : undefined;
  });
}
